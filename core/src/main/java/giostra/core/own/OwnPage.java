package giostra.core.own;

import giostra.core.value.Parsed;
import giostra.core.value.Refused;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.Range;
import org.jsoup.nodes.TextNode;
import org.jsoup.parser.Parser;
import org.jspecify.annotations.Nullable;

/**
 * An HTML page as somebody brought it. It is read as a browser reads it, however it is written, and
 * nothing of it is ever written anew: what is put into it stands between bytes that stay what they
 * were. Each byte is read as one character, so that places are counted in bytes whatever the page
 * is encoded in; signs of markup are the same in all encodings that are taken. Source: HTML,
 * "Parsing HTML documents"; Encoding, "ASCII-compatible".
 */
public final class OwnPage {
  /** A page may be so large, bytes. */
  public static final int MOST_BYTES = 4 * 1024 * 1024;

  /** So many tags are read: what is made of them takes memory, and some make several elements. */
  private static final int MOST_TAGS = 20_000;

  /** What counts of a text, characters. */
  private static final int TEXT = 60;

  /** What ends by itself. Source: HTML, "Void elements". */
  private static final Set<String> VOID =
      words("area base br col embed hr img input link meta param source track wbr");

  /** What holds no elements that could be put there, or shows none of them. */
  private static final Set<String> CLOSED =
      words(
          "script style template textarea title iframe noframes noembed noscript xmp plaintext"
              + " select option optgroup datalist svg math object video audio canvas picture map"
              + " giostra-piece ruby");

  /** Holds only what is of it: neighbours of that would be put elsewhere. */
  private static final Set<String> STRICT =
      words("table thead tbody tfoot tr colgroup ul ol menu dl select html frameset");

  /** In what is pressed nothing else can be. Source: HTML, "Interactive content". */
  private static final Set<String> PRESSED = words("a button label summary");

  /** What pages are in that do not say so and are not in UTF-8. */
  private static final Charset OLD = Charset.forName("windows-1252");

  /** What browsers take for what a page says. Source: Encoding, "Names and labels". */
  private static final Map<String, String> ANOTHER =
      Map.of(
          "iso-8859-1", "windows-1252",
          "latin1", "windows-1252",
          "us-ascii", "windows-1252",
          "ascii", "windows-1252",
          "iso-8859-9", "windows-1254",
          "tis-620", "windows-874",
          "gb2312", "gbk",
          "ks_c_5601-1987", "x-windows-949");

  /** The byte order mark of UTF-8, byte for byte. */
  private static final String MARK = "\u00ef\u00bb\u00bf";

  private static final String SIGNS = "<a b=\"'/>&;-!";

  /** Source: HTML, "Tag name state". */
  private static final String ENDS_NAME = "\t\n\f\r />";

  /** What stands for something that is to be put in. */
  private static final String TRIED = "<giostra-piece></giostra-piece>";

  /** Something that is put into the page. */
  public record Put(Spot spot, Side side, String lines) {}

  private final byte[] bytes;
  private final Charset charset;
  private final List<Spot> spots;
  private final List<Seen> seen;
  private final Map<String, Long> prints;

  private OwnPage(byte[] bytes, Charset charset, List<Spot> spots, List<Seen> seen) {
    this.bytes = bytes;
    this.charset = charset;
    this.spots = spots;
    this.seen = seen;
    this.prints = seen.stream().collect(Collectors.groupingBy(Seen::print, Collectors.counting()));
  }

