package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Declarations that may differ by band. What the widest band says is written for all; the others
 * write, in a media query of their own, only what differs. The queries do not overlap, so nothing
 * depends on their order.
 */
final class BandCss {
  private final Bands bands;
  private final Map<String, Map<String, Map<String, String>>> rules = new LinkedHashMap<>();

  BandCss(Bands bands) {
    this.bands = bands;
  }

  /**
   * Declares a property.
   *
   * @param value asked for each band
   */
  void put(String selector, String property, Function<Band, String> value) {
    var byBand = new LinkedHashMap<String, String>();
    bands.all().forEach(band -> byBand.put(band.id(), value.apply(band)));
    rules.computeIfAbsent(selector, _ -> new LinkedHashMap<>()).put(property, byBand);
  }

  /** The CSS text, smallest first that holds everywhere. */
  String css() {
    var out = new StringBuilder();
    String lead = bands.lead().id();
    rules.forEach((selector, properties) -> rule(out, selector, properties, lead, null));
    for (Band band : bands.widestFirst()) {
      if (!band.id().equals(lead)) {
        var inside = new StringBuilder();
        rules.forEach(
            (selector, properties) -> rule(inside, selector, properties, band.id(), lead));
        if (!inside.isEmpty()) {
          out.append("@media ").append(band.query()).append('{').append(inside).append('}');
        }
      }
    }
    return out.toString();
  }

  private static void rule(
      StringBuilder out,
      String selector,
      Map<String, Map<String, String>> properties,
      String band,
      @Nullable String unless) {
    var body = new StringBuilder();
    properties.forEach((property, byBand) -> {
      String value = byBand.get(band);
      if (unless == null || !Objects.equals(value, byBand.get(unless))) {
        body.append(body.isEmpty() ? "" : ";").append(property).append(':').append(value);
      }
    });
    if (!body.isEmpty()) {
      out.append(selector).append('{').append(body).append('}');
    }
  }
}
