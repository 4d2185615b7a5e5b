package giostra.core.piece.flipboxes;

import giostra.core.look.Values;
import giostra.core.page.GridSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.Starters;
import giostra.core.page.Starters.Starter;
import giostra.core.value.Length;
import java.util.List;

/** Flip boxes to start with. */
final class FlipStarters {
  /** All of them. */
  static List<Starter> all() {
    Values values =
        Starters.named("Turn them over")
            .with(GridSettings.COLUMNS, "desktop", 3)
            .with(GridSettings.COLUMNS, "tablet", 3)
            .with(GridSettings.GAP, "tablet", Length.px(12))
            .with(GridSettings.COLUMNS, "phone", 1);
    return List.of(
        Starters.starter(
            "boxes",
            "Flip boxes",
            "A face that makes curious, and what is behind it.",
            new FlipBoxes("boxes", values, Starters.items(3, FlipStarters::box))));
  }

  private static Values box(int number) {
    List<String> heads = List.of("The light", "The orchard", "The balloons");
    List<String> texts =
        List.of("Two hundred steps", "Four kinds of pear", "Five, if the wind lets");
    List<String> backs = List.of("Up at dusk", "Taste them all", "Be there at five");
    List<String> tells =
        List.of(
            "The keeper lights it by hand. If you ask, she lets you count it in.",
            "The sour ones are for the press. The others are for your pockets.",
            "Whoever helps to fill one may fly in it.");
    int at = number - 1;
    return Starters.shown(
            Starters.headed(heads.get(at), texts.get(at)),
            List.of(Starters.LIGHTHOUSE, Starters.PEARS, Starters.BALLOONS).get(at))
        .with(ItemSettings.BACK_HEADING, Values.ALL, backs.get(at))
        .with(ItemSettings.BACK_TEXT, Values.ALL, tells.get(at));
  }

  private FlipStarters() {}
}
