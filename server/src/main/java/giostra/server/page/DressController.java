package giostra.server.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.TypeParts;
import giostra.core.anatomy.TypeStyles;
import giostra.core.band.Band;
import giostra.core.dress.MadeTone;
import giostra.core.dress.Reach;
import giostra.core.dress.TypeScale;
import giostra.core.dress.Wardrobe;
import giostra.core.dress.WholeDress;
import giostra.core.format.EditJson;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.LookSettings;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.snag.PartContrast;
import giostra.core.value.Colour;
import giostra.core.value.Family;
import giostra.core.value.LetterCase;
import giostra.core.value.PickKind;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.Typeface;
import giostra.server.media.MediaService;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** How things look: the board of a node, what a piece may wear, and trying it on. */
@RestController
class DressController {
  private final PageService pages;
  private final Stage stage;
  private final MediaService media;

  DressController(PageService pages, Stage stage, MediaService media) {
    this.pages = pages;
    this.stage = stage;
    this.media = media;
  }

  /**
   * The board of a node: its parts, and what holds of one of them in each state and band. With
   * {@code of}, the parts of something else that the node speaks of as well.
   */
  @GetMapping("/api/pages/{id}/board")
  Boards.Board board(
      @PathVariable String id,
      @RequestParam String node,
      @RequestParam(defaultValue = "") String of,
      @RequestParam(defaultValue = "") String part) {
    PageService.Head head = pages.head(id);
    Boards.Board board =
        Boards.board(
            head.document(),
            pages.shown(head),
            media.sizes(head.siteId()),
            node,
            of.isEmpty() ? node : of,
            part);
    return board.part().isEmpty()
        ? board
        : board.reaching(reach(head, node, new PartId(board.part())));
  }

  private int reach(PageService.Head head, String id, PartId part) {
    Node node = PageService.node(head.document(), id);
    if (!Site.has(id)) {
      return Reach.of(head.document(), node, part);
    }
    return pages.pages(head.siteId()).stream()
        .mapToInt(page -> Reach.of(page.document(), node, part))
        .sum();
  }

  /**
   * What a piece may wear.
   *
   * @param looks first none, then those of the site, then those that ship
   * @param held what section and page say of its parts, nearer than any look
   */
  record WardrobeReply(List<HangerReply> looks, List<HeldReply> held) {}

  /**
   * A look.
   *
   * @param id empty for wearing none
   * @param shipped whether the site does not have it yet
   * @param wearers pieces of the site that wear it
   * @param wear edits with which the piece wears it
   * @param everywhere edits that make it the usual one of its kind, or end that
   */
  record HangerReply(
      String id,
      String name,
      String says,
      boolean shipped,
      boolean worn,
      boolean usual,
      int wearers,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode wear,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode everywhere) {}

  /** Who holds a piece in something, in how many values, and edits that let it go. */
  record HeldReply(
      String node,
      String type,
      String name,
      int values,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode letGo) {}

  /** What a piece may wear. */
  @GetMapping("/api/pages/{id}/wardrobe")
  WardrobeReply wardrobe(@PathVariable String id, @RequestParam String piece) {
    PageService.Head head = pages.head(id);
    Document document = head.document();
    Piece worn = document.piece(piece);
    Map<String, Integer> wearers = wearers(head.siteId());
    return new WardrobeReply(
        Wardrobe.of(document, worn).stream()
            .map(each ->
                new HangerReply(
                    each.id(),
                    each.name(),
                    each.says(),
                    each.shipped(),
                    each.worn(),
                    each.usual(),
                    wearers.getOrDefault(each.id(), 0),
                    EditJson.write(each.wear()),
                    EditJson.write(each.everywhere())))
            .toList(),
        Wardrobe.held(document, worn).stream()
            .map(each ->
                new HeldReply(
                    each.by().id(),
                    each.by().type().word(),
                    name(each.by()),
                    each.values(),
                    EditJson.write(each.letGo())))
            .toList());
  }

