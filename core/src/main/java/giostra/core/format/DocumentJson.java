package giostra.core.format;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.Site;
import giostra.core.value.MarkupKind;
import giostra.core.value.Refused;
import giostra.core.value.RichKind;
import giostra.core.value.RichText;
import giostra.core.value.Setting;
import giostra.core.value.WordsKind;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Documents as JSON. What it reads is described by {@code docs/formats/page.schema.json}; reading
 * what it wrote gives an equal document.
 *
 * <p>Every refusal carries a JSON Pointer (RFC 6901) to the place, and all that is wrong is told at
 * once in {@link Faults}.
 */
public final class DocumentJson {
  /** The version of the format, in {@code giostra}. */
  public static final int VERSION = 5;

  private static final JsonMapper MAPPER = JsonMapper.builder().build();
  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
  private static final int DEEPEST = Document.DEEPEST;

  private final List<Refused> faults = new ArrayList<>();
  private final boolean forgiving;

  private DocumentJson(boolean forgiving) {
    this.forgiving = forgiving;
  }

  private DocumentJson() {
    this(false);
  }

  /**
   * A document that was kept, as far as it can be read.
   *
   * @param mended what could not be read as it stands, and was cut or left out; what is kept still
   *     has it
   */
  public record Kept(Document document, List<Refused> mended) {
    public Kept {
      mended = List.copyOf(mended);
    }
  }

  /**
   * Reads what was kept: nothing that somebody saved fails to open for one value that no longer can
   * be, or for a band that is gone.
   *
   * @param site the site part of a document
   * @param page the page part
   * @param version that both are written in
   * @throws Faults where it is no document at all
   */
  public static Kept kept(JsonNode site, JsonNode page, int version) {
    ObjectNode whole = MAKE.objectNode().put("giostra", version);
    whole.set("site", site);
    whole.set("page", page);
    var reader = new DocumentJson(true);
    Document document = reader.document(Upgrade.document(whole, version));
    return new Kept(document, reader.faults);
  }

  /** Reads a node that was kept, as {@link #kept(JsonNode, JsonNode, int)} does. */
  public static Node keptNode(JsonNode json, Set<String> bands, int version) {
    var reader = new DocumentJson(true);
    Node node = reader.node(Upgrade.node(json, version), "", bands, 0);
    if (node == null) {
      throw new Faults(reader.faults);
    }
    return node;
  }

  /** Everything that is wrong with a document. */
  public static final class Faults extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;
    private final transient List<Refused> all;

    Faults(List<Refused> all) {
      super(String.join("; ", all.stream().map(Refused::getMessage).toList()));
      this.all = List.copyOf(all);
    }

