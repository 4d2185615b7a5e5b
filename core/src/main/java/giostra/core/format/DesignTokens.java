package giostra.core.format;

import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TypeParts;
import giostra.core.anatomy.TypeStyles;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Look;
import giostra.core.page.SiteDifference;
import giostra.core.value.Family;
import giostra.core.value.Length;
import giostra.core.value.Refused;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.Typeface;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The colours, letters and looks of a site as design tokens, out and in. Tokens hold what the
 * widest band has: the format knows no bands. A size of letters that grows with the screen goes out
 * as the largest that it is. Source: Design Tokens Format Module 2025.10; from memory.
 */
public final class DesignTokens {
  /** What such a file is, and how its name ends. Source: the module, "Media type", "File name". */
  public static final String MEDIA_TYPE = "application/design-tokens+json";

  public static final String FILE = ".tokens.json";

  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;

  /** What is as texts, or headings, of the site are. */
  static final String TEXT = "{family.text}";

  static final String DISPLAY = "{family.display}";

  /**
   * What a file of tokens would change.
   *
   * @param changes in the site's own words
   * @param refused what cannot be taken, each with its path
   * @param strangers how many tokens are of nothing that this site has
   * @param edits that take all of it
   */
  public record Read(
      List<SiteDifference> changes, List<Refused> refused, int strangers, List<Edit> edits) {}

  private final SiteTokens site;
  private final Document document;

  private DesignTokens(Document document) {
    this.site = new SiteTokens(document);
    this.document = document;
  }

  /**
   * Reads a file of tokens; nothing changes by it.
   *
   * @throws Refused where it is no file of tokens
   * @throws DocumentJson.Faults where it is no JSON
   */
  public static Read read(Document document, String json) {
    return new TokensIn(document, TokenTree.of(DocumentJson.parse(json))).read();
  }

  /** The tokens of the site of a page. */
  public static String write(Document document) {
    return new DesignTokens(document).write().toPrettyString() + "\n";
  }

  private ObjectNode write() {
    ObjectNode file = MAKE.objectNode();
    for (SiteTokens.Known each : site.known()) {
      ObjectNode token = at(file, each.path());
      if (each.field().isEmpty()) {
        token.put("$type", each.as().type());
        token.set("$value", each.as().write(site.now(each)));
      }
    }
    families(file);
    for (TypeStyle style : TypeStyle.values()) {
      typography(at(file, TypeStyles.part(style).id().id()), TypeStyles.part(style));
    }
    for (Tone tone : Tone.ALL) {
      document
          .site()
          .called(tone)
          .ifPresent(called -> at(file, tone.part().id().id()).put("$description", called.label()));
    }
    for (Look look : document.site().looks()) {
      at(file, "look." + look.id()).put("$description", look.name());
    }
    return file;
  }

  private static ObjectNode at(ObjectNode file, String path) {
    ObjectNode at = file;
    for (String name : path.split("\\.")) {
      at = at.get(name) instanceof ObjectNode there ? there : at.putObject(name);
    }
    return at;
  }

  private void families(ObjectNode file) {
    family(at(file, "family.text"), site.of(TypeParts.FAMILIES, Property.TEXT_FACE));
    family(at(file, "family.display"), site.of(TypeParts.FAMILIES, Property.DISPLAY_FACE));
  }

  private static void family(ObjectNode token, Typeface face) {
    token.put("$type", "fontFamily");
    token.putArray("$value").add(SiteTokens.called(face)).add(face.stand().generic());
  }

  private void typography(ObjectNode token, Part part) {
    token.put("$type", "typography");
    ObjectNode value = token.putObject("$value");
    value.set("fontFamily", family(site.of(part, Property.FAMILY)));
    TypeSize size = site.of(part, Property.TEXT_SIZE);
    value.set("fontSize", TokenValue.DIMENSION.write(SiteTokens.plain(size.most())));
    value.put("fontWeight", site.of(part, Property.WEIGHT));
    value.set(
        "letterSpacing",
        TokenValue.DIMENSION.write(spacing(size, site.of(part, Property.SPACING))));
    value.put("lineHeight", site.of(part, Property.LEADING));
  }

  private static JsonNode family(Family family) {
    return switch (family) {
      case TEXT -> MAKE.stringNode(TEXT);
      case DISPLAY -> MAKE.stringNode(DISPLAY);
      default ->
          MAKE.arrayNode().add(family.typeface().map(SiteTokens::called).orElse("monospace"));
    };
  }

  private static String spacing(TypeSize size, double share) {
    return Length.px(Math.round(share * size.most().constantPx() * 1000) / 1000.0).css();
  }
}
