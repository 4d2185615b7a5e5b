package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TypeStyles;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.output.Compiled;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.NodeType;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.piece.counters.CounterParts;
import giostra.core.piece.flipboxes.FlipParts;
import giostra.core.piece.tabs.TabsParts;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.TypeStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Everybody speaks at once: documents in which site, looks, page, sections, pieces and items say at
 * random what colours and weights parts have in which state and band, which style of type their
 * words are set in, and how heavy such a style is. What the cascade says of each has to be what the
 * browser has.
 */
@ExtendWith(Chromium.class)
class LayersJourney {
  private static final List<State> STATES =
      List.of(State.REST, State.FOCUS, State.HOVER, State.PRESSED);

  private static final String HELD = ":is(.g-button,.g-kicker,.g-card,.g-head,.g-front,.g-figure)";

  /** A part, and where each item of a kind has it, as this journey knows the markup. */
  private record Seen(NodeType kind, Part part, String selector, boolean ground) {}

  private static final List<Seen> SEEN =
      List.of(
          new Seen(NodeType.CAROUSEL, PageParts.BUTTON, "[data-item=?] .g-button", false),
          new Seen(NodeType.CAROUSEL, PageParts.KICKER, "[data-item=?] .g-kicker", false),
          new Seen(NodeType.CAROUSEL, CarouselParts.CARD, "[data-item=?] .g-card", true),
          new Seen(NodeType.TABS, TabsParts.TAB, "[data-of=?]", false),
          new Seen(NodeType.TABS, PageParts.KICKER, "#g-?-panel > .g-inner > .g-kicker", false),
          new Seen(NodeType.FLIP_BOXES, FlipParts.FRONT, "[data-item=?] .g-front", true),
          new Seen(NodeType.COUNTERS, CounterParts.NUMBER, "[data-item=?] .g-number", false));

  private final Random random = new Random(20_261_127);
  private int ids;

  @InTurn(15)
  @Test
  void whatTheCascadeSaysIsWhatTheBrowserHas(Chromium.Open chromium) {
    Page page = chromium.page(1280, 900);
    var wrong = new ArrayList<String>();
    int looked = 0;
    for (int n = 0; n < Runs.of(8, 400); n++) {
      Document document = document();
      show(page, document);
      for (int width :
          Runs.deep() ? List.of(1280, 800, 390) : List.of(1280, n % 2 == 0 ? 800 : 390)) {
        page.setViewportSize(width, 900);
        Band band = document.bands().at(width);
        for (State state : STATES) {
          CDPSession browser = page.context().newCDPSession(page);
          if (state != State.REST) {
            LooksJourney.hold(browser, held(state), HELD);
          }
          List<Asked> asked = asked(document, state, band);
          List<?> found =
              (List<?>)
                  page.evaluate(
                      """
                          (all) => all.map(([selector, name]) => {
                        const seen = document.querySelector(selector);
                        return seen ? getComputedStyle(seen)[name] : 'nowhere';
                      })\
                      """,
                      asked.stream().map(each -> List.of(each.selector, each.name)).toList());
          for (int i = 0; i < asked.size(); i++) {
            if (!found.get(i).equals(asked.get(i).expected)) {
              wrong.add(asked.get(i) + " is " + found.get(i) + ", document " + n);
            }
          }
          looked += asked.size();
          browser.detach();
        }
      }
    }
    assertThat(wrong).as("of %d", looked).isEmpty();
    assertThat(looked).isGreaterThan(4_000);
  }

  private static String held(State state) {
    return switch (state) {
      case HOVER -> "hover";
      case FOCUS -> "focus-visible";
      // What a mouse presses is under it as well.
      case PRESSED -> "hover active";
      case REST, CURRENT, DISABLED -> "";
    };
  }

  private static void show(Page page, Document document) {
    Compiled compiled = Compiler.compile(document, Shipped.scriptsOnly());
    page.setContent(
        compiled
            .html()
            .replaceAll("<link rel=\"stylesheet\"[^>]*>|<script[^>]*></script>", "")
            .replace(
                "</head>",
                "<style>" + compiled.css() + "*{transition:none!important}</style></head>"));
  }

  /** An element, what of it is asked, and what the cascade says. */
  private record Asked(String selector, String name, String expected, String told) {}

  private static List<Asked> asked(Document document, State held, Band band) {
    var all = new ArrayList<Asked>();
    for (Piece piece : document.pieces()) {
      for (Seen seen : SEEN) {
        if (seen.kind != piece.type()) {
          continue;
        }
        for (int i = 0; i < piece.items().size(); i++) {
          Item item = piece.items().get(i);
          boolean current = seen.part.states().contains(State.CURRENT) && i == 0;
          if (current && held != State.REST) {
            // Two states at once: which of them is the stronger is another journey's.
            continue;
          }
          State state = current ? State.CURRENT : held;
          all.add(
              new Asked(
                  seen.selector.replace("?", item.id()),
                  seen.ground ? "backgroundColor" : "color",
                  colour(document, item, seen, state, Resolution.scope(document, item), band),
                  seen.part + " of " + item.id() + ", " + state + " at " + band.id()));
          if (seen.part.has(Property.WEIGHT)) {
            all.add(
                new Asked(
                    seen.selector.replace("?", item.id()),
                    "fontWeight",
                    Integer.toString(
                        Cascade.value(
                            seen.part,
                            Property.WEIGHT,
                            state,
                            Resolution.scope(document, item),
                            band)),
                    "weight of "
                        + seen.part
                        + " of "
                        + item.id()
                        + ", "
                        + state
                        + " at "
                        + band.id()));
          }
        }
      }
    }
    return all;
  }

