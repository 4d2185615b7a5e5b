package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.layout.Outline;
import giostra.core.media.IconSprite;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.PageSettings.Direction;
import giostra.core.page.ProofSettings;
import giostra.core.page.Section;
import giostra.core.page.SiteSettings;
import giostra.core.room.Rooms;
import giostra.core.value.Further;
import giostra.core.value.OwnCss;
import giostra.core.value.Typeface;
import java.net.URI;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Compiles a document to the files of a page. A pure function: previews and releases call it alike,
 * and equal documents give equal bytes.
 *
 * <p>What it writes needs no style attribute and no inline script, so it runs under a strict
 * Content-Security-Policy, and it works from disk. Values are resolved: nothing it writes depends
 * on the specificity of rules elsewhere.
 */
public final class Compiler {
  private final Document document;
  private final Shipped shipped;
  private final Outline outline;
  private final PageGiven given;
  private final @Nullable PageBase baseBefore;
  private final Map<Section, SectionFiles> known = new IdentityHashMap<>();
  private final Map<Block, BlockFiles> blocks = new IdentityHashMap<>();

  /** Rules of the page itself, by the ids of their bands. */
  private final List<String> shared = new ArrayList<>();

  private Compiler(Document document, Shipped shipped, @Nullable Compiled before) {
    this.document = document;
    this.given = PageGiven.of(document);
    this.outline =
        Outline.of(
            document,
            before == null
                ? List.of()
                : before.sections().stream().map(each -> each.given().levels()).toList());
    // Where something else ships with it nothing of it holds.
    Compiled held = before != null && before.shipped().equals(shipped) ? before : null;
    this.shipped = held == null ? shipped : held.shipped();
    this.baseBefore = held == null ? null : held.base();
    if (held != null) {
      for (SectionFiles section : held.sections()) {
        known.put(section.given().section(), section);
        section.blocks().forEach(block -> blocks.put(block.given().block(), block));
      }
    }
  }

  /** Names of the icons that pieces show of themselves, whatever their items ask for. */
  public static List<String> ownIcons() {
    return Rooms.all().stream()
        .<String>flatMap(room -> Rooms.of(room.word(), Written.class).icons().stream())
        .toList();
  }

  /** Compiles. */
  public static Compiled compile(Document document, Shipped shipped) {
    return new Compiler(document, shipped, null).run();
  }

  /**
   * Compiles, and takes over what was written before of sections and of blocks that nothing has
   * changed for. What comes of it is the same as without.
   */
  public static Compiled compile(Document document, Shipped shipped, Compiled before) {
    return new Compiler(document, shipped, before).run();
  }

  private Compiled run() {
    Page page = document.page();
    List<SectionFiles> sections =
        IntStream.range(0, page.sections().size()).mapToObj(this::section).toList();
    var origins = new Origins();
    // What the head asks for comes after what the sections do.
    var pictures = new Pictures(document, shipped.media(), origins);
    var kinds = new TreeSet<String>();
    var parts = new TreeSet<String>();
    for (Gathered each : gathered(sections)) {
      kinds.addAll(each.kinds());
      parts.addAll(each.parts());
    }
    FontUse use = FontUse.of(document, sections);
    PageBase base = PageBase.of(new PageBase.Given(given, use, kinds, parts), shipped, baseBefore);
    List<Shipped.Font> fonts = base.fonts();
    Sheet sheet = sheet(sections, pictures, base.fixed());
    List<String> scripts = shipped.scripts(kinds);
    var icons = new TreeMap<String, IconSprite.Symbol>();
    var files = new LinkedHashSet<String>();
    var fetched = new ArrayList<Fetched>();
    var missing = new LinkedHashSet<String>();
    for (Gathered each : gathered(sections)) {
      icons.putAll(each.icons());
      files.addAll(each.pictures());
      fetched.addAll(each.fetched());
      missing.addAll(each.missing());
      origins.addAll(each.origins());
    }
    var top = new Html();
    head(top, page, pictures, tags(scripts, sections), fonts);
    top.raw(Compiled.BODY).raw(Icons.sprite(icons)).raw(Compiled.MAIN);
    files.addAll(pictures.files);
    fetched.addAll(pictures.fetched);
    missing.addAll(pictures.missing);
    missing.addAll(base.missing());
    // The site's own are files of its media, as its pictures are.
    Map<Boolean, List<String>> fontFiles =
        fonts.stream()
            .collect(
                Collectors.partitioningBy(
                    font -> own(font),
                    Collectors.mapping(Shipped.Font::path, Collectors.toList())));
    files.addAll(Objects.requireNonNull(fontFiles.get(true)));
    return new Compiled(
        shipped,
        top.toString(),
        "</main>" + Compiled.ENDS,
        sections,
        base,
        sheet,
        sheet.fixed().text().length() + sections.stream().mapToInt(SectionFiles::length).sum(),
        "style." + named(sheet, sections) + ".css",
        files,
        fetched,
        scripts,
        Objects.requireNonNull(fontFiles.get(false)),
        List.copyOf(missing),
        origins,
        PageCode.of(document));
  }

