package giostra.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Linking;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import tools.jackson.databind.JsonNode;

/** A site as an archive, brought in beside itself, and archives that are not what they seem. */
@Isolated
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

  @Test
  void whatLinksAndWhatIsKeptShowTheirPicturesWhereTheyCome(Api api) throws IOException {
    String site = api.newSite("Linked " + System.nanoTime());
    byte[] one = png(30, 20);
    api.upload(site, "one.png", one);
    api.upload(site, "two.png", png(40, 20));
    // The same bytes twice: where they come they are one, under one of the two ids.
    api.uploadTo("/api/sites/" + site + "/media/two/file", "two.png", one);
    var card = new Item("card", Values.NONE.with(ItemSettings.PICTURE, Values.ALL, "two"));
    var cards = new Carousel("cards", Values.NONE, List.of(card));
    Values linked = Values.NONE.with(Linking.LINKED_TO, Values.ALL, "kept-cards");
    String home = api.newPage(site, page("Home", cards));
    var kept = Map.of("node", "cards", "name", "Kept cards");
    assertThat(api.post("/api/pages/" + home + "/stock", kept).json().path("id").asString())
        .isEqualTo("kept-cards");
    api.newPage(site, page("Linking", new Carousel("far", linked, List.of())));
    byte[] archive = api.get("/api/sites/" + site + "/archive.zip").bytes();
    Api.Answer in = api.send("/api/archives", "application/zip", archive);
    assertThat(in.status()).as(in.text()).isEqualTo(201);
    String there = in.json().path("site").asString();
    for (String slug : List.of("home", "linking")) {
      String preview =
          api.get(api.stage() + "/api/pages/" + there + "-" + slug + "/preview/").text();
      assertThat(preview).as(slug).contains("<img").contains("src=\"media/");
    }
    var stock = api.get("/api/sites/" + there + "/stock").json().get(0);
    assertThat(stock.path("homePage").asString()).isEqualTo(there + "-home");
    assertThat(stock.path("uses").get(0).path("page").asString()).isEqualTo(there + "-linking");
  }

  private static Document page(String title, Block block) {
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new Page(
            "page",
            Values.NONE.with(PageSettings.TITLE, Values.ALL, title),
            List.of(new Section("section", Values.NONE, List.of(block)))));
  }

  private static byte[] png(int width, int height) throws IOException {
    var out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", out);
    return out.toByteArray();
  }

  /** A whole clip, and a box of nothing behind it. Source: ISO/IEC 14496-12, "Free Space Box". */
  @InTurn(0)
  @Test
  void aClipOfSixtyMegabytesGoesOutAndIn(Api api) throws IOException {
    byte[] clip = api.get("/api/sites/velluta/media/bloom/file").bytes();
    int rest = 60 * 1024 * 1024 - clip.length;
    var large = java.nio.ByteBuffer.allocate(clip.length + rest);
    large.put(clip).putInt(rest).put("free".getBytes(StandardCharsets.US_ASCII));
    byte[] noise = new byte[rest - 8];
    new java.util.Random(1).nextBytes(noise);
    large.put(noise);
    String site = api.newSite("Large " + System.nanoTime());
    assertThat(api.upload(site, "large.mp4", large.array()).status()).isEqualTo(200);
    byte[] archive = api.get("/api/sites/" + site + "/archive.zip").bytes();
    Api.Answer in = api.send("/api/archives", "application/zip", archive);
    assertThat(in.status()).as(in.text()).isEqualTo(201);
    assertThat(hashes(api, in.json().path("site").asString())).isEqualTo(hashes(api, site));
  }

  /** What an archive of version 1 says of the home of what is kept: a page's id, not its slug. */
  @Test
  void anArchiveOfVersion1IsTakenIn(Api api) throws IOException {
    Map<String, byte[]> whole = entries(api.get(DEMO).bytes());
    String list = new String(whole.get("giostra.json"), StandardCharsets.UTF_8);
    String first =
        list.replace("\"archive\" : 2", "\"archive\" : 1")
            .replace("\"documents\" : 2", "\"documents\" : 1")
            .replaceAll(",\\s*\"left\" : \\[ ?\\]", "");
    assertThat(first).doesNotContain("left");
    whole.put("giostra.json", first.getBytes(StandardCharsets.UTF_8));
    assertThat(api.send("/api/archives", "application/zip", zip(whole)).status()).isEqualTo(201);
  }

  private static String refused(Api api, Map<String, byte[]> entries) throws IOException {
    Api.Answer answer = api.send("/api/archives", "application/zip", zip(entries));
    assertThat(answer.status()).isEqualTo(422);
    return answer.json().path("detail").asString();
  }

  @Test
  void hostileArchivesAreRefusedAndLeaveNothingBehind(Api api) throws IOException {
    int sites = api.get("/api/sites").json().size();
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
    assertThat(api.get("/api/sites").json().size()).isEqualTo(sites);
  }
}
