package giostra.core.look;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * How parts look, as far as somebody has said so: values by key and band. Immutable; what is not
 * set is not in it. Kept in the order of the keys, so that equal styles are written alike.
 */
public final class Styles {
  /** Nothing said. */
  public static final Styles NONE = new Styles(new TreeMap<>());

  /** Its maps of bands never change, so that styles share them. */
  private final TreeMap<StyleKey, Map<String, Object>> set;

  /** The same for finding: far more is asked than is ever said. */
  private final Map<StyleKey, Map<String, Object>> found;

  private Styles(TreeMap<StyleKey, Map<String, Object>> set) {
    this.set = set;
    this.found = set.isEmpty() ? Map.of() : new HashMap<>(set);
  }

  /** These values, whatever becomes of the maps that they came in. */
  public static Styles of(SortedMap<StyleKey, Map<String, Object>> set) {
    var copy = new TreeMap<StyleKey, Map<String, Object>>();
    set.forEach((key, bands) -> {
      if (!bands.isEmpty()) {
        copy.put(key, Collections.unmodifiableMap(new LinkedHashMap<>(bands)));
      }
    });
    return new Styles(copy);
  }

  /** Typed values by key, then by band id. */
  public SortedMap<StyleKey, Map<String, Object>> set() {
    return Collections.unmodifiableSortedMap(set);
  }

  /** The value set for a band itself, or null; it is not inherited. */
  public @Nullable Object own(StyleKey key, String band) {
    Map<String, Object> bands = found.get(key);
    return bands == null ? null : bands.get(band);
  }

  /** Whether anything is said of it, in some band. */
  public boolean speaksOf(StyleKey key) {
    return found.containsKey(key);
  }

  /** The nearest value at a band or a wider one, with the band that it is set in, or null. */
  @Nullable Said at(StyleKey key, Bands bands, Band band) {
    Map<String, Object> own = found.get(key);
    if (own == null) {
      return null;
    }
    for (Band each : bands.fromThenWider(band)) {
      Object value = own.get(each.id());
      if (value != null) {
        return new Said(each.id(), value);
      }
    }
    return null;
  }

  /** A value and the band that it is set in. */
  record Said(String band, Object value) {}

  /**
   * These styles with one value more, or one less.
   *
   * @param value null takes the value away
   */
  public Styles with(StyleKey key, String band, @Nullable Object value) {
    // Many edits in a row each make a copy: it is of the entries alone, in the order they are in.
    var copy = new TreeMap<>(set);
    var bands = new TreeMap<>(copy.getOrDefault(key, Map.of()));
    if (value == null) {
      bands.remove(band);
    } else {
      bands.put(band, value);
    }
    if (bands.isEmpty()) {
      copy.remove(key);
    } else {
      copy.put(key, Collections.unmodifiableMap(bands));
    }
    return new Styles(copy);
  }

  /** These styles with the bands of each value changed. */
  public Styles mapBands(UnaryOperator<Map<String, Object>> change) {
    if (set.isEmpty()) {
      return this;
    }
    var copy = new TreeMap<StyleKey, Map<String, Object>>();
    set.forEach((key, bands) -> copy.put(key, change.apply(new TreeMap<>(bands))));
    return of(copy);
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Styles styles && set.equals(styles.set);
  }

  @Override
  public int hashCode() {
    return Objects.hashCode(set);
  }

  @Override
  public String toString() {
    return set.toString();
  }
}
