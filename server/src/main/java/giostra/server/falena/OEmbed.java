package giostra.server.falena;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/**
 * An answer about a clip, no larger than is asked. Source: oEmbed, 2.3.4 "Response parameters" and
 * 2.3.4.2 "The video type".
 */
final class OEmbed {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private final Map<String, Object> fields = new LinkedHashMap<>();

  OEmbed(String origin, Clip clip, int maxWidth, int maxHeight) {
    double scale =
        Math.min(1, Math.min(maxWidth / (double) Clip.WIDTH, maxHeight / (double) Clip.HEIGHT));
    int width = (int) Math.floor(Clip.WIDTH * scale);
    int height = (int) Math.floor(Clip.HEIGHT * scale);
    fields.put("type", "video");
    fields.put("version", "1.0");
    fields.put("title", clip.title());
    fields.put("author_name", clip.author());
    fields.put("provider_name", "Falena");
    fields.put("provider_url", origin + "/");
    fields.put("cache_age", 3600);
    fields.put("thumbnail_url", origin + "/thumbs/" + clip.id() + ".jpg");
    fields.put("thumbnail_width", Clip.WIDTH);
    fields.put("thumbnail_height", Clip.HEIGHT);
    fields.put(
        "html",
        String.format(
            Locale.ROOT,
            "<iframe src=\"%s/embed/%s\" width=\"%d\" height=\"%d\" title=\"%s\"></iframe>",
            origin,
            clip.id(),
            width,
            height,
            clip.title()));
    fields.put("width", width);
    fields.put("height", height);
  }

  String json() {
    return JSON.writeValueAsString(fields);
  }

  String xml() {
    return fields.entrySet().stream()
        .map(each ->
            String.format(
                Locale.ROOT,
                "<%s>%s</%s>",
                each.getKey(),
                Pages.escaped(each.getValue().toString()),
                each.getKey()))
        .collect(
            Collectors.joining(
                "",
                "<?xml version=\"1.0\" encoding=\"utf-8\" standalone=\"yes\"?><oembed>",
                "</oembed>"));
  }
}
