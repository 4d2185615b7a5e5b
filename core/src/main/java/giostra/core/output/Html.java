package giostra.core.output;

/**
 * Writes HTML: escapes what has to be, and nothing else. Source: HTML, "Serializing HTML
 * fragments".
 */
public final class Html {
  private final StringBuilder out = new StringBuilder();

  /**
   * An opening tag.
   *
   * @param attributes names and values in turn; an attribute with an empty value is left out, one
   *     whose value is {@code ""} on purpose is not needed anywhere
   */
  public Html open(String tag, String... attributes) {
    out.append('<').append(tag);
    for (int i = 0; i < attributes.length; i += 2) {
      if (!attributes[i + 1].isEmpty()) {
        attribute(attributes[i], attributes[i + 1]);
      }
    }
    out.append('>');
    return this;
  }

  /** An image; its text alternative is always written, empty where it decorates. */
  public Html image(Shipped.Picture picture, String alt, String... attributes) {
    out.append("<img");
    attribute("src", picture.path());
    if (picture.isRemote()) {
      attribute("data-remote", "");
    } else {
      attribute("width", Integer.toString(picture.width()));
      attribute("height", Integer.toString(picture.height()));
    }
    attribute("alt", alt);
    for (int i = 0; i < attributes.length; i += 2) {
      attribute(attributes[i], attributes[i + 1]);
    }
    out.append('>');
    return this;
  }

  private void attribute(String name, String value) {
    out.append(' ').append(name).append("=\"");
    escape(value, true);
    out.append('"');
  }

  /** Closes an element. */
  public Html close(String tag) {
    out.append("</").append(tag).append('>');
    return this;
  }

  /** Text, escaped. */
  public Html text(String text) {
    escape(text, false);
    return this;
  }

  /** An element with nothing but text in it. */
  public Html element(String tag, String text, String... attributes) {
    return open(tag, attributes).text(text).close(tag);
  }

  /** Markup of ours, as it is. */
  public Html raw(String markup) {
    out.append(markup);
    return this;
  }

  /** Text in paragraphs: a blank line parts them, a single one breaks the line. */
  public Html paragraphs(String text) {
    for (String paragraph : text.strip().split("\\n\\s*\\n")) {
      if (!paragraph.isBlank()) {
        open("p");
        String[] lines = paragraph.strip().split("\\n");
        for (int i = 0; i < lines.length; i++) {
          raw(i == 0 ? "" : "<br>").text(lines[i].strip());
        }
        close("p");
      }
    }
    return this;
  }

  private void escape(String text, boolean attribute) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      switch (c) {
        case '&' -> out.append("&amp;");
        case '\u00a0' -> out.append("&nbsp;");
        case '<' -> out.append("&lt;");
        case '>' -> out.append("&gt;");
        case '"' -> out.append(attribute ? "&quot;" : "\"");
        default -> out.append(c);
      }
    }
  }

  public int length() {
    return out.length();
  }

  /** What was written from a place on. */
  public String from(int start) {
    return out.substring(start);
  }

  @Override
  public String toString() {
    return out.toString();
  }
}
