package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/** A page on which one block stands alone, in the tone and the look of its section. */
public final class Fitting {
  private Fitting() {}

  /**
   * The page with nothing on it but a block.
   *
   * @throws giostra.core.value.Refused when there is no such block
   */
  public static Document of(Document document, String id) {
    Node node = document.node(id);
    if (!(node instanceof Block block)) {
      throw new giostra.core.value.Refused("block", id, "the id of a block on this page");
    }
    Section own =
        (Section)
            document.path(id).stream().filter(Section.class::isInstance).findFirst().orElseThrow();
    Values plain =
        own.values()
            .with(SectionSettings.GROUND, Values.ALL, null)
            .with(SectionSettings.NAME, Values.ALL, null);
    Section alone = new Section(own.id(), plain, List.of(block));
    return new Document(
        document.site(), new Page(document.page().id(), document.page().values(), List.of(alone)));
  }
}
