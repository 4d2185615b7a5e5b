package giostra.core.own;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import giostra.core.testing.DrawnPages;
import giostra.core.testing.Runs;
import giostra.core.value.Refused;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Pages that somebody brings: what is put in stands where it was asked for, and the rest stays.
 * That a browser has it there too is held in OwnPageJourney.
 */
class OwnPageTest {
  private static final String LINES = "<giostra-piece src=\"a\"></giostra-piece>\n";

  private static OwnPage page(String html) {
    return OwnPage.of(html.getBytes(StandardCharsets.UTF_8));
  }

  private static Spot spot(OwnPage page, String called) {
    return page.spots().stream()
        .filter(each -> each.called().startsWith(called))
        .findFirst()
        .orElseThrow();
  }

  private static String with(String html, String called, Side side) {
    OwnPage page = page(html);
    Spot spot = spot(page, called);
    page.check(spot, side);
    return new String(page.with(List.of(new OwnPage.Put(spot, side, "@"))), StandardCharsets.UTF_8);
  }

  @Test
  void itStandsOnEachSideOfAnElement() {
    String html = "<!doctype html>\r\n<BODY ><p>a</p><Div class=x>b<i>c</i></Div >d";
    assertThat(with(html, "div.x", Side.BEFORE)).contains("</p>@<Div class=x>b");
    assertThat(with(html, "div.x", Side.FIRST)).contains("<Div class=x>@b");
    assertThat(with(html, "div.x", Side.LAST)).contains("</i>@</Div >");
    assertThat(with(html, "div.x", Side.AFTER)).contains("</Div >@d");
    assertThat(with(html, "div.x", Side.INSTEAD)).isEqualTo("<!doctype html>\r\n<BODY ><p>a</p>@d");
  }

  /** Source: Encoding, "BOM sniff": what is in the head stays there. */
  @Test
  void aByteOrderMarkIsNoLetterOfThePage() {
    OwnPage page =
        page(
            "\ufeff<!doctype html><html><head><link rel=x><title>t</title></head><body><p>a</p></body></html>");
    assertThat(page.encoding()).isEqualTo("utf-8");
    assertThat(spot(page, "link").sides()).isEmpty();
    assertThat(spot(page, "body").sides()).containsExactlyInAnyOrder(Side.FIRST, Side.LAST);
    Spot p = spot(page, "p");
    page.check(p, Side.BEFORE);
    assertThat(page.with(List.of(new OwnPage.Put(p, Side.BEFORE, "@"))))
        .asString(StandardCharsets.UTF_8)
        .contains("<body>@<p>")
        .startsWith("\ufeff<!doctype");
  }

  @Test
  void itsPlacesAreCalledAsTheyRead() {
    OwnPage page =
        OwnPage.of(
            "<meta charset=windows-1252><h1 id=t>\u00c9t\u00e9 &mdash; 5&nbsp;\u20ac</h1>"
                .getBytes(java.nio.charset.Charset.forName("windows-1252")));
    assertThat(page.encoding()).isEqualTo("windows-1252");
    assertThat(page.spots().getLast().called()).startsWith("h1#t \u201c\u00c9t\u00e9 \u2014 5");
  }

  /** Source: Encoding, "Names and labels"; HTML, "Determining the character encoding". */
  @ParameterizedTest
  @CsvSource({
    "<meta charset=ISO-8859-1>, windows-1252",
    "<meta charset='latin1'>, windows-1252",
    "<meta charset=utf-16>, utf-8",
    "<meta http-equiv=Content-Type content='text/html; charset=koi8-r'>, koi8-r",
    "<meta charset=nobody-knows>, utf-8",
    "<p>, utf-8"
  })
  void itIsInWhatABrowserTakesItFor(String start, String encoding) {
    assertThat(page(start + "<p>a</p>").encoding()).isEqualTo(encoding);
    // What says that it is in UTF-8 is, whatever it holds; what says nothing is in the other one.
    byte[] old = "<meta charset=utf-8><p>\u00e9</p>".getBytes(StandardCharsets.ISO_8859_1);
    assertThat(OwnPage.of(old).encoding()).isEqualTo("utf-8");
    assertThat(OwnPage.of("<p>\u00e9".getBytes(StandardCharsets.ISO_8859_1)).encoding())
        .isEqualTo("windows-1252");
  }

