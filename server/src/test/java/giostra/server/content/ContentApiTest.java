package giostra.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.accordion.Accordion;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Items from files and into files, over the API. */
@ExtendWith(Giostra.class)
class ContentApiTest {
  private static String page(Api api) {
    Values titled = Values.NONE.with(PageSettings.TITLE, Values.ALL, "Asked");
    Piece empty = new Accordion("asked", Values.NONE, List.of());
    return api.newPage(
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new Page("page", titled, List.of(new Section("one", Values.NONE, List.of(empty))))));
  }

  private static Api.Answer upload(Api api, String page, String csv) {
    return api.uploadTo(
        "/api/pages/" + page + "/intakes?piece=asked",
        "asked.csv",
        csv.getBytes(StandardCharsets.UTF_8));
  }

  private static JsonNode finished(Api api, String intake) throws InterruptedException {
    JsonNode now = api.get("/api/intakes/" + intake).json();
    for (int i = 0; i < 200 && now.path("state").asString().equals("RUNNING"); i++) {
      Thread.sleep(25);
      now = api.get("/api/intakes/" + intake).json();
    }
    return now;
  }

  @Test
  void aFileIsReadMappedMendedAndTaken(Api api) throws InterruptedException {
    String page = page(api);
    Api.Answer created = upload(api, page, "Question,Answer,Open at first\nA,1,no\nB,2,maybe\n");
    assertThat(created.status()).isEqualTo(201);
    JsonNode intake = created.json();
    String id = intake.path("id").asString();
    assertThat(intake.path("form").asString()).isEqualTo("commas between cells");
    assertThat(intake.path("good").asInt()).isEqualTo(1);
    JsonNode fault = intake.path("left").get(0).path("faults").get(0);
    assertThat(fault.path("column").asInt()).isEqualTo(2);
    assertThat(fault.path("message").asString()).contains("maybe; it must be on or off");
    assertThat(api.get("/api/intakes/" + id + "/rest.csv").text())
        .isEqualTo("Question,Answer,Open at first\r\nB,2,maybe\r\n");

    Api.Answer wrong = api.put("/api/intakes/" + id + "/mapping", List.of("heading", "price", ""));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.text()).contains("Field is price; it must be one of heading, text");

    assertThat(api.put("/api/intakes/" + id + "/mapping", List.of("heading", "heading", "")).text())
        .contains("Field is heading of several columns; it must be one of a single column");

    // What is there shows in the preview before anything is put in.
    String preview = api.stage() + "/api/pages/" + page + "/preview/?intake=" + id;
    assertThat(api.get(preview).text()).contains("data-piece=\"asked\"").contains(">A<");
    assertThat(api.document(page).piece("asked").items()).isEmpty();

    JsonNode mended =
        api.post(
                "/api/intakes/" + id + "/mends",
                List.of(Map.of("row", 3, "column", 2, "text", "yes")))
            .json();
    assertThat(mended.path("good").asInt()).isEqualTo(2);
    api.post("/api/intakes/" + id + "/run", Map.of("replace", false));
    JsonNode done = finished(api, id);
    assertThat(done.path("state").asString()).isEqualTo("DONE");
    assertThat(done.path("said").asString()).isEqualTo("2 items are in.");
    assertThat(api.document(page).piece("asked").items().getLast().values().get(ItemSettings.OPEN))
        .isTrue();
    assertThat(api.page(page).path("revision").asInt()).as("one step").isEqualTo(1);
    assertThat(api.get("/api/pages/" + page + "/content.json?piece=asked").json().size())
        .isEqualTo(2);
  }

  @Test
  void whatIsTooLargeOrNoTextIsRefused(Api api) {
    String page = page(api);
    String many = "Question,Answer\n" + "\"a\",\"b\",\"c\"\n".repeat(1_500_000);
    assertThat(upload(api, page, many).text())
        .contains("Size of the file is 17 MB; it must be at most 16 MB");
    byte[] binary = new byte[64];
    Arrays.fill(binary, (byte) 0xC3);
    assertThat(api.uploadTo("/api/pages/" + page + "/intakes?piece=asked", "a.csv", binary).text())
        .contains("no UTF-8 at byte 0");
    assertThat(upload(api, page, "Question,Answer\n\"open,1\n").text())
        .contains("broken by a quotation mark");
  }

  @Test
  void aFileThatIsPutAsideIsGone(Api api) {
    String page = page(api);
    String id = upload(api, page, "Question\nA\n").json().path("id").asString();
    String open = "/api/pages/" + page + "/intakes?piece=asked";
    assertThat(api.get(open).json().size()).isEqualTo(1);
    assertThat(api.delete("/api/intakes/" + id).status()).isEqualTo(204);
    assertThat(api.get(open).json().size()).isZero();
    assertThat(api.get("/api/intakes/" + id).status()).isEqualTo(404);
  }

  @Test
  void aPieceThatFollowsNoFileIsNotFilledAgain(Api api) {
    String page = page(api);
    Api.Answer answer =
        api.uploadTo("/api/pages/" + page + "/refills?piece=asked", "b.csv", "Id\n1\n".getBytes());
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("it must be one that is filled from a file");
    assertThat(api.get("/api/pages/" + page + "/feed?piece=asked").status()).isEqualTo(404);
  }
}
