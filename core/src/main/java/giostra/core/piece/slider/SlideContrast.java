package giostra.core.piece.slider;

import giostra.core.anatomy.PinParts;
import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.drive.Pacing;
import giostra.core.fit.Crop;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.OverPicture;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureSizes.Seen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.PinSettings;
import giostra.core.piece.slider.SlideFlow.Words;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.OnPicture;
import giostra.core.snag.OnPicture.Found;
import giostra.core.snag.PartContrast;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.value.Colour;
import giostra.core.value.Focus;
import giostra.core.value.Ground;
import giostra.core.value.GroundAt;
import giostra.core.value.Ink;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Words of slides on their pictures, by the pictures' own colours: the contrast of each with what
 * lies under it, at each width, and the least overlay with which all of them can be read. Where a
 * picture moves slowly it is looked at where it begins, in the middle and where it ends. Where a
 * clip moves over the picture, both count: the picture is seen until the clip is there and by
 * whoever asked for less motion, of the clip some frames. Sources: WCAG 2.2, 1.4.3 "Contrast
 * (Minimum)"; failure F83 "background images that do not provide sufficient contrast".
 */
public final class SlideContrast {
  private static final Part OVERLAY = SliderParts.SLIDE_OVERLAY;

  private final Document document;
  private final PictureSizes pictures;
  private final Slider piece;
  private final Band band;
  private final BlockFlows blocks;
  private final SlideFlow flow;
  private final SlideSizes sizes;
  private final Pacing pacing;

  private SlideContrast(
      Document document, PictureSizes pictures, double scrollbar, Slider piece, Band band) {
    this.document = document;
    this.pictures = pictures;
    this.piece = piece;
    this.band = band;
    this.blocks = new BlockFlows(document, band, pictures, scrollbar);
    this.flow = new SlideFlow(blocks);
    TrackBand track = TrackLayout.in(document, piece, band, scrollbar);
    this.sizes = new SlideSizes(track, piece, blocks, flow);
    this.pacing = Pacing.of(document, piece, track);
  }

  /** All that cannot be read, band by band. */
  static List<Snag> of(Slider piece, Looked at) {
    var found = new ArrayList<Snag>();
    for (Band band : at.document().bands().all()) {
      if (Resolution.value(at.document(), piece, SliderSettings.PICTURE_USE, band)
          == PictureUse.GROUND) {
        var here = new SlideContrast(at.document(), at.pictures(), at.scrollbar(), piece, band);
        for (Item item : here.blocks.shown(piece)) {
          List<Under> under = here.under(item);
          if (!under.isEmpty()) {
            found.addAll(OnPicture.in(band, here.new Prepared(item, under)));
          }
        }
      }
    }
    return found;
  }

  /** The words of an item at a viewport width in px, without a scrollbar, with their contrast. */
  public static List<OnPicture.Found> at(
      Document document, PictureSizes pictures, Slider piece, Item item, int width) {
    var here = new SlideContrast(document, pictures, 0, piece, document.bands().at(width));
    List<Under> under = here.under(item);
    return under.isEmpty()
        ? List.of()
        : here.new Prepared(item, under).at(width, here.overlay(item));
  }

  /**
   * What lies under words: a picture, or a frame of a clip.
   *
   * @param second of the clip; negative of a picture
   * @param view how it lies in its box
   */
  private record Under(Seen seen, Size size, Crop.Fit fit, double second, GroundMotion.View view) {}

  /** All that is seen under them one after the other; nothing where some of it is not known. */
  private List<Under> under(Item item) {
    var all = new ArrayList<Under>();
    all.addAll(pictures(item));
    if (!SlideOutput.moves(piece, item)) {
      return all;
    }
    return pictures
        .film(item.values().get(ItemSettings.GROUND_CLIP))
        .map(film -> {
          film.frames().stream()
              .map(frame ->
                  new Under(
                      new Seen(frame.samples(), Focus.CENTER),
                      film.size(),
                      Crop.Fit.COVER,
                      frame.second(),
                      GroundMotion.View.STILL))
              .forEach(all::add);
          return all;
        })
        .orElse(new ArrayList<>());
  }

