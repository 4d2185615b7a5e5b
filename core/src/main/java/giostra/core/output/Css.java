package giostra.core.output;

import giostra.core.page.BlockSettings.Side;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.Require;
import java.util.Locale;

/** Values of the document in the words of CSS. */
public final class Css {
  private Css() {}

  /** A length that calculations may hold: nothing is {@code 0px} there, never {@code 0}. */
  public static String px(Length length) {
    return length.isZero() ? "0px" : length.css();
  }

  /** The word of a constant: {@code start}, {@code line-below}. */
  public static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Margins that let something narrower than its room stand where it should. */
  public static String standing(Side side) {
    return switch (side) {
      case START -> "0 auto";
      case CENTER -> "auto";
      case END -> "auto 0";
    };
  }

  /** A file, whatever is in its address. Source: CSS Values 4, "The url() Notation". */
  public static String url(String address) {
    return "url(\""
        + address.replace("\\", "%5C").replace("\"", "%22").replace("<", "%3C").replace("\n", "")
        + "\")";
  }

  /** A side as flex and grid boxes name it. */
  public static String flex(Side side) {
    return side == Side.CENTER ? "center" : "flex-" + word(side);
  }

  /** The least height that a height asks for. */
  public static String least(Height height) {
    return switch (height) {
      case Height.Auto _, Height.Ratio _ -> "0px";
      case Height.Fixed(var length) -> length.css();
      // A stage has no bars of its own: what the bench says of them stands in its place.
      case Height.Screen(var percent, var of) when of == Height.Of.LARGE ->
          "calc(" + Require.number(percent) + "*var(--g-lvh,1lvh))";
      case Height.Screen(var percent, var of) -> Require.number(percent) + of.unit();
    };
  }

  /** The ratio that a height asks for. */
  public static String ratio(Height height) {
    return height instanceof Height.Ratio(var wide, var high)
        ? Require.number(wide) + "/" + Require.number(high)
        : "auto";
  }
}
