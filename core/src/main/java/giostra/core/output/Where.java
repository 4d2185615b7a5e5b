package giostra.core.output;

import giostra.core.anatomy.Tone;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.room.Rooms;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
 * @param said CSS properties that say properties of it, where these are not the usual ones
 * @param variables whether all of it is said by custom properties
 * @param bare whether it has a ground and corners only where somebody gives it some
 */
public record Where(
    String selector,
    String current,
    String own,
    Map<Property<?>, String> said,
    boolean variables,
    boolean bare) {
  public Where {
    said = Map.copyOf(said);
  }

  /**
   * What a box keeps free at both sides: it has a width of its own, which has to leave room for
   * that.
   */
  public static final String ASIDE = "--g-aside";

  private static final Map<String, Where> ALL = new TreeMap<>();

  /** Headings of any level. */
  public static final String HEADINGS = ":is(h2,h3,h4,h5,h6)";

  static {
    var to = new Places();
    for (Tone each : Tone.ALL) {
      if (each != Tone.PICTURE) {
        String tone = each.id();
        to.own("tone." + tone, ".g-" + tone + "|.g-on-" + tone, ".g-" + tone + "| .g-on-" + tone);
      }
    }
    to.own("tone.picture", ".g-grounded", ".g-grounded");
    to.own("type.families", "body", "");
    to.at("page.body", "body");
    for (int level = 1; level < 4; level++) {
      to.own("page.heading-" + level, ":is(.g-block,.g-over)>h" + level, "");
    }
    to.own("page.heading-4", ":is(.g-block,.g-over)>:is(h4,h5,h6)", "");
    to.own("page.text", ".g-text", "");
    to.at("page.item-text", ".g-copy:not(.g-text,blockquote,.g-back *)");
    to.own("page.picture", ".g-picture>img", ">img");
    to.at("page.remote-picture", "img[data-remote]");
    to.at("page.button", ".g-button:not(.g-second)&");
    to.at("page.second-button", ".g-second&");
    to.at("page.button-icon", ".g-signed>.g-icon");
    to.at("page.buttons", ".g-buttons");
    to.at("page.kicker", ".g-kicker");
    to.at("page.subheading", ".g-sub");
    to.at("page.over", ".g-over");
    to.at("page.block", ".g-block+.g-block");
    to.own("copy.paragraph", ".g-copy>*+*", ">*+*");
    to.own("copy.list", ".g-copy :is(ul,ol)", " :is(ul,ol)");
    to.own("copy.heading", ".g-copy " + HEADINGS, " " + HEADINGS);
    to.own("copy.emphasis", ".g-copy strong", " strong");
    to.own("copy.link", ".g-copy a&", " a&");
    to.own("copy.quotation", ".g-copy blockquote", " blockquote");
    to.own("copy.code", ".g-copy :is(code,pre)", " :is(code,pre)");
    to.own("copy.code-block", ".g-copy pre", " pre");
    to.own("copy.picture", ".g-copy img", " img");
    to.at("page.icon", ":is(.g-card&>.g-body,.g-slide& .g-copybox)>.g-icon");
    to.own("section.picture", ".g-grounded>.g-ground", ">.g-ground");
    to.own("section.overlay", ".g-grounded::after", "::after");
    to.at("page.field", ".g-own-html :is(input,textarea,select)");
    to.at("page.message", ".g-message");
    to.at("page.focus", ":focus-visible");
    to.at("slider.hold", ".g-hold&");
    to.at("track.arrow", ".g-arrow&");
    to.at("track.arrow-icon", ".g-arrow>svg");
    to.at(
        "track.mark",
        ".g-dot&::before",
        ".g-dot:is([aria-disabled=true],[aria-selected=true])::before");
    to.at("track.tally", ".g-tally");
    to.at("track.bar", ".g-bar");
    to.at(
        "track.thumbnail",
        ".g-dot&>.g-thumb",
        ".g-dot:is([aria-disabled=true],[aria-selected=true])>.g-thumb");
    to.at(
        "track.name",
        ".g-dot&>.g-dot-name",
        ".g-dot:is([aria-disabled=true],[aria-selected=true])>.g-dot-name");
    to.at("track.neighbour", ".g-near");
    to.at(
        "panel.heading-icon",
        ":is(.g-head,summary,.g-fold)&>.g-head-icon",
        ":is(.g-head[aria-selected=true],[open]>summary,[aria-expanded=true])>.g-head-icon");
    to.at(
        "panel.marker",
        ":is(summary,.g-fold)&>.g-marker",
        ":is([open]>summary,[aria-expanded=true])>.g-marker");
    to.at("panel.content", ".g-inner>*+:not(.g-kicker+p,.g-sub+p)");
    to.at("panel.picture", ".g-panel-picture>img");
    to.at("grid.divider", ".g-grid>*::after|.g-grid>*::before");
    // Words and rows of buttons have no ground, so what they keep free may be their padding: what
    // stands before them in a panel says how far they are from it by a margin.
    for (String words : List.of("item-text", "kicker", "subheading", "buttons")) {
      to.named("page." + words, Property.MARGIN, "padding");
    }
    to.named("track.bar", Property.SIZE, "block-size");
    to.named("track.name", Property.BORDER, "border-block-end");
    to.named("grid.divider", Property.SIZE, "--p-size");
    to.named("copy.quotation", Property.BORDER, "border-inline-start");
    to.named("page.focus", Property.BORDER, "outline");
    for (String picture : List.of("page.picture", "copy.picture", "panel.picture")) {
      to.named(picture, Property.EDGE, "outline");
    }
    for (String picture : List.of("page.picture", "panel.picture")) {
      to.named(picture, Property.MARGIN, ASIDE);
      to.named(picture, Property.PLACE, "justify-self");
    }
    to.bare("page.icon").bare("panel.marker");
    Rooms.all().forEach(room -> Rooms.of(room.word(), Written.class).places(to));
  }

  /** Takes in where parts are found, and how their properties are said there. */
  public static final class Places {
    private Places() {}

    /** A part within what holds it. */
    public Places at(String part, String selector) {
      return at(part, selector, "");
    }

    /** The same, with what it is where it is current. */
    public Places at(String part, String selector, String current) {
      return put(part, new Where(selector, current, " " + selector, Map.of(), false, false));
    }

    /** A part that a block by itself is or holds: what follows the block's own element. */
    public Places own(String part, String selector, String own) {
      return put(part, new Where(selector, "", own, Map.of(), false, false));
    }

    /** The name of the CSS property that says a property of it, where it is not the usual one. */
    public Places named(String part, Property<?> property, String name) {
      Where of = known(part);
      var names = new HashMap<Property<?>, String>(of.said);
      names.put(property, name);
      return put(part, new Where(of.selector, of.current, of.own, names, of.variables, of.bare));
    }

    /** All of it is said by custom properties. */
    public Places variables(String part) {
      Where of = known(part);
      return put(part, new Where(of.selector, of.current, of.own, of.said, true, of.bare));
    }

    /** It has a ground and corners only where somebody gives it some. */
    public Places bare(String part) {
      Where of = known(part);
      return put(part, new Where(of.selector, of.current, of.own, of.said, of.variables, true));
    }

    private static Where known(String part) {
      return Objects.requireNonNull(ALL.get(part), part);
    }

    private Places put(String part, Where where) {
      ALL.put(part, where);
      return this;
    }
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
        state == State.CURRENT ? " " + current : block ? own : " " + selector.replace("|", "| ");
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
