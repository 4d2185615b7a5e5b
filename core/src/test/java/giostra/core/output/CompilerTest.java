package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.tabs.Tabs;
import giostra.core.testing.InTurn;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.parser.ParseErrorList;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;

/** Reference library: jsoup, for what a parser of the HTML standard makes of our markup. */
class CompilerTest {
  private static final Shipped SHIPPED = Shipped.scriptsOnly();

  /** So many documents are edited a dozen times. */
  private static final int TURNED = Runs.of(14, 40);

  @Test
  void theSameDocumentGivesTheSameBytes() {
    for (long seed = 0; seed < 40; seed++) {
      assertThat(files(Compiler.compile(RandomDocuments.document(seed), SHIPPED)))
          .isEqualTo(files(Compiler.compile(RandomDocuments.document(seed), SHIPPED)));
    }
  }

  /** Source: WAI-ARIA 1.2, "aria-selected"; that reordering changes nothing is our own rule. */
  @Test
  void theTabThatIsMarkedIsOpenWhereverItIsMoved() {
    Item one = new Item("one", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "One"));
    Item two =
        new Item(
            "two",
            Values.NONE
                .with(ItemSettings.HEADING, Values.ALL, "Two")
                .with(ItemSettings.OPEN, Values.ALL, true));
    for (List<Item> order : List.of(List.of(one, two), List.of(two, one))) {
      Document document =
          new Document(
              new Site(giostra.core.band.Bands.INITIAL, Values.NONE),
              new giostra.core.page.Page(
                  "page",
                  Values.NONE,
                  List.of(
                      new Section("s", Values.NONE, List.of(new Tabs("t", Values.NONE, order))))));
      Element page = Jsoup.parse(Compiler.compile(document, SHIPPED).html());
      assertThat(page.select("[aria-selected=true]").eachText()).containsExactly("Two");
    }
  }

  private static List<Object> files(Compiled page) {
    return List.of(
        page.html(),
        page.css(),
        page.cssPath(),
        List.copyOf(page.pictures()),
        page.blocks(),
        page.scripts(),
        page.fonts(),
        page.missing(),
        page.origins());
  }

  /** Several pages in one, so that there is something that an edit does not touch. */
  private static Document several(long seed) {
    Document first = RandomDocuments.document(seed);
    var sections = new ArrayList<Section>(first.page().sections());
    sections.add(
        new Section(
            "between",
            Values.NONE,
            List.of(
                new Block.Heading(
                    "between-heading",
                    Values.NONE.with(BlockSettings.HEADING_TEXT, Values.ALL, "Between")))));
    for (long more = seed + 1000; sections.size() < 8; more++) {
      // In every other section two stand together, so that blocks have others beside them.
      Section drawn = drawn(more);
      Section beside = drawn(more + 10_000);
      sections.add(
          more % 2 == 0
              ? drawn
              : drawn.holding(
                  Stream.concat(drawn.blocks().stream(), beside.blocks().stream()).toList()));
    }
    return new Document(first.site(), first.page().holding(sections));
  }

  private static Section drawn(long seed) {
    Section section = RandomDocuments.document(seed).page().sections().getFirst();
    return (Section) renamed(section, "-" + seed);
  }

  private static Node renamed(Node node, String end) {
    return node.type()
        .make(
            node.id() + end,
            node.values()
                .mapBands(bands -> {
                  bands.keySet().retainAll(List.of(Values.ALL));
                  return bands;
                }),
            node.children().stream().map(child -> renamed(child, end)).toList());
  }

  @InTurn(1)
  @Test
  void whatIsTakenOverFromBeforeIsWhatWouldBeWrittenAnew() {
    var random = new Random(20261127);
    int blocksAlone = 0;
    int patched = 0;
    for (long seed = 0; seed < TURNED; seed++) {
      Document document = several(seed);
      Compiled before = Compiler.compile(document, SHIPPED);
      for (int turn = 0; turn < 12; turn++) {
        document = Edits.apply(document, drawn(document, random)).document();
        findsEachNode(document);
        Compiled after = Compiler.compile(document, SHIPPED, before);
        Compiled anew = Compiler.compile(document, SHIPPED);
        assertThat(files(after)).as("seed %d, turn %d", seed, turn).isEqualTo(files(anew));
        Optional<Map<String, String>> blocks = after.blocksSince(before);
        assertThat(blocks).isEqualTo(anew.blocksSince(before));
        if (blocks.isPresent()) {
          blocksAlone++;
          var all = new LinkedHashMap<String, String>(before.blocks());
          all.putAll(blocks.get());
          assertThat(all).isEqualTo(after.blocks());
        }
        if (before.sheet().comparable(after.sheet())) {
          patched++;
          assertThat(patched(before.sheet(), before.sheet().patchesTo(after.sheet())))
              .isEqualTo(rules(after.sheet()));
        }
        before = after;
      }
    }
    assertThat(blocksAlone).isGreaterThan(TURNED * 5 / 2);
    assertThat(patched).isGreaterThan(TURNED * 15 / 2);
  }

  @Test
  void ofASectionWithManyPiecesAnEditTouchesOne() {
    Document document = several(0);
    Section section =
        document.page().sections().stream()
            .max(Comparator.comparingInt(each -> each.blocks().size()))
            .orElseThrow();
    assertThat(section.blocks()).hasSizeGreaterThan(1);
    int at = document.page().sections().indexOf(section);
    Compiled before = Compiler.compile(document, SHIPPED);
    Block touched =
        section.blocks().stream().filter(Piece.class::isInstance).findFirst().orElseThrow();
    Edit edit = new Edit.SetValue(touched.id(), "name", "", "Another name");
    Compiled after =
        Compiler.compile(Edits.apply(document, List.of(edit)).document(), SHIPPED, before);
    List<BlockFiles> old = before.sections().get(at).blocks();
    List<BlockFiles> now = after.sections().get(at).blocks();
    for (int i = 0; i < old.size(); i++) {
      boolean same = now.get(i) == old.get(i);
      assertThat(same)
          .as(old.get(i).given().block().id())
          .isEqualTo(section.blocks().get(i) != touched);
    }
  }

  /** Documents share where nodes stand; each still has its own. */
  private static void findsEachNode(Document document) {
    assertThat(document.nodes()).allMatch(node -> document.find(node.id()).orElseThrow() == node);
    assertThat(Document.walk(document.page()))
        .allMatch(node -> document.path(node.id()).getLast() == node)
        .allMatch(node -> document.path(node.id()).getFirst() == document.page());
  }

  private static List<Edit> drawn(Document document, Random random) {
    List<Node> nodes = document.nodes().filter(node -> !(node instanceof Site)).toList();
    Node node = nodes.get(random.nextInt(nodes.size()));
    List<Section> sections = document.page().sections();
    Section section = sections.get(random.nextInt(sections.size()));
    return switch (random.nextInt(9)) {
      case 0 ->
          List.of(
              new Edit.SetValue(
                  "between-heading", "level", "", Integer.toString(1 + random.nextInt(6))));
      case 1 -> List.of(new Edit.MoveNode(section.id(), "page", random.nextInt(sections.size())));
      case 2 ->
          sections.size() > 3 && !section.id().equals("between")
              ? List.of(new Edit.RemoveNode(section.id()))
              : List.of(new Edit.SetValue("page", "language", "", "it"));
      case 3 ->
          List.of(
              new Edit.SetValue(
                  Site.ID,
                  "measure",
                  document.bands().lead().id(),
                  700 + random.nextInt(400) + "px"));
      case 4 ->
          List.of(
              new Edit.SetValue(
                  section.id(),
                  "padding",
                  document.bands().lead().id(),
                  random.nextInt(60) + "px"));
      case 6 -> {
        List<Block> blocks = section.blocks();
        Section to = sections.get(random.nextInt(sections.size()));
        String block = blocks.get(random.nextInt(blocks.size())).id();
        yield block.equals("between-heading") || blocks.size() < 2
            ? List.of()
            : List.of(new Edit.MoveNode(block, to.id(), 0));
      }
      case 5 -> List.of(new Edit.SetValue("page", "title", "", "Title " + random.nextInt()));
      default ->
          node instanceof Item
              ? List.of(new Edit.SetValue(node.id(), "heading", "", "Heading " + random.nextInt()))
              : node instanceof Piece
                  ? List.of(
                      new Edit.SetValue(
                          node.id(),
                          "spaceAbove",
                          document.bands().lead().id(),
                          random.nextInt(90) + "px"))
                  : List.of();
    };
  }

  /** The rules at a sheet's top, those of groups in lists of their own. */
  private static List<Object> rules(Sheet sheet) {
    var top = new ArrayList<Object>(Collections.nCopies(sheet.fixed().count(), "fixed"));
    for (Sheet.Group group : sheet.groups()) {
      if (group.condition().isEmpty()) {
        top.addAll(group.rules());
      } else {
        top.add(new ArrayList<>(group.rules()));
      }
    }
    assertThat(top).hasSize(sheet.rules());
    return top;
  }

  /** As a stage changes its sheet: one change after the other. */
  @SuppressWarnings("unchecked")
  private static List<Object> patched(Sheet sheet, List<Sheet.Patch> patches) {
    List<Object> top = rules(sheet);
    for (Sheet.Patch patch : patches) {
      List<Object> list = patch.group() < 0 ? top : (List<Object>) top.get(patch.group());
      list.subList(patch.at(), patch.at() + patch.remove()).clear();
      list.addAll(patch.at(), patch.insert());
    }
    return top;
  }

  @Test
  void whatItWritesParsesWithoutAnErrorAndNeedsNoInlineScriptOrStyle() {
    for (long seed = 0; seed < 40; seed++) {
      String html = Compiler.compile(RandomDocuments.document(seed), SHIPPED).html();
      Parser parser = Parser.htmlParser().setTrackErrors(10);
      var parsed = Jsoup.parse(html, "", parser);
      ParseErrorList errors = parser.getErrors();
      assertThat(errors).as("seed " + seed).isEmpty();
      assertThat(parsed.select("[style], script:not([src]), style")).isEmpty();
      assertThat(parsed.getAllElements().stream().flatMap(e -> e.attributes().asList().stream()))
          .noneMatch(attribute -> attribute.getKey().startsWith("on"));
      assertThat(parsed.select("[id]").stream().map(Element::id)).doesNotHaveDuplicates();
    }
  }

  @Test
  void hostileWordsStayWords() {
    Document document = RandomDocuments.document(3);
    String item = document.pieces().getFirst().items().getFirst().id();
    String hostile = "</script><script>alert(1)</script><img src=x onerror=alert(1)>\"'&";
    Document after =
        Edits.apply(
                document,
                List.of(
                    new Edit.SetValue(item, "text", "", hostile),
                    new Edit.SetValue(item, "name", "", hostile.substring(0, 60)),
                    new Edit.SetValue(item, "heading", "", hostile),
                    new Edit.SetValue("page", "title", "", hostile)))
            .document();
    var parsed = Jsoup.parse(Compiler.compile(after, SHIPPED).html());
    assertThat(parsed.title()).isEqualTo(hostile);
    // Words stay words; long text is markup, of which only what is harmless is left.
    assertThat(parsed.select("[data-item=" + item + "]").outerHtml())
        .doesNotContain("<script")
        .doesNotContain("onerror=\"");
    assertThat(parsed.select("script")).allMatch(script -> script.hasAttr("src"));
    assertThat(parsed.select("img")).isEmpty();
  }

  @Test
  void aLinkThatWouldRunScriptIsRefused() {
    assertThat(
            org.assertj.core.api.Assertions.catchThrowable(
                () -> BlockSettings.LINK.address().read("javascript:alert(1)")))
        .hasMessageContaining("it must be an address (https, http, mailto, tel)");
  }

  @Test
  void compiledCssNeverUsesTheViewportUnitThatCountsTheScrollbar() {
    for (long seed = 0; seed < 40; seed++) {
      assertThat(Compiler.compile(RandomDocuments.document(seed), SHIPPED).css())
          .doesNotContain("vw")
          .doesNotContain(",px")
          .doesNotContain("NaN");
    }
  }
}
