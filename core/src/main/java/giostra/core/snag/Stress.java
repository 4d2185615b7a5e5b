package giostra.core.snag;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.PageParts;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.PinSettings;
import giostra.core.page.Site;
import giostra.core.value.Kind;
import giostra.core.value.Length;
import giostra.core.value.LettersKind;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.TextNode;

/** Pages changed as life changes them, for the same sweep once more. */
public enum Stress {
  /** Every text of an item as long as the longest of its kind among its neighbours. */
  LONGEST("texts as the longest", Stress::longest),
  /**
   * Every word of every text two fifths longer, as translations from English are; common practice,
   * no source.
   */
  TRANSLATED("+40 % for translation", node -> worded(node, Stress::longer)),
  /** Pieces that are left with one item. */
  ONE("one item", node -> node instanceof Piece piece ? counted(piece, 1) : node),
  /** Pieces that have grown to twenty items. */
  TWENTY("twenty items", node -> node instanceof Piece piece ? counted(piece, 20) : node),
  /** Pictures that are not there. */
  NO_PICTURES("no pictures", Stress::bare),
  /** Letters twice as large, in boxes as wide as before. Source: WCAG 2.2, 1.4.4 "Resize Text". */
  LARGE("text at 200 %", Stress::large),
  /**
   * What readers may set for themselves: lines 1.5 times the letters, paragraphs 2 times, letters
   * 0.12 and words 0.16 apart. Source: WCAG 2.2, 1.4.12 "Text Spacing".
   */
  SPACED("a reader’s spacing", Stress::spaced);

  /** How much longer a word becomes. */
  private static final double MORE = 0.4;

  private static final List<Setting<String>> OF_ITEMS =
      Stream.concat(
              ItemSettings.READ.stream(),
              Stream.of(ItemSettings.BACK_HEADING, ItemSettings.BACK_TEXT))
          .toList();

  private static final List<Setting<String>> OF_OTHERS =
      List.of(
          PieceSettings.TITLE,
          PieceSettings.TITLE_BUTTON,
          BlockSettings.HEADING_TEXT,
          BlockSettings.PARAGRAPHS,
          BlockSettings.LABEL,
          PinSettings.WORDS);

  private static final List<Setting<String>> PICTURES =
      List.of(ItemSettings.PICTURE, ItemSettings.BACK_PICTURE, BlockSettings.SOURCE);

  /** How much larger letters become. */
  private static final double LARGER = 2;

  private static final double LEADING = 1.5;
  private static final double LETTERS_APART = 0.12;
  private static final double WORDS_APART = 0.16;
  private static final Length PARAGRAPHS_APART = new Length(2, Length.Unit.EM);

