package giostra.core.value;

/** A caption file of the site. */
public record CaptionFileKind() implements MediaKind {
  @Override
  public String allowed() {
    return "the id of a caption file of this site";
  }
}