  /** Source: HTML, "Optional tags": a p without an end holds what comes until the next block. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<p>one<p>two|p “two|BEFORE",
        "<table><tr><td>a</td></tr></table>|tr|BEFORE",
        "<table><tr><td>a</td></tr></table>|table|FIRST",
        "<ul><li>a<li>b</ul>|li “b|BEFORE",
        "<a href=x><b>c</b></a>|b|FIRST",
        "<p>one<div>two</div>|p|AFTER",
        "<p>one<div>two</div>|div|INSTEAD"
      })
  void whereTheMarkupWouldTakeItElsewhereItIsRefused(String told) {
    String[] parts = told.split("\\|");
    assertThatThrownBy(() -> with(parts[0], parts[1], Side.valueOf(parts[2])))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(parts[1].split(" ")[0]);
  }

  @Test
  void whatIsPutInOneAnotherIsRefused() {
    OwnPage page = page("<div><p>a</p></div>");
    var outer = new OwnPage.Put(spot(page, "div"), Side.INSTEAD, "1");
    var inner = new OwnPage.Put(spot(page, "p"), Side.AFTER, "2");
    assertThatThrownBy(() -> page.with(List.of(inner, outer)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("another place takes away");
    // Beside it there is room, in the order in which it is told.
    var first = new OwnPage.Put(spot(page, "div"), Side.BEFORE, "3");
    var then = new OwnPage.Put(spot(page, "div"), Side.BEFORE, "4");
    assertThat(page.with(List.of(first, then))).asString().isEqualTo("34<div><p>a</p></div>");
    assertThat(page.with(List.of(outer, first))).asString().isEqualTo("31");
  }

  @Test
  void lettersThatThePageDoesNotHaveAreRefused() {
    OwnPage page =
        OwnPage.of("<meta charset=windows-1252><p>a</p>".getBytes(StandardCharsets.US_ASCII));
    var put = new OwnPage.Put(spot(page, "p"), Side.AFTER, "\u6f22");
    assertThatThrownBy(() -> page.with(List.of(put)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("windows-1252");
  }

  @Test
  void whatIsNoPageIsRefusedOrTakenAsItIs() {
    byte[] sixteen = "\ufeff<p>a</p>".getBytes(StandardCharsets.UTF_16LE);
    assertThatThrownBy(() -> OwnPage.of(sixteen)).hasMessageContaining("UTF-16");
    assertThatThrownBy(() -> OwnPage.of(new byte[OwnPage.MOST_BYTES + 1]))
        .hasMessageContaining("at most 4 MB");
    assertThat(page("<div>".repeat(2000)).spots()).hasSizeGreaterThan(400);
    assertThatThrownBy(() -> page("<hr>".repeat(60_000))).hasMessageContaining("60000 tags");
    assertThat(page("").spots()).isEmpty();
    assertThat(page("no markup").spots()).isEmpty();
    var noise = new byte[20_000];
    new Random(5).nextBytes(noise);
    assertThat(OwnPage.of(noise).with(List.of())).isEqualTo(noise);
  }

  /** All that was not put in is what it was, byte for byte, wherever it is put. */
  @Test
  void theRestIsByteForByteWhatItWas() {
    int places = 0;
    int refused = 0;
    for (int seed = 1; seed <= Runs.of(30, 300); seed++) {
      DrawnPages.Drawn old = DrawnPages.of(seed);
      OwnPage page = OwnPage.of(old.bytes());
      assertThat(page.encoding()).as("seed %d", seed).isEqualToIgnoringCase(old.encoding());
      var random = new Random(seed);
      var puts = new ArrayList<OwnPage.Put>();
      for (Spot spot : page.spots()) {
        for (Side side : spot.sides()) {
          if (side == Side.INSTEAD || random.nextInt(6) > 0) {
            continue;
          }
          try {
            page.check(spot, side);
            puts.add(new OwnPage.Put(spot, side, LINES));
            places++;
          } catch (Refused e) {
            refused++;
          }
        }
      }
      String made = new String(page.with(puts), StandardCharsets.ISO_8859_1);
      assertThat(made.replace(LINES, ""))
          .as("seed %d", seed)
          .isEqualTo(new String(old.bytes(), StandardCharsets.ISO_8859_1));
      assertThat(made.split(LINES, -1)).hasSize(puts.size() + 1);
      assertThat(page.with(List.of())).isEqualTo(old.bytes());
    }
    System.out.printf("measured: %d places in pages of one's own, %d refused%n", places, refused);
    assertThat(places).isGreaterThan(100);
  }

