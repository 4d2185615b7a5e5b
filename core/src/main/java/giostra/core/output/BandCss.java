package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Declarations that may differ by band. What the widest band says is written for all; the others
 * write, in a media query of their own, only what differs. The queries do not overlap, so nothing
 * depends on their order.
 */
public final class BandCss {
  private final Bands bands;
  private final Map<String, Map<String, Map<String, String>>> rules = new LinkedHashMap<>();

  /** For rules by band. */
  public BandCss(Bands bands) {
    this.bands = bands;
  }

  /**
   * Declares a property.
   *
   * @param value asked for each band
   */
  public void put(String selector, String property, Function<Band, String> value) {
    var byBand = new LinkedHashMap<String, String>();
    bands.all().forEach(band -> byBand.put(band.id(), value.apply(band)));
    rules.computeIfAbsent(selector, _ -> new LinkedHashMap<>()).put(property, byBand);
  }

  /**
   * The rules of a band as text: all that the widest says, and of the others what differs from it.
   */
  public Map<String, List<String>> byBand() {
    String lead = bands.lead().id();
    var all = new LinkedHashMap<String, List<String>>();
    for (Band band : bands.widestFirst()) {
      var own = new ArrayList<String>();
      String unless = band.id().equals(lead) ? null : lead;
      rules.forEach((selector, properties) -> {
        String body = body(properties, band.id(), unless);
        if (!body.isEmpty()) {
          own.add(selector + "{" + body + "}");
        }
      });
      all.put(band.id(), List.copyOf(own));
    }
    return all;
  }

  private static String body(
      Map<String, Map<String, String>> properties, String band, @Nullable String unless) {
    var body = new StringBuilder();
    properties.forEach((property, byBand) -> {
      String value = byBand.get(band);
      if (unless == null || !Objects.equals(value, byBand.get(unless))) {
        body.append(body.isEmpty() ? "" : ";").append(property).append(':').append(value);
      }
    });
    return body.toString();
  }
}
