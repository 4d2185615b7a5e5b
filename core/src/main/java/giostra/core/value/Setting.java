package giostra.core.value;

/**
 * One thing that can be set: what it is called, what it may be, whether it differs by band.
 *
 * @param id its key in documents, in camel case, unique within a type of node
 * @param label what people read
 * @param kind what values there are
 * @param byBand whether bands may differ
 * @param initial the value where nobody has set one
 * @param home the step that it is set in
 * @param <T> the type of a value
 */
public record Setting<T>(
    String id, String label, Kind<T> kind, boolean byBand, T initial, Step home) {

  /** A setting that may differ by band. */
  public static <T> Setting<T> byBand(String id, String label, Kind<T> kind, T initial) {
    return new Setting<>(id, label, kind, true, initial, Step.ARRANGE);
  }

  /** A setting with one value for all bands. */
  public static <T> Setting<T> once(String id, String label, Kind<T> kind, T initial) {
    return new Setting<>(id, label, kind, false, initial, Step.FILL);
  }

  /** The same under another name for people. */
  public Setting<T> called(String other) {
    return new Setting<>(id, other, kind, byBand, initial, home);
  }

  /** The same, at home in another step. */
  public Setting<T> in(Step other) {
    return new Setting<>(id, label, kind, byBand, initial, other);
  }

  /** Whether it is of what happens in time. */
  public boolean drives() {
    return home == Step.DRIVE;
  }

  /**
   * The value that a raw one stands for.
   *
   * @throws Refused naming this setting, the value and what is allowed
   */
  public T read(Object raw) {
    if (raw instanceof String text) {
      // Paths of own icons and rows of spreadsheets bring the line ends of their systems.
      Require.text(label, text.replace('\r', ' '), kind::allowed);
    }
    T value = kind.read(label, raw);
    // What is kept is what is written: a length has four decimals, however many were typed.
    return kind.rounds() ? kind.read(label, kind.write(value)) : value;
  }

  /** The value as JSON has it. */
  @SuppressWarnings("unchecked") // values are only ever put in through this setting
  public Object write(Object value) {
    return kind.write((T) value);
  }
}
