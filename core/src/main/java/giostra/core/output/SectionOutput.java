package giostra.core.output;

import giostra.core.anatomy.PageParts;
import giostra.core.band.Band;
import giostra.core.layout.Outline;
import giostra.core.layout.Resolution;
import giostra.core.layout.SectionDepth;
import giostra.core.look.Cascade;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SiteSettings;
import giostra.core.value.Focus;
import giostra.core.value.GroundFit;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Writes one section of a page: what it has of itself, and those of its blocks that changed. */
final class SectionOutput {
  private final Document document;
  private final Shipped shipped;
  private final Outline outline;
  private final SectionFiles.Given given;
  private final Section section;
  private final Writing writing;

  SectionOutput(Document document, Shipped shipped, Outline outline, SectionFiles.Given given) {
    this.document = document;
    this.shipped = shipped;
    this.outline = outline;
    this.given = given;
    this.section = given.section();
    var icons =
        new Icons(
            shipped.icons(),
            shipped.media().sprite(document.site().values().get(SiteSettings.ICONS)));
    this.writing = new Writing(document, shipped, outline, icons, _ -> {});
  }

  /**
   * Writes it.
   *
   * @param known what was written before, of any blocks
   */
  SectionFiles write(Map<Block, BlockFiles> known) {
    open();
    rules();
    String opens = writing.out.toString();
    writing.out.close("section");
    String closes = writing.out.from(opens.length());
    List<BlockFiles> blocks =
        section.blocks().stream().map(block -> block(block, known.get(block))).toList();
    var all = new ArrayList<>(List.of(Gathered.of(writing, List.of(section), opens)));
    blocks.forEach(each -> all.add(each.gathered()));
    Gathered gathered = Gathered.together(all);
    String rules = gathered.rules();
    int markup = blocks.stream().mapToInt(each -> each.html().length()).sum();
    return new SectionFiles(
        given,
        opens,
        closes,
        blocks,
        gathered,
        Hash.of(rules),
        writing.out.length() + markup + rules.length());
  }

  private BlockFiles block(Block block, @Nullable BlockFiles before) {
    var asked = BlockFiles.Given.of(block, section, given.page(), outline);
    return before != null && before.given().same(asked)
        ? before
        : new BlockOutput(document, shipped, outline, writing.icons.afresh()).write(section, asked);
  }

  private SectionEdges edges() {
    return new SectionEdges(document, section, given.first(), given.after());
  }

  private void open() {
    String tone = Css.word(section.values().get(SectionSettings.TONE));
    Optional<Shipped.Picture> ground =
        writing.pictures.find(section.values().get(SectionSettings.GROUND));
    writing.out.open(
        "section",
        "class",
        "g-section g-"
            + tone
            + (ground.isPresent() ? " g-grounded" : "")
            + (ground.isPresent() && deep() ? " g-deep" : ""),
        "id",
        "g-" + section.id(),
        "data-section",
        section.id(),
        "aria-label",
        section.values().get(SectionSettings.NAME));
    ground.ifPresent(this::ground);
    if (ground.isEmpty()) {
      edges().html(writing.out);
    }
  }

  private void ground(Shipped.Picture picture) {
    if (patterned()) {
      writing.out.open("div", "class", "g-ground");
      writing.out.close("div");
    } else {
      writing.image(
          writing.there(section),
          picture,
          "",
          widths -> widths.ground(section, Pictures.size(picture)),
          "class",
          "g-ground",
          "fetchpriority",
          "high");
    }
  }

  private SectionDepth depth(Band band) {
    return SectionDepth.of(document, section, band);
  }

  /** Whether its picture moves more slowly than the page in some band. */
  private boolean deep() {
    return document.bands().all().stream().anyMatch(band -> !depth(band).flat());
  }

  /** Whether its picture is laid again and again in some band: no image can be. */
  private boolean patterned() {
    return document.bands().all().stream()
        .anyMatch(band -> laid(Property.PICTURE_FIT, band) == GroundFit.PATTERN);
  }

  private <T> T laid(Property<T> property, Band band) {
    Scope scope = Resolution.scope(document, section);
    return Cascade.value(PageParts.GROUND_PICTURE, property, State.REST, scope, band);
  }

  /** The picture where it is no image, and the point of it that stays in view. */
  private void pictured(String id, Shipped.Picture picture) {
    String ground = id + ">.g-ground";
    boolean patterned = patterned();
    if (!picture.focus().equals(Focus.CENTER)) {
      String at = patterned ? "background-position" : "object-position";
      writing.css.put(ground, at, _ -> picture.focus().css());
    }
    if (patterned) {
      writing.css.put(
          ground,
          "background-image",
          band ->
              Css.url(
                  writing.pictures.ground(
                      section.values().get(SectionSettings.GROUND),
                      PartCss.wide(
                          laid(Property.PICTURE_FIT, band),
                          laid(Property.PICTURE_SIZE, band),
                          band.below()))));
    }
  }

  private void rules() {
    String id = "#g-" + section.id();
    writing.styles().of(section);
    writing.ownCss(section);
    writing.css.put(
        id,
        "padding-block",
        band ->
            writing.value(section, SectionSettings.SPACE_ABOVE, band).css()
                + " "
                + writing.value(section, SectionSettings.SPACE_BELOW, band).css());
    writing.css.put(id + ">.g-block", "inline-size", band -> writing.content(section, band));
    Optional<Shipped.Picture> picture =
        writing.pictures.find(section.values().get(SectionSettings.GROUND));
    if (picture.isPresent()) {
      pictured(id, picture.get());
      if (deep()) {
        writing.needs("deep");
        writing.css.put(id, "--g-deep", band -> Require.number(depth(band).share()));
        writing.css.put(
            id + ">.g-ground", "animation-name", band -> depth(band).flat() ? "none" : "g-deep");
      }
      edges().pictured(writing.css);
    } else {
      edges().layered(writing.css);
    }
  }
}
