package giostra.core.page;

import giostra.core.look.Part;
import giostra.core.look.Values;
import giostra.core.value.Refused;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A look of the site: how parts of a kind of piece look where they wear it. What it says of other
 * parts is kept and shows nowhere.
 */
public record Look(String id, Values values) implements Node {
  /** What ids of looks begin with, so that they are told from those of what is on a page. */
  static final String BEFORE_ID = "look.";

  private static final Pattern ID = Pattern.compile("look\\.[a-z0-9-]{1,55}");

  /**
   * @throws Refused for what cannot be the id of a look
   */
  public Look {
    if (!ID.matcher(id).matches()) {
      throw new Refused(
          "id of a look", id, "look. and 1 to 55 lower-case letters, digits and hyphens");
    }
  }

  /** Whether it may be the id of a look, as {@code look.almanac}. */
  public static boolean isId(String id) {
    return ID.matcher(id).matches();
  }

  /** What people call it. */
  public String name() {
    return values.get(LookSettings.NAME);
  }

  /** The kind of piece that wears it. */
  public NodeType of() {
    return values.get(LookSettings.OF).type();
  }

  /** Whether all of its kind wear it that wear no other. */
  public boolean usual() {
    return values.get(LookSettings.USUAL);
  }

  /** The parts that it can say something of. */
  public List<Part> parts() {
    return of().parts();
  }

  /** What it is called in class names. */
  public String word() {
    return id.substring(BEFORE_ID.length());
  }

  @Override
  public List<Node> children() {
    return List.of();
  }

  @Override
  public NodeType type() {
    return NodeType.LOOK;
  }

  @Override
  public Look with(Values other) {
    return new Look(id, other);
  }

  @Override
  public Look holding(List<? extends Node> children) {
    return NodeType.leaf(this, children);
  }
}
