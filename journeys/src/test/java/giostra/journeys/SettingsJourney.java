package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.Feed;
import giostra.core.page.Linking;
import giostra.core.page.NodeType;
import giostra.core.page.PlayerParts;
import giostra.core.page.SiteSettings;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every setting there is, changed through the screen, published through the screen, and compared on
 * the live page at three widths: before it is one thing, afterwards what was worked out by hand.
 */
@ExtendWith({Giostra.class, Chromium.class})
class SettingsJourney {
  private static final Path LIST =
      Path.of(System.getProperty("giostra.root"), "docs", "settings.md");

  /** Live pages by what is on them. */
  private static final Map<Document, String> BEFORE = new HashMap<>();

  static Stream<SettingCase> everyCase() {
    return SettingCase.all().stream();
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
    Stream.of(Feed.SOURCE, Feed.KEY, Feed.FIELDS, Feed.ROW)
        .forEach(setting ->
            there.stream()
                .filter(key -> key.endsWith("." + setting.id()))
                .forEach(key -> tried.put(key, "ContentJourney")));
    Stream.of("video", "site")
        .forEach(node ->
            PlayerParts.ALL.forEach(each -> tried.put(node + "." + each.id(), "PartsJourney")));
    tried.put("site." + SiteSettings.ICONS.id(), "LibraryJourney");
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

      Each setting is changed through the screen and its effect is read off the live page at 1280, 800
      and 390 px: `SettingsJourney` compares it with what was worked out by hand, `DifferenceJourney` with a
      piece that is alike but for it; links to what is kept on the site are put in and followed by
      `StockJourney`, files that pieces follow by `ContentJourney`; the parts of players are held in each
      of their states by `PartsJourney`, icon sprites put in by `LibraryJourney`. A setting that is missing here or has no case fails; with
      `-Dgiostra.write=true` it writes this list.

      | node | setting | journey |
      |---|---|---|
      """;

  @ParameterizedTest(name = "{0}")
  @MethodSource("everyCase")
  void changesTheLivePageAtThreeWidths(SettingCase each, Api api, Chromium.Open chromium) {
    Document subject = Edits.apply(Subject.document(), each.needs()).document();
    // What is set on a site holds on all its pages, so there it gets one of its own.
    String id =
        each.type() == NodeType.SITE ? api.newPage(subject) : api.newPage("velluta", subject);
    // Pages that are alike are published once to see how they were before.
    List<String> before =
        each.benchOnly()
            ? List.of()
            : probed(BEFORE.computeIfAbsent(subject, _ -> api.publish(id)), each, chromium);
    Page page = chromium.kept("bench");
    Bench bench = Bench.open(page, api, id, each.byBand() ? "arrange" : "fill", each.node());
    if (each.type() == NodeType.ITEM) {
      inTheTable(bench, each);
    } else if (each.byBand()) {
      bench.set(each.node(), each.setting(), "desktop", each.value());
    } else {
      inTheForm(bench, each);
    }
    bench.saved();
    if (each.benchOnly()) {
      page.keyboard().press("Escape");
      Bench.open(page, api, id, "arrange", each.node());
      PlaywrightAssertions.assertThat(page.locator(".tooth-title"))
          .containsText(each.expected().getFirst());
      return;
    }
    bench.publish();
    List<String> after =
        probed(
            api.at(
                api.get("/api/pages/" + id + "/releases").json().get(0).path("address").asString()),
            each,
            chromium);
    for (int i = 0; i < Subject.WIDTHS.size(); i++) {
      int width = Subject.WIDTHS.get(i);
      assertThat(before.get(i)).as("before, at " + width).isNotEqualTo(each.expectedAt(width));
      assertThat(after.get(i)).as("after, at " + width).isEqualTo(each.expectedAt(width));
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

  private static void inTheTable(Bench bench, SettingCase each) {
    if (each.setting().equals("hidden")) {
      bench.button("Hide Card 0").click();
      return;
    }
    bench.set(each.node(), each.setting(), "", each.value());
    Locator picker = bench.page().locator("dialog[open]");
    if (NodeType.isPicture(each.type().setting(each.setting()))) {
      picker.waitFor();
      bench.pick(each.value());
    }
  }

  private static List<String> probed(String address, SettingCase each, Chromium.Open chromium) {
    Page live = chromium.kept("live");
    live.navigate(address);
    live.waitForSelector("[data-live]");
    return Subject.WIDTHS.stream()
        .map(width -> {
          live.setViewportSize(width, 800);
          return String.valueOf(
              live.evaluate(
                  "() => { try { return String((" + each.probe() + ")()) } catch { return '' } }"));
        })
        .toList();
  }
}
