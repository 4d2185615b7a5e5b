package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.look.Values;
import giostra.core.testing.InTurn;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.core.value.Refused;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * What is accepted reads back, equal; what is refused says why and changes nothing. Documents and
 * edits are drawn wilder than anybody would type.
 */
class ReadBackTest {
  private static final List<String> WILD =
      List.of(
          "",
          " ",
          "plain words",
          "12px",
          "1.23456789px",
          "33.333333%",
          "1e3",
          "-0.00001px",
          "9".repeat(400),
          "1.2.3",
          "linear-gradient(1.2.3deg, #fff, #000)",
          "linear-gradient(12.3456789deg, #fff 1.23456%, #0008)",
          "rgb(1 2 3 / 0.333333)",
          "0.123 -1.987",
          "50.12345% 3.3333%",
          "16:9",
          "2.00001:1",
          "0.3333s",
          "<p>a<p>b<div>c</b></p>",
          "<p>" + "\u00A0&lt;".repeat(9_000) + "</p>",
          "<table><p>x<td>y</table><plaintext>z",
          "<b><i><b>nested</i></b>",
          "<a href='javascript:alert(1)'>x</a><img src=x onerror=y data-picture='lamp'>",
          "<form><form><button><p></button>",
          "M4 4h16v16H4z",
          "<svg viewBox='0 0 24 24'><g><path d='M0 0'/></g></svg>",
          "<svg viewBox='1.2.3 0 4 5'><path d='M0 0'/></svg>",
          "<svg width='3' height='4'><text>x</text></svg>",
          "no\u0000thing",
          "bell\u0007",
          "line\nbreak\r\nand\ttab",
          "half \uD83C",
          "\uDF19 other half",
          "moon \uD83C\uDF19 \u202Eright to left",
          "w".repeat(3_000),
          "\u00E9".repeat(50_000),
          "https://example.org/a b",
          "http://example.org/" + "w".repeat(3_000),
          "de-AT",
          "true",
          "view",
          "stack",
          "2:1:3",
          "heading text",
          "a-word",
          "A Word");

  private static Object wild(Random random) {
    return switch (random.nextInt(6)) {
      case 0 -> (Object) (random.nextDouble() * 100);
      case 1 -> (double) random.nextInt(-3, 3000);
      case 2 ->
          List.of(Double.NaN, Double.POSITIVE_INFINITY, -1e300, 1e-300, 4.9e-324)
              .get(random.nextInt(5));
      case 3 -> random.nextBoolean();
      default -> WILD.get(random.nextInt(WILD.size()));
    };
  }

  /** An edit that may name anything, at any place, with any value. */
  private static Edit edit(Random random, Document document) {
    List<Node> nodes = document.nodes().toList();
    Node node = nodes.get(random.nextInt(nodes.size()));
    List<String> bands = new ArrayList<>(DocumentJson.ids(document.bands()));
    bands.add("");
    bands.add("nobody");
    String band = bands.get(random.nextInt(bands.size()));
    List<Setting<?>> settings = node.type().settings();
    String id =
        random.nextInt(12) == 0 || settings.isEmpty() ? "a" + random.nextInt(30) : node.id();
    return switch (random.nextInt(9)) {
      case 0 -> new Edit.RemoveNode(id);
      case 1 ->
          new Edit.MoveNode(id, nodes.get(random.nextInt(nodes.size())).id(), random.nextInt(9));
      case 2 ->
          new Edit.AddNode(
              node.id(),
              random.nextInt(9),
              new Item(
                  random.nextBoolean()
                      ? "new-" + random.nextInt(40)
                      : WILD.get(random.nextInt(WILD.size())),
                  // Past its setting, as code might do it.
                  Values.NONE.withRaw(
                      "heading",
                      band.equals("nobody") ? "phone" : "",
                      String.valueOf(wild(random)))));
      case 3 ->
          switch (random.nextInt(3)) {
            case 0 -> new Edit.MoveBreakpoint(band, random.nextInt(3000));
            case 1 ->
                new Edit.AddBand(
                    "b" + random.nextInt(4), String.valueOf(wild(random)), random.nextInt(3000));
            default -> new Edit.RemoveBand(band);
          };
      default -> {
        Setting<?> setting =
            settings.isEmpty() ? SiteSettings.NAME : settings.get(random.nextInt(settings.size()));
        yield new Edit.SetValue(
            id,
            setting.id(),
            setting.byBand() == band.isEmpty() && random.nextInt(4) > 0
                ? setting.byBand() ? "desktop" : ""
                : band,
            wild(random));
      }
    };
  }

