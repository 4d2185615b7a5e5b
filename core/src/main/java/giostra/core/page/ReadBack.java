package giostra.core.page;

import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Whether a document reads back as it is, asked before it is kept: each value is one that its
 * setting reads from what it writes, each id and band one that can be written. Whoever makes values
 * in code, past their settings, is found here and not by the next reader.
 */
public final class ReadBack {
  private ReadBack() {}

  /**
   * Checks what is not in the document before; nodes that stayed as they were are not looked at
   * again.
   *
   * @throws Refused naming the value, what is allowed and where it is
   */
  public static void check(Document before, Document after) {
    Set<String> bands =
        after.bands().all().stream().map(band -> band.id()).collect(Collectors.toSet());
    boolean all = !before.bands().equals(after.bands());
    Predicate<Node> stayed = node -> !all && before.find(node.id()).orElse(null) == node;
    check(after.site(), stayed, bands);
    check(after.page(), stayed, bands);
  }

  /** What is in a node that stayed as it was has stayed so, too. */
  private static void check(Node node, Predicate<Node> stayed, Set<String> bands) {
    if (!stayed.test(node)) {
      check(node, bands);
      node.children().forEach(child -> check(child, stayed, bands));
    }
  }

  /** Checks all of a document. */
  public static void check(Document document) {
    Set<String> bands =
        document.bands().all().stream().map(band -> band.id()).collect(Collectors.toSet());
    document.nodes().forEach(node -> check(node, bands));
  }

  private static void check(Node node, Set<String> bands) {
    if (!(node instanceof Site)) {
      NodeType.checkId(node.type(), node.id());
    }
    for (Map.Entry<String, Map<String, Object>> set : node.values().set().entrySet()) {
      Setting<?> setting = node.type().setting(set.getKey());
      for (Map.Entry<String, Object> each : set.getValue().entrySet()) {
        String place =
            node.id()
                + " / "
                + set.getKey()
                + (each.getKey().isEmpty() ? "" : " / " + each.getKey());
        if (setting.byBand() != bands.contains(each.getKey())
            || (!setting.byBand() && !each.getKey().equals(Values.ALL))) {
          throw new Refused(
                  "band of " + setting.label(),
                  each.getKey(),
                  setting.byBand() ? "one of " + String.join(", ", bands) : "none")
              .at(place);
        }
        check(setting, each.getValue(), place);
      }
    }
    node.values()
        .styles()
        .set()
        .forEach(
            (key, byBand) -> byBand.forEach((band, value) -> style(node, key, band, value, bands)));
  }

  private static void style(Node node, StyleKey key, String band, Object value, Set<String> bands) {
    String place = node.id() + " / " + key.written() + " / " + band;
    if (!bands.contains(band)) {
      throw new Refused("band of a style", band, "one of " + String.join(", ", bands)).at(place);
    }
    Setting<?> setting;
    try {
      setting = node.type().style(key);
    } catch (Refused e) {
      throw e.at(place);
    }
    check(setting, value, place);
  }

  private static void check(Setting<?> setting, Object value, String place) {
    Object back;
    try {
      back = setting.read(setting.write(value));
    } catch (Refused e) {
      throw e.at(place);
    }
    if (!back.equals(value)) {
      throw new Refused(setting.label(), "read back as something else", setting.kind().allowed())
          .at(place);
    }
  }
}
