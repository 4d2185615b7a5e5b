package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import giostra.core.anatomy.Anatomy;
import giostra.core.format.DocumentJson;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.output.Found;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Site;
import giostra.core.piece.video.VideoParts;
import giostra.core.testing.InTurn;
import giostra.core.value.Colour;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.Require;
import giostra.core.value.SizeKind;
import giostra.core.value.ToneColour;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Every property of every part, in every state: each is set to a value that no other has, and the
 * browser is asked whether anything on the page is so. Where on the page a part is, the journey
 * does not say: what nothing wears is not found.
 */
@ExtendWith({Giostra.class, Chromium.class})
class LooksJourney {
  /**
   * What every element and what stands before and after it has, as the browser computes it; lengths
   * of letters are told as shares of their size.
   */
  private static final String WORN =
      """
      () => {
        // A state is gone over to at once: what is read on the way belongs to no state.
        for (let turn = 0; turn < 20; turn++) {
          const going = document.getAnimations().filter((each) => each instanceof CSSTransition);
          if (going.length === 0) break;
          for (const each of going) each.finish();
        }
        const all = new Set();
        const names = ['color', 'background-color', 'padding-top', 'padding-bottom', 'padding-left',
          'padding-right', 'row-gap', 'column-gap', 'width', 'height', 'min-height', 'opacity',
          'border-top-color', 'border-left-color', 'border-bottom-color', 'outline-color',
          'border-top-left-radius', 'font-size', 'font-weight', 'margin-top', 'margin-bottom',
          'text-transform', 'font-family', 'background-image', 'box-shadow', 'outline-width',
          'border-top-style', 'border-bottom-style', 'border-left-style', 'outline-style', 'font-style', 'border-top-width', 'border-left-width', 'border-bottom-width', 'translate', 'scale',
          'rotate', 'min-width', 'max-width', 'stroke-width'];
        const round = (text) => text.replace(/-?\\d+\\.\\d+/g, (n) => String(Math.round(n * 100) / 100));
        for (const element of document.querySelectorAll('body, body *')) {
          for (const pseudo of ['', '::before', '::after']) {
            const style = getComputedStyle(element, pseudo || undefined);
            if (pseudo && style.content === 'none' && style.content !== 'normal') continue;
            for (const name of names) all.add(name + '=' + round(style.getPropertyValue(name)));
            if (!pseudo && element.matches('h2,h3,h4,h5,h6,.g-copy,.g-kicker,.g-sub,.g-title')) {
              const me = element.classList[0] ?? 'h';
              let around = element.parentElement;
              for (let i = 0; i < 3 && around; i++, around = around.parentElement)
                for (const name of around.classList)
                  all.add('align ' + me + ' in ' + name + '=' + style.textAlign);
            }
            const size = parseFloat(style.fontSize);
            for (const [colour] of style.boxShadow.matchAll(/rgba?\\([^)]*\\)/g))
              all.add('shadow=' + colour);
            all.add('takes=' + style.transitionDuration.split(',')[0]);
            all.add('pace=' + style.transitionTimingFunction);
            all.add('waits=' + style.transitionDelay);
            all.add('leading=' + round(String(parseFloat(style.lineHeight) / size)));
            all.add('words=' + (Math.round(parseFloat(style.wordSpacing) / size * 1000) / 1000));
            all.add('spacing=' + (Math.round(parseFloat(style.letterSpacing) / size * 1000) / 1000));
            for (const name of ['under', 'card', 'ink', 'soft', 'mark', 'line', 'ring'])
              all.add('--g-' + name + '=' + style.getPropertyValue('--g-' + name).trim());
            for (const name of ['size', 'pad', 'round', 'ink', 'ground', 'picture', 'border', 'line', 'nudge'])
              all.add('--p-' + name + '=' + style.getPropertyValue('--p-' + name).trim());
          }
        }
        return [...all];
      }
      """;

