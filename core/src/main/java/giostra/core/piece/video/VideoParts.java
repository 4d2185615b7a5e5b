package giostra.core.piece.video;

import static giostra.core.anatomy.Initially.own;
import static giostra.core.anatomy.Initially.px;

import giostra.core.anatomy.Initially;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.AroundKind;
import giostra.core.value.Family;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.Kind;
import giostra.core.value.Length;
import giostra.core.value.LettersKind;
import giostra.core.value.MovedKind;
import giostra.core.value.Nudge;
import giostra.core.value.PaintKind;
import giostra.core.value.PictureKind;
import giostra.core.value.SizeKind;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.UnderKind;
import java.util.List;

/** Parts of a player and of what stands by it: light signs on dark glass. */
public final class VideoParts {
  private static final String LIGHT = "#fffdf6";

  public static final Part START_BUTTON =
      signed(
              part(
                  Part.of(
                      "video.start-button",
                      "Start button",
                      State.FOCUS,
                      State.HOVER,
                      State.PRESSED),
                  new SizeKind(24, 200, false),
                  px(76),
                  px(20),
                  Length.percent(50),
                  own(LIGHT),
                  "#11201dd1",
                  px(2),
                  own("#fffdf6b3")),
              new Nudge(1.9, 0))
          .in(State.HOVER, Property.GROUND, Ground.parse("#11201d"))
          .in(State.PRESSED, Property.GROUND, Ground.parse("#0a1412"))
          .in(State.HOVER, Property.BORDER_INK, own(LIGHT))
          .in(State.PRESSED, Property.BORDER_INK, own(LIGHT));

  public static final Part BAR =
      part(
          Part.of("video.bar", "Bar", State.HOVER),
          new SizeKind(24, 200, false),
          px(62),
          px(6),
          px(0),
          own(LIGHT),
          "linear-gradient(180deg,#0a141200,#0a1412db 45%)",
          px(0),
          own(LIGHT));

  public static final Part BAR_BUTTON =
      signed(
              part(
                  Part.of(
                      "video.bar-button",
                      "Bar button",
                      State.CURRENT,
                      State.FOCUS,
                      State.HOVER,
                      State.PRESSED),
                  new SizeKind(24, 96, false),
                  px(36),
                  px(8),
                  px(6),
                  own(LIGHT),
                  "transparent",
                  px(0),
                  own(LIGHT)),
              Nudge.NONE)
          .in(State.HOVER, Property.GROUND, Ground.parse("#fffdf629"))
          .in(State.PRESSED, Property.GROUND, Ground.parse("#fffdf647"));

  public static final Part TRACK =
      part(
          Part.of("video.track", "Track", State.FOCUS, State.HOVER),
          new SizeKind(1, 24, false),
          px(4),
          px(6),
          px(2),
          own("#f0c261"),
          "#fffdf659",
          px(0),
          own(LIGHT));

  public static final Part TIME =
      part(
          Part.of("video.time", "Time"),
          new SizeKind(10, 40, false),
          px(14),
          px(6),
          px(0),
          own(LIGHT),
          "transparent",
          px(0),
          own(LIGHT));

  /** The place of a clip while it has no poster, or none that is there. */
  public static final Part PLACE =
      Initially.corners(
          Initially.ground(
              Part.of("video.place", "Place of a clip"), Initially.plain(ToneColour.LINE)),
          Initially.px(14));

  /** What is beside a clip that has another shape than its place. */
  public static final Part BESIDE =
      Initially.ground(Part.of("video.beside", "Beside the clip"), Initially.plain(own("#000000")));

  /** What stands in the bar, side by side. */
  public static final Part CONTROLS = Initially.gap(Part.of("video.controls", "Controls"), px(2));

  /** What tells that there is no clip. */
  public static final Part EMPTY =
      Initially.ink(
          Initially.padded(
              Part.of("video.empty", "Place without a clip"),
              Initially.rem(1),
              Initially.rem(1),
              Initially.rem(1)),
          ToneColour.QUIET);

  /** What darkens the poster under the pointer. */
  public static final Part SHADE =
      Initially.ground(
          Part.of("video.poster-shade", "Shade of the poster"), Initially.plain(own("#0a1412")));

  /** Speed and captions in the bar. */
  public static final Part CHOICE =
      Part.of("video.choice", "Choice in the bar")
          .with(Property.TEXT_SIZE, new LettersKind(8, 40), TypeSize.of(Initially.rem(0.875)));

  public static final Part OPTION =
      Initially.ground(Part.of("video.option", "Option of a choice"), Initially.plain(own(LIGHT)))
          .with(Property.INK, new PaintKind(), own("#1c2b27"));

  /** The time under the pointer. */
  public static final Part HINT =
      Initially.ground(
              Initially.corners(
                  Initially.padded(
                      Part.of("video.hint", "Time under the pointer"), px(2), px(8), px(2)),
                  px(4)),
              Initially.plain(own("#11201d")))
          .with(Property.INK, new PaintKind(), own(LIGHT))
          .with(Property.TEXT_SIZE, new LettersKind(8, 40), TypeSize.of(Initially.rem(0.8125)));

  public static final Part FIGURE =
      Initially.gap(Part.of("video.figure", "Clip and words"), Initially.rem(0.75));

  public static final Part WORDS =
      Initially.gap(Part.of("video.words", "Words"), Initially.rem(0.6));

  public static final Part HEADING =
      Initially.words(
          Part.of("video.heading", "Heading"),
          TypeStyle.SUBHEADING,
          Family.DISPLAY,
          500,
          Initially.rem(1.125),
          1.15,
          ToneColour.INK);

  /** The parts of the player itself, which all properties are of. */
  public static final List<Part> PLAYER = List.of(START_BUTTON, BAR, BAR_BUTTON, TRACK, TIME);

  public static final List<Part> ALL =
      List.of(
          START_BUTTON,
          BAR,
          BAR_BUTTON,
          TRACK,
          TIME,
          CONTROLS,
          CHOICE,
          OPTION,
          HINT,
          PLACE,
          BESIDE,
          SHADE,
          EMPTY,
          FIGURE,
          WORDS,
          HEADING);

  private VideoParts() {}

  private static Part part(
      Part part,
      Kind<Length> sizes,
      Length size,
      Length padding,
      Length corners,
      Ink ink,
      String ground,
      Length border,
      Ink borderInk) {
    return part.with(Property.SIZE, sizes, size)
        .with(Property.PADDING, new SizeKind(0, 60, false), padding)
        .with(
            Property.CORNERS,
            new AroundKind(AroundKind.Of.CORNERS, new SizeKind(0, 200)),
            Around.all(corners))
        .with(Property.INK, "Colour", new PaintKind(), ink)
        .with(Property.GROUND, new UnderKind(), Ground.parse(ground))
        .with(Property.PICTURE, new PictureKind(), "")
        .with(Property.BORDER, Initially.ONE_LINE, Around.all(border))
        .with(Property.BORDER_INK, new PaintKind(), borderInk);
  }

  private static Part signed(Part part, Nudge nudge) {
    return part.with(Property.NUDGE, new MovedKind(), nudge);
  }
}