  private List<Under> pictures(Item item) {
    String picture = item.values().get(ItemSettings.PICTURE);
    if (Fields.off(piece, "picture")) {
      return List.of();
    }
    return pictures
        .seen(picture)
        .map(seen -> {
          Focus own = item.values().own(ItemSettings.FOCUS, Values.ALL);
          Seen cut = own == null ? seen : new Seen(seen.samples(), own);
          Size size = pictures.find(picture).orElseThrow();
          Crop.Fit fit = Fields.whole(piece, item) ? Crop.Fit.CONTAIN : Crop.Fit.COVER;
          return GroundMotion.of(pacing, item, cut.focus(), document.mirrored()).stream()
              .map(view -> new Under(cut, size, fit, -1, view))
              .toList();
        })
        .orElse(List.of());
  }

  private Ground overlay(Item item) {
    return Cascade.value(
        OVERLAY, Property.GROUND, State.REST, Resolution.scope(document, item), band);
  }

  /** All that is the same of a slide at all widths of the band. */
  private final class Prepared implements OnPicture.Standing {
    private final Item item;
    private final List<Under> all;
    private final Tone tone;
    private final Colour under;
    private final SlideFlow.Standing standing;

    /** What the words stand on that lie over the picture; mostly nothing. */
    private final Ground boxed;

    /** What is pinned to it, with words that its own ground does not bear. */
    private final List<Pinned> pinned;

    private final List<Colour> inks;
    private final List<Double> asked;

    Prepared(Item item, List<Under> all) {
      this.item = item;
      this.all = all;
      Scope scope = Resolution.scope(document, item);
      this.tone = Tone.PICTURE.in(scope, band);
      Colour white = new Colour(255, 255, 255, 255);
      this.under =
          Cascade.value(SliderParts.SLIDE, Property.GROUND, State.REST, scope, band)
                  instanceof Ground.Plain(Ink ink)
              ? Resolution.tone(document, piece, band).colour(ink).over(white)
              : white;
      this.boxed = Cascade.value(SliderParts.SLIDE_WORDS, Property.GROUND, State.REST, scope, band);
      this.pinned = pinned(item);
      this.standing = flow.standing(piece, item, document.mirrored());
      List<Part> parts =
          standing.in(1000, 1000, new Screen(1000, 1000)).words().stream()
              .map(Words::part)
              .toList();
      this.inks =
          parts.stream()
              .map(part -> tone.colour(Cascade.value(part, Property.INK, State.REST, scope, band)))
              .toList();
      this.asked =
          parts.stream().map(part -> PartContrast.asked(part, State.REST, scope, band)).toList();
    }

    /** Where all stands does not depend on the overlay: known of the widths looked at before. */
    private final Map<Integer, Placed> placed = new HashMap<>();

    private record Placed(SlideSizes.Size slide, SlideFlow.Stood stood) {}

    private Placed placed(int width) {
      SlideSizes.Size slide = sizes.at(width);
      return new Placed(slide, slide.stood(standing));
    }

    @Override
    public Tone tone() {
      return tone;
    }

    @Override
    public Node of() {
      return item;
    }

    @Override
    public Part veil() {
      return OVERLAY;
    }

    @Override
    public Ground overlay() {
      return SlideContrast.this.overlay(item);
    }

    @Override
    public Snag snag(String said, Extent extent, Found worst) {
      return Snag.of(Rule.OVER_PICTURE, piece.id(), extent, said).of(item.id());
    }