  /** Words that can be aligned by themselves: which element in which. */
  private static final Map<String, String> ALIGNED =
      Map.of(
          "page.item-text", "g-copy in g-inner",
          "page.kicker", "g-kicker in g-copybox",
          "page.subheading", "g-sub in g-inner",
          "slider.heading", "h in g-copybox",
          "carousel.heading", "h in g-card",
          "quotation.text", "g-copy in g-words",
          "flip.heading", "h in g-front",
          "flip.back-heading", "h in g-back",
          "flip.back-text", "g-copy in g-back",
          "counters.title", "g-title in g-figure");

  /** Properties that a browser has under one name. */
  private static final Map<String, String> SHARED =
      Map.of(
          "ink", "colour",
          "ground", "colour",
          "border-ink", "colour",
          "edge-ink", "colour",
          "padding-start", "padding-sides",
          "margin", "padding-above",
          "gap-across", "gap");

  /** What shows only after something has happened: searching, pressing, playing, failing. */
  private static final Set<String> APART =
      Set.of("page.remote-picture", "page.message", "accordion.match", "video.beside");

  /** What shows only in a state that the part itself does not know. */
  private static final Map<String, State> SHOWS_IN = Map.of("page.focus", State.FOCUS);

  /** What is set, and what of it the browser then has: one of these. */
  private record Told(Object value, List<String> worn) {
    Told(Object value, String... worn) {
      this(value, List.of(worn));
    }
  }

