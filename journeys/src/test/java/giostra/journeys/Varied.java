package giostra.journeys;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Feed;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.NodeType;
import giostra.core.page.PageSettings;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.ProofSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionSettings;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.SizeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A page with several pieces of each kind whose settings and fields are drawn at random, each in
 * the panel of an accordion that is always open. The same seed draws the same page.
 */
final class Varied {
  /** What hides things, what has no piece's height to do with, what the journey overrules. */
  private static final Set<String> LEFT =
      Set.of(
          "hidden",
          "shown",
          "disabled",
          "faq",
          "level",
          "panelHeight",
          "panelFixed",
          "comfortFrom",
          "comfortTo",
          "extent",
          "dividerInset");

  private static final Set<String> COUNTS = Set.of("columns", "inView");

  /** Lengths of which another range is asked for than 0 to 40 px. */
  private static final Map<String, Range> RANGES =
      Map.ofEntries(
          Map.entry("width", new Range(60, 100, true)),
          Map.entry("inner", new Range(60, 100, true)),
          Map.entry("pictureShare", new Range(30, 60, true)),
          Map.entry("pictureWidth", new Range(25, 100, true)),
          Map.entry("wordsMeasure", new Range(300, 900, false)),
          Map.entry("headsWidth", new Range(90, 200, false)),
          Map.entry("leastHeight", new Range(80, 300, false)),
          Map.entry("trackHeight", new Range(240, 600, false)));

  private record Range(int least, int most, boolean percent) {
    Length at(double share) {
      double value = least + Math.round((most - least) * share);
      return percent ? Length.percent(value) : Length.px(value);
    }
  }

  /** What changes no box: what a piece is filled from, what is said of it. */
  private static final Set<String> SILENT =
      Stream.of(Feed.SOURCE, Feed.KEY, Feed.FIELDS, ProofSettings.LEFT)
          .map(Setting::id)
          .collect(Collectors.toUnmodifiableSet());

  private static final String RICH =
      "<p>Paths that are <strong>lit from below</strong> are read by the foot, and the houses are"
          + " named by their lamps.</p><h3>Before you come</h3><ul><li>Shoes with a firm"
          + " sole</li><li>A coat: the fern gully is cold all year, even in high"
          + " summer</li></ul><blockquote>Nobody has to hurry here.</blockquote><ol><li><p>First"
          + " the gate</p></li><li>Then the yard</li></ol><p>And <em>then</em> wait.</p>";

  private final Random random;

  /** Apart, so that what else is drawn does not depend on it. */
  private final Random looks;

  private int ids;

  Varied(long seed) {
    this.random = new Random(seed);
    this.looks = new Random(~seed);
  }

  /** Draws a page. */
  static Document document(long seed, int each) {
    return new Varied(seed).document(each);
  }

  private Document document(int each) {
    var sections = new ArrayList<Section>();
    for (NodeType kind : NodeType.values()) {
      if (!kind.isPiece()) {
        continue;
      }
      List<Item> panels =
          IntStream.range(0, each)
              .mapToObj(_ ->
                  new Item(
                      id("panel"),
                      Values.NONE.with(ItemSettings.HEADING, Values.ALL, kind.word()),
                      List.of((Block) piece(kind))))
              .toList();
      Values values =
          Values.NONE.with(AccordionSettings.ALWAYS_OPEN, Bands.INITIAL.lead().id(), true);
      Values padding =
          Values.NONE.with(SectionSettings.PADDING, Bands.INITIAL.lead().id(), Length.px(20));
      sections.add(
          new Section(
              id("section"),
              padding,
              List.of(new Accordion("outer-" + kind.word(), values, panels))));
    }
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page", Values.NONE.with(PageSettings.TITLE, Values.ALL, "Varied"), sections));
  }

  /** An id that no other node has. */
  String id(String word) {
    return word + "-" + ids++;
  }

