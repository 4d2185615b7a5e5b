package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.testing.Demo;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Links to places on the page, names of places, levels of headings. */
class PlacesSnagTest {
  private final Document demo = Demo.document();

  private static Document edited(Document document, Edit... edits) {
    return Edits.apply(document, List.of(edits)).document();
  }

  private static Edit set(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "", value);
  }

  private static List<Snag> found(Rule rule, Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(snag -> snag.rule() == rule)
        .toList();
  }

  private static List<Snag> ofButton(Document document) {
    return found(Rule.NOWHERE, document).stream()
        .filter(snag -> snag.item().equals("opening-button"))
        .toList();
  }

  private static void outs(Document document, Snag snag, String... labels) {
    List<Snag> all = Snags.of(document, PictureSizes.NONE, 0);
    List<WayOut> outs = WayOut.of(document, snag, all, PictureSizes.NONE, 0);
    assertThat(outs).extracting(out -> out.fix().label()).containsExactly(labels);
    assertThat(outs).allMatch(WayOut::mends);
  }

  @Test
  void theDemoHasNoneOfThem() {
    for (Rule rule : List.of(Rule.NOWHERE, Rule.SAME_ANCHOR, Rule.SKIPPED_LEVEL)) {
      assertThat(found(rule, demo)).as(rule.word()).isEmpty();
    }
  }

  /** Of a button, a card and a text: each leads somewhere until nothing there is called so. */
  @ParameterizedTest
  @CsvSource({
    "opening-button, link, opening, '#{}', take the link away",
    "house-1, link, houses, '#{}', take the link away",
    "opening-text, text, opening, '<p>See <a href=\"#{}\">there</a>.</p>',",
  })
  void aLinkToNothingIsFound(String node, String setting, String place, String value, String out) {
    Document linked = edited(demo, set(node, setting, value.replace("{}", "tickets")));
    List<Snag> found = found(Rule.NOWHERE, linked);
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().message())
        .isEqualTo("a link leads to #tickets, which is nowhere on this page");
    assertThat(found.getFirst().place().node()).isEqualTo(place);
    assertThat(found.getFirst().item()).isEqualTo(node);
    outs(linked, found.getFirst(), out == null ? new String[0] : new String[] {out});
    assertThat(found(Rule.NOWHERE, edited(linked, set("figures", "anchor", "tickets")))).isEmpty();
    for (String there : List.of("g-figures", "g-visit", "g-house-2", "top")) {
      Document led = edited(demo, set(node, setting, value.replace("{}", there)));
      assertThat(found(Rule.NOWHERE, led)).as(there).isEmpty();
    }
  }

  @Test
  void idsInHtmlOfOnesOwnAreThere() {
    Document linked =
        edited(
            demo,
            set("opening-button", "link", "#tickets"),
            new Edit.AddNode(
                "visit",
                0,
                new Block.OwnHtml(
                    "own",
                    Values.NONE.withRaw(
                        "markup", Values.ALL, "<div id=\"tickets\">Tickets</div>"))));
    assertThat(found(Rule.NOWHERE, linked)).isEmpty();
  }

  @Test
  void aLinkToWhatIsHiddenIsFoundWhereItIs() {
    Document linked = edited(demo, set("opening-button", "link", "#g-house-2"));
    Document hidden = edited(linked, set("house-2", "hidden", true));
    List<Snag> found = ofButton(hidden);
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().from()).isEqualTo(280);
    assertThat(found.getFirst().to()).isEqualTo(2560);
    outs(hidden, found.getFirst(), "show " + giostra.core.page.Fields.called(demo.node("house-2")));
    Document onPhones = edited(linked, new Edit.SetValue("houses", "shown", "phone", false));
    found = ofButton(onPhones);
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().from()).isEqualTo(280);
    assertThat(found.getFirst().to()).isEqualTo((int) demo.bands().all().getFirst().below() - 1);
    // Who cannot see the link cannot follow it.
    Document both =
        edited(
            edited(demo, set("house-1", "link", "#g-house-2")),
            new Edit.SetValue("houses", "shown", "phone", false));
    assertThat(found(Rule.NOWHERE, both)).extracting(Snag::item).doesNotContain("house-1");
  }

  /** Source: HTML, "The id attribute": an id is the only one in its tree. */
  @Test
  void placesThatAreCalledTheSameAreFound() {
    Document same =
        edited(demo, set("openings", "anchor", "tickets"), set("house-2", "anchor", "tickets"));
    List<Snag> found = found(Rule.SAME_ANCHOR, same);
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().place().node()).isEqualTo("houses");
    assertThat(found.getFirst().item()).isEqualTo("house-2");
    outs(same, found.getFirst(), "call it tickets-2");
    Document taken = edited(same, set("figures", "anchor", "tickets-2"));
    outs(taken, found(Rule.SAME_ANCHOR, taken).getFirst(), "call it tickets-3");
  }

  /** Source: WCAG 2.2, G141: h1 and then h3 is its example of what is wrong. */
  @ParameterizedTest
  @CsvSource({"2, 0", "3, 0", "4, 1", "6, 1", "1, 0"})
  void aHeadingThatSkipsALevelIsFound(int level, int found) {
    Document changed = edited(demo, set("idea-title", "level", (double) level));
    List<Snag> all = found(Rule.SKIPPED_LEVEL, changed);
    assertThat(all).hasSize(found);
    if (found > 0) {
      assertThat(all.getFirst().item()).isEqualTo("idea-title");
      outs(changed, all.getFirst(), "level 3");
    }
  }

  @Test
  void buttonsOfDifferentPiecesAreHeardTogether() {
    Map<String, String> said = Map.of("house-1", "See more", "plant-fern", "see more");
    Document same = demo;
    for (Map.Entry<String, String> each : said.entrySet()) {
      same =
          edited(
              same,
              set(each.getKey(), "button", each.getValue()),
              set(each.getKey(), "buttonLink", "/" + each.getKey()));
    }
    List<Snag> found = found(Rule.SAME_WORDS, same);
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().place().node()).isEqualTo("plants");
    assertThat(found.getFirst().message()).startsWith("“see more” leads elsewhere than in ");
    outs(same, found.getFirst(), "add the heading to what each is called");
    assertThat(found(Rule.SAME_WORDS, edited(same, set("plant-fern", "buttonLink", "/house-1"))))
        .isEmpty();
  }
}
