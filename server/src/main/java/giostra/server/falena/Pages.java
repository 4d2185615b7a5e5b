package giostra.server.falena;

import java.util.Locale;
import java.util.stream.Collectors;

/** Falena's own pages. */
final class Pages {
  private static final String STYLE =
      "<style>body{margin:0;font:16px/1.5 system-ui,sans-serif;background:#17121f;color:#efe6f5}"
          + "main{max-width:720px;margin:40px auto;padding:0 20px}a{color:#f0c261}"
          + "video{display:block;width:100%;aspect-ratio:16/9;background:#000}"
          + "body.player{height:100vh;overflow:hidden}body.player video{height:100%}</style>";

  private Pages() {}

  static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }

  private static String page(String title, String head, String classes, String body) {
    return String.format(
        Locale.ROOT,
        "<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>%s</title>%s%s</head><body class=\"%s\">%s</body></html>",
        escaped(title),
        head,
        STYLE,
        classes,
        body);
  }

  static String index() {
    String clips =
        Clip.ALL.stream()
            .map(clip ->
                String.format(
                    Locale.ROOT,
                    "<li><a href=\"/watch/%s\">%s</a>, %s</li>",
                    clip.id(),
                    escaped(clip.title()),
                    escaped(clip.author())))
            .collect(Collectors.joining());
    return page(
        "Falena",
        "",
        "",
        "<main><h1>Falena</h1><p>A host of clips that is not one.</p><ul>"
            + clips
            + "</ul></main>");
  }

  /** The page of a clip, with the links that oEmbed discovers it by. */
  static String watch(String origin, Clip clip) {
    String address = origin + "/oembed?url=" + origin + "/watch/" + clip.id();
    String links =
        String.format(
            Locale.ROOT,
            "<link rel=\"alternate\" type=\"application/json+oembed\" href=\"%s&amp;format=json\" title=\"%s\"><link rel=\"alternate\" type=\"text/xml+oembed\" href=\"%s&amp;format=xml\" title=\"%s\">",
            address,
            escaped(clip.title()),
            address,
            escaped(clip.title()));
    return page(
        clip.title() + " · Falena",
        links,
        "",
        String.format(
            Locale.ROOT,
            "<main><p><a href=\"/\">Falena</a></p><h1>%s</h1>%s<p>%s</p></main>",
            escaped(clip.title()),
            video(clip, false, "0"),
            escaped(clip.author())));
  }

  /** The player, to be put in other pages. */
  static String player(Clip clip, boolean starts, String at) {
    return page(clip.title(), "", "player", video(clip, starts, at));
  }

  /** Something that is no clip: a plan of the garden, to be walked with the keyboard or a press. */
  static String scene() {
    String rooms =
        java.util.stream.Stream.of("Gate", "Fern gully", "Water hall")
            .map(room -> "<p><button>" + room + "</button></p>")
            .collect(Collectors.joining());
    return page("A plan of the garden", "", "", "<main><h1>A plan</h1>" + rooms + "</main>");
  }

  private static String video(Clip clip, boolean starts, String at) {
    return String.format(
        Locale.ROOT,
        "<video controls playsinline%s poster=\"/thumbs/%s.jpg\" aria-label=\"%s\" src=\"/clips/%s.webm#t=%s\"></video>",
        starts ? " autoplay" : "",
        clip.id(),
        escaped(clip.title()),
        clip.id(),
        at.isEmpty() ? "0" : at);
  }
}
