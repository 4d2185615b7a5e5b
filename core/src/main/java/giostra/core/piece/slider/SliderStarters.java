package giostra.core.piece.slider;

import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.DriveSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.SectionSettings;
import giostra.core.page.Starters;
import giostra.core.page.Starters.Starter;
import giostra.core.page.Starters.Told;
import giostra.core.page.TrackSettings;
import giostra.core.value.Around;
import giostra.core.value.Change;
import giostra.core.value.Change.Manner;
import giostra.core.value.Changes;
import giostra.core.value.Ends;
import giostra.core.value.Ground;
import giostra.core.value.Height;
import giostra.core.value.Length;
import java.util.List;

/** Sliders to start with. */
final class SliderStarters {
  private static final StyleKey OVERLAY =
      SliderParts.SLIDE_OVERLAY.key(Property.GROUND, State.REST);

  /** Words stand at the start of a wide slide. */
  private static final String WIDE_OVERLAY =
      "linear-gradient(90deg,#0a1412cc 0%,#0a1412b8 62%,#0a14123d 100%)";

  private static final String NARROW_OVERLAY =
      "linear-gradient(180deg,#0a1412ad 0%,#0a1412cc 100%)";

  private static final List<Told> OPENINGS =
      List.of(
          new Told(
              Starters.HARBOUR,
              "From Monday",
              "The harbour wakes at five",
              "Fish, bread and the first ferry: come before the gulls have finished.",
              "See the mornings"),
          new Told(
              Starters.LIGHTHOUSE,
              "All winter",
              "A light for those who come late",
              "The tower is open until ten, with tea on every landing.",
              "Climb the tower"),
          new Told(
              Starters.BALLOONS,
              "In September",
              "Up before breakfast",
              "Five balloons, one field, and nobody in a hurry to come down.",
              "Book a basket"));

  private static final List<Told> ROOMS =
      List.of(
          new Told(
              Starters.MOUNTAINS,
              "The lake room",
              "Wake to water",
              "Two windows, one on each shore. The kettle is older than the house.",
              "See the room"),
          new Told(
              Starters.PINES,
              "The hut",
              "Snow to the sill",
              "Wood is stacked by the door; the path is cleared at seven.",
              "See the hut"),
          new Told(
              Starters.WAVES,
              "The deck",
              "Nothing but the sea before you",
              "Blankets in the chest, gulls on the rail, breakfast whenever.",
              "See the deck"));

  /** With room around the words of slides. */
  private static Values stood(Values values, String band, double px) {
    Length room = Length.px(px);
    return values
        .withStyle(stand(Property.PADDING_ABOVE), band, room)
        .withStyle(stand(Property.PADDING_SIDES), band, Ends.both(room))
        .withStyle(stand(Property.PADDING_BELOW), band, room);
  }

  private static StyleKey stand(Property<?> property) {
    return SliderParts.SLIDE_STAND.key(property, State.REST);
  }

  /** All of them. */
  static List<Starter> all() {
    Values wide =
        stood(stood(Starters.named("Openings"), "phone", 24), "desktop", 104)
            .with(PieceSettings.EXTENT, "desktop", SectionSettings.Extent.EDGE)
            .with(SliderSettings.HEIGHT, "desktop", new Height.Screen(70))
            .with(SliderSettings.HEIGHT, "phone", new Height.Screen(80))
            .with(SliderSettings.ARROWS, "phone", TrackSettings.Arrows.NONE)
            .with(TrackSettings.ENDLESS, "desktop", true)
            // What reaches the edges of the page has no corners there, whatever look it wears.
            .withStyle(
                SliderParts.SLIDE.key(Property.CORNERS, State.REST),
                "desktop",
                Around.all(Length.px(0)))
            // Dark enough for words of these pictures at every width, and no more.
            .withStyle(OVERLAY, "desktop", Ground.parse(WIDE_OVERLAY))
            .withStyle(OVERLAY, "tablet", Ground.parse(NARROW_OVERLAY));
    Values beside =
        stood(Starters.named("Openings"), "phone", 24)
            .with(SliderSettings.PICTURE_USE, "desktop", SliderSettings.PictureUse.BESIDE)
            .with(SliderSettings.PICTURE_SIDE, "desktop", SliderSettings.PictureSide.ALTERNATE)
            .with(SliderSettings.PICTURE_SIDE, "phone", SliderSettings.PictureSide.ABOVE)
            .with(SliderSettings.HEIGHT, "phone", new Height.Auto())
            .with(SliderSettings.ARROWS, "desktop", TrackSettings.Arrows.BELOW);
    return List.of(
        new Starter(
            "slides",
            "Slider, edge to edge",
            "One thing at a time, large: a season’s openings, say.",
            new Slider(
                "slider",
                wide,
                Starters.items(3, number -> Starters.slide(OPENINGS.get(number - 1)))),
            true),
        new Starter(
            "slides-moving",
            "Slider that moves by itself",
            "Each slide rests as long as it takes to read; a hand, a pointer, a key hold it.",
            new Slider(
                "slider",
                wide.with(DriveSettings.MOVES_ITSELF, "desktop", true)
                    .with(DriveSettings.RESTS_BY, "desktop", DriveSettings.RestsBy.READING)
                    .with(DriveSettings.CHANGES, "desktop", Changes.of(Change.of(Manner.FADE)))
                    .with(DriveSettings.WORDS_COME, "desktop", DriveSettings.Entrance.RISE)
                    .with(DriveSettings.GROUND_MOVES, "desktop", DriveSettings.GroundMoves.NEARER),
                Starters.items(3, number -> Starters.slide(ROOMS.get(number - 1)))),
            true),
        Starters.starter(
            "slides-beside",
            "Slider, picture beside text",
            "One thing at a time, the picture now left, now right.",
            new Slider(
                "slider",
                beside,
                Starters.items(3, number -> Starters.slide(ROOMS.get(number - 1))))));
  }

  private SliderStarters() {}
}