  /** Where Debian's package debian-policy has the documents of three standards. */
  private static final Path STANDARDS = Path.of("/usr/share/doc/debian-policy");

  /**
   * Documents that nobody of us has written: the Filesystem Hierarchy Standard 3.0, the
   * machine-readable debian/copyright 1.0 and the Debian Perl Policy. The rest of each is what it
   * was, and places are found again after something came before them.
   */
  @ParameterizedTest
  @ValueSource(strings = {"fhs/fhs-3.0.html", "copyright-format-1.0.html", "perl-policy-1.html"})
  void theDocumentsOfStandardsStayWhatTheyAre(String name) throws IOException {
    Path file = STANDARDS.resolve(name);
    assumeTrue(Files.exists(file), "apt-get install debian-policy has it");
    byte[] bytes = Files.readAllBytes(file);
    OwnPage page = OwnPage.of(bytes);
    List<Spot> spots = page.spots();
    var random = new Random(1);
    var puts = new ArrayList<OwnPage.Put>();
    while (puts.size() < 60) {
      Spot spot = spots.get(random.nextInt(spots.size()));
      for (Side side : spot.sides()) {
        try {
          page.check(spot, side);
          if (side != Side.INSTEAD && puts.stream().noneMatch(put -> put.spot() == spot)) {
            puts.add(new OwnPage.Put(spot, side, LINES));
          }
        } catch (Refused e) {
          // Nothing can stand there.
        }
      }
    }
    assertThat(page.with(List.of())).isEqualTo(bytes);
    String made = new String(page.with(puts), StandardCharsets.ISO_8859_1);
    String was = new String(bytes, StandardCharsets.ISO_8859_1);
    assertThat(made.replace(LINES, "")).isEqualTo(was);
    assertThat(made.split(LINES, -1)).hasSize(puts.size() + 1);

    // Somebody has put a paragraph at the beginning of it.
    String more = "<p>What is new stands here.</p>";
    int at = was.indexOf('>', was.toLowerCase(Locale.ROOT).indexOf("<body")) + 1;
    OwnPage then =
        OwnPage.of(
            (was.substring(0, at) + more + was.substring(at))
                .getBytes(StandardCharsets.ISO_8859_1));
    int found = 0;
    int looked = 0;
    int step = Runs.of(1 + spots.size() / 200, 1);
    for (int i = 0; i < spots.size(); i += step) {
      Spot spot = spots.get(i);
      looked++;
      Optional<Spot> again = then.find(page.mark(spot));
      int moved = spot.from() < at ? spot.from() : spot.from() + more.length();
      assertThat(again.map(Spot::from).orElse(moved))
          .as("%s is found elsewhere", spot.called())
          .isEqualTo(moved);
      found += again.isPresent() ? 1 : 0;
    }
    System.out.printf(
        "measured: %s, %d bytes: %d of %d places found again, none elsewhere%n",
        name, bytes.length, found, looked);
    assertThat(found).isGreaterThan(looked * 9 / 10);
  }

  /** What is put in stands with nothing but itself between two halves of an element's bytes. */
  @Test
  void whatTakesAPlaceTakesAllOfIt() {
    for (int seed = 1; seed <= 30; seed++) {
      byte[] bytes = DrawnPages.of(seed).bytes();
      OwnPage page = OwnPage.of(bytes);
      String text = new String(bytes, StandardCharsets.ISO_8859_1);
      for (Spot spot : page.spots()) {
        if (spot.sides().contains(Side.INSTEAD)) {
          String made =
              new String(
                  page.with(List.of(new OwnPage.Put(spot, Side.INSTEAD, LINES))),
                  StandardCharsets.ISO_8859_1);
          assertThat(made)
              .isEqualTo(text.substring(0, spot.from()) + LINES + text.substring(spot.below()));
        }
      }
    }
  }

  // --- found again -------------------------------------------------------------------------------

  private static Optional<String> again(String was, String called, String is) {
    OwnPage before = page(was);
    return page(is).find(before.mark(spot(before, called))).map(Spot::called);
  }

