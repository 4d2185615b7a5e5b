package giostra.core.value;

/** An icon sprite of the site. */
public record SpriteKind() implements MediaKind {
  @Override
  public String allowed() {
    return "the id of an icon sprite of this site";
  }
}
