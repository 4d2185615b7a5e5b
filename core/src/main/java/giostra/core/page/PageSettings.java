package giostra.core.page;

import giostra.core.value.LanguageKind;
import giostra.core.value.PickKind;
import giostra.core.value.PictureKind;
import giostra.core.value.Setting;
import giostra.core.value.WordsKind;
import java.util.List;

/** The head of a page. Source of what each is for: HTML, "The document element" and "Metadata". */
public final class PageSettings {
  /** The direction in which a page is read. */
  public enum Direction {
    LTR,
    RTL
  }

  public static final Setting<String> TITLE =
      Setting.once("title", "Title", new WordsKind(200, false), "");
  public static final Setting<String> LANGUAGE =
      Setting.once("language", "Language", new LanguageKind(), "en");
  public static final Setting<Direction> DIRECTION =
      Setting.once("direction", "Direction", new PickKind<>(Direction.class), Direction.LTR);
  public static final Setting<String> DESCRIPTION =
      Setting.once("description", "Description", new WordsKind(400, false), "");
  public static final Setting<String> ICON = Setting.once("icon", "Icon", new PictureKind(), "");
  public static final Setting<String> SHARE_PICTURE =
      Setting.once("sharePicture", "Picture when shared", new PictureKind(), "");

  static final List<Setting<?>> ALL =
      List.of(TITLE, LANGUAGE, DIRECTION, DESCRIPTION, ICON, SHARE_PICTURE);

  private PageSettings() {}
}
