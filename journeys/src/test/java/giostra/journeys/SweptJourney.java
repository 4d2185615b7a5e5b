package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import giostra.core.band.Bands;
import giostra.core.layout.ItemWidths;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Gridded;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.Piece;
import giostra.core.page.Tracked;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Sweep;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Whether what a sweep says of pages that are drawn without mercy is so in the browser, at both
 * ends of each of its stretches and one px beside them; and whether what the browser shows at other
 * widths is said: words that break, panels that hold more than they show, rows of headings, items
 * that are narrow, one that is alone in the last row. Checks in the page know nothing of the
 * engine.
 */
@ExtendWith({Giostra.class, Chromium.class})
class SweptJourney {
  private static final int FIRST = Integer.getInteger("giostra.first", 101);
  private static final int PAGES = Integer.getInteger("giostra.pages", Runs.of(2, 60));
  private static final int ANYWHERE = 40;

  /** What is wrong in each piece at a width, by what is there to be seen. */
  private static final String SEEN =
      """
      () => {
        const words = %s;
        const all = {};
        // The back of a box that is not turned is laid out, though it is not seen yet.
        const there = (e) => e.checkVisibility({ visibilityProperty: !e.closest('.g-back'), opacityProperty: false })
            && e.getBoundingClientRect().width > 0;
        const lines = (node, from, to) => {
          const range = document.createRange();
          range.setStart(node, from);
          range.setEnd(node, to);
          return new Set([...range.getClientRects()].filter((r) => r.width > 0).map((r) => Math.round(r.top))).size;
        };
        for (const piece of document.querySelectorAll('[data-piece]')) {
          const own = (selector) => [...piece.querySelectorAll(selector)]
              .filter((e) => e.closest('[data-piece]') === piece && there(e));
          const items = own('.g-item, .g-box, .g-figure, .g-clip').filter((e) => e.parentElement.matches('.g-belt, .g-grid'));
          const tops = (some) => {
            const rows = new Map();
            for (const e of some) {
              const top = Math.round(e.getBoundingClientRect().top);
              rows.set(top, (rows.get(top) ?? 0) + 1);
            }
            return [...rows.entries()].sort((a, b) => a[0] - b[0]).map(([, n]) => n);
          };
          // At a side and in columns they have places of their own: there it is lines that are many.
          const rows = (heads) => {
            if (heads.length === 0) return 0;
            const row = heads[0].parentElement;
            if (row.getAttribute('aria-orientation') !== 'vertical' && !/calc|%%/.test(getComputedStyle(heads[0]).flexBasis))
              return tops(heads).length;
            return Math.max(...heads.map((head) => {
              const tops = new Set();
              const words = document.createTreeWalker(head, NodeFilter.SHOW_TEXT);
              for (let node = words.nextNode(); node; node = words.nextNode()) {
                const range = document.createRange();
                range.selectNodeContents(node);
                for (const r of range.getClientRects()) if (r.width > 0) tops.add(Math.round(r.top));
              }
              return tops.size;
            }));
          };
          const broken = new Set();
          const shown = new Set();
          const named = {};
          const texts = document.createTreeWalker(piece, NodeFilter.SHOW_TEXT);
          for (let node = texts.nextNode(); node; node = texts.nextNode()) {
            const e = node.parentElement;
            // Of the item of this piece, and not of one that the piece itself stands in.
            const of = e.closest('[data-item], [data-of]');
            const item = of && piece.contains(of) ? of.dataset.item ?? of.dataset.of : undefined;
            if (!item || e.closest('[data-piece]') !== piece || !node.data.trim() || !there(e)) continue;
            if (e.closest('.g-sr, .g-controls, select, svg, template')) continue;
            shown.add(item);
            // Between two characters without a blank, and not after one after which lines may end; what
            // is turned upside down has its next line above.
            for (const run of node.data.matchAll(/\\S{2,}/gu)) {
              if (lines(node, run.index, run.index + run[0].length) < 2) continue;
              let top;
              for (let at = run.index; at < run.index + run[0].length; at++) {
                const range = document.createRange();
                range.setStart(node, at);
                range.setEnd(node, at + 1);
                const here = range.getClientRects()[0]?.top;
                if (here === undefined) continue;
                if (top !== undefined && Math.abs(here - top) > 4 && !/[-\u2010\u2013\u2014/?!]/.test(node.data[at - 1])) broken.add(item);
                top = here;
              }
            }
            for (const word of words[item] ?? []) {
              for (let at = node.data.indexOf(word); at >= 0; at = node.data.indexOf(word, at + 1)) {
                named[item + ' ' + word] ||= lines(node, at, at + word.length) > 1;
              }
            }
          }
          all[piece.dataset.piece] = {
            narrow: Math.min(...items.map((e) => e.getBoundingClientRect().width)),
            rows: rows(own('.g-heads > .g-head')),
            grid: tops(items.filter((e) => e.parentElement.matches('.g-grid'))),
            last: items.length ? items.at(-1).getBoundingClientRect().width : 0,
            cut: own('.g-panel').filter((e) => e.scrollHeight > e.clientHeight + 1).map((e) => e.closest('[data-item]')?.dataset.item ?? e.dataset.of ?? ''),
            panels: own('.g-panel').map((e) => e.closest('[data-item]')?.dataset.item ?? e.dataset.of ?? ''),
            broken: [...broken], shown: [...shown], named,
          };
        }
        return all;
      }
      """;

