package giostra.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A page held against a picture of its band. */
@ExtendWith(Giostra.class)
class TraceApiTest {
  private String site = "";
  private String page = "";
  private int revision;

  @BeforeEach
  void aPage(Api api) {
    site = api.newSite("Traced");
    page =
        api.post("/api/sites/" + site + "/pages", "{\"title\":\"Traced\"}")
            .json()
            .path("id")
            .asString();
    revision = 0;
  }

  /** A white picture with a square of a colour in it. */
  private static byte[] drawn(int wide, int high, int x, Color ink, String format) {
    var image = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
    Graphics2D on = image.createGraphics();
    on.setColor(Color.WHITE);
    on.fillRect(0, 0, wide, high);
    on.setColor(ink);
    on.fillRect(x, 10, 40, 40);
    on.dispose();
    var out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, format, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private String upload(Api api, String name, byte[] bytes) {
    return api.upload(site, name, bytes).json().path("id").asString();
  }

  private void traced(Api api, String media, int wide) {
    Api.Answer answer =
        api.edit(
            page,
            revision++,
            new Edit.SetValue("page", "trace", "desktop", media),
            new Edit.SetValue("page", "traceWide", "desktop", wide));
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
  }

  private Api.Answer matched(Api api, String band, byte[] drawing) {
    return api.send("/api/pages/" + page + "/match?band=" + band, "image/png", drawing);
  }

  @Test
  void sharesAreThoseOfTheDrawingAndTheRegionsSayWhere(Api api) {
    traced(api, upload(api, "a.png", drawn(400, 100, 20, Color.BLACK, "png")), 400);
    JsonNode same = matched(api, "desktop", drawn(400, 100, 20, Color.BLACK, "png")).json();
    assertThat(same.path("share").asDouble()).isEqualTo(1);
    assertThat(same.path("ground").asDouble()).isEqualTo(1);
    assertThat(same.path("regions").size()).isZero();
    JsonNode moved = matched(api, "desktop", drawn(400, 100, 300, Color.BLACK, "png")).json();
    assertThat(moved.path("share").asDouble()).isLessThan(0.3);
    assertThat(moved.path("regions").valueStream().map(each -> each.path("x").asInt()))
        .contains(0, 320)
        .doesNotContain(128, 192);
  }

  @Test
  void aPictureIsHeldAsItLiesThere(Api api) {
    // Of a screen with two px to one of CSS; a photograph of it will do.
    byte[] twice = drawn(800, 200, 40, Color.BLACK, "png");
    traced(api, upload(api, "twice.png", twice), 400);
    var image = new BufferedImage(400, 100, BufferedImage.TYPE_INT_RGB);
    Graphics2D on = image.createGraphics();
    on.setColor(Color.WHITE);
    on.fillRect(0, 0, 400, 100);
    on.setColor(Color.BLACK);
    on.fillRect(20, 5, 20, 20);
    on.dispose();
    var out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    assertThat(matched(api, "desktop", out.toByteArray()).json().path("share").asDouble())
        .isGreaterThan(0.99);
    traced(api, upload(api, "once.jpg", drawn(400, 100, 20, Color.BLACK, "jpg")), 400);
    assertThat(
            matched(api, "desktop", drawn(400, 100, 20, Color.BLACK, "png"))
                .json()
                .path("share")
                .asDouble())
        .isGreaterThan(0.97);
  }

  @Test
  void whatCannotBeHeldSaysWhy(Api api) {
    byte[] drawing = drawn(400, 100, 20, Color.BLACK, "png");
    assertThat(matched(api, "desktop", drawing).status()).as("no trace").isEqualTo(404);
    traced(api, upload(api, "a.png", drawing), 400);
    assertThat(matched(api, "phone", drawing).status()).as("of another band").isEqualTo(404);
    assertThat(matched(api, "nowhere", drawing).status()).isIn(404, 422);
    Api.Answer small = matched(api, "desktop", drawn(200, 100, 20, Color.BLACK, "png"));
    assertThat(small.status()).isEqualTo(422);
    assertThat(small.text()).contains("200 x 100 px").contains("400 x 100 px");
    Api.Answer broken = matched(api, "desktop", "no picture".getBytes(StandardCharsets.UTF_8));
    assertThat(broken.status()).isEqualTo(422);
    assertThat(broken.text()).contains("The drawing");
    assertThat(matched(api, "desktop", new byte[33 << 20]).status()).isIn(413, 422);
    String svg =
        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><path d='M0 0h9v9z'/></svg>";
    traced(api, upload(api, "a.svg", svg.getBytes(StandardCharsets.UTF_8)), 400);
    Api.Answer vector = matched(api, "desktop", drawing);
    assertThat(vector.status()).isEqualTo(422);
    assertThat(vector.text()).contains("image/svg+xml").contains("PNG");
    // Far higher than wide, so that it would be drawn too large.
    traced(api, upload(api, "high.png", drawn(60, 6000, 0, Color.BLACK, "png")), 1280);
    assertThat(matched(api, "desktop", drawing).text()).contains("px of a trace");
  }

  @Test
  void itIsOfTheBenchAlone(Api api) {
    String media = upload(api, "a.png", drawn(400, 100, 20, Color.BLACK, "png"));
    String before = api.get("/api/pages/" + page + "/preview/").text();
    traced(api, media, 400);
    assertThat(api.get("/api/pages/" + page + "/preview/").text()).isEqualTo(before);
    // What is used is not deleted, and says where it is used.
    Api.Answer kept = api.delete("/api/sites/" + site + "/media/" + media);
    assertThat(kept.status()).isEqualTo(422);
  }
}
