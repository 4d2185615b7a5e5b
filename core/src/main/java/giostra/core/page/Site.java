package giostra.core.page;

import giostra.core.anatomy.Tone;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.value.FontsKind;
import java.util.List;
import java.util.Optional;

/**
 * What all pages of a site share: its bands, its widths, its looks. Each document carries it.
 *
 * @param looks in the order in which people see them
 */
public record Site(Bands bands, Values values, List<Look> looks) implements Node {
  /** The id of every site node. */
  public static final String ID = "site";

  public Site {
    looks = List.copyOf(looks);
  }

  /** A site without looks of its own. */
  public Site(Bands bands, Values values) {
    this(bands, values, List.of());
  }

  /** Whether a node with that id is the site or is of it: all pages share it. */
  public static boolean has(String id) {
    return id.equals(ID) || Look.isId(id);
  }

  /** The look with that id, where there is one. */
  public Optional<Look> look(String id) {
    return looks.stream().filter(look -> look.id().equals(id)).findFirst();
  }

  /**
   * The look that a piece wears: its own, or that which is usual for its kind. One of another kind,
   * or one that is gone, is none.
   */
  public Optional<Look> wornBy(Piece piece) {
    String id = piece.values().get(LookSettings.WORN);
    Optional<Look> own =
        id.isEmpty() ? Optional.empty() : look(id).filter(look -> look.of() == piece.type());
    return own.or(() -> usual(piece.type()));
  }

  /** The look that pieces of a kind wear that have none of their own. */
  public Optional<Look> usual(NodeType kind) {
    return looks.stream().filter(look -> look.usual() && look.of() == kind).findFirst();
  }

  /** A tone as it is called here; nothing of one that the site has not made. */
  public Optional<Tone> called(Tone tone) {
    int own = Tone.OWN.indexOf(tone);
    if (own < 0) {
      return Optional.of(tone);
    }
    String name = values.get(SiteSettings.TONES.get(own));
    return name.isBlank()
        ? Optional.empty()
        : Optional.of(new Tone(tone.id(), name, tone.colours()));
  }

  /** Ids of the files that its own families are made of, in their order. */
  public List<List<String>> fonts() {
    if (SiteSettings.FONTS.stream().noneMatch(each -> values.set().containsKey(each.id()))) {
      return List.of();
    }
    return SiteSettings.FONTS.stream().map(each -> FontsKind.ids(values.get(each))).toList();
  }

  @Override
  public String id() {
    return ID;
  }

  @Override
  public List<Look> children() {
    return looks;
  }

  @Override
  public NodeType type() {
    return NodeType.SITE;
  }

  @Override
  public Site with(Values values) {
    return new Site(bands, values, looks);
  }

  /** The same site with other bands. */
  public Site with(Bands bands) {
    return new Site(bands, values, looks);
  }

  @Override
  public Site holding(List<? extends Node> children) {
    return new Site(bands, values, NodeType.checked(this, children, Look.class));
  }
}