  private static String name(Node node) {
    return node instanceof Section section
        ? section.values().get(SectionSettings.NAME)
        : node.values().get(PageSettings.TITLE);
  }

  /** How many pieces of a site wear each of its looks. */
  private Map<String, Integer> wearers(String siteId) {
    var all = new HashMap<String, Integer>();
    for (PageService.Head page : pages.pages(siteId)) {
      Reach.wearers(page.document()).forEach((look, many) -> all.merge(look, many, Integer::sum));
    }
    return all;
  }

  /** A whole dress, with edits with which the site wears it. */
  record DressReply(
      String id,
      String name,
      String says,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode wear) {}

  /**
   * A whole dress as it is chosen for a new site.
   *
   * @param colours of its first tone, by their names there
   * @param text label of the family of its texts
   * @param display label of that of its headings
   */
  record DressLine(
      String id,
      String name,
      String says,
      Map<String, String> colours,
      String text,
      String display) {}

  /** What a new site may wear: first what it has where nobody says anything, with an empty id. */
  @GetMapping("/api/dresses")
  List<DressLine> allDresses() {
    return WholeDress.choices().stream()
        .map(each ->
            new DressLine(
                each.id(),
                each.name(),
                each.says(),
                each.colours(),
                each.text().label(),
                each.display().label()))
        .toList();
  }

  /** Whole dresses that a site may wear: tones, families and a look for each kind. */
  @GetMapping("/api/pages/{id}/dresses")
  List<DressReply> dresses(@PathVariable String id) {
    Site site = pages.head(id).document().site();
    return WholeDress.ALL.stream()
        .map(each ->
            new DressReply(each.id(), each.name(), each.says(), EditJson.write(each.wear(site))))
        .toList();
  }

