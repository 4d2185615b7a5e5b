package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.look.Values;
import giostra.core.media.ClipHost;
import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.video.Video;
import giostra.core.piece.video.VideoSettings;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.value.Focus;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/** What is published of clips. Sources: HTML, "The video element", "The track element". */
class VideoOutputTest {
  private static final Shipped.Media MEDIA =
      new Shipped.Media() {
        @Override
        public Optional<Shipped.Picture> find(String id) {
          return id.equals("poster")
              ? Optional.of(
                  new Shipped.Picture(
                      id,
                      "media/poster.jpg",
                      "image/jpeg",
                      1600,
                      900,
                      "",
                      new Focus(30, 20),
                      List.of(
                          new Shipped.Rendition(640, "media/poster-640.webp"),
                          new Shipped.Rendition(1280, "media/poster-1280.webp"))))
              : Optional.empty();
        }

        @Override
        public Optional<Shipped.Clip> clip(String id) {
          String type =
              id.equals("mp4")
                  ? "video/mp4; codecs=\"avc1.64001F, mp4a.40.2\""
                  : "video/webm; codecs=\"vp9, opus\"";
          return id.isEmpty()
              ? Optional.empty()
              : Optional.of(new Shipped.Clip(id, "media/bloom." + id, type, 960, 400, 83_000));
        }

        @Override
        public Optional<Shipped.CaptionFile> captions(String id) {
          return id.isEmpty()
              ? Optional.empty()
              : Optional.of(
                  new Shipped.CaptionFile(
                      id,
                      "media/" + id + ".vtt",
                      "WEBVTT\n\n00:01.000 --> 00:02.500\nSay \"dusk\"\nnow.\n"));
        }
      };

  private static final ClipHost HOST =
      new ClipHost(
          "Falena",
          List.of("https://falena.example/watch/{id}"),
          "https://falena.example/embed/{id}?autoplay=1",
          "start",
          "");

  private static Document document(Values piece, Values item) {
    var video = new Video("film", piece, List.of(new Item("one", item)));
    return new Document(
        new Site(giostra.core.band.Bands.INITIAL, Values.NONE),
        new Page("page", Values.NONE, List.of(new Section("s", Values.NONE, List.of(video)))));
  }

  private static Compiled compiled(Values piece, Values item) {
    Shipped plain = Shipped.scriptsOnly();
    return Compiler.compile(
        document(piece, item),
        new Shipped(
            plain.scripts(), List.of(), MEDIA, _ -> Optional.of("<path/>"), List.of(HOST), ""));
  }

  private static Element page(Values piece, Values item) {
    return Jsoup.parse(compiled(piece, item).html()).body();
  }

  private static final Values OWN =
      Values.NONE
          .with(ClipSettings.CLIP, Values.ALL, "mp4")
          .with(ClipSettings.CLIP_2, Values.ALL, "webm")
          .with(ItemSettings.PICTURE, Values.ALL, "poster")
          .with(ItemSettings.HEADING, Values.ALL, "A bloom");

  private static Values hosted(String address) {
    return Values.NONE
        .with(ClipSettings.FROM, Values.ALL, From.HOST)
        .with(ClipSettings.ADDRESS, Values.ALL, address);
  }

  private static Element first(Element in, String selector) {
    return Objects.requireNonNull(in.selectFirst(selector));
  }

  @Test
  void bothFormatsAreOfferedWithTheirCodecsTheSmallerFirst() {
    Element page = page(Values.NONE, OWN);
    assertThat(page.select("video > source").eachAttr("type"))
        .containsExactly(
            "video/webm; codecs=\"vp9, opus\"", "video/mp4; codecs=\"avc1.64001F, mp4a.40.2\"");
    Element video = first(page, "video");
    assertThat(video.hasAttr("controls")).as("without script").isTrue();
    assertThat(video.hasAttr("autoplay")).isFalse();
    assertThat(video.attr("preload")).isEqualTo("none");
    // The measure is 1120 px wide.
    assertThat(video.attr("poster")).isEqualTo("media/poster-1280.webp");
    assertThat(first(page, ".g-start").text()).isEqualTo("Play A bloom (1:23)");
    assertThat(compiled(Values.NONE, OWN).pictures())
        .contains("media/bloom.mp4", "media/bloom.webm", "media/poster-1280.webp");
  }

