package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Shortened;
import giostra.core.layout.Outline;
import giostra.core.layout.PictureWidths;
import giostra.core.layout.Resolution;
import giostra.core.look.Values;
import giostra.core.media.ClipHost;
import giostra.core.page.Block;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.DriveSettings;
import giostra.core.page.DriveSettings.Entrance;
import giostra.core.page.DriveSettings.Often;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.LinkSettings.Link;
import giostra.core.page.MarkSettings;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.ProofSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SiteSettings;
import giostra.core.season.Season;
import giostra.core.season.Times;
import giostra.core.value.Focus;
import giostra.core.value.Nudge;
import giostra.core.value.OwnCss;
import giostra.core.value.RichText;
import giostra.core.value.Setting;
import giostra.core.words.Labels;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.Month;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;

/**
 * A section or a block while it is written: where markup and rules go, what is asked of the files
 * beside it, and the parts that all kinds share.
 */
public final class Writing {
  final Document document;
  final Outline outline;
  final Labels labels;
  final Html out = new Html();
  final BandCss css;

  /** Rules for what a pointer that can hover is over. */
  final BandCss hoverCss;

  final Pictures pictures;
  final Icons icons;

  /** Hosts of clips that pages may use. */
  final List<ClipHost> hosts;

  final Origins origins = new Origins();

  /** Kinds of piece that the page uses: their sheets and scripts go with it. */
  final Set<String> kinds = new TreeSet<>();

  /** Parts that only some pieces have, with rules of their own. */
  final Set<String> parts = new TreeSet<>();

  /** Rules that depend on the width of a piece, not on that of the screen. */
  final List<String> within = new ArrayList<>();

  /** Most items on one track, for the rules that give items their places. */
  int mostItems;

  private final Consumer<Block> blocks;

  /** When the page is published, if it is. */
  private final Optional<Instant> at;

  /**
   * @param blocks writes a block where it stands; panels hold blocks
   */
  Writing(
      Document document, Shipped shipped, Outline outline, Icons icons, Consumer<Block> blocks) {
    this.document = document;
    this.labels = Labels.in(document.page().values().get(PageSettings.LANGUAGE));
    this.css = new BandCss(document.bands());
    this.hoverCss = new BandCss(document.bands());
    this.pictures = new Pictures(document, shipped.media(), origins);
    this.icons = icons;
    this.hosts = shipped.hosts();
    this.blocks = blocks;
    this.at = shipped.at();
    this.outline = outline;
  }

  /** What is written. */
  public Document document() {
    return document;
  }

  /** The levels of its headings. */
  public Outline outline() {
    return outline;
  }

  /** What pieces say themselves, in the language of the page. */
  public Labels labels() {
    return labels;
  }

  /** Where markup goes. */
  public Html out() {
    return out;
  }

  /** Where rules go. */
  public BandCss css() {
    return css;
  }

  /** Where rules go of what a pointer that can hover is over. */
  public BandCss hoverCss() {
    return hoverCss;
  }

  /** Where pictures, clips and captions are asked for. */
  public Pictures pictures() {
    return pictures;
  }

  /** Where icons are asked for. */
  public Icons icons() {
    return icons;
  }

  /** The hosts of clips that may be used. */
  public List<ClipHost> hosts() {
    return hosts;
  }

  /** What is asked of elsewhere. */
  public Origins origins() {
    return origins;
  }

  /** Asks for the rules of a part that only some pieces have. */
  public void needs(String part) {
    parts.add(part);
  }

  /** Whether something and all that it stands in is there, by band. */
  public Predicate<Band> there(Node node) {
    return band -> Resolution.there(document, node, band);
  }

  /** What holds of a node in a band. */
  public <T> T value(Node node, Setting<T> setting, Band band) {
    return Resolution.value(document, node, setting, band);
  }

  /** How wide the blocks of a section are. */
  String content(Section section, Band band) {
    if (value(section, SectionSettings.EXTENT, band) == SectionSettings.Extent.EDGE) {
      return "100%";
    }
    String padding = value(section, SectionSettings.PADDING, band).css();
    String measure = value(document.site(), SiteSettings.MEASURE, band).css();
    return String.format(Locale.ROOT, "max(0px,min(100%% - 2*%s,%s))", padding, measure);
  }

