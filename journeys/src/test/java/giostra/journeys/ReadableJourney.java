package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import giostra.core.anatomy.PageParts;
import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionParts;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.piece.counters.CounterParts;
import giostra.core.piece.counters.Counters;
import giostra.core.piece.flipboxes.FlipBoxes;
import giostra.core.piece.flipboxes.FlipParts;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsParts;
import giostra.core.snag.PartContrast;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Ink;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Words on grounds of all kinds, some of which are seen through, within one another: what the
 * engine says of their contrast, against what axe-core reads off the live page. Its rule: WCAG 2.2,
 * 1.4.3.
 */
@ExtendWith({Giostra.class, Chromium.class})
class ReadableJourney {
  /** Colours are whole numbers at each step of axe's, and its ratios are cut after two digits. */
  private static final double CLOSE = 0.02;

  /** What an element is, in words of ours: the node, the part and its state. */
  private static final String WHERE =
      """
      (element) => {
        const parts = {
          'page.kicker': '.g-kicker',
          'page.subheading': '.g-sub',
          'carousel.heading': '.g-card > .g-body > :is(h2,h3,h4)',
          'quotation.text': '.g-words > blockquote',
          'quotation.name': '.g-name',
          'quotation.role': '.g-role',
          'tabs.heading': '[role=tab]',
          'accordion.heading': 'summary',
          'counters.number': '.g-number',
          'counters.title': '.g-title',
          'flip.heading': '.g-front :is(h2,h3,h4)',
          'page.text': '.g-text',
          'page.heading-2': '.g-block > h2',
          'page.second-button': '.g-second',
          'page.button': '.g-button',
          'page.item-text': '.g-copy',
        };
        for (const [part, selector] of Object.entries(parts)) {
          const of = element.closest(selector);
          if (!of) continue;
          const block = of.closest('.g-block');
          const piece = of.closest('[data-piece]');
          const node = block && (!piece || piece.contains(block)) && !block.matches('[data-piece]')
            ? (block.id || of.id).slice(2) : piece.dataset.piece;
          const current = of.matches('[aria-selected=true]') || of.closest('details[open]') !== null;
          return `${node} ${part} ${current ? 'current' : 'rest'}`;
        }
        return null;
      }
      """;

  /**
   * Opens the first row of each accordion. The order in which axe has what lies over one another is
   * not the browser's where a box is moved, and what lies clear over words it does not read; both
   * are taken out of its way.
   */
  private static final String READY =
      """
      () => {
        document.querySelectorAll('details:first-of-type').forEach((each) => (each.open = true));
        const sheet = new CSSStyleSheet();
        sheet.replaceSync('.g-belt{transform:none!important}.g-over-turn{display:none!important}');
        document.adoptedStyleSheets.push(sheet);
      }
      """;

  private final Random random = new Random(20_261_201);

  private static Item item(String id, Block... panel) {
    return new Item(
        id,
        Values.NONE
            .with(ItemSettings.KICKER, Values.ALL, "Until the frost")
            .with(ItemSettings.HEADING, Values.ALL, "An evening")
            .with(ItemSettings.TEXT, Values.ALL, "The paths are lit as far as the pond.")
            .with(ItemSettings.NAME, Values.ALL, "A guest")
            .with(ItemSettings.ROLE, Values.ALL, "came twice")
            .with(ItemSettings.BUTTON, Values.ALL, "See it")
            .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#g-words-0"),
        List.of(panel));
  }

  private static Block.Text text(String id) {
    return new Block.Text(
        id, Values.NONE.with(BlockSettings.PARAGRAPHS, Values.ALL, "Bring something warm."));
  }

  private <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private Carousel cards(String id) {
    Values values =
        Values.NONE
            .with(CarouselSettings.CARD, Values.ALL, one(List.of(CarouselSettings.Card.values())))
            .with(CarouselSettings.FRAME, Values.ALL, one(List.of(CarouselSettings.Frame.values())))
            .with(
                CarouselSettings.NAME_LINE,
                Values.ALL,
                one(List.of(CarouselSettings.NameLine.values())));
    return new Carousel(id, values, List.of(item(id + "-a"), item(id + "-b")));
  }

