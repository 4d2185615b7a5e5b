package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.fit.Face;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.fit.Shortened;
import giostra.core.fit.TextFit;
import giostra.core.fit.TextFit.Run;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.value.Length;
import giostra.core.value.RichText;
import giostra.core.value.TypeSize;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/**
 * Long text as it flows: paragraphs, headings, lists, quotations, code, pictures. Code is measured
 * in the face of the text: no face with one width for all ships.
 */
final class CopyFlow {
  /** For sizes that no screen changes. */
  private static final Screen ANY = new Screen(1280, 800);

  private final TextStyle style;
  private final Locale locale;
  private final PictureSizes pictures;
  private final Function<Part, PartBox> parts;
  private final double em;

  /**
   * @param parts what holds of the parts of such texts
   */
  CopyFlow(TextStyle style, Function<Part, PartBox> parts, Locale locale, PictureSizes pictures) {
    this.style = style;
    this.parts = parts;
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
    var flows = new ArrayList<Flow>();
    for (String paragraph : text.strip().split("\\n\\s*\\n")) {
      if (!paragraph.isBlank()) {
        flows.add(style.of(paragraph.strip(), locale));
      }
    }
    return Flow.stack(flows, between(em));
  }

  private Flow blocks(Element parent, TextStyle inherited) {
    var flows = new ArrayList<Spaced>();
    var runs = new ArrayList<Run>();
    for (Node child : parent.childNodes()) {
      if (child instanceof Element element && element.isBlock()) {
        flush(runs, inherited, flows);
        flows.add(new Spaced(between(parent, element), block(element, inherited)));
      } else if (child instanceof Element element && element.tagName().equals("img")) {
        flush(runs, inherited, flows);
        flows.add(new Spaced(between(em), picture(element)));
      } else {
        inline(child, inherited.face(), runs);
      }
    }
    flush(runs, inherited, flows);
    return Flow.stack(flows);
  }

  /** Only what stands in the text itself is parted, by its own size; items of a list are not. */
  private double between(Element parent, Element element) {
    double own =
        switch (element.tagName()) {
          case "h2", "h3", "h4", "h5", "h6" -> heading().size().applyAsDouble(ANY);
          case "pre" -> mono();
          default -> em;
        };
    return switch (parent.tagName()) {
      case "ul", "ol" -> 0;
      case "li", "blockquote" -> element.tagName().equals("p") ? between(em) : 0;
      default -> between(own);
    };
  }

  /** The distance above something whose letters have a size in px. */
  private double between(double letters) {
    return parts.apply(PageParts.PARAGRAPH).em(Property.ABOVE, letters);
  }

  private TextStyle heading() {
    return parts.apply(PageParts.COPY_HEADING).words();
  }

  /** Size of the letters of code, px. */
  private double mono() {
    TypeSize size = parts.apply(PageParts.CODE).of(Property.TEXT_SIZE);
    return size.base().unit() == Length.Unit.EM ? size.base().amount() * em : size.px(ANY.lesser());
  }

  private double indent(Part part) {
    return parts.apply(part).em(Property.PADDING_START, em);
  }

  private void flush(List<Run> runs, TextStyle inherited, List<Spaced> flows) {
    if (runs.stream().anyMatch(run -> !run.text().isBlank())) {
      flows.add(new Spaced(0, inherited.of(List.copyOf(runs), locale)));
    }
    runs.clear();
  }

  private Flow block(Element element, TextStyle inherited) {
    return switch (element.tagName()) {
      case "h2", "h3", "h4", "h5", "h6" -> blocks(element, heading());
      case "ul", "ol" -> blocks(element, inherited).within(new Line(1, -indent(PageParts.LIST)), 0);
      case "blockquote" ->
          blocks(element, inherited)
              .within(
                  new Line(
                      1,
                      -indent(PageParts.QUOTATION)
                          - parts.apply(PageParts.QUOTATION).px(Property.BORDER)),
                  0);
      case "pre" -> code(element);
      case "hr" -> Flow.fixed(2);
      default -> blocks(element, inherited);
    };
  }

  private Flow code(Element element) {
    PartBox block = parts.apply(PageParts.CODE_BLOCK);
    double line = parts.apply(PageParts.CODE).of(Property.LEADING) * mono();
    return Flow.fixed(
        element.wholeText().strip().split("\n").length * line
            + block.em(Property.PADDING_ABOVE, mono())
            + block.em(Property.PADDING_BELOW, mono()));
  }

  private Flow picture(Element image) {
    return pictures
        .find(image.attr("data-picture"))
        .<Flow>map(
            size -> (width, _) -> Math.min(width, size.width()) * size.height() / size.width())
        .orElse(Flow.NONE);
  }

  private void inline(Node node, Face face, List<Run> runs) {
    if (node instanceof TextNode text) {
      runs.add(new TextFit.Run(text.getWholeText().replace('\n', ' '), face));
    } else if (node instanceof Element element) {
      if (element.tagName().equals("br")) {
        runs.add(new TextFit.Run("\n", face));
      }
      Face own =
          element.tagName().equals("strong")
              ? Face.of(face.family(), parts.apply(PageParts.EMPHASIS).of(Property.WEIGHT))
              : face;
      element.childNodes().forEach(child -> inline(child, own, runs));
    }
  }
}
