package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.band.Band;
import giostra.core.fit.Screen;
import giostra.core.layout.PartBox;
import giostra.core.layout.Resolution;
import giostra.core.layout.TextStyle;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.value.Around;
import giostra.core.value.Ends;
import giostra.core.value.Length;
import giostra.core.value.LetterCase;
import giostra.core.value.Setting;
import giostra.core.value.TypeSize;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What changes its size, or that of its words, while somebody points at it, presses it or comes to
 * it with the keyboard: it lays anew what is around it, which moves away under the pointer. What
 * moves or grows without taking room does not.
 */
final class Jumps {
  /** While it is only touched; what is chosen stays so. */
  private static final List<State> TOUCHED = List.of(State.HOVER, State.FOCUS, State.PRESSED);

  /** What parts of these places are takes no room of others, or is drawn by a player. */
  private static final Set<String> APART = Set.of("track", "video", "section", "tone", "type");

  private static final List<Property<Length>> LENGTHS =
      List.of(
          Property.PADDING,
          Property.PADDING_ABOVE,
          Property.PADDING_BELOW,
          Property.PADDING_START,
          Property.GAP,
          Property.GAP_ACROSS,
          Property.ABOVE,
          Property.BELOW,
          Property.LEAST_WIDE,
          Property.LEAST_HIGH,
          Property.SIZE);

  private static final List<Property<Around>> AROUND = List.of(Property.BORDER, Property.MARGIN);

  private static final List<Property<?>> LETTERS =
      List.of(
          Property.FAMILY,
          Property.WEIGHT,
          Property.TEXT_SIZE,
          Property.SPACING,
          Property.WORD_SPACING,
          Property.SLANT,
          Property.CASE,
          Property.LEADING);

  /** Less than that nobody sees, px. */
  private static final double SEEN = 0.5;

  private Jumps() {}

  static List<Snag> check(Looked at) {
    if (at.piece().isEmpty()) {
      return List.of();
    }
    Piece piece = at.piece().get();
    Scope scope = Resolution.scope(at.document(), piece);
    var found = new ArrayList<Snag>();
    for (Part part : PartsShown.of(piece)) {
      if (!APART.contains(part.id().place()) && !part.equals(PageParts.FOCUS)) {
        for (State state : part.states()) {
          if (TOUCHED.contains(state)) {
            at.document().bands().all().stream()
                .map(band -> new Touched(at.document(), piece, part, state, band, scope))
                .flatMap(Touched::jumps)
                .forEach(found::add);
          }
        }
      }
    }
    return found;
  }

