package giostra.core.piece.slider;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PinParts;
import giostra.core.anatomy.StandsOn;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.drive.Pacing;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.Heights;
import giostra.core.layout.ItemWidths;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.PictureWidths;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
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
import giostra.core.page.ItemSettings;
import giostra.core.page.Starters.Starter;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.snag.Asked;
import giostra.core.snag.Judged;
import giostra.core.snag.Looked;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.TrackEffects;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** All that sliders are. */
public final class SliderRoom implements TrackRoom<Slider>, TrackWritten<Slider>, Judged<Slider> {
  @Override
  public String word() {
    return "slider";
  }

  @Override
  public List<Setting<?>> settings() {
    return SliderSettings.ALL;
  }

  @Override
  public List<Part> parts() {
    return SliderParts.ALL;
  }

  @Override
  public Set<Part> between() {
    return PageParts.joined(TrackParts.MOVING, PinParts.ALL).stream()
        .collect(Collectors.toUnmodifiableSet());
  }

  @Override
  public Map<Part, Part> under() {
    return StandsOn.on(PinParts.PIN, List.of(), PinParts.PIN_WORDS, PinParts.PIN_ICON);
  }

  @Override
  public boolean hasPins() {
    return true;
  }

  @Override
  public List<String> sheets() {
    return List.of("slider", "pins");
  }

  @Override
  public Slider piece(String id, Values values, List<Item> items) {
    return new Slider(id, values, items);
  }

  @Override
  public List<Field> fields(Values values) {
    return SliderFields.ALL;
  }

  @Override
  public List<Starter> starters() {
    return SliderStarters.all();
  }

  @Override
  public boolean reads(Setting<?> field) {
    return field != ItemSettings.NAME;
  }

  @Override
  public Flow item(Slider piece, Item item, BlockFlows blocks) {
    return new SlideFlow(blocks).slide(piece, item);
  }

  @Override
  public Heights.Part part() {
    return Heights.Part.SLIDE;
  }

  @Override
  public Setting<Arrows> arrows() {
    return SliderSettings.ARROWS;
  }

  @Override
  public Flow content(Slider piece, Item item, BlockFlows blocks) {
    return new SlideFlow(blocks).content(piece, item);
  }

  @Override
  public Setting<Height> height() {
    return SliderSettings.HEIGHT;
  }

  /** Down a slider one slide fills the view, so its height is that of the track. */
  @Override
  public Length trackHeight(Document document, Slider piece, Band band) {
    return Resolution.value(document, piece, SliderSettings.HEIGHT, band)
            instanceof Height.Fixed(var length)
        ? length
        : TrackSettings.TRACK_HEIGHT.initial();
  }

  @Override
  public Optional<ItemWidths> widths(Document document, Slider piece, double scrollbar) {
    return Optional.of(
        ItemWidths.of(
            piece,
            "Slide height",
            List.of(),
            TrackLayout.of(document, piece, scrollbar).bands().stream()
                .map(in -> in.widths(false, SlideFlow.height(document, piece, in)))
                .toList()));
  }

  /** The picture of a slide, as large as it is drawn while it moves. */
  @Override
  public Piecewise picture(Slider piece, Item item, Size size, PictureWidths widths) {
    return still(piece, item, size, widths).through(new Line(moving(piece, item, widths), 0));
  }

  @Override
  public double moving(Slider piece, Item item, PictureWidths widths) {
    TrackBand track = TrackLayout.in(widths.document(), piece, widths.band(), 0);
    return GroundMotion.largest(Pacing.of(widths.document(), piece, track), item);
  }

  /** Under its text or beside it. */
  private Piecewise still(Slider piece, Item item, Size size, PictureWidths widths) {
    Piecewise slide = words(piece, widths);
    Piecewise tall = widths.tallest(piece, size);
    if (widths.value(piece, SliderSettings.PICTURE_USE) != SliderSettings.PictureUse.BESIDE) {
      return PictureWidths.in(piece, item, slide, tall);
    }
    return widths.value(piece, SliderSettings.PICTURE_SIDE) == SliderSettings.PictureSide.ABOVE
        ? PictureWidths.in(piece, item, slide, SliderSettings.PICTURE_ABOVE, size)
        : PictureWidths.in(
            piece,
            item,
            slide.through(Line.of(widths.value(piece, SliderSettings.PICTURE_SHARE))),
            tall);
  }

  @Override
  public void item(Slider piece, Item item, int index, int level, Writing writing) {
    new SlideOutput(writing, piece).html(item, index, level);
  }

  @Override
  public void css(Slider piece, Writing writing) {
    new SlideOutput(writing, piece).css();
  }

  @Override
  public boolean moves(Slider piece) {
    return SlideOutput.anyMoves(piece);
  }

  @Override
  public boolean neighbours(Slider piece) {
    return piece.values().get(SliderSettings.NEIGHBOURS);
  }

  @Override
  public void idle(Slider piece, Asked asked) {
    TrackEffects.find(asked, piece, new SlideEffects());
  }

  @Override
  public List<Snag> found(Rule rule, Slider piece, Looked at) {
    return switch (rule) {
      case CLIP -> GroundClips.of(piece, at);
      case OVER_PICTURE -> SlideContrast.of(piece, at);
      case COVERED ->
          Stream.concat(SlideCovered.of(piece, at).stream(), SlidePins.over(piece, at).stream())
              .toList();
      case CUT_OFF -> SlidePins.cut(piece, at);
      default -> List.of();
    };
  }

  @Override
  public void places(Where.Places to) {
    to.at("slider.slide", ".g-slide&");
    to.at("slider.overlay", ".g-slide>.g-shot::after");
    to.at("slider.stand", ":is(.g-stand,.g-pins)");
    to.at("slider.words", ".g-copybox");
    to.at("slider.heading", ".g-slide& .g-copybox>" + Where.HEADINGS);
    to.at("slider.buttons", ".g-copybox>.g-buttons");
    to.at("pin.box", ".g-slide& .g-pin");
    to.at("pin.picture", ".g-pin>img");
    to.at("pin.icon", ".g-pin>.g-icon");
    to.at("pin.words", ".g-pin-words");
    to.named("pin.picture", Property.SIZE, "inline-size");
    to.named("slider.heading", Property.MARGIN, "padding");
  }
}
