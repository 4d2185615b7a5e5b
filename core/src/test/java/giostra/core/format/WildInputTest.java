package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.fit.FontFile;
import giostra.core.format.content.Csv;
import giostra.core.look.Part;
import giostra.core.media.Captions;
import giostra.core.media.ClipFacts;
import giostra.core.media.IconSprite;
import giostra.core.media.VectorPicture;
import giostra.core.own.OwnPage;
import giostra.core.page.Document;
import giostra.core.page.NodeType;
import giostra.core.testing.Demo;
import giostra.core.testing.Runs;
import giostra.core.testing.Wild;
import giostra.core.value.Kind;
import giostra.core.value.OwnCode;
import giostra.core.value.OwnCss;
import giostra.core.value.OwnIcon;
import giostra.core.value.RichText;
import giostra.core.value.Setting;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Everything that comes from outside, read from inputs that nobody would write. */
class WildInputTest {
  private static final Path ROOT = Path.of(System.getProperty("giostra.root", ".."));
  private static final int LARGE = 300_000;
  private static final int USUAL = 60_000;

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] file(String path) {
    try {
      return Files.readAllBytes(ROOT.resolve(path));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(path, e);
    }
  }

  private static Wild text(
      String name, List<String> seeds, List<String> words, Consumer<String> reads) {
    return new Wild(
        name, seeds.stream().map(WildInputTest::bytes).toList(), words, USUAL, Wild.text(reads));
  }

  static Stream<Wild> readers() {
    String demo = "server/src/main/resources/giostra/";
    String fonts = "core/src/test/resources/giostra/core/fit/";
    String svg =
        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 24 24' width='24' height='24'>"
            + "<defs><linearGradient id='a'><stop offset='0' stop-color='red'/></linearGradient></defs>"
            + "<g transform='rotate(5)'><path d='M0 0L10 10' fill='url(#a)'/><use href='#b'/></g>"
            + "<symbol id='b' viewBox='0 0 1 1'><circle r='1'/></symbol></svg>";
    List<String> drawing =
        List.of(
            "<g>",
            "</g>",
            "<use href='#b'/>",
            "<script>",
            "<style>",
            "<foreignObject>",
            "onload='x'",
            "xlink:href='data:,'",
            "<!DOCTYPE a [<!ENTITY b 'c'>]>",
            "&b;",
            "<symbol id='c'>",
            "d='M",
            "<set attributeName='href' to='javascript:x'/>",
            "url(#a)",
            "<![CDATA[",
            "<?xml?>");
    String html =
        "<p>One <strong>two</strong> <a href=\"https://a.example/?b=c&amp;d\">three</a></p>"
            + "<ul><li>x<li>y</ul><h2 id='q'>Q &eacute; &#8212;</h2><table><tr><td>1</table>";
    List<String> markup =
        List.of(
            "<b>",
            "</p>",
            "<div>",
            "<table>",
            "<svg>",
            "<math>",
            "<template>",
            "<script>x</script>",
            "<style>",
            "<noscript>",
            "<select>",
            "<a href=\"java\tscript:x\">",
            "<img src=x onerror=y>",
            "<p style=\"x:url(",
            "<!--",
            "<plaintext>",
            "<frameset>",
            "<base href=//x>",
            "&lt;",
            "&#x");
    String css =
        ".a > .b:hover { color: red; margin: calc(1px + 2em) } @media (min-width: 40em) {"
            + " .c::before { content: 'xy'; background: linear-gradient(45deg, red, #fff8 50%) } }"
            + " @supports (display: grid) { .d { & .e { inset: 0 } } }";
    List<String> rules =
        List.of(
            "{",
            "}",
            "@media ",
            "@import 'x';",
            "url(",
            "@layer a {",
            "& {",
            ":is(",
            ":not(",
            "/*",
            "\\",
            "</style>",
            "expression(",
            "@container (",
            "!important",
            "--a: {",
            "@font-face{");
    String json = DocumentJson.write(Demo.document()).toString();
    List<String> keys =
        List.of(
            "{",
            "[",
            "\"",
            ":",
            ",",
            "null",
            "{\"a\":",
            "[[",
            "\"kind\":\"slider\"",
            "1e999",
            "-1");
    return Stream.of(
        new Wild(
            "clips",
            List.of(
                file(demo + "starters/start-clip.mp4"),
                file(demo + "falena/lamps.webm"),
                file(demo + "falena/rain.webm")),
            List.of("moov", "mdat", "stsz", "trak", "hdlr", "vide", "\u001aE\u00df"),
            LARGE,
            bytes -> {
              if (ClipFacts.looksLikeOne(bytes)) {
                ClipFacts.read(bytes);
              }
            }),
        new Wild(
            "fonts",
            List.of(
                file(fonts + "oswald-latin-wght-normal.woff2"),
                file(fonts + "rubik-hebrew-wght-normal.woff2"),
                file(
                    "core/src/main/resources/giostra/core/fit/fonts/bitter-cyrillic-wght-normal.ttf")),
            List.of("wOF2", "OTTO", "glyf", "cmap", "fvar", "name", "hmtx"),
            LARGE,
            bytes -> {
              if (FontFile.looksLikeOne(bytes)) {
                FontFile.read(bytes);
              }
            }),
        text(
            "captions",
            List.of(
                new String(file(demo + "demo/media/bloom-en.vtt"), StandardCharsets.UTF_8),
                "WEBVTT\n\nNOTE x\n\n1\n00:00:01.000 --> 01:00:02.000 line:0\n<v A>Hi <b>you</b>\n"),
            List.of(
                "-->", "WEBVTT", "00:00:00.000", "NOTE", "STYLE", "<v ", "99999999999:00:00.000"),
            Captions::read),
        text(
            "vector pictures",
            List.of(svg),
            drawing,
            text -> {
              VectorPicture read = VectorPicture.read(text);
              isHarmless(read.markup());
              assertThat(VectorPicture.read(read.markup()).markup()).isEqualTo(read.markup());
            }),
        text(
            "sprites",
            List.of(svg),
            drawing,
            text ->
                IconSprite.read(text).symbols().values().forEach(each -> isHarmless(each.draw()))),
        text(
            "own icons",
            List.of(
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 24 24'><g><path d='M0 0L10 10'/><circle r='1'/></g></svg>",
                "M3 4h5v6z"),
            drawing,
            text -> isHarmless(OwnIcon.clean(text))),
        text(
            "rich text",
            List.of(html),
            markup,
            text -> {
              String clean = RichText.clean(text);
              isHarmless(clean);
              assertThat(RichText.clean(clean)).isEqualTo(clean);
            }),
        text(
            "own HTML",
            List.of(html),
            markup,
            text -> {
              String clean = RichText.cleanOwn(text);
              assertThat(RichText.cleanOwn(clean)).isEqualTo(clean);
            }),
        text(
            "own code",
            List.of("<meta name=a content=b><script src=https://a.example></script>"),
            markup,
            text -> {
              OwnCode.read("code", text, OwnCode.Where.HEAD);
            }),
        text(
            "own code at the end",
            List.of("<script>let a = '<b>'</script><div>x</div>", html),
            markup,
            text -> {
              OwnCode.read("code", text, OwnCode.Where.END);
            }),
        text(
            "own CSS",
            List.of(css),
            rules,
            text -> {
              OwnCss.read(text);
            }),
        new Wild(
            "own pages",
            List.of(
                bytes(
                    "<!DOCTYPE html><html><head><meta charset=utf-8>"
                        + "<title>x</title></head><body>"
                        + html
                        + "</body></html>"),
                file("journeys/src/test/resources/giostra/journeys/almanac.html")),
            markup,
            USUAL,
            bytes -> {
              OwnPage page = OwnPage.of(bytes);
              page.spots();
              assertThat(page.with(List.of())).isEqualTo(bytes);
            }),
        new Wild(
            "tables",
            List.of(file(demo + "demo/night-questions.csv"), bytes("a;b\n\"c\"\"d\";e\r\nf;g")),
            List.of("\"", ";", ",", "\t", "\n", "\"\"", "=1+1"),
            USUAL,
            bytes -> {
              Csv.read(bytes);
            }),
        text(
            "documents",
            List.of(json),
            keys,
            text -> {
              Document read = DocumentJson.read(text);
              assertThat(DocumentJson.read(DocumentJson.write(read).toString())).isEqualTo(read);
            }),
        text(
            "design tokens",
            List.of(DesignTokens.write(Demo.document())),
            List.of("{", "\"$value\":", "\"$type\":\"color\"", "\"{a.b}\"", "\"$extends\":", "[["),
            text -> {
              DesignTokens.read(Demo.document(), text);
            }),
        text(
            "looks",
            List.of(
                "["
                    + DocumentJson.parse(
                            new String(
                                file("core/src/main/resources/giostra/core/dress/looks.json"),
                                StandardCharsets.UTF_8))
                        .get(0)
                    + "]"),
            keys,
            text -> {
              LooksJson.read(text);
            }),
        values());
  }

  /** Everything that a setting or a style can be, as text. */
  private static Wild values() {
    var kinds = new TreeMap<String, Kind<?>>();
    var seeds = new ArrayList<byte[]>();
    for (NodeType type : NodeType.values()) {
      var all = new ArrayList<Setting<?>>(type.settings());
      for (Part part : type.parts()) {
        part.properties().forEach(each -> all.add(part.setting(each)));
      }
      for (Setting<?> each : all) {
        if (kinds.put(each.kind().word() + " " + each.kind().allowed(), each.kind()) == null) {
          seeds.add(bytes(String.valueOf(written(each))));
        }
      }
    }
    List<String> words =
        List.of(
            "linear-gradient(45deg, red, oklch(70% 0.1 20) 30%, #0008)",
            "conic-gradient(from 0.5turn, ",
            "calc(",
            "1px",
            "-0.5em",
            "200%",
            "cubic-bezier(.1,2,.3,-1)",
            "steps(4, end)",
            "linear(0, 0.5 20% 60%, 1)",
            "1px 2px 3px 4px #abc",
            "inset ",
            "none",
            "16:9",
            "en-GB",
            "auto",
            "https://a.example/b?c",
            "mailto:a@b.example",
            "tel:+1",
            "#here",
            "/path",
            "java\tscript:x",
            "Europe/Berlin",
            "circle(50% at 20% 30%)",
            "polygon(0 0, 1% 2%)",
            "url(data:,x)");
    return new Wild(
        "values",
        seeds,
        words,
        4_000,
        Wild.text(text -> kinds.values().forEach(kind -> backAgain(kind, text))));
  }

  private static <T> Object written(Setting<T> setting) {
    return setting.kind().write(setting.initial());
  }

  /** What is taken reads back as what it was. */
  private static <T> void backAgain(Kind<T> kind, String text) {
    T value;
    try {
      value = kind.read("value", text);
    } catch (giostra.core.value.Refused e) {
      assertThat(e.getMessage()).isNotBlank();
      return;
    }
    Object written = kind.write(value);
    T again = kind.read("value", written);
    if (!kind.rounds()) {
      assertThat(again).as("%s of %s", kind.word(), text).isEqualTo(value);
    }
    assertThat(kind.write(again)).as("%s of %s", kind.word(), text).isEqualTo(written);
  }

  /** Nothing of it runs, or asks for anything. */
  private static void isHarmless(String markup) {
    for (Element each : Jsoup.parse(markup).body().getAllElements()) {
      assertThat(each.normalName())
          .isNotIn("script", "iframe", "object", "embed", "foreignobject", "base", "link", "meta");
      each.attributes()
          .forEach(attribute -> {
            String name = attribute.getKey().toLowerCase(java.util.Locale.ROOT);
            String value = attribute.getValue().replaceAll("[\\x00-\\x20]", "");
            assertThat(name).doesNotStartWith("on");
            assertThat(value.toLowerCase(java.util.Locale.ROOT)).doesNotStartWith("javascript:");
          });
    }
  }

  @ParameterizedTest
  @MethodSource("readers")
  void whateverComesIsReadOrRefused(Wild reader) throws InterruptedException {
    // A run says the same each time; another seed looks at others.
    reader.go(Runs.of(60, 1), Long.getLong("giostra.seed", 1));
  }
}
