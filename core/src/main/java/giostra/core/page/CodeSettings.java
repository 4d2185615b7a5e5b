package giostra.core.page;

import giostra.core.value.CodeKind;
import giostra.core.value.OwnCode;
import giostra.core.value.Setting;
import giostra.core.value.TokenKind;
import java.util.List;

/**
 * Code of one's own on published pages, a site's or a page's; of both the site's comes first. It is
 * off on the stage and in previews, and nothing of what it does is computed.
 */
public final class CodeSettings {
  private static final int MOST = 20_000;

  /** A host as a policy names it, and what is one below it. */
  private static final String HOST =
      "https://(\\*\\.)?[a-z0-9-]{1,63}(\\.[a-z0-9-]{1,63}){0,8}(:[0-9]{1,5})?";

  public static final Setting<String> HEAD =
      Setting.once("headCode", "Code in the head", new CodeKind(OwnCode.Where.HEAD, MOST), "");

  public static final Setting<String> END =
      Setting.once("endCode", "Code at the end", new CodeKind(OwnCode.Where.END, MOST), "");

  /** What the code fetches in turn, which cannot be read off it. */
  public static final Setting<String> HOSTS =
      Setting.once(
          "codeHosts",
          "Hosts that the code asks",
          new TokenKind(
              HOST + "( " + HOST + "){0,19}",
              "up to twenty hosts with a space between them, such as"
                  + " https://stats.example https://*.pictures.example"),
          "");

  static final List<Setting<?>> ALL = List.of(HEAD, END, HOSTS);

  private CodeSettings() {}
}
