package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.CodeKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.StylesheetKind;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Words that would be a script, in every setting that takes words: on the live page, on the stage,
 * in a bundle on the disk and on the bench none of them runs. Code of one's own is left out, which
 * is there to run. The payloads are of the classes of the OWASP "XSS Filter Evasion Cheat Sheet"
 * (from memory), written anew.
 */
@ExtendWith({Giostra.class, Chromium.class})
class PayloadJourney {
  private static final String RUN = "console.log('it-ran')";

  private static final List<String> PAYLOADS =
      List.of(
          "<script>RUN</script>",
          "</script><script>RUN</script>",
          "</style><script>RUN</script>",
          "</title><script>RUN</script>",
          "</textarea><script>RUN</script>",
          "--><script>RUN</script>",
          "]]><script>RUN</script>",
          "<ScRiPt>RUN</sCrIpT>",
          "<script/x>RUN</script>",
          "<script\n>RUN</script\n>",
          "<<script>RUN//<</script>",
          "<scr<script>ipt>RUN</scr</script>ipt>",
          "\"><script>RUN</script>",
          "'><script>RUN</script>",
          "\" onmouseover=\"RUN\" x=\"",
          "' onfocus='RUN' autofocus tabindex='0",
          "` onload=RUN ",
          "<img src=x onerror=\"RUN\">",
          "<img src=x onerror=RUN>",
          "<img/src=x/onerror=RUN>",
          "<img src=\"x` `<script>RUN</script>\"` `>",
          "<img src=x:x onerror=RUN//",
          "<image href=x onerror=RUN>",
          "<svg onload=RUN>",
          "<svg/onload=RUN//",
          "<svg><script>RUN</script></svg>",
          "<svg><script href=\"data:text/javascript,RUN\"/></svg>",
          "<svg><animate onbegin=RUN attributeName=x dur=1s>",
          "<svg><set attributeName=href to=\"javascript:RUN\"></svg>",
          "<svg><use href=\"data:image/svg+xml,<svg id='x' onload='RUN'/>#x\"/></svg>",
          "<svg><foreignObject><body onload=RUN></foreignObject></svg>",
          "<svg><a href=\"javascript:RUN\"><text>x</text></a></svg>",
          "<math><mtext><img src=x onerror=RUN></mtext></math>",
          "<math href=\"javascript:RUN\">x</math>",
          "<math><mtext></p><style><img title=\"</style><img src=x onerror=RUN>\">",
          "<form><math><mtext></form><form><mglyph><style></math><img src=x onerror=RUN>",
          "<noscript><p title=\"</noscript><img src=x onerror=RUN>\">",
          "<template><script>RUN</script></template>",
          "<iframe srcdoc=\"<script>RUN</script>\"></iframe>",
          "<iframe src=\"javascript:RUN\"></iframe>",
          "<iframe src=\"data:text/html,<script>RUN</script>\"></iframe>",
          "<object data=\"javascript:RUN\"></object>",
          "<object data=\"data:text/html,<script>RUN</script>\"></object>",
          "<embed src=\"javascript:RUN\">",
          "<base href=\"javascript:RUN//\">",
          "<meta http-equiv=refresh content=\"0;url=javascript:RUN\">",
          "<link rel=stylesheet href=\"data:text/css,body{background:url(javascript:RUN)}\">",
          "<link rel=import href=\"data:text/html,<script>RUN</script>\">",
          "<body onload=RUN>",
          "<details open ontoggle=RUN><summary>x</summary></details>",
          "<video onerror=RUN><source src=x></video>",
          "<video poster=javascript:RUN></video>",
          "<audio src=x onerror=RUN>",
          "<input autofocus onfocus=RUN>",
          "<select autofocus onfocus=RUN><option>x</select>",
          "<marquee onstart=RUN>x</marquee>",
          "<a href=\"javascript:RUN\" autofocus>x</a>",
          "<a href=\"java\tscript:RUN\">x</a>",
          "<a href=\"&#106;avascript:RUN\">x</a>",
          "<a href=\"&#x6A;&#x61;vascript&colon;RUN\">x</a>",
          "<a href=\" &#14; javascript:RUN\">x</a>",
          "<a href=\"vbscript:RUN\">x</a>",
          "<a href=\"data:text/html;base64,PHNjcmlwdD5hbGVydCgxKTwvc2NyaXB0Pg==\">x</a>",
          "<div style=\"background:url('javascript:RUN')\">x</div>",
          "<div style=\"width:expression(RUN)\">x</div>",
          "<style>@import 'data:text/css,*{x:expression(RUN)}';</style>",
          "javascript:RUN",
          "java\nscript:RUN",
          "${RUN}{{RUN}}#{RUN}<%= RUN %>",
          "\u2028;RUN;//\u2029",
          "\\u003cscript\\u003eRUN\\u003c/script\\u003e",
          "%3Cscript%3ERUN%3C/script%3E");

