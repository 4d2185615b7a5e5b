package giostra.core.snag;

import giostra.core.layout.PictureSizes;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A way out of a finding that was tried before anybody is offered it.
 *
 * @param changes what it changes, value by value, in words
 * @param mends whether nothing of the finding is left
 * @param brings what is found then that was not before
 */
public record WayOut(Snag.Fix fix, List<String> changes, boolean mends, List<Snag> brings) {
  public WayOut {
    changes = List.copyOf(changes);
    brings = List.copyOf(brings);
  }

  /**
   * Tries the ways out of a finding, each on the whole page. One that cannot be gone is left out.
   *
   * @param before what is found on the page as it is
   */
  public static List<WayOut> of(
      Document document, Snag snag, List<Snag> before, PictureSizes pictures, double scrollbar) {
    var all = new ArrayList<WayOut>();
    for (Snag.Fix fix : snag.fixes()) {
      if (fix.possible(document)) {
        Document after = Edits.apply(document, fix.edits()).document();
        List<Snag> found = Snags.of(after, pictures, scrollbar);
        all.add(
            new WayOut(
                fix,
                fix.edits().stream().map(edit -> said(document, edit)).toList(),
                found.stream().noneMatch(snag::meets),
                Since.of(before, found).come()));
      }
    }
    return all;
  }

  private static String said(Document document, Edit edit) {
    return switch (edit) {
      case Edit.SetValue(String of, String id, String band, Object value) -> {
        Node node = document.node(of);
        Setting<?> setting = node.type().setting(id);
        yield change(document, node.type(), setting.label(), band, own(node, setting, band), value);
      }
      case Edit.SetStyle(String of, StyleKey key, String band, Object value) -> {
        Node node = document.node(of);
        Object said = node.values().styles().own(key, band);
        Object own = said == null ? null : node.type().style(key).write(said);
        String label = key.property().label();
        yield change(document, node.type(), label, band, own, value);
      }
      case Edit.MoveBreakpoint(String band, double from) ->
          Said.of(
              "changes-post",
              "band",
              document.bands().band(band).name(),
              "from",
              document.bands().band(band).from(),
              "to",
              from);
      default -> Said.of("changes-more");
    };
  }

  private static <T> @Nullable Object own(Node node, Setting<T> setting, String band) {
    T own = node.values().own(setting, band);
    return own == null ? null : setting.write(own);
  }

  private static String change(
      Document document,
      NodeType type,
      String label,
      String band,
      @Nullable Object from,
      @Nullable Object to) {
    return Said.of(
        band.isEmpty() ? "changes-value" : "changes-value-in",
        "of",
        type.word(),
        "label",
        label,
        "band",
        band.isEmpty() ? "" : document.bands().band(band).name(),
        "from",
        from == null || from.equals("") ? Said.of("nothing") : from,
        "to",
        to == null || to.equals("") ? Said.of("nothing") : to);
  }
}
