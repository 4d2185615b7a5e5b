package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.band.Band;
import giostra.core.fit.LayoutUnit;
import giostra.core.fit.Screen;
import giostra.core.layout.PartBox;
import giostra.core.layout.Resolution;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Stream;

/**
 * Buttons that are lower than a finger hits: 24 px. Source: WCAG 2.2, 2.5.8, which lets pass what
 * keeps so far from all else that is pressed; a finger misses it all the same. Of two where one is
 * high enough nothing is said: in a row both are as high as that. All else that is pressed has 24
 * px or more by what can be set, or is as wide and high as the words of a button.
 */
final class LowTargets {
  private static final double LEAST = 24;

  /** What is one unit of layout lower is as high as was asked for, and cut. */
  private static final double LOW = LEAST - LayoutUnit.ONE;

  /** What fingers like. Source: WCAG 2.2, 2.5.5. */
  private static final double EASY = 44;

  /**
   * Buttons that are alike. Those of an item stand in a row, and each is as high as the highest.
   *
   * @param speaks whose styles they have
   * @param parts of the buttons of one item
   * @param icon whether each of them has one
   */
  private record Pressed(Node speaks, List<Part> parts, boolean icon) {}

  /**
   * Where in a band they are too low.
   *
   * @param from the first viewport width, px
   * @param to the last
   * @param height the least, px
   * @param letters how high a line of each is there, px
   */
  private record Low(int from, int to, double height, List<Double> letters) {}

  private final Looked at;

  private LowTargets(Looked at) {
    this.at = at;
  }

  static List<Snag> check(Looked at) {
    var here = new LowTargets(at);
    return pressed(at.node()).flatMap(pressed -> here.of(pressed).stream()).toList();
  }

  /**
   * Each way that buttons of a section, or of a piece, are; what lies in a piece is the piece's.
   */
  private static Stream<Pressed> pressed(Node node) {
    var all = new ArrayList<Pressed>();
    switch (node) {
      case Piece piece -> ofPiece(piece, all);
      case Section section -> section.children().forEach(each -> blocks(each, all));
      default -> {}
    }
    Map<List<Object>, Pressed> alike = new LinkedHashMap<>();
    for (Pressed each : all) {
      alike.merge(
          List.of(each.speaks.id(), each.parts),
          each,
          (one, other) -> new Pressed(one.speaks, one.parts, one.icon && other.icon));
    }
    return alike.values().stream();
  }

  private static void ofPiece(Piece piece, List<Pressed> all) {
    if (!piece.values().get(PieceSettings.TITLE_BUTTON).isEmpty()
        && PieceSettings.TITLE_LINK.in(piece.values()).leads()) {
      all.add(new Pressed(piece, List.of(PageParts.BUTTON), false));
    }
    for (Item item : piece.onShow()) {
      Node speaks = item.values().styles().set().isEmpty() ? piece : item;
      List<Fields.Pressed> its = Fields.buttons(piece, item);
      if (!its.isEmpty()) {
        all.add(
            new Pressed(
                speaks,
                its.stream()
                    .map(each -> each.second() ? PageParts.SECOND_BUTTON : PageParts.BUTTON)
                    .toList(),
                its.stream().noneMatch(each -> each.icon().isEmpty())));
      }
      item.children().forEach(each -> blocks(each, all));
    }
  }

  private static void blocks(Node node, List<Pressed> all) {
    switch (node) {
      case Piece _ -> {}
      case Block.Button button -> {
        if (!button.values().get(BlockSettings.LABEL).isEmpty()) {
          boolean icon = !button.values().get(ItemSettings.BUTTON_ICON).isEmpty();
          all.add(new Pressed(button, List.of(PageParts.BUTTON), icon));
        }
      }
      default -> node.children().forEach(each -> blocks(each, all));
    }
  }

  private List<Snag> of(Pressed pressed) {
    return at.document().bands().all().stream()
        .flatMap(band -> low(pressed, band).map(low -> snag(pressed, band, low)).stream())
        .toList();
  }

