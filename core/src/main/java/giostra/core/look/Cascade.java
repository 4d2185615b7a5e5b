package giostra.core.look;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Finds the value that holds in a band, for a part also in its states.
 *
 * <p>State first, then layer, then band. For each state that holds, in the order of {@link State},
 * the most specific layer with a value for it in this band or a wider one wins, and within it the
 * nearest band. Only when no layer has one, the initial values included, is the next state asked.
 * So the rest colour of a piece does not kill the hover colour of its look, and the lead padding of
 * a piece does beat its look's padding for phones. What is disabled is neither pressed nor hovered.
 * The cost is layers x bands x states.
 */
public final class Cascade {
  private Cascade() {}

  /** What one layer says of settings. */
  public record Voice(Layer layer, Values values) {}

  /** The states that hold when a part is in one: what a mouse presses is under it as well. */
  private static boolean holds(State asked, State during) {
    return asked == State.REST
        || asked == during
        || (asked == State.HOVER && during == State.PRESSED);
  }

  /** The value of a property of a part in a state, without what did not hold. */
  @SuppressWarnings("unchecked") // a key's values are of its property
  public static <T> T value(Part part, Property<T> property, State state, Scope scope, Band band) {
    for (State asked : State.values()) {
      if (!holds(asked, state)) {
        continue;
      }
      StyleKey key = part.key(property, asked);
      for (Scope.Voice voice : scope.voices()) {
        Styles.Said said = voice.styles().at(key, scope.bands(), band);
        if (said != null) {
          return (T) said.value();
        }
      }
      T initial = part.initially(property, asked);
      if (initial != null) {
        return initial;
      }
    }
    throw new IllegalStateException(part + " has no " + property.id() + " at rest");
  }

  /** The value of a property of a part in a state, where it was found, and what did not hold. */
  @SuppressWarnings("unchecked") // a key's values are of its property
  public static <T> Resolved<T> resolve(
      Part part, Property<T> property, State state, Scope scope, Band band) {
    var found = new ArrayList<Resolved.Candidate<T>>();
    for (State asked : State.values()) {
      if (!holds(asked, state)) {
        continue;
      }
      StyleKey key = part.key(property, asked);
      for (Scope.Voice voice : scope.voices()) {
        for (Band each : scope.bands().fromThenWider(band)) {
          Object value = voice.styles().own(key, each.id());
          if (value != null) {
            found.add(
                new Resolved.Candidate<>(new Origin(voice.layer(), each.id(), asked), (T) value));
          }
        }
      }
      T initial = part.initially(property, asked);
      if (initial != null) {
        found.add(new Resolved.Candidate<>(new Origin(Layer.INITIAL, Values.ALL, asked), initial));
      }
    }
    return first(found);
  }

  /**
   * The value of a setting, where it was found, and what did not hold.
   *
   * @param voices the layers, in any order
   */
  public static <T> Resolved<T> resolve(
      Setting<T> setting, List<Voice> voices, Bands bands, Band band) {
    var found = new ArrayList<Resolved.Candidate<T>>();
    voices.stream()
        .sorted(Comparator.comparing(Voice::layer))
        .forEach(voice -> {
          if (setting.byBand()) {
            bands.fromThenWider(band).forEach(each -> add(setting, voice, each.id(), found));
          } else {
            add(setting, voice, Values.ALL, found);
          }
        });
    found.add(
        new Resolved.Candidate<>(
            new Origin(Layer.INITIAL, Values.ALL, State.REST), setting.initial()));
    return first(found);
  }

  /**
   * The value of a setting, without where it was found and what did not hold.
   *
   * @param voices the layers, the most specific first
   */
  public static <T> T value(Setting<T> setting, List<Voice> voices, Bands bands, Band band) {
    for (Voice voice : voices) {
      if (!setting.byBand()) {
        @Nullable T value = voice.values().own(setting, Values.ALL);
        if (value != null) {
          return value;
        }
        continue;
      }
      for (Band each : bands.fromThenWider(band)) {
        @Nullable T value = voice.values().own(setting, each.id());
        if (value != null) {
          return value;
        }
      }
    }
    return setting.initial();
  }

  private static <T> void add(
      Setting<T> setting, Voice voice, String band, List<Resolved.Candidate<T>> found) {
    @Nullable T value = voice.values().own(setting, band);
    if (value != null) {
      found.add(new Resolved.Candidate<>(new Origin(voice.layer(), band, State.REST), value));
    }
  }

  private static <T> Resolved<T> first(List<Resolved.Candidate<T>> found) {
    var first = found.removeFirst();
    return new Resolved<>(first.value(), first.origin(), found);
  }
}
