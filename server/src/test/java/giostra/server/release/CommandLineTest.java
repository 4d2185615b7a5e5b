package giostra.server.release;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** The application as somebody asks it who sits at a command line, or builds. */
@ExtendWith(Giostra.class)
class CommandLineTest {
  private static final Path GIOSTRA = Path.of("..", "giostra").toAbsolutePath().normalize();

  @TempDir private Path folder;

  private record Came(int code, String out, String err) {}

  private Came run(Api api, String... words) throws IOException, InterruptedException {
    return runAs(api, Api.SECRET, words);
  }

  private Came runAs(Api api, String token, String... words)
      throws IOException, InterruptedException {
    Path out = folder.resolve("out");
    Path err = folder.resolve("err");
    var builder =
        new ProcessBuilder(Stream.concat(Stream.of(GIOSTRA.toString()), Stream.of(words)).toList())
            .directory(folder.toFile())
            .redirectOutput(out.toFile())
            .redirectError(err.toFile());
    builder.environment().put("GIOSTRA_URL", api.at("").replaceAll("/$", ""));
    builder.environment().remove("GIOSTRA_TOKEN");
    if (!token.isEmpty()) {
      builder.environment().put("GIOSTRA_TOKEN", token);
    }
    Process process = builder.start();
    try {
      assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
    } finally {
      process.destroyForcibly();
    }
    return new Came(process.exitValue(), Files.readString(out), Files.readString(err));
  }

  private static void broken(Api api, String id) {
    assertThat(
            api.edit(
                    id,
                    api.page(id).path("revision").asInt(),
                    new Edit.SetValue("opening-button", "link", "", "#nowhere"))
                .status())
        .isEqualTo(200);
  }

  @Test
  void aBuildRefusesAPageThatBreaks(Api api) throws Exception {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    // What the demo has of its own on purpose breaks it as well.
    broken(api, id);
    Came all = run(api, "check", id);
    assertThat(all.code()).isEqualTo(1);
    assertThat(all.out()).contains("breaks  ").contains("#nowhere").contains("findings fail");
    Path report = folder.resolve("report.sarif");
    Came sarif = run(api, "check", id, "--as", "sarif", "--to", report.toString());
    assertThat(sarif.code()).isEqualTo(1);
    assertThat(new JsonMapper().readTree(report.toFile()).path("version").asString())
        .isEqualTo("2.1.0");
    assertThat(run(api, "check", id, "--as", "junit").out()).startsWith("<?xml");
    int releases = api.get("/api/pages/" + id + "/releases").json().size();
    Came refused = run(api, "publish", id, "--unless", "breaks");
    assertThat(refused.code()).isEqualTo(1);
    assertThat(refused.err()).contains("not published");
    assertThat(api.get("/api/pages/" + id + "/releases").json()).hasSize(releases);
    Came published = run(api, "publish", id);
    assertThat(published.code()).as(published.err()).isZero();
    assertThat(published.out()).contains("/live/");
    assertThat(run(api, "check", id, "--release", "1").code()).isEqualTo(1);
    assertThat(run(api, "check", id, "--release", "9").code()).isEqualTo(2);
  }

  @Test
  void aTokenThatLooksChecksAndDoesNotPublish(Api api) throws Exception {
    String id = api.newPage(api.newSite("Looked at"), plain());
    String looks =
        api.post("/api/me/tokens", "{\"name\":\"A build\",\"changes\":false}")
            .json()
            .path("token")
            .asString();
    assertThat(runAs(api, looks, "check", id).code()).isZero();
    Came refused = runAs(api, looks, "publish", id);
    assertThat(refused.code()).isEqualTo(2);
    assertThat(refused.err()).contains("only looks");
    assertThat(api.get("/api/pages/" + id + "/releases").json()).isEmpty();
    Came none = runAs(api, "gst_none", "check", id);
    assertThat(none.code()).isEqualTo(2);
    assertThat(none.err()).contains("none of this server's");
    Came nobody = runAs(api, "", "check", id);
    assertThat(nobody.code()).isEqualTo(2);
    assertThat(nobody.err()).contains("GIOSTRA_TOKEN");
    // What lets somebody in is not to be seen among the programs that run.
    assertThat(Files.readString(GIOSTRA)).doesNotContain("-H \"Authorization");
  }

  private static Document plain() {
    var heading =
        new Block.Heading("title", Values.NONE.withRaw("text", Values.ALL, "Evenings at Velluta"));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new Page("page", Values.NONE, List.of(new Section("one", Values.NONE, List.of(heading)))));
  }

  @Test
  void aPageWithNothingWrongPasses(Api api) throws Exception {
    String id = api.newSite("Plain");
    String page = api.newPage(id, plain());
    Came none = run(api, "check", page, "--at-least", "hint");
    assertThat(none.code()).as(none.out() + none.err()).isZero();
    assertThat(none.out()).contains("nothing fails");
  }

  @Test
  void whatIsTakenOutComesIn(Api api) throws Exception {
    String site = api.copyOfDemo();
    Path file = folder.resolve("a site's.zip");
    Came out = run(api, "export", "site", site, file.toString());
    assertThat(out.code()).as(out.err()).isZero();
    assertThat(Files.size(file)).isGreaterThan(10_000);
    Came in = run(api, "import", file.toString());
    assertThat(in.code()).as(in.err()).isZero();
    assertThat(in.out()).contains("taken in");
    String page = site + "-evenings-at-velluta";
    assertThat(run(api, "export", "tokens", page, folder.resolve("t.json").toString()).code())
        .isZero();
    assertThat(new JsonMapper().readTree(folder.resolve("t.json").toFile()).has("tone")).isTrue();
  }

  @Test
  void whatIsWrongIsSaidAndLeavesNothing(Api api) throws Exception {
    List<String[]> wrong =
        List.of(
            new String[] {"check"},
            new String[] {"check", "no-such-page"},
            new String[] {"check", "../../etc/passwd?x=1&y=ü"},
            new String[] {"check", "page", "--as", "pdf"},
            new String[] {"check", "page", "--least"},
            new String[] {"check", "page", "--as"},
            new String[] {"publish", "no-such-page"},
            new String[] {"export", "site", "no-such-site", folder.resolve("x.zip").toString()},
            new String[] {"export", "shop", "x", "y"},
            new String[] {"import", folder.resolve("nothing.zip").toString()},
            new String[] {"nonsense"});
    for (String[] words : wrong) {
      Came came = run(api, words);
      assertThat(came.code()).as(String.join(" ", words)).isEqualTo(2);
      assertThat(came.err()).as(String.join(" ", words)).isNotEmpty();
    }
    // So large that it is asked first whether it may come.
    Files.writeString(folder.resolve("no.zip"), "nothing".repeat(300_000), StandardCharsets.UTF_8);
    assertThat(run(api, "import", folder.resolve("no.zip").toString()).code()).isEqualTo(2);
    assertThat(folder.resolve("x.zip")).doesNotExist();
    assertThat(folder.resolve("x.zip.part")).doesNotExist();
  }
}