  private Section section(int n) {
    List<Block> blocks =
        List.of(
            new Block.Heading(
                "heading-" + n,
                Values.NONE.with(BlockSettings.HEADING_TEXT, Values.ALL, "Evenings " + n)),
            text("words-" + n),
            cards("cards-" + n),
            new Tabs(
                "tabs-" + n,
                Values.NONE,
                List.of(item("tab-" + n, text("in-tab-" + n), cards("in-cards-" + n)))),
            new Accordion(
                "rows-" + n,
                Values.NONE.with(PieceSettings.NAME, Values.ALL, "Rows"),
                List.of(item("row-" + n, text("in-row-" + n)), item("other-" + n))),
            new Counters("counters-" + n, Values.NONE, List.of(item("count-" + n))),
            new FlipBoxes("boxes-" + n, Values.NONE, List.of(item("box-" + n))));
    return new Section(
        "section-" + n,
        Values.NONE.with(
            SectionSettings.TONE,
            Values.ALL,
            one(
                List.of(
                    SectionSettings.Tone.PAPER,
                    SectionSettings.Tone.LEAF,
                    SectionSettings.Tone.DUSK))),
        blocks);
  }

  private String colour(boolean through) {
    String solid = String.format(Locale.ROOT, "#%06x", random.nextInt(0x1000000));
    return through && random.nextInt(3) == 0
        ? solid + String.format(Locale.ROOT, "%02x", 40 + random.nextInt(200))
        : solid;
  }

  /**
   * Letters that are seen through in a box that is as well: axe lays them on what is behind the
   * box, where browsers draw them on the box. Source: Compositing and Blending 1, "group opacity".
   */
  private static boolean misread(Document document, String node) {
    boolean letters = false;
    boolean box = false;
    for (Node each : document.path(node)) {
      for (var said : each.values().styles().set().entrySet()) {
        letters |=
            said.getKey().property().equals(Property.INK)
                && said.getValue().values().stream()
                    .anyMatch(ink -> ink instanceof Ink.Own own && own.colour().alpha() < 255);
        box |= said.getKey().property().equals(Property.OPACITY);
      }
    }
    return letters && box;
  }

  /** What is drawn at random of the pieces of a section; most of it is as it was. */
  private List<Edit> drawn(int n) {
    var edits = new ArrayList<Edit>();
    for (String cards : List.of("cards-" + n, "in-cards-" + n)) {
      edits.addAll(
          grounds(cards, CarouselParts.CARD, CarouselParts.CARD_WORDS, CarouselParts.BUBBLE));
      edits.addAll(
          inks(
              cards,
              CarouselParts.CARD_HEADING,
              CarouselParts.QUOTATION_TEXT,
              CarouselParts.SPEAKER_NAME,
              CarouselParts.ROLE,
              PageParts.KICKER,
              PageParts.ITEM_TEXT));
      edits.addAll(buttons(cards));
    }
    edits.addAll(grounds("tabs-" + n, TabsParts.PANEL, TabsParts.TAB));
    edits.addAll(inks("tabs-" + n, TabsParts.TAB, PageParts.KICKER, PageParts.ITEM_TEXT));
    edits.addAll(grounds("rows-" + n, AccordionParts.ROW));
    edits.addAll(inks("rows-" + n, AccordionParts.QUESTION, PageParts.ITEM_TEXT));
    edits.addAll(buttons("rows-" + n));
    edits.addAll(grounds("counters-" + n, CounterParts.FIGURE));
    edits.addAll(inks("counters-" + n, CounterParts.NUMBER, CounterParts.TITLE));
    edits.addAll(grounds("boxes-" + n, FlipParts.FRONT));
    edits.addAll(inks("boxes-" + n, FlipParts.HEADING));
    for (String text : List.of("words-" + n, "in-tab-" + n, "in-row-" + n)) {
      edits.addAll(inks(text, PageParts.TEXT));
    }
    return edits;
  }