  /** A piece of a kind with four items, almost any setting set. */
  Piece piece(NodeType kind) {
    Values values = Values.NONE;
    for (Setting<?> setting : kind.settings()) {
      if (LEFT.contains(setting.id())) {
        continue;
      }
      if (!setting.byBand()) {
        values = vary(values, setting, Values.ALL, 2);
        continue;
      }
      for (var band : Bands.INITIAL.widestFirst()) {
        if (COUNTS.contains(setting.id())) {
          values = put(values, setting, band.id(), counted(band));
          continue;
        }
        values = vary(values, setting, band.id(), band.widest() ? 2 : 4);
      }
    }
    if (random.nextInt(3) == 0) {
      values =
          values
              .with(PieceSettings.TITLE, Values.ALL, words(2, 14))
              .with(PieceSettings.TITLE_BUTTON, Values.ALL, random.nextBoolean() ? "All" : "")
              .with(PieceSettings.TITLE_LINK.address(), Values.ALL, "#there");
    }
    if (looks.nextInt(2) == 0) {
      values = styled(kind, kind, values);
    }
    Values own = values;
    List<Item> items =
        IntStream.range(0, 4)
            .mapToObj(_ -> item(kind, own))
            .map(item ->
                looks.nextInt(6) == 0
                    ? item.with(styled(NodeType.ITEM, kind, item.values()))
                    : item)
            .toList();
    return (Piece) kind.make(id(kind.word()), values, items);
  }

  /** Some values of how its parts look: those that change a box. */
  private Values styled(NodeType of, NodeType kind, Values values) {
    Values all = values;
    List<Part> parts = of == NodeType.ITEM ? PartsShown.ofItems(kind) : kind.parts();
    for (int n = 0; n < 10; n++) {
      Part part = parts.get(looks.nextInt(parts.size()));
      Property<?> property = part.properties().get(looks.nextInt(part.properties().size()));
      StyleKey key = part.key(property, State.REST);
      String raw =
          switch (property.id()) {
            case "padding-sides" -> looks.nextInt(30) + "px " + looks.nextInt(20) / 10.0 + "em";
            case "padding-above", "padding-below", "gap", "gap-across" ->
                looks.nextBoolean() ? looks.nextInt(30) + "px" : looks.nextInt(20) / 10.0 + "em";
            case "above", "below" -> looks.nextInt(40) + "px";
            case "border" -> around(6);
            case "margin" -> looks.nextInt(3) == 0 ? looks.nextInt(20) / 10.0 + "em" : around(30);
            case "most-wide" ->
                switch (looks.nextInt(3)) {
                  case 0 -> 100 + looks.nextInt(300) + "px";
                  case 1 -> 40 + looks.nextInt(60) + "%";
                  default -> 8 + looks.nextInt(20) + "em";
                };
            case "place" -> List.of("start", "center", "end").get(looks.nextInt(3));
            case "least-wide" ->
                looks.nextBoolean() ? looks.nextInt(300) + "px" : looks.nextInt(100) + "%";
            case "least-high" -> looks.nextInt(400) + "px";
            case "size" -> part.id().id().startsWith("video.") ? "" : 24 + looks.nextInt(50) + "px";
            case "text-size" ->
                looks.nextInt(4) == 0
                    ? "clamp(12px,8px + 1.2vmin,24px)"
                    : 12 + looks.nextInt(14) + "px";
            case "leading" -> Double.toString(1 + looks.nextInt(10) / 10.0);
            case "spacing" -> Double.toString(looks.nextInt(10) / 100.0);
            case "case" -> looks.nextBoolean() ? "capitals" : "as-typed";
            default -> "";
          };
      if (!raw.isEmpty()) {
        Band band = Bands.INITIAL.all().get(looks.nextInt(Bands.INITIAL.all().size()));
        try {
          all = all.withStyle(key, band.id(), kind.style(key).read(raw));
        } catch (Refused tooMuch) {
          // Some parts take less than others.
        }
      }
    }
    return all;
  }

  /** Lengths of one to four sides, px. */
  private String around(int most) {
    return IntStream.rangeClosed(0, looks.nextInt(4))
        .mapToObj(_ -> looks.nextInt(most) + "px")
        .collect(Collectors.joining(" "));
  }

