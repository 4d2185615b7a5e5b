package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Makes a piece one of another kind. Its items stay as they are, with all their fields and panels:
 * one vocabulary holds for all kinds. Settings that the other kind has under the same name stay as
 * well; what does not fit is said.
 *
 * @param edits what does it, as one step
 * @param unfit what the other kind does not show or does not have, in words
 */
public record Conversion(List<Edit> edits, List<String> unfit) {
  public Conversion {
    edits = List.copyOf(edits);
    unfit = List.copyOf(unfit);
  }

  /**
   * The way from a piece to another kind.
   *
   * @throws Refused when {@code kind} is none, or is what the piece is already
   */
  public static Conversion of(Document document, Piece piece, NodeType kind) {
    if (!kind.isPiece() || kind == piece.type()) {
      throw new Refused("kind", kind.word(), "another kind of piece than " + piece.type().word());
    }
    var unfit = new ArrayList<String>();
    Piece converted = kind.piece(piece.id(), values(piece, kind, unfit), piece.items());
    fields(piece, converted, unfit);
    return new Conversion(Edits.replacing(document, converted), unfit);
  }

  private static Values values(Piece piece, NodeType kind, List<String> unfit) {
    Values values = piece.values();
    for (var entry : piece.values().set().entrySet()) {
      String id = entry.getKey();
      Setting<?> own = piece.type().setting(id);
      boolean fits =
          kind.settings().stream()
              .anyMatch(other ->
                  other.id().equals(id)
                      && other.byBand() == own.byBand()
                      && Objects.equals(other.kind(), own.kind()));
      if (!fits) {
        unfit.add(own.label());
        for (String band : entry.getValue().keySet()) {
          values = values.withRaw(id, band, null);
        }
      }
    }
    for (StyleKey key : piece.values().styles().set().keySet()) {
      if (kind.parts().stream().noneMatch(part -> part.id().equals(key.part()))) {
        unfit.add(Anatomy.said(key));
        for (String band :
            Map.copyOf(Objects.requireNonNull(piece.values().styles().set().get(key))).keySet()) {
          values = values.withStyle(key, band, null);
        }
      }
    }
    return values;
  }

  /** Fields that are filled, and that the other kind keeps but does not show. */
  private static void fields(Piece piece, Piece converted, List<String> unfit) {
    Set<String> shown = new HashSet<>();
    Fields.of(converted.type(), converted.values()).forEach(f -> shown.add(f.setting().id()));
    Fields.of(piece.type(), piece.values()).stream()
        .filter(field -> !shown.contains(field.setting().id()))
        .filter(field ->
            piece.items().stream()
                .anyMatch(item -> item.values().set().containsKey(field.setting().id())))
        .forEach(field -> unfit.add(field.label() + " (kept, not shown)"));
    boolean pins = piece.items().stream().anyMatch(item -> !item.pins().isEmpty());
    if (pins && !converted.type().hasPins()) {
      unfit.add("Pins on items (kept, not shown)");
    }
    boolean panels = piece.items().stream().anyMatch(item -> !item.panel().isEmpty());
    if (panels && !converted.type().hasPanels()) {
      unfit.add("Blocks in panels (kept, not shown)");
    }
  }
}
