package giostra.server.release;

import com.ibm.icu.text.ArabicShaping;
import com.ibm.icu.text.ArabicShapingException;
import com.ibm.icu.text.Bidi;
import com.ibm.icu.text.BidiRun;
import com.openhtmltopdf.bidi.BidiReorderer;
import com.openhtmltopdf.bidi.BidiSplitter;
import com.openhtmltopdf.bidi.BidiTextRun;

/**
 * Words that are read from right to left, for whoever draws from left to right. Sources: UAX #9
 * "Unicode Bidirectional Algorithm", by ICU; forms of Arabic letters by ICU's shaping.
 */
final class IcuBidi implements BidiSplitter, BidiReorderer {
  private final Bidi bidi = new Bidi();

  @Override
  public void setParagraph(String text, byte direction) {
    bidi.setPara(text, direction == RTL ? Bidi.LEVEL_DEFAULT_RTL : Bidi.LEVEL_DEFAULT_LTR, null);
  }

  @Override
  public int countTextRuns() {
    return bidi.countRuns();
  }

  @Override
  public BidiTextRun getVisualRun(int n) {
    BidiRun run = bidi.getVisualRun(n);
    return new BidiTextRun(
        run.getStart(), run.getLength(), run.getDirection() == Bidi.RTL ? RTL : LTR);
  }

  @Override
  public byte getBaseDirection(String text) {
    return switch (Bidi.getBaseDirection(text)) {
      case Bidi.LTR -> LTR;
      case Bidi.RTL -> RTL;
      default -> NEUTRAL;
    };
  }

  @Override
  public String reorderRTLTextToLTR(String text) {
    return Bidi.writeReverse(text, Bidi.DO_MIRRORING);
  }

  @Override
  public String shapeText(String text) {
    return shaped(text, ArabicShaping.LETTERS_SHAPE | ArabicShaping.LENGTH_GROW_SHRINK);
  }

  @Override
  public String deshapeText(String text) {
    return shaped(text, ArabicShaping.LETTERS_UNSHAPE | ArabicShaping.LENGTH_GROW_SHRINK);
  }

  private static String shaped(String text, int how) {
    try {
      return new ArabicShaping(how | ArabicShaping.TEXT_DIRECTION_LOGICAL).shape(text);
    } catch (ArabicShapingException e) {
      return text;
    }
  }

  @Override
  public boolean isLiveImplementation() {
    return true;
  }
}
