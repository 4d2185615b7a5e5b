package giostra.core.page;

import giostra.core.band.Kind;
import giostra.core.band.Setting;
import java.util.List;

/** The fields of items: one vocabulary for all kinds; a piece says which it uses. */
public final class ItemSettings {
  public static final Setting<String> PICTURE =
      Setting.once("picture", "Picture", new Kind.Picture(), "");
  public static final Setting<String> ALT =
      Setting.once("alt", "Text alternative", new Kind.Words(400, false), "");
  public static final Setting<String> HEADING =
      Setting.once("heading", "Heading", new Kind.Words(300, false), "");
  public static final Setting<String> TEXT =
      Setting.once("text", "Text", new Kind.Words(4000, true), "");
  public static final Setting<String> NAME =
      Setting.once("name", "Name", new Kind.Words(120, false), "");
  public static final Setting<String> ROLE =
      Setting.once("role", "Role", new Kind.Words(120, false), "");
  public static final Setting<String> BUTTON =
      Setting.once("button", "Button", new Kind.Words(120, false), "");
  public static final Setting<String> LINK = Setting.once("link", "Link", new Kind.Address(), "");
  public static final Setting<Boolean> HIDDEN =
      Setting.once("hidden", "Hidden", new Kind.Toggle(), false);

  static final List<Setting<?>> ALL =
      List.of(PICTURE, ALT, HEADING, TEXT, NAME, ROLE, BUTTON, LINK, HIDDEN);

  private ItemSettings() {}
}
