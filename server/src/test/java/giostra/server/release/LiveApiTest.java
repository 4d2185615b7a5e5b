package giostra.server.release;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.core.testing.RandomDocuments;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
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
    bundle.keySet().removeAll(Set.of(ServingRules.APACHE, ServingRules.NGINX));
    assertThat(bundle.get("index.html")).isEqualTo(api.get(Api.LIVE_DEMO).bytes());
    bundle.forEach((path, bytes) ->
        assertThat(api.get(Api.LIVE_DEMO + path).bytes()).as(path).isEqualTo(bytes));
    assertThat(bundle.keySet()).anyMatch(path -> path.endsWith(".js"));
  }

  /** Source: the Sitemaps protocol 0.9 (from memory): urlset, url, loc, lastmod as W3C datetime. */
  @Test
  void theLivePagesOfASiteStandInItsSitemap(Api api) throws Exception {
    String site = api.newSite("Lamps & paths");
    String map = "/live/" + site + "/sitemap.xml";
    String shown = api.newPage(site, RandomDocuments.document(6));
    api.newPage(site, RandomDocuments.document(7));
    assertThat(api.get(map).status()).as("nothing is live").isEqualTo(404);
    String live = api.publish(shown);
    Api.Answer answer = api.get(map);
    assertThat(answer.header("content-type")).startsWith("application/xml");
    var builders = DocumentBuilderFactory.newDefaultNSInstance();
    builders.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
    var root =
        builders
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(answer.bytes()))
            .getDocumentElement();
    assertThat(root.getNamespaceURI()).isEqualTo("http://www.sitemaps.org/schemas/sitemap/0.9");
    assertThat(root.getElementsByTagNameNS("*", "loc").getLength()).isEqualTo(1);
    assertThat(root.getElementsByTagNameNS("*", "loc").item(0).getTextContent()).isEqualTo(live);
    assertThat(api.get(live).status()).isEqualTo(200);
    String since = root.getElementsByTagNameNS("*", "lastmod").item(0).getTextContent();
    assertThat(Duration.between(Instant.parse(since), Instant.now()))
        .isLessThan(Duration.ofHours(1));
    assertThat(api.post("/api/pages/" + shown + "/away", null).status()).isBetween(200, 204);
    assertThat(api.get(map).status()).as("what is put away is not told of").isEqualTo(404);
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

  static Map<String, byte[]> unzipped(byte[] bytes) throws IOException {
    var files = new HashMap<String, byte[]>();
    try (var zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        files.put(entry.getName(), zip.readAllBytes());
      }
    }
    return files;
  }
}
