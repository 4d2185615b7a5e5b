package giostra.server.release;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The proof sheet as a PDF, read by PDFBox. */
@ExtendWith(Giostra.class)
class ProofSheetPdfTest {
  private static final String ALL = "Lamps — Λάμπες, Лампы, đèn; מנורות";

  private static PDDocument sheet(Api api, String id, String more) throws IOException {
    Api.Answer answer = api.get("/api/pages/" + id + "/proof-sheet.pdf" + more);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    assertThat(answer.header("content-type")).startsWith("application/pdf");
    return Loader.loadPDF(answer.bytes());
  }

  @Test
  void itSaysWhatTheSheetSaysInLettersThatAreInIt(Api api) throws IOException {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.edit(
        id,
        api.page(id).path("revision").asInt(),
        new Edit.SetValue("page", "title", "", ALL),
        new Edit.SetValue("opening-button", "link", "", "#nowhere"));
    try (PDDocument pdf = sheet(api, id, "")) {
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertThat(text).contains("Lamps — Λάμπες, Лампы, đèn;").contains("מנורות");
      assertThat(text).contains("a link leads to #nowhere, which is nowhere on this page");
      assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
      assertThat(pdf.getDocumentCatalog().getLanguage()).isEqualTo("en");
      assertThat(pdf.getDocumentInformation().getTitle()).isEqualTo("Proof sheet of " + ALL);
      for (PDPage page : pdf.getPages()) {
        for (var name : page.getResources().getFontNames()) {
          assertThat(page.getResources().getFont(name).isEmbedded()).as(name.getName()).isTrue();
        }
      }
    }
  }

  @Test
  void ofAReleaseItHasTheHashesOfItsFiles(Api api) throws IOException {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.publish(id);
    try (PDDocument pdf = sheet(api, id, "?release=1")) {
      assertThat(new PDFTextStripper().getText(pdf))
          .contains("Files of release 1")
          .contains("index.html")
          .contains("holds for these files");
    }
    assertThat(api.get("/api/pages/" + id + "/proof-sheet.pdf?release=9").status()).isEqualTo(404);
    assertThat(api.get("/api/pages/nobody/proof-sheet.pdf").status()).isEqualTo(404);
  }
}
