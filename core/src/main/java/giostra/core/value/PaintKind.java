package giostra.core.value;

import java.util.Arrays;
import java.util.stream.Collectors;

/** A colour: see {@link Ink}. */
public record PaintKind() implements ParsedKind<Ink> {
  @Override
  public Ink parse(String text) {
    return Ink.parse(text);
  }

  @Override
  public Object write(Ink value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return "a colour such as #1c2b27, #1c2b27cc or rgb(28 43 39 / 80%), or one of the tone: "
        + Arrays.stream(ToneColour.values()).map(PickKind::word).collect(Collectors.joining(", "));
  }
}
