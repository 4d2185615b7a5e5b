package giostra.server.host;

import giostra.core.output.Hash;
import giostra.core.output.Shipped;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The files that ship with every page: the page script and the fonts, named by their content. */
@Component
public class PageFiles {
  private static final String ROOT = "/giostra/runtime/";

  private final Map<String, byte[]> byPath = new LinkedHashMap<>();
  private final List<Shipped.Font> fonts = new ArrayList<>();
  private final String script;
  private final byte[] stageScript;

  PageFiles(JsonMapper mapper) {
    byte[] bytes = load("giostra.js");
    this.script = "giostra." + short16(bytes) + ".js";
    byPath.put(script, bytes);
    this.stageScript = load("stage.js");
    for (JsonNode font : mapper.readTree(load("fonts.json"))) {
      String file = font.path("file").asString();
      byte[] face = load("fonts/" + file);
      String path = "fonts/" + file.replace(".woff2", "." + short16(face) + ".woff2");
      byPath.put(path, face);
      fonts.add(
          new Shipped.Font(
              font.path("family").asString(),
              path,
              font.path("weights").asString(),
              font.path("unicodeRange").asString()));
    }
  }

  private static String short16(byte[] bytes) {
    return Hash.full(bytes).substring(0, 12);
  }

  /** What the compiler is told of them. */
  public Shipped shipped(Shipped.Media media) {
    return new Shipped(script, fonts, media);
  }

  /** The bytes at a path relative to a page, or null. */
  public byte @Nullable [] get(String path) {
    return byPath.get(path);
  }

  /** All of them, by path. */
  public Map<String, byte[]> all() {
    return Map.copyOf(byPath);
  }

  /** Path of the page script. */
  public String script() {
    return script;
  }

  /** The script that only previews have. */
  public byte[] stageScript() {
    return stageScript.clone();
  }

  private static byte[] load(String name) {
    try (InputStream in = PageFiles.class.getResourceAsStream(ROOT + name)) {
      if (in == null) {
        throw new IllegalStateException(ROOT + name + " is missing: the runtime was not built");
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
