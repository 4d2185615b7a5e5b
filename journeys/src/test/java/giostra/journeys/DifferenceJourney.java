package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.NodeType;
import giostra.core.testing.Runs;
import giostra.core.value.IconKind;
import giostra.core.value.MediaKind;
import giostra.core.value.PickKind;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.ToggleKind;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Every setting of every kind, set on one of two pieces that are alike: on the live page they then
 * differ in what is laid out, painted or told, at each of three widths. One page holds the pieces
 * of a kind, so that it is published once; one of each sort of field goes through the screen, the
 * rest is set by edits, in a deep run all goes through the screen.
 */
@ExtendWith({Giostra.class, Chromium.class})
class DifferenceJourney {
  private static final String LOOK = Js.file("fingerprint.js");

  static Stream<String> kinds() {
    String only = System.getProperty("giostra.kind", "");
    List<String> all = Difference.all().stream().map(Difference::kind).distinct().toList();
    return only.isEmpty() ? Runs.inTurn(all).stream() : Stream.of(only);
  }

  /** So many are typed on one page. */
  private static final int AT_ONCE = 6;

  /** A pair: ids of the piece that is left as it is, and of the one that is changed. */
  private record Pair(Difference difference, String left, String changed) {}

  @ParameterizedTest
  @MethodSource("kinds")
  void everySettingMakesADifferenceOnTheLivePage(String kind, Api api, Chromium.Open chromium) {
    List<Difference> all =
        Difference.all().stream().filter(each -> each.kind().equals(kind)).toList();
    List<Difference> typed =
        all.stream().filter(each -> Runs.deep() || TYPED.contains(each)).toList();
    var same =
        new ArrayList<>(
            alike(
                all.stream().filter(each -> !typed.contains(each)).toList(), api, chromium, false));
    // Some at a time, so that the bench has few pieces to show.
    for (int from = 0; from < typed.size(); from += AT_ONCE) {
      List<Difference> some = typed.subList(from, Math.min(typed.size(), from + AT_ONCE));
      same.addAll(alike(some, api, chromium, true));
    }
    assertThat(same).as("no difference made by").isEmpty();
  }

