package giostra.core.page;

import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.ToggleKind;
import giostra.core.value.TokenKind;
import giostra.core.value.WordsKind;
import java.util.List;

/** What can be set on a look, and what a piece says of the one that it wears. */
public final class LookSettings {
  /** The kinds of piece that wear looks. */
  public enum Of {
    SLIDER,
    CAROUSEL,
    TABS,
    ACCORDION,
    FLIP_BOXES,
    COUNTERS,
    VIDEO;

    /** The type of piece. */
    public NodeType type() {
      return NodeType.valueOf(name());
    }

    /** Looks of a type of piece. */
    public static Of of(NodeType type) {
      return valueOf(type.name());
    }
  }

  public static final Setting<String> NAME =
      Setting.once("name", "Name", new WordsKind(60, false), "");

  /** Said when the look is made. */
  public static final Setting<Of> OF =
      Setting.once("of", "Worn by", new PickKind<>(Of.class), Of.TABS);

  /** Whether pieces of the kind that wear no look wear this one. */
  public static final Setting<Boolean> USUAL =
      Setting.once("usual", "Worn where none is", new ToggleKind(), false);

  /** On a piece: the id of the look that it wears, or nothing. */
  public static final Setting<String> WORN =
      Setting.once(
          "look",
          "Look",
          new TokenKind("look\\.[a-z0-9-]{1,55}", "the id of a look of the site"),
          "");

  public static final List<Setting<?>> ALL = List.of(NAME, OF, USUAL);

  private LookSettings() {}
}