  private List<Edit> grounds(String node, Part... parts) {
    var edits = new ArrayList<Edit>();
    for (Part part : parts) {
      for (State state : List.of(State.REST, State.CURRENT)) {
        if (part.states().contains(state) && random.nextBoolean()) {
          edits.add(set(node, part, Property.GROUND, state, colour(true)));
        }
        if (part.has(Property.OPACITY) && part.states().contains(state) && random.nextInt(3) == 0) {
          edits.add(
              set(
                  node,
                  part,
                  Property.OPACITY,
                  state,
                  Math.round(20 + 80 * random.nextDouble()) / 100.0));
        }
      }
    }
    return edits;
  }

  private List<Edit> inks(String node, Part... parts) {
    var edits = new ArrayList<Edit>();
    for (Part part : parts) {
      if (random.nextBoolean()) {
        edits.add(set(node, part, Property.INK, State.REST, colour(true)));
      }
    }
    return edits;
  }

  private List<Edit> buttons(String node) {
    var edits = new ArrayList<>(inks(node, PageParts.BUTTON));
    edits.addAll(grounds(node, PageParts.BUTTON));
    return edits;
  }

  private static Edit set(String node, Part part, Property<?> property, State state, Object value) {
    return new Edit.SetStyle(node, part.key(property, state), "desktop", value);
  }

  private Document document() {
    var sections = new ArrayList<Section>();
    var edits = new ArrayList<Edit>();
    for (int n = 0; n < 4; n++) {
      sections.add(section(n));
      edits.addAll(drawn(n));
    }
    var document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new giostra.core.page.Page("page", Values.NONE, sections));
    return Edits.apply(document, edits).document();
  }

  private static Optional<PartContrast> ours(
      Document document, String node, String part, State state) {
    List<PartContrast> all = PartContrast.of(document, document.node(node), PictureSizes.NONE);
    return all.stream()
        .filter(each -> each.part().id().id().equals(part) && each.band().id().equals("desktop"))
        .filter(each -> each.state() == state || each.state() == State.REST)
        .reduce((one, other) -> one.state() == state ? one : other);
  }

  @InTurn({1, 13})
  @Test
  void whatAxeReadsOffTheLivePageIsWhatTheEngineSays(Api api, Page page) {
    var off = new ArrayList<String>();
    var looked = new TreeMap<String, Integer>();
    int low = 0;
    for (int n = 0; n < Runs.of(2, 200); n++) {
      Document document = document();
      page.setViewportSize(1280, 800);
      page.navigate(api.publish(api.newPage(document)));
      page.waitForSelector("[data-live]");
      page.evaluate(READY);
      page.waitForFunction("() => document.getAnimations().length === 0");
      for (JsonNode each : Axe.contrasts(page, WHERE)) {
        String[] name = each.path("name").asString().split(" ");
        State state = StyleKey.state(name[2]);
        if (misread(document, name[0])) {
          continue;
        }
        Optional<PartContrast> ours = ours(document, name[0], name[1], state);
        if (ours.isEmpty()) {
          off.add("nothing said: " + each);
          continue;
        }
        looked.merge(name[1], 1, Integer::sum);
        double found = ours.get().found();
        double ratio = each.path("ratio").asDouble();
        low += ratio < each.path("asked").asDouble() ? 1 : 0;
        if (Math.abs(found - ratio) > CLOSE * ratio
            || ours.get().asked() != each.path("asked").asDouble()) {
          off.add("page %d: %.2f of %.1f said: %s".formatted(n, found, ours.get().asked(), each));
        }
      }
    }
    int all = looked.values().stream().mapToInt(Integer::intValue).sum();
    System.out.printf(
        "measured: %d contrasts as axe reads them, %d off, %d of them too low: %s%n",
        all, off.size(), low, looked);
    assertThat(off).isEmpty();
    assertThat(looked).hasSizeGreaterThan(12);
    assertThat(low).isGreaterThan(20);
  }
}
