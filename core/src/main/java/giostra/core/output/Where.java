package giostra.core.output;

import giostra.core.look.Part;
import giostra.core.look.State;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Where a part is found in the markup.
 *
 * @param selector within what holds it; an {@code &} stands where its states go, a stroke between
 *     two of which it is both
 * @param current the same where it is current
 * @param own what follows the node's own element, where a block by itself is or holds the part
 */
record Where(String selector, String current, String own) {
  private static final Map<String, Where> ALL = new TreeMap<>();

  /** A figure, which is lit while the pointer is over where it leads. */
  private static final String LIT = ".g-figure";

  private static final String LIT_FIGURE = " .g-figure:has(.g-whole-of:hover)";

  private static final String HEADINGS = ":is(h2,h3,h4,h5,h6)";

  static {
    for (String tone : List.of("paper", "leaf", "dusk")) {
      own("tone." + tone, ".g-" + tone + "|.g-on-" + tone, ".g-" + tone + "| .g-on-" + tone);
    }
    own("tone.picture", ".g-grounded", ".g-grounded");
    own("type.families", "body", "");
    at("page.body", "body");
    for (int level = 1; level < 4; level++) {
      own("page.heading-" + level, ":is(.g-block,.g-over)>h" + level, "");
    }
    own("page.heading-4", ":is(.g-block,.g-over)>:is(h4,h5,h6)", "");
    own("page.text", ".g-text", "");
    at("page.item-text", ".g-copy:not(.g-text,blockquote,.g-back *)");
    own("page.picture", ".g-picture>img", ">img");
    at("page.remote-picture", "img[data-remote]");
    at("page.button", ".g-button:not(.g-second)&");
    at("page.second-button", ".g-second&");
    at("page.button-icon", ".g-signed>.g-icon");
    at("page.buttons", ".g-buttons");
    at("page.kicker", ".g-kicker");
    at("page.subheading", ".g-sub");
    at("page.over", ".g-over");
    at("page.block", ".g-block+.g-block");
    own("copy.paragraph", ".g-copy>*+*", ">*+*");
    own("copy.list", ".g-copy :is(ul,ol)", " :is(ul,ol)");
    own("copy.heading", ".g-copy " + HEADINGS, " " + HEADINGS);
    own("copy.emphasis", ".g-copy strong", " strong");
    own("copy.quotation", ".g-copy blockquote", " blockquote");
    own("copy.code", ".g-copy :is(code,pre)", " :is(code,pre)");
    own("copy.code-block", ".g-copy pre", " pre");
    own("copy.picture", ".g-copy img", " img");
    at("page.icon", ".g-card>.g-body>.g-icon");
    own("section.overlay", ".g-grounded::after", "::after");
    at("page.field", ".g-own-html :is(input,textarea,select)");
    at("page.message", ".g-message");
    at("page.focus", ":focus-visible");

    at("slider.slide", ".g-slide&");
    at("slider.overlay", ".g-slide>.g-shot::after");
    at("slider.words", ".g-copybox");
    at("slider.heading", ".g-copybox>" + HEADINGS);
    at("slider.buttons", ".g-copybox>.g-buttons");
    at("slider.hold", ".g-hold&");
    at("track.arrow", ".g-arrow&");
    at("track.arrow-icon", ".g-arrow>svg");
    at(
        "track.mark",
        ".g-dot&::before",
        ".g-dot:is([aria-disabled=true],[aria-selected=true])::before");
    at("track.tally", ".g-tally");
    at("track.bar", ".g-bar");
    at(
        "track.thumbnail",
        ".g-dot&>.g-thumb",
        ".g-dot:is([aria-disabled=true],[aria-selected=true])>.g-thumb");
    at(
        "track.name",
        ".g-dot&>.g-dot-name",
        ".g-dot:is([aria-disabled=true],[aria-selected=true])>.g-dot-name");
    at("track.neighbour", ".g-near");
    at("carousel.card", ".g-card&");
    at("carousel.words", ".g-card>.g-body");
    at("carousel.heading", ".g-card>.g-body>" + HEADINGS);
    at("carousel.bare-picture", ".g-bare>.g-shot");
    at("quotation.box", ".g-quotation");
    at("quotation.words", ".g-words");
    at("quotation.text", ".g-words>blockquote");
    at("quotation.mark", ".g-words>blockquote::before");
    at("quotation.speaker", ".g-quotation figcaption");
    at("quotation.name", ".g-name");
    at("quotation.role", ".g-role");
    at("quotation.bubble", ".g-tailed>.g-words");
    at("quotation.bubble-speaker", ".g-tailed>figcaption");

    at("tabs.heading", ".g-head&", ".g-head[aria-selected=true]");
    at("tabs.current-line", ".g-head::before");
    at("tabs.divider", ".g-head::after");
    at("tabs.panel", ".g-tab>.g-panel");
    at("tabs.folded-heading", "button.g-fold&", "button.g-fold[aria-expanded=true]");
    at("panel.heading-icon", ".g-head-icon");
    at("panel.marker", ".g-marker");
    at("panel.content", ".g-inner>*+:not(.g-kicker+p,.g-sub+p)");
    at("panel.picture", ".g-panel-picture>img");
    at("accordion.row", "details.g-fold", "details.g-fold[open]");
    at("accordion.heading", ".g-fold>summary&>.g-question", ".g-fold[open]>summary>.g-question");
    at("accordion.heading-row", ".g-fold>summary");
    at("accordion.tools", ".g-tools");
    at("accordion.search", ".g-search&");
    at("accordion.categories", ".g-chips");
    at("accordion.category", ".g-chip&", ".g-chip[aria-pressed=true]");
    at("accordion.copy-link", ".g-share&");
    at("accordion.found", ".g-found");
    at("accordion.match", ".g-fold mark");

    at("flip.front", ".g-front&");
    at("flip.back", ".g-back&");
    at("flip.back-button", ".g-back .g-body .g-button&");
    at("flip.words", ".g-face>.g-body");
    at("flip.heading", ".g-front>.g-body>" + HEADINGS);
    at("flip.back-heading", ".g-back>.g-body>" + HEADINGS);
    at("flip.back-text", ".g-back>.g-body>.g-copy");
    at("flip.icon", ".g-front .g-icon");
    at("flip.back-icon", ".g-back .g-body>.g-icon");
    at("flip.turn-back", ".g-turn-back&");
    at("grid.divider", ".g-grid>*::after|.g-grid>*::before");
    at("counters.box", LIT);
    at("counters.number", ".g-number");
    at("counters.title", ".g-title");
    at("counters.icon", ".g-sign>.g-icon");
    at("counters.picture", ".g-sign>.g-shot");

    at("video.start-button", ".g-start&>.g-start-sign");
    at("video.bar", ".g-controls&");
    at(
        "video.bar-button",
        ".g-controls>:is(button,select)&",
        ".g-controls>:is(button,select)[data-pressed]");
    at("video.track", ".g-controls input&");
    at("video.time", ".g-time");
    at("video.controls", ".g-controls");
    at("video.choice", ".g-controls>select");
    at("video.option", ".g-controls>select>option");
    at("video.hint", ".g-scrub>output");
    at("video.place", ".g-place");
    at("video.beside", ".g-place>:is(iframe,.g-media[data-played])");
    at("video.poster-shade", ".g-start::before");
    at("video.empty", ".g-empty");
    at("video.figure", ".g-clip");
    at("video.words", ".g-of-clip");
    at("video.heading", ".g-of-clip>" + HEADINGS);
  }

