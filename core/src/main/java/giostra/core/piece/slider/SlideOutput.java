package giostra.core.piece.slider;

import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.output.Css;
import giostra.core.output.Html;
import giostra.core.output.Shipped;
import giostra.core.output.Writing;
import giostra.core.page.DriveSettings;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.ItemSettings.Beside;
import giostra.core.page.LinkSettings.Link;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Form;
import giostra.core.piece.slider.SliderSettings.PictureSide;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.piece.slider.SliderSettings.WholeLink;
import giostra.core.value.Framing;
import giostra.core.value.Height;
import giostra.core.value.Place;
import giostra.core.value.ToneColour;
import java.util.List;

/** Writes a slide: its ground, a picture under or beside its text, its place, and its links. */
final class SlideOutput {
  /** Colours that are others over a picture: nothing is raised there, and no lines are drawn. */
  private static final List<ToneColour> OVER_PICTURE =
      List.of(
          ToneColour.INK, ToneColour.QUIET, ToneColour.ACCENT, ToneColour.GROUND, ToneColour.RING);

  private final Writing writing;
  private final Slider piece;
  private final Html out;
  private final String id;

  SlideOutput(Writing writing, Slider piece) {
    this.writing = writing;
    this.piece = piece;
    this.out = writing.out();
    this.id = "#g-" + piece.id();
  }

  void html(Item item, int index, int level) {
    String ground = Css.word(item.values().get(ItemSettings.GROUND));
    boolean even = index % 2 == 1;
    String side =
        switch (item.values().get(ItemSettings.BESIDE)) {
          case AS_PIECE -> even ? " g-even" : "";
          case START -> " g-first";
          case END -> " g-last";
        };
    boolean pictured =
        !Fields.off(piece, "picture")
            && writing.pictures().find(item.values().get(ItemSettings.PICTURE)).isPresent();
    Framing framing = item.values().get(DriveSettings.FRAMING);
    out.open(
        "div",
        "class",
        "g-slide g-on-" + ground + side + (pictured ? " g-pictured" : ""),
        "data-framing",
        pictured && !framing.isNone() ? framing.plain() : "");
    writing.picture(piece, item, ItemSettings.PICTURE, "g-shot", () -> moving(item));
    Link link = ItemSettings.LINK.in(item.values());
    WholeLink whole =
        link.leads() && !Fields.off(piece, "link")
            ? piece.values().get(SliderSettings.WHOLE_LINK)
            : WholeLink.NONE;
    out.open("div", "class", "g-stand").open("div", "class", "g-copybox");
    writing.icon(piece, item, "");
    writing.copy(piece, item, level, whole == WholeLink.NONE);
    writing.buttons(piece, item);
    out.close("div").close("div");
    new PinOutput(writing).html(item);
    if (whole != WholeLink.NONE) {
      String label = item.values().get(ItemSettings.HEADING);
      Link named =
          link.label().isEmpty()
              ? new Link(link.address(), link.window(), link.relations(), label)
              : link;
      writing.link(named, "g-whole g-whole-" + Css.word(whole)).close("a");
    }
    out.close("div");
  }

  /** Whether a slide has a clip over its picture. */
  static boolean moves(Piece piece, Item item) {
    return !Fields.off(piece, "picture")
        && !item.values().get(ItemSettings.PICTURE).isEmpty()
        && !item.values().get(ItemSettings.GROUND_CLIP).isEmpty();
  }

  /** Whether some slide of a slider has. */
  static boolean anyMoves(Piece piece) {
    return piece instanceof Slider && piece.onShow().stream().anyMatch(item -> moves(piece, item));
  }

  /** A clip that the script plays; until then, and without it, the picture below is what shows. */
  private void moving(Item item) {
    List<Shipped.Clip> files =
        moves(piece, item)
            ? writing.formats(item, ItemSettings.GROUND_CLIP, ItemSettings.GROUND_CLIP_2)
            : List.of();
    if (files.isEmpty()) {
      return;
    }
    out.open(
        "video",
        "class",
        "g-moving",
        "muted",
        "muted",
        "loop",
        "loop",
        "playsinline",
        "playsinline",
        "preload",
        "none",
        "aria-hidden",
        "true",
        "tabindex",
        "-1");
    files.forEach(file -> out.open("source", "src", file.path(), "type", file.type()));
    out.close("video");
  }

