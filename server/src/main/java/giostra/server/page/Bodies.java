package giostra.server.page;

import giostra.core.page.NodeType;
import giostra.core.value.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * What travels over the page API, as OpenAPI describes it. Documents are read and written by the
 * core.
 */
public final class Bodies {
  private Bodies() {}

  @Schema(name = "NodeBody")
  public record NodeBody(
      String id,
      String type,
      Map<String, Object> values,
      @Schema(implementation = Object.class) @Nullable Map<String, Object> styles,
      @Nullable List<NodeBody> children) {}

  @Schema(name = "BandBody")
  public record BandBody(String id, String name, double from) {}

  @Schema(name = "SiteBody")
  record SiteBody(
      List<BandBody> bands,
      Map<String, Object> values,
      @Schema(implementation = Object.class) @Nullable Map<String, Object> styles,
      @Nullable List<NodeBody> looks) {}

  @Schema(name = "DocumentBody")
  record DocumentBody(int giostra, SiteBody site, NodeBody page) {}

  @Schema(name = "EditBody", description = "One edit; which fields it has depends on its type.")
  public record EditBody(
      String type,
      @Nullable String node,
      @Nullable String setting,
      @Nullable String part,
      @Nullable String state,
      @Nullable String property,
      @Nullable String band,
      @Nullable Object value,
      @Nullable String parent,
      @Nullable Integer index,
      @Nullable NodeBody content,
      @Nullable String name,
      @Nullable Double from,
      @Nullable List<BandBody> bands,
      @Nullable DocumentBody document) {}

  /**
   * Edits of a page.
   *
   * @param revision of the page that they were made on
   * @param siteRevision of its site; null for the one that the page's was made with
   * @param key given by whoever makes the change: sent twice, it happens once
   */
  @Schema(name = "EditsRequest")
  record EditsRequest(
      int revision,
      @Nullable Integer siteRevision,
      @Schema(pattern = KEY) @Nullable String key,
      @Schema(implementation = EditBody[].class) JsonNode edits) {}

  /** A change that needs no more said than that it is made. */
  @Schema(name = "KeyedRequest")
  record KeyedRequest(@Schema(pattern = KEY) @Nullable String key) {}

  static final String KEY = "[A-Za-z0-9-]{8,80}";

  /**
   * The revisions that somebody has, as "12.3".
   *
   * @throws Refused for anything else
   */
  static PageService.Base base(String has) {
    if (!has.matches("[0-9]{1,9}\\.[0-9]{1,9}")) {
      throw new Refused("has", has, "two revisions, as 12.3");
    }
    int at = has.indexOf('.');
    return new PageService.Base(
        Integer.parseInt(has.substring(0, at)), Integer.valueOf(has.substring(at + 1)));
  }

  /** Refuses what cannot be the key of a change. */
  static @Nullable String key(@Nullable String key) {
    if (key != null && !key.matches(KEY)) {
      throw new giostra.core.value.Refused(
              "key", key, "of 8 to 80 letters, digits and hyphens, another one for each change")
          .at("/key");
    }
    return key;
  }

  @Schema(name = "PageReply")
  record PageReply(
      String id,
      String siteId,
      String slug,
      int revision,
      int siteRevision,
      boolean canUndo,
      boolean canRedo,
      @Schema(implementation = DocumentBody.class) JsonNode document) {}

  /** What an edit came to, with what the stage has to change. */
  @Schema(name = "ChangeReply")
  record ChangeReply(ChangedPage page, Stage.Swap stage) {}

  /**
   * A page after a change.
   *
   * @param document all of it; left out where the changed nodes say enough
   * @param nodes what has changed since the revisions that the asker has: each stands, with all it
   *     holds, where the one with its id stood
   */
  @Schema(name = "ChangedPage")
  record ChangedPage(
      String id,
      String siteId,
      String slug,
      int revision,
      int siteRevision,
      boolean canUndo,
      boolean canRedo,
      @Schema(implementation = DocumentBody.class) @Nullable JsonNode document,
      @Schema(implementation = NodeBody[].class) @Nullable List<JsonNode> nodes) {}

  @Schema(name = "NewPage")
  record NewPage(
      @Nullable String title,
      @Schema(implementation = DocumentBody.class) @Nullable JsonNode document) {}