  /** Writes what is said of how parts look. */
  public StyleCss styles() {
    return new StyleCss(document, css, hoverCss, pictures::ground);
  }

  /** A declaration by band, from a setting. */
  public <T> void put(
      String selector, String property, Node node, Setting<T> setting, Function<T, String> as) {
    css.put(selector, property, band -> as.apply(value(node, setting, band)));
  }

  /** What a section or a piece has of CSS of its own. */
  void ownCss(Node node) {
    String text = node.values().get(ProofSettings.OWN_CSS);
    if (!text.isEmpty()) {
      within.addAll(OwnCss.read(text).under("#g-" + node.id(), node.id()));
    }
  }

  /** Rules that hold in a band where a piece itself is so wide. */
  public void within(Band band, String wide, String rules) {
    within.add("@media " + band.query() + "{@container (" + wide + "){" + rules + "}}");
  }

  /** Writes what a panel holds. */
  public void panel(Item item) {
    item.panel().forEach(blocks);
  }

  /** Opens the element of a piece. */
  public void root(Piece piece, String kind, Plan plan, String... more) {
    kinds.add(kind);
    Values values = piece.values();
    String worn =
        document.site().wornBy(piece).map(look -> " " + StyleCss.classOf(look)).orElse("");
    var attributes =
        new ArrayList<String>(List.of("class", classes("g-piece g-" + kind + worn, values)));
    attributes.addAll(
        List.of("id", "g-" + piece.id(), "data-piece", piece.id(), "data-kind", kind));
    attributes.addAll(List.of(more));
    attributes.addAll(List.of("data-plan", PlanJson.write(plan)));
    attributes.addAll(List.of(entrance(values)));
    marks(attributes, values);
    if (values.get(PieceSettings.DISABLED)) {
      attributes.addAll(List.of("inert", "inert"));
    }
    attributes.addAll(List.of("title", values.get(PieceSettings.TOOLTIP)));
    out.open("div", attributes.toArray(String[]::new));
    over(piece);
  }

  /** How long a pointer has to stay, in ms. */
  public static Optional<Long> intent(Piece piece) {
    return ms(piece.values().get(DriveSettings.INTENT));
  }

  /** A time in ms, where there is one. */
  public static Optional<Long> ms(Duration time) {
    return time.isZero() ? Optional.empty() : Optional.of(time.toMillis());
  }

  /** How a piece comes in when it is seen: manner, time, beat, share, whether every time. */
  private String[] entrance(Values values) {
    Entrance how = values.get(DriveSettings.ENTRANCE);
    if (how == Entrance.NONE) {
      return new String[0];
    }
    kinds.add("entrances");
    return new String[] {
      "data-enter",
      String.join(
          " ",
          Css.word(how),
          Long.toString(values.get(DriveSettings.ENTRANCE_TAKES).toMillis()),
          Long.toString(values.get(DriveSettings.ENTRANCE_BEAT).toMillis()),
          Integer.toString(values.get(DriveSettings.ENTRANCE_SHARE)),
          values.get(DriveSettings.ENTRANCE_OFTEN) == Often.EVERY_TIME ? "every" : "once")
    };
  }

  /** The heading and the button over a whole piece. */
  private void over(Piece piece) {
    String title = piece.values().get(PieceSettings.TITLE);
    String button = piece.values().get(PieceSettings.TITLE_BUTTON);
    if (title.isEmpty() && button.isEmpty()) {
      return;
    }
    out.open("div", "class", "g-over");
    if (!title.isEmpty()) {
      out.element("h" + outline.title(piece), title);
    }
    button(button, PieceSettings.TITLE_LINK.in(piece.values()), "g-button", "", false);
    out.close("div");
  }

  /** What every kind says of itself by band: its width, its place, the space around it. */
  public void frame(Piece piece) {
    String id = "#g-" + piece.id();
    put(id, "inline-size", piece, PieceSettings.WIDTH, w -> "min(100%," + w.css() + ")");
    put(id, "margin-inline", piece, PieceSettings.ALIGN, Css::standing);
    css.put(
        id,
        "padding-block",
        band ->
            value(piece, PieceSettings.SPACE_ABOVE, band).css()
                + " "
                + value(piece, PieceSettings.SPACE_BELOW, band).css());
    put(id, "text-align", piece, PieceSettings.TEXT_ALIGN, Css::word);
    put(id, "--g-across", piece, PieceSettings.TEXT_ALIGN, Css::flex);
  }