  /** Counts what runs in a page, however it is told. */
  private static AtomicInteger heard(Page page) {
    var ran = new AtomicInteger();
    page.onConsoleMessage(said -> {
      if (said.text().equals("it-ran")) {
        ran.incrementAndGet();
      }
    });
    page.onDialog(dialog -> {
      ran.incrementAndGet();
      dialog.dismiss();
    });
    return ran;
  }

  private record Filled(Document document, int settings) {}

  /** A document with a payload in every setting that takes it. */
  private static Filled filled(Document document, String payload) {
    int[] taken = {0};
    Document filled =
        document.changedAll(node -> {
          Values values = node.values();
          for (Setting<?> setting : node.type().settings()) {
            if (words(node, setting)) {
              try {
                setting.read(payload);
                values =
                    values.withRaw(
                        setting.id(),
                        setting.byBand() ? document.bands().all().getFirst().id() : "",
                        payload);
                taken[0]++;
              } catch (Refused refused) {
                // It says so, and that is that.
              }
            }
          }
          return node.with(values);
        });
    return new Filled(filled, taken[0]);
  }

  private static boolean words(Node node, Setting<?> setting) {
    return setting.initial() instanceof String
        && !(setting.kind() instanceof CodeKind)
        && !(setting.kind() instanceof StylesheetKind)
        && node.type() != NodeType.SITE;
  }

  private static void press(Page page) {
    page.evaluate(
        """
        () => {
          for (const each of document.querySelectorAll('a, button, summary, [tabindex]')) {
            each.dispatchEvent(new MouseEvent('mouseover', { bubbles: true }));
            each.focus?.();
          }
          for (const each of document.querySelectorAll('a')) {
            each.target = '';
            if (/^(javascript|vbscript|data):$/.test(each.protocol)) each.click();
          }
        }
        """);
  }

  @InTurn(11)
  @Test
  void noWordsRunAnywhere(Api api, Chromium.Open chromium) throws IOException {
    // Each payload has its chance in a deep run, six of them in another.
    List<Integer> which =
        Runs.deep()
            ? IntStream.range(0, PAYLOADS.size()).boxed().toList()
            : List.of(0, 18, 24, 35, 58, 67);
    int settings = 0;
    var ran = new ArrayList<String>();
    String site = api.copyOfDemo();
    for (int at : which) {
      Filled filled = filled(Demo.document(), PAYLOADS.get(at).replace("RUN", RUN));
      settings += filled.settings;
      String id = api.newPage(site, filled.document);
      String live = api.publish(id);
      Path folder = Files.createTempDirectory("giostra-payload");
      byte[] bundle = api.get("/api/pages/" + id + "/bundle.zip").bytes();
      try (var zip = new ZipInputStream(new ByteArrayInputStream(bundle))) {
        for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
          Path file = folder.resolve(entry.getName());
          Files.createDirectories(file.getParent());
          Files.write(file, zip.readAllBytes());
        }
      }
      for (String address :
          List.of(
              live,
              api.stage() + "/api/pages/" + id + "/preview/",
              folder.resolve("index.html").toUri().toString(),
              api.at("/pages/" + id + "/fill"))) {
        Page page = chromium.page(1280, 800);
        AtomicInteger counted = heard(page);
        page.navigate(address);
        page.waitForTimeout(400);
        if (address.equals(live) || address.startsWith("file:")) {
          press(page);
          page.waitForTimeout(200);
        }
        if (counted.get() > 0) {
          ran.add(PAYLOADS.get(at) + " at " + address);
        }
        page.close();
      }
    }
    System.out.printf(
        "measured: %d payloads in %d settings, at four places: %d ran%n",
        which.size(), settings, ran.size());
    assertThat(settings).isGreaterThan(which.size() * 100);
    assertThat(ran).isEmpty();
  }

  /** What is counted is counted: a page of its own runs it. */
  @InTurn(23)
  @Test
  void whatRunsIsSeen(Page page) {
    AtomicInteger ran = heard(page);
    page.setContent("<img src=x onerror=\"" + RUN + "\">");
    page.waitForCondition(() -> ran.get() > 0);
    assertThat(ran.get()).isPositive();
  }
}
