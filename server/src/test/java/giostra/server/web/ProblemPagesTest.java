package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands in a frame of the bench where a page cannot: words, and no JSON. */
@ExtendWith(Giostra.class)
class ProblemPagesTest {
  /** What a browser asks a frame's page with. */
  private static final String BROWSER =
      "text/html,application/xhtml+xml,application/xml;q=0.9,image/avif,image/webp,*/*;q=0.8";

  @ParameterizedTest
  @CsvSource({
    "nowhere, '', 404, 'There is no page \"nowhere\".'",
    "velluta-evenings-at-velluta, ?stress=%3Cscript%3Ealert(1)%3C%2Fscript%3E, 422,"
        + " <script>alert(1)</script>",
    "velluta-evenings-at-velluta, ?way=many, 400, many",
  })
  void peopleGetAPageAndProgramsAProblem(
      String page, String query, int status, String words, Api api) {
    String at = api.stage() + "/api/pages/" + page + "/preview/" + query;
    Api.Answer people = api.get(at, "Accept", BROWSER);
    assertThat(people.status()).isEqualTo(status);
    assertThat(people.header("content-type")).startsWith("text/html");
    assertThat(people.header("content-security-policy")).startsWith("default-src 'none'");
    assertThat(people.header("vary")).isEqualTo("Accept");
    Document shown = Jsoup.parse(people.text());
    assertThat(shown.body().text()).contains(words);
    assertThat(shown.select("script")).isEmpty();
    for (String accept : new String[] {"*/*", "application/json", "image/*"}) {
      Api.Answer programs = api.get(at, "Accept", accept);
      assertThat(programs.status()).isEqualTo(status);
      assertThat(programs.header("content-type")).startsWith("application/problem+json");
      assertThat(programs.json().path("detail").asString("")).contains(words);
    }
  }
}