  /** Something of everything that has parts. */
  private static Document document() throws IOException {
    try (InputStream in = LooksJourney.class.getResourceAsStream("looks.json")) {
      return DocumentJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
  }

  /** A value that nothing else has, as far as there are so many. */
  private static Optional<Told> told(Part part, StyleKey key, int n) {
    Property<?> property = key.property();
    String hex = String.format(Locale.ROOT, "#%06x", 0x100000 + n * 7919);
    String rgb = rgb(hex);
    double wide = (part.id().id().equals("track.bar") ? 1.05 : 3.05) + n % 900 / 100.0;
    String length = Require.number(wide) + "px";
    boolean player = VideoParts.PLAYER.contains(part);
    for (ToneColour name : ToneColour.values()) {
      if (property.equals(Property.of(name))) {
        return Optional.of(new Told(hex, name.variable() + "=" + hex));
      }
    }
    return Optional.ofNullable(
        switch (property.id()) {
          case "ink" ->
              player
                  ? new Told(hex, "--p-ink=" + hex)
                  : new Told(hex, "color=" + rgb, "background-color=" + rgb);
          case "ground" ->
              player
                  ? new Told(hex, "--p-ground=" + hex)
                  // A line that is dashed or dotted is a border.
                  : new Told(hex, "background-color=" + rgb, "border-left-color=" + rgb);
          case "border-ink" ->
              player
                  ? new Told(hex, "--p-line=" + hex)
                  : new Told(
                      hex,
                      "border-top-color=" + rgb,
                      "border-bottom-color=" + rgb,
                      "border-left-color=" + rgb,
                      "outline-color=" + rgb);
          case "border-style" -> {
            String style = n % 2 == 0 ? "dashed" : "dotted";
            yield new Told(
                style,
                "border-top-style=" + style,
                "border-bottom-style=" + style,
                "border-left-style=" + style,
                "outline-style=" + style);
          }
          case "align" -> {
            String side = key.state() == State.REST ? "end" : "center";
            yield new Told(side, "align " + ALIGNED.get(part.id().id()) + "=" + side);
          }
          case "edge-ink" -> new Told(hex, "shadow=" + rgb, "outline-color=" + rgb);
          case "padding" ->
              player
                  ? new Told(length, "--p-pad=" + length)
                  : new Told(length, "padding-top=" + length);
          case "shadow" -> new Told("0 0 3px " + hex, "shadow=" + rgb);
          case "moves" -> {
            String moved = Require.number(n % 190 / 10.0 + 0.3) + "px 1px";
            yield new Told(moved, "translate=" + moved);
          }
          case "grows" -> {
            double grown = 0.5 + n % 900 / 1000.0;
            yield new Told(grown, "scale=" + Require.number(Math.round(grown * 100) / 100.0));
          }
          case "takes" -> {
            String takes = Require.number(0.011 + n % 1900 / 1000.0) + "s";
            yield new Told(takes, "takes=" + takes);
          }
          case "turns" -> {
            double degrees = n % 340 / 2.0 + 0.5;
            yield new Told(degrees, "rotate=" + Require.number(degrees) + "deg");
          }
          case "pace" -> {
            String pace = "cubic-bezier(" + Require.number(n % 900 / 1000.0 + 0.01) + ", 0, 1, 1)";
            yield new Told(pace, "pace=" + pace);
          }
          case "waits" -> {
            String waits = Require.number(0.013 + n % 1900 / 1000.0) + "s";
            yield new Told(waits, "waits=" + waits);
          }
          case "stroke" -> {
            double stroke = 0.51 + n % 300 / 100.0;
            yield new Told(stroke, "stroke-width=" + Require.number(stroke) + "px");
          }
          case "margin" ->
              new Told(length + " 0px 0px 0px", "padding-top=" + length, "margin-top=" + length);
          case "most-wide" -> {
            String most = Require.number(20.03 + n) + "px";
            yield new Told(most, "max-width=min(100%, " + most + ")");
          }
          case "least-wide" -> new Told(length, "min-width=min(100%, " + length + ")");
          case "least-high" -> {
            String least =
                Require.number(Math.round((wide + least(part, Property.LEAST_HIGH)) * 100) / 100.0)
                    + "px";
            yield new Told(least, "min-height=" + least);
          }
          case "padding-above" -> new Told(length, "padding-top=" + length);
          case "padding-below" -> new Told(length, "padding-bottom=" + length);
          case "padding-sides", "padding-start" ->
              new Told(length, "padding-left=" + length, "padding-right=" + length);
          case "gap" -> new Told(length, "row-gap=" + length);
          case "gap-across" -> new Told(length, "column-gap=" + length);
          case "above" -> new Told(length, "margin-top=" + length);
          case "below" -> new Told(length, "margin-bottom=" + length);
          case "corners" ->
              player
                  ? new Told(length, "--p-round=" + length)
                  : new Told(length, "border-top-left-radius=" + length);
          case "text-size" -> {
            String size = Require.number(8 + n % 1500 / 100.0) + "px";
            yield new Told(size, "font-size=" + size);
          }
          case "weight" -> {
            String weight = Integer.toString(101 + n % 790);
            yield new Told(Double.parseDouble(weight), "font-weight=" + weight);
          }
          case "leading" -> {
            double leading = 1 + n % 190 / 100.0;
            yield new Told(leading, "leading=" + Require.number(leading));
          }
          case "spacing" -> {
            double spacing = 0.002 + n % 400 / 1000.0;
            yield new Told(spacing, "spacing=" + Require.number(spacing));
          }
          case "word-spacing" -> {
            double apart = 0.003 + n % 900 / 1000.0;
            yield new Told(apart, "words=" + Require.number(apart));
          }
          case "opacity" -> {
            double opacity = 0.1 + n % 80 / 100.0;
            yield new Told(opacity, "opacity=" + Require.number(opacity));
          }
          case "size" -> {
            // What the browser lays out in 64ths of a px is told as it is typed.
            double px = least(part, Property.SIZE) + n % 140 / 16.0;
            String size = Require.number(px) + "px";
            String rounded = Require.number(Math.round(px * 100) / 100.0) + "px";
            yield player
                ? new Told(size, "--p-size=" + size)
                : new Told(
                    size,
                    "width=" + rounded,
                    "height=" + rounded,
                    "min-height=" + rounded,
                    "--p-size=" + size);
          }
          case "nudge" -> {
            String nudge = Require.number(n % 200 / 10.0 - 10) + "px 0px";
            yield new Told(nudge, "--p-nudge=" + nudge);
          }
          // Widths of lines are whole px on most screens, and of cases and families there are few.
          default -> null;
        });
  }

  /** The least that it may be. */
  private static double least(Part part, Property<Length> property) {
    return part.setting(property).kind() instanceof SizeKind kind ? kind.least() : 8;
  }

  private static String rgb(String hex) {
    int value = Integer.parseInt(hex.substring(1), 16);
    return String.format(
        Locale.ROOT, "rgb(%d, %d, %d)", value >> 16, value >> 8 & 255, value & 255);
  }

  @InTurn(19)
  @Test
  void everyPropertyOfEveryPartInEveryStateIsWorn(Api api, Page page) throws IOException {
    var asked = new LinkedHashMap<StyleKey, Told>();
    var edits = new ArrayList<Edit>();
    var numbers = new HashMap<String, Integer>();
    for (Part part : Anatomy.EVERY) {
      if (part.has(Property.EDGE)) {
        // Where there is no edge its colour is not to be seen.
        StyleKey edge = part.key(Property.EDGE, State.REST);
        edits.add(new Edit.SetStyle(Site.ID, edge, "desktop", "1px"));
      }
      for (StyleKey key : part.keys()) {
        // Colours are told from all others, the rest from others of the browser's name for them.
        String id = key.property().id();
        String among = id.startsWith("tone-") ? "colour" : SHARED.getOrDefault(id, id);
        int number = numbers.merge(among, 1, Integer::sum);
        told(part, key, number)
            .filter(_ -> !APART.contains(part.id().id()))
            // PartsJourney presses it.
            .filter(_ -> part != VideoParts.BAR_BUTTON || key.state() != State.CURRENT)
            .ifPresent(told -> {
              asked.put(key, told);
              edits.add(new Edit.SetStyle(Site.ID, key, "desktop", told.value()));
            });
      }
    }
    assertThat(asked).hasSizeGreaterThan(600);
    String made = api.newPage(api.copyOfDemo(), document());
    // Some at a time: each answer says all that changes on a stage.
    for (int from = 0; from < edits.size(); from += 100) {
      List<Edit> some = edits.subList(from, Math.min(edits.size(), from + 100));
      assertThat(api.edit(made, 0, some.toArray(Edit[]::new)).status()).isEqualTo(200);
    }
    page.setViewportSize(1280, 900);
    page.navigate(api.publish(made));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    var missing = new ArrayList<String>();
    for (State held : List.of(State.REST, State.FOCUS, State.HOVER, State.PRESSED)) {
      Set<String> worn = worn(page, held);
      asked.forEach((key, told) -> {
        if (shownIn(key) == held && told.worn().stream().noneMatch(worn::contains)) {
          missing.add(key.written() + ": " + told.worn().getFirst());
        }
      });
    }
    assertThat(missing).isEmpty();
  }

  /** Source: CSS Color 5, "color-mix()", as Debian's Chromium mixes; what is seen over white. */
  @Test
  void stepsOfAColourOfTheToneAreWhatTheBrowserMixes(Page page) {
    var random = new Random(20_261_129);
    var white = new Colour(255, 255, 255, 255);
    var asked = new ArrayList<List<String>>();
    var expected = new ArrayList<Colour>();
    for (int i = 0; i < 400; i++) {
      Colour of =
          new Colour(
              random.nextInt(256),
              random.nextInt(256),
              random.nextInt(256),
              random.nextInt(4) == 0 ? random.nextInt(256) : 255);
      var ink = new Ink.Named(ToneColour.ACCENT, random.nextInt(13) - 6, 1 + random.nextInt(100));
      asked.add(List.of(of.css(), ink.css()));
      expected.add(ink.of(of).over(white));
    }
    List<?> seen =
        (List<?>)
            page.evaluate(
                """
                (all) => {
                  const canvas = document.createElement('canvas');
                  canvas.width = canvas.height = 1;
                  const draw = canvas.getContext('2d', { willReadFrequently: true });
                  const box = document.body.appendChild(document.createElement('p'));
                  return all.map(([of, css]) => {
                    box.style.setProperty('--g-mark', of);
                    box.style.background = css;
                    for (const fill of ['#fff', getComputedStyle(box).backgroundColor]) {
                      draw.fillStyle = fill;
                      draw.fillRect(0, 0, 1, 1);
                    }
                    return [...draw.getImageData(0, 0, 1, 1).data.slice(0, 3)];
                  });
                }
                """,
                asked);
    int worst = 0;
    for (int i = 0; i < asked.size(); i++) {
      List<?> rgb = (List<?>) seen.get(i);
      int[] here = {expected.get(i).red(), expected.get(i).green(), expected.get(i).blue()};
      for (int channel = 0; channel < 3; channel++) {
        int off = Math.abs(here[channel] - ((Number) rgb.get(channel)).intValue());
        assertThat(off).as("%s, channel %d", asked.get(i), channel).isLessThanOrEqualTo(2);
        worst = Math.max(worst, off);
      }
    }
    System.out.printf("measured: 400 steps of colours, worst channel off by %d of 255%n", worst);
  }

  /**
   * What the catalogue says of a part that nobody has dressed is what the browser has: of the first
   * element that shows it, in the tone that it stands in.
   */
  @Test
  void whatPartsAreInitiallyIsWhatTheBrowserHas(Api api, Page page) throws IOException {
    Document document = document();
    page.setViewportSize(1280, 900);
    page.navigate(api.publish(api.newPage(api.copyOfDemo(), document)));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    var wrong = new ArrayList<String>();
    int looked = 0;
    for (Part part : Anatomy.EVERY) {
      String elements = Found.of(part).elements();
      if (elements.isEmpty()
          || APART.contains(part.id().id())
          || VideoParts.PLAYER.contains(part)
          || DRAWN.contains(part.id().id())
          || part.id().place().equals("tone")) {
        continue;
      }
      Map<?, ?> seen =
          (Map<?, ?>) page.evaluate(INITIALLY, List.of(elements, Found.of(part).current()));
      if (seen == null) {
        continue;
      }
      for (Map.Entry<String, String> each : initially(part, seen).entrySet()) {
        looked++;
        String has = String.valueOf(seen.get(each.getKey()));
        if (!each.getValue().equals(has)) {
          wrong.add(part + " " + each.getKey() + " is " + has + ", not " + each.getValue());
        }
      }
    }
    System.out.printf("measured: %d initial values of parts as the catalogue says%n", looked);
    assertThat(wrong).isEmpty();
    assertThat(looked).isGreaterThan(150);
  }

  /** What is drawn before an element, and has nothing of the element's own; or is a picture. */
  private static final Set<String> DRAWN = Set.of("quotation.mark", "track.bar", "track.thumbnail");

  /** The first element that shows a part at rest, and what it has. */
  private static final String INITIALLY =
      """
      ([elements, current]) => {
        const now = new Set(current ? document.querySelectorAll(current) : []);
        const seen = [...document.querySelectorAll(elements)].find((each) =>
          !now.has(each) && each.getClientRects().length > 0
            && !each.matches(':disabled,[aria-disabled=true]'));
        if (!seen) return null;
        const style = getComputedStyle(seen);
        const tone = (name) => {
          const within = seen.matches('input,select,textarea') ? seen.parentElement : seen;
          const probe = within.appendChild(document.createElement('i'));
          probe.style.color = `var(${name})`;
          const colour = getComputedStyle(probe).color;
          probe.remove();
          return colour;
        };
        return {
          ink: style.color, weight: style.fontWeight,
          leading: String(Math.round(parseFloat(style.lineHeight) / parseFloat(style.fontSize) * 100) / 100),
          slant: style.fontStyle, size: style.fontSize, ground: style.backgroundColor,
          'padding-above': style.paddingTop, 'padding-below': style.paddingBottom,
          corners: style.borderTopLeftRadius, case: style.textTransform, tag: seen.className,
          tones: Object.fromEntries(
            ['under', 'card', 'ink', 'soft', 'mark', 'line', 'ring'].map((n) => ['--g-' + n, tone('--g-' + n)])),
        };
      }
      """;

  private static Map<String, String> initially(Part part, Map<?, ?> seen) {
    Map<?, ?> tones = (Map<?, ?>) Objects.requireNonNull(seen.get("tones"));
    var all = new LinkedHashMap<String, String>();
    if (part.has(Property.INK)
        && part.setting(Property.INK).initial() instanceof Ink.Named(var name, int step, _)
        && step == 0) {
      all.put("ink", String.valueOf(tones.get(name.variable())));
    }
    if (part.has(Property.WEIGHT)) {
      all.put("weight", Integer.toString(part.setting(Property.WEIGHT).initial()));
    }
    if (part.has(Property.LEADING)) {
      all.put("leading", Require.number(part.setting(Property.LEADING).initial()));
    }
    if (part.has(Property.SLANT)) {
      all.put("slant", part.setting(Property.SLANT).initial().css());
    }
    if (part.has(Property.CASE)) {
      all.put("case", part.setting(Property.CASE).initial().css());
    }
    for (Property<Length> each : List.of(Property.PADDING_ABOVE, Property.PADDING_BELOW)) {
      if (part.has(each) && part.setting(each).initial().unit() != Length.Unit.EM) {
        all.put(each.id(), Require.number(part.setting(each).initial().constantPx()) + "px");
      }
    }
    if (part.has(Property.TEXT_SIZE)
        && part.setting(Property.TEXT_SIZE).initial().css().matches("[\\d.]+(px|rem)")) {
      all.put("size", Require.number(part.setting(Property.TEXT_SIZE).initial().px(900)) + "px");
    }
    return all;
  }

  /** The state in which all of the page is held when it shows; what is current is so at rest. */
  private static State shownIn(StyleKey key) {
    return SHOWS_IN.getOrDefault(
        key.part().id(),
        switch (key.state()) {
          case REST, CURRENT, DISABLED -> State.REST;
          case FOCUS, HOVER, PRESSED -> key.state();
        });
  }

  /** All that is on the page while everything on it is in a state. */
  private static Set<String> worn(Page page, State state) {
    String held =
        switch (state) {
          case HOVER -> "hover";
          case FOCUS -> "focus-visible";
          case PRESSED -> "active";
          case REST, CURRENT, DISABLED -> "";
        };
    CDPSession browser = page.context().newCDPSession(page);
    if (!held.isEmpty()) {
      hold(browser, held, "main *");
    }
    var all = new HashSet<String>();
    for (Object each : (List<?>) page.evaluate(WORN)) {
      all.add(each.toString());
    }
    browser.detach();
    return all;
  }

  /** Holds what a selector finds in states, as pseudo-classes, until the browser is let go. */
  static void hold(CDPSession browser, String held, String selector) {
    browser.send("DOM.enable");
    browser.send("CSS.enable");
    var whole = new JsonObject();
    whole.addProperty("depth", 1);
    int root =
        browser.send("DOM.getDocument", whole).getAsJsonObject("root").get("nodeId").getAsInt();
    var every = new JsonObject();
    every.addProperty("nodeId", root);
    every.addProperty("selector", selector);
    for (JsonElement node : browser.send("DOM.querySelectorAll", every).getAsJsonArray("nodeIds")) {
      var force = new JsonObject();
      force.add("nodeId", node);
      var states = new JsonArray();
      for (String each : held.split(" ")) {
        states.add(each);
      }
      force.add("forcedPseudoClasses", states);
      browser.send("CSS.forcePseudoState", force);
    }
  }
}
