package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.layout.Outline;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Look;
import giostra.core.page.MarkSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.SiteSettings;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Writes one section of a page. */
final class SectionOutput {
  private final Document document;
  private final SectionFiles.Given given;
  private final Section section;
  private final Writing writing;
  private final BlockOutput blocks;

  SectionOutput(Document document, Shipped shipped, Outline outline, SectionFiles.Given given) {
    this.document = document;
    this.given = given;
    this.section = given.section();
    this.writing = new Writing(document, shipped, outline, this::wrapped);
    this.blocks = new BlockOutput(writing, this::wrapped);
  }

  /** Writes it. */
  SectionFiles write() {
    String id = "#g-" + section.id();
    String tone = Css.word(section.values().get(SectionSettings.TONE));
    Optional<Shipped.Picture> ground =
        writing.pictures.find(section.values().get(SectionSettings.GROUND));
    writing.out.open(
        "section",
        "class",
        "g-section g-" + tone + (ground.isPresent() ? " g-grounded" : ""),
        "id",
        "g-" + section.id(),
        "data-section",
        section.id(),
        "aria-label",
        section.values().get(SectionSettings.NAME));
    ground.ifPresent(picture ->
        writing.image(
            picture,
            "",
            widths -> widths.ground(section, Pictures.size(picture)),
            "class",
            "g-ground",
            "fetchpriority",
            "high"));
    writing.styles().of(section);
    writing.css.put(
        id,
        "padding-block",
        band ->
            value(section, SectionSettings.SPACE_ABOVE, band).css()
                + " "
                + value(section, SectionSettings.SPACE_BELOW, band).css());
    writing.css.put(id + ">.g-block", "inline-size", band -> content(section, band));
    var frame = new ArrayList<String>();
    var written = new LinkedHashMap<String, String>();
    int end = 0;
    for (Block block : section.blocks()) {
      int start = writing.out.length();
      frame.add(writing.out.from(end).substring(0, start - end));
      wrapped(block);
      written.put(block.id(), writing.out.from(start));
      end = writing.out.length();
      if (block instanceof Piece piece) {
        // Only a piece that stands in a section by itself may leave its measure.
        writing.css.put(
            id + ">.g-block[data-block=" + block.id() + "]",
            "inline-size",
            band ->
                value(piece, PieceSettings.EXTENT, band) == Extent.EDGE
                    ? "100%"
                    : content(section, band));
      }
    }
    writing.out.close("section");
    frame.add(writing.out.from(end));
    Map<String, List<String>> css = writing.css.byBand();
    Map<String, List<String>> hover = writing.hoverCss.byBand();
    List<String> within = List.copyOf(writing.within);
    String rules = SectionFiles.rules(css, hover, within);
    return new SectionFiles(
        given,
        List.copyOf(frame),
        written,
        css,
        hover,
        within,
        writing.kinds,
        writing.parts,
        writing.mostItems,
        writing.icons.used(),
        writing.pictures.files,
        writing.pictures.missing,
        writing.origins,
        FontUse.of(document, section, Stream.concat(frame.stream(), written.values().stream())),
        FontUse.worn(document, section).map(Look::id).collect(Collectors.toSet()),
        Hash.of(rules),
        writing.out.length() + rules.length());
  }

  private <T> T value(Node node, Setting<T> setting, Band band) {
    return writing.value(node, setting, band);
  }

  private String content(Section section, Band band) {
    if (value(section, SectionSettings.EXTENT, band) == Extent.EDGE) {
      return "100%";
    }
    String padding = value(section, SectionSettings.PADDING, band).css();
    String measure = value(document.site(), SiteSettings.MEASURE, band).css();
    return String.format(Locale.ROOT, "max(0px,min(100%% - 2*%s,%s))", padding, measure);
  }

  private void wrapped(Block block) {
    if (block instanceof Piece piece && piece.values().get(PieceSettings.HIDDEN)) {
      return;
    }
    String anchor = block instanceof Piece piece ? piece.values().get(MarkSettings.ANCHOR) : "";
    writing.out.open("div", "class", "g-block", "id", anchor, "data-block", block.id());
    blocks.write(block);
    writing.out.close("div");
    writing.styles().of(block);
    if (block instanceof Piece piece) {
      shown(piece);
    }
  }

  private void shown(Piece piece) {
    boolean everywhere =
        document.bands().all().stream().allMatch(band -> value(piece, PieceSettings.SHOWN, band));
    if (!everywhere) {
      writing.css.put(
          ".g-block[data-block=" + piece.id() + "]",
          "display",
          band -> value(piece, PieceSettings.SHOWN, band) ? "block" : "none");
    }
  }
}