  private static void at(String part, String selector) {
    at(part, selector, "");
  }

  private static void own(String part, String selector, String own) {
    ALL.put(part, new Where(selector, "", own));
  }

  private static void at(String part, String selector, String current) {
    ALL.put(part, new Where(selector, current, " " + selector));
  }

  /** The names of all parts that it knows a place of. */
  static Set<String> names() {
    return ALL.keySet();
  }

  /** Where a part is found. */
  static Where of(Part part) {
    Where found = ALL.get(part.id().id());
    if (found == null) {
      throw new IllegalStateException(part + " is found nowhere");
    }
    return found;
  }

  /** All elements that are or have the part, whatever state they are in. */
  String elements() {
    return Arrays.stream(selector.split("\\|", -1))
        .map(each -> each.replace("&", "").replaceFirst("::.*", ""))
        .distinct()
        .collect(Collectors.joining(","));
  }

  /** Those that are current; empty where the part is never that. */
  String currentElements() {
    return current.replaceFirst("::.*", "");
  }

  /**
   * It in a state, within what has a selector. The stronger a state the more often it is named, so
   * that nothing depends on the order of the rules.
   *
   * @param root selector of what holds it
   * @param block whether that is a block by itself, which may be the part
   * @param not what it must not be, as a selector; empty for nothing
   * @param of the item that it has to be of, as what follows a selector; empty for any
   * @param canBeOff whether the part has a disabled state
   * @param end of each selector: what of the part is meant, or what it must not be
   */
  String in(
      String root,
      boolean block,
      String not,
      String of,
      State state,
      boolean canBeOff,
      String end) {
    // What is disabled is neither pressed nor under a pointer, whatever it looks like then.
    String on = canBeOff ? ":not(:where(:disabled,[aria-disabled=true]))" : "";
    String named =
        switch (state) {
          case REST, CURRENT -> "";
          case FOCUS -> ":focus-visible".repeat(2);
          case HOVER -> ":hover".repeat(3) + on;
          case PRESSED -> ":active".repeat(4) + on;
          case DISABLED -> ":is(:disabled,[aria-disabled=true])".repeat(5);
        };
    String where =
        state == State.CURRENT
            ? " " + current
            : state == State.HOVER && selector.equals(LIT)
                ? LIT_FIGURE
                : block ? own : " " + selector.replace("|", "| ");
    return Arrays.stream(where.split("\\|", -1))
        .map(each -> narrowed(root + each.replace("&", named), not, of) + end)
        .collect(Collectors.joining(","));
  }

  /** A selector that does not hold for some; what stands before or after an element comes last. */
  private static String narrowed(String whole, String not, String of) {
    int pseudo = whole.indexOf("::");
    int end = pseudo < 0 ? whole.length() : pseudo;
    String unless = not.isEmpty() ? "" : ":not(:where(" + not + "))";
    return whole.substring(0, end) + of + unless + whole.substring(end);
  }
}
