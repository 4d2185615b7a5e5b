package giostra.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The categories of an accordion's questions, and the questions that show because of them. */
public final class Categories {
  private Categories() {}

  /** The questions on show that belong to the categories asked for; all where none is. */
  public static List<Item> shown(Piece.Accordion piece) {
    List<String> only = names(piece.values().get(AccordionSettings.ONLY));
    return piece.onShow().stream()
        .filter(item -> only.isEmpty() || only.contains(category(item)))
        .toList();
  }

  /** Categories in the order that was given, then those that were not named, as they come. */
  public static List<String> of(Piece.Accordion piece) {
    List<String> used = shown(piece).stream().map(Categories::category).toList();
    var all = new ArrayList<>(names(piece.values().get(AccordionSettings.CATEGORIES)));
    all.addAll(used);
    return all.stream().filter(name -> !name.isEmpty() && used.contains(name)).distinct().toList();
  }

  private static String category(Item item) {
    return item.values().get(ItemSettings.CATEGORY).strip();
  }

  private static List<String> names(String list) {
    return Stream.of(list.split(",")).map(String::strip).filter(n -> !n.isEmpty()).toList();
  }
}
