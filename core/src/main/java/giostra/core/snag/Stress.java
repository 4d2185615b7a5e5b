package giostra.core.snag;

import giostra.core.look.Values;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
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
  NO_PICTURES("no pictures", Stress::bare);

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
          BlockSettings.LABEL);

  private static final List<Setting<String>> PICTURES =
      List.of(ItemSettings.PICTURE, ItemSettings.BACK_PICTURE);

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
    if (!(node instanceof Item item)) {
      return node;
    }
    Values values = item.values();
    for (Setting<String> picture : PICTURES) {
      values = values.with(picture, Values.ALL, null);
    }
    return item.with(values);
  }
}