  /**
   * What a page becomes again.
   *
   * @param site whether what it shares with its site becomes what it was then, too, on all pages
   */
  @Schema(name = "RestoreRequest")
  record RestoreRequest(
      int revision, @Nullable Boolean site, @Schema(pattern = KEY) @Nullable String key) {}

  /** What a page was at a revision. */
  @Schema(name = "WasReply")
  record WasReply(
      @Schema(implementation = DocumentBody.class) JsonNode document,
      List<giostra.core.page.SiteDifference> site,
      List<String> gone) {}

  /**
   * A setting as the bench shows it.
   *
   * @param kind the kind of value, in lower case: whole, size, pick, toggle, rich and so on
   * @param words what may be picked
   * @param home the step that it is set in: fill, arrange, dress or drive
   */
  @Schema(name = "SettingReply")
  record SettingReply(
      String id,
      String label,
      String kind,
      boolean byBand,
      boolean lines,
      Object initial,
      String allowed,
      List<String> words,
      String home) {}

  /**
   * A part whose look can be said, and what of it; values are kept by part, state and property.
   *
   * @param elements selector of what has it on a page
   */
  @Schema(name = "StyledReply")
  record StyledReply(
      String id,
      String label,
      List<String> states,
      String elements,
      List<SettingReply> properties) {}

  @Schema(name = "NodeTypeReply")
  record NodeTypeReply(
      String type,
      boolean piece,
      List<SettingReply> settings,
      List<String> parts,
      List<String> holds) {
    static List<String> holds(NodeType type) {
      return java.util.Arrays.stream(NodeType.values())
          .filter(type::holds)
          .map(NodeType::word)
          .toList();
    }
  }

  /**
   * A field of items.
   *
   * @param main whether a table of items shows it
   * @param askedBy id of the setting whose value decides whether it is asked for; empty for always
   * @param askedWith the values with which it is
   */
  @Schema(name = "FieldReply")
  record FieldReply(
      String setting, String label, boolean main, String askedBy, List<String> askedWith) {}

  /**
   * The fields that items of a kind are made of, in reading order.
   *
   * @param card the card that they are of, for a carousel; else empty
   */
  @Schema(name = "FieldsReply")
  record FieldsReply(String type, String card, List<FieldReply> fields) {}

  /** Edits that make a piece one of another kind, and what then does not fit, in words. */
  @Schema(name = "ConversionReply")
  record ConversionReply(
      @Schema(implementation = EditBody[].class) JsonNode edits, List<String> unfit) {}

  /** Something that can be put on a page, ready-made. */
  @Schema(name = "StarterReply")
  record StarterReply(
      String id,
      String label,
      String says,
      @Schema(implementation = NodeBody.class) JsonNode node) {}

  /**
   * What there is.
   *
   * @param always settings that every item of every kind has
   * @param parts of all types, each once
   * @param rare settings that are asked for so rarely that forms fold them away
   * @param panels kinds whose items have panels, which hold blocks
   * @param pins kinds on whose items pins may stand
   * @param stage origin of the stage
   * @param live origin of the live pages and snippets
   * @param screenHeight px that a screen is taken to be high where nobody says otherwise
   */
  @Schema(name = "CatalogueReply")
  record CatalogueReply(
      List<NodeTypeReply> types,
      List<StyledReply> parts,
      List<FieldsReply> fields,
      List<String> always,
      List<String> rare,
      List<String> panels,
      List<String> pins,
      List<StarterReply> starters,
      String stage,
      String live,
      double screenHeight,
      LimitsReply limits) {}

  /**
   * What is refused beyond.
   *
   * @param bands of a site
   * @param gradientColours of a gradient
   * @param lowestScreen least height of a screen to look at a page in, px
   * @param highestScreen the greatest, px
   * @param leastRest of a stop that moves on by itself, ms
   * @param mostRest the longest, ms
   * @param longestVisit that is traced, ms
   * @param likened px that pictures have at the most which are compared
   */
  @Schema(name = "LimitsReply")
  record LimitsReply(
      int bands,
      int gradientColours,
      int lowestScreen,
      int highestScreen,
      long leastRest,
      long mostRest,
      long longestVisit,
      int likened) {}
}