  /** Attributes of an item, whatever element it is. */
  public String[] item(Item item, String classes, String... more) {
    Values values = item.values();
    String anchor = values.get(MarkSettings.ANCHOR);
    var attributes = new ArrayList<String>(List.of("class", classes(classes, values)));
    attributes.addAll(List.of("id", anchor.isEmpty() ? "g-" + item.id() : anchor));
    attributes.addAll(List.of("data-item", item.id()));
    attributes.addAll(List.of(more));
    marks(attributes, values);
    attributes.addAll(List.of("title", values.get(ItemSettings.TOOLTIP)));
    switch (values.get(ItemSettings.ACTION)) {
      case NONE -> {}
      case MESSAGE ->
          attributes.addAll(List.of("data-message", values.get(ItemSettings.ACTION_ON)));
      case OPEN -> attributes.addAll(List.of("data-open", values.get(ItemSettings.ACTION_ON)));
      case GO -> attributes.addAll(List.of("data-go", values.get(ItemSettings.ACTION_ON)));
    }
    return attributes.toArray(String[]::new);
  }

  /** {@code inert} for an item that is disabled, to go among its attributes. */
  public static String[] off(Item item) {
    return item.values().get(ItemSettings.DISABLED)
        ? new String[] {"inert", "inert", "data-off", "off"}
        : new String[0];
  }

  private static String classes(String ours, Values values) {
    return (ours + " " + values.get(MarkSettings.CLASSES)).strip();
  }

  private void marks(List<String> attributes, Values values) {
    for (String pair : values.get(MarkSettings.DATA).split("; ?")) {
      int at = pair.indexOf('=');
      if (at > 0) {
        attributes.addAll(List.of("data-" + pair.substring(0, at), pair.substring(at + 1)));
      }
    }
    Season season = ConditionSettings.season(values);
    attributes.addAll(List.of(SHOWS, spans(season), SHOWS + "-at", times(season.times())));
    if (!on(season)) {
      attributes.addAll(List.of("hidden", "hidden", "data-gone", "gone"));
    }
    attributes.addAll(List.of(SHOWS + "-query", values.get(ConditionSettings.SHOW_QUERY)));
  }

  /** Whether something is on when the page is published, as far as that is known. */
  public boolean on(Item item) {
    return on(ConditionSettings.season(item.values()));
  }

  private boolean on(Season season) {
    ZoneId zone = document.site().values().get(SiteSettings.ZONE);
    return at.map(now -> season.shows(now, zone)).orElse(true);
  }

  /** A stretch in which nothing lies. */
  private static final String NEVER = "0,0";

  /** Begins the names of the attributes that say when something shows. */
  static final String SHOWS = "data-show";

  /** When something shows, as pairs of ms since 1970, an open end left empty: "1,2 3,". */
  private String spans(Season season) {
    if (season.always()) {
      return "";
    }
    String spans =
        season.dates(document.site().values().get(SiteSettings.ZONE)).stream()
            .map(span ->
                span.from().map(at -> Long.toString(at.toEpochMilli())).orElse("")
                    + ","
                    + span.until().map(at -> Long.toString(at.toEpochMilli())).orElse(""))
            .collect(Collectors.joining(" "));
    return spans.isEmpty() ? NEVER : spans;
  }

  /**
   * At which times of these, by which clocks: hours, days from 1 for Monday and months from 1, each
   * {@code *} for all, and the zone.
   */
  private String times(Times times) {
    if (times.any()) {
      return "";
    }
    return String.join(
        " ",
        times.hours().map(Times.Hours::written).orElse("*"),
        numbers(times.days().stream().map(DayOfWeek::getValue)),
        numbers(times.months().stream().map(Month::getValue)),
        document.site().values().get(SiteSettings.ZONE).getId());
  }

  private static String numbers(Stream<Integer> all) {
    String numbers = all.sorted().map(String::valueOf).collect(Collectors.joining(","));
    return numbers.isEmpty() ? "*" : numbers;
  }

