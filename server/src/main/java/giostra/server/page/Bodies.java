package giostra.server.page;

import giostra.core.page.NodeType;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * What travels over the page API, as OpenAPI describes it. Documents are read and written by the
 * core.
 */
final class Bodies {
  private Bodies() {}

  @Schema(name = "NodeBody")
  record NodeBody(
      String id, String type, Map<String, Object> values, @Nullable List<NodeBody> children) {}

  @Schema(name = "BandBody")
  record BandBody(String id, String name, double from) {}

  @Schema(name = "SiteBody")
  record SiteBody(List<BandBody> bands, Map<String, Object> values) {}

  @Schema(name = "DocumentBody")
  record DocumentBody(int giostra, SiteBody site, NodeBody page) {}

  @Schema(name = "EditBody", description = "One edit; which fields it has depends on its type.")
  record EditBody(
      String type,
      @Nullable String node,
      @Nullable String setting,
      @Nullable String band,
      @Nullable Object value,
      @Nullable String parent,
      @Nullable Integer index,
      @Nullable NodeBody content,
      @Nullable String name,
      @Nullable Double from,
      @Nullable List<BandBody> bands,
      @Nullable DocumentBody document) {}

  @Schema(name = "EditsRequest")
  record EditsRequest(int revision, @Schema(implementation = EditBody[].class) JsonNode edits) {}

  @Schema(name = "PageReply")
  record PageReply(
      String id,
      String siteId,
      String slug,
      int revision,
      boolean canUndo,
      boolean canRedo,
      @Schema(implementation = DocumentBody.class) JsonNode document) {}

  /** What an edit came to, with what the stage has to change. */
  @Schema(name = "ChangeReply")
  record ChangeReply(PageReply page, Stage.Swap stage) {}

  @Schema(name = "NewPage")
  record NewPage(
      @Nullable String title,
      @Schema(implementation = DocumentBody.class) @Nullable JsonNode document) {}

  @Schema(name = "NewSite")
  record NewSite(String name) {}

  @Schema(name = "RestoreRequest")
  record RestoreRequest(int revision) {}

  @Schema(name = "ShelfPage")
  record ShelfPage(
      String id,
      String title,
      String slug,
      int revision,
      int pieces,
      int snags,
      @Nullable Integer liveNumber,
      boolean newerThanLive) {}

  @Schema(name = "ShelfSite")
  record ShelfSite(String id, String name, List<ShelfPage> pages) {}

  @Schema(name = "ShelfReply")
  record ShelfReply(String stage, List<ShelfSite> sites) {}

  /**
   * A setting as the bench shows it.
   *
   * @param kind the kind of value, in lower case: whole, size, pick, toggle, rich and so on
   * @param words what may be picked
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
      List<String> words) {}

  @Schema(name = "NodeTypeReply")
  record NodeTypeReply(
      String type, boolean piece, List<SettingReply> settings, List<String> holds) {
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
   * @param rare settings that are asked for so rarely that forms fold them away
   * @param panels kinds whose items have panels, which hold blocks
   */
  @Schema(name = "CatalogueReply")
  record CatalogueReply(
      List<NodeTypeReply> types,
      List<FieldsReply> fields,
      List<String> always,
      List<String> rare,
      List<String> panels,
      List<StarterReply> starters,
      String stage) {}
}
