package giostra.server.release;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.core.testing.RandomDocuments;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Live pages and bundles. Sources: RFC 9110, "ETag" and "If-None-Match"; Content Security Policy
 * Level 3.
 */
@ExtendWith(Giostra.class)
class LiveApiTest {
  private static final Pattern FILE = Pattern.compile("(?:src|href)=\"([^\"#:]+)\"");

  @Test
  void thePageIsRevalidatedAndItsFilesNeverChange(Api api) {
    Api.Answer page = api.get(Api.LIVE_DEMO);
    assertThat(page.header("cache-control")).isEqualTo("no-cache");
    assertThat(api.get(Api.LIVE_DEMO, "If-None-Match", page.header("etag")).status())
        .isEqualTo(304);
    var files = FILE.matcher(page.text());
    int seen = 0;
    while (files.find()) {
      Api.Answer file = api.get(Api.LIVE_DEMO + files.group(1));
      assertThat(file.status()).as(files.group(1)).isEqualTo(200);
      assertThat(file.header("cache-control")).contains("immutable");
      seen++;
    }
    assertThat(seen).isGreaterThan(15);
  }

  @Test
  void thePolicyAllowsNothingInlineAndNothingFromElsewhere(Api api) {
    assertThat(api.get(Api.LIVE_DEMO).header("content-security-policy"))
        .contains("default-src 'none'", "script-src 'self'", "style-src 'self'")
        .doesNotContain("unsafe")
        .doesNotContain("*");
  }

  @Test
  void theBundleIsTheLiveReleaseFileByFile(Api api) throws IOException {
    Map<String, byte[]> bundle =
        unzipped(api.get("/api/pages/" + Api.DEMO + "/bundle.zip").bytes());
    assertThat(bundle.get("index.html")).isEqualTo(api.get(Api.LIVE_DEMO).bytes());
    bundle.forEach((path, bytes) ->
        assertThat(api.get(Api.LIVE_DEMO + path).bytes()).as(path).isEqualTo(bytes));
    assertThat(bundle.keySet()).anyMatch(path -> path.endsWith(".js"));
  }

  @Test
  void anOlderReleaseCanBeBroughtBack(Api api) {
    String id = api.newPage(RandomDocuments.document(5));
    String live = api.publish(id);
    String first = api.get(live).text();
    api.edit(id, 0, new Edit.SetValue("page", "title", "", "Another title"));
    api.publish(id);
    assertThat(api.get(live).text()).contains("Another title").isNotEqualTo(first);
    api.post("/api/pages/" + id + "/releases/1/live", null);
    assertThat(api.get(live).text()).isEqualTo(first);
  }

  @Test
  void whatIsNotThereSaysSo(Api api) {
    assertThat(api.get("/live/velluta/nowhere/").status()).isEqualTo(404);
    assertThat(api.get(Api.LIVE_DEMO + "../../secret").status()).isIn(400, 404);
    assertThat(api.get("/api/pages/nowhere").json().path("detail").asString())
        .isEqualTo("There is no page \"nowhere\".");
  }

  private static Map<String, byte[]> unzipped(byte[] bytes) throws IOException {
    var files = new HashMap<String, byte[]>();
    try (var zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        files.put(entry.getName(), zip.readAllBytes());
      }
    }
    return files;
  }
}
