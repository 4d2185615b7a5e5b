package giostra.core.page;

import giostra.core.look.Values;
import giostra.core.page.LinkSettings.Link;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Which fields of the one vocabulary a kind of piece uses, in reading order, and what it calls
 * them. Fields that a piece does not use are kept: it may become another kind.
 */
public final class Fields {
  /**
   * A field of an item, under the name it has in a kind.
   *
   * @param main whether it is one of those that a table of items shows
   */
  public record Field(Setting<?> setting, String label, boolean main) {}

  /** Settings of pieces, items and blocks that are asked for rarely: forms fold them away. */
  public static final List<Setting<?>> RARE =
      ItemSettings.joined(
          details(ItemSettings.LINK),
          details(ItemSettings.BUTTON_LINK),
          details(ItemSettings.BUTTON_2_LINK),
          details(PieceSettings.TITLE_LINK),
          List.of(ItemSettings.DISABLED, ItemSettings.TOOLTIP),
          MarkSettings.ALL,
          List.of(ConditionSettings.SHOW_QUERY),
          List.of(ItemSettings.ACTION, ItemSettings.ACTION_ON, ProofSettings.OWN_CSS),
          CodeSettings.ALL);

  /** The words and the buttons of an item, as they are read. */
  public static final List<Object> WORDED =
      List.of(
          ItemSettings.KICKER,
          ItemSettings.HEADING,
          ItemSettings.SUBHEADING,
          ItemSettings.TEXT,
          ItemSettings.BUTTON,
          ItemSettings.BUTTON_LINK,
          ItemSettings.BUTTON_ICON,
          ItemSettings.BUTTON_2,
          ItemSettings.BUTTON_2_LINK,
          ItemSettings.BUTTON_2_ICON,
          ItemSettings.BUTTON_ICON_SIDE);

  private static List<Setting<?>> details(LinkSettings link) {
    return List.of(link.window(), link.relations(), link.label());
  }

  private static final Set<Setting<?>> MINOR =
      Set.of(
          ItemSettings.GROUND_CLIP,
          ItemSettings.GROUND_CLIP_2,
          ItemSettings.ALT,
          ItemSettings.FOCUS,
          ItemSettings.FIT,
          ItemSettings.ICON_COLOURS,
          ItemSettings.ICON_NUDGE,
          ItemSettings.SUBHEADING,
          ItemSettings.BUTTON_ICON,
          ItemSettings.BUTTON_2,
          ItemSettings.BUTTON_2_LINK.address(),
          ItemSettings.BUTTON_2_ICON,
          ItemSettings.BUTTON_ICON_SIDE,
          ItemSettings.BESIDE,
          ItemSettings.TURN,
          ItemSettings.BACK_ICON,
          ItemSettings.BACK_PICTURE,
          ClipSettings.START,
          ClipSettings.END,
          ClipSettings.CAPTIONS.get(0).language(),
          ClipSettings.CAPTIONS.get(1).file(),
          ClipSettings.CAPTIONS.get(1).language(),
          ClipSettings.CAPTIONS.get(2).file(),
          ClipSettings.CAPTIONS.get(2).language());

  private Fields() {}

  /** The fields that a piece of a kind with such values uses, those switched off left out. */
  public static List<Field> of(NodeType kind, Values values) {
    List<String> off = values.get(PieceSettings.FIELDS_OFF);
    return used(kind, values).stream()
        .filter(field -> !off.contains(field.setting().id()))
        .toList();
  }

  /** The fields that a piece of a kind with such values uses, those switched off as well. */
  public static List<Field> used(NodeType kind, Values values) {
    return kind.isPiece() ? kind.room().fields(values) : List.of();
  }

