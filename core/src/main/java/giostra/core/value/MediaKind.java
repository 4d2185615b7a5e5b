package giostra.core.value;

/** Something of the site's media, by its id. Whether it exists is for whoever keeps them. */
public sealed interface MediaKind extends Kind<String>
    permits PictureKind, ClipKind, CaptionFileKind, SpriteKind, FontsKind {
  @Override
  default String read(String what, Object raw) {
    String id = raw.toString().strip();
    if (!id.matches("[a-z0-9-]{0,80}")) {
      throw new Refused(what, id, allowed());
    }
    return id;
  }

  @Override
  default Object write(String value) {
    return value;
  }
}