  /** How much was compared of a rule, and what of it was otherwise. */
  private static final class Tally {
    private int said;
    private int seen;
    private int compared;
    private final List<String> wrong = new ArrayList<>();

    void add(boolean isSaid, boolean isSeen, String what) {
      compared++;
      said += isSaid ? 1 : 0;
      seen += isSeen ? 1 : 0;
      if (isSaid != isSeen) {
        wrong.add(what + (isSaid ? ": said, not seen" : ": seen, not said"));
      }
    }

    double share() {
      return 100.0 * (compared - wrong.size()) / Math.max(1, compared);
    }

    @Override
    public String toString() {
      return "%.2f %% of %d (%d said, %d seen)".formatted(share(), compared, said, seen);
    }
  }

  private final Map<Rule, Tally> tallies = new TreeMap<>();

  @InTurn(18)
  @Test
  void whatIsSaidIsSeenAndWhatIsSeenIsSaid(Api api, Chromium.Open chromium) {
    PictureSizes pictures = Heightened.sizes(api);
    Wild.each(
        api,
        chromium,
        FIRST,
        PAGES,
        (seed, document, frame) -> compare(seed, document, pictures, frame));
    tallies.forEach((rule, tally) ->
        System.out.printf(
            "measured: %s: %s; %s%n",
            rule.word(),
            tally,
            tally.wrong.stream().limit(Integer.getInteger("giostra.worst", 6)).toList()));
    assertThat(tallies).hasSizeGreaterThanOrEqualTo(4);
    // Drawn so that there is much to be said.
    for (Rule rule : List.of(Rule.BROKEN_WORD, Rule.NARROW, Rule.WRAPPED_HEADINGS)) {
      assertThat(tally(rule).said).as(rule.word()).isPositive();
      assertThat(tally(rule).seen).as(rule.word()).isPositive();
    }
    tallies.forEach((rule, tally) ->
        assertThat(tally.share())
            .as("%s: %s", rule, tally.wrong.stream().limit(20).toList())
            .isGreaterThanOrEqualTo(99));
  }

  private void compare(long seed, Document document, PictureSizes pictures, Frame frame) {
    double scrollbar = Frames.scrollbar(frame);
    List<Snag> found = new Sweep().of(document, pictures, scrollbar);
    var widths = new TreeSet<Integer>();
    var words = new TreeMap<String, TreeSet<String>>();
    for (Snag snag : found) {
      if (List.of(
              Rule.BROKEN_WORD, Rule.CUT_OFF, Rule.WRAPPED_HEADINGS, Rule.NARROW, Rule.LONE_LAST)
          .contains(snag.rule())) {
        Stream.of(snag.from() - 1, snag.from(), snag.to(), snag.to() + 1).forEach(widths::add);
      }
      if (snag.rule() == Rule.BROKEN_WORD) {
        words.computeIfAbsent(snag.item(), _ -> new TreeSet<>()).add(word(snag));
      }
    }
    var random = new Random(seed);
    IntStream.range(0, ANYWHERE).forEach(_ -> widths.add(280 + random.nextInt(1640)));
    widths.removeIf(width -> width < Bands.NARROWEST || width > Bands.WIDEST);
    String given =
        words.entrySet().stream()
            .map(each ->
                "%s: %s"
                    .formatted(
                        quoted(each.getKey()),
                        each.getValue().stream()
                            .map(SweptJourney::quoted)
                            .collect(Collectors.joining(",", "[", "]"))))
            .collect(Collectors.joining(",", "{", "}"));
    List<Integer> each = List.copyOf(widths);
    JsonNode seen = Frames.swept(frame, SEEN.formatted(given), each);
    for (int at = 0; at < each.size(); at++) {
      int width = each.get(at);
      List<Snag> here =
          found.stream().filter(snag -> snag.from() <= width && width <= snag.to()).toList();
      for (Piece piece : document.pieces()) {
        JsonNode its = seen.get(at).path(piece.id());
        if (!its.isMissingNode() && !crammed(document, piece, here)) {
          compare(
              "%d: %s at %d".formatted(seed, piece.id(), width),
              document,
              piece,
              its,
              here,
              scrollbar);
        }
      }
    }
  }

