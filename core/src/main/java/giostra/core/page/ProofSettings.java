package giostra.core.page;

import giostra.core.value.Kind;
import giostra.core.value.Setting;

/** What is said of what is found on a piece or on columns. */
public final class ProofSettings {
  /**
   * What is left as it is on purpose: a line each, the finding's mark and why. Written and read by
   * {@code giostra.core.snag.Leaves}.
   */
  public static final Setting<String> LEFT =
      Setting.once("left", "Left on purpose", new Kind.Words(8_000, true), "");

  private ProofSettings() {}
}
