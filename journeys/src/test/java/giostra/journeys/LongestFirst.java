package giostra.journeys;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.ClassDescriptor;
import org.junit.jupiter.api.ClassOrderer;
import org.junit.jupiter.api.ClassOrdererContext;

/**
 * Journeys that take long begin first, so that two threads end at about the same time. The order is
 * that of a run; a journey that is not in it counts as long.
 */
public final class LongestFirst implements ClassOrderer {
  private static final List<String> ORDER =
      List.of(
          "DifferenceJourney",
          "AccessJourney",
          "HeightsJourney",
          "GeometryJourney",
          "SessionJourney",
          "ArchiveJourney",
          "SettingsJourney",
          "PictureJourney",
          "ShipJourney",
          "KindsJourney",
          "VideoJourney",
          "PartsJourney",
          "SurvivalJourney",
          "ShelfJourney",
          "AssumptionJourney",
          "StageJourney",
          "PatternJourney",
          "ContentJourney",
          "LibraryJourney",
          "ConditionJourney",
          "NestedGeometryJourney",
          "StockJourney",
          "CategoryJourney",
          "WalkJourney",
          "DividerJourney",
          "TextFitJourney",
          "GestureJourney");

  @Override
  public void orderClasses(ClassOrdererContext context) {
    context.getClassDescriptors().sort(Comparator.comparingInt(LongestFirst::place));
  }

  private static int place(ClassDescriptor journey) {
    return ORDER.indexOf(journey.getTestClass().getSimpleName());
  }
}
