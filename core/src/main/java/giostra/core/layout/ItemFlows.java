package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Height;
import giostra.core.band.Length;
import giostra.core.band.Setting;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.TextStyle.Text;
import giostra.core.page.AccordionSettings;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.CarouselSettings.Frame;
import giostra.core.page.CarouselSettings.NameLine;
import giostra.core.page.CarouselSettings.Portrait;
import giostra.core.page.CounterSettings;
import giostra.core.page.Fields;
import giostra.core.page.FlipSettings;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.SliderSettings;
import giostra.core.page.SliderSettings.PictureSide;
import giostra.core.page.SliderSettings.PictureUse;
import giostra.core.page.TabsSettings;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What one item of each kind holds, as it flows in one band: cards, slides, faces, panels, figures.
 * The distances are those of the sheets that the compiler ships; a journey holds the sum of them
 * against the browser.
 */
final class ItemFlows {
  private static final double REM = Length.ROOT_FONT_PX;

  /** Between the parts of a card, a face and the like. */
  private static final double PARTS = 0.6 * REM;

  /** The least that shows of the picture of a face, px. */
  static final double FACE_PICTURE = 120;

  private static final double ICON = 24;
  private static final double BORDER = 2;

  private final BlockFlows blocks;
  private final Band band;
  private final Locale locale;
  private final PictureSizes pictures;

  ItemFlows(BlockFlows blocks, Band band, Locale locale, PictureSizes pictures) {
    this.blocks = blocks;
    this.band = band;
    this.locale = locale;
    this.pictures = pictures;
  }

  private <T> T value(Node node, Setting<T> setting) {
    return Resolution.value(blocks.document(), node, setting, band);
  }

  private Flow copy(TextStyle style, Piece piece, String text) {
    return new CopyFlow(style, locale, pictures)
        .of(text, piece.values().get(PieceSettings.SHORTEN));
  }

  private Optional<PictureSizes.Size> picture(Piece piece, String id) {
    return Fields.off(piece, "picture") ? Optional.empty() : pictures.find(id);
  }

  private boolean icon(Piece piece, String name) {
    return !name.isEmpty() && !Fields.off(piece, "icon");
  }

