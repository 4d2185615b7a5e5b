package giostra.core.format;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TypeParts;
import giostra.core.anatomy.TypeStyles;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.Site;
import giostra.core.page.SiteDifference;
import giostra.core.value.Family;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.Typeface;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
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
  private static final String TEXT = "{family.text}";
  private static final String DISPLAY = "{family.display}";

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

  /**
   * A value of the site that has a token, or a field of one.
   *
   * @param node who says it
   * @param path of the token
   * @param field of what the token holds; empty where it is one value
   */
  private record Known(Node node, StyleKey key, String path, String field, TokenValue as) {}

  private final Document document;
  private final Band band;
  private final List<Known> known = new ArrayList<>();

  private DesignTokens(Document document) {
    this.document = document;
    this.band = document.bands().lead();
    for (Tone tone : Tone.ALL) {
      if (!Tone.OWN.contains(tone) || document.site().called(tone).isPresent()) {
        for (ToneColour name : ToneColour.values()) {
          know(
              document.site(),
              tone.part(),
              Property.of(name),
              tone.part().id().id() + "." + PickKind.word(name),
              "",
              TokenValue.COLOR);
        }
      }
    }
    for (TypeStyle style : TypeStyle.values()) {
      Part part = TypeStyles.part(style);
      String path = part.id().id();
      know(document.site(), part, Property.WEIGHT, path, "fontWeight", TokenValue.WEIGHT);
      know(document.site(), part, Property.LEADING, path, "lineHeight", TokenValue.NUMBER);
    }
    document.site().looks().forEach(this::know);
  }

  private void know(
      Node node, Part part, Property<?> property, String path, String field, TokenValue as) {
    known.add(new Known(node, part.key(property, State.REST), path, field, as));
  }

  /** Of a look what it says in the widest band, where the format has a type for it. */
  private void know(Look look) {
    look.values()
        .styles()
        .set()
        .forEach((key, said) -> {
          Object value = said.get(band.id());
          type(key, value)
              .ifPresent(as ->
                  known.add(
                      new Known(
                          look,
                          key,
                          "look."
                              + look.id()
                              + "."
                              + key.part().id()
                              + "."
                              + StyleKey.word(key.state())
                              + "."
                              + key.property().id(),
                          "",
                          as)));
        });
  }

  private static Optional<TokenValue> type(StyleKey key, @Nullable Object value) {
    return switch (value) {
      case Ink.Own _ -> Optional.of(TokenValue.COLOR);
      case Ground.Plain(Ink.Own _) -> Optional.of(TokenValue.COLOR);
      case Length length when length.unit() == Length.Unit.PX || length.unit() == Length.Unit.REM ->
          Optional.of(TokenValue.DIMENSION);
      case Integer _ when key.property().equals(Property.WEIGHT) -> Optional.of(TokenValue.WEIGHT);
      case Double _ -> Optional.of(TokenValue.NUMBER);
      case null, default -> Optional.empty();
    };
  }

  private Scope scope(Node node) {
    return Resolution.scope(document, node);
  }

  private <T> T of(Part part, Property<T> property) {
    return Cascade.value(part, property, State.REST, scope(document.site()), band);
  }

  /** A value as it is, as documents have it. */
  private Object now(Known it) {
    Setting<?> setting = it.node.type().style(it.key);
    Object own = it.node.values().styles().own(it.key, band.id());
    if (own != null) {
      return setting.write(own);
    }
    Part part = Anatomy.part(it.key.part());
    return setting.write(
        Cascade.value(part, it.key.property(), it.key.state(), scope(it.node), band));
  }

  // --- out -------------------------------------------------------------------------------------

  /** The tokens of the site of a page. */
  public static String write(Document document) {
    return new DesignTokens(document).write().toPrettyString() + "\n";
  }

  private ObjectNode write() {
    ObjectNode file = MAKE.objectNode();
    for (Known each : known) {
      ObjectNode token = at(file, each.path);
      if (each.field.isEmpty()) {
        token.put("$type", each.as.type());
        token.set("$value", each.as.write(now(each)));
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
    family(at(file, "family.text"), of(TypeParts.FAMILIES, Property.TEXT_FACE));
    family(at(file, "family.display"), of(TypeParts.FAMILIES, Property.DISPLAY_FACE));
  }

  private static void family(ObjectNode token, Typeface face) {
    token.put("$type", "fontFamily");
    token.putArray("$value").add(called(face)).add(face.stand().generic());
  }

  /** Its name without what says how its file is made. */
  private static String called(Typeface face) {
    return face.face().replace(" Variable", "");
  }

  private void typography(ObjectNode token, Part part) {
    token.put("$type", "typography");
    ObjectNode value = token.putObject("$value");
    value.set("fontFamily", family(of(part, Property.FAMILY)));
    TypeSize size = of(part, Property.TEXT_SIZE);
    value.set("fontSize", TokenValue.DIMENSION.write(plain(size.most())));
    value.put("fontWeight", of(part, Property.WEIGHT));
    value.set(
        "letterSpacing", TokenValue.DIMENSION.write(spacing(size, of(part, Property.SPACING))));
    value.put("lineHeight", of(part, Property.LEADING));
  }

  private static JsonNode family(Family family) {
    return switch (family) {
      case TEXT -> MAKE.stringNode(TEXT);
      case DISPLAY -> MAKE.stringNode(DISPLAY);
      default ->
          MAKE.arrayNode().add(family.typeface().map(DesignTokens::called).orElse("monospace"));
    };
  }

  /** A size in one of the units that the format has. */
  private static String plain(Length length) {
    return length.unit() == Length.Unit.REM ? length.css() : Length.px(length.constantPx()).css();
  }

  private static String spacing(TypeSize size, double share) {
    return Length.px(Math.round(share * size.most().constantPx() * 1000) / 1000.0).css();
  }

  // --- in --------------------------------------------------------------------------------------

  /**
   * Reads a file of tokens; nothing changes by it.
   *
   * @throws Refused where it is no file of tokens
   * @throws DocumentJson.Faults where it is no JSON
   */
  public static Read read(Document document, String json) {
    return new DesignTokens(document).read(TokenTree.of(DocumentJson.parse(json)));
  }

  private Read read(TokenTree tree) {
    var refused = new ArrayList<>(tree.refused());
    var edits = new ArrayList<Edit>();
    var taken = new TreeMap<String, Boolean>();
    for (Known each : known) {
      tree.at(each.path)
          .ifPresent(token -> {
            taken.put(each.path, true);
            take(tree, token, each, edits, refused);
          });
    }
    for (Map.Entry<String, Property<Typeface>> each :
        Map.of("family.text", Property.TEXT_FACE, "family.display", Property.DISPLAY_FACE)
            .entrySet()) {
      tree.at(each.getKey())
          .ifPresent(token -> {
            taken.put(each.getKey(), true);
            face(tree, token, each.getValue(), edits, refused);
          });
    }
    for (TypeStyle style : TypeStyle.values()) {
      Part part = TypeStyles.part(style);
      tree.at(part.id().id()).ifPresent(token -> letters(tree, token, part, edits, refused));
    }
    edits.sort(Comparator.comparing(edit -> ((Edit.SetStyle) edit).key().written()));
    Site then = document.site();
    Site now = Edits.apply(document, edits).document().site();
    return new Read(
        SiteDifference.between(then, now),
        refused,
        tree.paths().size() - taken.size(),
        List.copyOf(edits));
  }

  /** A value of a token, or of a field of it. */
  private static Optional<TokenTree.Token> value(
      TokenTree tree, TokenTree.Token token, String field, String type) {
    TokenTree.Token whole = tree.followed(token.path(), token.type(), token.value());
    if (field.isEmpty()) {
      return Optional.of(typed(whole, token, type));
    }
    TokenTree.Token composite = typed(whole, token, "typography");
    JsonNode inner = composite.value().get(field);
    return inner == null ? Optional.empty() : Optional.of(tree.followed(token.path(), "", inner));
  }

  /** A token whose type is that which is asked for; one that has none is taken as it. */
  private static TokenTree.Token typed(TokenTree.Token it, TokenTree.Token asked, String type) {
    String has = asked.type().isEmpty() ? it.type() : asked.type();
    if (!has.isEmpty() && !has.equals(type)) {
      throw new Refused("type", has, type);
    }
    return it;
  }

  private void take(
      TokenTree tree, TokenTree.Token token, Known it, List<Edit> edits, List<Refused> refused) {
    try {
      Optional<TokenTree.Token> said = value(tree, token, it.field, it.as.type());
      if (said.isEmpty()) {
        return;
      }
      Object raw = it.as.read(said.get().value());
      Object was = it.as.read(it.as.write(now(it)));
      if (!raw.equals(was)) {
        edits.add(set(it.node, it.key, raw));
      }
    } catch (Refused e) {
      refused.add(placed(e, token, it.field));
    }
  }

  private static Refused placed(Refused e, TokenTree.Token token, String field) {
    String path = field.isEmpty() ? token.path() : token.path() + "." + field;
    return e.where().isEmpty() ? e.at(path) : e;
  }

  /** An edit that is accepted, or a reason why not. */
  private Edit set(Node node, StyleKey key, Object raw) {
    node.type().style(key).read(raw);
    return new Edit.SetStyle(node.id(), key, band.id(), raw);
  }

  private void face(
      TokenTree tree,
      TokenTree.Token token,
      Property<Typeface> property,
      List<Edit> edits,
      List<Refused> refused) {
    try {
      JsonNode said = value(tree, token, "", "fontFamily").orElseThrow().value();
      Typeface face = typeface(said);
      if (face != of(TypeParts.FAMILIES, property)) {
        edits.add(
            set(
                document.site(),
                TypeParts.FAMILIES.key(property, State.REST),
                PickKind.word(face)));
      }
    } catch (Refused e) {
      refused.add(placed(e, token, ""));
    }
  }

  /** The first of its names that is a family of ours. */
  private static Typeface typeface(JsonNode said) {
    var names = new ArrayList<String>();
    if (said.isArray()) {
      said.forEach(each -> names.add(each.asString("")));
    } else {
      names.add(said.asString(""));
    }
    var ours = new HashMap<String, Typeface>();
    for (Typeface each : Typeface.values()) {
      ours.put(each.face().toLowerCase(Locale.ROOT), each);
      ours.put(called(each).toLowerCase(Locale.ROOT), each);
    }
    return names.stream()
        .map(name -> ours.get(name.strip().toLowerCase(Locale.ROOT)))
        .filter(Objects::nonNull)
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "font family",
                String.join(", ", names),
                "one that ships, or Own 1 to Own 6 for those of the site"));
  }

  /** Family, size and spacing of a style, which are not said as they are kept. */
  private void letters(
      TokenTree tree, TokenTree.Token token, Part part, List<Edit> edits, List<Refused> refused) {
    TypeSize size = of(part, Property.TEXT_SIZE);
    double px = size.most().constantPx();
    try {
      Optional<TokenTree.Token> said = value(tree, token, "fontSize", "");
      if (said.isPresent()) {
        Object raw = TokenValue.DIMENSION.read(said.get().value());
        px = Length.parse(raw.toString()).constantPx();
        if (!raw.equals(
            TokenValue.DIMENSION.read(TokenValue.DIMENSION.write(plain(size.most()))))) {
          edits.add(set(document.site(), part.key(Property.TEXT_SIZE, State.REST), raw));
        }
      }
    } catch (Refused e) {
      refused.add(placed(e, token, "fontSize"));
    }
    try {
      Optional<TokenTree.Token> said = value(tree, token, "letterSpacing", "");
      if (said.isPresent()) {
        Length spacing = Length.parse(TokenValue.DIMENSION.read(said.get().value()).toString());
        double share = Math.round(spacing.constantPx() / px * 10_000) / 10_000.0;
        if (Math.abs(share - of(part, Property.SPACING)) > 0.0002) {
          edits.add(set(document.site(), part.key(Property.SPACING, State.REST), share));
        }
      }
    } catch (Refused e) {
      refused.add(placed(e, token, "letterSpacing"));
    }
    try {
      JsonNode said =
          tree.followed(token.path(), token.type(), token.value()).value().path("fontFamily");
      if (!said.isMissingNode()) {
        Family family = family(tree, token, said);
        if (family != of(part, Property.FAMILY)) {
          edits.add(
              set(document.site(), part.key(Property.FAMILY, State.REST), PickKind.word(family)));
        }
      }
    } catch (Refused e) {
      refused.add(placed(e, token, "fontFamily"));
    }
  }

  /** The family that a style is of: as texts, or headings, of the site are, or one by its name. */
  private static Family family(TokenTree tree, TokenTree.Token token, JsonNode said) {
    String alias = TokenTree.alias(said).map(path -> "{" + path + "}").orElse("");
    if (alias.equals(TEXT)) {
      return Family.TEXT;
    }
    if (alias.equals(DISPLAY)) {
      return Family.DISPLAY;
    }
    JsonNode names = tree.followed(token.path(), "", said).value();
    if (names.isArray() && names.size() == 1 && names.get(0).asString("").equals("monospace")) {
      return Family.CODE;
    }
    return Family.valueOf(typeface(names).name());
  }
}
