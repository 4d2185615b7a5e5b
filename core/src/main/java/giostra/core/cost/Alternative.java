package giostra.core.cost;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.page.Conversion;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.GridSettings;
import giostra.core.page.NodeType;
import giostra.core.page.Piece;
import giostra.core.page.TrackSettings;
import giostra.core.snag.Rule;
import giostra.core.snag.Snags;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Another way in which a piece could show what is in it.
 *
 * @param id tells it from the others of its piece; empty for the way in which it stands
 * @param label what it is, in words
 * @param edits what makes it of the page; none for the way in which it stands
 * @param unfit what it does not show, in words
 */
public record Alternative(String id, String label, List<Edit> edits, List<String> unfit) {
  /**
   * The settings by which one piece looks like quite another, by their ids: closed sets of words.
   */
  private static final Set<String> FORMS = Set.of("form", "arrows", "headsSide");

  /** Those that say how many stand side by side. */
  private static final List<Setting<Integer>> COUNTS =
      List.of(TrackSettings.IN_VIEW, GridSettings.COLUMNS);

  /** The way in which it stands. */
  public static final String AS_IT_IS = "";

  public Alternative {
    edits = List.copyOf(edits);
    unfit = List.copyOf(unfit);
  }

  /** The way in which a piece stands, and then the others that are possible on its page. */
  public static List<Alternative> of(Document document, Piece piece) {
    var all = new ArrayList<Alternative>();
    all.add(new Alternative(AS_IT_IS, "as it is", List.of(), List.of()));
    Set<String> idle =
        Snags.of(Rule.NO_EFFECT, document, piece, 0).stream()
            .filter(snag -> snag.band().equals(document.bands().lead().id()))
            .map(snag -> snag.place().value())
            .collect(Collectors.toSet());
    for (Setting<?> setting : piece.type().settings()) {
      if (FORMS.contains(setting.id())
          && !idle.contains(setting.id())
          && setting.kind() instanceof PickKind<?> words) {
        forms(document, piece, setting, words.words(), all);
      }
    }
    for (Setting<Integer> count : COUNTS) {
      if (piece.type().settings().contains(count)) {
        counts(document, piece, count, all);
      }
    }
    kinds(document, piece, all);
    return all.stream().filter(each -> each.possible(document)).toList();
  }

  /**
   * One of them.
   *
   * @throws Refused when there is none of that id
   */
  public static Alternative named(Document document, Piece piece, String id) {
    List<Alternative> all = of(document, piece);
    return all.stream()
        .filter(each -> each.id.equals(id))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "way",
                id,
                "one of " + String.join(", ", all.stream().map(Alternative::id).toList())));
  }

  /** The page with it. */
  public Document on(Document document) {
    return edits.isEmpty() ? document : Edits.apply(document, edits).document();
  }

  /** Whether a page can be changed so. */
  public boolean possible(Document document) {
    try {
      on(document);
      return true;
    } catch (Refused impossible) {
      return false;
    }
  }

  /** Each word that does not hold in every band already. */
  private static void forms(
      Document document,
      Piece piece,
      Setting<?> setting,
      List<String> words,
      List<Alternative> all) {
    for (String word : words) {
      boolean everywhere =
          document.bands().all().stream()
              .allMatch(band -> word.equals(now(document, piece, setting, band)));
      if (!everywhere) {
        all.add(
            new Alternative(
                setting.id() + "=" + word,
                said(setting, word),
                everywhere(document, piece, setting, word),
                List.of()));
      }
    }
  }

  /** As people say it: "arrows below", "no arrows", "all at once". */
  private static String said(Setting<?> setting, String word) {
    String label = setting.label().toLowerCase(Locale.ROOT);
    return switch (setting.id() + "=" + word) {
      case "form=all" -> "all at once";
      case "form=track" -> "on a track";
      case "form=tabs" -> "side by side, as tabs";
      case "form=accordion" -> "folded, as an accordion";
      default -> word.equals("none") ? "no " + label : label + " " + word.replace('-', ' ');
    };
  }

  private static <T> Object now(Document document, Piece piece, Setting<T> setting, Band band) {
    return setting.write(Resolution.value(document, piece, setting, band));
  }

  /** In the band that leads, and nothing else in the others. */
  private static List<Edit> everywhere(
      Document document, Piece piece, Setting<?> setting, Object value) {
    var edits = new ArrayList<Edit>();
    String lead = document.bands().lead().id();
    for (Band band : document.bands().all()) {
      boolean said = piece.values().own(setting, band.id()) != null;
      if (!band.id().equals(lead) && said) {
        edits.add(new Edit.SetValue(piece.id(), setting.id(), band.id(), null));
      }
    }
    edits.add(new Edit.SetValue(piece.id(), setting.id(), lead, value));
    return edits;
  }

  /** One less and one more beside one another, in the band that leads. */
  private static void counts(
      Document document, Piece piece, Setting<Integer> setting, List<Alternative> all) {
    Band band = document.bands().lead();
    int now = Resolution.value(document, piece, setting, band);
    for (int other : List.of(now - 1, now + 1)) {
      if (other >= 1 && other <= Math.max(1, piece.items().size())) {
        all.add(
            new Alternative(
                setting.id() + "=" + other,
                other
                    + " "
                    + (setting == TrackSettings.IN_VIEW ? "in view" : "in a row")
                    + " on "
                    + band.name(),
                List.of(new Edit.SetValue(piece.id(), setting.id(), band.id(), other)),
                List.of()));
      }
    }
  }

  /** As each other kind; as a carousel also with all of its cards at once. */
  private static void kinds(Document document, Piece piece, List<Alternative> all) {
    for (NodeType kind : NodeType.values()) {
      if (!kind.isPiece()
          || kind == piece.type()
          || kind == NodeType.VIDEO
          || piece.type() == NodeType.VIDEO) {
        continue;
      }
      Conversion conversion = Conversion.of(document, piece, kind);
      String word = kind.word();
      String name = word.replace('-', ' ');
      all.add(
          new Alternative(
              "kind=" + word,
              "as "
                  + (name.endsWith("s")
                      ? name
                      : ("aeiou".indexOf(name.charAt(0)) < 0 ? "a " : "an ") + name),
              conversion.edits(),
              conversion.unfit()));
      if (kind == NodeType.CAROUSEL) {
        var edits = new ArrayList<>(conversion.edits());
        edits.add(
            new Edit.SetValue(
                piece.id(),
                TrackSettings.FORM.id(),
                document.bands().lead().id(),
                PickKind.word(TrackSettings.Form.ALL)));
        all.add(
            new Alternative(
                "kind=" + word + "+form=all", "as plain cards in rows", edits, conversion.unfit()));
      }
    }
  }
}
