package giostra.core.page;

import giostra.core.look.Values;
import giostra.core.value.AddressKind;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WordsKind;
import java.util.List;

/**
 * What can be said of a link, wherever one is: its address, whether it opens a window of its own,
 * its relations, and a label for assistive technology. Source: HTML, "Links created by a and area
 * elements" and "Link types".
 */
public record LinkSettings(
    Setting<String> address,
    Setting<Boolean> window,
    Setting<List<String>> relations,
    Setting<String> label) {

  /** Relations that a designer chooses among; {@code noopener} comes by itself. */
  public static final List<String> RELATIONS =
      List.of("nofollow", "noreferrer", "sponsored", "ugc", "external", "help", "license");

  /** The four settings of one link. */
  static LinkSettings of(String id, String label) {
    return new LinkSettings(
        Setting.once(id, label, new AddressKind(), ""),
        Setting.once(id + "Window", label + ": new window", new ToggleKind(), false),
        Setting.once(id + "Rel", label + ": relations", new SeveralKind(RELATIONS), List.of()),
        Setting.once(id + "Label", label + ": label for readers", new WordsKind(200, false), ""));
  }

  /** All four. */
  public List<Setting<?>> all() {
    return List.of(address, window, relations, label);
  }

  /** The link that values describe. */
  public Link in(Values values) {
    return new Link(
        values.get(address), values.get(window), values.get(relations), values.get(label));
  }

  /**
   * A link.
   *
   * @param address empty where there is none
   * @param label for assistive technology; empty where its text says enough
   */
  public record Link(String address, boolean window, List<String> relations, String label) {
    public Link {
      relations = List.copyOf(relations);
    }

    /** Whether it leads anywhere. */
    public boolean leads() {
      return !address.isEmpty();
    }

    /** The value of {@code rel}; empty where there is none. */
    public String rel() {
      String own = String.join(" ", relations);
      return window ? (own + " noopener").strip() : own;
    }
  }
}