  /**
   * A tone made of one colour.
   *
   * @param contrasts of its words on its grounds
   * @param edits with which the site has it; none where it has no name yet
   */
  record MadeToneReply(
      List<Sheets.NamedColour> colours,
      List<ToneContrastReply> contrasts,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** The contrast of words in a colour of a tone with another, and the least that is asked. */
  record ToneContrastReply(String words, String on, double found, double asked) {}

  /** The tone that a colour makes, light or dark. */
  @GetMapping("/api/pages/{id}/made-tone")
  MadeToneReply madeTone(
      @PathVariable String id,
      @RequestParam String colour,
      @RequestParam(defaultValue = "false") boolean dark,
      @RequestParam(defaultValue = "") String name) {
    Colour seed = Colour.parse(colour);
    Map<ToneColour, Colour> made = MadeTone.of(seed, dark);
    Site site = pages.head(id).document().site();
    return new MadeToneReply(
        made.entrySet().stream()
            .map(each ->
                new Sheets.NamedColour(
                    PickKind.word(each.getKey()), each.getKey().label(), each.getValue().css()))
            .toList(),
        MadeTone.contrasts(made).stream()
            .map(each ->
                new ToneContrastReply(
                    each.words().label(), each.on().label(), each.found(), each.asked()))
            .toList(),
        EditJson.write(name.isBlank() ? List.of() : MadeTone.edits(site, name, seed, dark)));
  }

  /**
   * A scale of type.
   *
   * @param gives how many sizes that the site says of single parts give way to it
   * @param keeps how many things on this page, or looks, keep sizes of their own
   */
  record TypeScaleReply(
      List<TypeSizeReply> sizes,
      int gives,
      int keeps,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /**
   * The size of a style of type.
   *
   * @param part id of the part that the style is
   * @param size as CSS has it
   * @param small px on a small screen
   * @param large px on a large one
   * @param family as CSS has it, of the site
   */
  record TypeSizeReply(
      String part,
      String label,
      String size,
      double small,
      double large,
      String family,
      int weight,
      boolean capitals) {}

  /** The sizes of all styles of type out of that of the text. */
  @GetMapping("/api/pages/{id}/type-scale")
  TypeScaleReply typeScale(
      @PathVariable String id,
      @RequestParam double smallText,
      @RequestParam double smallRatio,
      @RequestParam double largeText,
      @RequestParam double largeRatio) {
    var scale =
        new TypeScale(
            new TypeScale.Step(smallText, smallRatio), new TypeScale.Step(largeText, largeRatio));
    Document document = pages.head(id).document();
    return new TypeScaleReply(
        Arrays.stream(TypeStyle.values()).map(style -> size(document, scale, style)).toList(),
        TypeScale.gives(document.site()).size(),
        TypeScale.keeps(document).size(),
        EditJson.write(scale.edits(document.site())));
  }

  private static TypeSizeReply size(Document document, TypeScale scale, TypeStyle style) {
    Part part = TypeStyles.part(style);
    TypeSize size = scale.size(style);
    Scope scope = Resolution.scope(document, document.site());
    Band lead = document.bands().lead();
    Family family = Cascade.value(part, Property.FAMILY, State.REST, scope, lead);
    return new TypeSizeReply(
        part.id().id(),
        style.label(),
        size.css(),
        size.px(TypeScale.FROM),
        size.px(TypeScale.TO),
        TypeParts.typeface(family, scope, lead).map(Typeface::css).orElseGet(family::css),
        Cascade.value(part, Property.WEIGHT, State.REST, scope, lead),
        Cascade.value(part, Property.CASE, State.REST, scope, lead) == LetterCase.CAPITALS);
  }

  /** Edits that do something, as one step. */
  record EditsReply(@Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** The edits that take one of the site's own tones away. */
  @GetMapping("/api/pages/{id}/tone-away")
  EditsReply toneAway(@PathVariable String id, @RequestParam String tone) {
    return new EditsReply(EditJson.write(MadeTone.away(pages.head(id).document(), tone)));
  }

  /** The edits that keep how a piece looks as a look of the site, which it then wears. */
  @GetMapping("/api/pages/{id}/kept-look")
  EditsReply keptLook(
      @PathVariable String id,
      @RequestParam String piece,
      @RequestParam String look,
      @RequestParam String name) {
    Document document = pages.head(id).document();
    String called = LookSettings.NAME.read(name);
    return new EditsReply(
        EditJson.write(Wardrobe.keep(document, document.piece(piece), look, called)));
  }

  /**
   * A colour that can be read.
   *
   * @param colour nothing where it can be read as it is
   * @param edits with which the node has it there
   */
  record NearestReply(
      @Nullable String colour, @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** The nearest colour that the words of a part can be read in, in a state and a band. */
  @GetMapping("/api/pages/{id}/nearest")
  NearestReply nearest(
      @PathVariable String id,
      @RequestParam String node,
      @RequestParam String of,
      @RequestParam String part,
      @RequestParam String state,
      @RequestParam String band) {
    PageService.Head head = pages.head(id);
    Document document = pages.shown(head);
    Node by = PageService.node(document, node);
    Part asked = Anatomy.part(new PartId(part));
    StyleKey key = asked.key(Property.INK, StyleKey.state(state));
    by.type().style(key);
    Optional<String> found =
        PartContrast.nearest(
                document,
                PageService.node(document, of),
                asked,
                key.state(),
                document.bands().band(band),
                media.sizes(head.siteId()))
            .map(Colour::css);
    return new NearestReply(
        found.orElse(null),
        EditJson.write(
            found
                .map(colour -> List.<Edit>of(new Edit.SetStyle(node, key, band, colour)))
                .orElse(List.of())));
  }

  /** Edits to be tried. */
  record TrialRequest(@Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** Shows on the stage what a page would be after edits; nothing is kept of it. */
  @Needs(Role.REVIEWER)
  @PostMapping("/api/pages/{id}/trials")
  Stage.Trial trial(@PathVariable String id, @RequestBody TrialRequest body) {
    PageService.Head head = pages.head(id);
    Document tried =
        Edits.apply(head.document(), EditJson.read(body.edits(), head.document().bands()))
            .document();
    return stage.trial(head, tried);
  }
}
