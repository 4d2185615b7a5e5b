package giostra.core.output;

import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.value.EdgeShape;
import giostra.core.value.Length;
import giostra.core.value.Refused;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.parser.ParseSettings;
import org.jsoup.parser.Parser;

/**
 * A section of a page, or one piece of it, as it stands in a page of somebody else's: in a shadow
 * tree of its own, so that the styles and ids of neither touch the other. Source: HTML,
 * "Declarative shadow roots"; CSS Scoping 1.
 *
 * @param html what stands in the tree
 * @param css the tree's sheet
 * @param faces the rules that the page around has to have: fonts under names of their own
 * @param scripts what is run with it, in order
 */
public record Snippet(String html, String css, String faces, List<String> scripts) {
  /**
   * What the addresses of files begin with, until somebody knows where they are: {@link #at}.
   * Whoever writes that in a text reads the address there.
   */
  private static final String BASE = "giostra-base:/";

  /** What addresses begin with that are seen from the page. */
  private static final String PAGE = "giostra-page:/";

  /** Addresses with a scheme, of another host, from the root or within what is at hand. */
  private static final Pattern BY_ITSELF =
      Pattern.compile("(?:[a-zA-Z][-+.\\w]*:|[/?#]).*|", Pattern.DOTALL);

  /** What holds of the element that has the tree, whatever the page around says of it. */
  public static final String BORDER =
      "all:initial!important;display:block!important;inline-size:100%!important;"
          + "min-inline-size:0!important;max-inline-size:100%!important";

  /** Where an image keeps what the page says of its width. */
  private static final String SIZES = "data-sizes";

  public Snippet {
    scripts = List.copyOf(scripts);
  }

  /**
   * Compiles one.
   *
   * @param id of a section, or of a piece wherever it stands
   * @param scripts where scripts that run in a room are, by name, seen from the release
   * @param there whether a file of the page is among those of its release, by its path there
   * @param scripted whether they run; without, it is as for who runs none
   * @throws Refused when there is no such section or piece
   */
  public static Snippet of(
      Document document,
      Shipped shipped,
      String id,
      Map<String, String> scripts,
      Predicate<String> there,
      boolean scripted) {
    Document alone = alone(document, id);
    boolean piece = !(document.node(id) instanceof Section);
    var under = new HashMap<String, String>();
    scripts.forEach((name, path) -> under.put(name, BASE + path));
    Compiled compiled = Compiler.compile(alone, shipped.under(BASE, under, there));
    RoomSheet.Made sheet = RoomSheet.of(compiled.trimmed(), scripted);
    return new Snippet(
        room(alone, compiled, piece, scripted),
        sheet.css(),
        sheet.faces(),
        scripted ? compiled.scripts() : List.of());
  }

  /**
   * The page with nothing else on it. A piece keeps the tone and the ground of its section, and has
   * none of the room around it: that is the page's in which it stands.
   *
   * @throws Refused when there is no such section or piece
   */
  public static Document alone(Document document, String id) {
    Node node =
        document
            .find(id)
            .filter(each -> each instanceof Section || each instanceof Piece)
            .orElseThrow(() ->
                new Refused("snippet", id, "a section or a piece of the page as it was published"));
    Section section =
        (Section)
            Stream.concat(document.path(id).stream(), Stream.of(node))
                .filter(Section.class::isInstance)
                .findFirst()
                .orElseThrow();
    Section kept =
        node instanceof Block block ? bare(document, section).holding(List.of(block)) : section;
    return new Document(document.site(), document.page().holding(List.of(kept)));
  }

  private static Section bare(Document document, Section section) {
    Values values = section.values();
    for (var band : document.bands().all()) {
      for (var room :
          List.of(
              SectionSettings.PADDING, SectionSettings.SPACE_ABOVE, SectionSettings.SPACE_BELOW)) {
        values = values.with(room, band.id(), Length.px(0));
      }
      for (var edge : List.of(SectionSettings.EDGE_ABOVE, SectionSettings.EDGE_BELOW)) {
        values = values.with(edge, band.id(), EdgeShape.NONE);
      }
    }
    return section.with(values);
  }

  private static String room(Document alone, Compiled compiled, boolean piece, boolean scripted) {
    var page = alone.page().values();
    var out =
        new Html()
            .open(
                "div",
                "class",
                RoomSheet.ROOM,
                "data-scripts",
                scripted ? String.join(" ", compiled.scripts()) : "")
            .open(
                RoomSheet.PAGE,
                "class",
                RoomSheet.PAGE,
                "lang",
                page.get(PageSettings.LANGUAGE),
                "dir",
                Css.word(page.get(PageSettings.DIRECTION)));
    return out.raw(inside(compiled.inside(), piece)).close(RoomSheet.PAGE).close("div").toString();
  }

  /**
   * Pictures are fetched when they are near, and chosen by what they lie in, since nobody knows yet
   * how wide the room is; a script that does goes by what the page says, which knows of cuts too.
   * One piece is no region of the page. Source: HTML, "sizes", "auto".
   */
  private static String inside(String html, boolean piece) {
    var parser = Parser.htmlParser().settings(ParseSettings.preserveCase);
    org.jsoup.nodes.Document whole = Jsoup.parseBodyFragment("");
    whole.outputSettings().prettyPrint(false);
    Element body = whole.body();
    parser.parseFragmentInput(html, body, "").forEach(body::appendChild);
    for (Element image : body.select("img[sizes]")) {
      String sizes = image.attr("sizes");
      image.attr("loading", "lazy").attr("sizes", "auto," + sizes).attr(SIZES, sizes);
    }
    for (Element link : body.select("a[href]")) {
      String to = link.attr("href");
      boolean elsewhere = to.startsWith("#") && body.getElementById(to.substring(1)) == null;
      if (elsewhere || !BY_ITSELF.matcher(to).matches()) {
        link.attr("href", PAGE + to);
      }
    }
    // Captions are let in only where the clip says whose it is.
    body.select("video, audio").attr("crossorigin", "anonymous");
    if (piece) {
      body.select("section.g-section").removeAttr("aria-label");
    }
    return body.html();
  }

  /**
   * The markup that makes a tree of it: what a host element holds, or what is put there by whoever
   * asks for it. Source: HTML, "The template element", shadowrootmode.
   *
   * @param base where the release's files are, with a slash at its end
   * @param page where the live page is, with a slash at its end
   */
  public String at(String base, String page) {
    return at(kept(), base, page);
  }

  /** The same before anybody knows where the files are: what can be kept. */
  public String kept() {
    return style(faces) + "<template shadowrootmode=\"open\">" + style(css) + html + "</template>";
  }

  /**
   * A sheet in markup: what somebody wrote in a text of it ends no element. Source: HTML,
   * "Restrictions on the contents of raw text elements"; CSS Syntax 3, "Consume an escaped code
   * point".
   */
  private static String style(String sheet) {
    return "<style>" + sheet.replace("</", "<\\/") + "</style>";
  }

  /** What was kept, with the addresses of its files and of its page. */
  public static String at(String kept, String base, String page) {
    return kept.replace(BASE, base).replace(PAGE, page);
  }
}
