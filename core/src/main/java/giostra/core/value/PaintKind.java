package giostra.core.value;

import java.util.Arrays;
import java.util.stream.Collectors;

/**
 * A colour: see {@link Ink}.
 *
 * @param around whether it may be that of what is around
 */
public record PaintKind(boolean around) implements ParsedKind<Ink> {
  public PaintKind() {
    this(false);
  }

  @Override
  public Ink parse(String text) {
    return around && text.strip().equalsIgnoreCase(Ink.AROUND.written())
        ? Ink.AROUND
        : Ink.parse(text);
  }

  @Override
  public Object write(Ink value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return "a colour such as #1c2b27, #1c2b27cc or rgb(28 43 39 / 80%), or one of the tone: "
        + Arrays.stream(ToneColour.values()).map(PickKind::word).collect(Collectors.joining(", "))
        + "; such a one may be deeper or lighter by 1 to 6 steps and less solid: accent deeper 2,"
        + " ink / 75%"
        + (around ? "; or around, as the words around it" : "");
  }
}
