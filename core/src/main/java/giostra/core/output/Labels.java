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
    TURN_BACK,
    CLIP,
    PLAY,
    PLAY_AT,
    PAUSE,
    CONTROLS,
    PLACE,
    MUTE,
    UNMUTE,
    VOLUME,
    CAPTIONS,
    CAPTIONS_OFF,
    SPEED,
    WINDOW,
    SCREEN,
    SCREEN_BACK,
    NO_CLIP
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
              "Turn back",
              "Clip",
              "Play %s",
              "Play %s, from %s",
              "Pause",
              "Controls",
              "Place in the clip",
              "Sound off",
              "Sound on",
              "Volume",
              "Captions",
              "No captions",
              "Speed",
              "Picture in picture",
              "Full screen",
              "Leave full screen",
              "%s: there is no clip here yet"),
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
              "Zurückdrehen",
              "Clip",
              "%s abspielen",
              "%s abspielen, von %s",
              "Anhalten",
              "Steuerung",
              "Stelle im Clip",
              "Ton aus",
              "Ton an",
              "Lautstärke",
              "Untertitel",
              "Keine Untertitel",
              "Tempo",
              "Bild im Bild",
              "Vollbild",
              "Vollbild verlassen",
              "%s: hier ist noch kein Clip"),
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
              "Remettre",
              "Clip",
              "Lire %s",
              "Lire %s, de %s",
              "Pause",
              "Commandes",
              "Position dans le clip",
              "Couper le son",
              "Rétablir le son",
              "Volume",
              "Sous-titres",
              "Sans sous-titres",
              "Vitesse",
              "Image dans l’image",
              "Plein écran",
              "Quitter le plein écran",
              "%s : pas encore de clip ici"),
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
              "Rigira",
              "Clip",
              "Riproduci %s",
              "Riproduci %s, da %s",
              "Pausa",
              "Comandi",
              "Punto del clip",
              "Audio spento",
              "Audio acceso",
              "Volume",
              "Sottotitoli",
              "Senza sottotitoli",
              "Velocità",
              "Immagine nell’immagine",
              "Schermo intero",
              "Esci da schermo intero",
              "%s: qui non c’è ancora un clip"),
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
              "Volver a girar",
              "Clip",
              "Reproducir %s",
              "Reproducir %s, de %s",
              "Pausa",
              "Controles",
              "Punto del clip",
              "Quitar el sonido",
              "Poner el sonido",
              "Volumen",
              "Subtítulos",
              "Sin subtítulos",
              "Velocidad",
              "Imagen en imagen",
              "Pantalla completa",
              "Salir de pantalla completa",
              "%s: aquí aún no hay ningún clip"),
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
              "أعد القلب",
              "مقطع",
              "شغّل %s",
              "شغّل %s من %s",
              "إيقاف مؤقت",
              "عناصر التحكم",
              "الموضع في المقطع",
              "كتم الصوت",
              "إعادة الصوت",
              "مستوى الصوت",
              "الترجمة",
              "بلا ترجمة",
              "السرعة",
              "صورة داخل صورة",
              "ملء الشاشة",
              "إنهاء ملء الشاشة",
              "%s: لا مقطع هنا بعد"));

  private final List<String> words;

  private Labels(List<String> words) {
    this.words = words;
  }

  /** The words for a language tag (BCP 47). */
  static Labels in(String language) {
    String code = Locale.forLanguageTag(language).getLanguage();
    return new Labels(Objects.requireNonNull(WORDS.get(WORDS.containsKey(code) ? code : "en")));
  }

  private String said(Word word, Object... more) {
    return String.format(Locale.ROOT, word(word), more);
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
    return said(Word.GO_TO, place);
  }

  String of(int item, int all) {
    return said(Word.OF, item, all);
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
    return said(Word.TURN_OVER, heading).strip();
  }

  String turnBack() {
    return word(Word.TURN_BACK);
  }

  /** What a clip without a name is called. */
  String clip() {
    return word(Word.CLIP);
  }

  /** What the button that starts a clip does. */
  String play(String called) {
    return said(Word.PLAY, called).strip();
  }

  /** The same for a clip of a host. */
  String playAt(String called, String host) {
    return said(Word.PLAY_AT, called, host);
  }

  String pause() {
    return word(Word.PAUSE);
  }

  String controls() {
    return word(Word.CONTROLS);
  }

  String place() {
    return word(Word.PLACE);
  }

  String mute() {
    return word(Word.MUTE);
  }

  String unmute() {
    return word(Word.UNMUTE);
  }

  String volume() {
    return word(Word.VOLUME);
  }

  String captions() {
    return word(Word.CAPTIONS);
  }

  String captionsOff() {
    return word(Word.CAPTIONS_OFF);
  }

  String speed() {
    return word(Word.SPEED);
  }

  String window() {
    return word(Word.WINDOW);
  }

  String screen() {
    return word(Word.SCREEN);
  }

  String screenBack() {
    return word(Word.SCREEN_BACK);
  }

  String noClip(String called) {
    return said(Word.NO_CLIP, called);
  }
}
