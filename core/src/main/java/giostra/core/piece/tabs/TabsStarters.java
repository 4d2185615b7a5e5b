package giostra.core.piece.tabs;

import giostra.core.look.Values;
import giostra.core.page.ItemSettings;
import giostra.core.page.Starters;
import giostra.core.page.Starters.Shown;
import giostra.core.page.Starters.Starter;
import java.util.List;

/** Tabs to start with. */
final class TabsStarters {
  /** All of them. */
  static List<Starter> all() {
    Values row =
        Starters.named("What to know")
            .with(TabsSettings.FORM, "desktop", TabsSettings.Form.TABS)
            .with(TabsSettings.FORM, "phone", TabsSettings.Form.ACCORDION);
    Values side =
        row.with(TabsSettings.HEADS_SIDE, "desktop", TabsSettings.HeadsSide.START)
            .with(TabsSettings.HEADS_SIDE, "tablet", TabsSettings.HeadsSide.ABOVE)
            .with(TabsSettings.MARK, Values.ALL, TabsSettings.Mark.POINTER);
    return List.of(
        Starters.starter(
            "tabs",
            "Tabs in a row",
            "Several panels in one place, an accordion on a phone.",
            new Tabs("tabs", row, Starters.items(3, TabsStarters::tab))),
        Starters.starter(
            "tabs-side",
            "Tabs at the side",
            "Headings beside their panel, above it on a tablet.",
            new Tabs("tabs", side, Starters.items(4, TabsStarters::season))));
  }

  private static Values tab(int number) {
    List<String> heads = List.of("Before you come", "While you are here", "Afterwards");
    List<String> texts =
        List.of(
            "<p>Take the slow train. It stops where the path begins, and the conductor knows us.</p>"
                + "<ul><li>Shoes that may get wet</li><li>Something warm for the evening</li></ul>",
            "<p>Nobody has to hurry. Lunch is from noon until it is gone, and the reading room has no"
                + " clock.</p>",
            "<p>We keep what you forget for a year, and send it if you ask. Most people come back for"
                + " it.</p>");
    return Starters.headed(heads.get(number - 1), texts.get(number - 1));
  }

  private static Values season(int number) {
    List<String> heads = List.of("Spring", "Summer", "Autumn", "Winter");
    List<String> icons = List.of("flower-2", "sun", "leaf", "snowflake");
    List<Shown> pictures =
        List.of(Starters.MOUNTAINS, Starters.BALLOONS, Starters.PEARS, Starters.PINES);
    List<String> texts =
        List.of(
            "The lake is cold and the meadow is not. Bring a jar for the honey.",
            "Up at four, asleep by noon, up again when the heat has gone.",
            "Everything is picked at once, and everybody helps.",
            "The road closes when it snows. That is when the stove is lit.");
    int at = number - 1;
    return Starters.shown(Starters.headed(heads.get(at), texts.get(at)), pictures.get(at))
        .with(ItemSettings.ICON, Values.ALL, icons.get(at));
  }

  private TabsStarters() {}
}
