package giostra.core.piece.carousel;

import giostra.core.anatomy.StandsOn;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.Heights;
import giostra.core.layout.ItemWidths;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.PictureWidths;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackLayout;
import giostra.core.layout.TrackRoom;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Values;
import giostra.core.output.TrackWritten;
import giostra.core.output.Where;
import giostra.core.output.Writing;
import giostra.core.page.Document;
import giostra.core.page.Fields.Field;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.Starters.Starter;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.piece.carousel.CarouselSettings.NameLine;
import giostra.core.piece.carousel.CarouselSettings.PictureShape;
import giostra.core.snag.Asked;
import giostra.core.snag.Judged;
import giostra.core.snag.Looked;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.TrackEffects;
import giostra.core.value.Aspect;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** All that carousels are. */
public final class CarouselRoom
    implements TrackRoom<Carousel>, TrackWritten<Carousel>, Judged<Carousel> {
  @Override
  public String word() {
    return "carousel";
  }

  @Override
  public List<Setting<?>> settings() {
    return CarouselSettings.ALL;
  }

  @Override
  public List<Part> parts() {
    return CarouselParts.ALL;
  }

  @Override
  public Set<Part> between() {
    return Set.copyOf(TrackParts.MOVING);
  }

  @Override
  public Map<Part, Part> under() {
    var all = new HashMap<Part, Part>();
    all.putAll(StandsOn.on(CarouselParts.CARD_WORDS, StandsOn.WORDS, CarouselParts.CARD_HEADING));
    all.putAll(
        StandsOn.on(
            CarouselParts.CARD,
            List.of(),
            CarouselParts.CARD_WORDS,
            CarouselParts.BUBBLE,
            CarouselParts.QUOTATION_TEXT,
            CarouselParts.QUOTE_MARK,
            CarouselParts.SPEAKER_NAME,
            CarouselParts.ROLE));
    return Map.copyOf(all);
  }

  @Override
  public Optional<Part> throwing(Carousel piece) {
    return Optional.of(isTailed(piece) ? CarouselParts.BUBBLE : CarouselParts.CARD);
  }

  private static boolean isTailed(Carousel piece) {
    return piece.values().get(CarouselSettings.CARD) == Card.QUOTATION
        && piece.values().get(CarouselSettings.FRAME) == CarouselSettings.Frame.TAIL;
  }

  /** The words of a quotation stand in its box, and who speaks where the name stands with them. */
  @Override
  public Optional<Part> under(Carousel piece, Part part) {
    boolean named = piece.values().get(CarouselSettings.NAME_LINE) == NameLine.TEXT;
    boolean boxed =
        part.equals(CarouselParts.QUOTATION_TEXT)
            || part.equals(CarouselParts.QUOTE_MARK)
            || (named
                && (part.equals(CarouselParts.SPEAKER_NAME) || part.equals(CarouselParts.ROLE)));
    return boxed && isTailed(piece) ? Optional.of(CarouselParts.BUBBLE) : Optional.empty();
  }

  @Override
  public boolean isBare(Carousel piece, Part part) {
    return part.equals(CarouselParts.CARD)
        && (isTailed(piece)
            || piece.values().get(CarouselSettings.FRAME) == CarouselSettings.Frame.NONE);
  }

  @Override
  public Carousel piece(String id, Values values, List<Item> items) {
    return new Carousel(id, values, items);
  }

  @Override
  public List<Field> fields(Values values) {
    return CarouselFields.of(values.get(CarouselSettings.CARD));
  }

  @Override
  public List<Starter> starters() {
    return CarouselStarters.all();
  }

  @Override
  public Map<String, List<Field>> fieldsByWord() {
    var all = new LinkedHashMap<String, List<Field>>();
    for (Card card : Card.values()) {
      all.put(PickKind.word(card), CarouselFields.of(card));
    }
    return all;
  }

  @Override
  public Set<Part> hidden(Piece piece) {
    return CarouselParts.hidden(piece.values());
  }

  @Override
  public Optional<Aspect> shape(Document document, Piece piece, Band band) {
    PictureShape shape = piece.values().at(CarouselSettings.PICTURE_SHAPE, document.bands(), band);
    return quotes(piece) ? Optional.of(shape.portrait()) : shape.aspect();
  }

  private static boolean quotes(Piece piece) {
    return piece.values().get(CarouselSettings.CARD) == Card.QUOTATION;
  }

  @Override
  public Flow item(Carousel piece, Item item, BlockFlows blocks) {
    return new CardFlow(blocks).card(piece, item);
  }

  @Override
  public Heights.Part part() {
    return Heights.Part.CARD;
  }

  @Override
  public Setting<Arrows> arrows() {
    return TrackSettings.ARROWS;
  }

  @Override
  public Setting<Length> height() {
    return TrackSettings.TRACK_HEIGHT;
  }

  @Override
  public Length trackHeight(Document document, Carousel piece, Band band) {
    return Resolution.value(document, piece, TrackSettings.TRACK_HEIGHT, band);
  }

  @Override
  public Optional<ItemWidths> widths(Document document, Carousel piece, double scrollbar) {
    return Optional.of(
        ItemWidths.of(
            piece,
            "Card width",
            List.of(CarouselSettings.COMFORT_FROM, CarouselSettings.COMFORT_TO),
            TrackLayout.of(document, piece, scrollbar).bands().stream()
                .map(in -> in.widths(true, in.itemWidth()))
                .toList()));
  }

  /** The picture of a card above its text, or the portrait beside a quotation. */
  @Override
  public Piecewise picture(Carousel piece, Item item, Size size, PictureWidths widths) {
    return quotes(piece)
        ? CardWidths.portrait(piece, size, words(piece, widths), widths)
        : CardWidths.picture(piece, item, size, words(piece, widths), widths);
  }

  @Override
  public void item(Carousel piece, Item item, int index, int level, Writing writing) {
    new CardOutput(writing, piece).html(item, level);
  }

  @Override
  public void css(Carousel piece, Writing writing) {
    new CardOutput(writing, piece).css();
  }

  @Override
  public List<String> sheets() {
    return List.of("carousel", "quotation");
  }

  @Override
  public void idle(Carousel piece, Asked asked) {
    TrackEffects.find(asked, piece, new CardEffects());
  }

  @Override
  public List<Snag> found(Rule rule, Carousel piece, Looked at) {
    return switch (rule) {
      case CROWDED -> Crowded.of(piece, at);
      case UNLIKE -> Unlike.of(piece, at);
      case LARGE_PORTRAIT -> LargePortrait.of(piece, at);
      case COVERED -> CardCovered.of(piece, at);
      default -> List.of();
    };
  }

  @Override
  public void places(Where.Places to) {
    to.at("carousel.card", ".g-card&");
    to.at("carousel.words", ".g-card&>.g-body");
    to.at("carousel.heading", ".g-card&>.g-body>" + Where.HEADINGS);
    to.at("carousel.shot", ".g-card&:not(.g-bare)>.g-shot");
    to.at("carousel.bare-picture", ".g-bare>.g-shot");
    to.at("quotation.box", ".g-quotation");
    to.at("quotation.words", ".g-words");
    to.at("quotation.text", ".g-card& .g-words>blockquote");
    to.at("quotation.mark", ".g-words>blockquote::before");
    to.at("quotation.speaker", ".g-quotation figcaption");
    to.at("quotation.name", ".g-card& .g-name");
    to.at("quotation.role", ".g-card& .g-role");
    to.at("quotation.portrait", ".g-portrait");
    to.named("quotation.portrait", Property.EDGE, "outline");
    for (String shot : List.of("carousel.shot", "carousel.bare-picture")) {
      to.named(shot, Property.EDGE, "outline");
      // A round picture has no corners.
      to.named(shot, Property.CORNERS, "--g-corner");
      to.named(shot, Property.MARGIN, Where.ASIDE);
    }
    to.named("carousel.words", Property.MARGIN, Where.ASIDE);
    to.named("carousel.words", Property.PLACE, "align-self");
    to.at("carousel.picture", ".g-card&>.g-shot>img");
    to.bare("carousel.words");
    to.at("quotation.bubble", ".g-tailed>.g-words");
    to.at("quotation.bubble-speaker", ".g-tailed>figcaption");
    to.named("quotation.mark", Property.SIZE, "block-size");
    to.named("carousel.heading", Property.MARGIN, "padding");
    to.named("quotation.text", Property.MARGIN, "padding");
  }
}