  /** A part of a piece in a state, in a band. */
  private record Touched(
      Document document, Piece piece, Part part, State state, Band band, Scope scope) {
    private <T> T of(Property<T> property, State asked) {
      return Cascade.value(part, property, asked, scope, band);
    }

    /** Whether it is another than at rest; where nobody says so, it is not even asked. */
    private boolean differs(Property<?> property) {
      return part.has(property)
          && (part.initially(property, state) != null || scope.speaksOf(part.key(property, state)))
          && !of(property, state).equals(of(property, State.REST));
    }

    Stream<Snag> jumps() {
      Stream<Snag> lengths =
          LENGTHS.stream()
              .filter(this::differs)
              .map(property ->
                  jump(property, px(of(property, state)) - px(of(property, State.REST))));
      Stream<Snag> ends =
          Stream.of(Property.PADDING_SIDES)
              .filter(this::differs)
              .map(property ->
                  jump(property, sum(of(property, state)) - sum(of(property, State.REST))));
      Stream<Snag> border =
          AROUND.stream()
              .filter(this::differs)
              .map(property ->
                  jump(property, most(of(property, state)) - most(of(property, State.REST))));
      return Stream.of(lengths, ends, border, letters())
          .flatMap(each -> each)
          .filter(each -> each.measure().stream().anyMatch(m -> Math.abs(m.found()) >= SEEN));
    }

    private Screen screen() {
      return new Screen(Extent.first(band), Screen.USUAL_HEIGHT);
    }

    private double px(Length length) {
      return length.unit() == Length.Unit.EM
          ? length.amount()
              * (part.has(Property.TEXT_SIZE)
                  ? of(Property.TEXT_SIZE, State.REST).px(screen().lesser())
                  : 16)
          : length.constantPx();
    }

    private double sum(Ends ends) {
      return px(ends.start()) + px(ends.end());
    }

    /** How much more room it takes, across or down. */
    private double most(Around around) {
      double down = px(around.first()) + px(around.third());
      double across = px(around.second()) + px(around.fourth());
      return Math.max(down, across);
    }

    /** By how much its longest words get wider, or its lines higher: the more of both. */
    private Stream<Snag> letters() {
      List<Property<?>> others = LETTERS.stream().filter(this::differs).toList();
      if (others.isEmpty() || !part.has(Property.TEXT_SIZE)) {
        return Stream.empty();
      }
      Locale locale = Locale.forLanguageTag(document.page().values().get(PageSettings.LANGUAGE));
      TextStyle rest = style(State.REST);
      TextStyle there = style(state);
      double wider =
          words()
              .mapToDouble(words ->
                  there.of(words, locale).natural(screen())
                      - rest.of(words, locale).natural(screen()))
              .reduce(0, (a, b) -> Math.abs(b) > Math.abs(a) ? b : a);
      double higher = line(there) - line(rest);
      boolean across = Math.abs(wider) >= Math.abs(higher);
      return Stream.of(
          jump(others.getFirst(), across ? wider : higher, across ? "jump-words" : "jump-lines"));
    }

    private double line(TextStyle style) {
      return style.line() * style.size().applyAsDouble(screen());
    }

    private TextStyle style(State asked) {
      TypeSize size = of(Property.TEXT_SIZE, asked);
      return new TextStyle(
          PartBox.face(of(Property.FAMILY, asked), of(Property.WEIGHT, asked), scope, band),
          screen -> size.px(screen.lesser()),
          of(Property.LEADING, asked),
          of(Property.SPACING, asked),
          of(Property.WORD_SPACING, asked),
          of(Property.CASE, asked) == LetterCase.CAPITALS);
    }

    private Stream<String> words() {
      Setting<String> said =
          part.equals(PageParts.BUTTON)
              ? ItemSettings.BUTTON
              : part.equals(PageParts.SECOND_BUTTON) ? ItemSettings.BUTTON_2 : ItemSettings.HEADING;
      return piece.items().stream()
          .map(Item::values)
          .map(values -> values.get(said))
          .filter(words -> !words.isBlank());
    }

    private Snag jump(Property<?> property, double px) {
      return jump(property, px, "jump");
    }

    private Snag jump(Property<?> property, double px, String message) {
      StyleKey key = part.key(property, state);
      double rounded = Math.round(px * 10) / 10.0;
      String said =
          Said.of(
              message,
              "part",
              part.label(),
              "state",
              during(),
              "property",
              part.setting(property).label().toLowerCase(Locale.ROOT),
              "px",
              Math.abs(rounded),
              "more",
              rounded > 0 ? "more" : "less");
      return Snag.of(Rule.JUMP, piece.id(), Extent.of(band).in(state), said)
          .of(part)
          .about(key.written(), key.written())
          .measured(rounded, 0, Measure.Unit.PX)
          .withFixes(List.of(asAtRest()));
    }

    private String during() {
      return Said.of(
          switch (state) {
            case FOCUS -> "while-focus";
            case PRESSED -> "while-pressed";
            default -> "while-hover";
          });
    }

    /** Everything of it that lays out is as at rest, in this band. */
    private Snag.Fix asAtRest() {
      return new Snag.Fix(
          Said.of("as-at-rest", "state", during()),
          Stream.of(LENGTHS, List.of(Property.PADDING_SIDES), AROUND, LETTERS)
              .<Property<?>>flatMap(List::stream)
              .filter(this::differs)
              .<Edit>map(this::settled)
              .toList());
    }

    private <T> Edit settled(Property<T> property) {
      Object rest = part.setting(property).write(of(property, State.REST));
      return new Edit.SetStyle(piece.id(), part.key(property, state), band.id(), rest);
    }
  }
}
