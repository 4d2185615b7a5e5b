package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What was written in older versions, each with a stored fixture of that version. */
class UpgradeTest {
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
    List<Edit> read = EditJson.read(Upgrade.edits(edits, 1), document.bands());
    assertThat(EditJson.write(read).toString()).contains("One\u00A0two");
  }

  @Test
  void aVersionThatIsNoneIsRefused() throws IOException {
    JsonNode one = stored(1);
    assertThatThrownBy(() -> Upgrade.document(one, 3))
        .hasMessage("version is 3; it must be 1 to 2");
    String newer = one.toString().replace("\"giostra\":1", "\"giostra\":3");
    assertThatThrownBy(() -> DocumentJson.read(newer)).hasMessageContaining("version is 3");
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