  private PictureUse use(Band band) {
    return writing.value(piece, SliderSettings.PICTURE_USE, band);
  }

  private PictureSide side(Band band) {
    return writing.value(piece, SliderSettings.PICTURE_SIDE, band);
  }

  private boolean beside(Band band) {
    return use(band) == PictureUse.BESIDE;
  }

  void css() {
    String slide = id + " .g-slide";
    writing.css().put(slide, "min-block-size", this::least);
    writing
        .css()
        .put(
            slide,
            "aspect-ratio",
            band ->
                down(band) ? "auto" : Css.ratio(writing.value(piece, SliderSettings.HEIGHT, band)));
    String corners = SliderParts.SLIDE.setting(Property.CORNERS).initial().css();
    writing.put(
        slide,
        "--g-round",
        piece,
        PieceSettings.EXTENT,
        extent -> extent == Extent.EDGE ? "0px" : corners);
    pictureCss(slide + ".g-pictured");
    contentCss();
  }

  private boolean down(Band band) {
    return writing.value(piece, TrackSettings.AXIS, band) == Axis.DOWN
        && writing.value(piece, TrackSettings.FORM, band) == Form.TRACK;
  }

  private String least(Band band) {
    Height height = writing.value(piece, SliderSettings.HEIGHT, band);
    return down(band) ? "100%" : Css.least(height);
  }

  private void pictureCss(String slide) {
    String shot = slide + ">.g-shot";
    writing
        .css()
        .put(
            slide,
            "flex-direction",
            band -> beside(band) && side(band) == PictureSide.ABOVE ? "column" : "row");
    writing
        .css()
        .put(
            shot,
            "inline-size",
            band -> beside(band) && side(band) != PictureSide.ABOVE ? share(band) : "100%");
    writing
        .css()
        .put(shot, "position", band -> use(band) == PictureUse.GROUND ? "absolute" : "relative");
    writing.css().put(shot, "display", band -> use(band) == PictureUse.NONE ? "none" : "block");
    writing
        .css()
        .put(
            shot,
            "aspect-ratio",
            band -> beside(band) && side(band) == PictureSide.ABOVE ? "16/10" : "auto");
    // Over a picture the ink is light on a darkened ground; beside it, that of the slide's ground.
    writing.css().put(slide, "--g-veil", band -> use(band) == PictureUse.GROUND ? "block" : "none");
    Scope scope = Resolution.scope(writing.document(), piece);
    for (ToneColour name : OVER_PICTURE) {
      writing
          .css()
          .put(
              slide + ">.g-stand",
              name.variable(),
              band ->
                  use(band) == PictureUse.GROUND
                      ? Tone.PICTURE.in(scope, band).colour(name).css()
                      : "inherit");
    }
    writing
        .css()
        .put(shot, "order", band -> beside(band) && side(band) == PictureSide.END ? "1" : "0");
    String even = id + " .g-slide.g-even>.g-shot";
    writing
        .css()
        .put(
            even,
            "order",
            band ->
                beside(band)
                        && (side(band) == PictureSide.END || side(band) == PictureSide.ALTERNATE)
                    ? "1"
                    : "0");
    departures();
  }

  /** Slides that say themselves on which side their picture stands. */
  private void departures() {
    boolean any =
        piece.onShow().stream()
            .anyMatch(i -> i.values().get(ItemSettings.BESIDE) != Beside.AS_PIECE);
    if (any) {
      writing.css().put(id + " .g-slide.g-first>.g-shot", "order", _ -> "0");
      writing
          .css()
          .put(
              id + " .g-slide.g-last>.g-shot",
              "order",
              band -> side(band) == PictureSide.ABOVE ? "0" : "1");
    }
  }

  private String share(Band band) {
    return "min(100%," + writing.value(piece, SliderSettings.PICTURE_SHARE, band).css() + ")";
  }

  private void contentCss() {
    String stand = id + " .g-stand";
    writing.put(stand, "place-items", piece, SliderSettings.PLACE, Place::css);
    writing.put(
        id + " .g-copybox",
        "inline-size",
        piece,
        SliderSettings.WORDS_MEASURE,
        w -> "min(100%," + w.css() + ")");
  }
}
