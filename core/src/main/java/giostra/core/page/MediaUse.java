package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.value.Aspect;
import giostra.core.value.FontsKind;
import giostra.core.value.MediaKind;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A place where something of the media library is used.
 *
 * @param media its id
 * @param node id of what uses it
 * @param called what people call that
 * @param setting label of the setting, or of the text that it stands in
 * @param shapes that it is cut to there, in some band
 */
public record MediaUse(
    String media, String node, String called, String setting, List<Aspect> shapes) {
  /**
   * Shapes that pictures are often cut to, for one that no page cuts yet. Common practice, no
   * source.
   */
  public static final List<Aspect> USUAL_SHAPES =
      List.of(new Aspect(4, 5), Aspect.SQUARE, new Aspect(16, 9));

  private static final Pattern IN_TEXT = Pattern.compile("data-(?:picture|clip)=\"([a-z0-9-]+)\"");

  /** All places of a document, in reading order. */
  public static List<MediaUse> of(Document document) {
    var all = new ArrayList<MediaUse>();
    document
        .nodes()
        .forEach(node -> {
          for (Map.Entry<String, Map<String, Object>> set : node.values().set().entrySet()) {
            Setting<?> setting = node.type().setting(set.getKey());
            for (Object value : set.getValue().values()) {
              for (String id : ids(setting, value)) {
                all.add(
                    new MediaUse(
                        id,
                        node.id(),
                        Fields.called(node),
                        setting.label(),
                        shapes(document, node)));
              }
            }
          }
          node.values()
              .styles()
              .set()
              .forEach((key, byBand) ->
                  byBand.values().stream()
                      .flatMap(value -> ids(node.type().style(key), value).stream())
                      .forEach(id ->
                          all.add(
                              new MediaUse(
                                  id,
                                  node.id(),
                                  Fields.called(node),
                                  Anatomy.said(key),
                                  List.of()))));
        });
    return all;
  }

  /** The shapes of pictures that settings name; other boxes are as high as their content. */
  private static List<Aspect> shapes(Document document, Node node) {
    Stream<Optional<Aspect>> all =
        document.bands().all().stream()
            .map(band ->
                switch (node) {
                  case Block.Picture picture ->
                      picture.values().at(BlockSettings.SHAPE, document.bands(), band).aspect();
                  case Item item when parent(document, item) instanceof Piece piece ->
                      piece.type().room().shape(document, piece, band);
                  default -> Optional.empty();
                });
    return all.flatMap(Optional::stream).distinct().toList();
  }

  private static Node parent(Document document, Node node) {
    List<Node> path = document.path(node.id());
    return path.get(path.size() - 2);
  }

  /** Ids of all media that a node and what it holds ask for. */
  public static List<String> idsIn(Node node) {
    return Document.walk(node)
        .flatMap(each ->
            Stream.concat(
                each.values().set().entrySet().stream()
                    .flatMap(set -> all(each.type().setting(set.getKey()), set.getValue())),
                each.values().styles().set().entrySet().stream()
                    .flatMap(set -> all(each.type().style(set.getKey()), set.getValue()))))
        .distinct()
        .toList();
  }

  private static Stream<String> all(Setting<?> setting, Map<String, Object> byBand) {
    return byBand.values().stream().flatMap(value -> ids(setting, value).stream());
  }

  private static List<String> ids(Setting<?> setting, Object value) {
    return switch (setting.kind()) {
      case FontsKind _ -> FontsKind.ids(value.toString());
      case MediaKind _ -> value.toString().isEmpty() ? List.of() : List.of(value.toString());
      case RichKind _ -> {
        var found = new ArrayList<String>();
        Matcher matcher = IN_TEXT.matcher(value.toString());
        while (matcher.find()) {
          found.add(matcher.group(1));
        }
        yield found;
      }
      default -> List.of();
    };
  }
}