  /** As many side by side as people put there: one on a phone, up to four on a desktop. */
  private double counted(Band band) {
    int most = band.widest() ? 4 : band.from() > 0 ? 2 : 1;
    return 1 + random.nextInt(most);
  }

  /** A value drawn of what a setting may be, one time in so many; texts and times are left. */
  Values vary(Values values, Setting<?> setting, String band, int oneIn) {
    if (SILENT.contains(setting.id()) || random.nextInt(oneIn) != 0) {
      return values;
    }
    Object raw =
        switch (setting.kind()) {
          case PickKind<?> pick -> {
            Enum<?>[] all = pick.type().getEnumConstants();
            yield all[random.nextInt(all.length)].name().toLowerCase(Locale.ROOT).replace('_', '-');
          }
          case ToggleKind _ -> random.nextBoolean();
          case WholeKind(var least, var most) ->
              (double) (least + random.nextInt(Math.min(4, most - least + 1)));
          case SizeKind _ ->
              RANGES
                  .getOrDefault(setting.id(), new Range(0, 40, false))
                  .at(random.nextDouble())
                  .css();
          case SeveralKind(var words) when setting.id().equals(PieceSettings.FIELDS_OFF.id()) ->
              String.join(" ", words.stream().filter(_ -> random.nextInt(6) == 0).toList());
          default -> "";
        };
    return raw.equals("") ? values : put(values, setting, band, raw);
  }

  private static Values put(Values values, Setting<?> setting, String band, Object raw) {
    return values.withRaw(setting.id(), band, setting.kind().read(setting.label(), raw));
  }

  private Item item(NodeType kind, Values piece) {
    Values values = Values.NONE;
    for (Fields.Field field : Fields.of(kind, piece)) {
      String value = field(field.setting().id());
      if (!value.isEmpty()) {
        values = put(values, field.setting(), Values.ALL, value);
      }
    }
    if (kind == NodeType.COUNTERS) {
      values = values.with(ItemSettings.TO, Values.ALL, (double) random.nextInt(100_000));
    }
    return new Item(id("item"), values);
  }

  /** What a field says, if it says anything. */
  private String field(String id) {
    boolean filled = random.nextInt(3) > 0;
    return switch (id) {
      case "heading", "backHeading" -> words(1, 12);
      case "kicker", "role", "name" -> filled ? words(1, 4) : "";
      case "subheading" -> filled ? words(2, 10) : "";
      case "text", "backText" ->
          switch (random.nextInt(4)) {
            case 0 -> "";
            case 1 -> RICH;
            case 2 -> words(3, 30) + "\n\n" + words(3, 30);
            default -> words(5, 60);
          };
      case "button", "button2" -> filled ? words(1, 5) : "";
      case "buttonLink", "button2Link" -> "#there";
      case "picture", "backPicture", "thumbnail" ->
          filled ? List.of("lamp-walk", "visitor-1", "fern-gully").get(random.nextInt(3)) : "";
      case "clip" -> filled ? "bloom" : "";
      case "icon", "backIcon", "buttonIcon", "button2Icon" -> filled ? "sun" : "";
      case "category" -> List.of("Paths", "Houses and halls", "").get(random.nextInt(3));
      default -> "";
    };
  }

  private static final List<String> WORDS =
      List.of(
          "lamps",
          "at",
          "the",
          "glasshouse",
          "evening",
          "of",
          "moonflower",
          "water",
          "slowly",
          "in",
          "ferns",
          "and",
          "visitors",
          "dew",
          "a",
          "lantern",
          "beneath",
          "palms",
          "I",
          "hour");

  /** So many words. */
  String words(int least, int most) {
    int count = least + random.nextInt(most - least + 1);
    var all = new StringBuilder();
    for (int i = 0; i < count; i++) {
      all.append(i == 0 ? "" : " ").append(WORDS.get(random.nextInt(WORDS.size())));
    }
    return all.substring(0, 1).toUpperCase(Locale.ROOT) + all.substring(1);
  }
}
