package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.fit.Piecewise;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureWidths;
import giostra.core.layout.Resolution;
import giostra.core.layout.Sources;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;

/**
 * Pictures and moving grounds of a piece, or of a section and the blocks in it, that weigh more
 * than {@link #MOST} on the way for somebody who sees all of them. At 1.6 Mbit/s, a slow line of a
 * phone, that takes ten seconds; three pictures as wide as a large screen are lighter. The limit is
 * ours, no source.
 */
final class Heavy {
  /** Bytes. */
  static final long MOST = 2_000_000;

  /** Where a medium is drawn: what is fetched of it at a viewport's width. */
  private record Drawn(Node of, String id, Sources<PictureSizes.File> files, Piecewise wide) {
    PictureSizes.File at(int width) {
      return files.taken(wide, width, density(width));
    }

    long most() {
      return files.files().stream().mapToLong(PictureSizes.File::bytes).max().orElseThrow();
    }
  }

  /** All that is fetched, in bytes, and the heaviest of it. */
  private record Weight(long bytes, Drawn heaviest, long itsBytes) {}

  private final Looked at;
  private final List<PictureWidths> widths;

  private Heavy(Looked at) {
    this.at = at;
    this.widths = PictureWidths.of(at.document(), at.pictures());
  }

  /** Device px for a px that a screen of so many px usually has. Common practice, no source. */
  static int density(int width) {
    if (width < 600) {
      return 3;
    }
    return width < 1100 ? 2 : 1;
  }

  static List<Snag> check(Looked at) {
    return at.node() instanceof Piece || at.node() instanceof Section
        ? new Heavy(at).found()
        : List.of();
  }

  private List<Snag> found() {
    // Most pages have nothing that could be: nothing is laid out for them.
    if (media().mapToLong(this::whole).sum() <= MOST) {
      return List.of();
    }
    return widths.stream().flatMap(each -> in(each.band())).toList();
  }

  /** Ids of all that could be fetched, in any band. */
  private Stream<String> media() {
    return Leading.of(at.node()).flatMap(Heavy::media).filter(id -> !id.isEmpty()).distinct();
  }

  private static Stream<String> media(Node node) {
    return switch (node) {
      case Item item ->
          Stream.of(
                  ItemSettings.PICTURE,
                  ItemSettings.BACK_PICTURE,
                  ItemSettings.GROUND_CLIP,
                  ItemSettings.GROUND_CLIP_2)
              .map(item.values()::get);
      case Block.Picture block -> Stream.of(block.values().get(BlockSettings.SOURCE));
      case Section section -> Stream.of(section.values().get(SectionSettings.GROUND));
      default -> Stream.of();
    };
  }

  private long whole(String id) {
    return at.pictures().files(id).stream().mapToLong(PictureSizes.File::bytes).max().orElse(0);
  }

  private Stream<Snag> in(Band band) {
    List<Drawn> drawn = Leading.of(at.node()).flatMap(node -> drawn(node, band)).toList();
    if (drawn.stream().mapToLong(Drawn::most).sum() <= MOST) {
      return Stream.of();
    }
    return Runs.worst(band, width -> heavy(drawn, width), Comparator.comparingLong(Weight::bytes))
        .stream()
        .map(run -> snag(band, run));
  }

  private Snag snag(Band band, Runs.Worst<Weight> run) {
    Weight worst = run.worst();
    String said =
        Said.of(
            "heavy",
            "kb",
            kb(worst.bytes),
            "file",
            worst.heaviest.id,
            "its",
            kb(worst.itsBytes),
            "from",
            run.from(),
            "to",
            run.to());
    return Snag.of(Rule.HEAVY, at.node().id(), Extent.of(run.from(), run.to(), band), said)
        .of(worst.heaviest.of.id())
        .measured(kb(worst.bytes), kb(MOST), Measure.Unit.KB);
  }

  private static long kb(long bytes) {
    return Math.round(bytes / 1000.0);
  }

  private static Optional<Weight> heavy(List<Drawn> drawn, int width) {
    var seen = new HashSet<List<Object>>();
    long sum = 0;
    long most = 0;
    Drawn heaviest = drawn.getFirst();
    for (Drawn each : drawn) {
      PictureSizes.File file = each.at(width);
      if (!seen.add(List.of(each.id, file.width()))) {
        continue;
      }
      sum += file.bytes();
      if (file.bytes() > most) {
        most = file.bytes();
        heaviest = each;
      }
    }
    return sum > MOST ? Optional.of(new Weight(sum, heaviest, most)) : Optional.empty();
  }

  private Stream<Drawn> drawn(Node node, Band band) {
    if (!Resolution.there(at.document(), node, band)) {
      return Stream.of();
    }
    return switch (node) {
      case Item item when at.node() instanceof Piece piece -> item(piece, item, band);
      case Block.Picture block ->
          picture(
              node,
              block.values().get(BlockSettings.SOURCE),
              band,
              (in, size) -> in.block(block, size));
      case Section section ->
          picture(
              node,
              section.values().get(SectionSettings.GROUND),
              band,
              (in, size) -> in.ground(section, size));
      default -> Stream.of();
    };
  }

  private Stream<Drawn> item(Piece piece, Item item, Band band) {
    if (!item.onShow()) {
      return Stream.of();
    }
    List<? extends Setting<?>> shown = Leading.shown(piece);
    var all = new ArrayList<Drawn>();
    Stream.of(ItemSettings.PICTURE, ItemSettings.BACK_PICTURE)
        .filter(shown::contains)
        .filter(piece.type().room()::reads)
        .flatMap(setting ->
            picture(
                item, item.values().get(setting), band, (in, size) -> in.item(piece, item, size)))
        .forEach(all::add);
    if (shown.contains(ItemSettings.GROUND_CLIP)) {
      // Where there are two formats, a browser takes one: no less than the lighter is fetched.
      Stream.of(ItemSettings.GROUND_CLIP, ItemSettings.GROUND_CLIP_2)
          .map(item.values()::get)
          .filter(id -> !at.pictures().files(id).isEmpty())
          .min(Comparator.comparingLong(this::whole))
          .ifPresent(id ->
              all.add(
                  new Drawn(
                      item,
                      id,
                      new Sources<>(at.pictures().files(id), PictureSizes.File::width),
                      of(band).fixed(1))));
    }
    return all.stream();
  }

  private PictureWidths of(Band band) {
    return widths.stream().filter(each -> each.band().equals(band)).findFirst().orElseThrow();
  }

  private Stream<Drawn> picture(
      Node of, String id, Band band, BiFunction<PictureWidths, PictureSizes.Size, Piecewise> wide) {
    List<PictureSizes.File> files = at.pictures().files(id);
    return at.pictures().find(id).filter(_ -> !files.isEmpty()).stream()
        .map(size -> {
          Sources<PictureSizes.File> some =
              Sources.of(
                  files.subList(0, files.size() - 1),
                  files.getLast(),
                  PictureSizes.File::width,
                  widths.stream().map(in -> wide.apply(in, size)).toList());
          return new Drawn(of, id, some, wide.apply(of(band), size));
        });
  }
}
