package giostra.core.page;

import giostra.core.look.Values;
import giostra.core.value.Refused;
import java.util.List;

/**
 * A page on which one block stands alone, in the tone and the look of its section, or a section.
 */
public final class Fitting {
  private Fitting() {}

  /**
   * The page with nothing on it but a block or a section.
   *
   * @throws giostra.core.value.Refused when there is no such block or section
   */
  public static Document of(Document document, String id) {
    Node node = document.node(id);
    if (node instanceof Section section) {
      return with(document, section);
    }
    if (!(node instanceof Block block)) {
      throw new Refused("block", id, "the id of a block or a section on this page");
    }
    Section own =
        (Section)
            document.path(id).stream().filter(Section.class::isInstance).findFirst().orElseThrow();
    Values plain =
        own.values()
            .with(SectionSettings.GROUND, Values.ALL, null)
            .with(SectionSettings.NAME, Values.ALL, null);
    return with(document, new Section(own.id(), plain, List.of(block)));
  }

  private static Document with(Document document, Section alone) {
    return new Document(
        document.site(), new Page(document.page().id(), document.page().values(), List.of(alone)));
  }
}
