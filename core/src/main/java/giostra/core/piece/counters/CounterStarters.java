package giostra.core.piece.counters;

import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.BlockSettings;
import giostra.core.page.GridSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.Starters;
import giostra.core.page.Starters.Starter;
import giostra.core.value.Ends;
import giostra.core.value.Length;
import giostra.core.value.TypeSize;
import java.util.List;

/** Counters to start with. */
final class CounterStarters {
  /** All of them. */
  static List<Starter> all() {
    Values values =
        Starters.named("In figures")
            .with(GridSettings.COLUMNS, "desktop", 4)
            .with(GridSettings.COLUMNS, "phone", 2)
            .with(CounterSettings.COMFORT_FROM, Values.ALL, Length.px(80))
            .with(GridSettings.DIVIDERS, "desktop", true)
            .with(PieceSettings.TEXT_ALIGN, "desktop", BlockSettings.Side.CENTER)
            .withStyle(
                CounterParts.NUMBER.key(Property.TEXT_SIZE, State.REST),
                "phone",
                TypeSize.of(Length.px(36)))
            .withStyle(
                CounterParts.FIGURE.key(Property.PADDING_SIDES, State.REST),
                "phone",
                Ends.both(Length.px(6)));
    return List.of(
        Starters.starter(
            "figures",
            "Counters",
            "Figures that run to their value when they are first seen.",
            new Counters("figures", values, Starters.items(4, CounterStarters::figure))));
  }

  private static Values figure(int number) {
    List<String> heads =
        List.of("steps to the light", "loaves a day", "lamps on the pier", "years open");
    List<String> icons = List.of("footprints", "wheat", "lamp", "calendar-days");
    List<Double> to = List.of(217.0, 340.0, 96.0, 31.0);
    int at = number - 1;
    return Starters.text(ItemSettings.HEADING, heads.get(at))
        .with(ItemSettings.ICON, Values.ALL, icons.get(at))
        .with(ItemSettings.TO, Values.ALL, to.get(at));
  }

  private CounterStarters() {}
}
