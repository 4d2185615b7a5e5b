package giostra.journeys;

import static java.util.stream.Collectors.toList;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.Feed;
import giostra.core.page.Linking;
import giostra.core.page.LookSettings;
import giostra.core.page.NodeType;
import giostra.core.page.ProofSettings;
import giostra.core.page.SiteSettings;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every setting there is, changed through the screen, published through the screen, and compared on
 * the live page at three widths: before it is one thing, afterwards what was worked out by hand.
 */
@ExtendWith({Giostra.class, Chromium.class})
class SettingsJourney {
  private static final Path LIST =
      Path.of(System.getProperty("giostra.root"), "docs", "settings.md");

  static Stream<SettingCase> everyCase() {
    return SettingCase.all().stream();
  }

  /** Cases that share a page: those of a type of node, each with a section of its own. */
  static Stream<Arguments> together() {
    return everyCase()
        .collect(Collectors.groupingBy(SettingsJourney::group, LinkedHashMap::new, toList()))
        .entrySet()
        .stream()
        .map(each -> Arguments.of(each.getKey(), inTurn(each.getValue())));
  }

  /** What is of few cases is looked at each time. */
  private static List<SettingCase> inTurn(List<SettingCase> all) {
    return all.size() > Runs.TURNS ? Runs.inTurn(all) : all;
  }

  /** What is set on a site holds on all its pages, so there each case gets a site of its own. */
  private static String group(SettingCase each) {
    return each.type() == NodeType.SITE ? each.key() : each.type().word();
  }

  @Test
  void everySettingHasAJourneyAndIsListed() throws IOException {
    List<String> there =
        Arrays.stream(NodeType.values())
            .flatMap(type -> type.settings().stream().map(s -> type.word() + "." + s.id()))
            .toList();
    var tried = new TreeMap<String, String>();
    everyCase().forEach(each -> tried.put(each.key(), "SettingsJourney"));
    Difference.all().forEach(each -> tried.putIfAbsent(each.key(), "DifferenceJourney"));
    Stream.of(NodeType.values())
        .filter(NodeType::isPiece)
        .forEach(kind ->
            Difference.common()
                .forEach(id -> tried.putIfAbsent(kind.word() + "." + id, "DifferenceJourney")));
    there.stream()
        .filter(key -> key.endsWith("." + Linking.LINKED_TO.id()))
        .forEach(key -> tried.put(key, "StockJourney"));
    there.stream()
        .filter(key -> key.endsWith("." + ProofSettings.LEFT.id()))
        .forEach(key -> tried.put(key, "ProveJourney"));
    Stream.of(Feed.SOURCE, Feed.KEY, Feed.FIELDS, Feed.ROW)
        .forEach(setting ->
            there.stream()
                .filter(key -> key.endsWith("." + setting.id()))
                .forEach(key -> tried.put(key, "ContentJourney")));
    there.stream()
        .filter(key -> key.endsWith("." + LookSettings.WORN.id()) || key.startsWith("look."))
        .forEach(key -> tried.put(key, "DressJourney"));
    tried.put("site." + SiteSettings.ICONS.id(), "LibraryJourney");
    there.stream()
        .filter(key -> key.matches("site\\.tone\\d"))
        .forEach(key -> tried.put(key, "DressJourney"));
    there.stream()
        .filter(key -> key.matches("site\\.font\\d"))
        .forEach(key -> tried.put(key, "FontsJourney"));
    there.stream()
        .filter(key -> key.endsWith(".codeHosts"))
        .forEach(key -> tried.put(key, "CodeJourney"));
    there.stream()
        .filter(key -> key.startsWith("page.trace"))
        .forEach(key -> tried.put(key, "TraceJourney"));
    assertThat(tried.keySet()).containsExactlyInAnyOrderElementsOf(there);
    String list =
        Arrays.stream(NodeType.values())
            .flatMap(type ->
                type.settings().stream()
                    .map(s ->
                        "| %s | %s | `%s`, `%s` |"
                            .formatted(
                                type.word(),
                                s.label(),
                                tried.get(type.word() + "." + s.id()),
                                type.word() + "." + s.id())))
            .collect(Collectors.joining("\n"));
    if (Boolean.getBoolean("giostra.write")) {
      Files.writeString(LIST, HEAD + list + "\n");
    }
    assertThat(LIST).content().isEqualTo(HEAD + list + "\n");
  }