  private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}\\p{M}]*");

  private final String label;
  private final UnaryOperator<Node> change;

  Stress(String label, UnaryOperator<Node> change) {
    this.label = label;
    this.change = change;
  }

  /**
   * The one with that word.
   *
   * @throws Refused when there is none
   */
  public static Stress named(String word) {
    return Arrays.stream(values())
        .filter(each -> each.word().equals(word))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "stress",
                word,
                "one of "
                    + Arrays.stream(values()).map(Stress::word).collect(Collectors.joining(", "))));
  }

  /** Its name for machines. */
  public String word() {
    return PickKind.word(this);
  }

  /** What it is called. */
  public String label() {
    return label;
  }

  /** The page as it is then. */
  public Document of(Document document) {
    return document.changedAll(change);
  }

  private static Node longest(Node node) {
    if (!(node instanceof Piece piece)) {
      return node;
    }
    List<Item> items = piece.items();
    for (Setting<String> text : OF_ITEMS) {
      String longest =
          items.stream()
              .map(item -> item.values().get(text))
              .max(Comparator.comparingInt(String::length))
              .orElse("");
      // What nobody says of an item is not there, and takes no room.
      items =
          items.stream()
              .map(item ->
                  item.values().get(text).isEmpty()
                      ? item
                      : item.with(item.values().with(text, Values.ALL, longest)))
              .toList();
    }
    return piece.holding(items);
  }

  private static Node worded(Node node, UnaryOperator<String> change) {
    Values values = node.values();
    for (Setting<String> text : node instanceof Item ? OF_ITEMS : OF_OTHERS) {
      if (node.type().settings().contains(text) && !values.get(text).isEmpty()) {
        boolean rich = text.kind() instanceof RichKind;
        String now = values.get(text);
        values = values.with(text, Values.ALL, rich ? inText(now, change) : change.apply(now));
      }
    }
    return values.equals(node.values()) ? node : node.with(values);
  }

  private static String inText(String html, UnaryOperator<String> change) {
    var page = Jsoup.parseBodyFragment(html);
    page.outputSettings().prettyPrint(false);
    var body = page.body();
    body.nodeStream(TextNode.class)
        .toList()
        .forEach(text -> text.text(change.apply(text.getWholeText())));
    return body.html();
  }

  /** Each word with as many more of its own letters as make it so much longer. */
  static String longer(String text) {
    Matcher words = WORD.matcher(text);
    return words.replaceAll(found -> {
      String word = found.group();
      int[] letters = word.codePoints().toArray();
      int more = (int) Math.ceil(letters.length * MORE);
      return Matcher.quoteReplacement(word + new String(letters, 0, more).toLowerCase(Locale.ROOT));
    });
  }

  private static Piece counted(Piece piece, int count) {
    List<Item> shown = piece.onShow();
    // What holds pieces of its own is not copied: a page has each of them once.
    if (shown.isEmpty()
        || (count > shown.size() && shown.stream().anyMatch(item -> !item.blocks().isEmpty()))) {
      return piece;
    }
    var items = new ArrayList<Item>();
    for (int i = 0; i < count; i++) {
      Item item = shown.get(i % shown.size());
      items.add(
          i < shown.size()
              ? item
              : new Item(item.id() + "-more-" + i, item.values(), item.blocks()));
    }
    return piece.holding(items);
  }

  private static Node bare(Node node) {
    Values values = node.values();
    for (Setting<String> picture : PICTURES) {
      if (node.type().settings().contains(picture)) {
        values = values.with(picture, Values.ALL, null);
      }
    }
    return values.equals(node.values()) ? node : node.with(values);
  }

  private static Node large(Node node) {
    return styled(
        node,
        Property.TEXT_SIZE,
        (kind, size) ->
            kind instanceof LettersKind letters ? size.times(LARGER, letters.most()) : size);
  }

  private static Node spaced(Node node) {
    Node lined = styled(node, Property.LEADING, (_, leading) -> Math.max(LEADING, leading));
    Node apart = styled(lined, Property.SPACING, (_, spacing) -> Math.max(LETTERS_APART, spacing));
    Node words =
        styled(apart, Property.WORD_SPACING, (_, spacing) -> Math.max(WORDS_APART, spacing));
    return words instanceof Site
        ? words.with(
            words
                .values()
                .withStyle(
                    PageParts.PARAGRAPH.key(Property.ABOVE, State.REST),
                    ((Site) words).bands().lead().id(),
                    PARAGRAPHS_APART))
        : words;
  }

  /**
   * All that somebody says of a property otherwise, and on the site all that nobody says.
   *
   * @param change of a value, with what it may be
   */
  @SuppressWarnings("unchecked") // A property's values are of its type: they were read so.
  private static <T> Node styled(
      Node node, Property<T> property, BiFunction<Kind<?>, T, T> change) {
    Values values = node.values();
    for (var said : node.values().styles().set().entrySet()) {
      if (said.getKey().property().equals(property)) {
        for (var band : said.getValue().entrySet()) {
          T now = (T) band.getValue();
          Kind<?> kind = node.type().style(said.getKey()).kind();
          values = values.withStyle(said.getKey(), band.getKey(), change.apply(kind, now));
        }
      }
    }
    if (node instanceof Site site) {
      String widest = site.bands().lead().id();
      for (Part part : Anatomy.OF_SITE) {
        StyleKey key = part.key(property, State.REST);
        // What is set in a style of type is as that is.
        boolean typed =
            part.has(Property.TYPE)
                && values.styles().speaksOf(part.key(Property.TYPE, State.REST));
        if (part.has(property) && !typed && values.styles().own(key, widest) == null) {
          Setting<T> setting = part.setting(property);
          values = values.withStyle(key, widest, change.apply(setting.kind(), setting.initial()));
        }
      }
    }
    return values.equals(node.values()) ? node : node.with(values);
  }
}
