package giostra.core.output;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A page as it is published. */
public final class Compiled {
  /** How the link to the sheet begins, whose path is not known before everything else is. */
  static final String LINKED = "<link rel=\"stylesheet\" href=\"";

  static final String HEAD_ENDS = "</head>";
  static final String BODY = "<body>";

  /** How the page ends after all that it has. */
  static final String ENDS = "</body></html>\n";

  static final String MAIN = "<main>";

  private final Shipped shipped;
  private final String start;
  private final String end;
  private final List<SectionFiles> sections;
  private final PageBase base;
  private final Sheet sheet;
  private final int weight;
  private final String cssPath;
  private final Set<String> pictures;
  private final List<Fetched> fetched;
  private final List<String> scripts;
  private final List<String> fonts;
  private final List<String> missing;
  private final Origins origins;
  private final PageCode code;

  /**
   * @param shipped what it was compiled with
   * @param start markup before the sections, without the path of the sheet
   * @param end markup after them
   * @param weight characters of all of it, about
   */
  Compiled(
      Shipped shipped,
      String start,
      String end,
      List<SectionFiles> sections,
      PageBase base,
      Sheet sheet,
      int weight,
      String cssPath,
      Set<String> pictures,
      List<Fetched> fetched,
      List<String> scripts,
      List<String> fonts,
      List<String> missing,
      Origins origins,
      PageCode code) {
    this.shipped = shipped;
    this.start = start;
    this.end = end;
    this.sections = List.copyOf(sections);
    this.base = base;
    this.sheet = sheet;
    this.weight = weight;
    this.cssPath = cssPath;
    this.pictures = pictures;
    this.fetched = fetched;
    this.scripts = scripts;
    this.fonts = fonts;
    this.missing = missing;
    this.origins = origins;
    this.code = code;
  }

  /** The whole document without anybody's own code, put together anew each time. */
  public String html() {
    return html(PageCode.NONE);
  }

  /**
   * A page as it is sent to who visits it.
   *
   * @param html with the code that somebody has put in it
   * @param cssPath of its stylesheet, relative to the page; it names the content
   */
  public record Published(String html, String cssPath, String css) {}

  /**
   * As it is published. Its sheet has no rules that meet nothing on the page; where somebody's own
   * code runs, nobody knows what will be there.
   */
  public Published published() {
    String html = html(code);
    if (!code.equals(PageCode.NONE)) {
      return new Published(html, cssPath, css());
    }
    String css = Trimmed.of(css(), html);
    String path = "style." + Hash.of(css) + ".css";
    int at = html.indexOf(LINKED) + LINKED.length();
    return new Published(
        html.substring(0, at) + path + html.substring(at + cssPath.length()), path, css);
  }

  /** As {@link #css()}, without rules that meet nothing on the page. */
  String trimmed() {
    return Trimmed.of(css(), html());
  }

  /** The code that somebody has put in it. */
  public PageCode code() {
    return code;
  }

  private String html(PageCode code) {
    var html = new StringBuilder(start);
    html.insert(start.indexOf(HEAD_ENDS + BODY), code.head());
    html.insert(start.indexOf(LINKED) + LINKED.length(), cssPath);
    sections.forEach(each -> each.html(html));
    html.append(end);
    return html.insert(html.length() - ENDS.length(), code.end()).toString();
  }

  /** What stands in its main element, with the icons that it draws before that. */
  String inside() {
    var html = new StringBuilder(start.substring(start.indexOf(BODY) + BODY.length()));
    html.delete(html.length() - MAIN.length(), html.length());
    sections.forEach(each -> each.html(html));
    return html.toString();
  }

  /** The whole stylesheet as text, put together anew each time. */
  public String css() {
    return sheet.css();
  }

  /** About how many characters it keeps. */
  public int weight() {
    return weight;
  }

  /** The whole stylesheet as values. */
  public Sheet sheet() {
    return sheet;
  }

  /** Path of the stylesheet relative to the page; it names the content. */
  public String cssPath() {
    return cssPath;
  }

  /** Paths of the media files that it asks for, pictures in all their sizes. */
  public Set<String> pictures() {
    return pictures;
  }

  /** Where its pictures are drawn, those elsewhere apart. */
  public List<Fetched> fetched() {
    return fetched;
  }

  /** Markup of each block of a section, by id, in page order: what a stage can swap. */
  public Map<String, String> blocks() {
    var all = new LinkedHashMap<String, String>();
    sections.forEach(section -> all.putAll(section.markup()));
    return all;
  }

  /** Paths of the scripts it needs, in the order in which they run. */
  public List<String> scripts() {
    return scripts;
  }

  /** Paths of the fonts that its words need. */
  public List<String> fonts() {
    return fonts;
  }

  /** Ids of pictures, clips and captions that were asked for and are not there. */
  public List<String> missing() {
    return missing;
  }

  /** Other places that it needs. */
  public Origins origins() {
    return origins;
  }

  Shipped shipped() {
    return shipped;
  }

  List<SectionFiles> sections() {
    return sections;
  }

  PageBase base() {
    return base;
  }

  /**
   * The blocks whose markup differs from that of a page before, by id; none when something else
   * differs as well, so that blocks alone do not make this page of that one.
   */
  public Optional<Map<String, String>> blocksSince(Compiled before) {
    boolean alike =
        start.equals(before.start)
            && end.equals(before.end)
            && sections.size() == before.sections.size();
    var changed = new LinkedHashMap<String, String>();
    for (int i = 0; alike && i < sections.size(); i++) {
      SectionFiles now = sections.get(i);
      SectionFiles old = before.sections.get(i);
      if (now == old) {
        continue;
      }
      Map<String, String> was = old.markup();
      Map<String, String> is = now.markup();
      alike =
          now.opens().equals(old.opens())
              && List.copyOf(is.keySet()).equals(List.copyOf(was.keySet()));
      is.forEach((id, html) -> {
        if (!html.equals(was.get(id))) {
          changed.put(id, html);
        }
      });
    }
    return alike ? Optional.of(changed) : Optional.empty();
  }
}