  @Test
  void thePlaceHasTheShapeOfTheClipAndThePosterItsFocalPoint() {
    String css = compiled(Values.NONE, OWN).css();
    assertThat(css).contains("aspect-ratio:960/400", "object-position:30% 20%");
    Values square = Values.NONE.with(VideoSettings.RATIO, "desktop", VideoSettings.Ratio.SQUARE);
    assertThat(compiled(square, OWN).css()).contains("aspect-ratio:1/1");
  }

  @Test
  void captionsStandAsTracksAndAsWordsForPagesFromDisk() {
    Element page =
        page(
            Values.NONE,
            OWN.with(ClipSettings.CAPTIONS.get(0).file(), Values.ALL, "en")
                .with(ClipSettings.CAPTIONS.get(1).file(), Values.ALL, "de")
                .with(ClipSettings.CAPTIONS.get(1).language(), Values.ALL, "de"));
    assertThat(page.select("track").eachAttr("srclang")).containsExactly("en", "de");
    assertThat(page.select("track").eachAttr("label")).containsExactly("English", "Deutsch");
    // A default one would be fetched before anybody starts the clip.
    assertThat(page.select("track[default]")).isEmpty();
    assertThat(first(page, "video").attr("data-cues"))
        .isEqualTo(
            "[[[1,2.5,\"Say \\\"dusk\\\"\\u000anow.\"]],[[1,2.5,\"Say \\\"dusk\\\"\\u000anow.\"]]]");
    assertThat(page.select(".g-captions option").eachText())
        .containsExactly("English", "Deutsch", "No captions");
  }

  @Test
  void aStretchIsWrittenForBrowsersWithoutScriptToo() {
    Values part =
        OWN.with(ClipSettings.START, Values.ALL, 2.0).with(ClipSettings.END, Values.ALL, 7.5);
    assertThat(first(page(Values.NONE, part), "source").attr("src"))
        .isEqualTo("media/bloom.webm#t=2,7.5");
  }

  @Test
  void nothingOfAHostIsAskedForBeforeItsClipIsStarted() {
    Values item = hosted("https://falena.example/watch/moths?t=5");
    Element page = page(Values.NONE, item);
    assertThat(page.select("iframe, video")).isEmpty();
    Element start = first(page, "a.g-start");
    assertThat(start.attr("href")).isEqualTo("https://falena.example/watch/moths");
    assertThat(start.attr("data-player"))
        .isEqualTo("https://falena.example/embed/moths?autoplay=1&start=5");
    assertThat(compiled(Values.NONE, item).origins().frames())
        .containsExactly("https://falena.example");
  }

  @Test
  void aPlaceWithoutAClipSaysSo() {
    assertThat(first(page(Values.NONE, Values.NONE), ".g-empty").text())
        .isEqualTo("Clip: there is no clip here yet");
    assertThat(first(page(Values.NONE, hosted("https://nobody.example/x")), ".g-empty").text())
        .isNotEmpty();
  }

  @Test
  void aFileElsewhereIsNamedInThePolicy() {
    Values item =
        Values.NONE
            .with(ClipSettings.FROM, Values.ALL, From.ADDRESS)
            .with(ClipSettings.ADDRESS, Values.ALL, "https://files.example/a.mp4?x=1");
    assertThat(compiled(Values.NONE, item).origins().media())
        .containsExactly("https://files.example");
    assertThat(first(page(Values.NONE, item), "source").attr("type")).isEqualTo("video/mp4");
  }

  @Test
  void controlsThatAreSwitchedOffAreNotWritten() {
    Values two =
        Values.NONE.with(
            VideoSettings.CONTROLS, Values.ALL, List.of(VideoSettings.PLAY, VideoSettings.TIME));
    Element bar = first(page(two, OWN), ".g-controls");
    assertThat(bar.children().eachAttr("class")).containsExactly("g-play", "g-time");
    Values none = Values.NONE.with(VideoSettings.CONTROLS, Values.ALL, List.of());
    assertThat(page(none, OWN).select(".g-controls")).isEmpty();
  }

