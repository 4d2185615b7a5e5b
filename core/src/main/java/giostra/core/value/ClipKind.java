package giostra.core.value;

/** A clip of the site. */
public record ClipKind() implements MediaKind {
  @Override
  public String allowed() {
    return "the id of a clip of this site";
  }
}
