package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PinParts;
import giostra.core.look.Part;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.room.Rooms;
import giostra.core.value.PictureKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The types of node: what can be set on each, what each may hold, and how one is made. */
public enum NodeType {
  SITE("site", SiteSettings.ALL, Anatomy.OF_SITE, Set.of("look")),
  LOOK("look", LookSettings.ALL, Anatomy.OF_KINDS, Set.of()),
  PAGE("page", PageSettings.ALL, Anatomy.EVERY, Set.of("section")),
  SECTION("section", SectionSettings.ALL, Anatomy.EVERY, Names.BLOCKS),
  HEADING("heading", BlockSettings.HEADING, PageParts.HEADINGS, Set.of()),
  TEXT("text", BlockSettings.TEXT, PageParts.TEXTS, Set.of()),
  PICTURE("picture", BlockSettings.PICTURE, List.of(PageParts.PICTURE), Set.of()),
  BUTTON(
      "button", BlockSettings.BUTTON, List.of(PageParts.BUTTON, PageParts.BUTTON_ICON), Set.of()),
  OWN_HTML("own-html", BlockSettings.OWN_HTML, List.of(PageParts.FIELD), Set.of()),
  PIN("pin", PinSettings.ALL, PinParts.ALL, Set.of()),
  COLUMNS("columns", BlockSettings.COLUMNS, List.of(), Set.of("column")),
  COLUMN("column", List.of(), List.of(), Names.BLOCKS),
  SLIDER("slider"),
  CAROUSEL("carousel"),
  TABS("tabs"),
  ACCORDION("accordion"),
  FLIP_BOXES("flip-boxes"),
  COUNTERS("counters"),
  VIDEO("video"),
  ITEM("item", ItemSettings.ALL, Anatomy.ITEM, Names.OF_ITEMS);

  private static final class Names {
    static final Set<String> BLOCKS =
        Stream.concat(
                Stream.of("heading", "text", "picture", "button", "own-html", "columns"),
                Rooms.words().stream())
            .collect(Collectors.toUnmodifiableSet());

    /** In panels blocks, on slides pins. */
    static final Set<String> OF_ITEMS =
        Stream.concat(BLOCKS.stream(), Stream.of("pin")).collect(Collectors.toUnmodifiableSet());
  }

  private static final Pattern ID = Pattern.compile("[a-z][a-z0-9-]{0,60}");

  private final String word;
  private final List<Setting<?>> settings;
  private final List<Part> parts;
  private final Set<String> holds;
  private volatile @Nullable Map<String, Setting<?>> byId;

  /** A kind of piece: its room says what can be set on it, and is asked when that is needed. */
  NodeType(String word) {
    this(word, List.of(), List.of(), Set.of("item"));
  }

  NodeType(String word, List<Setting<?>> settings, List<Part> parts, Set<String> holds) {
    this.word = word;
    this.settings = List.copyOf(settings);
    this.parts = List.copyOf(parts);
    this.holds = holds;
  }

  /** Its name in documents. */
  public String word() {
    return word;
  }

  /** What can be set on it, in the order in which people see it. */
  public List<Setting<?>> settings() {
    return isPiece() ? room().settings() : settings;
  }

  /** The parts whose look can be said on it: its own, or of what it holds. */
  public List<Part> parts() {
    return isPiece() ? room().parts() : parts;
  }

  /**
   * What the values of a style of it may be.
   *
   * @throws Refused naming what there is
   */
  public Setting<?> style(StyleKey key) {
    Setting<?> setting = Anatomy.setting(key);
    if (parts().stream().noneMatch(part -> part.id().equals(key.part()))) {
      throw new Refused(
          "part of a " + word,
          key.part().id(),
          parts().isEmpty()
              ? "none: it has no parts"
              : "one of "
                  + String.join(", ", parts().stream().map(part -> part.id().id()).toList()));
    }
    return setting;
  }

  /** Whether a node of that type may stand in it. */
  public boolean holds(NodeType child) {
    return holds.contains(child.word);
  }

  /** Whether it may hold anything. */
  public boolean holdsAny() {
    return !holds.isEmpty();
  }