  @Test
  void whatAClipLacksIsAFinding() {
    Document document =
        document(Values.NONE, Values.NONE.with(ClipSettings.CLIP, Values.ALL, "mp4"));
    assertThat(Snags.of(document, _ -> Optional.empty(), 0))
        .filteredOn(snag -> snag.rule() == Rule.CLIP)
        .extracting(Snag::message)
        .satisfiesExactly(
            poster -> assertThat(poster).contains("no poster"),
            format -> assertThat(format).contains("one format"),
            captions -> assertThat(captions).contains("no captions"));
  }

  @Test
  void whySoundHasNoEffectIsSaidBesideIt() {
    Values loud =
        Values.NONE
            .with(VideoSettings.AUTOPLAY, Values.ALL, true)
            .with(VideoSettings.MUTED, Values.ALL, true);
    Document document = document(loud, OWN);
    assertThat(Snags.of(Rule.NO_EFFECT, document, document.piece("film"), 0))
        .extracting(snag -> snag.place().value())
        .contains("muted");
    assertThat(first(page(loud, OWN), "video").hasAttr("muted")).isTrue();
  }

  private static Compiled withMedia(Document document, Shipped.Media media) {
    Shipped plain = Shipped.scriptsOnly();
    return Compiler.compile(
        document,
        new Shipped(
            plain.scripts(), List.of(), media, _ -> Optional.of("<path/>"), List.of(HOST), ""));
  }

  @Test
  void aPictureElsewhereKeepsItsPlaceAndIsLetIn() {
    String address = "https://pictures.example:8443/a%20b.jpg?w=\"1\"";
    Shipped.Media media =
        id ->
            id.isEmpty()
                ? Optional.empty()
                : Optional.of(Shipped.Picture.remote(id, address, "A lamp", Focus.CENTER));
    var poster =
        document(
            Values.NONE,
            hosted("https://falena.example/watch/x1")
                .with(ItemSettings.PICTURE, Values.ALL, "far"));
    Compiled compiled = withMedia(poster, media);
    Element image = Objects.requireNonNull(Jsoup.parse(compiled.html()).selectFirst("img"));
    assertThat(image.attr("src")).isEqualTo(address);
    assertThat(image.hasAttr("width") || image.hasAttr("srcset")).isFalse();
    assertThat(image.hasAttr("data-remote")).isTrue();
    assertThat(compiled.origins().images()).containsExactly("https://pictures.example:8443");
    assertThat(compiled.pictures()).isEmpty();
    assertThat(compiled.missing()).isEmpty();
    var unknown = giostra.core.layout.PictureSizes.Size.UNKNOWN;
    assertThat(Snags.of(poster, poster.pieces().getFirst(), _ -> Optional.of(unknown), 0))
        .filteredOn(each -> each.rule() == Rule.UNKNOWN_PICTURE)
        .singleElement()
        .satisfies(each -> assertThat(each.message()).contains("pixels are unknown"));
  }

  @Test
  void anOwnSpriteTakesThePlaceOfIconsThatShip() {
    var sprite =
        giostra.core.media.IconSprite.read(
            "<svg><symbol id=\"play\" viewBox=\"0 0 10 10\"><path d=\"M1 1h8v8z\"/></symbol></svg>");
    Shipped.Media media =
        new Shipped.Media() {
          @Override
          public Optional<Shipped.Picture> find(String id) {
            return MEDIA.find(id);
          }

          @Override
          public Optional<Shipped.Clip> clip(String id) {
            return MEDIA.clip(id);
          }

          @Override
          public Optional<giostra.core.media.IconSprite> sprite(String id) {
            return id.equals("ours") ? Optional.of(sprite) : Optional.empty();
          }
        };
    Document plain = document(Values.NONE, OWN);
    Document own =
        plain.changed(
            Site.ID,
            site ->
                site.with(
                    Values.NONE.with(giostra.core.page.SiteSettings.ICONS, Values.ALL, "ours")));
    String html = withMedia(own, media).html();
    assertThat(html)
        .contains("<symbol id=\"g-i-play\" viewBox=\"0 0 10 10\"><path d=\"M1 1h8v8z\" /></symbol>")
        .contains("<symbol id=\"g-i-pause\" viewBox=\"0 0 24 24\">");
    assertThat(withMedia(plain, media).html()).doesNotContain("0 0 10 10");
  }
}
