package giostra.core.page;

import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.look.Values;
import giostra.core.value.FontsKind;
import giostra.core.value.MarkupKind;
import giostra.core.value.MediaKind;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Documents and nodes in which the media that they show have other ids. */
public final class Renamed {
  private static final Pattern IN_TEXT = Pattern.compile("(data-picture=\")([a-z0-9-]+)(\")");

  private Renamed() {}

  /**
   * The document with other ids.
   *
   * @param ids new ones by old ones; what is not among them stays
   */
  public static Document of(Document document, Map<String, String> ids) {
    return ids.isEmpty() ? document : document.changedAll(node -> node.with(values(node, ids)));
  }

  /** The node, and all that it holds, with other ids. */
  public static Node of(Node node, Map<String, String> ids) {
    return ids.isEmpty()
        ? node
        : node.with(values(node, ids))
            .holding(node.children().stream().map(child -> of(child, ids)).toList());
  }

  private static Values values(Node node, Map<String, String> ids) {
    Values values = node.values();
    for (Map.Entry<String, Map<String, Object>> set : node.values().set().entrySet()) {
      Setting<?> setting = node.type().setting(set.getKey());
      for (Map.Entry<String, Object> each : set.getValue().entrySet()) {
        Object now = value(setting, each.getValue(), ids);
        if (!now.equals(each.getValue())) {
          values = values.withRaw(set.getKey(), each.getKey(), now);
        }
      }
    }
    Styles styles = values.styles();
    for (Map.Entry<StyleKey, Map<String, Object>> set : styles.set().entrySet()) {
      Setting<?> setting = node.type().style(set.getKey());
      for (Map.Entry<String, Object> each : set.getValue().entrySet()) {
        Object now = value(setting, each.getValue(), ids);
        if (!now.equals(each.getValue())) {
          values = values.withStyle(set.getKey(), each.getKey(), now);
        }
      }
    }
    return values;
  }

  private static Object value(Setting<?> setting, Object value, Map<String, String> ids) {
    if (setting.kind() instanceof FontsKind) {
      return FontsKind.ids(value.toString()).stream()
          .map(id -> ids.getOrDefault(id, id))
          .collect(Collectors.joining(" "));
    }
    if (setting.kind() instanceof MediaKind) {
      return ids.getOrDefault(value.toString(), value.toString());
    }
    if (setting.kind() instanceof RichKind || setting.kind() instanceof MarkupKind) {
      return IN_TEXT
          .matcher(value.toString())
          .replaceAll(found ->
              Matcher.quoteReplacement(
                  found.group(1)
                      + ids.getOrDefault(found.group(2), found.group(2))
                      + found.group(3)));
    }
    return value;
  }
}
