package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureWidths;
import giostra.core.layout.Sources;
import giostra.core.page.Document;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * The pictures that a page asks for, whether they are there, and what a browser is told to choose
 * between. Source: HTML, "Images: srcset and sizes attributes".
 */
public final class Pictures {
  private final Shipped.Media media;
  private final List<PictureWidths> widths;

  /** Paths of the files that the page asks for. */
  final Set<String> files = new LinkedHashSet<>();

  final Set<String> missing = new LinkedHashSet<>();

  /** Where pictures are drawn. */
  final List<Fetched> fetched = new ArrayList<>();

  private final Origins origins;

  public Pictures(Document document, Shipped.Media media, Origins origins) {
    this.media = media;
    this.origins = origins;
    this.widths = PictureWidths.of(document, sizes());
  }

  /** Their sizes, without asking for the files. */
  public PictureSizes sizes() {
    return id ->
        media
            .find(id)
            .map(Pictures::size)
            .or(() ->
                media
                    .clip(id)
                    .filter(clip -> clip.width() > 0)
                    .map(clip -> new PictureSizes.Size(clip.width(), clip.height())));
  }

  /** How large a picture is. */
  public static PictureSizes.Size size(Shipped.Picture picture) {
    return picture.isRemote()
        ? PictureSizes.Size.UNKNOWN
        : new PictureSizes.Size(picture.width(), picture.height());
  }

  /**
   * The path of the smallest file of a picture that is wide enough, empty where there is no such
   * picture; the page will ask for it.
   *
   * @param wide px of what it lies in
   */
  String ground(String id, double wide) {
    return find(id)
        .map(picture -> picture.isRemote() ? picture.path() : alone(_ -> true, picture, wide))
        .orElse("");
  }

  /** The path of one file that is fetched whatever the screen. */
  private String alone(Predicate<Band> there, Shipped.Picture picture, double wide) {
    String path = one(picture, wide);
    // Of one file there is nothing to choose, however wide it is drawn.
    fetched.add(
        new Fetched(
            List.of(new Shipped.Rendition(1, path)), byBand(there, widths -> widths.fixed(1))));
    return path;
  }

  /** The picture with an id, if there is one; the page will ask for it. */
  public Optional<Shipped.Picture> find(String id) {
    Optional<Shipped.Picture> remote = media.find(id).filter(Shipped.Picture::isRemote);
    remote.ifPresent(picture -> origins.image(picture.path()));
    return remote.isPresent() ? remote : noted(id, media::find, Shipped.Picture::path);
  }

  /** A picture cut for those who are sent the page's address; they will ask for it. */
  List<SharePicture> shared(Shipped.Picture picture) {
    List<SharePicture> cut = SharePicture.of(picture);
    cut.forEach(each -> files.add(each.path()));
    return cut;
  }

  /** The clip with an id, if there is one; the page will ask for it. */
  public Optional<Shipped.Clip> clip(String id) {
    return noted(id, media::clip, Shipped.Clip::path);
  }

  /** The caption file with an id, if there is one; the page will ask for it. */
  public Optional<Shipped.CaptionFile> captions(String id) {
    return noted(id, media::captions, Shipped.CaptionFile::path);
  }

  private <T> Optional<T> noted(
      String id, Function<String, Optional<T>> find, Function<T, String> path) {
    if (id.isEmpty()) {
      return Optional.empty();
    }
    Optional<T> found = find.apply(id);
    found.ifPresentOrElse(each -> files.add(path.apply(each)), () -> missing.add(id));
    return found;
  }

  /** The path of the one file that is wide enough where a browser cannot choose: of a poster. */
  public String one(
      Predicate<Band> there, Shipped.Picture picture, Function<PictureWidths, Piecewise> drawn) {
    if (picture.isRemote()) {
      return picture.path();
    }
    double most =
        widths.stream().map(drawn).mapToDouble(Piecewise::most).max().orElse(picture.width());
    return alone(there, picture, most);
  }

  private String one(Shipped.Picture picture, double most) {
    String path =
        picture.smaller().stream()
            .filter(each -> each.width() >= most)
            .map(Shipped.Rendition::path)
            .findFirst()
            .orElse(picture.path());
    files.add(path);
    return path;
  }

  /**
   * Attributes that let a browser take the file that fits; none where there is one file only.
   *
   * @param there whether it is drawn in a band
   */
  public String[] choice(
      Predicate<Band> there, Shipped.Picture picture, Function<PictureWidths, Piecewise> drawn) {
    List<Piecewise> all = widths.stream().map(drawn).toList();
    var own = new Shipped.Rendition(picture.width(), picture.path());
    List<Shipped.Rendition> some =
        Sources.of(picture.smaller(), own, Shipped.Rendition::width, all).files();
    if (some.getFirst().equals(own)) {
      if (!picture.isRemote()) {
        fetched.add(new Fetched(some, byBand(there, drawn)));
      }
      return new String[0];
    }
    some.stream().filter(each -> !each.equals(own)).forEach(each -> files.add(each.path()));
    fetched.add(new Fetched(some, byBand(there, drawn)));
    String set =
        some.stream()
            .map(each -> each.path() + " " + each.width() + "w")
            .collect(Collectors.joining(","));
    return new String[] {"srcset", set, "sizes", sizes(all)};
  }

  private Map<String, Piecewise> byBand(
      Predicate<Band> there, Function<PictureWidths, Piecewise> drawn) {
    return widths.stream()
        .filter(each -> there.test(each.band()))
        .collect(Collectors.toMap(each -> each.band().id(), drawn));
  }

  /** The widths as a browser reads them: straight stretches, each up to a width of the screen. */
  private static String sizes(List<Piecewise> byBand) {
    List<Piecewise.Segment> all = byBand.stream().flatMap(p -> p.segments().stream()).toList();
    var out = new StringBuilder();
    for (int i = 0; i < all.size(); i++) {
      String here = length(all.get(i).line());
      boolean last = i == all.size() - 1;
      if (!last && here.equals(length(all.get(i + 1).line()))) {
        continue;
      }
      if (!last) {
        out.append("(width < ").append(Require.number(all.get(i).below())).append("px) ");
      }
      out.append(here).append(last ? "" : ", ");
    }
    return out.toString();
  }

  private static String length(Line drawn) {
    Line line = Sources.told(drawn);
    if (line.slope() == 0) {
      return Require.number(line.constant()) + "px";
    }
    String constant = Require.number(Math.abs(line.constant())) + "px";
    String share = Require.number(line.slope() * 100) + "vw";
    return Math.abs(line.constant()) < 1e-9
        ? share
        : "calc(" + share + (line.constant() < 0 ? " - " : " + ") + constant + ")";
  }
}