  /**
   * Where an element stands: deep pages have many of these, each told once.
   *
   * @param id its own; empty for none
   * @param place which it is of those of its tag that its parent has, from 0
   * @param among how many these are
   * @param depth how many there are above it
   */
  private record Stands(
      String tag, String id, int place, int among, int depth, @Nullable Stands in) {
    /** The nearest element that it stands in and that has an id, if there is one. */
    private @Nullable Stands named() {
      Stands up = in;
      while (up != null && up.id.isEmpty()) {
        up = up.in;
      }
      return up;
    }

    private String within() {
      Stands named = named();
      return named == null ? "" : named.id;
    }

    /** From that element down to it, without that element. */
    private List<Stands> way() {
      Stands named = named();
      var all = new ArrayList<Stands>();
      for (Stands up = this; up != null && up != named; up = up.in) {
        all.add(up);
      }
      return all.reversed();
    }

    private String step() {
      return tag + ":" + place;
    }

    private List<String> steps() {
      return way().stream().map(Stands::step).toList();
    }

    private List<Integer> amongst() {
      return way().stream().map(Stands::among).toList();
    }

    /** Whether it stands where a mark says. */
    private boolean at(Mark mark) {
      return step().equals(mark.way().getLast())
          && within().equals(mark.within())
          && steps().equals(mark.way());
    }
  }

  /** What an element is known by. */
  private record Seen(String id, String print, Stands stands) {}

  private static Set<String> words(String all) {
    return Set.of(all.split(" "));
  }

  /**
   * Reads a page.
   *
   * @throws Refused for one that is too large, or in an encoding in which signs of markup are not
   *     single bytes
   */
  public static OwnPage of(byte[] bytes) {
    if (bytes.length > MOST_BYTES) {
      throw new Refused(
          "The page", bytes.length + " bytes", "at most " + MOST_BYTES / 1024 / 1024 + " MB");
    }
    int tags = tags(bytes);
    if (tags > MOST_TAGS) {
      throw new Refused("The page", tags + " tags", "at most " + MOST_TAGS);
    }
    Document document = parsed(one(bytes));
    Charset charset = charset(bytes, document);
    List<Element> elements = elements(document);
    return new Reading(bytes, charset, document, elements).page();
  }

  /** How many there may be at the most: what looks like the beginning of one. */
  private static int tags(byte[] bytes) {
    int count = 0;
    for (int i = 0; i + 1 < bytes.length; i++) {
      boolean letter = bytes[i + 1] >= 'A' && (bytes[i + 1] & 0xDF) <= 'Z';
      count += bytes[i] == '<' && letter ? 1 : 0;
    }
    return count;
  }

  private static String one(byte[] bytes) {
    String text = new String(bytes, StandardCharsets.ISO_8859_1);
    // Read as letters, the mark of UTF-8 would begin the body before the head.
    return text.startsWith(MARK) ? " ".repeat(MARK.length()) + text.substring(MARK.length()) : text;
  }

  private static Document parsed(String text) {
    return Parsed.page(Parser.htmlParser().setTrackPosition(true), text);
  }

  /** Those that stand in the page's text, in their order; a tag that makes two counts once. */
  private static List<Element> elements(Document document) {
    var begun = new HashSet<Integer>();
    return document.getAllElements().stream()
        .filter(each -> !each.sourceRange().isImplicit())
        .sorted(Comparator.comparingInt(each -> each.sourceRange().startPos()))
        .filter(each -> begun.add(each.sourceRange().startPos()))
        .toList();
  }

  private static Charset charset(byte[] bytes, Document document) {
    if (new String(bytes, StandardCharsets.ISO_8859_1).startsWith(MARK)) {
      return StandardCharsets.UTF_8;
    }
    if (begins(bytes, 0xFE, 0xFF) || begins(bytes, 0xFF, 0xFE)) {
      throw new Refused("Encoding of the page", "UTF-16", "UTF-8, or another with ASCII in it");
    }
    String said = said(document).toLowerCase(Locale.ROOT);
    if (said.isEmpty() || said.equals("x-user-defined")) {
      return read(bytes) ? StandardCharsets.UTF_8 : OLD;
    }
    // It was read byte by byte up to where it says so, and is none of these.
    if (said.startsWith("utf-16")) {
      return StandardCharsets.UTF_8;
    }
    try {
      Charset charset = Charset.forName(ANOTHER.getOrDefault(said, said));
      if (!one(SIGNS.getBytes(charset)).equals(SIGNS) || charset.name().startsWith("ISO-2022")) {
        throw new Refused("Encoding of the page", said, "UTF-8, or another with ASCII in it");
      }
      return charset;
    } catch (IllegalCharsetNameException
        | UnsupportedCharsetException
        | UnsupportedOperationException e) {
      return read(bytes) ? StandardCharsets.UTF_8 : OLD;
    }
  }

