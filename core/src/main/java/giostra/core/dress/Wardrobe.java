package giostra.core.dress;

import giostra.core.band.Band;
import giostra.core.look.Part;
import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What a piece may wear: looks of its site, and looks that ship. */
public final class Wardrobe {
  private Wardrobe() {}

  /**
   * A look on its hanger.
   *
   * @param says what it is like; empty for one of the site's own
   * @param shipped whether the site does not have it yet
   * @param usual whether pieces of the kind wear it that wear no other
   * @param wear edits with which the piece wears it
   * @param everywhere edits that make it the usual one of its kind, or end that; none for a look
   *     that the site does not have
   */
  public record Hanger(
      String id,
      String name,
      String says,
      boolean shipped,
      boolean worn,
      boolean usual,
      List<Edit> wear,
      List<Edit> everywhere) {
    public Hanger {
      wear = List.copyOf(wear);
      everywhere = List.copyOf(everywhere);
    }
  }

  /** The look with an id as the site has it, or as it ships. */
  public static Optional<Look> look(Document document, String id) {
    return document
        .site()
        .look(id)
        .or(() ->
            ShippedLooks.all().stream()
                .filter(each -> each.id().equals(id))
                .map(each -> each.look(document.bands().lead().id()))
                .findFirst());
  }

  /** The document with a piece wearing a look, whether or not the site has that; or none. */
  public static Document wearing(Document document, Piece piece, String id) {
    var edits = new ArrayList<Edit>();
    Look look =
        id.isEmpty()
            ? null
            : look(document, id)
                .orElseThrow(() -> new Refused("look", id, "one of the site or that ships"));
    if (look != null) {
      edits.addAll(bringing(document.site(), look));
    }
    edits.add(wear(piece, id));
    return Edits.apply(document, edits).document();
  }

  /**
   * A site to which a page comes from elsewhere: with the looks that its pieces name and the site
   * has not, as far as its bands have them. What is usual elsewhere is not so here.
   */
  public static Site bringing(Site site, Document page) {
    var looks = new ArrayList<>(site.looks());
    for (Piece piece : page.pieces()) {
      String id = piece.values().get(LookSettings.WORN);
      if (!id.isEmpty() && looks.stream().noneMatch(look -> look.id().equals(id))) {
        page.site()
            .look(id)
            .map(look -> look.with(fitted(look.values(), site)))
            .ifPresent(looks::add);
      }
    }
    return site.holding(looks);
  }

  private static Values fitted(Values values, Site site) {
    return values
        .mapBands(byBand -> {
          byBand
              .keySet()
              .removeIf(band ->
                  !band.equals(Values.ALL)
                      && site.bands().all().stream().noneMatch(each -> each.id().equals(band)));
          return byBand;
        })
        .with(LookSettings.USUAL, Values.ALL, null);
  }

  /** The manner in which pieces look that somebody starts with. */
  private static final String FIRST_MANNER = "Pebble";

  /**
   * The look that a new piece of a kind starts in: of the manner that the site has already, so that
   * one goes with the other; none where the site says itself what is usual.
   */
  public static Optional<Look> starting(Site site, NodeType kind) {
    if (site.usual(kind).isPresent()) {
      return Optional.empty();
    }
    String manner =
        site.looks().stream()
            .flatMap(
                look -> ShippedLooks.all().stream().filter(each -> each.id().equals(look.id())))
            .map(ShippedLooks.Shipped::name)
            .findFirst()
            .orElse(FIRST_MANNER);
    return ShippedLooks.of(kind).stream()
        .filter(each -> each.name().equals(manner))
        .findFirst()
        .map(each -> site.look(each.id()).orElseGet(() -> each.look(site.bands().lead().id())));
  }

  /** What a site takes in before a piece can wear a look; nothing where it has that already. */
  public static List<Edit> bringing(Site site, Look look) {
    return site.look(look.id()).isPresent()
        ? List.of()
        : List.of(new Edit.AddNode(Site.ID, site.looks().size(), look));
  }

