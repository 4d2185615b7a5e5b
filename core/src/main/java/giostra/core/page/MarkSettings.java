package giostra.core.page;

import giostra.core.value.Setting;
import giostra.core.value.TokenKind;
import java.util.List;

/** How the designer's own scripts and styles, and links, find something on a published page. */
public final class MarkSettings {
  /** A name to link to it by: {@code #tickets}. */
  public static final Setting<String> ANCHOR =
      Setting.once(
          "anchor",
          "Anchor",
          new TokenKind("[A-Za-z][A-Za-z0-9_-]{0,60}", "letters, digits, hyphens; a letter first"),
          "");

  public static final Setting<String> CLASSES =
      Setting.once(
          "classes",
          "Class",
          new TokenKind(
              "(?!g-)[A-Za-z_][\\w-]{0,60}( (?!g-)[A-Za-z_][\\w-]{0,60}){0,9}",
              "up to 10 class names with spaces between; those that begin with g- are ours"),
          "");

  /** Attributes for scripts, as {@code data-key="value"}. */
  public static final Setting<String> DATA =
      Setting.once(
          "data",
          "Data",
          new TokenKind(
              "[a-z][a-z0-9-]{0,40}=[^\"&<>;=]{0,200}(; ?[a-z][a-z0-9-]{0,40}=[^\"&<>;=]{0,200}){0,9}",
              "names and values such as place=left; size=3"),
          "");

  static final List<Setting<?>> ALL = List.of(ANCHOR, CLASSES, DATA);

  private MarkSettings() {}
}
