package giostra.core.look;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Finds the value that holds for some states in a band.
 *
 * <p>State first, then layer, then band. For each wanted state, in the order of {@link State}, the
 * most specific layer with a value for it in this band or a wider one wins, and within it the
 * nearest band. Only when no layer has one is the next state asked. So the rest colour of a piece
 * does not kill the hover colour of its look, and the lead padding of a piece does beat its look's
 * padding for phones. Disabled shuts out pressed and hover. The cost is layers x bands x states.
 */
public final class Cascade {
  private Cascade() {}

  /**
   * What one layer says.
   *
   * @param layer which
   * @param byState its values for each state it speaks of
   */
  public record Voice(Layer layer, Map<State, Values> byState) {
    public Voice {
      byState = Map.copyOf(byState);
    }

    /** A layer that speaks of the resting state only. */
    public static Voice atRest(Layer layer, Values values) {
      return new Voice(layer, Map.of(State.REST, values));
    }
  }

  /**
   * Resolves one setting.
   *
   * @param voices the layers, in any order
   * @param wanted the states that hold; rest always does
   */
  public static <T> Resolved<T> resolve(
      Setting<T> setting, List<Voice> voices, Set<State> wanted, Bands bands, Band band) {
    var byLayer = new EnumMap<Layer, Voice>(Layer.class);
    voices.forEach(voice -> byLayer.put(voice.layer(), voice));
    var found = new ArrayList<Resolved.Candidate<T>>();
    for (State state : State.values()) {
      if (asked(state, wanted)) {
        for (Voice voice : byLayer.values()) {
          gather(setting, voice, state, bands, band, found);
        }
      }
    }
    found.add(
        new Resolved.Candidate<>(
            new Origin(Layer.INITIAL, Values.ALL, State.REST), setting.initial()));
    var first = found.removeFirst();
    return new Resolved<>(first.value(), first.origin(), found);
  }

  private static boolean asked(State state, Set<State> wanted) {
    return switch (state) {
      case REST -> true;
      case PRESSED, HOVER -> wanted.contains(state) && !wanted.contains(State.DISABLED);
      case DISABLED, FOCUS, CURRENT -> wanted.contains(state);
    };
  }

  private static <T> void gather(
      Setting<T> setting,
      Voice voice,
      State state,
      Bands bands,
      Band band,
      List<Resolved.Candidate<T>> found) {
    Values values = voice.byState().getOrDefault(state, Values.NONE);
    if (!setting.byBand()) {
      T value = values.own(setting, Values.ALL);
      if (value != null) {
        found.add(new Resolved.Candidate<>(new Origin(voice.layer(), Values.ALL, state), value));
      }
      return;
    }
    for (Band each : bands.fromThenWider(band)) {
      T value = values.own(setting, each.id());
      if (value != null) {
        found.add(new Resolved.Candidate<>(new Origin(voice.layer(), each.id(), state), value));
      }
    }
  }
}
