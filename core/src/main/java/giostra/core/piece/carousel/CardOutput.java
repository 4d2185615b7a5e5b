package giostra.core.piece.carousel;

import giostra.core.output.Css;
import giostra.core.output.Html;
import giostra.core.output.Pictures;
import giostra.core.output.Shipped;
import giostra.core.output.Writing;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.LinkSettings.Link;
import giostra.core.page.PieceSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.piece.carousel.CarouselSettings.Frame;
import giostra.core.piece.carousel.CarouselSettings.LinkOn;
import giostra.core.piece.carousel.CarouselSettings.NameLine;
import giostra.core.piece.carousel.CarouselSettings.PictureShape;
import giostra.core.value.Aspect;
import giostra.core.value.Length;
import giostra.core.value.Require;
import java.util.stream.Stream;

/** Writes a card of a carousel: a quotation with its speaker, or a picture with its text. */
final class CardOutput {
  private final Writing writing;
  private final Carousel piece;
  private final Html out;

  CardOutput(Writing writing, Carousel piece) {
    this.writing = writing;
    this.piece = piece;
    this.out = writing.out();
  }

  void html(Item item, int level) {
    if (quotes()) {
      quotation(item);
    } else {
      picture(item, level);
    }
  }

  private boolean quotes() {
    return piece.values().get(CarouselSettings.CARD) == Card.QUOTATION;
  }

  private String framed(String classes) {
    return switch (piece.values().get(CarouselSettings.FRAME)) {
      case BOX -> classes;
      case NONE -> classes + " g-bare";
      case TAIL -> classes + (quotes() ? " g-tailed" : "");
    };
  }

  private void quotation(Item item) {
    writing.needs("quotation");
    String name = Fields.shown(piece, item, ItemSettings.NAME);
    String role = Fields.shown(piece, item, ItemSettings.ROLE);
    boolean withText = piece.values().get(CarouselSettings.NAME_LINE) == NameLine.TEXT;
    out.open("figure", "class", framed("g-card g-quotation"));
    out.open("div", "class", "g-words").open("blockquote", "class", "g-copy");
    writing.text(
        item,
        Fields.shown(piece, item, ItemSettings.TEXT),
        piece.values().get(PieceSettings.SHORTEN));
    out.close("blockquote");
    if (withText) {
      speaker(name, role);
    }
    out.close("div").open("figcaption");
    if (!Fields.off(piece, "picture")) {
      writing
          .pictures()
          .find(item.values().get(ItemSettings.PICTURE))
          .ifPresent(
              // The name stands beside it, so the portrait itself decorates.
              portrait -> {
                out.open("span", "class", "g-portrait");
                writing.image(
                    writing.there(item),
                    portrait,
                    "",
                    widths -> widths.item(piece, item, Pictures.size(portrait)),
                    "loading",
                    "lazy");
                out.close("span");
              });
    }
    if (!withText) {
      speaker(name, role);
    }
    out.close("figcaption").close("figure");
  }

  private void speaker(String name, String role) {
    if (name.isEmpty() && role.isEmpty()) {
      return;
    }
    out.open("div", "class", "g-speaker");
    if (!name.isEmpty()) {
      out.element("div", name, "class", "g-name");
    }
    if (!role.isEmpty()) {
      out.element("div", role, "class", "g-role");
    }
    out.close("div");
  }

  private void picture(Item item, int level) {
    Link link = ItemSettings.LINK.in(item.values());
    boolean leads = link.leads() && !Fields.off(piece, "link");
    LinkOn on = linkOn(item);
    out.open("div", "class", framed("g-card"));
    writing.picture(
        piece,
        item,
        ItemSettings.PICTURE,
        "g-shot",
        () -> {
          if (leads && on == LinkOn.PICTURE) {
            over(item, link);
          }
        });
    out.open("div", "class", "g-body");
    writing.icon(piece, item, "");
    boolean button = !Fields.shown(piece, item, ItemSettings.BUTTON).isEmpty();
    writing.copy(piece, item, level, on == LinkOn.HEADING && !button);
    writing.buttons(piece, item);
    out.close("div");
    if (leads && on == LinkOn.CARD) {
      over(item, link);
    }
    out.close("div");
  }