  /** Letters grow with the screen or stay: at one end of a band they are the smallest. */
  private Optional<Low> low(Pressed pressed, Band band) {
    Scope scope = Resolution.scope(at.document(), pressed.speaks);
    List<PartBox> boxes =
        pressed.parts.stream().map(part -> new PartBox(part, scope, band)).toList();
    Optional<PartBox> icon =
        pressed.icon
            ? Optional.of(new PartBox(PageParts.BUTTON_ICON, scope, band))
            : Optional.empty();
    IntToDoubleFunction height =
        width -> boxes.stream().mapToDouble(box -> height(box, icon, width)).max().orElseThrow();
    int from = Extent.first(band);
    int to = Extent.last(band);
    boolean first = height.applyAsDouble(from) < LOW;
    boolean last = height.applyAsDouble(to) < LOW;
    if (!first && !last) {
      return Optional.empty();
    }
    if (first != last) {
      int low = first ? from : to;
      int high = first ? to : from;
      while (Math.abs(low - high) > 1) {
        int middle = (low + high) / 2;
        if (height.applyAsDouble(middle) < LOW) {
          low = middle;
        } else {
          high = middle;
        }
      }
      from = first ? from : low;
      to = first ? low : to;
    }
    int smallest = height.applyAsDouble(from) <= height.applyAsDouble(to) ? from : to;
    return Optional.of(
        new Low(
            from,
            to,
            height.applyAsDouble(smallest),
            boxes.stream().map(box -> letters(box, icon, smallest)).toList()));
  }

  /** Of one line of words, px; where all of them take two they are higher. */
  private static double height(PartBox box, Optional<PartBox> icon, int width) {
    Screen screen = screen(width);
    return letters(box, icon, width)
        + LayoutUnit.kept(box.px(Property.PADDING_ABOVE, screen))
        + LayoutUnit.kept(box.px(Property.PADDING_BELOW, screen));
  }

  private static double letters(PartBox box, Optional<PartBox> icon, int width) {
    double size = box.of(Property.TEXT_SIZE).px(screen(width).lesser());
    double sign = icon.map(each -> each.em(Property.SIZE, size)).orElse(0.0);
    return Math.max(LayoutUnit.kept(sign), LayoutUnit.line(size, box.of(Property.LEADING)));
  }

  private static Screen screen(int width) {
    return new Screen(width, Screen.USUAL_HEIGHT);
  }

  private Snag snag(Pressed pressed, Band band, Low low) {
    Node node = at.node();
    boolean item = pressed.speaks instanceof Item;
    Part part = pressed.parts.getFirst();
    String padding = part.key(Property.PADDING_ABOVE, State.REST).written();
    Snag snag =
        Snag.of(
                Rule.LOW_TARGET,
                item ? node.id() : pressed.speaks.id(),
                Extent.of(low.from, low.to, band),
                Said.of(
                    "low-target",
                    "part",
                    part.label(),
                    "px",
                    Math.floor(10 * low.height) / 10,
                    "least",
                    Math.round(LEAST)))
            .of(part)
            .about(padding, padding)
            .measured(low.height, LEAST, Measure.Unit.PX)
            .withFixes(Stream.of(LEAST, EASY).map(high -> as(pressed, band, low, high)).toList());
    return item ? snag.of(pressed.speaks.id()) : snag;
  }

  private static Snag.Fix as(Pressed pressed, Band band, Low low, double high) {
    var edits = new ArrayList<Edit>();
    for (int i = 0; i < pressed.parts.size(); i++) {
      Length room = Length.px(Math.ceil((high - low.letters.get(i)) / 2));
      for (var side : List.of(Property.PADDING_ABOVE, Property.PADDING_BELOW)) {
        edits.add(
            new Edit.SetStyle(
                pressed.speaks.id(),
                pressed.parts.get(i).key(side, State.REST),
                band.id(),
                room.css()));
      }
    }
    return new Snag.Fix(Said.of("higher", "px", Math.round(high)), edits);
  }
}
