package giostra.core.layout;

import giostra.core.fit.Face;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.fit.Shortened;
import giostra.core.fit.TextFit;
import giostra.core.fit.TextFit.Run;
import giostra.core.value.RichText;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/**
 * Long text as it flows: paragraphs, headings, lists, quotations, code, pictures. Code is measured
 * in the face of the text: no face with one width for all ships.
 */
final class CopyFlow {
  /** Distances and indents as multiples of the text's size, as the sheet of all pages has them. */
  private static final double BETWEEN = 0.9;

  private static final double LIST = 1.4;
  private static final double MONO = 0.9;
  private static final double CODE = MONO * 1.5 * 16;

  /** For sizes that no screen changes. */
  private static final Screen ANY = new Screen(1280, 800);

  private final TextStyle style;
  private final Locale locale;
  private final PictureSizes pictures;
  private final double em;

  CopyFlow(TextStyle style, Locale locale, PictureSizes pictures) {
    this.style = style;
    this.locale = locale;
    this.pictures = pictures;
    this.em = style.size().applyAsDouble(ANY);
  }

  /**
   * A text.
   *
   * @param words cut after so many words; 0 cuts nothing
   */
  Flow of(String text, int words) {
    if (text.isBlank()) {
      return Flow.NONE;
    }
    if (words > 0 && Shortened.cuts(text, words)) {
      return style.of(Shortened.to(text, words), locale);
    }
    if (RichText.isMarkup(text)) {
      return blocks(Jsoup.parseBodyFragment(text).body(), style);
    }
    var parts = new ArrayList<Flow>();
    for (String paragraph : text.strip().split("\\n\\s*\\n")) {
      if (!paragraph.isBlank()) {
        parts.add(style.of(paragraph.strip(), locale));
      }
    }
    return Flow.stack(parts, BETWEEN * em);
  }

  private Flow blocks(Element parent, TextStyle inherited) {
    var parts = new ArrayList<Spaced>();
    var runs = new ArrayList<Run>();
    for (Node child : parent.childNodes()) {
      if (child instanceof Element element && element.isBlock()) {
        flush(runs, inherited, parts);
        parts.add(new Spaced(between(parent, element), block(element, inherited)));
      } else if (child instanceof Element element && element.tagName().equals("img")) {
        flush(runs, inherited, parts);
        parts.add(new Spaced(BETWEEN * em, picture(element)));
      } else {
        inline(child, inherited.face(), runs);
      }
    }
    flush(runs, inherited, parts);
    return Flow.stack(parts);
  }

  /** Only what stands in the text itself is parted, by its own size; items of a list are not. */
  private double between(Element parent, Element element) {
    double own =
        switch (element.tagName()) {
          case "h2", "h3", "h4", "h5", "h6" -> TextStyle.COPY_HEADING.size().applyAsDouble(ANY);
          case "pre" -> MONO * em;
          default -> em;
        };
    return switch (parent.tagName()) {
      case "ul", "ol" -> 0;
      case "li", "blockquote" -> element.tagName().equals("p") ? BETWEEN * em : 0;
      default -> BETWEEN * own;
    };
  }

  private void flush(List<Run> runs, TextStyle inherited, List<Spaced> parts) {
    if (runs.stream().anyMatch(run -> !run.text().isBlank())) {
      parts.add(new Spaced(0, inherited.of(List.copyOf(runs), locale)));
    }
    runs.clear();
  }

  private Flow block(Element element, TextStyle inherited) {
    return switch (element.tagName()) {
      case "h2", "h3", "h4", "h5", "h6" -> blocks(element, TextStyle.COPY_HEADING);
      case "ul", "ol" -> blocks(element, inherited).within(new Line(1, -LIST * em), 0);
      case "blockquote" -> blocks(element, inherited).within(new Line(1, -em - 3), 0);
      case "pre" ->
          Flow.fixed(element.wholeText().strip().split("\n").length * CODE + 2 * 0.8 * MONO * em);
      case "hr" -> Flow.fixed(2);
      default -> blocks(element, inherited);
    };
  }

  private Flow picture(Element image) {
    return pictures
        .find(image.attr("data-picture"))
        .<Flow>map(
            size -> (width, _) -> Math.min(width, size.width()) * size.height() / size.width())
        .orElse(Flow.NONE);
  }

  private static void inline(Node node, Face face, List<Run> runs) {
    if (node instanceof TextNode text) {
      runs.add(new TextFit.Run(text.getWholeText().replace('\n', ' '), face));
    } else if (node instanceof Element element) {
      if (element.tagName().equals("br")) {
        runs.add(new TextFit.Run("\n", face));
      }
      Face own = element.tagName().equals("strong") ? TextStyle.BOLD : face;
      element.childNodes().forEach(child -> inline(child, own, runs));
    }
  }
}
