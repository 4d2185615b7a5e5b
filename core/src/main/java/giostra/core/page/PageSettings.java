package giostra.core.page;

import giostra.core.value.LanguageKind;
import giostra.core.value.PickKind;
import giostra.core.value.PictureKind;
import giostra.core.value.Setting;
import giostra.core.value.Step;
import giostra.core.value.TokenKind;
import giostra.core.value.WholeKind;
import giostra.core.value.WordsKind;
import java.util.List;
import java.util.stream.Stream;

/** The head of a page. Source of what each is for: HTML, "The document element" and "Metadata". */
public final class PageSettings {
  /** The direction in which a page is read. */
  public enum Direction {
    LTR,
    RTL
  }

  public static final Setting<String> TITLE =
      Setting.once("title", "Title", new WordsKind(200, false), "");
  public static final Setting<String> LANGUAGE =
      Setting.once("language", "Language", new LanguageKind(), "en");
  public static final Setting<Direction> DIRECTION =
      Setting.once("direction", "Direction", new PickKind<>(Direction.class), Direction.LTR);
  public static final Setting<String> DESCRIPTION =
      Setting.once("description", "Description", new WordsKind(400, false), "");
  public static final Setting<String> ICON = Setting.once("icon", "Icon", new PictureKind(), "");

  /** What others find it by, and what its picture is fetched from when it is shared. */
  public static final Setting<String> ADDRESS =
      Setting.once(
          "address",
          "Address where it is live",
          new TokenKind(
              "https?://[a-zA-Z0-9.-]{1,253}(:[0-9]{1,5})?"
                  + "(/(%[0-9a-fA-F]{2}|[a-zA-Z0-9._~!$&'()*+,;=:@/-]){0,500})?",
              "a whole address such as https://velluta.example/evenings/"),
          "");

  public static final Setting<String> SHARE_PICTURE =
      Setting.once("sharePicture", "Picture when shared", new PictureKind(), "");

  /** A picture that the page is held against at work; visitors never see it. */
  public static final Setting<String> TRACE =
      Setting.byBand("trace", "Trace", new PictureKind(), "").in(Step.DRESS);

  /** Px that it is drawn wide. */
  public static final Setting<Integer> TRACE_WIDE =
      Setting.byBand("traceWide", "Width of the trace", new WholeKind(20, 4096), 1280)
          .in(Step.DRESS);

  /** Px from the left end of the page and from its top to the picture. */
  public static final Setting<Integer> TRACE_LEFT =
      Setting.byBand("traceLeft", "Trace from the left", new WholeKind(-4096, 4096), 0)
          .in(Step.DRESS);

  public static final Setting<Integer> TRACE_TOP =
      Setting.byBand("traceTop", "Trace from the top", new WholeKind(-4096, 100_000), 0)
          .in(Step.DRESS);

  static final List<Setting<?>> ALL =
      Stream.of(
              List.of(
                  TITLE,
                  LANGUAGE,
                  DIRECTION,
                  DESCRIPTION,
                  ICON,
                  SHARE_PICTURE,
                  ADDRESS,
                  ProofSettings.OWN_CSS),
              CodeSettings.ALL,
              List.of(TRACE, TRACE_WIDE, TRACE_LEFT, TRACE_TOP))
          .<Setting<?>>flatMap(List::stream)
          .toList();

  private PageSettings() {}
}
