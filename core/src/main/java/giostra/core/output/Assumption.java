package giostra.core.output;

import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.PageSettings;
import giostra.core.value.Refused;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * A condition of the visitor's device that a preview is compiled for as if it were met: a frame on
 * a desktop cannot be touched or have its motion reduced. Source of the conditions: Media Queries
 * 5, "prefers-reduced-motion", "scripting", "hover" and "pointer".
 */
public enum Assumption {
  TOUCH,
  REDUCED_MOTION,
  NO_SCRIPT,
  RTL;

  /** Its word in addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * The assumptions of a list with commas; an empty one has none.
   *
   * @throws Refused naming the word that is none
   */
  public static Set<Assumption> of(String list) {
    var all = EnumSet.noneOf(Assumption.class);
    for (String word : list.split(",")) {
      if (!word.isBlank()) {
        all.add(
            Arrays.stream(values())
                .filter(each -> each.word().equals(word.strip()))
                .findFirst()
                .orElseThrow(() ->
                    new Refused(
                        "assume",
                        word,
                        "any of "
                            + String.join(
                                ", ", Arrays.stream(values()).map(Assumption::word).toList()))));
      }
    }
    return all;
  }

  /** A document as it is to be compiled under assumptions. */
  public static Document document(Document document, Set<Assumption> all) {
    return all.contains(RTL)
        ? Edits.apply(
                document,
                List.of(
                    new Edit.SetValue(
                        document.page().id(), PageSettings.DIRECTION.id(), "", "rtl")))
            .document()
        : document;
  }

  /** A sheet with the conditions written as met. */
  public static String css(String css, Set<Assumption> all) {
    String out = css;
    if (all.contains(TOUCH)) {
      out = out.replace("@media (hover:hover) and (pointer:fine)", "@media not all");
    }
    if (all.contains(REDUCED_MOTION)) {
      out = out.replace("@media (prefers-reduced-motion:reduce)", "@media all");
    }
    if (all.contains(NO_SCRIPT)) {
      out =
          out.replace("@media (scripting:none)", "@media all")
              .replace("@media (scripting:enabled)", "@media not all");
    }
    return out;
  }

  /** Markup with the conditions written as met. */
  public static String html(String html, Set<Assumption> all) {
    return all.contains(NO_SCRIPT)
        ? html.replaceAll("<script src=\"[^\"]*\"(?: defer)?></script>", "")
        : html;
  }
}