  /** What the link is on: where there is no such thing, on another, so that it leads somewhere. */
  private LinkOn linkOn(Item item) {
    LinkOn on = piece.values().get(CarouselSettings.LINK_ON);
    boolean pictured =
        !Fields.off(piece, "picture")
            && writing.pictures().find(item.values().get(ItemSettings.PICTURE)).isPresent();
    boolean worded =
        Stream.of(ItemSettings.HEADING, ItemSettings.BUTTON)
            .anyMatch(each -> !Fields.shown(piece, item, each).isEmpty());
    return switch (on) {
      case HEADING -> worded || !pictured ? on : LinkOn.PICTURE;
      case PICTURE -> pictured ? on : LinkOn.HEADING;
      case CARD -> on;
    };
  }

  /** A link over all of what it stands in, named by what names the item. */
  private void over(Item item, Link link) {
    String alt = item.values().get(ItemSettings.ALT);
    String name =
        Stream.of(
                link.label(),
                Fields.shown(piece, item, ItemSettings.HEADING),
                alt,
                writing
                    .pictures()
                    .find(item.values().get(ItemSettings.PICTURE))
                    .map(Shipped.Picture::alt)
                    .orElse(""))
            .filter(each -> !each.isEmpty())
            .findFirst()
            .orElse(link.address());
    writing
        .link(new Link(link.address(), link.window(), link.relations(), name), "g-leads")
        .close("a");
  }

  void css() {
    String id = "#g-" + piece.id();
    if (quotes()) {
      quotationCss(id);
      return;
    }
    writing.put(
        id + " .g-shot",
        "aspect-ratio",
        piece,
        CarouselSettings.PICTURE_SHAPE,
        shape -> shape.aspect().map(Aspect::css).orElse("auto"));
    writing.put(
        id + " .g-shot",
        "--g-shape",
        piece,
        CarouselSettings.PICTURE_SHAPE,
        shape -> shape == PictureShape.ROUND ? "50%" : "initial");
    writing.put(
        id + " .g-shot", "inline-size", piece, CarouselSettings.PICTURE_WIDTH, w -> w.css());
    writing.put(id + " .g-shot", "align-self", piece, CarouselSettings.PICTURE_PLACE, Css::flex);
  }

  /** Shares are of the card, wherever in it the portrait stands. */
  private static String face(Length width) {
    return width.unit() == Length.Unit.PERCENT
        ? Require.number(width.amount()) + "cqi"
        : width.css();
  }

  private void quotationCss(String id) {
    String quotation = id + " .g-quotation";
    writing.put(
        quotation,
        "flex-direction",
        piece,
        CarouselSettings.PORTRAIT,
        side ->
            switch (side) {
              case ABOVE -> "column-reverse";
              case BELOW -> "column";
              case START -> "row-reverse";
              case END -> "row";
            });
    // With the portrait at a side the quotation takes what is left; above or below it fills up.
    writing.put(
        quotation + " figcaption",
        "flex-direction",
        piece,
        CarouselSettings.PORTRAIT,
        side -> CarouselSettings.beside(side) ? "column" : "row");
    // Beside the quotation it leaves it half of the card; in a row it leaves the name some room.
    writing.put(
        quotation + " figcaption",
        "max-inline-size",
        piece,
        CarouselSettings.PORTRAIT,
        side -> CarouselSettings.beside(side) ? "50cqi" : "none");
    writing.put(
        quotation + " figcaption",
        "--g-most",
        piece,
        CarouselSettings.PORTRAIT,
        side -> CarouselSettings.beside(side) ? "100%" : "max(56px, 100% - 9rem)");
    writing.put(
        quotation + " figcaption", "justify-content", piece, PieceSettings.TEXT_ALIGN, Css::flex);
    writing.put(
        quotation,
        "--g-face",
        piece,
        CarouselSettings.PICTURE_WIDTH,
        width -> face(CarouselSettings.portraitWidth(width)));
    writing.put(
        quotation + " .g-portrait",
        "border-radius",
        piece,
        CarouselSettings.PICTURE_SHAPE,
        shape ->
            shape == PictureShape.ROUND || shape == CarouselSettings.PICTURE_SHAPE.initial()
                ? "50%"
                : CarouselParts.PORTRAIT_CORNERS.css());
    writing.put(
        quotation + " .g-portrait",
        "aspect-ratio",
        piece,
        CarouselSettings.PICTURE_SHAPE,
        shape -> shape.portrait().css());
    if (piece.values().get(CarouselSettings.FRAME) == Frame.TAIL) {
      writing.put(
          quotation,
          "--g-tail",
          piece,
          CarouselSettings.PORTRAIT,
          side ->
              switch (side) {
                case ABOVE -> "auto auto 100% 28px";
                case BELOW -> "100% auto auto 28px";
                case START -> "28px 100% auto auto";
                case END -> "28px auto auto 100%";
              });
    }
  }
}