  /** Long text, plain or rich, cut after so many words; 0 cuts nothing. */
  public void text(Node holder, String text, int words) {
    if (text.isBlank()) {
      return;
    }
    if (words > 0 && Shortened.cuts(text, words)) {
      out.element("p", Shortened.to(text, words));
    } else if (RichText.isMarkup(text)) {
      out.raw(withPictures(holder, text));
    } else {
      out.paragraphs(text);
    }
  }

  private String withPictures(Node holder, String html) {
    if (!html.contains("data-picture")) {
      return html;
    }
    var parsed = Jsoup.parseBodyFragment(html);
    parsed.outputSettings().prettyPrint(false);
    parsed
        .select("img[data-picture]")
        .forEach(image -> {
          Optional<Shipped.Picture> found = pictures.find(image.attr("data-picture"));
          if (found.isEmpty()) {
            image.remove();
            return;
          }
          Shipped.Picture picture = found.get();
          String alt = image.hasAttr("alt") ? image.attr("alt") : picture.alt();
          image.clearAttributes();
          image.attr("src", picture.path());
          if (picture.isRemote()) {
            image.attr("data-remote", "");
          } else {
            image.attr("width", Integer.toString(picture.width()));
            image.attr("height", Integer.toString(picture.height()));
          }
          image.attr("alt", alt);
          String[] choice =
              pictures.choice(
                  there(holder), picture, widths -> widths.among(holder, Pictures.size(picture)));
          for (int i = 0; i < choice.length; i += 2) {
            image.attr(choice[i], choice[i + 1]);
          }
          image.attr("loading", "lazy");
        });
    return parsed.body().html();
  }

