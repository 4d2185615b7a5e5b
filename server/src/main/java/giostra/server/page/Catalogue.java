package giostra.server.page;

import giostra.core.band.Kind;
import giostra.core.band.Setting;
import giostra.core.format.DocumentJson;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.NodeType;
import giostra.core.page.Starters;
import java.util.Arrays;
import java.util.List;

/** What there is to set and to add: the same catalogue that the schema and the reader use. */
final class Catalogue {
  private Catalogue() {}

  static Bodies.CatalogueReply reply(String stage) {
    return new Bodies.CatalogueReply(
        Arrays.stream(NodeType.values())
            .map(type ->
                new Bodies.NodeTypeReply(
                    type.word(),
                    type.settings().stream().<Bodies.SettingReply>map(Catalogue::setting).toList(),
                    Bodies.NodeTypeReply.holds(type)))
            .toList(),
        Arrays.stream(Card.values())
            .map(card ->
                new Bodies.CardReply(
                    Kind.Pick.word(card),
                    card.fields().stream()
                        .map(f -> new Bodies.FieldReply(f.id(), card.label(f)))
                        .toList()))
            .toList(),
        Starters.ALL.stream()
            .map(s ->
                new Bodies.StarterReply(s.id(), s.label(), s.says(), DocumentJson.write(s.node())))
            .toList(),
        stage);
  }

  private static <T> Bodies.SettingReply setting(Setting<T> setting) {
    Kind<T> kind = setting.kind();
    String name = kind.getClass().getSimpleName().toLowerCase(java.util.Locale.ROOT);
    List<String> words = kind instanceof Kind.Pick<?> pick ? pick.words() : List.of();
    boolean lines = kind instanceof Kind.Words text && text.lines();
    return new Bodies.SettingReply(
        setting.id(),
        setting.label(),
        name,
        setting.byBand(),
        lines,
        setting.write(setting.initial()),
        kind.allowed(),
        words);
  }
}