    /** One at least, in document order. */
    public List<Refused> all() {
      return all;
    }
  }

  private static final Pattern PLACE =
      Pattern.compile(" \\(for (Array|Object|root) starting at \\[.*", Pattern.DOTALL);

  /**
   * Parses JSON.
   *
   * @throws Faults when it is none
   */
  public static JsonNode parse(String json) {
    try {
      return MAPPER.readTree(json);
    } catch (JacksonException e) {
      var at = e.getLocation();
      String place =
          at == null
              ? ""
              : String.format(Locale.ROOT, "line %d, column %d", at.getLineNr(), at.getColumnNr());
      // Where it began is told as a place of the parser's own, which nobody can look up.
      String wrong = PLACE.matcher(e.getOriginalMessage()).replaceAll("");
      throw new Faults(List.of(new Refused("document", wrong, "JSON").at(place)));
    }
  }

  /**
   * Reads a document, of whichever version.
   *
   * @throws Faults with everything that is wrong
   */
  public static Document read(JsonNode json) {
    JsonNode version = json.path("giostra");
    boolean older = version.isInt() && version.asInt() > 0 && version.asInt() < VERSION;
    return new DocumentJson().document(older ? Upgrade.document(json, version.asInt()) : json);
  }

  /** As {@link #read(JsonNode)}, from text. */
  public static Document read(String json) {
    return read(parse(json));
  }

  /**
   * Reads one node with all it holds.
   *
   * @throws Faults with everything that is wrong
   */
  public static Node readNode(JsonNode json, Set<String> bands) {
    var reader = new DocumentJson();
    Node node = reader.node(json, "", bands, 0);
    reader.finish();
    if (node == null) {
      throw new IllegalStateException("no node and no fault");
    }
    return node;
  }

  /** Writes a document. */
  public static ObjectNode write(Document document) {
    ObjectNode json = MAKE.objectNode();
    json.put("giostra", VERSION);
    json.set("site", write(document.site()));
    json.set("page", write(document.page()));
    return json;
  }

  /** Writes a document as text. */
  public static String text(Document document) {
    return MAPPER.writeValueAsString(write(document));
  }

  /** Writes one node with all it holds. */
  public static ObjectNode write(Node node) {
    ObjectNode json = MAKE.objectNode();
    if (node instanceof Site site) {
      json.set("bands", bands(site.bands()));
    } else {
      json.put("id", node.id());
      json.put("type", node.type().word());
    }
    ObjectNode values = MAKE.objectNode();
    node.values().set().forEach((id, bands) -> values.set(id, value(node, id, bands)));
    json.set("values", values);
    if (!node.values().styles().set().isEmpty()) {
      json.set("styles", StylesJson.write(node.type(), node.values().styles()));
    }
    if (node instanceof Site site) {
      if (!site.looks().isEmpty()) {
        ArrayNode looks = MAKE.arrayNode();
        site.looks().forEach(look -> looks.add(write(look)));
        json.set("looks", looks);
      }
    } else if (node.type().holdsAny()) {
      ArrayNode children = MAKE.arrayNode();
      node.children().forEach(child -> children.add(write(child)));
      json.set("children", children);
    }
    return json;
  }

  /** Writes bands, narrowest first. */
  public static ArrayNode bands(Bands bands) {
    ArrayNode list = MAKE.arrayNode();
    for (Band band : bands.all()) {
      list.add(
          MAKE.objectNode().put("id", band.id()).put("name", band.name()).put("from", band.from()));
    }
    return list;
  }

  /**
   * Reads bands.
   *
   * @throws Faults with everything that is wrong
   */
  public static Bands readBands(JsonNode json) {
    var reader = new DocumentJson();
    Bands bands = reader.bands(json, "");
    reader.finish();
    return bands;
  }

  /** A JSON scalar of a raw value: text, number or boolean. */
  public static JsonNode scalar(Object raw) {
    return MAPPER.valueToTree(raw);
  }

  private static JsonNode value(Node node, String id, Map<String, Object> bands) {
    Setting<?> setting = node.type().setting(id);
    if (!setting.byBand()) {
      return scalar(setting.write(bands.values().iterator().next()));
    }
    ObjectNode byBand = MAKE.objectNode();
    bands.forEach((band, value) -> byBand.set(band, scalar(setting.write(value))));
    return byBand;
  }

  private Document document(JsonNode json) {
    object(json, "", Set.of("giostra", "site", "page"));
    if (json.path("giostra").asInt(0) != VERSION) {
      fault("/giostra", "version", json.path("giostra").toString(), "1 to " + VERSION);
    }
    JsonNode siteJson = json.path("site");
    object(siteJson, "/site", Set.of("bands", "values", "styles", "looks"));
    Bands bands = bands(siteJson.path("bands"), "/site/bands");
    Set<String> ids = ids(bands);
    Values siteValues = values(siteJson, "/site", NodeType.SITE, ids);
    List<Look> looks = looks(siteJson.path("looks"), ids);
    Node page = node(json.path("page"), "/page", ids, 0);
    if (page != null && !(page instanceof Page)) {
      fault("/page/type", "type", page.type().word(), "page");
    }
    if (page == null || !(page instanceof Page) || !forgiving) {
      finish();
    }
    try {
      return new Document(
          new Site(bands, siteValues, looks), (Page) java.util.Objects.requireNonNull(page));
    } catch (Refused e) {
      throw new Faults(List.of(e));
    }
  }

  private List<Look> looks(JsonNode json, Set<String> bands) {
    var looks = new ArrayList<Look>();
    if (!json.isMissingNode() && !json.isArray()) {
      fault("/site/looks", "looks", json.toString(), "a list");
      return looks;
    }
    for (int i = 0; i < json.size(); i++) {
      String at = "/site/looks/" + i;
      Node read = node(json.get(i), at, bands, 1);
      if (read instanceof Look look) {
        looks.add(look);
      } else if (read != null) {
        fault(at + "/type", "type", read.type().word(), "look");
      }
    }
    return looks;
  }

  /** Ids of bands, as {@link #readNode} asks for them. */
  public static Set<String> ids(Bands bands) {
    return new LinkedHashSet<>(bands.all().stream().map(Band::id).toList());
  }

  private Bands bands(JsonNode json, String at) {
    if (!json.isArray() || json.isEmpty()) {
      fault(
          at, "bands", json.toString(), "a list of 1 to " + Bands.MOST + " bands, narrowest first");
      return Bands.INITIAL;
    }
    var all = new ArrayList<Band>();
    try {
      for (int i = 0; i < json.size(); i++) {
        JsonNode band = json.get(i);
        double below =
            i + 1 < json.size()
                ? json.get(i + 1).path("from").asDouble(-1)
                : Double.POSITIVE_INFINITY;
        all.add(
            new Band(
                band.path("id").asString(""), name(band), band.path("from").asDouble(0), below));
      }
      return new Bands(all);
    } catch (Refused e) {
      faults.add(e.at(at));
      return Bands.INITIAL;
    }
  }

  private String name(JsonNode band) {
    String id = band.path("id").asString("");
    String name = band.path("name").asString(id);
    if (!forgiving) {
      return name;
    }
    String plain = name.replaceAll("\\p{Cntrl}", " ").strip();
    return plain.isEmpty() ? id : plain.substring(0, Math.min(60, plain.length()));
  }

  private @org.jspecify.annotations.Nullable Node node(
      JsonNode json, String at, Set<String> bands, int depth) {
    if (!object(json, at, Set.of("id", "type", "values", "styles", "children"))
        || depth > DEEPEST) {
      if (depth > DEEPEST) {
        fault(at, "depth", Integer.toString(depth), "at most " + DEEPEST);
      }
      return null;
    }
    try {
      NodeType type = NodeType.named(json.path("type").asString(""));
      Values values = values(json, at, type, bands);
      var children = new ArrayList<Node>();
      JsonNode list = json.path("children");
      if (!list.isMissingNode() && !list.isArray()) {
        fault(at + "/children", "children", list.toString(), "a list");
      }
      for (int i = 0; list.isArray() && i < list.size(); i++) {
        Node child = node(list.get(i), at + "/children/" + i, bands, depth + 1);
        if (child != null) {
          children.add(child);
        }
      }
      return made(type, json.path("id").asString(""), values, children, at);
    } catch (Refused e) {
      faults.add(e.at(at));
      return null;
    }
  }

  private Node made(NodeType type, String id, Values values, List<Node> children, String at) {
    if (!forgiving) {
      return type.make(id, values, children);
    }
    var fitting = new ArrayList<Node>();
    for (Node child : children) {
      if (type.holds(child.type())) {
        fitting.add(child);
      } else {
        fault(at, "a " + child.type().word() + " in a " + type.word(), child.id(), "elsewhere");
      }
    }
    return type.make(id, values, fitting);
  }

  private Values values(JsonNode node, String at, NodeType type, Set<String> bands) {
    return settings(node.path("values"), at + "/values", type, bands)
        .with(new StylesJson(type, bands, faults::add).read(node.path("styles"), at + "/styles"));
  }

  private Values settings(JsonNode json, String at, NodeType type, Set<String> bands) {
    Values values = Values.NONE;
    if (json.isMissingNode() || !object(json, at, Set.of())) {
      return values;
    }
    for (Map.Entry<String, JsonNode> entry : json.properties()) {
      String here = at + "/" + entry.getKey();
      Setting<?> setting;
      try {
        setting = type.setting(entry.getKey());
      } catch (Refused e) {
        faults.add(e.at(here));
        continue;
      }
      if (!setting.byBand()) {
        values = put(values, setting, Values.ALL, entry.getValue(), here);
      } else if (object(entry.getValue(), here, bands)) {
        for (Map.Entry<String, JsonNode> each : entry.getValue().properties()) {
          if (bands.contains(each.getKey())) {
            String place = here + "/" + each.getKey();
            values = put(values, setting, each.getKey(), each.getValue(), place);
          }
        }
      }
    }
    return values;
  }

  private Values put(Values values, Setting<?> setting, String band, JsonNode json, String at) {
    try {
      return values.withRaw(setting.id(), band, setting.read(raw(json, setting)));
    } catch (Refused e) {
      faults.add(e.at(at));
      return forgiving ? mended(values, setting, band, json) : values;
    }
  }

  /** With as much of a text as can be read; without a value of another kind. */
  private static Values mended(Values values, Setting<?> setting, String band, JsonNode json) {
    int most =
        switch (setting.kind()) {
          case WordsKind words -> words.most();
          case RichKind(int characters) -> characters;
          case MarkupKind(int characters) -> characters;
          default -> 0;
        };
    if (!json.isString() || most == 0) {
      return values;
    }
    var text = new StringBuilder();
    String whole = json.asString();
    // Far too long, only its words are left: markup that is cut is no longer what it was.
    (whole.length() > most ? RichText.words(whole) : whole)
        .codePoints()
        .filter(c -> (c >= ' ' || c == '\n' || c == '\t') && (c < 0xD800 || c > 0xDFFF))
        .limit(most / 2)
        .forEach(text::appendCodePoint);
    try {
      return values.withRaw(setting.id(), band, setting.read(text.toString()));
    } catch (Refused e) {
      return values;
    }
  }

  /**
   * The raw value of a JSON scalar.
   *
   * @throws Refused for null, lists and objects
   */
  public static Object raw(JsonNode json, Setting<?> setting) {
    if (json.isString()) {
      return json.asString();
    }
    if (json.isNumber()) {
      return json.asDouble();
    }
    if (json.isBoolean()) {
      return json.asBoolean();
    }
    throw new Refused(setting.label(), json.toString(), setting.kind().allowed());
  }

  /** Whether it is an object; keys that it may not have are faults. */
  private boolean object(JsonNode json, String at, Set<String> allowed) {
    if (!json.isObject()) {
      fault(at, "it", json.isMissingNode() ? "missing" : json.toString(), "an object");
      return false;
    }
    for (String key : json.propertyNames()) {
      if (!allowed.isEmpty() && !allowed.contains(key)) {
        fault(
            at + "/" + key,
            "key",
            key,
            "one of " + String.join(", ", allowed.stream().sorted().toList()));
      }
    }
    return true;
  }

  private void fault(String at, String what, String found, String allowed) {
    String shown = found.length() > 80 ? found.substring(0, 80) + "…" : found;
    faults.add(new Refused(what, shown, allowed).at(at.isEmpty() ? "/" : at));
  }

  private void finish() {
    if (!faults.isEmpty()) {
      throw new Faults(faults);
    }
  }
}