  private static final String HEAD =
      """
      # Settings and the journeys that try them

      Each setting is changed and its effect is read off the live page at 1280, 800 and 390 px:
      `SettingsJourney` changes it through the screen and compares it with what was worked out by hand,
      `DifferenceJourney` (one of each sort of field through the screen, in a deep run all) with a
      piece that is alike but for it; links to what is kept on the site are put in and followed by
      `StockJourney`, files that pieces follow by `ContentJourney`; icon sprites are put in by
      `LibraryJourney`, looks are worn, named and dropped, tones made by `DressJourney`, fonts taken in by `FontsJourney`, pictures that pages are
      held against are laid over the stage by `TraceJourney`. How parts look is tried by
      `LooksJourney`, and for players, held in each of their states, by `PartsJourney`. A setting that is missing here or has no case fails; with
      `-Dgiostra.write=true` it writes this list.

      | node | setting | journey |
      |---|---|---|
      """;

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest(name = "{0}")
  @MethodSource("together")
  void changesTheLivePageAtThreeWidths(
      String group, List<SettingCase> cases, Api api, Chromium.Open chromium) {
    boolean apart = cases.getFirst().type() == NodeType.SITE;
    boolean single = apart || cases.getFirst().type() == NodeType.PAGE;
    Document subject =
        single
            ? Edits.apply(
                    Subject.document(),
                    cases.stream().flatMap(each -> each.needs().stream()).toList())
                .document()
            : Subject.of(cases);
    String id = apart ? api.newPage(subject) : api.newPage("velluta", subject);
    List<List<String>> before = probed(api.publish(id), cases, single, chromium);
    Page page = chromium.kept("bench without stage");
    // The stage is no matter here, and to lay many pieces out at each edit takes its time.
    page.route("**/preview/**", Route::abort);
    String first = single ? cases.getFirst().node() : Subject.id(cases.getFirst().node(), 0);
    Bench bench = Bench.open(page, api, id, "fill", first);
    for (int at = 0; at < cases.size(); at++) {
      change(bench, cases.get(at), single ? "" : "-" + at);
    }
    bench.saved();
    List<List<String>> after = probed(api.publish(id), cases, single, chromium);
    var wrong = new ArrayList<String>();
    for (int at = 0; at < cases.size(); at++) {
      SettingCase each = cases.get(at);
      for (int i = 0; i < Subject.WIDTHS.size() && !each.benchOnly(); i++) {
        String where = each.key() + " at " + Subject.WIDTHS.get(i) + ": ";
        int width = Subject.WIDTHS.get(i);
        if (before.get(i).get(at).equals(each.expectedAt(width))) {
          wrong.add(where + "was " + before.get(i).get(at) + " before it was set");
        }
        if (!after.get(i).get(at).equals(each.expectedAt(width))) {
          wrong.add(where + after.get(i).get(at) + ", not " + each.expectedAt(width));
        }
      }
    }
    assertThat(wrong).isEmpty();
  }

  private static void change(Bench bench, SettingCase each, String suffix) {
    Page page = bench.page();
    String node = each.node() + suffix;
    if (each.type() == NodeType.SITE) {
      // It is in no map: its settings are those of the bands, and of a form.
      page.navigate(
          page.url().replaceAll("/(fill|arrange|ship)[?].*", "")
              + (each.byBand() ? "/arrange?at=site" : "/fill?at=site"));
    } else if (each.type() == NodeType.ITEM) {
      page.locator("[data-node='cards" + suffix + "']").click();
      bench.step("Fill");
      inTheTable(bench, each, node);
      return;
    } else {
      page.locator("[data-node='" + node + "']").click();
      bench.step(
          each.type().setting(each.setting()).drives()
              ? "Drive"
              : each.byBand() ? "Arrange" : "Fill");
    }
    if (each.byBand()) {
      bench.cell(node, each.setting(), "desktop").waitFor();
      bench.set(node, each.setting(), "desktop", each.value());
    } else {
      inTheForm(bench, each);
    }
    if (each.benchOnly()) {
      bench.saved();
      page.keyboard().press("Escape");
      bench.step("Arrange");
      PlaywrightAssertions.assertThat(page.locator(".tooth-title"))
          .containsText(each.expected().getFirst());
    }
  }

  private static void inTheForm(Bench bench, SettingCase each) {
    String label = each.type().setting(each.setting()).label();
    if (each.type() == NodeType.CAROUSEL) {
      bench.button("The carousel as a whole").click();
    }
    if (NodeType.isPicture(each.type().setting(each.setting()))) {
      bench.page().getByLabel(label + ": choose").click();
      bench.pick(each.value());
    } else {
      bench.fill(label, each.value());
    }
  }

  private static void inTheTable(Bench bench, SettingCase each, String node) {
    if (each.setting().equals("hidden")) {
      bench.button("Hide Card 0").click();
      return;
    }
    bench.cell(node, each.setting(), "").waitFor();
    bench.set(node, each.setting(), "", each.value());
    Locator picker = bench.page().locator("dialog[open]");
    if (NodeType.isPicture(each.type().setting(each.setting()))) {
      picker.waitFor();
      bench.pick(each.value());
    }
  }

  /** What each case's probe answers, by width. */
  private static List<List<String>> probed(
      String address, List<SettingCase> cases, boolean single, Chromium.Open chromium) {
    Page live = chromium.kept("live");
    live.setViewportSize(1280, 800);
    live.navigate(address);
    live.waitForSelector("[data-live]");
    var all = new ArrayList<List<String>>();
    for (int width : Subject.WIDTHS) {
      live.setViewportSize(width, 800);
      live.evaluate(
          "() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
      var answers = new ArrayList<String>();
      for (int at = 0; at < cases.size(); at++) {
        String probe = cases.get(at).probe();
        answers.add(
            String.valueOf(
                live.evaluate(single ? whole(probe) : within(Subject.scoped(probe, at), at))));
      }
      all.add(answers);
    }
    return all;
  }

  private static String whole(String probe) {
    return "() => { try { return String((" + probe + ")()) } catch { return '' } }";
  }

  /** A probe that sees the section of its case only. */
  private static String within(String probe, int at) {
    return """
    () => {
      const root = window.document.querySelector('#g-section-%d');
      const document = {
        querySelector: (s) => root.matches(s) ? root : root.querySelector(s),
        querySelectorAll: (s) => [root, ...root.querySelectorAll('*')].filter((e) => e.matches(s)),
      };
      try { return String((%s)()) } catch { return '' }
    }
    """
        .formatted(at, probe);
  }
}
