package giostra.core.piece.carousel;

import giostra.core.page.Fields;
import giostra.core.page.Fields.Field;
import giostra.core.page.ItemSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import java.util.List;
import java.util.Map;

/** The fields of cards. */
final class CarouselFields {
  private static final Map<Card, List<Field>> BY_CARD =
      Map.of(
          Card.QUOTATION,
          Fields.renamed(
              Fields.list(
                  ItemSettings.PICTURE,
                  ItemSettings.TEXT,
                  ItemSettings.NAME,
                  ItemSettings.ROLE,
                  ItemSettings.FOCUS),
              Map.of(ItemSettings.PICTURE, "Portrait", ItemSettings.TEXT, "Quotation")),
          Card.PICTURE,
          Fields.list(
              ItemSettings.PICTURE,
              ItemSettings.ALT,
              Fields.WORDED,
              ItemSettings.LINK,
              ItemSettings.ICON,
              ItemSettings.ICON_COLOURS,
              ItemSettings.ICON_NUDGE,
              ItemSettings.FOCUS,
              ItemSettings.FIT));

  private CarouselFields() {}

  static List<Field> of(Card card) {
    return BY_CARD.getOrDefault(card, List.of());
  }
}
