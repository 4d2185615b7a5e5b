package giostra.core.tempo;

import giostra.core.value.Easing;
import giostra.core.value.Require;
import java.time.Duration;

/** How a number runs from one value to another. */
public sealed interface Count {
  /** Where it begins. */
  double start();

  /** Where it ends, exactly. */
  double end();

  /** How long it takes. */
  Duration length();

  /** The value so many ms after the start; the end from {@link #length()} on. */
  double at(long ms);

  /** Over a span of time, along a curve. */
  record Timed(double start, double end, Duration length, Easing easing) implements Count {
    public Timed {
      Require.above(0, "duration (ms)", length.toMillis());
    }

    @Override
    public double at(long ms) {
      return ms >= length.toMillis()
          ? end
          : start + (end - start) * easing.at((double) ms / length.toMillis());
    }
  }

  /** A step at each beat, towards the end; the last one lands on it. */
  record Stepped(double start, double end, double step, Duration beat) implements Count {
    public Stepped {
      Require.above(0, "step", step);
      Require.above(0, "beat (ms)", beat.toMillis());
    }

    /** Beats until it is there. */
    public long beats() {
      // Less a hair: 0.3 by 0.1 are three steps, whatever binary fractions make of them.
      return (long) Math.ceil(Math.abs(end - start) / step - 1e-9);
    }

    @Override
    public Duration length() {
      return beat.multipliedBy(beats());
    }

    @Override
    public double at(long ms) {
      long done = ms / beat.toMillis();
      return done >= beats() ? end : start + Math.signum(end - start) * step * done;
    }
  }

  /** A count over a span of time. */
  static Count timed(double start, double end, Duration length, Easing easing) {
    return new Timed(start, end, length, easing);
  }

  /** A count by steps. */
  static Count stepped(double start, double end, double step, Duration beat) {
    return new Stepped(start, end, step, beat);
  }

  /** The values between which it runs: its ends, and what it overshoots to. */
  default double[] range() {
    double low = Math.min(start(), end());
    double high = Math.max(start(), end());
    if (this instanceof Timed(var start, var end, _, var easing)) {
      for (int i = 1; i < 200; i++) {
        double value = start + (end - start) * easing.at(i / 200.0);
        low = Math.min(low, value);
        high = Math.max(high, value);
      }
    }
    return new double[] {low, high};
  }
}
