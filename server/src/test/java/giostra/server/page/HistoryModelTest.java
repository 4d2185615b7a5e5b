package giostra.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.format.DocumentJson;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.testing.InTurn;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.core.value.Refused;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;

/**
 * Whatever is done from two pages of one site, in whatever order, against a plain model in memory:
 * a list of changes, some of them taken back, put on the first documents one after the other. It
 * knows no inverse edits, no stacks in a database and no paths.
 */
class HistoryModelTest {
  private static final Document FIRST = first();
  private static final String CAROUSEL = FIRST.pieces().getFirst().id();
  private static final String SECTION = FIRST.page().sections().getFirst().id();

  private static Document first() {
    return IntStream.range(0, 100)
        .mapToObj(RandomDocuments::document)
        .filter(each -> DocumentJson.ids(each.bands()).equals(Set.of("phone", "tablet", "desktop")))
        .findFirst()
        .orElseThrow();
  }

  /** What somebody does on a page, 0 or 1. */
  sealed interface Act {
    int page();

    record Change(int page, List<Edit> edits) implements Act {}

    record Undo(int page) implements Act {}

    record Redo(int page) implements Act {}

    record Restore(int page, int back, boolean site) implements Act {}

    record Publish(int page) implements Act {}
  }

  @Provide
  Arbitrary<List<Act>> acts() {
    Arbitrary<Integer> page = Arbitraries.of(0, 1);
    Arbitrary<String> band = Arbitraries.of("phone", "tablet", "desktop", "wide");
    Arbitrary<Edit> edit =
        Arbitraries.frequencyOf(
            net.jqwik.api.Tuple.of(
                5,
                band.flatMap(b ->
                    Arbitraries.integers()
                        .between(0, 60)
                        .map(px -> (Edit) new Edit.SetValue(CAROUSEL, "gap", b, px + "px")))),
            net.jqwik.api.Tuple.of(
                2, band.map(b -> (Edit) new Edit.SetValue(CAROUSEL, "peek", b, null))),
            net.jqwik.api.Tuple.of(
                3,
                Arbitraries.integers()
                    .between(0, 9)
                    .map(n ->
                        (Edit)
                            new Edit.AddNode(SECTION, n, new Block.Text("new-" + n, Values.NONE)))),
            net.jqwik.api.Tuple.of(
                2,
                Arbitraries.integers()
                    .between(0, 9)
                    .map(n -> (Edit) new Edit.RemoveNode("new-" + n))),
            net.jqwik.api.Tuple.of(
                2,
                Arbitraries.integers()
                    .between(800, 1200)
                    .map(px -> (Edit) new Edit.MoveBreakpoint("desktop", px))),
            net.jqwik.api.Tuple.of(
                1, Arbitraries.just((Edit) new Edit.AddBand("wide", "Wide", 1600))),
            net.jqwik.api.Tuple.of(2, band.map(b -> (Edit) new Edit.RemoveBand(b))),
            net.jqwik.api.Tuple.of(
                2,
                band.flatMap(b ->
                    Arbitraries.integers()
                        .between(600, 1400)
                        .map(px -> (Edit) new Edit.SetValue("site", "measure", b, px + "px")))));
    Arbitrary<Act> act =
        Arbitraries.frequencyOf(
            net.jqwik.api.Tuple.of(
                8,
                page.flatMap(p ->
                    edit.list().ofMinSize(1).ofMaxSize(3).map(e -> (Act) new Act.Change(p, e)))),
            net.jqwik.api.Tuple.of(4, page.map(p -> (Act) new Act.Undo(p))),
            net.jqwik.api.Tuple.of(2, page.map(p -> (Act) new Act.Redo(p))),
            net.jqwik.api.Tuple.of(
                1,
                page.flatMap(p ->
                    Arbitraries.integers()
                        .between(0, 6)
                        .flatMap(back ->
                            Arbitraries.of(true, false)
                                .map(site -> (Act) new Act.Restore(p, back, site))))),
            net.jqwik.api.Tuple.of(1, page.map(p -> (Act) new Act.Publish(p))));
    return act.list().ofMinSize(5).ofMaxSize(25);
  }

  /** A change of the model: where it was made, and what it does. */
  private static final class Done {
    final int page;
    final List<Edit> edits;
    boolean holds = true;

    Done(int page, List<Edit> edits) {
      this.page = page;
      this.edits = edits;
    }
  }