  @InTurn(5)
  @Test
  void whatIsAcceptedReadsBackAndWhatIsRefusedChangesNothing() {
    int documents = Runs.of(200, 2000);
    int each = 10;
    int accepted = 0;
    int refused = 0;
    for (int seed = 0; seed < documents; seed++) {
      var random = new Random(seed);
      Document now = RandomDocuments.document(seed);
      ReadBack.check(now);
      assertThat(DocumentJson.read(DocumentJson.text(now))).isEqualTo(now);
      for (int i = 0; i < each; i++) {
        String before = DocumentJson.text(now);
        Edit edit = edit(random, now);
        try {
          Edits.Applied applied = Edits.apply(now, edit);
          ReadBack.check(now, applied.document());
          String text = DocumentJson.text(applied.document());
          assertThat(DocumentJson.read(text)).as(edit.toString()).isEqualTo(applied.document());
          // What PostgreSQL keeps as jsonb. Source: its manual, "JSON Types".
          assertThat(text).doesNotContain("\\u0000");
          assertThat(text.codePoints()).allMatch(c -> c < 0xD800 || c > 0xDFFF);
          List<Edit> inverse =
              EditJson.read(EditJson.write(applied.inverse()), applied.document().bands());
          Edits.Applied back = Edits.apply(applied.document(), inverse);
          assertThat(back.document()).as("and back: " + edit).isEqualTo(now);
          now = applied.document();
          accepted++;
        } catch (Refused e) {
          assertThat(e.getMessage()).contains(" is ").contains("; it must be ");
          assertThat(e).as("no echo").message().hasSizeLessThan(2_000);
          assertThat(DocumentJson.text(now)).isEqualTo(before);
          refused++;
        }
      }
    }
    System.out.printf(
        "measured: %d documents, %d edits accepted and read back, %d refused%n",
        documents, accepted, refused);
    assertThat(accepted).isGreaterThan(documents);
    assertThat(refused).isGreaterThan(documents);
  }

  @Test
  void whatCodeMakesPastASettingIsFound() {
    Document before = RandomDocuments.document(1);
    Piece piece = before.pieces().getFirst();
    String key = "k".repeat(300);
    Document after =
        before.changed(
            piece.id(), node -> node.with(node.values().with(Feed.KEY, Values.ALL, key)));
    assertThatThrownBy(() -> ReadBack.check(before, after))
        .hasMessage(
            piece.id()
                + " / sourceKey: Rows are told apart by is 300 characters long; it must be text of"
                + " at most 200 characters");
    ReadBack.check(before, before);
  }

  @Test
  void aTextIsMeasuredAsItIsKept() {
    var rich = new RichKind(1000);
    // Non-breaking spaces are kept as themselves: they do not grow.
    String spaces = "<p>" + "\u00A0a".repeat(490) + "</p>";
    assertThat(rich.read("Text", spaces)).hasSize(spaces.length());
    assertThatThrownBy(() -> rich.read("Text", "<p>" + "<".repeat(400) + "</p>"))
        .hasMessageContaining("characters long, cleaned; it must be text of at most 1000");
  }

  @Test
  void aValueIsKeptAsItIsWritten() {
    Document document = RandomDocuments.document(1);
    String piece = document.pieces().getFirst().id();
    Document after =
        Edits.apply(document, new Edit.SetValue(piece, "gap", "desktop", "12.3456789px"))
            .document();
    assertThat(DocumentJson.read(DocumentJson.text(after))).isEqualTo(after);
    assertThat(DocumentJson.text(after)).contains("12.3457px");
  }
}
