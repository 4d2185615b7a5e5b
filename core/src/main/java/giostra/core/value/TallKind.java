package giostra.core.value;

import java.util.Locale;

/** How high something is: see {@link Height}. */
public record TallKind(double leastPx, double mostPx) implements Kind<Height> {
  @Override
  public Height read(String what, Object raw) {
    Height height;
    try {
      height = Height.parse(raw.toString());
    } catch (Refused e) {
      throw new Refused(what, raw.toString(), allowed());
    }
    if (height instanceof Height.Fixed(var px)
        && !(px.constantPx() >= leastPx && px.constantPx() <= mostPx)) {
      throw new Refused(what, raw.toString(), allowed());
    }
    return height;
  }

  @Override
  public Object write(Height value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return String.format(
        Locale.ROOT,
        "auto, a length from %s to %s px, a ratio such as 16:9, or a share of the screen's height such as 60svh (lvh without the bars of the browser, dvh as they are)",
        Require.number(leastPx),
        Require.number(mostPx));
  }
}
