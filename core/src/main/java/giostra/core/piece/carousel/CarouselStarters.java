package giostra.core.piece.carousel;

import giostra.core.look.Values;
import giostra.core.page.ItemSettings;
import giostra.core.page.Starters;
import giostra.core.page.Starters.Starter;
import giostra.core.page.Starters.Told;
import giostra.core.page.TrackSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.value.Length;
import java.util.List;

/** Carousels to start with. */
final class CarouselStarters {
  private static final List<Told> WALKS =
      List.of(
          new Told(
              Starters.ROOFS,
              "",
              "Over the roofs",
              "An hour by lamplight, from the bell tower to the last bakery.",
              "Walk with us"),
          new Told(
              Starters.PEARS,
              "",
              "What grows here",
              "Four orchards, four kinds of pear, and a press that still turns.",
              "Walk with us"),
          new Told(
              Starters.WAVES,
              "",
              "Along the breakwater",
              "Out with the tide and back before it. Wear what may get wet.",
              "Walk with us"),
          new Told(
              Starters.PINES,
              "",
              "The quiet round",
              "Three miles of snow and no words until the hut.",
              "Walk with us"),
          new Told(
              Starters.HARBOUR,
              "",
              "From boat to boat",
              "The people who mend them show how, and let you hold the rope.",
              "Walk with us"));

  /** All of them. */
  static List<Starter> all() {
    return List.of(
        Starters.starter(
            "quotations",
            "Carousel of quotations",
            "What visitors say, three at a time on a desktop.",
            carousel(Card.QUOTATION)),
        Starters.starter(
            "pictures",
            "Carousel of pictures",
            "Cards with a picture, a heading, a text and a button.",
            carousel(Card.PICTURE)));
  }

  private static Carousel carousel(Card card) {
    Values values =
        Starters.named(card == Card.QUOTATION ? "Visitors’ words" : "Walks")
            .with(CarouselSettings.CARD, Values.ALL, card)
            .with(TrackSettings.IN_VIEW, "desktop", 3)
            .with(TrackSettings.IN_VIEW, "tablet", 2)
            .with(TrackSettings.IN_VIEW, "phone", 1)
            .with(TrackSettings.GAP, "desktop", Length.px(24))
            .with(TrackSettings.GAP, "tablet", Length.px(16))
            .with(TrackSettings.GAP, "phone", Length.px(12))
            .with(TrackSettings.PEEK, "desktop", Length.px(0))
            .with(CarouselSettings.COMFORT_FROM, Values.ALL, Length.px(230));
    return new Carousel(
        "carousel",
        values,
        Starters.items(card == Card.PICTURE ? WALKS.size() : 4, number -> card(card, number)));
  }

  private static Values card(Card card, int number) {
    if (card == Card.PICTURE) {
      Told told = WALKS.get(number - 1);
      return Starters.shown(Starters.headed(told.heading(), told.text()), told.picture())
          .with(ItemSettings.BUTTON, Values.ALL, told.button())
          .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#");
    }
    List<String> words =
        List.of(
            "We came for an hour and missed the last boat. Nobody minded, least of all us.",
            "My son has asked for the lighthouse three evenings running.",
            "The kind of place where somebody remembers how you take your tea.",
            "I have drawn that harbour for eleven years and am not done with it.");
    List<String> names = List.of("Ivo Tamm", "Odile Brand", "Maren Quist", "Tom Asker");
    List<String> roles = List.of("on a Sunday", "with two children", "every spring", "who draws");
    int at = number - 1;
    return Starters.text(ItemSettings.TEXT, words.get(at))
        .with(ItemSettings.NAME, Values.ALL, names.get(at))
        .with(ItemSettings.ROLE, Values.ALL, roles.get(at))
        .with(ItemSettings.PICTURE, Values.ALL, "start-speaker-" + number);
  }

  private CarouselStarters() {}
}
