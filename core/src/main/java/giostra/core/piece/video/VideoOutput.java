package giostra.core.piece.video;

import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.media.Captions;
import giostra.core.media.ClipHost;
import giostra.core.output.Attributes;
import giostra.core.output.GridOutput;
import giostra.core.output.Html;
import giostra.core.output.Pictures;
import giostra.core.output.Plan;
import giostra.core.output.PlanJson;
import giostra.core.output.Shipped;
import giostra.core.output.Writing;
import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PieceSettings;
import giostra.core.value.Focus;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import giostra.core.words.Labels;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Writes a video piece. Without script a clip has the browser's own controls, and a hosted one is a
 * link to its page; the script puts the bar and the start button, which stand here already, in
 * their place. Nothing is asked of a host before somebody starts its clip.
 */
final class VideoOutput {
  /** Icons that players show: what a sprite of one's own is asked for. */
  static final List<String> ICONS =
      List.of(
          "play", "pause", "volume-2", "volume-x", "picture-in-picture-2", "maximize", "minimize");

  private final Writing writing;
  private final Video piece;
  private final Html out;
  private final Labels labels;

  VideoOutput(Writing writing, Video piece) {
    this.writing = writing;
    this.piece = piece;
    this.out = writing.out();
    this.labels = writing.labels();
  }

  void html() {
    String name = piece.values().get(PieceSettings.NAME);
    writing.root(piece, "video", plan(), "role", name.isEmpty() ? "" : "group", "aria-label", name);
    out.open("div", "class", "g-grid");
    piece.onShow().forEach(this::clip);
    out.close("div").close("div");
  }

  private Plan plan() {
    Values v = piece.values();
    return new Plan.Clips(
        v.get(VideoSettings.AUTOPLAY), v.get(VideoSettings.MUTED), v.get(VideoSettings.LOOP));
  }

  private boolean has(String control) {
    return piece.values().get(VideoSettings.CONTROLS).contains(control);
  }

  /** What a clip is called where it cannot be seen. */
  private String called(Item item) {
    String heading = Fields.shown(piece, item, ItemSettings.HEADING);
    String name = piece.values().get(PieceSettings.NAME);
    return heading.isEmpty() ? name.isEmpty() ? labels.clip() : name : heading;
  }

  private void clip(Item item) {
    out.open("figure", Attributes.with(writing.item(item, "g-clip"), Writing.off(item)));
    Optional<Shipped.Picture> poster =
        Fields.off(piece, "picture")
            ? Optional.empty()
            : writing.pictures().find(item.values().get(ItemSettings.PICTURE));
    out.open("div", "class", poster.isPresent() ? "g-place" : "g-place g-no-poster");
    if (item.values().get(ClipSettings.FROM) == From.HOST) {
      hosted(item, poster);
    } else {
      own(item, poster);
    }
    out.close("div");
    words(item);
    out.close("figure");
    poster.ifPresent(picture -> focus(item, picture));
  }

  private void focus(Item item, Shipped.Picture poster) {
    Focus focus = Writing.focus(item, ItemSettings.FOCUS, poster);
    if (!focus.equals(Focus.CENTER)) {
      writing
          .css()
          .put("[data-item=" + item.id() + "] .g-place>*", "object-position", _ -> focus.css());
    }
  }

  private void words(Item item) {
    boolean some =
        !Fields.shown(piece, item, ItemSettings.HEADING).isEmpty()
            || !Fields.shown(piece, item, ItemSettings.TEXT).isBlank();
    if (some) {
      out.open("figcaption", "class", "g-of-clip");
      writing.copy(piece, item, writing.outline().items(piece), false);
      out.close("figcaption");
    }
  }

  // --- files -----------------------------------------------------------------------------------

  /** A file that a browser may play. */
  private record Playable(String address, String type, long durationMs) {}

  private List<Playable> files(Item item) {
    var all = new ArrayList<Playable>();
    if (item.values().get(ClipSettings.FROM) == From.OWN) {
      writing
          .formats(item, ClipSettings.CLIP, ClipSettings.CLIP_2)
          .forEach(clip -> all.add(new Playable(clip.path(), clip.type(), clip.durationMs())));
      return all;
    }
    for (Setting<String> each : List.of(ClipSettings.ADDRESS, ClipSettings.ADDRESS_2)) {
      String address = item.values().get(each);
      if (!address.isEmpty()) {
        all.add(new Playable(address, typed(address), 0));
        writing.origins().media(address);
      }
    }
    return all;
  }