  private static String colour(
      Document document, Item item, Seen seen, State state, Scope scope, Band band) {
    Ink ink =
        seen.ground
            ? ((Ground.Plain) Cascade.value(seen.part, Property.GROUND, state, scope, band)).ink()
            : Cascade.value(seen.part, Property.INK, state, scope, band);
    Colour colour = Resolution.tone(document, item, band).colour(ink);
    return String.format(
        Locale.ROOT, "rgb(%d, %d, %d)", colour.red(), colour.green(), colour.blue());
  }

  // --- what is drawn ---

  private Document document() {
    ids = 0;
    var looks = new ArrayList<Look>();
    for (NodeType kind : List.of(NodeType.CAROUSEL, NodeType.TABS, NodeType.FLIP_BOXES)) {
      Values named =
          Values.NONE
              .with(LookSettings.NAME, Values.ALL, "Of " + kind.word())
              .with(LookSettings.OF, Values.ALL, LookSettings.Of.of(kind));
      looks.add(new Look("look." + kind.word(), said(named, kind)));
    }
    var sections = new ArrayList<Section>();
    for (int i = 0; i < 2; i++) {
      Values own = random.nextBoolean() ? said(Values.NONE, null) : Values.NONE;
      List<Block> blocks =
          List.of(
              piece(NodeType.CAROUSEL, List.of()),
              piece(NodeType.FLIP_BOXES, List.of()),
              piece(NodeType.COUNTERS, List.of()),
              // In a panel of tabs stand cards, and tabs that may wear the same look.
              piece(
                  NodeType.TABS,
                  List.of(piece(NodeType.CAROUSEL, List.of()), piece(NodeType.TABS, List.of()))));
      sections.add(new Section("s-" + i, own, blocks));
    }
    return new Document(
        new Site(Bands.INITIAL, styled(said(Values.NONE, null)), looks),
        new giostra.core.page.Page("page", said(Values.NONE, null), sections));
  }

  private Piece piece(NodeType kind, List<Block> inside) {
    String worn = "look." + kind.word();
    boolean wears = kind != NodeType.COUNTERS && random.nextInt(3) > 0;
    Values values = wears ? Values.NONE.with(LookSettings.WORN, Values.ALL, worn) : Values.NONE;
    var items = new ArrayList<Item>();
    for (int i = 0; i < 2; i++) {
      Values own =
          Values.NONE
              .with(ItemSettings.HEADING, Values.ALL, "Heading")
              .with(ItemSettings.KICKER, Values.ALL, "Kicker")
              .with(ItemSettings.BUTTON, Values.ALL, "Go")
              .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#there")
              .with(ItemSettings.TO, Values.ALL, 7.0);
      Values says = random.nextBoolean() ? said(own, kind) : own;
      items.add(new Item(kind.word() + "-i" + ids++, says, i == 0 ? inside : List.of()));
    }
    Values says = random.nextBoolean() ? said(values, kind) : values;
    return (Piece) kind.make(kind.word() + "-" + ids++, says, items);
  }

  /** With a weight of a part, or the style of type that its words are set in. */
  private Values typed(Values values, Part part, State state, Band band) {
    return switch (random.nextInt(4)) {
      case 0 -> values.withStyle(part.key(Property.WEIGHT, state), band.id(), weight());
      case 1 ->
          values.withStyle(
              part.key(Property.TYPE, state),
              band.id(),
              TypeStyle.values()[random.nextInt(TypeStyle.values().length)]);
      default -> values;
    };
  }

  private int weight() {
    return 100 + 10 * random.nextInt(80);
  }

  /** What a site says of some styles of type as well. */
  private Values styled(Values values) {
    Values all = values;
    for (TypeStyle style : TypeStyle.values()) {
      if (random.nextInt(3) == 0) {
        Band band = Bands.INITIAL.all().get(random.nextInt(Bands.INITIAL.all().size()));
        StyleKey key = TypeStyles.part(style).key(Property.WEIGHT, State.REST);
        all = all.withStyle(key, band.id(), weight());
      }
    }
    return all;
  }

  /** With some values of the parts that are looked at, of one kind or of all. */
  private Values said(Values values, @org.jspecify.annotations.Nullable NodeType kind) {
    Values all = values;
    List<Seen> of = SEEN.stream().filter(seen -> kind == null || seen.kind == kind).toList();
    for (int n = random.nextInt(6); n > 0; n--) {
      Seen seen = of.get(random.nextInt(of.size()));
      State state = seen.part.states().get(random.nextInt(seen.part.states().size()));
      Band band = Bands.INITIAL.all().get(random.nextInt(Bands.INITIAL.all().size()));
      var ink =
          new Ink.Own(
              new Colour(random.nextInt(256), random.nextInt(256), random.nextInt(256), 255));
      Map.Entry<Property<?>, Object> value =
          seen.ground
              ? Map.entry(Property.GROUND, new Ground.Plain(ink))
              : Map.entry(Property.INK, ink);
      all = all.withStyle(seen.part.key(value.getKey(), state), band.id(), value.getValue());
      if (seen.part.has(Property.WEIGHT)) {
        all = typed(all, seen.part, state, band);
      }
    }
    return all;
  }
}