  /**
   * Fields under the names that they have; of a link all that it consists of.
   *
   * @param settings settings, links, and lists of these
   */
  public static List<Field> list(Object... settings) {
    var fields = new ArrayList<Field>();
    for (Object each : settings) {
      switch (each) {
        case Setting<?> setting -> fields.add(field(setting, !MINOR.contains(setting)));
        case LinkSettings link ->
            link.all()
                .forEach(setting ->
                    fields.add(
                        field(setting, setting == link.address() && !MINOR.contains(setting))));
        case List<?> more -> fields.addAll(list(more.toArray()));
        default -> throw new IllegalArgumentException(each + " is no setting");
      }
    }
    return List.copyOf(fields);
  }

  private static Field field(Setting<?> setting, boolean main) {
    return new Field(setting, setting.label(), main);
  }

  /** The same, some under other names. */
  public static List<Field> renamed(List<Field> fields, Map<Setting<?>, String> names) {
    return fields.stream()
        .map(f -> new Field(f.setting(), names.getOrDefault(f.setting(), f.label()), f.main()))
        .toList();
  }

  /** What something is called where it is told of: its own name, or its kind. */
  public static String called(Node node) {
    for (Setting<String> each :
        List.of(
            PieceSettings.NAME, SectionSettings.NAME, ItemSettings.HEADING, PageSettings.TITLE)) {
      if (node.type().settings().contains(each) && !node.values().get(each).isEmpty()) {
        return node.values().get(each);
      }
    }
    return node.type().word().replace('-', ' ');
  }

  /** What an item is called where it is chosen by name: its place, where nothing names it. */
  public static String called(Item item, int index) {
    String name = item.values().get(ItemSettings.NAME);
    String heading = item.values().get(ItemSettings.HEADING);
    return name.isEmpty() ? heading.isEmpty() ? Integer.toString(index + 1) : heading : name;
  }

  /** Whether a piece has switched a field off. */
  public static boolean off(Piece piece, String field) {
    return piece.values().get(PieceSettings.FIELDS_OFF).contains(field);
  }

  /** A field of an item, empty where its piece has switched it off. */
  public static String shown(Piece piece, Item item, Setting<String> setting) {
    return off(piece, setting.id()) ? "" : item.values().get(setting);
  }

  /** The icon of an item: its own, or that of all items of its piece; empty for none. */
  public static String icon(Piece piece, Item item) {
    String own = item.values().get(ItemSettings.ICON);
    return off(piece, ItemSettings.ICON.id())
        ? ""
        : own.isEmpty() ? piece.values().get(PieceSettings.ICON) : own;
  }

  /** Whether all of an item's picture shows, whatever the shape of its box. */
  public static boolean whole(Piece piece, Item item) {
    return item.values().get(ItemSettings.FIT) == ItemSettings.Fits.WHOLE
        && used(piece.type(), piece.values()).stream()
            .anyMatch(field -> field.setting() == ItemSettings.FIT);
  }

  /**
   * A button that shows.
   *
   * @param icon empty for none
   */
  public record Pressed(String words, Link link, boolean second, String icon, boolean iconFirst) {}

  /**
   * Up to two buttons of an item: those with words that lead somewhere. The first leads where the
   * item does when it has no address of its own.
   */
  public static List<Pressed> buttons(Piece piece, Item item) {
    Values values = item.values();
    Link own = ItemSettings.BUTTON_LINK.in(values);
    Link first = own.leads() ? own : ItemSettings.LINK.in(values);
    Link second = ItemSettings.BUTTON_2_LINK.in(values);
    boolean before = values.get(ItemSettings.BUTTON_ICON_SIDE) == ItemSettings.IconSide.BEFORE;
    return Stream.of(
            new Pressed(
                shown(piece, item, ItemSettings.BUTTON),
                first,
                false,
                values.get(ItemSettings.BUTTON_ICON),
                before),
            new Pressed(
                shown(piece, item, ItemSettings.BUTTON_2),
                second,
                true,
                values.get(ItemSettings.BUTTON_2_ICON),
                before))
        .filter(button -> !button.words().isEmpty() && button.link().leads())
        .toList();
  }
}
