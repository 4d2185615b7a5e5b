package giostra.core.page;

import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Kind;
import giostra.core.value.Length;
import giostra.core.value.Nudge;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The parts of a player: each has the ordinary properties in each of its states, by band. A site
 * sets them for all its players, which is the look they share; a video piece sets those in which it
 * departs from it.
 */
public final class PlayerParts {
  /** A part, with its states in the order in which the stronger ones come later. */
  public enum Part {
    START_BUTTON("startButton", "Start button", 24, 200, State.FOCUS, State.HOVER, State.PRESSED),
    BAR("bar", "Bar", 24, 200, State.HOVER),
    BAR_BUTTON(
        "barButton", "Bar button", 24, 96, State.CURRENT, State.FOCUS, State.HOVER, State.PRESSED),
    TRACK("track", "Track", 1, 24, State.FOCUS, State.HOVER),
    TIME("time", "Time", 10, 40);

    private final String id;
    private final String label;
    private final double leastSize;
    private final double mostSize;
    private final List<State> states;

    Part(String id, String label, double leastSize, double mostSize, State... more) {
      this.id = id;
      this.label = label;
      this.leastSize = leastSize;
      this.mostSize = mostSize;
      var all = new ArrayList<State>(List.of(State.REST));
      all.addAll(List.of(more));
      this.states = List.copyOf(all);
    }

    /** How the ids of its settings begin. */
    public String id() {
      return id;
    }

    /** What people read. */
    public String label() {
      return label;
    }

    /** The states it can be in, at rest first. */
    public List<State> states() {
      return states;
    }

    /** Whether it holds an icon, which can be nudged. */
    public boolean hasIcon() {
      return this == START_BUTTON || this == BAR_BUTTON;
    }
  }

  /** What can be said of a part in a state. */
  public enum Property {
    SIZE("size"),
    PADDING("padding"),
    CORNERS("corners"),
    COLOUR("colour"),
    GROUND("ground"),
    PICTURE("picture as ground"),
    BORDER("border"),
    BORDER_COLOUR("border’s colour"),
    NUDGE("icon nudged");

    private final String label;

    Property(String label) {
      this.label = label;
    }

    /** What people read, as it goes on a sentence. */
    public String label() {
      return label;
    }
  }

  /**
   * A property of a part in a state.
   *
   * @param rest the same property at rest, which holds where this state says nothing
   */
  public record Styled<T>(
      Part part, State state, Property property, Setting<T> setting, Setting<T> rest) {}

  private static final Map<String, Styled<?>> BY_ID = new LinkedHashMap<>();

  static {
    for (Part part : Part.values()) {
      for (State state : part.states()) {
        for (Property property : Property.values()) {
          boolean icon = part.hasIcon() && state == State.REST;
          if (property != Property.NUDGE || icon) {
            Styled<?> made = made(part, state, property);
            BY_ID.put(made.setting().id(), made);
          }
        }
      }
    }
  }

  /** All settings of all parts. */
  public static final List<Setting<?>> ALL =
      BY_ID.values().stream().<Setting<?>>map(Styled::setting).toList();

  private PlayerParts() {}

  /** What part, state and property a setting speaks of, if any. */
  public static Optional<Styled<?>> of(Setting<?> setting) {
    Styled<?> found = BY_ID.get(setting.id());
    return found != null && found.setting() == setting ? Optional.of(found) : Optional.empty();
  }

  /** All that can be said of a part, state by state. */
  public static List<Styled<?>> of(Part part) {
    return BY_ID.values().stream().filter(each -> each.part() == part).toList();
  }

  /**
   * A property of a part.
   *
   * @throws IllegalArgumentException when the part has no such state, or no icon to nudge
   */
  @SuppressWarnings("unchecked") // the kind of a property is the caller's knowledge
  public static <T> Styled<T> of(Part part, State state, Property property) {
    Styled<?> found = BY_ID.get(id(part, state, property));
    if (found == null) {
      throw new IllegalArgumentException(part + " has no " + property + " for " + state);
    }
    return (Styled<T>) found;
  }

  /** What values say of a property, by state, all under its setting at rest. */
  public static Map<State, Values> said(Values values, Styled<?> styled) {
    var said = new EnumMap<State, Values>(State.class);
    for (State state : styled.part().states()) {
      Map<String, Object> own = values.set().get(id(styled.part(), state, styled.property()));
      if (own != null) {
        said.put(state, new Values(new TreeMap<>(Map.of(styled.rest().id(), own))));
      }
    }
    return said;
  }

  /**
   * The states that hold when a part is in one: what is pressed with a mouse is under it as well.
   */
  public static Set<State> with(State state) {
    return state == State.PRESSED ? Set.of(State.PRESSED, State.HOVER) : Set.of(state);
  }

  /**
   * What holds where nobody has said anything, by state; at rest it is the setting's initial value.
   *
   * @param band id of the widest band
   */
  public static Map<State, Values> initially(Styled<?> styled, String band) {
    var said = new EnumMap<State, Values>(State.class);
    for (State state : styled.part().states()) {
      Object initial = initial(styled.part(), state, styled.property());
      if (state != State.REST && initial != null) {
        said.put(state, Values.NONE.withRaw(styled.rest().id(), band, initial));
      }
    }
    return said;
  }

