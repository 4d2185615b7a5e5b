package giostra.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Linking;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionSettings;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What is kept on a site, over the API. */
@ExtendWith(Giostra.class)
class StockApiTest {
  private static final Values NONE = Values.NONE;

  private static Page page(String title, Block... blocks) {
    return new Page(
        "page",
        NONE.with(PageSettings.TITLE, Values.ALL, title),
        List.of(new Section("one", NONE, List.of(blocks))));
  }

  private static Accordion questions() {
    return new Accordion(
        "asked",
        NONE.with(AccordionSettings.GAP, "tablet", giostra.core.value.Length.px(5)),
        List.of(question("first", "Where is the gate?"), question("second", "When is dusk?")));
  }

  private static Item question(String id, String words) {
    return new Item(
        id,
        NONE.with(ItemSettings.HEADING, Values.ALL, words)
            .with(ItemSettings.TEXT, Values.ALL, "As every day."));
  }

  private static Accordion linked(String id, String to) {
    return new Accordion(id, NONE.with(Linking.LINKED_TO, Values.ALL, to), List.of());
  }

  private record Two(String home, String other, String kept) {}

  /** A home with questions that are kept, and a page of the same site that links to them twice. */
  private static Two two(Api api, String name) {
    String site = api.newSite(name);
    Site own = new Site(giostra.core.band.Bands.INITIAL, NONE);
    String home = api.newPage(site, new Document(own, page("Home", questions())));
    JsonNode kept = keep(api, home, "asked", "Questions").json();
    String id = kept.path("id").asString();
    String other =
        api.newPage(
            site,
            new Document(
                api.document(home).site(), page("Other", linked("a", id), linked("b", id))));
    return new Two(home, other, id);
  }

  private static Api.Answer keep(Api api, String page, String node, String name) {
    return api.post("/api/pages/" + page + "/stock", Map.of("node", node, "name", name));
  }

  private static String shown(Api api, String page) {
    return api.get(api.stage() + "/api/pages/" + page + "/preview/").text();
  }

  private static int count(String text, String part) {
    return text.split(java.util.regex.Pattern.quote(part), -1).length - 1;
  }

  @Test
  void aLinkedPieceShowsItsSourceAndFollowsIt(Api api) {
    Two two = two(api, "Following");
    assertThat(count(shown(api, two.other()), "Where is the gate?")).isEqualTo(2);
    api.edit(two.home(), 0, new Edit.SetValue("first", "heading", Values.ALL, "Which tram is it?"));
    String after = shown(api, two.other());
    assertThat(count(after, "Which tram is it?")).isEqualTo(2);
    assertThat(after).doesNotContain("Where is the gate?");
    api.post("/api/pages/" + two.home() + "/undo", null);
    assertThat(count(shown(api, two.other()), "Where is the gate?")).isEqualTo(2);
  }

  @Test
  void madeACopyItFollowsNoMore(Api api) {
    Two two = two(api, "Copying");
    String address = "/api/pages/" + two.other() + "/stock/copy?node=";
    var edits = api.get(address + "a").json();
    api.post("/api/pages/" + two.other() + "/edits", Map.of("revision", 0, "edits", edits));
    api.edit(two.home(), 0, new Edit.SetValue("first", "heading", Values.ALL, "Changed"));
    assertThat(count(shown(api, two.other()), "Where is the gate?")).isEqualTo(1);
    assertThat(api.get(address + "a").text()).contains("must be linked to something");
  }

  @Test
  void aReleaseStaysWhatItWas(Api api) {
    Two two = two(api, "Released");
    String address = api.publish(two.other());
    api.edit(two.home(), 0, new Edit.SetValue("first", "heading", Values.ALL, "Changed"));
    assertThat(api.get(address).text()).contains("Where is the gate?").doesNotContain("Changed");
    api.publish(two.other());
    assertThat(api.get(address).text()).contains("Changed");
  }

  @Test
  void theListSaysWhereItIsLinkedToAndWhatIsLinkedToStays(Api api) {
    Two two = two(api, "Listed");
    String site = two.home().substring(0, two.home().length() - "-home".length());
    JsonNode list = api.get("/api/sites/" + site + "/stock").json();
    assertThat(list.size()).isEqualTo(1);
    JsonNode kept = list.get(0);
    assertThat(kept.path("name").asString()).isEqualTo("Questions");
    assertThat(kept.path("homePage").asString()).isEqualTo(two.home());
    assertThat(kept.path("uses").get(0).path("title").asString()).isEqualTo("Other");
    assertThat(kept.path("node").path("children").size()).isEqualTo(2);
    String address = "/api/sites/" + site + "/stock/" + two.kept();
    Api.Answer refused = api.delete(address);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.text()).contains("is linked to on Other");
    api.edit(two.other(), 0, new Edit.RemoveNode("a"), new Edit.RemoveNode("b"));
    assertThat(api.delete(address).status()).isEqualTo(204);
    assertThat(api.get("/api/sites/" + site + "/stock").json().size()).isZero();
    assertThat(api.delete(address).status()).isEqualTo(404);
  }

  @Test
  void whatIsDeletedAtHomeIsRememberedAsItWas(Api api) {
    Two two = two(api, "Homeless");
    String site = two.home().substring(0, two.home().length() - "-home".length());
    api.edit(two.home(), 0, new Edit.RemoveNode("asked"));
    assertThat(count(shown(api, two.other()), "When is dusk?")).isEqualTo(2);
    JsonNode kept = api.get("/api/sites/" + site + "/stock").json().get(0);
    assertThat(kept.path("homePage").isNull()).isTrue();
  }

  @Test
  void aBandThatGoesTakesItsValuesFromWhatIsKept(Api api) {
    Two two = two(api, "Fewer bands");
    assertThat(api.edit(two.other(), 0, new Edit.RemoveBand("tablet")).status()).isEqualTo(200);
    assertThat(count(shown(api, two.other()), "Where is the gate?")).isEqualTo(2);
  }

  @Test
  void onlyPiecesAndSectionsWithContentOfTheirOwnAreKept(Api api) {
    Two two = two(api, "Refusals");
    assertThat(keep(api, two.home(), "first", "One question").text())
        .contains("is item; it must be a piece or a section");
    assertThat(keep(api, two.other(), "a", "Again").text()).contains("linked to something");
    assertThat(keep(api, two.home(), "asked", "  ").status()).isEqualTo(422);
    assertThat(keep(api, two.home(), "nowhere", "Nothing").status()).isIn(404, 422);
    assertThat(keep(api, two.home(), "one", "A section").status()).isEqualTo(201);
    String again = keep(api, two.home(), "asked", "By another name").json().path("id").asString();
    assertThat(again).as("kept once").isEqualTo(two.kept());
  }

  @Test
  void figuresAndFindingsAreThoseOfWhatIsShown(Api api) {
    Two two = two(api, "Figures");
    JsonNode readings = api.get("/api/pages/" + two.other() + "/readings?width=1280").json();
    List<String> items =
        readings.path("heights").valueStream().map(h -> h.path("item").asString()).toList();
    assertThat(items).contains("a-first", "b-second");
    JsonNode sheet = api.get("/api/pages/" + two.other() + "/sheet?node=a").json();
    JsonNode gap =
        sheet
            .path("rows")
            .valueStream()
            .filter(row -> row.path("setting").asString().equals("gap"))
            .findFirst()
            .orElseThrow();
    JsonNode tablet = gap.path("cells").get(1);
    assertThat(tablet.path("value").asString()).isEqualTo("5px");
    assertThat(tablet.path("from").asString()).isEqualTo("from what it is linked to");
  }
}
