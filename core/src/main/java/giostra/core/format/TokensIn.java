package giostra.core.format;

import giostra.core.anatomy.TypeParts;
import giostra.core.anatomy.TypeStyles;
import giostra.core.format.SiteTokens.Known;
import giostra.core.format.TokenTree.Token;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Node;
import giostra.core.page.Site;
import giostra.core.page.SiteDifference;
import giostra.core.value.Family;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.TypeStyle;
import giostra.core.value.Typeface;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;

/** What a file of tokens would change of a site; nothing changes by it. */
final class TokensIn {
  private final SiteTokens site;
  private final TokenTree tree;
  private final List<Edit> edits = new ArrayList<>();
  private final List<Refused> refused = new ArrayList<>();
  private final Set<String> taken = new HashSet<>();

  TokensIn(Document document, TokenTree tree) {
    this.site = new SiteTokens(document);
    this.tree = tree;
    refused.addAll(tree.refused());
  }

  DesignTokens.Read read() {
    for (Known each : site.known()) {
      at(each.path(), token -> tried(token, each.field(), () -> take(token, each)));
    }
    at("family.text", token -> tried(token, "", () -> face(token, Property.TEXT_FACE)));
    at("family.display", token -> tried(token, "", () -> face(token, Property.DISPLAY_FACE)));
    for (TypeStyle style : TypeStyle.values()) {
      Part part = TypeStyles.part(style);
      at(part.id().id(), token -> letters(token, part));
    }
    edits.sort(Comparator.comparing(edit -> ((Edit.SetStyle) edit).key().written()));
    Site then = site.document().site();
    Site now = Edits.apply(site.document(), edits).document().site();
    return new DesignTokens.Read(
        SiteDifference.between(then, now),
        refused,
        tree.paths().size() - taken.size(),
        List.copyOf(edits));
  }

  private void at(String path, Consumer<Token> take) {
    tree.at(path)
        .ifPresent(token -> {
          taken.add(path);
          take.accept(token);
        });
  }

  /** Takes something of a token; where that cannot be, nothing else is lost. */
  private void tried(Token token, String field, Runnable take) {
    try {
      take.run();
    } catch (Refused e) {
      String path = field.isEmpty() ? token.path() : token.path() + "." + field;
      refused.add(e.where().isEmpty() ? e.at(path) : e);
    }
  }

  /** A value of a token, or of a field of it. */
  private Optional<JsonNode> value(Token token, String field, String type) {
    Token whole = tree.followed(token.path(), token.type(), token.value());
    if (field.isEmpty()) {
      return Optional.of(typed(whole, token, type).value());
    }
    JsonNode inner = typed(whole, token, "typography").value().get(field);
    return inner == null
        ? Optional.empty()
        : Optional.of(tree.followed(token.path(), "", inner).value());
  }

  /** A token whose type is that which is asked for; one that has none is taken as it. */
  private static Token typed(Token it, Token asked, String type) {
    String has = asked.type().isEmpty() ? it.type() : asked.type();
    if (!has.isEmpty() && !has.equals(type)) {
      throw new Refused("type", has, type);
    }
    return it;
  }

  private void take(Token token, Known it) {
    value(token, it.field(), it.as().type())
        .ifPresent(said -> {
          Object raw = it.as().read(said);
          if (!raw.equals(it.as().read(it.as().write(site.now(it))))) {
            set(it.node(), it.key(), raw);
          }
        });
  }

  /** Notes an edit that is accepted. */
  private void set(Node node, StyleKey key, Object raw) {
    node.type().style(key).read(raw);
    edits.add(new Edit.SetStyle(node.id(), key, site.band().id(), raw));
  }

  private void set(Part part, Property<?> property, Object raw) {
    set(site.document().site(), part.key(property, State.REST), raw);
  }

  private void face(Token token, Property<Typeface> property) {
    Typeface face = typeface(value(token, "", "fontFamily").orElseThrow());
    if (face != site.of(TypeParts.FAMILIES, property)) {
      set(TypeParts.FAMILIES, property, PickKind.word(face));
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
      ours.put(SiteTokens.called(each).toLowerCase(Locale.ROOT), each);
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
  private void letters(Token token, Part part) {
    tried(token, "fontSize", () -> size(token, part));
    tried(token, "letterSpacing", () -> spacing(token, part));
    tried(token, "fontFamily", () -> family(token, part));
  }

  private Optional<Length> fontSize(Token token) {
    return value(token, "fontSize", "")
        .map(said -> Length.parse(TokenValue.DIMENSION.read(said).toString()));
  }

  private void size(Token token, Part part) {
    JsonNode kept =
        TokenValue.DIMENSION.write(SiteTokens.plain(site.of(part, Property.TEXT_SIZE).most()));
    Length now = Length.parse(TokenValue.DIMENSION.read(kept).toString());
    fontSize(token)
        .filter(said -> !said.equals(now))
        .ifPresent(said -> set(part, Property.TEXT_SIZE, said.css()));
  }

  /** Spacing is kept as a share of the size that the letters then have. */
  private void spacing(Token token, Part part) {
    value(token, "letterSpacing", "")
        .ifPresent(said -> {
          Length spacing = Length.parse(TokenValue.DIMENSION.read(said).toString());
          double share = Math.round(spacing.constantPx() / px(token, part) * 10_000) / 10_000.0;
          if (Math.abs(share - site.of(part, Property.SPACING)) > 0.0002) {
            set(part, Property.SPACING, share);
          }
        });
  }

  private double px(Token token, Part part) {
    try {
      Optional<Length> said = fontSize(token);
      if (said.isPresent()) {
        return said.get().constantPx();
      }
    } catch (Refused _) {
      // What is wrong with it is said where it is taken.
    }
    return site.of(part, Property.TEXT_SIZE).most().constantPx();
  }

  private void family(Token token, Part part) {
    JsonNode said =
        tree.followed(token.path(), token.type(), token.value()).value().path("fontFamily");
    if (said.isMissingNode()) {
      return;
    }
    Family family = family(token, said);
    if (family != site.of(part, Property.FAMILY)) {
      set(part, Property.FAMILY, PickKind.word(family));
    }
  }

  /** The family that a style is of: as texts, or headings, of the site are, or one by its name. */
  private Family family(Token token, JsonNode said) {
    String alias = TokenTree.alias(said).map(path -> "{" + path + "}").orElse("");
    if (alias.equals(DesignTokens.TEXT)) {
      return Family.TEXT;
    }
    if (alias.equals(DesignTokens.DISPLAY)) {
      return Family.DISPLAY;
    }
    JsonNode names = tree.followed(token.path(), "", said).value();
    if (names.isArray() && names.size() == 1 && names.get(0).asString("").equals("monospace")) {
      return Family.CODE;
    }
    return Family.valueOf(typeface(names).name());
  }
}