  /** Where something has no room no promise is made for what is in it. */
  private static boolean crammed(Document document, Piece piece, List<Snag> here) {
    List<String> path =
        Stream.concat(document.path(piece.id()).stream(), Stream.of(piece)).map(Node::id).toList();
    return here.stream()
        .anyMatch(snag -> snag.rule() == Rule.NO_ROOM && path.contains(snag.piece()));
  }

  private void compare(
      String what,
      Document document,
      Piece piece,
      JsonNode seen,
      List<Snag> here,
      double scrollbar) {
    List<Snag> own = here.stream().filter(snag -> snag.piece().equals(piece.id())).toList();
    List<String> shown = ids(seen, "shown");
    List<Snag> breaking = of(own, Rule.BROKEN_WORD);
    for (String item : shown) {
      List<Snag> its = breaking.stream().filter(snag -> snag.item().equals(item)).toList();
      boolean named =
          its.stream()
              .anyMatch(snag -> seen.path("named").path(item + " " + word(snag)).asBoolean());
      // A word may be said that stands in a part of the item that is not to be seen now.
      boolean there =
          its.isEmpty()
              || its.stream().anyMatch(snag -> seen.path("named").has(item + " " + word(snag)));
      if (there) {
        tally(Rule.BROKEN_WORD)
            .add(
                !its.isEmpty(),
                named || ids(seen, "broken").contains(item),
                what + ", " + item + " " + its.stream().map(Snag::message).toList());
      }
    }
    if (piece.type().hasPanels()) {
      for (String item : ids(seen, "panels")) {
        boolean said =
            of(own, Rule.CUT_OFF).stream()
                .anyMatch(snag -> snag.item().isEmpty() || snag.item().equals(item));
        boolean cut = ids(seen, "cut").contains(item);
        // Of several panels one finding speaks: which of them is not said.
        if (cut || of(own, Rule.CUT_OFF).stream().allMatch(snag -> !snag.item().isEmpty())) {
          tally(Rule.CUT_OFF).add(said, cut, what + ", " + item);
        }
      }
    }
    if (piece.type() == NodeType.TABS && seen.path("rows").asInt() > 0) {
      tally(Rule.WRAPPED_HEADINGS)
          .add(
              !of(own, Rule.WRAPPED_HEADINGS).isEmpty(),
              seen.path("rows").asInt() > 2,
              what + ", rows " + seen.path("rows").asInt());
    }
    if (piece instanceof Tracked || piece instanceof Gridded) {
      narrow(what, document, piece, seen, own, scrollbar);
    }
    if (piece instanceof Gridded && seen.path("grid").size() > 0) {
      JsonNode rows = seen.path("grid");
      int last = rows.path(rows.size() - 1).asInt();
      // Stretched, it fills its row.
      boolean stretched = seen.path("last").asDouble() > 1.5 * seen.path("narrow").asDouble();
      tally(Rule.LONE_LAST)
          .add(
              !of(own, Rule.LONE_LAST).isEmpty(),
              rows.size() > 1 && last == 1 && rows.path(0).asInt() > 1 && !stretched,
              what + ", rows " + rows);
    }
  }

  private void narrow(
      String what,
      Document document,
      Piece piece,
      JsonNode seen,
      List<Snag> own,
      double scrollbar) {
    double least = seen.path("narrow").asDouble(0);
    ItemWidths widths = ItemWidths.of(document, piece, scrollbar).orElseThrow();
    if (least <= 0 || widths.comfortFrom() <= 0 || Math.abs(least - widths.comfortFrom()) < .05) {
      return;
    }
    int width = Integer.parseInt(what.substring(what.lastIndexOf(' ') + 1));
    // One by itself is as wide as it can be.
    boolean alone =
        widths.bands().stream()
            .filter(in -> in.band().holds(width))
            .anyMatch(in -> in.count() == 1 && in.sides() == 0);
    if (!alone) {
      tally(Rule.NARROW)
          .add(
              !of(own, Rule.NARROW).isEmpty(),
              least < widths.comfortFrom(),
              what + ", %.2f of %.0f".formatted(least, widths.comfortFrom()));
    }
  }

  private Tally tally(Rule rule) {
    return tallies.computeIfAbsent(rule, _ -> new Tally());
  }

  private static List<Snag> of(List<Snag> some, Rule rule) {
    return some.stream().filter(snag -> snag.rule() == rule).toList();
  }

  private static List<String> ids(JsonNode seen, String name) {
    return seen.path(name).valueStream().map(JsonNode::asString).toList();
  }

  /** The word that a finding says breaks. */
  private static String word(Snag snag) {
    String said = snag.message();
    return said.substring(said.indexOf('“') + 1, said.lastIndexOf('”'));
  }

  private static String quoted(String text) {
    return '"' + text.replace("\\", "\\\\").replace("\"", "\\\"") + '"';
  }
}