  /** Kicker, heading, subheading and text of an item, as far as it has them. */
  public void copy(Piece piece, Item item, int level, boolean linkedHeading) {
    line("g-kicker", Fields.shown(piece, item, ItemSettings.KICKER));
    String heading = Fields.shown(piece, item, ItemSettings.HEADING);
    if (!heading.isEmpty()) {
      out.open("h" + level);
      Link link = ItemSettings.LINK.in(item.values());
      if (linkedHeading && link.leads() && !Fields.off(piece, "link")) {
        link(link, "").text(heading).close("a");
      } else {
        out.text(heading);
      }
      out.close("h" + level);
    }
    line("g-sub", Fields.shown(piece, item, ItemSettings.SUBHEADING));
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      out.open("div", "class", "g-copy");
      text(item, text, piece.values().get(PieceSettings.SHORTEN));
      out.close("div");
    }
  }

  private void line(String classes, String text) {
    if (!text.isEmpty()) {
      out.element("p", text, "class", classes);
    }
  }

  /** The buttons of an item, if it has any. */
  public void buttons(Piece piece, Item item) {
    List<Fields.Pressed> all = Fields.buttons(piece, item);
    if (all.isEmpty()) {
      return;
    }
    out.open("div", "class", "g-buttons");
    all.forEach(each ->
        button(
            each.words(),
            each.link(),
            each.second() ? "g-button g-second" : "g-button",
            each.icon(),
            each.iconFirst()));
    out.close("div");
  }

  /** A button that leads somewhere; nothing where it has no words or no address. */
  public void button(String words, Link link, String classes, String icon, boolean iconFirst) {
    if (words.isEmpty() || !link.leads()) {
      return;
    }
    if (icon.isEmpty()) {
      link(link, classes).text(words).close("a");
      return;
    }
    link(link, classes + " g-signed");
    if (iconFirst) {
      icons.write(out, icon, false, "");
    }
    out.element("span", words);
    if (!iconFirst) {
      icons.write(out, icon, false, "");
    }
    out.close("a");
  }

  /** A button that has another sign and another name while it is on. */
  public void press(
      String classes, String name, String on, String icon, String iconOn, String... more) {
    out.open(
        "button",
        Attributes.with(
            new String[] {"type", "button", "class", classes, "aria-label", name, "data-lit", on},
            more));
    icons.write(out, icon, false, "");
    if (!iconOn.isEmpty()) {
      icons.write(out, iconOn, false, "g-lit");
    }
    out.close("button");
  }

  /** Opens a link. */
  public Html link(Link link, String classes, String... more) {
    var attributes =
        new ArrayList<String>(
            List.of(
                "class",
                classes,
                "href",
                link.address(),
                "target",
                link.window() ? "_blank" : "",
                "rel",
                link.rel(),
                "aria-label",
                link.label()));
    attributes.addAll(List.of(more));
    return out.open("a", attributes.toArray(String[]::new));
  }

  /** The icon of an item, if it has one. */
  public void icon(Piece piece, Item item, String classes) {
    icon(piece, item, Fields.icon(piece, item), classes);
  }

  /** An icon that an item shows; empty for none. */
  public void icon(Piece piece, Item item, String name, String classes) {
    if (!Fields.off(piece, "icon")) {
      Nudge nudge = item.values().get(ItemSettings.ICON_NUDGE);
      if (!nudge.equals(Nudge.NONE) && !name.isEmpty()) {
        css.put(
            "[data-item=" + item.id() + "] .g-icon:not(.g-button>*)",
            "translate",
            _ -> nudge.css());
      }
      icons.write(out, name, item.values().get(ItemSettings.ICON_COLOURS), classes);
    }
  }

  /** The picture of an item in a box of its own, if it has one; says whether it has. */
  public boolean picture(Piece piece, Item item, Setting<String> setting, String classes) {
    return picture(piece, item, setting, classes, () -> {});
  }

  /** As above, with something over the picture. */
  public boolean picture(
      Piece piece, Item item, Setting<String> setting, String classes, Runnable over) {
    if (Fields.off(piece, "picture")) {
      return false;
    }
    Optional<Shipped.Picture> found = pictures.find(item.values().get(setting));
    found.ifPresent(picture -> {
      String alt = item.values().get(ItemSettings.ALT);
      out.open(
          "div",
          "class",
          classes,
          "data-focus",
          focus(item, picture),
          "data-fit",
          fit(piece, item));
      image(
          there(item),
          picture,
          alt.isEmpty() ? picture.alt() : alt,
          widths -> widths.item(piece, item, Pictures.size(picture)),
          "loading",
          "lazy");
      over.run();
      out.close("div");
    });
    return found.isPresent();
  }

  /** The files of a clip, in one format or two. */
  public List<Shipped.Clip> formats(Item item, Setting<String> first, Setting<String> second) {
    // WebM first: where both play, it is the smaller one. Common practice, no source.
    return Stream.of(first, second)
        .flatMap(setting -> pictures.clip(item.values().get(setting)).stream())
        .sorted(Comparator.comparing(clip -> !clip.type().startsWith("video/webm")))
        .toList();
  }

  /**
   * A picture, in as many px as its place needs.
   *
   * @param there whether it is drawn in a band
   * @param drawn how wide it is drawn in a band, before it is cut
   */
  public void image(
      Predicate<Band> there,
      Shipped.Picture picture,
      String alt,
      Function<PictureWidths, Piecewise> drawn,
      String... attributes) {
    out.image(picture, alt, Attributes.with(pictures.choice(there, picture, drawn), attributes));
  }

  /** The focal point of an item's picture as a rule; the middle needs none. */
  private String focus(Item item, Shipped.Picture picture) {
    Focus focus = focus(item, ItemSettings.FOCUS, picture);
    if (focus.equals(Focus.CENTER)) {
      return "";
    }
    css.put("[data-item=" + item.id() + "] [data-focus] img", "object-position", _ -> focus.css());
    return "own";
  }

  /** How a picture fits as a rule; one that fills its box needs none. */
  private String fit(Piece piece, Item item) {
    if (!Fields.whole(piece, item)) {
      return "";
    }
    css.put("[data-item=" + item.id() + "] [data-fit] img", "object-fit", _ -> "contain");
    return "whole";
  }

  /** The focal point that is set where a picture is used, or else that of the picture itself. */
  public static Focus focus(Node node, Setting<Focus> setting, Shipped.Picture picture) {
    Focus own = node.values().own(setting, Values.ALL);
    return own == null ? picture.focus() : own;
  }

  /** Whether an item hides in some band, and the rules that hide it there. */
  public void hideByBand(Piece piece, Item item, String display) {
    boolean everywhere =
        document.bands().all().stream().allMatch(band -> value(item, ItemSettings.SHOWN, band));
    if (!everywhere) {
      css.put(
          "#g-" + piece.id() + " [data-item=" + item.id() + "]",
          "display",
          band -> value(item, ItemSettings.SHOWN, band) ? display : "none");
    }
  }
}
