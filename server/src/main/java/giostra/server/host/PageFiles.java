package giostra.server.host;

import giostra.core.media.ClipHost;
import giostra.core.output.Compiled;
import giostra.core.output.Hash;
import giostra.core.output.Shipped;
import giostra.server.Settings;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The files that ship with every page: the page script and the fonts, named by their content. */
@Component
public class PageFiles {
  /** The script that a page of somebody else's asks for. */
  public static final String PIECE = "piece";

  /** An icon that draws nothing: without one browsers ask for /favicon.ico, which is not there. */
  private static final byte[] BLANK =
      "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 1 1\"/>"
          .getBytes(StandardCharsets.UTF_8);

  private final Map<String, byte[]> byPath = new LinkedHashMap<>();

  /** Fonts by path, as they were built. They are read when they are asked for: there are many. */
  private final Map<String, String> fontFiles = new LinkedHashMap<>();

  private final List<Shipped.Font> fonts;
  private final Map<String, String> scripts;
  private final Shipped.IconSet icons;
  private final String blank;
  private final List<ClipHost> hosts;
  private final Map<String, Script> inRooms = new LinkedHashMap<>();
  private final Map<String, byte[]> benchScripts = new LinkedHashMap<>();

  PageFiles(JsonMapper mapper, Shipped.IconSet icons, Settings settings) {
    this.hosts = settings.clipHosts();
    this.icons = icons;
    var named = new LinkedHashMap<String, String>();
    for (String name : Shipped.SCRIPTS) {
      byte[] bytes = ShippedFiles.load(name + ".js");
      String path = name + "." + short16(bytes) + ".js";
      named.put(name, path);
      byPath.put(path, bytes);
      inRooms.put(name, Script.of(name));
    }
    for (String name : List.of(PIECE, "room")) {
      inRooms.put(name, Script.of(name));
    }
    blank = "icon." + short16(BLANK) + ".svg";
    byPath.put(blank, BLANK);
    for (String name : List.of("stage.js", "assume.js")) {
      benchScripts.put(name, ShippedFiles.load(name));
    }
    scripts = Map.copyOf(named);
    var faces = new ArrayList<Shipped.Font>();
    for (JsonNode font : mapper.readTree(ShippedFiles.load("fonts.json"))) {
      String file = font.path("file").asString();
      String path =
          "fonts/" + file.replace(".woff2", "." + font.path("hash").asString() + ".woff2");
      fontFiles.put(path, "fonts/" + file);
      faces.add(
          new Shipped.Font(
              font.path("family").asString(),
              path,
              font.path("weights").asString(),
              font.path("unicodeRange").asString()));
    }
    // Each compiling is told of them: the same list is known to be equal without a look into it.
    fonts = List.copyOf(faces);
  }

  /** What runs in rooms in pages of somebody else's, under names of its content, by name. */
  public Map<String, Script> inRooms() {
    return Map.copyOf(inRooms);
  }

  /**
   * A script in a room.
   *
   * @param file its name, which tells what is in it
   */
  public record Script(String file, byte[] bytes) {
    static Script of(String name) {
      byte[] bytes = ShippedFiles.load("in-rooms/" + name + ".js");
      return new Script(name + "." + short16(bytes) + ".js", bytes);
    }

    public Script {
      bytes = bytes.clone();
    }

    @Override
    public byte[] bytes() {
      return bytes.clone();
    }
  }

  private static String short16(byte[] bytes) {
    return Hash.full(bytes).substring(0, 12);
  }

  /** The fonts among them, in the order of their families. */
  public List<Shipped.Font> fonts() {
    return fonts;
  }

  /** The same font as it is read by who reads no packed ones; nothing where it does not ship so. */
  public Optional<byte[]> plain(Shipped.Font font) {
    return ShippedFiles.find(
        file(font.path()).replace("fonts/", "print/").replace(".woff2", ".ttf"));
  }

  /** What the compiler is told of them. */
  public Shipped shipped(Shipped.Media media) {
    return new Shipped(scripts, fonts, media, icons, hosts, blank);
  }

  /** The bytes at a path relative to a page, or null. */
  public byte @Nullable [] get(String path) {
    String font = fontFiles.get(path);
    return font == null ? byPath.get(path) : ShippedFiles.load(font);
  }

  /** Those that a page needs, by path. */
  public Map<String, byte[]> of(Compiled page) {
    var all = new LinkedHashMap<String, byte[]>();
    byPath.forEach((path, bytes) -> {
      if (!scripts.containsValue(path) || page.scripts().contains(path)) {
        all.put(path, bytes);
      }
    });
    page.fonts().forEach(path -> all.put(path, ShippedFiles.load(file(path))));
    return all;
  }

  private String file(String font) {
    return Objects.requireNonNull(fontFiles.get(font), font);
  }

  /** A script that only previews have: {@code stage.js} or {@code assume.js}. */
  public byte[] benchScript(String name) {
    byte[] script = benchScripts.get(name);
    if (script == null) {
      throw new IllegalArgumentException(name);
    }
    return script.clone();
  }
}