  /** Kicker, heading, subheading and text, those that there are. */
  private List<Flow> words(Piece piece, Item item, TextStyle heading) {
    var parts = new ArrayList<Flow>();
    line(TextStyle.KICKER, Fields.shown(piece, item, ItemSettings.KICKER)).ifPresent(parts::add);
    line(heading, Fields.shown(piece, item, ItemSettings.HEADING)).ifPresent(parts::add);
    line(TextStyle.SUB, Fields.shown(piece, item, ItemSettings.SUBHEADING)).ifPresent(parts::add);
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      parts.add(copy(TextStyle.BODY, piece, text));
    }
    return parts;
  }

  private Optional<Text> line(TextStyle style, String text) {
    return text.isBlank() ? Optional.empty() : Optional.of(style.of(text, locale));
  }

  private Optional<Flow> buttons(Piece piece, Item item) {
    List<Text> all =
        Fields.buttons(piece, item).stream()
            .map(button -> TextStyle.BUTTON.of(button.words(), locale))
            .toList();
    return all.isEmpty() ? Optional.empty() : Optional.of(buttons(all));
  }

  /** Buttons in a row that wraps; one that is wider than the row breaks its words. */
  static Flow buttons(List<Text> all) {
    double across = 2 * 1.4 * REM;
    double down = 2 * 0.7 * REM;
    return (width, screen) ->
        Flow.wrapping(
                all.stream()
                    .map(text ->
                        new Flow.Box(
                            Math.min(width, text.natural(screen) + across),
                            text.height(Math.max(1, width - across), screen) + down))
                    .toList(),
                0.6 * REM,
                0.6 * REM)
            .height(width, screen);
  }

  // --- cards ---------------------------------------------------------------------------------

  Flow card(Piece.Carousel piece, Item item) {
    return piece.values().get(CarouselSettings.CARD) == Card.QUOTATION
        ? quotation(piece, item)
        : pictureCard(piece, item);
  }

  private Flow pictureCard(Piece.Carousel piece, Item item) {
    boolean bare = piece.values().get(CarouselSettings.FRAME) == Frame.NONE;
    var parts = new ArrayList<Flow>();
    if (icon(piece, item.values().get(ItemSettings.ICON))) {
      parts.add(Flow.fixed(ICON));
    }
    parts.addAll(words(piece, item, TextStyle.CARD_HEADING));
    buttons(piece, item).ifPresent(parts::add);
    double side = bare ? 0 : 1.35 * REM;
    Flow body = Flow.stack(parts, PARTS).within(new Line(1, -2 * side), (1.25 + 1.4) * REM);
    Optional<PictureSizes.Size> picture = picture(piece, item.values().get(ItemSettings.PICTURE));
    Flow whole = picture.map(size -> Flow.stack(List.of(shot(piece, size), body), 0)).orElse(body);
    return whole.within(new Line(1, -BORDER), BORDER);
  }

  private Flow shot(Piece.Carousel piece, PictureSizes.Size size) {
    Flow shot =
        switch (value(piece, CarouselSettings.PICTURE_SHAPE)) {
          case LANDSCAPE -> Flow.ratio(4, 3);
          case WIDE -> Flow.ratio(16, 9);
          case SQUARE, ROUND -> Flow.ratio(1, 1);
          case TALL -> Flow.ratio(4, 5);
          case AS_IS -> Flow.ratio(size.width(), size.height());
        };
    return shot.within(Line.of(value(piece, CarouselSettings.PICTURE_WIDTH)), 0);
  }

  private Flow quotation(Piece.Carousel piece, Item item) {
    Portrait side = value(piece, CarouselSettings.PORTRAIT);
    boolean beside = side == Portrait.START || side == Portrait.END;
    boolean named = piece.values().get(CarouselSettings.NAME_LINE) == NameLine.TEXT;
    Frame frame = piece.values().get(CarouselSettings.FRAME);
    boolean tailed = frame == Frame.TAIL;
    Flow quoted =
        Flow.stack(
            List.of(
                Flow.fixed(2.1 * REM),
                copy(TextStyle.QUOTATION, piece, Fields.shown(piece, item, ItemSettings.TEXT))),
            0);
    Flow speaker = speaker(piece, item);
    Flow words = named && speaker != Flow.NONE ? Flow.stack(List.of(quoted, speaker), REM) : quoted;
    if (tailed) {
      words = words.within(new Line(1, -2 * 1.5 * REM), 2 * 1.4 * REM);
    }
    Length asked = value(piece, CarouselSettings.PICTURE_WIDTH);
    Length face = asked.equals(CarouselSettings.PICTURE_WIDTH.initial()) ? Length.px(56) : asked;
    boolean pictured = picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    double[] shape =
        switch (value(piece, CarouselSettings.PICTURE_SHAPE)) {
          case LANDSCAPE, SQUARE, ROUND, AS_IS -> new double[] {1, 1};
          case WIDE -> new double[] {16, 9};
          case TALL -> new double[] {4, 5};
        };
    Flow portrait = pictured ? Flow.ratio(shape[0], shape[1]) : Flow.NONE;
    Flow foot = named ? Flow.NONE : speaker;
    double padX = tailed ? 0 : (frame == Frame.NONE ? 0 : 1.6 * REM);
    double padY = tailed ? 0 : (1.5 + 1.4) * REM;
    Flow own = words;
    double edge = tailed ? 0.3 * REM : 0;
    Flow whole =
        beside
            ? (width, screen) -> {
              double facing = Math.min(face.in(width), width);
              double caption =
                  Math.max(pictured ? facing : 0, named ? 0 : natural(piece, item, screen))
                      + 2 * edge;
              double left = Math.max(0, width - caption - 1.4 * REM);
              double stacked =
                  (pictured ? portrait.height(facing, screen) : 0)
                      + foot.height(caption - 2 * edge, screen)
                      + (pictured && foot != Flow.NONE ? 0.9 * REM : 0)
                      + (tailed ? 0.8 * REM : 0);
              return Math.max(own.height(left, screen), stacked);
            }
            : (width, screen) -> {
              double facing = Math.min(face.in(width), width);
              double gap = pictured && foot != Flow.NONE ? 0.9 * REM : 0;
              double beneath = width - 2 * edge - (pictured ? facing + gap : 0);
              double caption =
                  Math.max(
                          pictured ? portrait.height(facing, screen) : 0,
                          foot.height(Math.max(1, beneath), screen))
                      + (tailed ? 0.8 * REM : 0);
              return own.height(width, screen) + 1.4 * REM + caption;
            };
    double border = BORDER;
    return whole.within(new Line(1, -2 * padX - border), padY + border);
  }

  private Flow speaker(Piece piece, Item item) {
    var parts = new ArrayList<Flow>();
    line(TextStyle.NAME, Fields.shown(piece, item, ItemSettings.NAME)).ifPresent(parts::add);
    line(TextStyle.ROLE, Fields.shown(piece, item, ItemSettings.ROLE)).ifPresent(parts::add);
    return parts.isEmpty() ? Flow.NONE : Flow.stack(parts, 0);
  }

  private double natural(Piece piece, Item item, Screen screen) {
    double name =
        line(TextStyle.NAME, Fields.shown(piece, item, ItemSettings.NAME))
            .map(text -> text.natural(screen))
            .orElse(0.0);
    double role =
        line(TextStyle.ROLE, Fields.shown(piece, item, ItemSettings.ROLE))
            .map(text -> text.natural(screen))
            .orElse(0.0);
    return Math.max(name, role);
  }

  // --- slides --------------------------------------------------------------------------------

  Flow slide(Piece.Slider piece, Item item) {
    var parts = new ArrayList<Spaced>();
    words(piece, item, TextStyle.SLIDE_HEADING)
        .forEach(part -> parts.add(new Spaced(0.7 * REM, part)));
    buttons(piece, item).ifPresent(part -> parts.add(new Spaced((0.7 + 0.5) * REM, part)));
    double padding = value(piece, SliderSettings.PADDING).constantPx();
    Length content = value(piece, SliderSettings.CONTENT_WIDTH);
    Flow stand = Flow.stack(parts).narrowed(Line.of(content)).padded(padding);
    Height height = value(piece, SliderSettings.HEIGHT);
    Flow least = (width, screen) -> height.px(width, screen.height());
    boolean pictured = picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    boolean beside = pictured && value(piece, SliderSettings.PICTURE_USE) == PictureUse.BESIDE;
    if (!beside) {
      return stand.atLeast(least);
    }
    if (value(piece, SliderSettings.PICTURE_SIDE) == PictureSide.ABOVE) {
      return Flow.stack(List.of(Flow.ratio(16, 10), stand), 0).atLeast(least);
    }
    Line share = Line.of(value(piece, SliderSettings.PICTURE_SHARE));
    return stand.within(Line.SAME.minus(share), 0).atLeast(least);
  }

  // --- faces and figures -----------------------------------------------------------------------

  Flow front(Piece.FlipBoxes piece, Item item) {
    return face(
        piece,
        item.values().get(ItemSettings.PICTURE),
        !Fields.off(piece, "picture"),
        item.values().get(ItemSettings.ICON),
        item.values().get(ItemSettings.HEADING),
        item.values().get(ItemSettings.TEXT),
        Optional.empty());
  }

  Flow back(Piece.FlipBoxes piece, Item item) {
    return face(
        piece,
        item.values().get(ItemSettings.BACK_PICTURE),
        true,
        item.values().get(ItemSettings.BACK_ICON),
        item.values().get(ItemSettings.BACK_HEADING),
        item.values().get(ItemSettings.BACK_TEXT),
        buttons(piece, item));
  }

  private Flow face(
      Piece.FlipBoxes piece,
      String picture,
      boolean pictured,
      String icon,
      String heading,
      String text,
      Optional<Flow> buttons) {
    var parts = new ArrayList<Flow>();
    if (icon(piece, icon)) {
      parts.add(Flow.fixed(36));
    }
    if (!Fields.off(piece, "heading")) {
      line(TextStyle.FACE_HEADING, heading).ifPresent(parts::add);
    }
    if (!text.isBlank() && !Fields.off(piece, "text")) {
      parts.add(copy(TextStyle.BODY, piece, text));
    }
    buttons.ifPresent(parts::add);
    Flow body = Flow.stack(parts, PARTS).padded(value(piece, FlipSettings.PADDING).constantPx());
    return pictured && pictures.find(picture).isPresent()
        ? Flow.stack(List.of(Flow.fixed(FACE_PICTURE), body), 0)
        : body;
  }

  /** A whole box: as high as its higher face, and no lower than is asked. */
  Flow box(Piece.FlipBoxes piece, Item item) {
    double least = value(piece, FlipSettings.LEAST_HEIGHT).constantPx();
    return Flow.tallest(List.of(front(piece, item), back(piece, item))).atLeast(Flow.fixed(least));
  }

  Flow figure(Piece.Counters piece, Item item) {
    var parts = new ArrayList<Flow>();
    var sign = new ArrayList<Flow>();
    if (icon(piece, item.values().get(ItemSettings.ICON))) {
      sign.add(Flow.fixed(32));
    }
    if (picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent()) {
      sign.add(Flow.fixed(72));
    }
    if (!sign.isEmpty()) {
      parts.add(Flow.stack(sign, 0));
    }
    parts.add(Flow.fixed(value(piece, CounterSettings.NUMBER_SIZE).constantPx() * 1.1));
    line(TextStyle.TITLE, Fields.shown(piece, item, ItemSettings.HEADING)).ifPresent(parts::add);
    return Flow.stack(parts, 0.35 * REM).padded(0.75 * REM);
  }

  // --- panels ----------------------------------------------------------------------------------

  /** The panel of a tab or the answer to a question, with its padding, as high as it likes. */
  Flow panel(Piece piece, Item item) {
    var parts = new ArrayList<Spaced>();
    if (piece instanceof Piece.Tabs) {
      line(TextStyle.KICKER, Fields.shown(piece, item, ItemSettings.KICKER))
          .ifPresent(text -> parts.add(new Spaced(REM, text)));
      boolean kicked = !parts.isEmpty();
      line(TextStyle.SUB, Fields.shown(piece, item, ItemSettings.SUBHEADING))
          .ifPresent(text -> parts.add(new Spaced(kicked ? 0 : REM, text)));
    }
    picture(piece, item.values().get(ItemSettings.PICTURE))
        .ifPresent(_ -> parts.add(new Spaced(REM, Flow.ratio(16, 9))));
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      parts.add(new Spaced(REM, copy(TextStyle.BODY, piece, text)));
    }
    if (!item.blocks().isEmpty()) {
      parts.add(new Spaced(REM, blocks.blocks(item.blocks())));
    }
    buttons(piece, item).ifPresent(buttons -> parts.add(new Spaced(REM, buttons)));
    if (piece instanceof Piece.Accordion accordion) {
      if (accordion.values().get(AccordionSettings.SHARE)) {
        parts.add(new Spaced(REM, Flow.fixed(35.2)));
      }
    }
    double padding = value(piece, PanelSettings.PANEL_PADDING).constantPx();
    Flow inner = Flow.stack(parts);
    if (piece instanceof Piece.Accordion accordion) {
      // What stands under its question needs no padding above.
      return inner
          .narrowed(Line.of(value(accordion, AccordionSettings.INNER)))
          .within(new Line(1, -2 * padding), padding);
    }
    return inner.padded(padding);
  }

  /** Panels of tabs as they are set: as high as their own content, as the highest, or fixed. */
  Flow panel(Piece.Tabs piece, Item item, boolean folds) {
    return switch (value(piece, PanelSettings.PANEL_HEIGHT)) {
      case FIXED -> Flow.fixed(value(piece, PanelSettings.PANEL_FIXED).constantPx());
      case OWN -> panel(piece, item);
      case TALLEST ->
          folds
              ? panel(piece, item)
              : Flow.tallest(piece.onShow().stream().map(each -> panel(piece, each)).toList());
    };
  }

  /** Panels of an accordion as they are set. */
  Flow panel(Piece.Accordion piece, Item item) {
    PanelHeight height = value(piece, PanelSettings.PANEL_HEIGHT);
    return switch (height) {
      case FIXED -> Flow.fixed(value(piece, PanelSettings.PANEL_FIXED).constantPx());
      case OWN -> panel((Piece) piece, item);
      case TALLEST ->
          Flow.tallest(piece.onShow().stream().map(each -> panel((Piece) piece, each)).toList());
    };
  }

  /** The heading of a tab, where it stands in a row of tabs. */
  Head tab(Piece.Tabs piece, Item item, int place) {
    String heading = item.values().get(ItemSettings.HEADING);
    Text text = TextStyle.TAB.of(heading.isEmpty() ? Integer.toString(place + 1) : heading, locale);
    return new Head(
        text,
        signed(piece, item),
        value(piece, TabsSettings.ICON_PLACE) == TabsSettings.IconPlace.ABOVE);
  }

  /** Whether an icon or a thumbnail stands by a heading; how many of them. */
  int signed(Piece piece, Item item) {
    int icon = icon(piece, item.values().get(ItemSettings.ICON)) ? 1 : 0;
    boolean thumbnail =
        piece instanceof Piece.Tabs
            && !Fields.off(piece, "thumbnail")
            && pictures.find(item.values().get(ItemSettings.THUMBNAIL)).isPresent();
    return icon + (thumbnail ? 1 : 0);
  }

  /**
   * The heading of a tab.
   *
   * @param signs icons and thumbnails by it
   * @param above whether they stand above it
   */
  record Head(Text text, int signs, boolean above) {
    private static final double SIGN = 1.5 * REM;
    private static final double GAP = 0.6 * REM;
    private static final double SIDES = 2 * REM;
    private static final double ENDS = 2 * 0.6 * REM;

    double natural(Screen screen) {
      double words = text.natural(screen);
      return SIDES + (above ? Math.max(words, signs > 0 ? SIGN : 0) : words + signs * (SIGN + GAP));
    }

    private double room(double width) {
      return Math.max(1, width - SIDES - (above ? 0 : signs * (SIGN + GAP)));
    }

    int lines(double width, Screen screen) {
      return text.lines(room(width), screen);
    }

    Flow flow() {
      return (width, screen) -> {
        double words = text.height(room(width), screen);
        double inner = above ? words + signs * (SIGN + GAP) : Math.max(words, signs > 0 ? SIGN : 0);
        return Math.max(44, inner + ENDS);
      };
    }
  }
}
