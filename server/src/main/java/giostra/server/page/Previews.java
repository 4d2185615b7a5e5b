package giostra.server.page;

import giostra.core.fit.Screen;
import giostra.core.output.Assumption;
import giostra.core.output.Compiled;
import giostra.core.output.Origins;
import giostra.core.page.Document;
import giostra.server.host.Policy;
import giostra.server.host.Ports;
import giostra.server.host.Types;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;

/** Answers with previews: what would be released, with one script tag more for the bench. */
@Component
public class Previews {
  private final Stage stage;
  private final Ports port;

  Previews(Stage stage, Ports port) {
    this.stage = stage;
    this.port = port;
  }

  /**
   * A page as it stands, under assumptions.
   *
   * @param on the moment that it takes for now, in ms since 1970; the true one without
   */
  ResponseEntity<byte[]> page(PageService.Head head, Set<Assumption> assumed, @Nullable Long on) {
    Compiled compiled =
        assumed.isEmpty()
            ? stage.compile(head)
            : stage.compile(head.siteId(), Assumption.document(head.document(), assumed));
    return page(compiled, assumed, on);
  }

  /**
   * A document of a site, under assumptions.
   *
   * @param on the moment that it takes for now, in ms since 1970; the true one without
   */
  public ResponseEntity<byte[]> page(
      String siteId, Document document, Set<Assumption> assumed, @Nullable Long on) {
    return page(stage.compile(siteId, Assumption.document(document, assumed)), assumed, on);
  }

  private ResponseEntity<byte[]> page(
      Compiled compiled, Set<Assumption> assumed, @Nullable Long on) {
    String html = Assumption.html(compiled.html(), assumed);
    String words = String.join(",", assumed.stream().map(Assumption::word).toList());
    if (!assumed.isEmpty() || on != null) {
      // Ahead of the page's own scripts, so that they are told what is assumed.
      String tag =
          String.format(
              Locale.ROOT,
              "<script src=\"assume.js\" data-assume=\"%s\"%s></script>",
              words,
              on == null ? "" : " data-on=\"" + on + "\"");
      html = html.replace("</title>", "</title>" + tag);
    }
    if (!assumed.isEmpty()) {
      html = html.replace(compiled.cssPath(), compiled.cssPath() + "?assume=" + words);
    }
    String tag =
        String.format(
            Locale.ROOT,
            "<script src=\"stage.js\" data-bench=\"%s\" data-bars=\"%d\" data-barred=\"%d\" defer></script>",
            port.bench(),
            Screen.BARS,
            Screen.BARRED);
    return answer(
        "index.html",
        html.replace("</head>", tag + "</head>").getBytes(StandardCharsets.UTF_8),
        "no-store",
        compiled.origins());
  }

  /** A file of a preview. */
  <T> ResponseEntity<T> answer(String path, T bytes, String caching) {
    return answer(path, bytes, caching, Origins.NONE);
  }

  private <T> ResponseEntity<T> answer(String path, T bytes, String caching, Origins origins) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(Types.of(path)))
        .header(HttpHeaders.CACHE_CONTROL, caching)
        .header("Content-Security-Policy", Policy.preview(port.bench(), origins))
        .header("X-Content-Type-Options", "nosniff")
        .body(bytes);
  }
}