  /**
   * The setting with that id.
   *
   * @throws Refused naming those there are
   */
  public Setting<?> setting(String id) {
    Setting<?> setting = byId().get(id);
    if (setting == null) {
      throw new Refused(
          "setting of a " + word,
          id,
          "one of " + String.join(", ", settings().stream().map(Setting::id).toList()));
    }
    return setting;
  }

  /** By their ids. Made once it is asked for, since a kind's room is there no sooner. */
  private Map<String, Setting<?>> byId() {
    Map<String, Setting<?>> known = byId;
    if (known == null) {
      known =
          settings().stream()
              .collect(Collectors.toUnmodifiableMap(Setting::id, Function.identity()));
      byId = known;
    }
    return known;
  }

  /**
   * The type of that name.
   *
   * @throws Refused naming those there are
   */
  public static NodeType named(String word) {
    return Arrays.stream(values())
        .filter(type -> type.word.equals(word))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "type",
                word,
                "one of " + String.join(", ", Arrays.stream(values()).map(t -> t.word).toList())));
  }

  /** A node of this type; the site is not made this way. */
  public Node make(String id, Values values, List<? extends Node> children) {
    checkId(this, id);
    Node bare =
        switch (this) {
          case SITE -> throw new Refused("type", word, "anything but the site itself");
          case LOOK -> new Look(id, values);
          case PAGE -> new Page(id, values, List.of());
          case SECTION -> new Section(id, values, List.of());
          case HEADING -> new Block.Heading(id, values);
          case TEXT -> new Block.Text(id, values);
          case PICTURE -> new Block.Picture(id, values);
          case BUTTON -> new Block.Button(id, values);
          case OWN_HTML -> new Block.OwnHtml(id, values);
          case PIN -> new Block.Pin(id, values);
          case COLUMNS -> new Block.Columns(id, values, List.of());
          case COLUMN -> new Column(id, values, List.of());
          case SLIDER, CAROUSEL, TABS, ACCORDION, FLIP_BOXES, COUNTERS, VIDEO ->
              piece(id, values, List.of());
          case ITEM -> new Item(id, values);
        };
    return bare.holding(children);
  }

  /** Refuses what cannot be the id of a node. */
  static void checkId(NodeType type, String id) {
    // A look says itself what its id may be.
    if (type != LOOK && !ID.matcher(id).matches()) {
      throw new Refused(
          "id", id, "of at most 61 lower-case letters, digits and hyphens, a letter first");
    }
  }

  /** A piece of this kind. */
  Piece piece(String id, Values values, List<Item> items) {
    return room().piece(id, values, items);
  }

  /**
   * What the kind of piece says of itself.
   *
   * @throws IllegalStateException where it is no kind of piece
   */
  public PieceRoom room() {
    return Rooms.of(word, PieceRoom.class);
  }

  /** Whether it is a kind of piece. */
  public boolean isPiece() {
    return holds.contains("item");
  }

  /** Whether it is a kind on whose items pins may stand. */
  public boolean hasPins() {
    return isPiece() && room().hasPins();
  }

  /** Whether it is a kind whose items have panels, which hold blocks. */
  public boolean hasPanels() {
    return isPiece() && room().hasPanels();
  }

  /** The children as what they have to be, or a refusal that names the one that does not belong. */
  static <N extends Node> List<N> checked(Node parent, List<? extends Node> children, Class<N> as) {
    for (Node child : children) {
      if (!as.isInstance(child)) {
        throw new Refused(
                "a " + child.type().word() + " in a " + parent.type().word(),
                child.id(),
                "one of " + String.join(", ", parent.type().holds.stream().sorted().toList()))
            .at(parent.id());
      }
    }
    return children.stream().map(as::cast).toList();
  }

  /** The refusal of a node that holds nothing. */
  static <N extends Node> N leaf(N node, List<? extends Node> children) {
    if (!children.isEmpty()) {
      throw new Refused("children of a " + node.type().word(), "not empty", "none").at(node.id());
    }
    return node;
  }

  /** Whether a setting names a picture. */
  public static boolean isPicture(Setting<?> setting) {
    return setting.kind() instanceof PictureKind;
  }
}
