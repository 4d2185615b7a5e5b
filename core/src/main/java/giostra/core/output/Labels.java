package giostra.core.output;

import java.util.Locale;

/**
 * The few words that published pieces say themselves, in the language of the page; English where we
 * do not speak it.
 *
 * @param items what a piece without a name is called
 * @param carousel what kind of thing it is
 * @param slide what its items are
 */
record Labels(
    String items,
    String carousel,
    String slide,
    String previous,
    String next,
    String choose,
    String goTo,
    String of) {

  /** The words for a language tag (BCP 47). */
  static Labels in(String language) {
    return switch (Locale.forLanguageTag(language).getLanguage()) {
      case "de" ->
          new Labels(
              "Karten",
              "Karussell",
              "Karte",
              "Zurück",
              "Weiter",
              "Stelle wählen",
              "Zu Stelle %d",
              "%d von %d");
      case "fr" ->
          new Labels(
              "Cartes",
              "carrousel",
              "carte",
              "Précédent",
              "Suivant",
              "Choisir une position",
              "Aller à la position %d",
              "%d sur %d");
      case "it" ->
          new Labels(
              "Schede",
              "carosello",
              "scheda",
              "Precedente",
              "Successivo",
              "Scegli una posizione",
              "Vai alla posizione %d",
              "%d di %d");
      case "es" ->
          new Labels(
              "Tarjetas",
              "carrusel",
              "tarjeta",
              "Anterior",
              "Siguiente",
              "Elegir una posición",
              "Ir a la posición %d",
              "%d de %d");
      case "ar" ->
          new Labels(
              "بطاقات",
              "شريط متحرك",
              "بطاقة",
              "السابق",
              "التالي",
              "اختر موضعًا",
              "انتقل إلى الموضع %d",
              "%d من %d");
      default ->
          new Labels(
              "Cards",
              "carousel",
              "card",
              "Previous",
              "Next",
              "Choose a place",
              "Go to place %d",
              "%d of %d");
    };
  }

  String goTo(int place) {
    return goTo.formatted(place);
  }

  String of(int item, int all) {
    return of.formatted(item, all);
  }
}