  /**
   * A name that a sheet of other rules does not have, without writing the sheet: an edit changes
   * the rules of one section, and those of the others are known by theirs.
   */
  private String named(Sheet sheet, List<SectionFiles> sections) {
    var all = new StringBuilder(sheet.fixed().hash());
    document.bands().widestFirst().forEach(band -> all.append(band.id()).append(band.query()));
    shared.forEach(all::append);
    sections.forEach(each -> all.append(each.sheet()).append(each.gathered().mostItems()));
    return Hash.of(all.toString());
  }

  private static List<Gathered> gathered(List<SectionFiles> sections) {
    return sections.stream().map(SectionFiles::gathered).toList();
  }

  private Sheet sheet(List<SectionFiles> sections, Pictures pictures, Sheet.Fixed fixed) {
    var everywhere = new BandCss(document.bands());
    var everywhereHover = new BandCss(document.bands());
    var worn = new HashSet<String>();
    gathered(sections).forEach(each -> worn.addAll(each.worn()));
    new StyleCss(document, everywhere, everywhereHover, pictures::ground).everywhere(worn);
    for (BandCss each : List.of(everywhere, everywhereHover)) {
      new TreeMap<>(each.byBand())
          .forEach((band, rules) -> {
            shared.add(band);
            shared.addAll(rules);
          });
    }
    var groups = new ArrayList<Sheet.Group>();
    int most = gathered(sections).stream().mapToInt(Gathered::mostItems).max().orElse(0);
    groups.add(
        new Sheet.Group(
            "",
            IntStream.range(1, Math.max(1, most))
                .mapToObj(i -> ".g-item:nth-child(" + (i + 1) + "){--g-i:" + i + "}")
                .toList()));
    List<String> hover = nested(byBand(everywhereHover, sections, Gathered::hover));
    if (!hover.isEmpty()) {
      groups.add(new Sheet.Group("(hover:hover) and (pointer:fine)", hover));
    }
    byBand(everywhere, sections, Gathered::css)
        .forEach((band, rules) -> {
          boolean lead = band.equals(document.bands().lead());
          if (lead || !rules.isEmpty()) {
            groups.add(new Sheet.Group(lead ? "" : band.query(), rules));
          }
        });
    // Own rules: the nearer, the later.
    for (Node whole : List.of(document.site(), document.page())) {
      String own = whole.values().get(ProofSettings.OWN_CSS);
      if (!own.isEmpty()) {
        groups.add(new Sheet.Group("", OwnCss.read(own).under("main", whole.id())));
        shared.addAll(groups.getLast().rules());
      }
    }
    groups.add(
        new Sheet.Group(
            "", gathered(sections).stream().flatMap(each -> each.within().stream()).toList()));
    return new Sheet(fixed, groups);
  }

  /** Rules of the page and of all its sections by band, the widest first. */
  private Map<Band, List<String>> byBand(
      BandCss first,
      List<SectionFiles> sections,
      Function<Gathered, Map<String, List<String>>> rules) {
    var all = new LinkedHashMap<Band, List<String>>();
    Map<String, List<String>> shared = first.byBand();
    for (Band band : document.bands().widestFirst()) {
      var own = new ArrayList<String>(shared.getOrDefault(band.id(), List.of()));
      gathered(sections)
          .forEach(each -> own.addAll(rules.apply(each).getOrDefault(band.id(), List.of())));
      all.put(band, own);
    }
    return all;
  }

  /** The same as the rules of one group: what is not of the widest band in queries of its own. */
  private List<String> nested(Map<Band, List<String>> rules) {
    var all = new ArrayList<String>();
    rules.forEach((band, own) -> {
      if (band.equals(document.bands().lead())) {
        all.addAll(own);
      } else if (!own.isEmpty()) {
        all.add("@media " + band.query() + "{" + String.join("", own) + "}");
      }
    });
    return all;
  }

  /** Whether it has to be there for the first line: most words are of it, and it is not late. */
  private static boolean first(Shipped.Font font) {
    boolean latin = font.path().contains("-latin-") && !font.path().contains("-ext");
    return latin || (font.family().equals(Further.FACE) && !font.late()) || own(font);
  }

  private static boolean own(Shipped.Font font) {
    return Typeface.OWN.stream().anyMatch(face -> face.face().equals(font.family()));
  }

