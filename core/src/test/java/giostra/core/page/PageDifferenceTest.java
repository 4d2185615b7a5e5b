package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.PageDifference.How;
import giostra.core.testing.Demo;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PageDifferenceTest {
  private static final Document DEMO = Demo.document();

  private static List<PageDifference> after(Edit... edits) {
    return PageDifference.between(DEMO, Edits.apply(DEMO, List.of(edits)).document());
  }

  @Test
  void whatIsTheSameDiffersInNothing() {
    assertThat(PageDifference.between(DEMO, DEMO)).isEmpty();
  }

  @Test
  void valuesAreToldWithWhatTheyWere() {
    var gap = new Edit.SetValue("words", "gap", "phone", "7px");
    assertThat(after(gap)).hasSize(1);
    PageDifference one = after(gap).getFirst();
    assertThat(one.node()).isEqualTo("words");
    assertThat(one.how()).isEqualTo(How.CHANGED);
    assertThat(one.what()).isEqualTo("Gap");
    assertThat(one.band()).isEqualTo("Phone");
    assertThat(one.now()).isEqualTo("7px");
    var heading = new Edit.SetValue("opening-frost", "heading", "", "Ice");
    assertThat(after(heading).getFirst().name()).endsWith(", Frost");
    assertThat(after(heading).getFirst().then()).isNotEmpty();
    var site = new Edit.SetValue("site", "zone", "", "Asia/Kathmandu");
    assertThat(after(site)).hasSize(1).allMatch(each -> each.node().isEmpty());
  }

  /**
   * Of what is put elsewhere the fewest are told: one that goes to the front moves none of the
   * others.
   */
  @Test
  void whatIsMovedIsToldAlone() {
    Piece openings = DEMO.piece("openings");
    String last = openings.items().getLast().id();
    List<PageDifference> moved = after(new Edit.MoveNode(last, "openings", 0));
    assertThat(moved).hasSize(1);
    assertThat(moved.getFirst().how()).isEqualTo(How.MOVED);
    assertThat(moved.getFirst().node()).isEqualTo(last);
    Section first = DEMO.page().sections().getFirst();
    List<PageDifference> down = after(new Edit.MoveNode(first.id(), "page", 2));
    assertThat(down).extracting(PageDifference::node).containsExactly(first.id());
  }

  @Test
  void whatGoesIsToldOnceWithoutWhatIsInIt() {
    List<PageDifference> gone = after(new Edit.RemoveNode("openings"));
    assertThat(gone).hasSize(1);
    assertThat(gone.getFirst().how()).isEqualTo(How.GONE);
    Document without = Edits.apply(DEMO, List.of(new Edit.RemoveNode("openings"))).document();
    List<PageDifference> back = PageDifference.between(without, DEMO);
    assertThat(back).extracting(PageDifference::how).containsExactly(How.ADDED);
  }

  /** What was done to it, as it is to be told. */
  private record Told(String node, How how, String what, String band) {
    static Told of(PageDifference each) {
      return new Told(each.node(), each.how(), each.what(), each.band());
    }

    Told backwards() {
      How other = how == How.ADDED ? How.GONE : how == How.GONE ? How.ADDED : how;
      return new Told(node, other, what, band);
    }
  }

  /** A value of a node is taken away; nothing where it has none. */
  private static Optional<Map.Entry<Edit, Told>> cleared(
      Document document, Node node, Random random) {
    List<Setting<?>> set =
        node.type().settings().stream()
            .filter(each -> node.values().set().containsKey(each.id()))
            .<Setting<?>>map(each -> each)
            .toList();
    if (set.isEmpty()) {
      return Optional.empty();
    }
    Setting<?> setting = set.get(random.nextInt(set.size()));
    List<String> bands =
        List.copyOf(node.values().set().getOrDefault(setting.id(), Map.of()).keySet());
    String band = bands.get(random.nextInt(bands.size()));
    String named = band.isEmpty() ? "" : document.bands().band(band).name();
    return Optional.of(
        Map.entry(
            new Edit.SetValue(node.id(), setting.id(), band, null),
            new Told(node.id(), How.CHANGED, setting.label(), named)));
  }

  /** Twenty pages, drawn; each way: all that was done is told, and nothing else. */
  @Test
  void allThatWasDoneIsToldAndNothingElse() {
    int told = 0;
    for (int seed = 1; seed <= Runs.of(20, 400); seed++) {
      Document then = RandomDocuments.document(seed);
      var random = new Random(seed);
      var edits = new ArrayList<Edit>();
      var expected = new ArrayList<Told>();
      for (Piece piece : then.pieces()) {
        List<Item> items = piece.items();
        String last = items.isEmpty() ? "" : items.getLast().id();
        switch (random.nextInt(5)) {
          case 0 ->
              cleared(then, piece, random)
                  .ifPresent(each -> {
                    edits.add(each.getKey());
                    expected.add(each.getValue());
                  });
          case 1 -> {
            if (items.size() > 2) {
              edits.add(new Edit.MoveNode(last, piece.id(), 0));
              expected.add(new Told(last, How.MOVED, "", ""));
            }
          }
          case 2 -> {
            // What is in a panel has acts of its own.
            if (items.size() > 1 && items.getLast().children().isEmpty()) {
              edits.add(new Edit.RemoveNode(last));
              expected.add(new Told(last, How.GONE, "", ""));
            }
          }
          case 3 -> {
            for (Item item : items) {
              cleared(then, item, random)
                  .ifPresent(each -> {
                    edits.add(each.getKey());
                    expected.add(each.getValue());
                  });
            }
          }
          default -> {
            // It stays as it is.
          }
        }
      }
      Document now = Edits.apply(then, edits).document();
      assertThat(PageDifference.between(then, now))
          .as("seed %d, %s", seed, edits)
          .extracting(Told::of)
          .containsExactlyInAnyOrderElementsOf(expected);
      List<PageDifference> back = PageDifference.between(now, then);
      assertThat(back)
          .extracting(Told::of)
          .filteredOn(each -> each.how() != How.MOVED)
          .containsExactlyInAnyOrderElementsOf(
              expected.stream()
                  .map(Told::backwards)
                  .filter(each -> each.how() != How.MOVED)
                  .toList());
      // Of a few that change places any may be the one that is told.
      assertThat(back.stream().filter(each -> each.how() == How.MOVED).count())
          .isEqualTo(expected.stream().filter(each -> each.how() == How.MOVED).count());
      told += expected.size();
    }
    System.out.printf("measured: %d differences of pages drawn at random, all told%n", told);
    assertThat(told).isGreaterThan(40);
  }
}
