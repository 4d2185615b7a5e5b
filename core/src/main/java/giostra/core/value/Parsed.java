package giostra.core.value;

import org.jsoup.Jsoup;
import org.jsoup.helper.ValidationException;
import org.jsoup.nodes.Document;
import org.jsoup.parser.Parser;

/** HTML of somebody else's, parsed as browsers do. Source: HTML, 13.2. */
public final class Parsed {
  private Parsed() {}

  /**
   * A whole page.
   *
   * @throws Refused for what the parser cannot follow: some elements nested hundreds deep
   */
  public static Document page(Parser parser, String html) {
    try {
      return parser.parseInput(html, "");
    } catch (ValidationException e) {
      throw new Refused("HTML", "nested deeper than can be followed", "nested as people do");
    }
  }

  /**
   * What may stand in a body.
   *
   * @param base address that others in it are relative to; empty for none
   * @throws Refused as {@link #page} does
   */
  public static Document fragment(String html, String base) {
    try {
      return Jsoup.parseBodyFragment(html, base);
    } catch (ValidationException e) {
      throw new Refused("HTML", "nested deeper than can be followed", "nested as people do");
    }
  }
}
