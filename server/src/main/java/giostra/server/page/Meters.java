package giostra.server.page;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import org.springframework.stereotype.Component;

/**
 * How long what people wait for takes, for {@code /actuator/metrics/giostra.edit} and its like, on
 * the port that is for this machine alone.
 */
@Component
class Meters {
  /** Edits of a page, from reading them to the change being kept. */
  final Timer edit;

  /** Pages that are compiled: for a stage, a preview, a release. */
  final Timer compile;

  /** Pages whose findings are gathered. */
  final Timer sweep;

  Meters(MeterRegistry registry) {
    edit = timer(registry, "giostra.edit");
    compile = timer(registry, "giostra.compile");
    sweep = timer(registry, "giostra.sweep");
  }

  private static Timer timer(MeterRegistry registry, String name) {
    return Timer.builder(name).publishPercentiles(0.5, 0.95, 0.99).register(registry);
  }
}