  private static String id(Part part, State state, Property property) {
    String name = state == State.REST ? "" : capital(state.name());
    var id = new StringBuilder(part.id()).append(name);
    for (String word : property.name().split("_")) {
      id.append(capital(word));
    }
    return id.toString();
  }

  private static String capital(String word) {
    return word.charAt(0) + word.substring(1).toLowerCase(Locale.ROOT);
  }

  private static Styled<?> made(Part part, State state, Property property) {
    return switch (property) {
      case SIZE -> made(part, state, property, new Kind.Size(part.leastSize, part.mostSize, false));
      case PADDING -> made(part, state, property, new Kind.Size(0, 60, false));
      case CORNERS -> made(part, state, property, new Kind.Size(0, 200));
      case COLOUR, BORDER_COLOUR -> made(part, state, property, new Kind.Paint());
      case GROUND -> made(part, state, property, new Kind.Under());
      case PICTURE -> made(part, state, property, new Kind.Picture());
      case BORDER -> made(part, state, property, new Kind.Size(0, 20, false));
      case NUDGE -> made(part, state, property, new Kind.Moved());
    };
  }

  @SuppressWarnings("unchecked") // initial() gives values of the property's kind
  private static <T> Styled<T> made(Part part, State state, Property property, Kind<T> kind) {
    T rest = (T) initial(part, State.REST, property);
    T said = (T) initial(part, state, property);
    T own =
        said == null && state == State.PRESSED ? (T) initial(part, State.HOVER, property) : said;
    if (rest == null) {
      throw new IllegalStateException(part + " has no " + property + " at rest");
    }
    String when =
        switch (state) {
          case REST -> "";
          case HOVER -> " on hover";
          case FOCUS -> " with focus";
          case PRESSED -> " when pressed";
          case CURRENT -> " while on";
          case DISABLED -> " when disabled";
        };
    Setting<T> setting =
        Setting.byBand(
            id(part, state, property),
            part.label() + when + ", " + property.label(),
            kind,
            own == null ? rest : own);
    Setting<T> atRest =
        state == State.REST ? setting : PlayerParts.<T>of(part, State.REST, property).setting();
    return new Styled<>(part, state, property, setting, atRest);
  }

  /** Initial values: light signs on dark glass. Our own; no source. */
  private static @Nullable Object initial(Part part, State state, Property property) {
    boolean rest = state == State.REST;
    return switch (property) {
      case SIZE ->
          rest
              ? Length.px(
                  switch (part) {
                    case START_BUTTON -> 76;
                    case BAR -> 62;
                    case BAR_BUTTON -> 36;
                    case TRACK -> 4;
                    case TIME -> 14;
                  })
              : null;
      case PADDING ->
          rest
              ? Length.px(
                  switch (part) {
                    case START_BUTTON -> 20;
                    case BAR, TRACK, TIME -> 6;
                    case BAR_BUTTON -> 8;
                  })
              : null;
      case CORNERS ->
          rest
              ? switch (part) {
                case START_BUTTON -> Length.percent(50);
                case BAR, TIME -> Length.px(0);
                case BAR_BUTTON -> Length.px(6);
                case TRACK -> Length.px(2);
              }
              : null;
      case COLOUR -> rest ? Colour.parse(part == Part.TRACK ? "#f0c261" : "#fffdf6") : null;
      case GROUND -> ground(part, state);
      case PICTURE -> rest ? "" : null;
      case BORDER -> rest ? Length.px(part == Part.START_BUTTON ? 2 : 0) : null;
      case BORDER_COLOUR -> border(part, state);
      case NUDGE -> rest ? (part == Part.START_BUTTON ? new Nudge(1.9, 0) : Nudge.NONE) : null;
    };
  }

  private static @Nullable Ground ground(Part part, State state) {
    String written =
        switch (part) {
          case START_BUTTON ->
              switch (state) {
                case REST -> "#11201dd1";
                case HOVER -> "#11201d";
                case PRESSED -> "#0a1412";
                default -> "";
              };
          case BAR -> state == State.REST ? "linear-gradient(180deg,#0a141200,#0a1412db 45%)" : "";
          case BAR_BUTTON ->
              switch (state) {
                case REST -> "transparent";
                case HOVER -> "#fffdf629";
                case PRESSED -> "#fffdf647";
                default -> "";
              };
          case TRACK -> state == State.REST ? "#fffdf659" : "";
          case TIME -> state == State.REST ? "transparent" : "";
        };
    return written.isEmpty() ? null : Ground.parse(written);
  }

  private static @Nullable Colour border(Part part, State state) {
    return switch (state) {
      case REST -> Colour.parse(part == Part.START_BUTTON ? "#fffdf6b3" : "#fffdf6");
      case HOVER -> part == Part.START_BUTTON ? Colour.parse("#fffdf6") : null;
      default -> null;
    };
  }
}
