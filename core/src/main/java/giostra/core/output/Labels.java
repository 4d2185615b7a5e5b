package giostra.core.output;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;

/**
 * The few words that published pieces say themselves, in the language of the page; English where we
 * do not speak it.
 */
final class Labels {
  private enum Word {
    ITEMS,
    CAROUSEL,
    CARD,
    SLIDE,
    PREVIOUS,
    NEXT,
    CHOOSE,
    GO_TO,
    OF,
    SEARCH,
    CATEGORIES,
    ALL,
    COPY_LINK,
    COPIED,
    TURN_OVER,
    TURN_BACK
  }

  private static final Map<String, List<String>> WORDS =
      Map.of(
          "en",
          List.of(
              "Cards",
              "carousel",
              "card",
              "slide",
              "Previous",
              "Next",
              "Choose a place",
              "Go to place %d",
              "%d of %d",
              "Search",
              "Categories",
              "All",
              "Copy link",
              "Copied",
              "Turn over: %s",
              "Turn back"),
          "de",
          List.of(
              "Karten",
              "Karussell",
              "Karte",
              "Folie",
              "Zurück",
              "Weiter",
              "Stelle wählen",
              "Zu Stelle %d",
              "%d von %d",
              "Suchen",
              "Themen",
              "Alle",
              "Link kopieren",
              "Kopiert",
              "Umdrehen: %s",
              "Zurückdrehen"),
          "fr",
          List.of(
              "Cartes",
              "carrousel",
              "carte",
              "diapositive",
              "Précédent",
              "Suivant",
              "Choisir une position",
              "Aller à la position %d",
              "%d sur %d",
              "Rechercher",
              "Catégories",
              "Toutes",
              "Copier le lien",
              "Copié",
              "Retourner : %s",
              "Remettre"),
          "it",
          List.of(
              "Schede",
              "carosello",
              "scheda",
              "diapositiva",
              "Precedente",
              "Successivo",
              "Scegli una posizione",
              "Vai alla posizione %d",
              "%d di %d",
              "Cerca",
              "Categorie",
              "Tutte",
              "Copia il link",
              "Copiato",
              "Gira: %s",
              "Rigira"),
          "es",
          List.of(
              "Tarjetas",
              "carrusel",
              "tarjeta",
              "diapositiva",
              "Anterior",
              "Siguiente",
              "Elegir una posición",
              "Ir a la posición %d",
              "%d de %d",
              "Buscar",
              "Categorías",
              "Todas",
              "Copiar enlace",
              "Copiado",
              "Girar: %s",
              "Volver a girar"),
          "ar",
          List.of(
              "بطاقات",
              "شريط متحرك",
              "بطاقة",
              "شريحة",
              "السابق",
              "التالي",
              "اختر موضعًا",
              "انتقل إلى الموضع %d",
              "%d من %d",
              "بحث",
              "الفئات",
              "الكل",
              "انسخ الرابط",
              "نُسخ",
              "اقلب: %s",
              "أعد القلب"));

  private final List<String> words;

  private Labels(List<String> words) {
    this.words = words;
  }

  /** The words for a language tag (BCP 47). */
  static Labels in(String language) {
    String code = Locale.forLanguageTag(language).getLanguage();
    return new Labels(Objects.requireNonNull(WORDS.get(WORDS.containsKey(code) ? code : "en")));
  }

  private String word(Word word) {
    return words.get(word.ordinal());
  }

  /** What a piece without a name is called. */
  String items() {
    return word(Word.ITEMS);
  }

  String carousel() {
    return word(Word.CAROUSEL);
  }

  String card() {
    return word(Word.CARD);
  }

  String slide() {
    return word(Word.SLIDE);
  }

  String previous() {
    return word(Word.PREVIOUS);
  }

  String next() {
    return word(Word.NEXT);
  }

  String choose() {
    return word(Word.CHOOSE);
  }

  String goTo(int place) {
    return word(Word.GO_TO).formatted(place);
  }

  String of(int item, int all) {
    return word(Word.OF).formatted(item, all);
  }

  String search() {
    return word(Word.SEARCH);
  }

  String categories() {
    return word(Word.CATEGORIES);
  }

  String all() {
    return word(Word.ALL);
  }

  String copyLink() {
    return word(Word.COPY_LINK);
  }

  String copied() {
    return word(Word.COPIED);
  }

  /** What the button over a front face does. */
  String turnOver(String heading) {
    return word(Word.TURN_OVER).formatted(heading).strip();
  }

  String turnBack() {
    return word(Word.TURN_BACK);
  }
}
