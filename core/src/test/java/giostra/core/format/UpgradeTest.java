package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.BlockSettings;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.PageSettings;
import giostra.core.page.SectionSettings;
import giostra.core.page.TrackSettings;
import giostra.core.piece.counters.CounterSettings;
import giostra.core.piece.slider.SliderSettings;
import giostra.core.value.Around;
import giostra.core.value.Ground;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What was written in older versions, each with a stored fixture of that version. */
class UpgradeTest {
  private static final Function<String, Optional<NodeType>> NOTHING = _ -> Optional.empty();

  private static JsonNode stored(int version) throws IOException {
    try (InputStream in = UpgradeTest.class.getResourceAsStream("document-" + version + ".json")) {
      return DocumentJson.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
  }

  @Test
  void aDocumentOfVersion1IsReadAndItsSpacesAreThemselves() throws IOException {
    JsonNode one = stored(1);
    String before = one.toString();
    Document document = DocumentJson.read(one);
    assertThat(one.toString()).as("what is handed in is not changed").isEqualTo(before);
    assertThat(document.node("words").values().get(BlockSettings.PARAGRAPHS))
        .isEqualTo("<p>One\u00A0two &amp;nbsp; three</p>");
    assertThat(document.node("card").values().get(ItemSettings.TEXT))
        .isEqualTo("<p>In\u00A0an item</p>");
    assertThat(document.page().values().get(PageSettings.TITLE))
        .as("words are no markup")
        .isEqualTo("A page &nbsp; of version 1");
    assertThat(DocumentJson.write(document).path("giostra").asInt())
        .isEqualTo(DocumentJson.VERSION);
    assertThat(DocumentJson.read(DocumentJson.text(document))).isEqualTo(document);
  }

  @Test
  void nodesAndEditsOfVersion1AsWell() throws IOException {
    JsonNode section = stored(1).path("page").path("children").get(0);
    var node = DocumentJson.keptNode(section, Set.of("phone", "desktop"), 1);
    assertThat(DocumentJson.write(node).toString()).contains("One\u00A0two");
    Document document = DocumentJson.read(stored(1));
    var edits =
        DocumentJson.parse(
            "[{\"type\":\"AddNode\",\"parent\":\"page\",\"index\":0,\"content\":" + section + "}]");
    List<Edit> read = EditJson.read(Upgrade.edits(edits, 1, NOTHING), document.bands());
    assertThat(EditJson.write(read).toString()).contains("One\u00A0two");
  }

  @Test
  void settingsOfVersion2HaveTheirNewNamesAndMeanWhatTheyMeant() throws IOException {
    Document document = DocumentJson.read(stored(2));
    assertThat(document.node("cards").values().set())
        .isEqualTo(
            Map.of(
                "heights",
                Map.of("desktop", TrackSettings.Heights.OWN, "phone", TrackSettings.Heights.ALL),
                "seasonBegins",
                Map.of("", "2026-12-01")));
    assertThat(document.node("card").values().get(ConditionSettings.SEASON_ENDS))
        .isEqualTo("2026-12-24");
    assertThat(document.node("slides").values().own(SliderSettings.WORDS_MEASURE, "desktop"))
        .isEqualTo(Length.px(400));
    assertThat(document.node("slow").values().get(CounterSettings.DURATION))
        .as("what ran two seconds goes on doing so")
        .isEqualTo(Duration.ofSeconds(2));
    assertThat(document.node("quick").values().get(CounterSettings.DURATION))
        .isEqualTo(Duration.ofMillis(700));
    assertThat(DocumentJson.read(DocumentJson.text(document))).isEqualTo(document);
  }

  @Test
  void editsOfVersion2AreTakenBackUnderTheNewNames() throws IOException {
    Document document = DocumentJson.read(stored(2));
    var edits =
        DocumentJson.parse(
            """
            [{"type":"SetValue","node":"cards","setting":"equalHeights","band":"desktop","value":true},
             {"type":"SetValue","node":"cards","setting":"equalHeights","band":"phone","value":null},
             {"type":"SetValue","node":"card","setting":"showUntil","band":"","value":"2027-01-06"}]
            """);
    List<Edit> read = EditJson.read(Upgrade.edits(edits, 2, NOTHING), document.bands());
    Document after = Edits.apply(document, read).document();
    assertThat(after.node("cards").values().set().get("heights"))
        .isEqualTo(Map.of("desktop", TrackSettings.Heights.ALL));
    assertThat(after.node("card").values().get(ConditionSettings.SEASON_ENDS))
        .isEqualTo("2027-01-06");
  }

  @Test
  void whatVersion3SaidOfPlayersIsSaidOfTheirParts() throws IOException {
    Document document = DocumentJson.read(stored(3));
    assertThat(document.site().values().styles().set())
        .hasSize(3)
        .containsEntry(
            StyleKey.parse("video.bar-button/rest/corners"),
            Map.of("desktop", Around.all(Length.px(18)), "phone", Around.all(Length.percent(50))))
        .containsEntry(
            StyleKey.parse("video.start-button/hover/ground"),
            Map.of("desktop", Ground.parse("linear-gradient(90deg,#f7d489 0%,#d9a53f 100%)")));
    assertThat(document.node("film").values().styles().set().keySet())
        .extracting(StyleKey::written)
        .containsExactlyInAnyOrder(
            "video.time/rest/ink",
            "video.track/focus/border-ink",
            "video.start-button/rest/nudge",
            "video.bar/rest/picture");
    assertThat(document.node("film").values().set()).containsOnlyKeys("startButton");
    assertThat(DocumentJson.read(DocumentJson.text(document))).isEqualTo(document);
    // The second that shows: reordered, it stays the one that opens.
    assertThat(document.node("t3").values().get(ItemSettings.OPEN)).isTrue();
    assertThat(document.node("t1").values().get(ItemSettings.OPEN)).isFalse();
    assertThat(document.node("tabs").values()).isEqualTo(Values.NONE);
    var edits =
        DocumentJson.parse(
            "[{\"type\":\"SetValue\",\"node\":\"film\",\"setting\":\"timeColour\",\"band\":\"phone\",\"value\":null}]");
    List<Edit> read = EditJson.read(Upgrade.edits(edits, 3, NOTHING), document.bands());
    assertThat(read)
        .containsExactly(
            new Edit.SetStyle("film", StyleKey.parse("video.time/rest/ink"), "phone", null));
  }

  @Test
  void whatVersion4SaidInSettingsIsSaidOfParts() throws IOException {
    Document document = DocumentJson.read(stored(4));
    assertThat(styles(document, "tabs"))
        .containsExactlyInAnyOrder(
            "tabs.panel/rest/padding-above {desktop=32px, phone=1rem}",
            "tabs.panel/rest/padding-sides {desktop=32px, phone=1rem}",
            "tabs.panel/rest/padding-below {desktop=32px, phone=1rem}");
    assertThat(styles(document, "questions"))
        .containsExactlyInAnyOrder(
            "accordion.heading-row/rest/padding-above {phone=12px}",
            "accordion.heading-row/rest/padding-sides {phone=12px}",
            "accordion.heading-row/rest/padding-below {phone=12px}",
            "accordion.panel/rest/padding-sides {desktop=24px}",
            "accordion.panel/rest/padding-below {desktop=24px}");
    assertThat(styles(document, "boxes"))
        .contains("flip.words/rest/padding-sides {desktop=30px}")
        .contains("flip.front/rest/ink {desktop=#112233}")
        .hasSize(4);
    assertThat(styles(document, "slides"))
        .contains("slider.stand/rest/padding-below {phone=24px}")
        .hasSize(3);
    assertThat(styles(document, "figures"))
        .containsExactly("counters.number/rest/text-size {desktop=64px, phone=3rem}");
    assertThat(styles(document, "film")).containsExactly("video.place/rest/corners {desktop=0px}");
    // Sections have a padding of that name, and keep it.
    assertThat(document.node("section").values().own(SectionSettings.PADDING, "desktop"))
        .isEqualTo(Length.px(40));
    assertThat(DocumentJson.read(DocumentJson.text(document))).isEqualTo(document);
  }

  private static List<String> styles(Document document, String node) {
    return document.node(node).values().styles().set().entrySet().stream()
        .map(each -> {
          Setting<?> setting = document.node(node).type().style(each.getKey());
          var byBand = new java.util.TreeMap<String, Object>();
          each.getValue().forEach((band, value) -> byBand.put(band, setting.write(value)));
          return each.getKey().written() + " " + byBand;
        })
        .toList();
  }

  @Test
  void editsOfVersion4AreTakenBackAsStylesOfWhatTheirNodeIs() throws IOException {
    Document document = DocumentJson.read(stored(4));
    var edits =
        DocumentJson.parse(
            """
            [{"type":"SetValue","node":"slides","setting":"padding","band":"phone","value":null},
             {"type":"SetValue","node":"section","setting":"padding","band":"desktop","value":"50px"},
             {"type":"AddNode","parent":"section","index":0,
              "content":{"id":"new","type":"flip-boxes","values":{},"children":[]}},
             {"type":"SetValue","node":"new","setting":"padding","band":"desktop","value":"5px"},
             {"type":"SetValue","node":"figures","setting":"numberSize","band":"desktop","value":"2em"},
             {"type":"SetValue","node":"questions","setting":"panelPadding","band":"desktop","value":"9px"}]
            """);
    List<Edit> read =
        EditJson.read(
            Upgrade.edits(edits, 4, id -> document.find(id).map(Node::type)), document.bands());
    Document after = Edits.apply(document, read).document();
    assertThat(styles(after, "slides")).isEmpty();
    assertThat(styles(after, "new")).contains("flip.words/rest/padding-above {desktop=5px}");
    assertThat(styles(after, "figures"))
        .containsExactly("counters.number/rest/text-size {desktop=2rem, phone=3rem}");
    assertThat(styles(after, "questions"))
        .contains("accordion.panel/rest/padding-below {desktop=9px}")
        .noneMatch(each -> each.startsWith("accordion.panel/rest/padding-above"));
    assertThat(after.node("section").values().own(SectionSettings.PADDING, "desktop"))
        .isEqualTo(Length.px(50));
  }

  @Test
  void aVersionThatIsNoneIsRefused() throws IOException {
    JsonNode one = stored(1);
    int none = DocumentJson.VERSION + 1;
    assertThatThrownBy(() -> Upgrade.document(one, none))
        .hasMessage("version is %d; it must be 1 to %d".formatted(none, DocumentJson.VERSION));
    String newer = one.toString().replace("\"giostra\":1", "\"giostra\":" + none);
    assertThatThrownBy(() -> DocumentJson.read(newer)).hasMessageContaining("version is " + none);
  }

  @Test
  void whatWasKeptOpensAsFarAsItCanBeRead() throws IOException {
    JsonNode one = stored(1);
    String text =
        one.path("page")
            .toString()
            .replace("24px", "-24px")
            .replace("\"gap\":{\"desktop\"", "\"gap\":{\"tablet\":\"12px\",\"desktop\"")
            .replace("A page", "A page\\u0001" + "w".repeat(300))
            .replace("\"heading\":", "\"unknown\":1,\"heading\":");
    DocumentJson.Kept kept = DocumentJson.kept(one.path("site"), DocumentJson.parse(text), 1);
    assertThat(kept.mended()).hasSize(4);
    assertThat(kept.document().node("cards").values().set()).isEmpty();
    assertThat(kept.document().page().values().get(PageSettings.TITLE)).startsWith("A pagewww");
    assertThat(DocumentJson.read(DocumentJson.text(kept.document()))).isEqualTo(kept.document());
  }
}
