package giostra.core.piece.accordion;

import giostra.core.look.Values;
import giostra.core.page.ItemSettings;
import giostra.core.page.Starters;
import giostra.core.page.Starters.Starter;
import java.util.List;

/** Accordions to start with. */
final class AccordionStarters {
  /** Questions that are asked nearly everywhere, with answers to write over. */
  private static final List<String> QUESTIONS =
      List.of(
          "When are you open?",
          "How do I get there?",
          "What if it rains?",
          "May I bring my dog?",
          "Can I change the day?",
          "Where do I leave my things?");

  private static final List<String> ANSWERS =
      List.of(
          "Every day but Monday, from ten to six.",
          "By tram to the last stop, then five minutes on foot.",
          "Then we are indoors, and your ticket holds.",
          "On a lead, and not into the kitchen.",
          "Until the evening before, as often as you like.",
          "There are lockers by the door. They take a coin and give it back.");

  /** All of them. */
  static List<Starter> all() {
    Values questions =
        Starters.named("Questions")
            .with(AccordionSettings.OPEN_FIRST, Values.ALL, AccordionSettings.OpenFirst.FIRST);
    Values many =
        Starters.named("Questions")
            .with(AccordionSettings.SEVERAL, Values.ALL, true)
            .with(AccordionSettings.FILTER, Values.ALL, true)
            .with(AccordionSettings.SEARCH, Values.ALL, true)
            .with(AccordionSettings.FAQ, Values.ALL, true);
    return List.of(
        Starters.starter(
            "questions",
            "Accordion",
            "A few headings that fold out, one at a time.",
            new Accordion("accordion", questions, Starters.items(3, AccordionStarters::question))),
        Starters.starter(
            "many-questions",
            "List of questions",
            "Questions by category, with a search box.",
            new Accordion("accordion", many, Starters.items(6, AccordionStarters::categorised))));
  }

  private static Values question(int number) {
    int at = (number - 1) % QUESTIONS.size();
    return Starters.headed(QUESTIONS.get(at), ANSWERS.get(at));
  }

  private static Values categorised(int number) {
    List<String> categories = List.of("Before", "During", "After");
    return question(number)
        .with(ItemSettings.CATEGORY, Values.ALL, categories.get((number - 1) / 2));
  }

  private AccordionStarters() {}
}
