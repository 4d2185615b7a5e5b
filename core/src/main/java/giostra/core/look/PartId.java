package giostra.core.look;

import giostra.core.value.Refused;
import java.util.regex.Pattern;

/**
 * What a part is called in documents: where it is found, and what it is there, as in {@code
 * video.start-button}.
 *
 * @param id two names in lower-case letters, digits and hyphens with a full stop between them
 */
public record PartId(String id) implements Comparable<PartId> {
  private static final Pattern ID = Pattern.compile("[a-z][a-z-]{0,30}\\.[a-z][a-z0-9-]{0,30}");

  public PartId {
    if (!ID.matcher(id).matches()) {
      throw new Refused("part", id, "two names with a full stop between them");
    }
  }

  /** Where it is found: what stands before the full stop. */
  public String place() {
    return id.substring(0, id.indexOf('.'));
  }

  @Override
  public int hashCode() {
    return id.hashCode();
  }

  @Override
  public int compareTo(PartId other) {
    return id.compareTo(other.id);
  }

  @Override
  public String toString() {
    return id;
  }
}
