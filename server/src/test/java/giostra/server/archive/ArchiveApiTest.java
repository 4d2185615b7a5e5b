package giostra.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A site as an archive, brought in beside itself, and archives that are not what they seem. */
@ExtendWith(Giostra.class)
class ArchiveApiTest {
  private static final String DEMO = "/api/sites/velluta/archive.zip";

  private static Map<String, byte[]> entries(byte[] zip) throws IOException {
    var all = new LinkedHashMap<String, byte[]>();
    try (var in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        all.put(entry.getName(), in.readAllBytes());
      }
    }
    return all;
  }

  private static byte[] zip(Map<String, byte[]> entries) throws IOException {
    var out = new ByteArrayOutputStream();
    try (var zip = new ZipOutputStream(out)) {
      for (var each : entries.entrySet()) {
        zip.putNextEntry(new ZipEntry(each.getKey()));
        zip.write(each.getValue());
      }
    }
    return out.toByteArray();
  }

  private static Map<String, String> hashes(Api api, String site) {
    var all = new TreeMap<String, String>();
    for (JsonNode each : api.get("/api/sites/" + site + "/media").json()) {
      all.put(each.path("id").asString(), each.path("hash").asString());
    }
    return all;
  }

  @Test
  void besideItselfItHasTheSameIdsAndShowsTheSame(Api api) {
    Api.Answer answer = api.send("/api/archives", "application/zip", api.get(DEMO).bytes());
    assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    String site = answer.json().path("site").asString();
    assertThat(site).isNotEqualTo("velluta");
    assertThat(hashes(api, site)).isEqualTo(hashes(api, "velluta"));
    String preview =
        api.get(api.stage() + "/api/pages/" + site + "-evenings-at-velluta/preview/").text();
    String own = api.get(api.stage() + "/api/pages/" + Api.DEMO + "/preview/").text();
    assertThat(preview.replaceAll("style\\.[0-9a-f]+", ""))
        .isEqualTo(own.replaceAll("style\\.[0-9a-f]+", ""));
  }

  private static String refused(Api api, Map<String, byte[]> entries) throws IOException {
    Api.Answer answer = api.send("/api/archives", "application/zip", zip(entries));
    assertThat(answer.status()).isEqualTo(422);
    return answer.json().path("detail").asString();
  }

  @Test
  void hostileArchivesAreRefusedAndLeaveNothingBehind(Api api) throws IOException {
    int sites = api.get("/api/shelf").json().path("sites").size();
    Map<String, byte[]> whole = entries(api.get(DEMO).bytes());

    Map<String, byte[]> outside = new LinkedHashMap<>(whole);
    outside.put("../../etc/cron.d/giostra", new byte[] {1});
    assertThat(refused(api, outside)).contains("Entry of the archive is ../../etc/cron.d/giostra");

    String medium =
        whole.keySet().stream().filter(name -> name.endsWith(".jpg")).findFirst().orElseThrow();
    Map<String, byte[]> bomb = new LinkedHashMap<>(whole);
    bomb.put(medium, new byte[40_000_000]);
    assertThat(refused(api, bomb)).contains("Entry " + medium, "times what it was packed to");

    Map<String, byte[]> other = new LinkedHashMap<>(whole);
    other.put(medium, "<script>".getBytes(StandardCharsets.UTF_8));
    assertThat(refused(api, other)).contains("other bytes than the list says");

    Map<String, byte[]> lacking = new LinkedHashMap<>(whole);
    lacking.remove(medium);
    assertThat(refused(api, lacking)).contains("The archive is without " + medium);

    Map<String, byte[]> newer = new LinkedHashMap<>(whole);
    newer.put(
        "giostra.json",
        new String(whole.get("giostra.json"), StandardCharsets.UTF_8)
            .replace("\"archive\" : 2", "\"archive\" : 3")
            .getBytes(StandardCharsets.UTF_8));
    assertThat(refused(api, newer)).isEqualTo("Version of the archive is 3; it must be 1 to 2");

    assertThat(refused(api, Map.of("pages/a.json", new byte[] {'{'})))
        .contains("The first entry of the archive is pages/a.json; it must be giostra.json");
    assertThat(api.send("/api/archives", "application/zip", "PK no".getBytes()).status())
        .isEqualTo(422);
    assertThat(api.get("/api/shelf").json().path("sites").size()).isEqualTo(sites);
  }
}