  /** What the ending of an address promises; the bytes are not known. */
  private static String typed(String address) {
    String path = address.replaceAll("[?#].*", "").toLowerCase(Locale.ROOT);
    return path.endsWith(".webm") ? "video/webm" : path.endsWith(".mp4") ? "video/mp4" : "";
  }

  private void own(Item item, Optional<Shipped.Picture> poster) {
    List<Playable> files = files(item);
    if (files.isEmpty()) {
      nothing(item);
      return;
    }
    Values v = piece.values();
    String from = from(item);
    out.open(
        "video",
        "class",
        "g-media",
        "controls",
        "controls",
        "playsinline",
        "playsinline",
        "preload",
        "none",
        "muted",
        v.get(VideoSettings.MUTED) || v.get(VideoSettings.AUTOPLAY) ? "muted" : "",
        "loop",
        v.get(VideoSettings.LOOP) ? "loop" : "",
        "poster",
        poster
            .map(picture ->
                writing
                    .pictures()
                    .one(
                        writing.there(item),
                        picture,
                        w -> w.item(piece, item, Pictures.size(picture))))
            .orElse(""),
        "aria-label",
        called(item),
        "data-start",
        number(item.values().get(ClipSettings.START)),
        "data-end",
        number(item.values().get(ClipSettings.END)),
        "data-cues",
        cues(item));
    for (Playable file : files) {
      out.open("source", "src", file.address() + from, "type", file.type());
    }
    captions(item);
    out.open("a", "href", files.getFirst().address()).text(called(item)).close("a");
    out.close("video");
    start(item, files.getFirst().durationMs());
    bar(item, files.getFirst().durationMs());
  }

  private static String number(double value) {
    return value == 0 ? "" : Require.number(value);
  }

  /** The stretch that plays, for browsers without script. Source: Media Fragments URI 1.0. */
  private static String from(Item item) {
    double start = item.values().get(ClipSettings.START);
    double end = item.values().get(ClipSettings.END);
    return start == 0 && end == 0
        ? ""
        : "#t=" + Require.number(start) + (end > start ? "," + Require.number(end) : "");
  }

  /** A place without a clip says so, and stays as large as it will be. */
  private void nothing(Item item) {
    out.open("p", "class", "g-empty").text(labels.noClip(called(item))).close("p");
  }

  private void captions(Item item) {
    for (ClipSettings.Captions each : ClipSettings.CAPTIONS) {
      Optional<Shipped.CaptionFile> file =
          writing.pictures().captions(item.values().get(each.file()));
      if (file.isPresent()) {
        String language = item.values().get(each.language());
        out.open(
            "track",
            "kind",
            "captions",
            "src",
            file.get().path(),
            "srclang",
            language,
            "label",
            named(language));
      }
    }
  }

  private static String named(String language) {
    Locale locale = Locale.forLanguageTag(language);
    String name = locale.getDisplayLanguage(locale);
    return name.isEmpty() ? language : name.substring(0, 1).toUpperCase(locale) + name.substring(1);
  }

  /**
   * The words of the captions, for pages opened from disk, where browsers read no caption files.
   * They stand in the order of the tracks.
   */
  private String cues(Item item) {
    List<List<Plan.Cue>> all =
        ClipSettings.CAPTIONS.stream()
            .flatMap(each ->
                writing.pictures().captions(item.values().get(each.file())).stream()
                    .map(file ->
                        Captions.read(file.text()).cues().stream().map(VideoOutput::cue).toList()))
            .toList();
    return all.isEmpty() ? "" : PlanJson.write(all);
  }

  private static Plan.Cue cue(Captions.Cue cue) {
    return new Plan.Cue(cue.startMs() / 1000.0, cue.endMs() / 1000.0, cue.text());
  }

  // --- hosts -----------------------------------------------------------------------------------

  private void hosted(Item item, Optional<Shipped.Picture> poster) {
    Optional<ClipHost.Share> found =
        ClipHost.find(writing.hosts(), item.values().get(ClipSettings.ADDRESS));
    if (found.isEmpty()) {
      nothing(item);
      return;
    }
    ClipHost.Share share = found.get();
    double own = item.values().get(ClipSettings.START);
    writing.origins().frame(share.origin());
    poster.ifPresent(picture ->
        writing.image(
            writing.there(item),
            picture,
            "",
            w -> w.item(piece, item, Pictures.size(picture)),
            "class",
            "g-media",
            "loading",
            "lazy"));
    out.open(
        "a",
        "class",
        "g-start",
        "href",
        share.page(),
        "data-player",
        share.player(own > 0 ? own : share.start()),
        "data-called",
        called(item));
    sign();
    out.element("span", labels.playAt(called(item), share.host().name()), "class", "g-sr");
    out.close("a");
  }

