package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Band;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Part;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * A memory must not change what is found: what a rule says that it reads is all that it reads.
 * Edits are drawn at random all over the site, its looks and the page.
 */
class SweepTest {
  private static final PictureSizes PICTURES =
      id -> id.isEmpty() ? Optional.empty() : Optional.of(new PictureSizes.Size(900, 600));

  private static final List<Object> RAW =
      List.of(
          true,
          false,
          1.0,
          2.0,
          3.0,
          5.0,
          40.0,
          "",
          "12px",
          "3rem",
          "20%",
          "90px",
          "500px",
          "1s",
          "0.2s",
          "fade",
          "push, zoom",
          "Europe/Rome",
          "UTC",
          "de",
          "ar",
          "2026-05-01",
          "2027-03-01",
          "2025-11-30",
          "lamp",
          "16:9",
          "2 1",
          "1:3",
          "<p>Some words more</p>",
          "Donaudampfschiffahrtsgesellschaft",
          "\u1208",
          "#777777",
          "#fafafa",
          "accent",
          "700",
          "linear-gradient(90deg, #222222, #eeeeee)",
          "Bitter",
          "normal");

  /** What makes rules find something, so that a memory is put to the test by each. */
  private static final List<Edit> TELLING =
      List.of(
          set("houses", "inView", "tablet", 5.0),
          set("house-2", "heading", Values.ALL, "Donaudampfschiffahrtsgesellschaft"),
          set("house-3", "text", Values.ALL, "<p>\u1208</p>"),
          set("questions", "panelHeight", "desktop", "fixed"),
          set("questions", "panelFixed", "desktop", "80px"),
          set("site", "zone", Values.ALL, "Europe/Rome"),
          set("opening-frost", "seasonBegins", Values.ALL, "2027-05-01"),
          set("opening-frost", "seasonEnds", Values.ALL, "2027-03-01"),
          set("openings", "movesItself", "desktop", true),
          set("openings", "restsBy", "desktop", "set"),
          set("openings", "rest", "desktop", "1s"),
          set("openings", "wordsBeat", "desktop", "2s"),
          set("words", "inView", "desktop", 5.0),
          set("idea-columns", "order", "desktop", "2 1"),
          set("houses-section", "padding", "tablet", "120px"),
          set("page", "tone", "desktop", "dusk"));

  private static Edit set(String node, String setting, String band, Object value) {
    return new Edit.SetValue(node, setting, band, value);
  }

  private final Random random = new Random(20_261_127);

  @InTurn(4)
  @Test
  void aRuleReadsNoMoreThanItSays() {
    Document page = worn(Demo.document());
    var sweep = new Sweep();
    var touched = EnumSet.noneOf(NodeType.class);
    Map<Rule, Integer> changes = new EnumMap<>(Rule.class);
    List<Snag> before = sweep.of(page, PICTURES, 0);
    int left = Runs.of(40, 2_000);
    while (left > 0) {
      Edit edit = random.nextInt(3) == 0 ? untouched(page, touched) : drawn(page);
      Document next;
      try {
        next = Edits.apply(page, List.of(edit)).document();
      } catch (Refused refused) {
        continue;
      }
      left--;
      List<Snag> found = sweep.of(next, PICTURES, 0);
      assertThat(found).as("after %s", edit).isEqualTo(Snags.of(next, PICTURES, 0));
      counted(before, found, changes);
      String node =
          switch (edit) {
            case Edit.SetValue(String of, _, _, _) -> of;
            case Edit.SetStyle(String of, _, _, _) -> of;
            default -> "";
          };
      next.find(node).ifPresent(each -> touched.add(each.type()));
      before = found;
      page = next.pieces().size() < 6 ? worn(Demo.document()) : next;
    }
    assertThat(changes.keySet())
        .as("rules that found something else after an edit")
        .hasSizeGreaterThan(Runs.of(2, 10));
    assertThat(touched).containsAll(SHARED);
  }

  private static void counted(List<Snag> before, List<Snag> after, Map<Rule, Integer> changes) {
    var then = Set.copyOf(before);
    after.stream()
        .filter(snag -> !then.contains(snag))
        .forEach(snag -> changes.merge(snag.rule(), 1, Integer::sum));
  }

  /** The demo with a look that its carousels wear, so that looks are there to be changed. */
  private static Document worn(Document demo) {
    var values =
        Values.NONE
            .with(LookSettings.OF, Values.ALL, LookSettings.Of.CAROUSEL)
            .with(LookSettings.USUAL, Values.ALL, true);
    var look = new Edit.AddNode("site", 0, new Look("look.drawn", values));
    return Edits.apply(demo, List.of(look)).document();
  }

  /** What many share, and is met seldom among all nodes. */
  private static final List<NodeType> SHARED =
      List.of(NodeType.SITE, NodeType.PAGE, NodeType.SECTION, NodeType.LOOK);

  private Edit untouched(Document page, Set<NodeType> touched) {
    List<Node> left =
        page.nodes()
            .filter(node -> SHARED.contains(node.type()) && !touched.contains(node.type()))
            .toList();
    return left.isEmpty() ? drawn(page) : value(page, one(left));
  }

  private Edit drawn(Document page) {
    List<Node> nodes = page.nodes().toList();
    Node node = one(nodes);
    if (random.nextInt(3) == 0) {
      return one(TELLING);
    }
    return switch (random.nextInt(12)) {
      case 0 -> new Edit.MoveBreakpoint(one(page.bands().all()).id(), 500 + random.nextInt(1200));
      case 1 -> node instanceof Item ? new Edit.RemoveNode(node.id()) : value(page, node);
      case 2 ->
          node instanceof Block
              ? new Edit.MoveNode(node.id(), one(nodes).id(), 0)
              : value(page, node);
      case 3, 4, 5, 6 -> style(page, node);
      // What all nodes share is met more often than its one place among many gives.
      case 7 -> value(page, page.site());
      case 8 -> value(page, page.page());
      default -> value(page, node);
    };
  }

  private Edit style(Document page, Node any) {
    Node node = random.nextInt(3) == 0 ? one(page.site().looks()) : any;
    List<Part> parts = node.type().parts();
    if (parts.isEmpty()) {
      return value(page, node);
    }
    StyleKey key = one(one(parts).keys());
    return new Edit.SetStyle(node.id(), key, band(page).id(), one(RAW));
  }

  private Edit value(Document page, Node node) {
    List<Setting<?>> settings = List.copyOf(node.type().settings());
    if (settings.isEmpty()) {
      return value(page, one(page.pieces()));
    }
    Setting<?> setting = one(settings);
    return new Edit.SetValue(
        node.id(), setting.id(), setting.byBand() ? band(page).id() : Values.ALL, raw(setting));
  }

  private Object raw(Setting<?> setting) {
    return setting.kind() instanceof PickKind<?> pick
        ? PickKind.word((Enum<?>) one(List.of(pick.type().getEnumConstants())))
        : one(RAW);
  }

  private Band band(Document page) {
    return one(page.bands().all());
  }

  private <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }
}