  /** All that a piece may wear: first nothing, then what the site has, then what ships. */
  public static List<Hanger> of(Document document, Piece piece) {
    String own = piece.values().get(LookSettings.WORN);
    String worn = own.isEmpty() ? "" : document.site().wornBy(piece).map(Look::id).orElse("");
    String usual = document.site().usual(piece.type()).map(Look::name).orElse("");
    var all = new ArrayList<Hanger>();
    all.add(
        new Hanger(
            "",
            "As the site is",
            usual.isEmpty() ? "" : "With its usual look, " + usual,
            false,
            worn.isEmpty(),
            false,
            List.of(wear(piece, "")),
            List.of()));
    for (Look look : document.site().looks()) {
      if (look.of() == piece.type()) {
        all.add(
            new Hanger(
                look.id(),
                look.name(),
                "",
                false,
                look.id().equals(worn),
                look.usual(),
                List.of(wear(piece, look.id())),
                usual(document.site(), look, !look.usual())));
      }
    }
    for (ShippedLooks.Shipped each : ShippedLooks.of(piece.type())) {
      if (document.site().look(each.id()).isEmpty()) {
        Look look = each.look(document.bands().lead().id());
        all.add(
            new Hanger(
                each.id(),
                each.name(),
                each.says(),
                true,
                false,
                false,
                List.of(
                    new Edit.AddNode(Site.ID, document.site().looks().size(), look),
                    wear(piece, each.id())),
                List.of()));
      }
    }
    return all;
  }

  /** The edits that make a look the usual one of its kind, and no other, or end that. */
  static List<Edit> usual(Site site, Look look, boolean usual) {
    var edits = new ArrayList<Edit>();
    for (Look other : site.looks()) {
      if (usual && other.usual() && other.of() == look.of() && !other.id().equals(look.id())) {
        edits.add(usual(other.id(), null));
      }
    }
    if (site.look(look.id()).isPresent()) {
      edits.add(usual(look.id(), usual ? true : null));
    }
    return edits;
  }

  private static Edit usual(String look, @Nullable Boolean value) {
    return new Edit.SetValue(look, LookSettings.USUAL.id(), Values.ALL, value);
  }

  private static Edit wear(Piece piece, String look) {
    return new Edit.SetValue(
        piece.id(), LookSettings.WORN.id(), Values.ALL, look.isEmpty() ? null : look);
  }

  /**
   * Keeps how a piece looks as a look of the site, which it wears from then on: what it wore, with
   * its own departures over it.
   *
   * @param id of the new look
   */
  public static List<Edit> keep(Document document, Piece piece, String id, String name) {
    Styles all =
        document.site().wornBy(piece).map(look -> look.values().styles()).orElse(Styles.NONE);
    Styles own = piece.values().styles();
    for (StyleKey key : own.set().keySet()) {
      for (Band band : document.bands().all()) {
        // Where the piece says it, in that band or a wider one, the look's value did not hold.
        boolean outdone =
            document.bands().fromThenWider(band).stream()
                .anyMatch(each -> own.own(key, each.id()) != null);
        if (outdone) {
          all = all.with(key, band.id(), null);
        }
      }
    }
    var edits = new ArrayList<Edit>();
    for (var said : own.set().entrySet()) {
      for (var value : said.getValue().entrySet()) {
        all = all.with(said.getKey(), value.getKey(), value.getValue());
        edits.add(new Edit.SetStyle(piece.id(), said.getKey(), value.getKey(), null));
      }
    }
    Values named =
        Values.NONE
            .with(LookSettings.NAME, Values.ALL, name)
            .with(LookSettings.OF, Values.ALL, LookSettings.Of.of(piece.type()));
    edits.addFirst(
        new Edit.AddNode(Site.ID, document.site().looks().size(), new Look(id, named.with(all))));
    edits.add(wear(piece, id));
    return edits;
  }

  /** What the section or the page of a piece says of its parts: it is nearer than any look. */
  public record Held(Node by, int values, List<Edit> letGo) {
    public Held {
      letGo = List.copyOf(letGo);
    }
  }

  /** Who holds a piece in something that a look does not change. */
  public static List<Held> held(Document document, Piece piece) {
    Optional<Node> section =
        document.path(piece.id()).stream().filter(Section.class::isInstance).findFirst();
    return Stream.concat(section.stream(), Stream.of(document.page()))
        .map(node -> held(node, piece.type().parts()))
        .filter(held -> held.values() > 0)
        .toList();
  }

  private static Held held(Node node, List<Part> parts) {
    var letGo = new ArrayList<Edit>();
    node.values()
        .styles()
        .set()
        .forEach((key, byBand) -> {
          if (parts.stream().anyMatch(part -> part.id().equals(key.part()))) {
            byBand
                .keySet()
                .forEach(band -> letGo.add(new Edit.SetStyle(node.id(), key, band, null)));
          }
        });
    return new Held(node, letGo.size(), letGo);
  }
}
