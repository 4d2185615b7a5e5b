package giostra.core.piece.accordion;

import giostra.core.look.Values;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * The categories of an accordion's questions: which there are, which questions show because of
 * them, and the edits that rename, order, add and delete them, each list one step.
 */
public final class Categories {
  /** Names are no longer than this, so that a list of them stays one. */
  public static final int LONGEST = 80;

  private Categories() {}

  /**
   * A category.
   *
   * @param questions ids of the questions that are in it, hidden ones too
   */
  public record Category(String name, List<String> questions) {
    public Category {
      questions = List.copyOf(questions);
    }
  }

  /** The questions on show that belong to the categories asked for; all where none is. */
  public static List<Item> shown(Accordion piece) {
    List<String> only = names(piece, AccordionSettings.ONLY);
    return piece.onShow().stream()
        .filter(item -> only.isEmpty() || only.contains(category(item)))
        .toList();
  }

  /** Those that show: in the order that was given, then those that were not named, as they come. */
  public static List<String> of(Accordion piece) {
    List<String> used = shown(piece).stream().map(Categories::category).toList();
    return ordered(piece, used).filter(used::contains).toList();
  }

  /** All that there are, in the same order: also those without a question, or hidden ones only. */
  public static List<Category> all(Accordion piece) {
    return ordered(piece, piece.items().stream().map(Categories::category).toList())
        .map(name -> new Category(name, in(piece, name)))
        .toList();
  }

  private static Stream<String> ordered(Accordion piece, List<String> used) {
    return Stream.concat(names(piece, AccordionSettings.CATEGORIES).stream(), used.stream())
        .filter(name -> !name.isEmpty())
        .distinct();
  }

  private static List<String> in(Accordion piece, String name) {
    return piece.items().stream()
        .filter(item -> category(item).equals(name))
        .map(Item::id)
        .toList();
  }

  private static String category(Item item) {
    return item.values().get(ItemSettings.CATEGORY).strip();
  }

  private static List<String> names(Accordion piece, Setting<String> list) {
    return Stream.of(piece.values().get(list).split(","))
        .map(String::strip)
        .filter(name -> !name.isEmpty())
        .toList();
  }

  /**
   * Gives a category another name; under the name of another one they become one.
   *
   * @throws Refused when there is none of that name, or the new one cannot be a name
   */
  public static List<Edit> renamed(Accordion piece, String from, String to) {
    Category category = category(piece, from);
    String name = named(to);
    return edits(piece, each -> each.equals(from) ? name : each, category, name);
  }

  /**
   * Takes a category away. A page that shows only some shows the one that its questions go to.
   *
   * @param to the category that its questions go to, or an empty text for none
   * @throws Refused when there is none of either name
   */
  public static List<Edit> deleted(Accordion piece, String name, String to) {
    Category category = category(piece, name);
    if (!to.isEmpty()) {
      category(piece, to);
    }
    return edits(piece, each -> each.equals(name) ? to : each, category, to);
  }

  /**
   * Moves a category among the others.
   *
   * @param place where it then stands, from 0
   * @throws Refused when there is none of that name, or no such place
   */
  public static List<Edit> moved(Accordion piece, String name, int place) {
    category(piece, name);
    List<String> next = new ArrayList<>(names(piece));
    Require.within(0, next.size() - 1, "Place of a category", place);
    next.remove(name);
    next.add(place, name);
    return List.of(list(piece, AccordionSettings.CATEGORIES, next));
  }

  /**
   * Adds a category, last, without a question.
   *
   * @throws Refused when it cannot be a name, or there is one of that name
   */
  public static List<Edit> added(Accordion piece, String name) {
    String own = named(name);
    List<String> all = names(piece);
    if (all.contains(own)) {
      throw new Refused("Name of a category", own, "one that there is not yet");
    }
    return List.of(
        list(
            piece,
            AccordionSettings.CATEGORIES,
            Stream.concat(all.stream(), Stream.of(own)).toList()));
  }

  /** Both lists with names changed, and the questions of a category put under another name. */
  private static List<Edit> edits(
      Accordion piece, UnaryOperator<String> change, Category category, String name) {
    var all = new ArrayList<Edit>();
    all.add(list(piece, AccordionSettings.CATEGORIES, changed(names(piece), change)));
    List<String> only = names(piece, AccordionSettings.ONLY);
    List<String> after = changed(only, change);
    if (!after.equals(only)) {
      all.add(list(piece, AccordionSettings.ONLY, after));
    }
    for (String question : category.questions()) {
      all.add(set(question, ItemSettings.CATEGORY, name));
    }
    return all;
  }

  private static List<String> changed(List<String> names, UnaryOperator<String> change) {
    return names.stream().map(change).filter(name -> !name.isEmpty()).distinct().toList();
  }

  private static Edit list(Accordion piece, Setting<String> setting, List<String> names) {
    return set(piece.id(), setting, String.join(", ", names));
  }

  private static Edit set(String node, Setting<String> setting, String value) {
    return new Edit.SetValue(node, setting.id(), Values.ALL, value.isEmpty() ? null : value);
  }

  private static List<String> names(Accordion piece) {
    return all(piece).stream().map(Category::name).toList();
  }

  private static Category category(Accordion piece, String name) {
    return all(piece).stream()
        .filter(each -> each.name().equals(name))
        .findFirst()
        .orElseThrow(
            () -> new Refused("Category", name, "one of " + String.join(", ", names(piece))));
  }

  private static String named(String name) {
    String own = name.strip();
    if (own.isEmpty() || own.length() > LONGEST || own.contains(",")) {
      throw new Refused(
          "Name of a category", own, "1 to " + LONGEST + " characters without a comma");
    }
    return own;
  }
}
