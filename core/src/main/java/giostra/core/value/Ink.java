package giostra.core.value;

import java.util.Locale;

/** The colour of something: one of its tone's, so that it follows the tone, or one of its own. */
public sealed interface Ink {
  /** As CSS has it. */
  String css();

  /** As documents have it; {@link #parse} reads it back. */
  String written();

  /** One of the tone's. */
  record Named(ToneColour name) implements Ink {
    @Override
    public String css() {
      return "var(" + name.variable() + ")";
    }

    @Override
    public String written() {
      return PickKind.word(name);
    }
  }

  /** One that no tone changes. */
  record Own(Colour colour) implements Ink {
    @Override
    public String css() {
      return colour.css();
    }

    @Override
    public String written() {
      return colour.css();
    }
  }

  /** One of the tone's. */
  static Ink of(ToneColour name) {
    return new Named(name);
  }

  /**
   * Reads the name of a colour of the tone, or a colour.
   *
   * @throws Refused when it is neither
   */
  static Ink parse(String text) {
    String word = text.strip().toLowerCase(Locale.ROOT).replace(' ', '-');
    for (ToneColour each : ToneColour.values()) {
      if (PickKind.word(each).equals(word)) {
        return new Named(each);
      }
    }
    return new Own(Colour.parse(text));
  }
}
