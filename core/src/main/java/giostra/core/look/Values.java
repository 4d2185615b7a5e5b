package giostra.core.look;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.value.Setting;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is set on one node: values by setting and band, and how parts of it look. Immutable; what is
 * not set is not in it.
 *
 * <p>A setting without bands keeps its value under {@link #ALL}. Settings are kept in the order of
 * their ids, so that equal values are written alike.
 *
 * @param set typed values by setting id, then by band id
 * @param styles of its parts, and on what holds others of theirs
 */
public record Values(SortedMap<String, Map<String, Object>> set, Styles styles) {
  /** The key of a value that holds in every band. */
  public static final String ALL = "";

  /** Nothing set. */
  public static final Values NONE = new Values(new TreeMap<>(), Styles.NONE);

  public Values {
    var copy = new TreeMap<String, Map<String, Object>>();
    set.forEach((id, bands) -> {
      if (!bands.isEmpty()) {
        copy.put(id, Collections.unmodifiableMap(new LinkedHashMap<>(bands)));
      }
    });
    set = Collections.unmodifiableSortedMap(copy);
  }

  /** The value set for a band itself, or null; it is not inherited. */
  @SuppressWarnings("unchecked") // values are only ever put in through their setting
  public <T> @Nullable T own(Setting<T> setting, String band) {
    Map<String, Object> bands = set.get(setting.id());
    return bands == null ? null : (T) bands.get(setting.byBand() ? band : ALL);
  }

  /** The value of a setting without bands, or its initial one. */
  public <T> T get(Setting<T> setting) {
    T own = own(setting, ALL);
    return own == null ? setting.initial() : own;
  }

  /**
   * The value in a band: its own, else that of the nearest wider band that sets one, else the
   * setting's initial one.
   */
  public <T> T at(Setting<T> setting, Bands bands, Band band) {
    for (Band each : bands.fromThenWider(band)) {
      T own = own(setting, each.id());
      if (own != null) {
        return own;
      }
    }
    return setting.initial();
  }

  /**
   * These values with one more, or one less.
   *
   * @param value null takes the value away
   */
  public <T> Values with(Setting<T> setting, String band, @Nullable T value) {
    return withRaw(setting.id(), setting.byBand() ? band : ALL, value);
  }

  /** As {@link #with}, for a setting known only by its id; the value is already typed. */
  public Values withRaw(String settingId, String band, @Nullable Object value) {
    var copy = new TreeMap<>(set);
    var bands = new TreeMap<>(copy.getOrDefault(settingId, Map.of()));
    if (value == null) {
      bands.remove(band);
    } else {
      bands.put(band, value);
    }
    copy.put(settingId, bands);
    return new Values(copy, styles);
  }

  /** These values with other styles. */
  public Values with(Styles other) {
    return new Values(set, other);
  }

  /**
   * These values with one value of a style more, or one less.
   *
   * @param value null takes the value away
   */
  public Values withStyle(StyleKey key, String band, @Nullable Object value) {
    return with(styles.with(key, band, value));
  }

  /** All values by band, whatever they are of. */
  public Stream<Map<String, Object>> byBand() {
    return Stream.concat(set.values().stream(), styles.set().values().stream());
  }

  /** These values with the bands of each setting and style changed. */
  public Values mapBands(UnaryOperator<Map<String, Object>> change) {
    var copy = new TreeMap<String, Map<String, Object>>();
    set.forEach((id, bands) -> copy.put(id, change.apply(new TreeMap<>(bands))));
    return new Values(copy, styles.mapBands(change));
  }
}
