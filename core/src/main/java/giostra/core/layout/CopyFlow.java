package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.fit.Face;
import giostra.core.fit.Flow;
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
public final class CopyFlow {
  /** A length that may grow with the screen. */
  @FunctionalInterface
  private interface Grows {
    double px(Screen screen);
  }

  /** Something with a distance above it, unless it comes first. */
  private record Apart(Grows above, Flow flow) {}

  private final TextStyle style;
  private final Locale locale;
  private final PictureSizes pictures;
  private final Function<Part, PartBox> parts;

  /**
   * @param parts what holds of the parts of such texts
   */
  CopyFlow(TextStyle style, Function<Part, PartBox> parts, Locale locale, PictureSizes pictures) {
    this.style = style;
    this.parts = parts;
    this.locale = locale;
    this.pictures = pictures;
  }

  /**
   * A text.
   *
   * @param words cut after so many words; 0 cuts nothing
   */
  public Flow of(String text, int words) {
    if (text.isBlank()) {
      return Flow.NONE;
    }
    if (words > 0 && Shortened.cuts(text, words)) {
      return style.of(Shortened.to(text, words), locale);
    }
    if (RichText.isMarkup(text)) {
      return blocks(Jsoup.parseBodyFragment(text).body(), style);
    }
    var flows = new ArrayList<Apart>();
    for (String paragraph : text.strip().split("\\n\\s*\\n")) {
      if (!paragraph.isBlank()) {
        flows.add(new Apart(between(this::em), style.of(paragraph.strip(), locale)));
      }
    }
    // What is one text by itself is known as one: how far its lines reach can be told.
    return flows.size() == 1 ? flows.getFirst().flow() : stacked(flows);
  }

  private Flow blocks(Element parent, TextStyle inherited) {
    var flows = new ArrayList<Apart>();
    var runs = new ArrayList<Run>();
    for (Node child : parent.childNodes()) {
      if (child instanceof Element element && element.isBlock()) {
        flush(runs, inherited, flows);
        flows.add(new Apart(between(parent, element), block(element, inherited)));
      } else if (child instanceof Element element && element.tagName().equals("img")) {
        flush(runs, inherited, flows);
        flows.add(new Apart(between(this::em), picture(element)));
      } else {
        inline(child, inherited.face(), runs);
      }
    }
    flush(runs, inherited, flows);
    return stacked(flows);
  }

  /** Only what stands in the text itself is parted, by its own size; items of a list are not. */
  private Grows between(Element parent, Element element) {
    Grows own =
        switch (element.tagName()) {
          case "h2", "h3", "h4", "h5", "h6" -> {
            TextStyle heading = heading();
            yield screen -> heading.size().applyAsDouble(screen);
          }
          case "pre" -> this::mono;
          default -> this::em;
        };
    return switch (parent.tagName()) {
      case "ul", "ol" -> _ -> 0;
      case "li", "blockquote" -> element.tagName().equals("p") ? between(this::em) : _ -> 0;
      default -> between(own);
    };
  }

  private static Flow stacked(List<Apart> parts) {
    return (width, screen) -> {
      double height = 0;
      for (int i = 0; i < parts.size(); i++) {
        Apart part = parts.get(i);
        height += (i == 0 ? 0 : part.above().px(screen)) + part.flow().height(width, screen);
      }
      return height;
    };
  }

  /** Size of the letters of the text, px. */
  private double em(Screen screen) {
    return style.size().applyAsDouble(screen);
  }

  /** The distance above something whose letters have a size. */
  private Grows between(Grows letters) {
    PartBox paragraph = parts.apply(PageParts.PARAGRAPH);
    return screen -> paragraph.em(Property.ABOVE, letters.px(screen));
  }

  private TextStyle heading() {
    return parts.apply(PageParts.COPY_HEADING).words();
  }

  /** Size of the letters of code, px. */
  private double mono(Screen screen) {
    TypeSize size = parts.apply(PageParts.CODE).of(Property.TEXT_SIZE);
    return size.base().unit() == Length.Unit.EM
        ? size.base().amount() * em(screen)
        : size.px(screen.lesser());
  }

  /** Within what a part leaves at its start. */
  private Flow indented(Flow flow, Part part, double more) {
    PartBox box = parts.apply(part);
    return (width, screen) ->
        flow.height(Math.max(0, width - box.em(Property.PADDING_START, em(screen)) - more), screen);
  }

  private void flush(List<Run> runs, TextStyle inherited, List<Apart> flows) {
    if (runs.stream().anyMatch(run -> !run.text().isBlank())) {
      flows.add(new Apart(_ -> 0, inherited.of(List.copyOf(runs), locale)));
    }
    runs.clear();
  }

  private Flow block(Element element, TextStyle inherited) {
    return switch (element.tagName()) {
      case "h2", "h3", "h4", "h5", "h6" -> blocks(element, heading());
      case "ul", "ol" -> indented(blocks(element, inherited), PageParts.LIST, 0);
      case "blockquote" ->
          indented(
              blocks(element, inherited),
              PageParts.QUOTATION,
              parts.apply(PageParts.QUOTATION).line());
      case "pre" -> code(element);
      case "hr" -> Flow.fixed(2);
      default -> blocks(element, inherited);
    };
  }

  private Flow code(Element element) {
    PartBox block = parts.apply(PageParts.CODE_BLOCK);
    double leading = parts.apply(PageParts.CODE).of(Property.LEADING);
    int lines = element.wholeText().strip().split("\n").length;
    return (_, screen) -> {
      double letters = mono(screen);
      return lines * leading * letters
          + block.em(Property.PADDING_ABOVE, letters)
          + block.em(Property.PADDING_BELOW, letters);
    };
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
          switch (element.tagName()) {
            case "strong" -> face.at(parts.apply(PageParts.EMPHASIS).of(Property.WEIGHT));
            case "em", "i", "cite" -> face.slanted();
            default -> face;
          };
      element.childNodes().forEach(child -> inline(child, own, runs));
    }
  }
}
