package giostra.core.page;

import giostra.core.value.Setting;
import giostra.core.value.WordsKind;

/** What is said of what is found on a section, a piece or columns. */
public final class ProofSettings {
  /**
   * What is left as it is on purpose: a line each, the finding's mark and why. Written and read by
   * {@code giostra.core.snag.Leaves}.
   */
  public static final Setting<String> LEFT =
      Setting.once("left", "Left on purpose", new WordsKind(8_000, true), "");

  private ProofSettings() {}
}
