package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Section;
import giostra.core.testing.RandomDocuments;
import java.util.IdentityHashMap;
import java.util.List;
import org.junit.jupiter.api.Test;

class NodeTextsTest {
  @Test
  void whatIsPutTogetherOfSectionsIsWhatIsWrittenAtOnce() {
    for (long seed = 0; seed < 30; seed++) {
      var known = new IdentityHashMap<Section, String>();
      var texts = new NodeTexts((section, write) -> known.computeIfAbsent(section, write));
      Document document = RandomDocuments.document(seed);
      assertThat(texts.text(document)).isEqualTo(DocumentJson.text(document));
      int before = known.size();
      Section first = document.page().sections().getFirst();
      Document after =
          Edits.apply(
                  document,
                  List.of(
                      new Edit.SetValue("page", "title", "", "A \"title\" of \\ its own"),
                      new Edit.SetValue(first.id(), "name", "", "Named anew")))
              .document();
      assertThat(texts.text(after)).isEqualTo(DocumentJson.text(after));
      assertThat(known).as("one section was written again").hasSize(before + 1);
      assertThat(texts.text(after.page())).isEqualTo(DocumentJson.write(after.page()).toString());
    }
  }
}
