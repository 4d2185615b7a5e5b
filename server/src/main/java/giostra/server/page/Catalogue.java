package giostra.server.page;

import giostra.core.band.Bands;
import giostra.core.fit.Likeness;
import giostra.core.fit.Screen;
import giostra.core.format.DocumentJson;
import giostra.core.look.Part;
import giostra.core.look.StyleKey;
import giostra.core.output.Found;
import giostra.core.page.ClipSettings;
import giostra.core.page.Fields;
import giostra.core.page.ItemSettings;
import giostra.core.page.NodeType;
import giostra.core.page.Starters;
import giostra.core.tempo.Score;
import giostra.core.tempo.Visit;
import giostra.core.value.CodeKind;
import giostra.core.value.Ground;
import giostra.core.value.Kind;
import giostra.core.value.MarkupKind;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.StylesheetKind;
import giostra.core.value.WordsKind;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** What there is to set and to add: the same catalogue that the schema and the reader use. */
final class Catalogue {
  private Catalogue() {}

  static Bodies.CatalogueReply reply(String stage, String live) {
    return new Bodies.CatalogueReply(
        Arrays.stream(NodeType.values())
            .map(type ->
                new Bodies.NodeTypeReply(
                    type.word(),
                    type.isPiece(),
                    type.settings().stream().<Bodies.SettingReply>map(Catalogue::setting).toList(),
                    type.parts().stream().map(part -> part.id().id()).toList(),
                    Bodies.NodeTypeReply.holds(type)))
            .toList(),
        Arrays.stream(NodeType.values())
            .flatMap(type -> type.parts().stream())
            .distinct()
            .map(Catalogue::styled)
            .toList(),
        Arrays.stream(NodeType.values())
            .filter(NodeType::isPiece)
            .flatMap(Catalogue::fields)
            .toList(),
        settings(ItemSettings.ALWAYS),
        settings(Fields.RARE),
        Arrays.stream(NodeType.values()).filter(NodeType::hasPanels).map(NodeType::word).toList(),
        Arrays.stream(NodeType.values()).filter(NodeType::hasPins).map(NodeType::word).toList(),
        Starters.ALL.stream()
            .map(s ->
                new Bodies.StarterReply(s.id(), s.label(), s.says(), DocumentJson.write(s.node())))
            .toList(),
        stage,
        live,
        Screen.USUAL_HEIGHT,
        new Bodies.LimitsReply(
            Bands.MOST,
            Ground.MOST_STOPS,
            Screen.LOWEST,
            Screen.HIGHEST,
            Score.LEAST_REST,
            Score.MOST_REST,
            Visit.LONGEST,
            Likeness.MOST));
  }

  /** What the items of a kind are made of, where it decides by a word by that. */
  private static Stream<Bodies.FieldsReply> fields(NodeType kind) {
    return kind.room().fieldsByWord().entrySet().stream()
        .map(each ->
            new Bodies.FieldsReply(
                kind.word(),
                each.getKey(),
                each.getValue().stream().map(Catalogue::field).toList()));
  }

  private static Bodies.FieldReply field(Fields.Field field) {
    List<String> with =
        ClipSettings.ONLY.getOrDefault(field.setting(), Set.of()).stream()
            .map(PickKind::word)
            .sorted()
            .toList();
    String by = with.isEmpty() ? "" : ClipSettings.FROM.id();
    return new Bodies.FieldReply(field.setting().id(), field.label(), field.main(), by, with);
  }

  private static List<String> settings(List<Setting<?>> some) {
    return some.stream().map(Setting::id).toList();
  }

  private static Bodies.StyledReply styled(Part part) {
    return new Bodies.StyledReply(
        part.id().id(),
        part.label(),
        part.states().stream().map(StyleKey::word).toList(),
        Found.of(part).elements(),
        part.properties().stream()
            .<Bodies.SettingReply>map(property -> setting(part.setting(property)))
            .toList());
  }

  static <T> Bodies.SettingReply setting(Setting<T> setting) {
    Kind<T> kind = setting.kind();
    String name = kind.word();
    List<String> words =
        switch (kind) {
          case PickKind<?> pick -> pick.words();
          case SeveralKind several -> several.words();
          default -> List.of();
        };
    boolean lines =
        (kind instanceof WordsKind text && text.lines())
            || kind instanceof MarkupKind
            || kind instanceof StylesheetKind
            || kind instanceof CodeKind;
    return new Bodies.SettingReply(
        setting.id(),
        setting.label(),
        name,
        setting.byBand(),
        lines,
        setting.write(setting.initial()),
        kind.allowed(),
        words,
        PickKind.word(setting.home()));
  }
}
