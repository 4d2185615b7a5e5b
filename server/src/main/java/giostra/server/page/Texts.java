package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.format.NodeTexts;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Section;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.util.RawValue;

/** Documents as text, kept and answered with; what of them has not changed is written once. */
@Component
class Texts {
  /** Characters of the sections that are remembered, together. */
  private static final long MOST = 8_000_000;

  /** By the section itself, for as long as somebody has it. */
  private final Cache<Section, String> sections =
      Caffeine.newBuilder()
          .weakKeys()
          .maximumWeight(MOST)
          .weigher((Section _, String text) -> text.length())
          .build();

  private final NodeTexts texts = new NodeTexts(sections::get);

  /** A node as it is kept. */
  String text(Node node) {
    return texts.text(node);
  }

  /** A document as it is answered with. */
  JsonNode json(Document document) {
    return JsonNodeFactory.instance.rawValueNode(new RawValue(texts.text(document)));
  }
}
