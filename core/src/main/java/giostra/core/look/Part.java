package giostra.core.look;

import giostra.core.value.Kind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A part of something that is seen: what it is called, in which states it can be, what can be said
 * of it, and what holds where nobody has said anything.
 */
public final class Part {
  private final PartId id;
  private final String label;
  private final List<State> states;
  private final Map<Property<?>, Setting<?>> settings;
  private final Styles initial;

  private Part(
      PartId id,
      String label,
      List<State> states,
      Map<Property<?>, Setting<?>> settings,
      Styles initial) {
    this.id = id;
    this.label = label;
    this.states = List.copyOf(states);
    this.settings = Collections.unmodifiableMap(settings);
    this.initial = initial;
  }

  /**
   * A part of which nothing can be said yet.
   *
   * @param more states beside rest, the stronger ones later
   */
  public static Part of(String id, String label, State... more) {
    var states = new ArrayList<State>(List.of(State.REST));
    states.addAll(List.of(more));
    return new Part(new PartId(id), label, states, Map.of(), Styles.NONE);
  }

  /** This part with a property more. */
  public <T> Part with(Property<T> property, Kind<T> kind, T rest) {
    return with(property, property.label(), kind, rest);
  }

  /**
   * This part with a property more.
   *
   * @param named what people read for it here
   * @param kind what it may be
   * @param rest what it is initially
   */
  public <T> Part with(Property<T> property, String named, Kind<T> kind, T rest) {
    var all = new LinkedHashMap<>(settings);
    all.put(property, Setting.byBand(property.id(), named, kind, rest));
    return new Part(id, label, states, all, initial);
  }

  /**
   * This part with an initial value in a state.
   *
   * @throws Refused when it has no such property or state
   */
  public <T> Part in(State state, Property<T> property, T value) {
    setting(property);
    if (!states.contains(state)) {
      throw new Refused("state of " + id, StyleKey.word(state), "one that it has");
    }
    return new Part(
        id, label, states, settings, initial.with(key(property, state), Values.ALL, value));
  }

  /** Its name in documents. */
  public PartId id() {
    return id;
  }

  /** What people read. */
  public String label() {
    return label;
  }

  /** The states it can be in, at rest first, the stronger ones later. */
  public List<State> states() {
    return states;
  }

  /** What can be said of it, in the order in which people see it. */
  public List<Property<?>> properties() {
    return List.copyOf(settings.keySet());
  }

  /** Whether that can be said of it. */
  public boolean has(Property<?> property) {
    return settings.containsKey(property);
  }

  /**
   * What a property may be here, with what it is initially at rest.
   *
   * @throws Refused naming the properties it has
   */
  @SuppressWarnings("unchecked") // put in under that very property
  public <T> Setting<T> setting(Property<T> property) {
    Setting<?> found = settings.get(property);
    if (found == null) {
      throw new Refused(
          "property of " + id,
          property.id(),
          "one of " + String.join(", ", settings.keySet().stream().map(Property::id).toList()));
    }
    return (Setting<T>) found;
  }

  /** The key of a property of it in a state. */
  public StyleKey key(Property<?> property, State state) {
    return new StyleKey(id, property, state);
  }

  /** All keys: state by state, and in each the properties in their order. */
  public List<StyleKey> keys() {
    return states.stream()
        .flatMap(state -> settings.keySet().stream().map(property -> key(property, state)))
        .toList();
  }

  /**
   * Refuses a key that is none of its.
   *
   * @throws Refused naming what there is
   */
  public void check(StyleKey key) {
    setting(key.property());
    if (!states.contains(key.state())) {
      throw new Refused(
          "state of " + id,
          StyleKey.word(key.state()),
          "one of " + String.join(", ", states.stream().map(StyleKey::word).toList()));
    }
  }

  /** What it is initially in a state: null where that is as at rest. */
  @SuppressWarnings("unchecked") // put in under that very property
  public <T> @Nullable T initially(Property<T> property, State state) {
    return state == State.REST
        ? setting(property).initial()
        : (T) initial.own(key(property, state), Values.ALL);
  }

  /** As people read of a property in a state: {@code Bar button on hover, ground}. */
  public String said(StyleKey key) {
    String when =
        switch (key.state()) {
          case REST -> "";
          case HOVER -> " on hover";
          case FOCUS -> " with focus";
          case PRESSED -> " when pressed";
          case CURRENT -> " while on";
          case DISABLED -> " when disabled";
        };
    String property = setting(key.property()).label();
    return label
        + when
        + ", "
        + property.substring(0, 1).toLowerCase(java.util.Locale.ROOT)
        + property.substring(1);
  }

  @Override
  public String toString() {
    return id.toString();
  }
}
