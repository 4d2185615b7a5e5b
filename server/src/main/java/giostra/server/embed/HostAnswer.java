package giostra.server.embed;

import giostra.server.embed.HostClient.Trouble;
import java.nio.charset.StandardCharsets;
import java.util.function.Function;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a host says of an address. Source: oEmbed 1.0, 2.3 "Provider Response"; the same fields as
 * JSON or as XML.
 *
 * @param html markup of the player, as the host wrote it; it is looked at and never shown
 * @param picture address of its thumbnail; empty for none
 * @param file address of the picture that it is, for the type photo
 */
record HostAnswer(
    String version,
    String type,
    String title,
    String author,
    int width,
    int height,
    String html,
    String picture,
    String file) {
  private static final int LONGEST = 500;

  static HostAnswer ofJson(JsonMapper mapper, byte[] bytes) throws Trouble {
    try {
      JsonNode json = mapper.readTree(bytes);
      return of(name -> json.path(name).asString(""));
    } catch (JacksonException e) {
      throw new Trouble("Its answer is no JSON.");
    }
  }

  /** Document types are passed over, so that entities of its own are text like any other. */
  static HostAnswer ofXml(byte[] bytes) throws Trouble {
    String text = new String(bytes, StandardCharsets.UTF_8);
    Element root = Jsoup.parse(text, "", Parser.xmlParser()).selectFirst("oembed");
    if (root == null) {
      throw new Trouble("Its answer is no XML of oEmbed.");
    }
    return of(name -> {
      Element found = root.selectFirst("> " + name);
      return found == null ? "" : found.wholeText();
    });
  }

  private static HostAnswer of(Function<String, String> field) {
    return new HostAnswer(
        cut(field.apply("version")),
        cut(field.apply("type")),
        cut(field.apply("title")),
        cut(field.apply("author_name")),
        whole(field.apply("width")),
        whole(field.apply("height")),
        field.apply("html"),
        cut(field.apply("thumbnail_url")),
        cut(field.apply("url")));
  }

  private static String cut(String text) {
    return text.length() > LONGEST ? text.substring(0, LONGEST) : text;
  }

  private static int whole(String text) {
    return text.matches("\\d{1,5}") ? Integer.parseInt(text) : 0;
  }
}
