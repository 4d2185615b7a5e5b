package giostra.server.release;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import giostra.core.output.Shipped;
import giostra.server.host.PageFiles;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Document;
import org.springframework.stereotype.Component;

/**
 * A proof sheet as a PDF, tagged for readers, with its letters in it. They are those that ship for
 * pages, of each family the files that the words of the sheet need.
 */
@Component
class ProofSheetPdf {
  /** Whose letters are asked first. */
  private static final String FAMILY = "Noto Sans Variable";

  private final PageFiles files;

  ProofSheetPdf(PageFiles files) {
    this.files = files;
  }

  /** The sheet as a PDF. */
  byte[] of(String html) {
    Document sheet = Jsoup.parse(html);
    List<byte[]> fonts = fonts(sheet.text());
    var builder = new PdfRendererBuilder();
    for (int i = 0; i < fonts.size(); i++) {
      byte[] font = fonts.get(i);
      builder.useFont(() -> new ByteArrayInputStream(font), "f" + i, 400, FontStyle.NORMAL, true);
    }
    String families =
        IntStream.range(0, fonts.size()).mapToObj(i -> "f" + i).collect(Collectors.joining(","));
    for (String name : List.of("description", "subject")) {
      sheet.head().appendElement("meta").attr("name", name).attr("content", sheet.title());
    }
    sheet.head().appendElement("style").append("body,h1,h2,code{font-family:" + families + "}");
    var out = new ByteArrayOutputStream();
    builder
        .useUnicodeBidiSplitter(IcuBidi::new)
        .useUnicodeBidiReorderer(new IcuBidi())
        .defaultTextDirection(PdfRendererBuilder.TextDirection.LTR)
        .usePdfUaAccessibility(true)
        .withW3cDocument(new W3CDom().fromJsoup(sheet), null)
        // It is one file, which loads nothing.
        .useUriResolver((_, _) -> null)
        .withProducer("Giostra")
        .toStream(out);
    try {
      builder.run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /**
   * The files that have the characters of a text, each the first that has some of them. Of what
   * none has the writer draws a sign that stands for it.
   */
  private List<byte[]> fonts(String text) {
    var asked = new BitSet();
    text.codePoints().forEach(asked::set);
    return Stream.concat(
            files.fonts().stream().filter(font -> font.family().equals(FAMILY)),
            files.fonts().stream().filter(font -> !font.family().equals(FAMILY)))
        .flatMap(font -> files.plain(font).filter(_ -> takes(font, asked)).stream())
        .toList();
  }

  /** Whether a file has some of the characters; then nobody else is asked for these. */
  private static boolean takes(Shipped.Font font, BitSet asked) {
    BitSet has = new BitSet();
    for (String each : font.unicodeRange().split(",")) {
      String[] ends = each.strip().toUpperCase(Locale.ROOT).substring(2).split("-");
      int from = Integer.parseInt(ends[0].replace('?', '0'), 16);
      int to = Integer.parseInt(ends[ends.length - 1].replace('?', 'F'), 16);
      has.set(from, to + 1);
    }
    has.and(asked);
    asked.andNot(has);
    return !has.isEmpty();
  }
}
