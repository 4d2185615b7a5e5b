package giostra.core.testing;

import java.nio.charset.Charset;
import java.util.List;
import java.util.Random;

/**
 * Pages as people have them: written by hand, by old programs, half of it wrong. Drawn, none is
 * real.
 */
public final class DrawnPages {
  private static final List<String> ENCODINGS =
      List.of("utf-8", "windows-1252", "iso-8859-15", "utf-8", "shift_jis", "koi8-r");

  private static final List<String> WORDS =
      List.of(
          "Beds",
          "rain &amp; frost",
          "of",
          "the",
          "\u00c9t\u00e9",
          "&nbsp;",
          "garden",
          "2 &lt; 3",
          "Gr\u00fc\u00dfe",
          "<!-- <div> -->",
          "a",
          "\u2013",
          "&mdash;",
          "open",
          "<br>",
          "<BR/>");

  private final Random random;
  private final StringBuilder out = new StringBuilder();
  private int named;

  private DrawnPages(Random random) {
    this.random = random;
  }

  /** One of them. */
  public record Drawn(byte[] bytes, String encoding) {}

  /** The page of a seed. */
  public static Drawn of(long seed) {
    return new DrawnPages(new Random(seed)).page();
  }

  private boolean one(int of) {
    return random.nextInt(of) == 0;
  }

  private String any(String... of) {
    return of[random.nextInt(of.length)];
  }

  private Drawn page() {
    String encoding = ENCODINGS.get(random.nextInt(ENCODINGS.size()));
    out.append(
        any("", "<!DOCTYPE html>", "<!doctype HTML PUBLIC '-//W3C//DTD HTML 4.01//EN'>\r\n"));
    boolean whole = !one(4);
    out.append(whole ? any("<html lang=en>\n", "<HTML>\r\n<HEAD>") : "");
    out.append("<meta charset=")
        .append(any(encoding, "\"" + encoding + "\"", "'" + encoding + "'"));
    out.append("><title>Old &amp; kept</title>\n<style>p > b { color: #333 }</style>\n");
    out.append("<script>document.title = '<div id=\"not\">'; if (1 < 2) { /* </p> */ }</script>");
    out.append(whole ? any("</head><body class=old>", "\n<BODY bgcolor=white>\r\n") : "\n");
    int many = 3 + random.nextInt(5);
    for (int i = 0; i < many; i++) {
      block(0);
    }
    out.append(whole ? any("</body></html>\n", "</BODY>", "") : "");
    Charset charset = Charset.forName(encoding);
    return new Drawn(out.toString().getBytes(charset), encoding);
  }

  private void text() {
    int many = 1 + random.nextInt(6);
    for (int i = 0; i < many; i++) {
      out.append(WORDS.get(random.nextInt(WORDS.size()))).append(any(" ", " ", "\n", "\r\n\t"));
    }
  }

  private String attributes() {
    String id = one(4) ? any(" id=n", " id='n", " ID=\"n") : "";
    String all =
        id.isEmpty() ? "" : id + ++named + (id.contains("'") ? "'" : id.contains("\"") ? "\"" : "");
    return all
        + any(
            "",
            "",
            " class=wide",
            " class='a b'",
            " data-x='1 > 0'",
            " style=\"color: red\"",
            " hidden=");
  }

  private void open(String tag) {
    out.append('<').append(one(5) ? tag.toUpperCase(java.util.Locale.ROOT) : tag);
    out.append(attributes()).append(any("", "", " ", "\n")).append('>');
  }

  private void close(String tag, boolean maybeNot) {
    if (!maybeNot || !one(3)) {
      out.append("</")
          .append(tag)
          .append(any("", "", " "))
          .append('>')
          .append(any("", "\n", "\r\n"));
    }
  }

  private void block(int depth) {
    if (depth > 4) {
      text();
      return;
    }
    switch (random.nextInt(12)) {
      case 0, 1 -> {
        open("p");
        text();
        close("p", true);
      }
      case 2, 3, 4 -> {
        String tag = any("div", "section", "main", "article", "center");
        open(tag);
        for (int i = random.nextInt(4); i >= 0; i--) {
          block(depth + 1);
        }
        close(tag, one(6));
      }
      case 5 -> {
        open("ul");
        for (int i = random.nextInt(4); i >= 0; i--) {
          open("li");
          text();
          close("li", true);
        }
        close("ul", false);
      }
      case 6 -> {
        open("table");
        for (int i = random.nextInt(2); i >= 0; i--) {
          open("tr");
          open("td");
          block(depth + 1);
          close("td", true);
          close("tr", true);
        }
        out.append(one(4) ? "<div>lost</div>" : "");
        close("table", false);
      }
      case 7 -> out.append("<b>bold <i>both</b> slanted</i>\n");
      case 8 -> {
        open("h2");
        text();
        close("h2", false);
      }
      case 9 -> {
        out.append("<img src=a.png alt='>'>");
        out.append(any("<hr>", "<hr/>", "<input value='<p>'>"));
      }
      case 10 -> {
        out.append(any("<textarea><div></textarea>", "<select><option>1</select>"));
        out.append(any("<svg><g><path d='M0 0'/></g></svg>", "<my-thing>in it</my-thing>"));
      }
      default -> text();
    }
  }
}
