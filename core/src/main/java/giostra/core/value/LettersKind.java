package giostra.core.value;

import java.util.Locale;
import java.util.stream.Stream;

/**
 * The size of letters, which may grow with the screen: see {@link TypeSize}.
 *
 * @param em whether it may be a multiple of the letters that it stands among, which only some parts
 *     know
 */
public record LettersKind(double least, double most, boolean em) implements ParsedKind<TypeSize> {
  /** A size that is no multiple of another. */
  public LettersKind(double least, double most) {
    this(least, most, false);
  }

  @Override
  public TypeSize parse(String text) {
    TypeSize size = TypeSize.parse(text);
    boolean shares =
        Stream.of(size.least(), size.base(), size.most())
            .anyMatch(each -> each.unit() == Length.Unit.EM);
    if (shares && !em) {
      throw new Refused("text size", text, "px or rem");
    }
    Require.within(least, most, "least text size (px)", size.least().constantPx());
    Require.within(least, most, "greatest text size (px)", size.most().constantPx());
    Require.within(-most, most, "text size (px)", size.base().constantPx());
    return size;
  }

  @Override
  public Object write(TypeSize value) {
    return value.css();
  }

  @Override
  public String allowed() {
    return String.format(
        Locale.ROOT,
        "a length from %s to %s px (px, rem%s), or one that grows with the screen such as"
            + " clamp(28px, 22px + 1.5vmin, 40px)",
        Require.number(least),
        Require.number(most),
        em ? ", em" : "");
  }
}