  // --- the player ------------------------------------------------------------------------------

  private void sign() {
    if (piece.values().get(VideoSettings.START_BUTTON)) {
      out.open("span", "class", "g-start-sign");
      writing.icons().write(out, "play", false, "");
      out.close("span");
    }
  }

  private void start(Item item, long durationMs) {
    out.open("button", "type", "button", "class", "g-start", "hidden", "hidden");
    sign();
    String length = durationMs > 0 ? " (" + clock(durationMs) + ")" : "";
    out.element("span", labels.play(called(item)) + length, "class", "g-sr");
    out.close("button");
  }

  private static String clock(long ms) {
    long seconds = Math.round(ms / 1000.0);
    return String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
  }

  private void bar(Item item, long durationMs) {
    if (piece.values().get(VideoSettings.CONTROLS).isEmpty()) {
      return;
    }
    out.open(
        "div",
        "class",
        "g-controls",
        "role",
        "group",
        "aria-label",
        labels.controls(),
        "hidden",
        "hidden");
    if (has(VideoSettings.PLAY)) {
      press("g-play", labels.play(""), labels.pause(), "play", "pause");
    }
    if (has(VideoSettings.SCRUB)) {
      out.open("span", "class", "g-scrub");
      out.open(
          "input",
          "type",
          "range",
          "min",
          "0",
          "max",
          Require.number(Math.max(1, durationMs) / 1000.0),
          "step",
          "0.1",
          "value",
          "0",
          "aria-label",
          labels.place());
      out.raw("<output hidden></output>").close("span");
    }
    if (has(VideoSettings.TIME)) {
      out.element(
          "span", "0:00" + (durationMs > 0 ? " / " + clock(durationMs) : ""), "class", "g-time");
    }
    if (has(VideoSettings.VOLUME)) {
      press("g-mute", labels.mute(), labels.unmute(), "volume-2", "volume-x");
      out.open(
          "input",
          "class",
          "g-volume",
          "type",
          "range",
          "min",
          "0",
          "max",
          "1",
          "step",
          "0.05",
          "value",
          "1",
          "aria-label",
          labels.volume());
    }
    if (has(VideoSettings.CAPTIONS)) {
      captionChoice(item);
    }
    if (has(VideoSettings.SPEED)) {
      out.open("select", "class", "g-speed", "aria-label", labels.speed());
      for (String rate : List.of("0.5", "0.75", "1", "1.25", "1.5", "2")) {
        out.open("option", "value", rate, "selected", rate.equals("1") ? "selected" : "")
            .text(rate + "×")
            .close("option");
      }
      out.close("select");
    }
    if (has(VideoSettings.WINDOW)) {
      press("g-window", labels.window(), "", "picture-in-picture-2", "");
    }
    if (has(VideoSettings.SCREEN)) {
      press("g-screen", labels.screen(), labels.screenBack(), "maximize", "minimize");
    }
    out.close("div");
  }

  private void captionChoice(Item item) {
    List<String> languages =
        ClipSettings.CAPTIONS.stream()
            .filter(each -> writing.pictures().captions(item.values().get(each.file())).isPresent())
            .map(each -> item.values().get(each.language()))
            .toList();
    if (languages.isEmpty()) {
      return;
    }
    out.open("select", "class", "g-captions", "aria-label", labels.captions());
    for (int i = 0; i < languages.size(); i++) {
      out.open("option", "value", Integer.toString(i))
          .text(named(languages.get(i)))
          .close("option");
    }
    out.open("option", "value", "").text(labels.captionsOff()).close("option").close("select");
  }

  private void press(String classes, String name, String on, String icon, String iconOn) {
    writing.press(classes, name, on, icon, iconOn);
  }

  void css() {
    String id = "#g-" + piece.id();
    writing.frame(piece);
    new GridOutput(writing, piece).css("flex");
    int darken = piece.values().get(VideoSettings.DARKEN);
    writing.css().put(id, "--g-darken", _ -> darken + "%");
    PictureSizes sizes = writing.pictures().sizes();
    for (Item item : piece.onShow()) {
      writing.put(
          id + " [data-item=" + item.id() + "]>.g-place",
          "aspect-ratio",
          piece,
          VideoSettings.RATIO,
          ratio -> ClipShape.of(item, ratio, sizes).css());
    }
  }
}
