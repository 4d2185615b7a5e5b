package giostra.journeys;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import org.junit.jupiter.api.ClassDescriptor;
import org.junit.jupiter.api.ClassOrderer;
import org.junit.jupiter.api.ClassOrdererContext;

/**
 * Journeys that take long stand at both ends and the short ones in the middle: of two threads one
 * takes from the front and one from the back, so that they end at about the same time. A journey
 * that is not in the list counts as long.
 */
public final class LongestOutside implements ClassOrderer {
  /** As they were in a run, the longest first. */
  private static final List<String> ORDER =
      List.of(
          "BothSidesJourney",
          "DifferenceJourney",
          "AccessJourney",
          "DressJourney",
          "DriveJourney",
          "SettingsJourney",
          "SurvivalJourney",
          "GestureJourney",
          "TextFitJourney",
          "LooksJourney",
          "GeometryJourney",
          "ShipJourney",
          "ArchiveJourney",
          "KindsJourney",
          "SessionJourney",
          "SnippetJourney",
          "OwnPageJourney",
          "OverPictureJourney",
          "MovesJourney",
          "SlowlyJourney",
          "PinJourney",
          "OverClipJourney",
          "ReadableJourney",
          "ContentJourney",
          "ProveJourney",
          "TraceJourney",
          "AlmanacJourney",
          "ChangesJourney",
          "PartsJourney",
          "HeightsJourney",
          "StageJourney",
          "VideoJourney",
          "PictureJourney",
          "PatternJourney",
          "ConditionJourney",
          "AssumptionJourney",
          "LayersJourney",
          "WalkJourney",
          "FontsJourney",
          "GroundsJourney",
          "LibraryJourney",
          "ShelfJourney",
          "StockJourney",
          "CategoryJourney",
          "TempoJourney",
          "NestedGeometryJourney",
          "DividerJourney",
          "CoveredJourney",
          "PlacesJourney",
          "TokensJourney",
          "DrawnColourJourney",
          "EdgesJourney",
          "WildJourney",
          "ClockJourney");

  @Override
  public void orderClasses(ClassOrdererContext context) {
    var longest = new ArrayList<ClassDescriptor>(context.getClassDescriptors());
    longest.sort(Comparator.comparingInt(LongestOutside::place));
    Deque<ClassDescriptor> outwards = new ArrayDeque<>();
    for (ClassDescriptor each : longest.reversed()) {
      if (outwards.size() % 2 == 0) {
        outwards.addFirst(each);
      } else {
        outwards.addLast(each);
      }
    }
    List<ClassDescriptor> order = List.copyOf(outwards);
    context.getClassDescriptors().sort(Comparator.comparingInt(order::indexOf));
  }

  private static int place(ClassDescriptor journey) {
    return ORDER.indexOf(journey.getTestClass().getSimpleName());
  }
}
