package giostra.server.embed;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/**
 * The stand-in for a host, and what is made of its answers, good and bad. Source: oEmbed 1.0, 2.2
 * "Consumer Request", 2.3 "Provider Response", 4 "Discovery".
 */
@ExtendWith(Giostra.class)
class EmbedApiTest {
  private static JsonNode look(Api api, String address) {
    return api.post("/api/embeds", Map.of("address", address)).json();
  }

  private static String watch(Api api, String clip) {
    return api.falena() + "/watch/" + clip;
  }

  private static Api.Answer oembed(Api api, String clip, String more) {
    return api.get(api.falena() + "/oembed?url=" + watch(api, clip) + more);
  }

  @Test
  void theAnswerHasTheFieldsOfAVideo(Api api) {
    Api.Answer answer = oembed(api, "moths", "");
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.header("content-type")).startsWith("application/json");
    JsonNode json = answer.json();
    // 2.3.4: type and version are required; 2.3.4.2: html, width and height are, for a video.
    assertThat(json.path("type").asString()).isEqualTo("video");
    assertThat(json.path("version").asString()).isEqualTo("1.0");
    assertThat(json.path("html").asString())
        .contains("<iframe src=\"" + api.falena() + "/embed/moths");
    assertThat(json.path("width").asInt()).isEqualTo(640);
    assertThat(json.path("height").asInt()).isEqualTo(360);
    // If there is one of the three fields of a thumbnail there must be the others.
    assertThat(json.has("thumbnail_url")).isTrue();
    assertThat(json.path("thumbnail_width").asInt()).isEqualTo(640);
    assertThat(json.path("thumbnail_height").asInt()).isEqualTo(360);
    for (String field :
        new String[] {"title", "author_name", "provider_name", "provider_url", "cache_age"}) {
      assertThat(json.has(field)).as(field).isTrue();
    }
  }

  @InTurn({3, 15})
  @Test
  void itIsNoLargerThanIsAsked(Api api) {
    JsonNode json = oembed(api, "moths", "&maxwidth=320&maxheight=400").json();
    assertThat(json.path("width").asInt()).isEqualTo(320);
    assertThat(json.path("height").asInt()).isEqualTo(180);
    assertThat(json.path("html").asString()).contains("width=\"320\" height=\"180\"");
  }

  @Test
  void itComesAsXmlToo(Api api) {
    Api.Answer answer = oembed(api, "lamps", "&format=xml");
    assertThat(answer.header("content-type")).startsWith("text/xml");
    Document xml = Jsoup.parse(answer.text(), "", org.jsoup.parser.Parser.xmlParser());
    assertThat(xml.select("oembed > type").text()).isEqualTo("video");
    assertThat(xml.select("oembed > title").text()).isEqualTo("Lamps in the yard");
  }

  /** 2.3.5: 501 for another format, 404 for no such clip, 401 for a private one. */
  @ParameterizedTest
  @CsvSource({"moths, &format=yaml, 501", "nothing, '', 404", "private, '', 401"})
  void errorsAreThoseOfTheSpecification(String clip, String more, int status, Api api) {
    assertThat(oembed(api, clip, more).status()).isEqualTo(status);
  }

  /** 4: a link of the page leads to the answer, for each format. */
  @Test
  void theAnswerIsDiscoveredFromThePage(Api api) {
    Document page = Jsoup.parse(api.get(watch(api, "rain")).text());
    for (String type : new String[] {"application/json+oembed", "text/xml+oembed"}) {
      String address = page.select("link[rel=alternate][type='" + type + "']").attr("href");
      assertThat(api.get(address).status()).isEqualTo(200);
    }
  }

  @Test
  void playersClipsAndPicturesAreThere(Api api) {
    assertThat(api.get(api.falena() + "/embed/moths?autoplay=1&start=2").text())
        .contains("autoplay", "/clips/moths.webm#t=2");
    assertThat(api.get(api.falena() + "/w/moths").status()).isEqualTo(302);
    Api.Answer part = api.get(api.falena() + "/clips/moths.webm", "Range", "bytes=0-99");
    assertThat(part.status()).isEqualTo(206);
    assertThat(part.bytes()).hasSize(100);
    assertThat(api.get(api.falena() + "/thumbs/moths.jpg").header("content-type"))
        .isEqualTo("image/jpeg");
  }

  @Test
  void whatAHostSaysOfItsClipIsTold(Api api) {
    JsonNode reply = look(api, watch(api, "moths") + "?t=3");
    assertThat(reply.path("known").asBoolean()).isTrue();
    assertThat(reply.path("title").asString()).isEqualTo("Moths round the last light");
    assertThat(reply.path("start").asDouble()).isEqualTo(3);
    assertThat(reply.path("picture").asBoolean()).isTrue();
  }

  @Test
  void itsPictureIsTakenIntoTheLibrary(Api api) {
    String site = api.newSite("Posters");
    var poster =
        api.post("/api/sites/" + site + "/embeds/poster", Map.of("address", watch(api, "lamps")));
    assertThat(poster.status()).isEqualTo(200);
    assertThat(poster.json().path("width").asInt()).isEqualTo(640);
    assertThat(poster.json().path("alt").asString()).isEqualTo("Lamps in the yard");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "failing ~ It answers 500.",
        "garbled ~ Its answer is no JSON.",
        "scripted ~ has a script in it; it is not used.",
        "elsewhere ~ Its player is not in its own place; it is not used.",
        "nothing ~ It has no such clip.",
        "private ~ This clip is private.",
        "slow ~ It did not answer within 4 seconds.",
        "endless ~ It answers with more than 256 kB.",
        "still ~ It says that this is a picture; take it into the library by its address",
      })
  void whatHostsDoWrongIsWithstoodAndSaid(String clip, String said, Api api) {
    JsonNode reply = look(api, watch(api, clip.strip()));
    assertThat(reply.path("known").asBoolean()).isTrue();
    assertThat(reply.path("title").asString()).isEmpty();
    assertThat(reply.path("said").asString()).contains(said.strip());
  }

  /** 2.3.5: a host answers 501 for a format that it does not have; then it has the other. */
  @Test
  void aHostThatHasXmlOnlyIsReadAllTheSame(Api api) {
    JsonNode reply = look(api, watch(api, "bloated"));
    assertThat(reply.path("said").asString()).isEqualTo("Falena knows this clip.");
    // Entities of its own are not unfolded.
    assertThat(reply.path("title").asString()).startsWith("Trouble").doesNotContain("aaaa");
    assertThat(reply.path("width").asInt()).isEqualTo(640);
    assertThat(reply.path("picture").asBoolean()).isTrue();
  }

  /** 2.3.4.4: the rich type, HTML content that has no other type. */
  @Test
  void whatIsRichIsTakenLikeAClip(Api api) {
    JsonNode reply = look(api, watch(api, "scene"));
    assertThat(reply.path("said").asString()).isEqualTo("Falena has this to show.");
    assertThat(reply.path("width").asInt()).isEqualTo(640);
  }

  @Test
  void nobodyIsFollowedToAnotherPlace(Api api) {
    String site = api.newSite("Astray");
    var poster =
        api.post("/api/sites/" + site + "/embeds/poster", Map.of("address", watch(api, "astray")));
    assertThat(poster.status()).isEqualTo(422);
    assertThat(poster.text())
        .contains("It sends us to http://127.0.0.1:1, which is not its own place.");
  }

  @Test
  void anAddressThatNobodyKnowsGetsAnExplanation(Api api) {
    JsonNode page = look(api, "https://elsewhere.example/watch/moths");
    assertThat(page.path("known").asBoolean()).isFalse();
    assertThat(page.path("said").asString()).contains("No host that is set up knows", "Falena");
    JsonNode file = look(api, "https://elsewhere.example/moths.webm?x=1");
    assertThat(file.path("file").asBoolean()).isTrue();
    assertThat(file.path("said").asString()).contains("choose “address” to play it as it is");
  }
}
