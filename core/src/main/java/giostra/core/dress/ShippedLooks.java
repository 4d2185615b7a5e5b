package giostra.core.dress;

import giostra.core.format.LooksJson;
import giostra.core.look.Styles;
import giostra.core.look.Values;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.NodeType;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;

/**
 * The looks that ship with Giostra: some of each kind. Their colours are those of the tone, so that
 * they follow whatever a section wears. They stand in {@code looks.json}, values by part, state and
 * property, which hold from the widest band down.
 */
public final class ShippedLooks {
  /**
   * A look that ships.
   *
   * @param says what it is like, in a few words
   */
  public record Shipped(String id, String name, NodeType of, String says, Styles styles) {
    /** The look for a site whose widest band has an id. */
    public Look look(String band) {
      Values named =
          Values.NONE
              .with(LookSettings.NAME, Values.ALL, name)
              .with(LookSettings.OF, Values.ALL, LookSettings.Of.of(of));
      Styles there = styles.mapBands(all -> Map.of(band, all.values().iterator().next()));
      return new Look(id, named.with(there));
    }
  }

  private static final List<Shipped> ALL = load();

  private ShippedLooks() {}

  /** All of them, kind by kind. */
  public static List<Shipped> all() {
    return ALL;
  }

  /** Those of a kind. */
  public static List<Shipped> of(NodeType kind) {
    return ALL.stream().filter(each -> each.of() == kind).toList();
  }

  private static List<Shipped> load() {
    try (InputStream in = ShippedLooks.class.getResourceAsStream("looks.json")) {
      if (in == null) {
        throw new IllegalStateException("looks.json is not in the core's resources");
      }
      return LooksJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8)).stream()
          .map(each -> new Shipped(each.id(), each.name(), each.of(), each.says(), each.styles()))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
