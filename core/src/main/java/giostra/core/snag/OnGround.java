package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.fit.Screen;
import giostra.core.layout.OverPicture;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureSizes.Seen;
import giostra.core.layout.Resolution;
import giostra.core.layout.SectionDepth;
import giostra.core.layout.SectionFlow;
import giostra.core.layout.SectionFlow.Words;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.snag.OnPicture.Found;
import giostra.core.value.Colour;
import giostra.core.value.EdgeShape;
import giostra.core.value.Ground;
import giostra.core.value.GroundAt;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Headings and texts of a section, those in its columns among them, on the picture that is its
 * ground. Nothing is said where an edge cuts the picture in a shape, which makes it higher.
 */
public final class OnGround implements OnPicture.Standing {
  private static final Part OVERLAY = PageParts.OVERLAY;

  private record Placed(double wide, double high, List<Words> words) {}

  private final Document document;
  private final Section section;
  private final Band band;
  private final Seen seen;
  private final PictureSizes.Size size;
  private final Scope scope;
  private final Tone tone;
  private final double scrollbar;
  private final SectionFlow flow;
  private final SectionDepth depth;

  /** Where all stands does not depend on the overlay: known of the widths looked at before. */
  private final Map<Integer, Placed> placed = new HashMap<>();

  private OnGround(
      Document document,
      Section section,
      Band band,
      PictureSizes pictures,
      Seen seen,
      double scrollbar) {
    this.document = document;
    this.section = section;
    this.band = band;
    this.seen = seen;
    this.size = pictures.find(section.values().get(SectionSettings.GROUND)).orElseThrow();
    this.scope = Resolution.scope(document, section);
    this.tone = Tone.PICTURE.in(scope, band);
    this.scrollbar = scrollbar;
    this.flow = new SectionFlow(document, section, band, pictures, scrollbar);
    this.depth = SectionDepth.of(document, section, band);
  }

  /** All that cannot be read, band by band. */
  static List<Snag> of(Section section, Looked at) {
    return at.pictures().seen(section.values().get(SectionSettings.GROUND)).stream()
        .flatMap(seen ->
            at.document().bands().all().stream()
                .filter(band -> straight(at.document(), section, band))
                .map(band ->
                    new OnGround(at.document(), section, band, at.pictures(), seen, at.scrollbar()))
                .filter(each -> each.flow.says())
                .flatMap(each -> OnPicture.in(each.band, each).stream()))
        .toList();
  }

  /** The words of a section at a viewport width in px, without a scrollbar, with their contrast. */
  public static List<Found> at(
      Document document, PictureSizes pictures, Section section, int width) {
    Band band = document.bands().at(width);
    return pictures
        .seen(section.values().get(SectionSettings.GROUND))
        .filter(_ -> straight(document, section, band))
        .map(seen -> {
          var here = new OnGround(document, section, band, pictures, seen, 0);
          return here.at(width, here.overlay());
        })
        .orElse(List.of());
  }

  private static boolean straight(Document document, Section section, Band band) {
    return Resolution.value(document, section, SectionSettings.EDGE_ABOVE, band) == EdgeShape.NONE
        && Resolution.value(document, section, SectionSettings.EDGE_BELOW, band) == EdgeShape.NONE;
  }

  private Placed placed(int width) {
    var screen = new Screen(width, Screen.USUAL_HEIGHT);
    return new Placed(width - scrollbar, flow.height(width, screen), flow.words(width, screen));
  }

  @Override
  public List<Found> at(int width, Ground overlay) {
    Placed here = placed.computeIfAbsent(width, this::placed);
    var veil = new GroundAt(overlay, here.wide(), here.high(), tone::colour);
    double more = depth.more(here.high(), Screen.USUAL_HEIGHT);
    Colour white = new Colour(255, 255, 255, 255);
    // What is beside a picture, or seen through it, is of the tone that its words are of.
    Colour under = tone.colour(ToneColour.GROUND).over(white);
    Map<Double, OverPicture> below = new LinkedHashMap<>();
    for (double above : depth.above(here.high(), Screen.USUAL_HEIGHT)) {
      below.put(
          above,
          new OverPicture(
              seen,
              size,
              laid(Property.PICTURE_FIT),
              laid(Property.PICTURE_SIZE).constantPx(),
              here.wide(),
              here.high() + more,
              under,
              (x, y) -> veil.at(x, y - above)));
    }
    var found = new ArrayList<Found>();
    for (Words each : here.words()) {
      Scope own = Resolution.scope(document, document.node(each.of()));
      Colour ink = tone.colour(Cascade.value(each.part(), Property.INK, State.REST, own, band));
      double contrast =
          below.entrySet().stream()
              .mapToDouble(lies ->
                  lies.getValue()
                      .contrast(
                          ink, each.x(), each.y() + lies.getKey(), each.width(), each.height()))
              .min()
              .orElseThrow();
      double asked = PartContrast.asked(each.part(), State.REST, own, band);
      found.add(new Found(each.part(), each.of(), contrast, asked));
    }
    return found;
  }

  private <T> T laid(Property<T> property) {
    return Cascade.value(PageParts.GROUND_PICTURE, property, State.REST, scope, band);
  }

  @Override
  public Tone tone() {
    return tone;
  }

  @Override
  public Node of() {
    return section;
  }

  @Override
  public Part veil() {
    return OVERLAY;
  }

  @Override
  public Ground overlay() {
    return Cascade.value(OVERLAY, Property.GROUND, State.REST, scope, band);
  }

  @Override
  public Snag snag(String said, Extent extent, Found worst) {
    return Snag.of(Rule.OVER_PICTURE, section.id(), extent, said).of(worst.of());
  }
}
