package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TypeParts;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Site;
import giostra.core.testing.Demo;
import java.util.List;
import org.junit.jupiter.api.Test;

class NoFamilyTest {
  private static final Edit TEXTS =
      new Edit.SetStyle(
          Site.ID, TypeParts.FAMILIES.key(Property.TEXT_FACE, State.REST), "desktop", "own-1");

  private static List<Snag> found(Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == Rule.NO_FAMILY)
        .toList();
  }

  private static Document with(Edit... edits) {
    return Edits.apply(Demo.document(), List.of(edits)).document();
  }

  @Test
  void lettersOfAFamilyWithoutFilesAreFoundAndTakenBack() {
    assertThat(found(Demo.document())).isEmpty();
    Document document = with(TEXTS);
    List<Snag> found = found(document);
    assertThat(found).hasSize(1);
    Snag only = found.getFirst();
    assertThat(only.place().node()).isEqualTo(Site.ID);
    assertThat(only.message()).contains("own family 1, which has no files");
    List<WayOut> ways = WayOut.of(document, only, found, PictureSizes.NONE, 0);
    assertThat(ways).hasSize(1);
    assertThat(ways.getFirst().mends()).isTrue();
    assertThat(ways.getFirst().changes().getFirst()).contains("own-1");
  }

  @Test
  void oneWithFilesIsNotAndAPartIsAskedToo() {
    Edit files = new Edit.SetValue(Site.ID, "font1", Values.ALL, "brand-0123456789abcdef");
    assertThat(found(with(files, TEXTS))).isEmpty();
    Edit heading =
        new Edit.SetStyle(
            "page", PageParts.heading(2).key(Property.FAMILY, State.REST), "desktop", "own-2");
    assertThat(found(with(files, heading))).hasSize(1);
  }
}
