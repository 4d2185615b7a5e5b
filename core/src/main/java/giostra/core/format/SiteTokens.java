package giostra.core.format;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TypeStyles;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import giostra.core.value.Typeface;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What of a site has a token, and under which path. */
final class SiteTokens {
  /**
   * A value of the site that has a token, or a field of one.
   *
   * @param node who says it
   * @param path of the token
   * @param field of what the token holds; empty where it is one value
   */
  record Known(Node node, StyleKey key, String path, String field, TokenValue as) {}

  private final Document document;
  private final Band band;
  private final List<Known> known = new ArrayList<>();

  SiteTokens(Document document) {
    this.document = document;
    this.band = document.bands().lead();
    for (Tone tone : Tone.ALL) {
      if (!Tone.OWN.contains(tone) || document.site().called(tone).isPresent()) {
        for (ToneColour name : ToneColour.values()) {
          know(
              document.site(),
              tone.part(),
              Property.of(name),
              tone.part().id().id() + "." + PickKind.word(name),
              "",
              TokenValue.COLOR);
        }
      }
    }
    for (TypeStyle style : TypeStyle.values()) {
      Part part = TypeStyles.part(style);
      String path = part.id().id();
      know(document.site(), part, Property.WEIGHT, path, "fontWeight", TokenValue.WEIGHT);
      know(document.site(), part, Property.LEADING, path, "lineHeight", TokenValue.NUMBER);
    }
    document.site().looks().forEach(this::know);
  }

  private void know(
      Node node, Part part, Property<?> property, String path, String field, TokenValue as) {
    known.add(new Known(node, part.key(property, State.REST), path, field, as));
  }

  /** Of a look what it says in the widest band, where the format has a type for it. */
  private void know(Look look) {
    look.values()
        .styles()
        .set()
        .forEach((key, said) -> {
          Object value = said.get(band.id());
          type(key, value)
              .ifPresent(as ->
                  known.add(
                      new Known(
                          look,
                          key,
                          "look."
                              + look.id()
                              + "."
                              + key.part().id()
                              + "."
                              + StyleKey.word(key.state())
                              + "."
                              + key.property().id(),
                          "",
                          as)));
        });
  }

  private static Optional<TokenValue> type(StyleKey key, @Nullable Object value) {
    return switch (value) {
      case Ink.Own _ -> Optional.of(TokenValue.COLOR);
      case Ground.Plain(Ink.Own _) -> Optional.of(TokenValue.COLOR);
      case Length length when length.unit() == Length.Unit.PX || length.unit() == Length.Unit.REM ->
          Optional.of(TokenValue.DIMENSION);
      case Integer _ when key.property().equals(Property.WEIGHT) -> Optional.of(TokenValue.WEIGHT);
      case Double _ -> Optional.of(TokenValue.NUMBER);
      case null, default -> Optional.empty();
    };
  }

  Document document() {
    return document;
  }

  Band band() {
    return band;
  }

  List<Known> known() {
    return known;
  }

  private Scope scope(Node node) {
    return Resolution.scope(document, node);
  }

  /** As the site has it, in the widest band. */
  <T> T of(Part part, Property<T> property) {
    return Cascade.value(part, property, State.REST, scope(document.site()), band);
  }

  /** A value as it is, as documents have it. */
  Object now(Known it) {
    Setting<?> setting = it.node.type().style(it.key);
    Object own = it.node.values().styles().own(it.key, band.id());
    if (own != null) {
      return setting.write(own);
    }
    Part part = Anatomy.part(it.key.part());
    return setting.write(
        Cascade.value(part, it.key.property(), it.key.state(), scope(it.node), band));
  }

  /** Its name without what says how its file is made. */
  static String called(Typeface face) {
    return face.face().replace(" Variable", "");
  }

  /** A size in one of the units that the format has. */
  static String plain(Length length) {
    return length.unit() == Length.Unit.REM ? length.css() : Length.px(length.constantPx()).css();
  }
}
