package giostra.core.snag;

import giostra.core.look.Part;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Something that somebody would rather not have shipped: where it is, when it is so, what was
 * found, ways out.
 *
 * @param measure what was measured, where it is a matter of measure
 * @param message what is wrong, with its extent
 * @param fixes ways out, the gentlest first
 */
public record Snag(
    Rule rule,
    Place place,
    Extent extent,
    Optional<Measure> measure,
    String message,
    List<Fix> fixes) {

  /**
   * A way out.
   *
   * @param label what it does, in the words of a button
   * @param edits the edits that do it
   */
  public record Fix(String label, List<Edit> edits) {
    public Fix {
      edits = List.copyOf(edits);
    }

    /** Whether a page can be changed so. */
    public boolean possible(Document document) {
      try {
        Edits.apply(document, edits);
        return true;
      } catch (Refused impossible) {
        // A neighbouring breakpoint stands in the way, say: this way out is none.
        return false;
      }
    }

    public static Fix of(String label, Edit edit) {
      return new Fix(label, List.of(edit));
    }
  }

  public Snag {
    fixes = List.copyOf(fixes);
  }

  /** Of the whole of a node. */
  public static Snag of(Rule rule, String node, Extent extent, String message) {
    return new Snag(rule, Place.of(node), extent, Optional.empty(), message, List.of());
  }

  /** Of one of its items. */
  public Snag of(String item) {
    return at(new Place(place.node(), item, place.part(), place.value(), place.cause()));
  }

  /** Of a part. */
  public Snag of(Part part) {
    return at(
        new Place(place.node(), place.item(), part.id().toString(), place.value(), place.cause()));
  }

  /** About a setting or style, because of another. */
  public Snag about(String value, String cause) {
    return at(new Place(place.node(), place.item(), place.part(), value, cause));
  }

  private Snag at(Place place) {
    return new Snag(rule, place, extent, measure, message, fixes);
  }

  /** The same with what was found and what it should be. */
  public Snag measured(double found, double required, Measure.Unit unit) {
    return new Snag(
        rule, place, extent, Optional.of(new Measure(found, required, unit)), message, fixes);
  }

  /** The same with ways out. */
  public Snag withFixes(List<Fix> fixes) {
    return new Snag(rule, place, extent, measure, message, fixes);
  }

  /** Whether a visitor could meet it, or else only who sets the value. */
  public boolean met() {
    return rule.severity() != Severity.NOTE;
  }

  /** Whether it is the same thing at some of the same widths. */
  public boolean meets(Snag other) {
    return rule == other.rule
        && place.equals(other.place)
        && extent.state() == other.extent.state()
        && from() <= other.to()
        && other.from() <= to();
  }

  /** A name for it that is the same as long as it is found there. */
  public String key() {
    return String.join(
        "~",
        rule.word(),
        place.node(),
        place.item(),
        place.part(),
        PickKind.word(extent.state()),
        place.value(),
        Integer.toString(from()));
  }

  /** Tells it from every other, and from itself once anything of it has changed. */
  public String mark() {
    String all = String.join("\n", key(), Integer.toString(to()), message);
    return UUID.nameUUIDFromBytes(all.getBytes(StandardCharsets.UTF_8)).toString().substring(0, 13);
  }

  /** Id of the node that it is of. */
  public String piece() {
    return place.node();
  }

  /** Id of the item that it is of; empty for none. */
  public String item() {
    return place.item();
  }

  /** The first viewport width at which it is, px. */
  public int from() {
    return extent.widths().from();
  }

  /** The last one, px. */
  public int to() {
    return extent.widths().to();
  }

  /** Id of the band that these lie in. */
  public String band() {
    return extent.widths().band();
  }
}