    @Override
    public List<Found> at(int width, Ground overlay) {
      Placed here = placed.computeIfAbsent(width, this::placed);
      double wide = here.slide.wide();
      double high = here.slide.high();
      Words box = here.stood.box();
      var around = new GroundAt(overlay, wide, high, tone::colour);
      var within = new GroundAt(boxed, box.width(), box.height(), tone::colour);
      OverPicture.Veil veil = around::at;
      OverPicture.Veil over = veil.under((x, y) -> within.at(x - box.x(), y - box.y()));
      List<Below> below = below(wide, high, over);
      List<Words> words = here.stood.words();
      return Stream.concat(
              IntStream.range(0, words.size())
                  .mapToObj(i -> worst(words.get(i), inks.get(i), asked.get(i), below)),
              pinned.stream().map(pin -> pinned(pin, here.slide, around::at)))
          .toList();
    }

    private List<Pinned> pinned(Item item) {
      return SlidePins.shown(blocks, item).stream()
          .filter(pin -> !pin.values().get(PinSettings.WORDS).isBlank())
          .map(pin -> {
            Scope scope = Resolution.scope(document, pin);
            return new Pinned(
                new PinFlow(blocks, pin, blocks.part(item, SliderParts.SLIDE_STAND)),
                Cascade.value(PinParts.PIN, Property.GROUND, State.REST, scope, band),
                Cascade.value(PinParts.PIN_WORDS, Property.GROUND, State.REST, scope, band),
                Cascade.value(PinParts.PIN_WORDS, Property.INK, State.REST, scope, band),
                PartContrast.asked(PinParts.PIN_WORDS, State.REST, scope, band));
          })
          .filter(pin -> !PartContrast.solid(pin.within, Resolution.tone(document, piece, band)))
          .toList();
    }

    /** The words of a pin on what lies under them: its grounds, the overlay, the picture. */
    private Found pinned(Pinned pin, SlideSizes.Size slide, OverPicture.Veil around) {
      PinFlow.Stood stood =
          pin.flow.in(slide.wide(), slide.high(), slide.screen(), document.mirrored());
      Box box = stood.pin();
      Box words = stood.words().orElseThrow();
      // Pins stand beside the words and not over their veil: they have the tone of their section.
      Tone its = Resolution.tone(document, piece, band);
      var outer = new GroundAt(pin.around, box.width(), box.height(), its::colour);
      var inner = new GroundAt(pin.within, words.width(), words.height(), its::colour);
      OverPicture.Veil whole =
          around
              .under((x, y) -> outer.at(x - box.x(), y - box.y()))
              .under((x, y) -> inner.at(x - words.x(), y - words.y()));
      return worst(
          new Words(PinParts.PIN_WORDS, words.x(), words.y(), words.width(), words.height()),
          its.colour(pin.ink),
          pin.asked,
          below(slide.wide(), slide.high(), whole));
    }

    /**
     * A pin with words.
     *
     * @param around ground of all of it
     * @param within ground of its words
     */
    private record Pinned(PinFlow flow, Ground around, Ground within, Ink ink, double asked) {}

    private List<Below> below(double wide, double high, OverPicture.Veil over) {
      return all.stream()
          .map(each -> {
            GroundMotion.View view = each.view;
            OverPicture.Veil veiled = (x, y) -> over.at(view.seenX(x, wide), view.seenY(y, high));
            return new Below(
                new OverPicture(each.seen, each.size, each.fit, wide, high, under, veiled),
                view,
                each.second);
          })
          .toList();
    }

    /**
     * One of them in its box.
     *
     * @param lies as it would lie if it did not move
     */
    private record Below(OverPicture lies, GroundMotion.View view, double second) {
      /** Of words that stand still over it. */
      double contrast(Colour ink, Words words) {
        return lies.contrast(
            ink,
            view.pointX(words.x(), lies.width()),
            view.pointY(words.y(), lies.height()),
            words.width() / view.large(),
            words.height() / view.large());
      }
    }

    /** Words on what they are read worst on. */
    private Found worst(Words words, Colour ink, double asked, List<Below> below) {
      return below.stream()
          .map(each ->
              new Found(words.part(), item.id(), each.contrast(ink, words), asked, each.second))
          .min(Comparator.comparingDouble(Found::contrast))
          .orElseThrow();
    }
  }
}
