package giostra.core.page;

import giostra.core.value.Setting;
import giostra.core.value.StylesheetKind;
import giostra.core.value.WordsKind;

/** What is said of what is found on a section, a piece or columns. */
public final class ProofSettings {
  /**
   * What is left as it is on purpose: a line each, the finding's mark and why. Written and read by
   * {@code giostra.core.snag.Leaves}.
   */
  public static final Setting<String> LEFT =
      Setting.once("left", "Left on purpose", new WordsKind(8_000, true), "");

  /**
   * Rules for what is in a section or a piece. What they touch is not computed, and so not proved.
   */
  public static final Setting<String> OWN_CSS =
      Setting.once("ownCss", "Own CSS", new StylesheetKind(8_000), "");

  private ProofSettings() {}
}
