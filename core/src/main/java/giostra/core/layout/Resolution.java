package giostra.core.layout;

import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TypeStyles;
import giostra.core.band.Band;
import giostra.core.look.Cascade;
import giostra.core.look.Cascade.Voice;
import giostra.core.look.Layer;
import giostra.core.look.Part;
import giostra.core.look.Resolved;
import giostra.core.look.Scope;
import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.TypeStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Asks the cascade on behalf of a document: which layers speak for which node. */
public final class Resolution {
  private Resolution() {}

  /** The value of a setting of a node in a band, with its origin. */
  public static <T> Resolved<T> of(Document document, Node node, Setting<T> setting, Band band) {
    return Cascade.resolve(setting, voices(document, node, setting), document.bands(), band);
  }

  /** The value alone. */
  public static <T> T value(Document document, Node node, Setting<T> setting, Band band) {
    return Cascade.value(setting, voices(document, node, setting), document.bands(), band);
  }

  /** Whether a node, and all that it stands in, is shown in a band; dates apart. */
  public static boolean there(Document document, Node node, Band band) {
    return document.path(node.id()).stream()
        .allMatch(each ->
            switch (each) {
              case Piece piece -> value(document, piece, PieceSettings.SHOWN, band);
              case Item item -> value(document, item, ItemSettings.SHOWN, band);
              default -> true;
            });
  }

  /**
   * Who speaks of how the parts of a node look: itself, what it is an item of, its section, its
   * page, the look that it wears, its site.
   */
  public static Scope scope(Document document, Node node) {
    var voices = new ArrayList<Scope.Voice>();
    voices.add(voice(document, Layer.SITE, document.site()));
    if (node instanceof Site) {
      return new Scope(document.bands(), voices, document.site().fonts());
    }
    if (node instanceof Look) {
      voices.add(voice(document, Layer.LOOK, node));
      return new Scope(document.bands(), voices, document.site().fonts());
    }
    voices.add(voice(document, Layer.PAGE, document.page()));
    List<Node> way = document.path(node.id());
    way.stream()
        .filter(Section.class::isInstance)
        .findFirst()
        .ifPresent(section -> voices.add(voice(document, Layer.SECTION, section)));
    switch (node) {
      case Item item -> {
        voices.add(voice(document, Layer.ITEM, item));
        if (way.size() > 1 && way.get(way.size() - 2) instanceof Piece piece) {
          voices.addAll(ofPiece(document, piece));
        }
      }
      case Block.Pin pin -> {
        voices.add(voice(document, Layer.ITEM, pin));
        if (way.size() > 2 && way.get(way.size() - 3) instanceof Piece piece) {
          voices.addAll(ofPiece(document, piece));
        }
      }
      case Page _, Section _ -> {}
      case Piece piece -> voices.addAll(ofPiece(document, piece));
      default -> voices.add(voice(document, Layer.PIECE, node));
    }
    return new Scope(document.bands(), voices, document.site().fonts());
  }

  private static List<Scope.Voice> ofPiece(Document document, Piece piece) {
    var voices = new ArrayList<Scope.Voice>(List.of(voice(document, Layer.PIECE, piece)));
    document.site().wornBy(piece).ifPresent(look -> voices.add(voice(document, Layer.LOOK, look)));
    return voices;
  }

  /**
   * Who speaks of how all that wears a look appears in a section, or on a page: that, the look, and
   * what lies farther out.
   */
  public static Scope scope(Document document, Node holder, Look look) {
    var voices = new ArrayList<>(scope(document, holder).voices());
    voices.add(voice(document, Layer.LOOK, look));
    return new Scope(document.bands(), voices, document.site().fonts());
  }

  /**
   * The tone that a node stands in as it is in a band: that of its section, or over a picture that
   * is the section's ground.
   */
  public static Tone tone(Document document, Node node, Band band) {
    return tone(document, node).in(scope(document, node), band);
  }

  private static Tone tone(Document document, Node node) {
    Optional<Values> section =
        document.path(node.id()).stream()
            .filter(Section.class::isInstance)
            .map(Node::values)
            .findFirst();
    if (section.filter(values -> !values.get(SectionSettings.GROUND).isEmpty()).isPresent()) {
      return Tone.PICTURE;
    }
    String id =
        section
            .map(values -> PickKind.word(values.get(SectionSettings.TONE)))
            .orElse(Tone.PAPER.id());
    Tone tone =
        Tone.ALL.stream()
            .filter(each -> each.id().equals(id))
            .findFirst()
            .orElseThrow(() -> new IllegalStateException("no tone " + id));
    return document.site().called(tone).orElse(tone);
  }

  private static Scope.Voice voice(Document document, Layer layer, Node node) {
    return new Scope.Voice(layer, styles(document, node));
  }

  /** What a node says of how parts look, with what it says by styles of type spelled out. */
  public static Styles styles(Document document, Node node) {
    Styles own = node.values().styles();
    return TypeStyles.spelled(own, document.site().values().styles(), document.bands());
  }

  /** The style of type by which a layer says something of a part, where it does so. */
  public static Optional<TypeStyle> typeStyle(
      Document document, Node node, Layer layer, Part part, StyleKey key, Band band) {
    Styles site = document.site().values().styles();
    return speaker(document, node, layer)
        .flatMap(each ->
            TypeStyles.saying(each.values().styles(), site, part, key, document.bands(), band));
  }

  /** Whoever speaks of a node in a layer. */
  private static Optional<Node> speaker(Document document, Node node, Layer layer) {
    if (layer == layer(node)) {
      return Optional.of(node);
    }
    List<Node> way = document.path(node.id());
    return switch (layer) {
      case SITE -> Optional.of(document.site());
      case PAGE -> Optional.of(document.page());
      case SECTION -> way.stream().filter(Section.class::isInstance).findFirst();
      case PIECE -> nearest(way).map(Node.class::cast);
      case LOOK -> nearest(way).flatMap(document.site()::wornBy).map(Node.class::cast);
      case ITEM, INITIAL -> Optional.empty();
    };
  }

  private static Optional<Piece> nearest(List<Node> way) {
    return way.reversed().stream()
        .filter(Piece.class::isInstance)
        .map(Piece.class::cast)
        .findFirst();
  }

  private static List<Voice> voices(Document document, Node node, Setting<?> setting) {
    var own = new Voice(layer(node), node.values());
    // Sections take their side padding from the site; nothing else is lent yet.
    return setting == SectionSettings.PADDING && !(node instanceof Site)
        ? List.of(own, new Voice(Layer.SITE, document.site().values()))
        : List.of(own);
  }

  /** The layer that a node speaks in. */
  public static Layer layer(Node node) {
    return switch (node) {
      case Site _ -> Layer.SITE;
      case Look _ -> Layer.LOOK;
      case Page _ -> Layer.PAGE;
      case Section _ -> Layer.SECTION;
      case Item _, Block.Pin _ -> Layer.ITEM;
      case Block _, Column _ -> Layer.PIECE;
    };
  }
}