  /**
   * The differences that nobody can see.
   *
   * @param typed whether they are set through the screen, or else by edits
   */
  private static List<String> alike(
      List<Difference> all, Api api, Chromium.Open chromium, boolean typed) {
    if (all.isEmpty()) {
      return List.of();
    }
    var pairs = new ArrayList<Pair>();
    Document document = document(all, pairs);
    String id = api.newPage("velluta", document);
    String address;
    if (typed) {
      Page page = chromium.kept("bench without stage");
      // The stage is no matter here, and to lay many pieces out at each edit takes its time.
      page.route("**/preview/**", Route::abort);
      Bench bench = Bench.open(page, api, id, "fill", pairs.getFirst().changed());
      for (Pair pair : pairs) {
        change(bench, pair);
      }
      bench.saved();
      bench.publish();
      address =
          api.at(
              api.get("/api/pages/" + id + "/releases").json().get(0).path("address").asString());
    } else {
      Edit[] edits = pairs.stream().map(pair -> edit(api, pair, document)).toArray(Edit[]::new);
      assertThat(api.edit(id, 0, edits).status()).isEqualTo(200);
      address = api.publish(id);
    }
    Page live = chromium.kept("live");
    var same = new ArrayList<String>();
    for (int width : Subject.WIDTHS) {
      live.setViewportSize(width, 800);
      live.navigate(address);
      live.waitForFunction(
          "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
      live.waitForTimeout(400);
      for (int at :
          Js.ask(live, ALIKE, asked(pairs)).valueStream().mapToInt(JsonNode::asInt).toArray()) {
        same.add(pairs.get(at).difference().key() + " at " + width);
      }
    }
    return same;
  }

  /**
   * What goes through the screen: of each sort of field, in the sheet and in the form, the first of
   * those that SettingsJourney types none of; in a deep run all.
   */
  private static final Set<Difference> TYPED = oneOfEachSort();

  private static Set<Difference> oneOfEachSort() {
    var seen = new HashSet<String>();
    SettingCase.all().forEach(each -> seen.add(sort(each.type().setting(each.setting()))));
    var typed = new HashSet<Difference>();
    for (Difference each : Difference.all()) {
      Setting<?> setting = each.type().setting(each.setting());
      boolean ofSort = seen.add(sort(setting));
      // What is a guide of the bench alone shows nowhere else.
      boolean guide = each.benchOnly() && seen.add(each.setting());
      if (ofSort || guide) {
        typed.add(each);
      }
    }
    return typed;
  }

  private static String sort(Setting<?> setting) {
    return setting.byBand() + " " + setting.kind().getClass();
  }

  private static String named(Api api, String file) {
    return api.get("/api/sites/velluta/media")
        .json()
        .valueStream()
        .filter(each -> each.path("name").asString().equals(file))
        .map(each -> each.path("id").asString())
        .findFirst()
        .orElseThrow();
  }

  private static Edit edit(Api api, Pair pair, Document document) {
    Difference each = pair.difference();
    String node = each.node(pair.changed());
    Setting<?> setting = each.type().setting(each.setting());
    // A file is picked by its name, and said by its id.
    Object raw =
        setting.kind() instanceof MediaKind
            ? named(api, each.value())
            : Difference.raw(each.value());
    return new Edit.SetValue(node, setting.id(), setting.byBand() ? "desktop" : "", raw);
  }

  /**
   * Settings that are only seen when somebody does something: of these the plan is compared as
   * well, which the page's script obeys; what it does then is for PatternJourney, KindsJourney and
   * GestureJourney.
   */
  private static final Set<String> BEHAVIOURS =
      Set.of(
          "tabs.trigger",
          "tabs.intent",
          "accordion.intent",
          "flip-boxes.intent",
          "counters.delay",
          "counters.sequence",
          "accordion.trigger",
          "accordion.mayClose",
          "flip-boxes.trigger",
          "slider.endless",
          "slider.gap",
          "carousel.endless",
          "carousel.stride",
          "counters.trigger",
          "counters.pace",
          "counters.duration",
          "counters.curve",
          "counters.step",
          "counters.beat",
          "counters.startsAt",
          "counters.repeat",
          "slider.restsBy",
          "slider.rest",
          "slider.restLeast",
          "slider.restMost",
          "slider.startsAfter",
          "slider.startsWith",
          "slider.round",
          "slider.heldWhile",
          "slider.afterHand",
          "slider.changes",
          "slider.changeOrder",
          "carousel.restsBy",
          "carousel.rest",
          "carousel.restLeast",
          "carousel.restMost",
          "carousel.startsAfter",
          "carousel.startsWith",
          "carousel.round",
          "carousel.heldWhile",
          "carousel.afterHand",
          "carousel.changes",
          "carousel.changeOrder",
          "slider.wordsCome",
          "slider.groundMoves",
          "slider.groundBy",
          "slider.wordsBeat",
          "slider.wordsTake",
          "item.ownRest",
          "item.ownChanges",
          "item.action",
          "item.actionOn",
          "item.seasonBegins",
          "item.seasonEnds",
          "item.showQuery");

  /** Which pairs look alike, by their place in the list; what is only of the bench is not asked. */
  private static final String ALIKE =
      """
      (pairs) => {
        const look = %s;
        // Many are compared with the same piece.
        const known = new Map();
        const once = (id, plan) => {
          const key = id + plan;
          if (!known.has(key)) known.set(key, look([id, plan]));
          return known.get(key);
        };
        return pairs.flatMap(([left, changed, plan, asked], at) =>
            asked && once(left, plan) === once(changed, plan) ? [at] : []);
      }
      """
          .formatted(LOOK);

  private static List<List<Object>> asked(List<Pair> pairs) {
    return pairs.stream()
        .map(pair ->
            List.<Object>of(
                pair.left(),
                pair.changed(),
                BEHAVIOURS.contains(pair.difference().key()),
                !pair.difference().benchOnly()))
        .toList();
  }

  private static Document document(List<Difference> all, List<Pair> pairs) {
    var left = new LinkedHashMap<Map<String, String>, String>();
    var ids = new ArrayList<Map.Entry<String, Map<String, String>>>();
    for (Difference each : all) {
      String base =
          left.computeIfAbsent(
              each.needs(),
              needs -> {
                String id = "a" + left.size();
                ids.add(Map.entry(id, needs));
                return id;
              });
      String changed = "b" + pairs.size();
      ids.add(Map.entry(changed, each.needs()));
      pairs.add(new Pair(each, base, changed));
    }
    Document document =
        Subjects.page(all.getFirst().kind(), ids.stream().map(Map.Entry::getKey).toList());
    var edits = new ArrayList<Edit>();
    ids.forEach(entry ->
        entry
            .getValue()
            .forEach(
                (key, value) -> need(document, all.getFirst(), entry.getKey(), key, value, edits)));
    return Edits.apply(document, edits).document();
  }

  private static void need(
      Document document, Difference of, String id, String key, String value, List<Edit> edits) {
    if (key.equals("bench")) {
      return;
    }
    boolean item = key.startsWith("item.");
    String node = item ? id + "-1" : of.kind().equals("pin") ? of.node(id) : id;
    String setting = item ? key.substring(5) : key;
    boolean byBand = document.node(node).type().setting(setting).byBand();
    edits.add(new Edit.SetValue(node, setting, byBand ? "desktop" : "", Difference.raw(value)));
  }

  private static void change(Bench bench, Pair pair) {
    Difference each = pair.difference();
    Page page = bench.page();
    String node = each.node(pair.changed());
    Setting<?> setting = each.type().setting(each.setting());
    page.locator("[data-node='" + pair.changed() + "']").click();
    if (!node.equals(pair.changed())) {
      page.locator("[data-node='" + node + "']").click();
    }
    if (setting.drives()) {
      bench.step("Drive");
      if (each.ofItem()) {
        page.locator("[aria-label='What to drive'] > button").nth(1).click();
      }
    }
    if (setting.byBand()) {
      if (!setting.drives()) {
        bench.step("Arrange");
      }
      if (each.ofItem()) {
        page.locator("[aria-label='What to arrange'] > button").nth(1).click();
      }
      bench.cell(node, each.setting(), "desktop").waitFor();
      bench.set(node, each.setting(), "desktop", each.value());
    } else if (setting.drives()) {
      inForm(bench, each, setting);
    } else {
      bench.step("Fill");
      if (each.ofItem() || NodeType.named(each.kind()).isPiece()) {
        page.locator("[aria-label='What to fill'] > button").nth(each.ofItem() ? 1 : 2).click();
      }
      inForm(bench, each, setting);
    }
    if (each.setting().startsWith("comfort")) {
      bench.saved();
    }
    if (each.setting().startsWith("comfort")) {
      bench.step("Arrange");
      PlaywrightAssertions.assertThat(page.locator(".tooth-title"))
          .containsText(each.value().replace("px", ""));
    }
  }

  private static void inForm(Bench bench, Difference each, Setting<?> setting) {
    Page page = bench.page();
    Locator field = page.locator(".field[data-setting='" + each.setting() + "']");
    field.waitFor(
        new Locator.WaitForOptions()
            .setState(com.microsoft.playwright.options.WaitForSelectorState.ATTACHED));
    if (!field.isVisible()) {
      page.locator(".form-more > summary").click();
    }
    switch (setting.kind()) {
      case ToggleKind _ -> field.locator("input").click();
      case PickKind<?> _ -> field.locator("select").selectOption(each.value());
      case SeveralKind _ ->
          field.getByLabel(each.value(), new Locator.GetByLabelOptions().setExact(true)).check();
      case MediaKind _ -> {
        field.locator("button").click();
        bench.pick(each.value());
      }
      case IconKind _ -> {
        field.locator("button").click();
        page.getByLabel("Search icons").fill(each.value());
        page.locator(".icon-one[title='" + each.value() + "']").click();
      }
      case RichKind _ -> field.locator(".rich-text").fill(each.value());
      default -> {
        Locator input = field.locator("input, textarea").last();
        input.fill(each.value());
        input.blur();
      }
    }
    page.waitForTimeout(setting.kind() instanceof RichKind ? 450 : 0);
  }
}