  /** The head, with an empty path for its sheet. */
  private void head(
      Html head, Page page, Pictures pictures, String scripts, List<Shipped.Font> fonts) {
    Direction direction = page.values().get(PageSettings.DIRECTION);
    String title = page.values().get(PageSettings.TITLE);
    String description = page.values().get(PageSettings.DESCRIPTION);
    head.raw("<!DOCTYPE html>\n")
        .open("html", "lang", page.values().get(PageSettings.LANGUAGE), "dir", Css.word(direction))
        .raw("<head><meta charset=\"utf-8\">")
        .raw("<meta name=\"viewport\" content=\"width=device-width,initial-scale=1\">")
        .element("title", title.isEmpty() ? siteName() : title);
    if (!description.isEmpty()) {
      head.open("meta", "name", "description", "content", description);
    }
    pictures
        .find(page.values().get(PageSettings.ICON))
        .ifPresentOrElse(
            icon -> head.open("link", "rel", "icon", "href", icon.path(), "type", icon.type()),
            () -> {
              String blank = shipped.blank();
              if (!blank.isEmpty()) {
                head.open("link", "rel", "icon", "href", blank, "type", "image/svg+xml");
              }
            });
    shared(head, document, pictures, title.isEmpty() ? siteName() : title);
    for (Shipped.Font font : fonts) {
      if (first(font)) {
        head.open(
            "link",
            "rel",
            "preload",
            "href",
            font.path(),
            "as",
            "font",
            "type",
            font.type(),
            "crossorigin",
            "anonymous");
      }
    }
    head.raw(Compiled.LINKED).raw("\">");
    head.raw(scripts).close("head");
  }

  /**
   * What is shown of it where somebody shares it, and where it is found. Source: the Open Graph
   * protocol, from memory: a title, a type, a picture and an address, pictures by their whole
   * address; RFC 6596, "canonical".
   */
  private static void shared(Html head, Document document, Pictures pictures, String title) {
    Page page = document.page();
    String address = page.values().get(PageSettings.ADDRESS);
    if (!address.isEmpty()) {
      head.open("link", "rel", "canonical", "href", address);
      property(head, "og:url", address);
    }
    String own = page.values().get(PageSettings.SHARE_PICTURE);
    if (own.isEmpty() && address.isEmpty()) {
      return;
    }
    Optional<Shipped.Picture> share =
        pictures.find(own.isEmpty() ? firstSlide(document) : own).filter(each -> !each.isRemote());
    if (share.isEmpty() && address.isEmpty()) {
      return;
    }
    property(head, "og:type", "website");
    property(head, "og:title", title);
    String description = page.values().get(PageSettings.DESCRIPTION);
    if (!description.isEmpty()) {
      property(head, "og:description", description);
    }
    share.ifPresent(picture -> {
      List<SharePicture> cut = pictures.shared(picture);
      if (cut.isEmpty()) {
        // What has no px or moves is shown as it is.
        cut = List.of(new SharePicture(picture.width(), picture.height(), picture.path()));
      }
      for (SharePicture each : cut) {
        property(
            head,
            "og:image",
            address.isEmpty() ? each.path() : base(address).resolve(each.path()).toString());
        property(head, "og:image:width", Integer.toString(each.width()));
        property(head, "og:image:height", Integer.toString(each.height()));
        if (!picture.alt().isEmpty()) {
          property(head, "og:image:alt", picture.alt());
        }
      }
    });
  }

  /** The picture of the first slide that has one; empty for none. */
  private static String firstSlide(Document document) {
    return document.pieces().stream()
        .filter(piece -> piece.type() == NodeType.SLIDER)
        .flatMap(piece -> piece.onShow().stream())
        .map(item -> item.values().get(ItemSettings.PICTURE))
        .filter(id -> !id.isEmpty())
        .findFirst()
        .orElse("");
  }

  /** The place that paths are relative to: of a host alone its root. RFC 3986, 5.2.3. */
  private static URI base(String address) {
    URI given = URI.create(address);
    return given.getRawPath().isEmpty() ? URI.create(address + "/") : given;
  }

  private static void property(Html head, String name, String content) {
    head.open("meta", "property", name, "content", content);
  }

  /**
   * What asks for the scripts. They wait until the page has been read, but for the first where
   * something shows only at times: it has to be there before any of that is drawn, so that nothing
   * jumps.
   */
  private static String tags(List<String> scripts, List<SectionFiles> sections) {
    boolean early = sections.stream().anyMatch(SectionFiles::conditional);
    return IntStream.range(0, scripts.size())
        .mapToObj(i ->
            "<script src=\""
                + scripts.get(i)
                + (early && i == 0 ? "\">" : "\" defer>")
                + "</script>")
        .collect(Collectors.joining());
  }

  private SectionFiles section(int place) {
    List<Section> all = document.page().sections();
    Section section = all.get(place);
    int after = all.size() - 1 - place;
    var asked = new SectionFiles.Given(section, given, outline.of(section), place == 0, after);
    SectionFiles before = known.get(section);
    return before != null && before.given().same(asked)
        ? before
        : new SectionOutput(document, shipped, outline, asked).write(blocks);
  }

  private String siteName() {
    String name = document.site().values().get(SiteSettings.NAME);
    return name.isEmpty() ? "Untitled" : name;
  }
}