  private static boolean begins(byte[] bytes, int... with) {
    return bytes.length >= with.length
        && IntStream.range(0, with.length).allMatch(i -> (bytes[i] & 255) == with[i]);
  }

  /** Whether it can be read as UTF-8. */
  private static boolean read(byte[] bytes) {
    try {
      StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes));
      return true;
    } catch (CharacterCodingException e) {
      return false;
    }
  }

  private static String said(Document document) {
    for (Element meta : document.select("meta")) {
      if (meta.hasAttr("charset")) {
        return meta.attr("charset").strip();
      }
      String content = meta.attr("content").toLowerCase(Locale.ROOT);
      int at = content.indexOf("charset=");
      if (meta.attr("http-equiv").equalsIgnoreCase("content-type") && at >= 0) {
        return content.substring(at + "charset=".length()).replaceAll("[;\"'\\s].*", "");
      }
    }
    return "";
  }

  /** Its encoding, as browsers call it. */
  public String encoding() {
    return charset.name().toLowerCase(Locale.ROOT);
  }

  /** About how many bytes it takes to keep it in mind. */
  public int weight() {
    return bytes.length + 600 * spots.size();
  }

  /** Whether all of a text can be said in its encoding. */
  public boolean has(String text) {
    return charset.newEncoder().canEncode(text);
  }

  /** Its elements, in the order in which they begin. */
  public List<Spot> spots() {
    return spots;
  }

  /**
   * An element by its number.
   *
   * @throws Refused when there is none
   */
  public Spot spot(int number) {
    if (number < 0 || number >= spots.size()) {
      throw new Refused(
          "element of the page", Integer.toString(number), "0 to " + (spots.size() - 1));
    }
    return spots.get(number);
  }

  /** By what an element is known again. */
  public Mark mark(Spot spot) {
    Seen of = seen.get(spot.number());
    return new Mark(
        of.id(),
        of.print(),
        prints.getOrDefault(of.print(), 0L) == 1,
        of.stands().within(),
        of.stands().steps(),
        of.stands().amongst());
  }

  // --- found again -------------------------------------------------------------------------------

  /**
   * The element that was marked on the page as it was: by its id; where it stood, if it looks as it
   * did; wherever it stands, if it alone looks so; where it stood, if around it nothing came or
   * went and it is of the same kind. None where that does not say for certain which it is.
   */
  public Optional<Spot> find(Mark mark) {
    List<Spot> named =
        mark.id().isEmpty()
            ? List.of()
            : those(
                other -> other.id().equals(mark.id()) && other.stands().tag().equals(mark.tag()));
    if (named.size() == 1) {
      return Optional.of(named.getFirst());
    }
    List<Spot> there = those(other -> other.stands().at(mark));
    List<Spot> alike =
        those(other -> other.print().equals(mark.print()) && other.id().equals(mark.id()));
    if (there.size() == 1 && alike.contains(there.getFirst())) {
      boolean sure = alike.size() == 1 || settled(there.getFirst(), mark);
      return sure ? Optional.of(there.getFirst()) : Optional.empty();
    }
    if (alike.size() == 1 && mark.alone()) {
      return Optional.of(alike.getFirst());
    }
    return there.stream()
        .filter(_ -> alike.isEmpty() && mark.id().isEmpty())
        .filter(spot -> settled(spot, mark))
        .filter(spot -> seen.get(spot.number()).id().isEmpty())
        .filter(spot -> seen.get(spot.number()).print().startsWith(mark.kind() + "\n"))
        .findFirst();
  }

  /** Whether on the way down to an element there is as much beside it as there was. */
  private boolean settled(Spot spot, Mark mark) {
    return seen.get(spot.number()).stands().amongst().equals(mark.among());
  }

  private List<Spot> those(Predicate<Seen> which) {
    return spots.stream().filter(spot -> which.test(seen.get(spot.number()))).toList();
  }

  // --- put in ------------------------------------------------------------------------------------

  /**
   * The page with something put into it, in its own encoding; all the rest is what it was. What is
   * put at the same place stands there in the order in which it is told.
   *
   * @throws Refused where one stands in what another takes away, where the page's own markup would
   *     take it elsewhere, and for letters that the page's encoding does not have
   */
  public byte[] with(List<Put> puts) {
    List<Put> inOrder =
        puts.stream()
            .sorted(
                Comparator.<Put>comparingInt(put -> put.spot().room(put.side())[0])
                    // What stands before something stands outside of what takes its place.
                    .thenComparingInt(put -> put.spot().room(put.side())[1]))
            .toList();
    var out = new ByteArrayOutputStream(bytes.length);
    int at = 0;
    for (Put put : inOrder) {
      int[] room = put.spot().room(put.side());
      if (room[0] < at) {
        throw new Refused(
            "Place at " + put.spot().called(),
            "in what another place takes away",
            "one outside of it");
      }
      out.write(bytes, at, room[0] - at);
      out.writeBytes(encoded(put));
      at = room[1];
    }
    out.write(bytes, at, bytes.length - at);
    return out.toByteArray();
  }

  private byte[] encoded(Put put) {
    try {
      ByteBuffer made = charset.newEncoder().encode(CharBuffer.wrap(put.lines()));
      byte[] all = new byte[made.remaining()];
      made.get(all);
      return all;
    } catch (CharacterCodingException e) {
      throw new Refused(
          "What is put at " + put.spot().called(),
          "with letters that are not in " + encoding(),
          "the form that follows releases, or a page in UTF-8");
    }
  }

  /**
   * Refuses a place at which the page's own markup would not leave what is put there: where an end
   * that nobody wrote, or a table, moves it. All other elements have to stay where they are.
   *
   * @throws Refused naming it
   */
  public void check(Spot spot, Side side) {
    if (!spot.sides().contains(side)) {
      throw new Refused(
          side.name().toLowerCase(Locale.ROOT) + " at " + spot.called(),
          "where nothing can stand",
          spot.sides().isEmpty() ? "another element" : "one of " + names(spot.sides()));
    }
    List<Element> all = elements(parsed(one(with(List.of(new Put(spot, side, TRIED))))));
    int[] room = spot.room(side);
    var numbers = new IdentityHashMap<Element, Integer>();
    Element piece = null;
    var tree = new ArrayList<String>();
    for (Element each : all) {
      if (each.normalName().equals("giostra-piece") && each.sourceRange().startPos() == room[0]) {
        piece = each;
        continue;
      }
      numbers.put(each, tree.size());
      tree.add(each.normalName() + " " + parent(each, numbers));
    }
    Left left = left(spot, side);
    boolean stays =
        piece != null
            && (side == Side.INSTEAD
                ? parent(piece, numbers) == left.parent()
                : stands(piece, spot, side))
            && tree.equals(left.tree());
    if (!stays) {
      throw new Refused(
          side.name().toLowerCase(Locale.ROOT) + " at " + spot.called(),
          "where the page's own markup would take it elsewhere",
          "another side, or the element around it");
    }
  }

  private static String names(Set<Side> sides) {
    return EnumSet.copyOf(sides).stream()
        .map(side -> side.name().toLowerCase(Locale.ROOT))
        .collect(Collectors.joining(", "));
  }

  private static int parent(Element element, Map<Element, Integer> numbers) {
    for (Element up = element.parent(); up != null; up = up.parent()) {
      Integer number = numbers.get(up);
      if (number != null) {
        return number;
      }
    }
    return -1;
  }

  /** Whether a piece that was tried stands where it was asked to. */
  private static boolean stands(Element piece, Spot spot, Side side) {
    Element by =
        switch (side) {
          case BEFORE -> piece.nextElementSibling();
          case AFTER -> piece.previousElementSibling();
          case FIRST -> piece.previousElementSibling() == null ? piece.parent() : null;
          case LAST -> piece.nextElementSibling() == null ? piece.parent() : null;
          case INSTEAD -> null;
        };
    int moved = side == Side.BEFORE ? TRIED.length() : 0;
    return by != null && by.sourceRange().startPos() == spot.from() + moved;
  }

  /**
   * What is left of the tree of elements where a place takes some away.
   *
   * @param parent number of the element that the place is in; -1 for none
   */
  private record Left(List<String> tree, int parent) {}

  /** The tree of elements without what a place takes away. */
  private Left left(Spot spot, Side side) {
    int[] room = spot.room(side);
    var numbers = new IdentityHashMap<Element, Integer>();
    var tree = new ArrayList<String>();
    int in = -1;
    for (Element each : elements(parsed(one(bytes)))) {
      int from = each.sourceRange().startPos();
      in = from == room[0] ? parent(each, numbers) : in;
      if (side == Side.INSTEAD && from >= room[0] && from < room[1]) {
        continue;
      }
      numbers.put(each, tree.size());
      tree.add(each.normalName() + " " + parent(each, numbers));
    }
    return new Left(tree, in);
  }

  // --- for the bench -----------------------------------------------------------------------------

  /** What its elements carry in {@link #numbered}. */
  public static final String NUMBER = "data-giostra-at";

  /**
   * The page with each of its elements numbered, and with something put into it: to be looked at
   * and pointed at, never to be given back.
   */
  public byte[] numbered(List<Put> puts) {
    var all = new ArrayList<Put>(puts);
    for (Spot spot : spots) {
      // Right behind the tag's name, where an attribute can stand however the tag goes on.
      int name = spot.from() + 1;
      while (name < spot.inside() && ENDS_NAME.indexOf(bytes[name]) < 0) {
        name++;
      }
      boolean gone =
          puts.stream()
              .filter(put -> put.side() == Side.INSTEAD)
              .anyMatch(
                  put -> spot.from() >= put.spot().from() && spot.from() < put.spot().below());
      if (!gone) {
        var here = new Spot(spot.number(), 0, spot.called(), Set.of(), name, name, name, name);
        all.add(new Put(here, Side.BEFORE, " " + NUMBER + "=\"" + spot.number() + "\" "));
      }
    }
    return with(all);
  }

  // --- reading -----------------------------------------------------------------------------------

  /** Makes spots and marks of the elements of a page. */
  private static final class Reading {
    /** So many nodes are looked through for the beginning of a text. */
    private static final int LOOKED = 60;

    private final byte[] bytes;
    private final Charset charset;
    private final List<Element> elements;
    private final Map<Element, Stands> stands = new IdentityHashMap<>();

    Reading(byte[] bytes, Charset charset, Document document, List<Element> elements) {
      this.bytes = bytes;
      this.charset = charset;
      this.elements = elements;
      for (Element parent : document.getAllElements()) {
        Stands in = stands.get(parent);
        var many = new HashMap<String, Integer>();
        parent.children().forEach(child -> many.merge(child.normalName(), 1, Integer::sum));
        var before = new HashMap<String, Integer>();
        for (Element child : parent.children()) {
          String tag = child.normalName();
          int place = before.merge(tag, 1, Integer::sum) - 1;
          int depth = in == null ? 0 : in.depth() + 1;
          stands.put(
              child, new Stands(tag, child.id(), place, many.getOrDefault(tag, 1), depth, in));
        }
      }
    }

    private Stands stands(Element element) {
      return Objects.requireNonNull(stands.get(element));
    }

    OwnPage page() {
      var spots = new ArrayList<Spot>();
      var seen = new ArrayList<Seen>();
      for (Element each : elements) {
        spots.add(spot(each, spots.size()));
        seen.add(new Seen(each.id(), print(each), stands(each)));
      }
      return new OwnPage(bytes, charset, List.copyOf(spots), List.copyOf(seen));
    }

    private static String print(Element element) {
      return element.normalName() + classes(element) + "\n" + text(element);
    }

    private static String classes(Element element) {
      return element.classNames().stream().map(each -> "." + each).collect(Collectors.joining());
    }

    /** How the text in it begins, with single spaces. */
    private static String text(Element element) {
      var text = new StringBuilder();
      int looked = 0;
      for (Node node = element.childNodeSize() > 0 ? element.childNode(0) : null;
          node != null && looked++ < LOOKED && text.length() < TEXT;
          node = next(node, element)) {
        if (node instanceof TextNode words) {
          text.append(words.getWholeText(), 0, Math.min(words.getWholeText().length(), 4 * TEXT));
          text.append(' ');
        }
      }
      return cut(text.toString().strip().replaceAll("[ \\t\\n\\f\\r]+", " "));
    }

    /** The node after one, within an element. */
    private static @Nullable Node next(Node node, Element within) {
      if (node.childNodeSize() > 0) {
        return node.childNode(0);
      }
      for (Node up = node; up != null && up != within; up = up.parent()) {
        Node beside = up.nextSibling();
        if (beside != null) {
          return beside;
        }
      }
      return null;
    }

    private static String cut(String text) {
      return text.length() > TEXT ? text.substring(0, TEXT) : text;
    }

    private String called(Element element) {
      String mark = element.id().isEmpty() ? classes(element) : "#" + element.id();
      String text = letters(text(element)).strip();
      return letters(cut(element.normalName() + mark)) + (text.isEmpty() ? "" : " “" + text + "”");
    }

    /** What was read byte for byte, in letters; what was told by its name is one already. */
    private String letters(String read) {
      var all = new StringBuilder();
      var some = new ByteArrayOutputStream();
      read.chars()
          .forEach(each -> {
            if (each < 256) {
              some.write(each);
            } else {
              all.append(some.toString(charset)).append((char) each);
              some.reset();
            }
          });
      return all.append(some.toString(charset)).toString().replace("\uFFFD", "");
    }

    private Spot spot(Element element, int number) {
      Range start = element.sourceRange();
      Range end = element.endSourceRange();
      boolean ends = end.isTracked() && !end.isImplicit() && end.startPos() >= start.endPos();
      boolean none = VOID.contains(element.normalName());
      // Of what holds letters alone the parser tells the end from its beginning on.
      int below = none ? start.endPos() : Math.max(end.endPos(), start.endPos());
      return new Spot(
          number,
          stands(element).depth(),
          called(element),
          sides(element, ends, ends || none || !end.isImplicit()),
          start.startPos(),
          start.endPos(),
          ends ? end.startPos() : start.endPos(),
          below);
    }

    /**
     * Where something can be put.
     *
     * @param ends whether somebody wrote where what is in it ends
     * @param whole whether it is known where all of it ends
     */
    private static Set<Side> sides(Element element, boolean ends, boolean whole) {
      String name = element.normalName();
      Element parent = element.parent();
      var all = EnumSet.noneOf(Side.class);
      if (parent == null
          || element.closest("body") == null
          || element.parents().stream().anyMatch(Reading::closed)) {
        return all;
      }
      if (!closed(element) && !VOID.contains(name) && !STRICT.contains(name)) {
        all.add(Side.FIRST);
        if (ends) {
          all.add(Side.LAST);
        }
      }
      if (!name.equals("body") && !STRICT.contains(parent.normalName())) {
        all.add(Side.BEFORE);
        if (whole) {
          all.add(Side.AFTER);
          all.add(Side.INSTEAD);
        }
      }
      return all;
    }

    private static boolean closed(Element element) {
      return CLOSED.contains(element.normalName()) || PRESSED.contains(element.normalName());
    }
  }
}