  @Test
  void anElementIsFoundAgainOrAskedFor() {
    String was = "<main><p class=a>one</p><p class=a>two</p><div id=q>three</div></main>";
    // By its id, wherever it went.
    assertThat(again(was, "div#q", "<div id=q>other</div><main></main>"))
        .contains("div#q \u201cother\u201d");
    // By how it looks, where something came before it.
    assertThat(
            again(was, "p.a \u201ctwo", was.replace("<p class=a>one", "<p>new</p><p class=a>one")))
        .contains("p.a \u201ctwo\u201d");
    // Where it stood, when its text alone was changed.
    assertThat(again(was, "p.a \u201ctwo", was.replace("two", "zwei")))
        .contains("p.a \u201czwei\u201d");
    // Its text was changed and something came: nobody knows.
    assertThat(
            again(
                was,
                "p.a \u201ctwo",
                was.replace("two", "zwei").replace("<main>", "<main><p class=a>0</p>")))
        .isEmpty();
    // Of many that look the same, in what has an id, whatever came around that.
    String list = "<section id=s><i>x</i><i>x</i><i>x</i></section>";
    OwnPage before = page(list);
    Mark second = before.mark(before.spots().get(2));
    assertThat(page("<div>new</div>" + list).find(second).map(Spot::number)).contains(3);
    assertThat(page(list.replace("<section id=s>", "<section id=s><i>x</i>")).find(second))
        .isEmpty();
    // Two look the same now, and it is gone from where it was.
    assertThat(
            again(was, "p.a \u201ctwo", "<p class=a>two</p><main><i></i><p class=a>two</p></main>"))
        .isEmpty();
    assertThat(
            again(
                was, "div#q", "<main><p class=a>one</p><p class=a>two</p><div>three</div></main>"))
        .isEmpty();
  }

  /** After a page was changed an element is found where it is, or not at all: never elsewhere. */
  @Test
  void noElementIsTakenForAnother() {
    int found = 0;
    int asked = 0;
    for (int seed = 1; seed <= Runs.of(60, 600); seed++) {
      var random = new Random(seed);
      var blocks = new ArrayList<String>();
      int many = 6 + random.nextInt(8);
      for (int i = 0; i < many; i++) {
        String id = random.nextInt(4) == 0 ? " id=b" + i : "";
        // Many look alike on purpose; what nobody reads tells which is which.
        blocks.add(
            "<div class=c"
                + random.nextInt(2)
                + id
                + "><p>text "
                + random.nextInt(many / 2)
                + "</p><!--"
                + i
                + "--></div>");
      }
      String was = "<main>" + String.join("\n", blocks) + "</main>";
      int marked = random.nextInt(many);
      OwnPage before = page(was);
      Spot spot =
          before.spots().stream()
              .filter(each ->
                  was.startsWith(blocks.get(marked), each.from())
                      && each.from()
                          == was.indexOf("<!--" + marked + "-->")
                              - blocks.get(marked).indexOf("<!--"))
              .findFirst()
              .orElseThrow();
      var changed = new ArrayList<>(blocks);
      for (int i = random.nextInt(4); i > 0; i--) {
        int at = random.nextInt(changed.size());
        switch (random.nextInt(4)) {
          case 0 -> changed.add(at, "<div class=c0><p>new " + i + "</p></div>");
          case 1 -> changed.remove(at);
          case 2 -> changed.set(at, changed.get(at).replace("text", "words"));
          default -> changed.add(random.nextInt(changed.size()), changed.remove(at));
        }
        if (changed.isEmpty()) {
          break;
        }
      }
      String is = "<main>" + String.join("\n", changed) + "</main>";
      Optional<Spot> again = page(is).find(before.mark(spot));
      if (again.isPresent()) {
        found++;
        String there = is.substring(again.get().from(), again.get().below());
        // One that is the same in every letter may stand for it.
        boolean same =
            there.contains("<!--" + marked + "-->")
                || there
                    .replaceAll("<!--.*?-->", "")
                    .equals(blocks.get(marked).replaceAll("<!--.*?-->", ""));
        assertThat(same).as("seed %d: %s for %s", seed, there, blocks.get(marked)).isTrue();
      } else {
        asked++;
      }
    }
    System.out.printf("measured: %d elements found again, %d asked for%n", found, asked);
    assertThat(found).isGreaterThan(asked);
  }
}