  /** All changes put on the first documents, in their order; what is taken back is left out. */
  private static List<Document> state(List<Done> all) {
    Document one = FIRST;
    Document other = FIRST;
    for (Done each : all) {
      if (each.holds) {
        Document own = each.page == 0 ? one : other;
        Document far = each.page == 0 ? other : one;
        Document after = Edits.apply(own, each.edits).document();
        List<Edit> shared = each.edits.stream().filter(Edit::ofSite).toList();
        Document there = new Document(after.site(), Edits.apply(far, shared).document().page());
        one = each.page == 0 ? after : there;
        other = each.page == 0 ? there : after;
      }
    }
    return List.of(one, other);
  }

  private static final int TRIES = Runs.of(12, 60, 400);

  @InTurn(19)
  @Property(tries = 400, shrinking = ShrinkingMode.BOUNDED)
  void thePagesAreWhatThePlainModelSays(@ForAll("acts") List<Act> acts) {
    if (tried++ >= TRIES) {
      return;
    }
    Api api = Giostra.running();
    String site = api.newSite("Model " + System.nanoTime());
    List<String> pages = List.of(api.newPage(site, FIRST), api.newPage(site, FIRST));
    var all = new ArrayList<Done>();
    List<Deque<Done>> undo = List.of(new ArrayDeque<>(), new ArrayDeque<>());
    List<Deque<Done>> redo = List.of(new ArrayDeque<>(), new ArrayDeque<>());
    for (Act act : acts) {
      List<Document> before = state(all);
      int at = act.page();
      String page = pages.get(at);
      switch (act) {
        case Act.Change(_, var edits) -> {
          Api.Answer answer = edit(api, page, edits);
          try {
            Document after = Edits.apply(before.get(at), edits).document();
            assertThat(answer.status()).as(answer.text()).isEqualTo(200);
            if (!after.equals(before.get(at))) {
              done(all, undo, redo, new Done(at, edits));
            }
          } catch (Refused impossible) {
            assertThat(answer.status()).isEqualTo(422);
          }
        }
        case Act.Undo _ -> flipped(api, page, "undo", undo.get(at), redo.get(at), all, before);
        case Act.Redo _ -> flipped(api, page, "redo", redo.get(at), undo.get(at), all, before);
        case Act.Restore(_, var back, var ofSite) -> {
          int head = api.page(page).path("revision").asInt();
          int to = Math.max(0, head - back);
          Document was =
              DocumentJson.read(
                  api.get("/api/pages/" + page + "/revisions/" + to).json().path("document"));
          var edits = new ArrayList<Edit>();
          if (ofSite) {
            edits.addAll(Edits.siteEdits(before.get(at).site(), was.site()));
          }
          edits.add(
              new Edit.ReplacePage(
                  ofSite ? was.page() : Edits.fitted(was.page(), before.get(at).bands())));
          Api.Answer answer =
              api.post("/api/pages/" + page + "/restore", Map.of("revision", to, "site", ofSite));
          assertThat(answer.status()).as(answer.text()).isEqualTo(200);
          if (!Edits.apply(before.get(at), edits).document().equals(before.get(at))) {
            done(all, undo, redo, new Done(at, edits));
          }
        }
        case Act.Publish _ ->
            assertThat(api.post("/api/pages/" + page + "/releases", null).status()).isEqualTo(201);
      }
      List<Document> now = state(all);
      for (int each = 0; each < 2; each++) {
        assertThat(api.document(pages.get(each))).as(act.toString()).isEqualTo(now.get(each));
      }
    }
  }

  private static int tried;

  private static void done(
      List<Done> all, List<Deque<Done>> undo, List<Deque<Done>> redo, Done change) {
    all.add(change);
    undo.get(change.page).push(change);
    redo.get(change.page).clear();
  }

  private static Api.Answer edit(Api api, String page, List<Edit> edits) {
    var head = api.page(page);
    return api.edit(
        page,
        head.path("revision").asInt(),
        head.path("siteRevision").asInt(),
        edits.toArray(Edit[]::new));
  }

  /** One step back or forward. Refused, nothing has changed; else it is as if it had never been. */
  private static void flipped(
      Api api,
      String page,
      String way,
      Deque<Done> from,
      Deque<Done> to,
      List<Done> all,
      List<Document> before) {
    Api.Answer answer = api.post("/api/pages/" + page + "/" + way, null);
    if (from.isEmpty()) {
      assertThat(answer.status()).as(answer.text()).isEqualTo(422);
    } else if (answer.status() == 409) {
      assertThat(state(all)).isEqualTo(before);
    } else {
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
      Done change = from.pop();
      change.holds = !change.holds;
      to.push(change);
    }
  }
}
