package giostra.core.value;

/** A picture of the site. */
public record PictureKind() implements MediaKind {
  @Override
  public String allowed() {
    return "the id of a picture of this site";
  }
}
