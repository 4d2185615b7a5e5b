import type { Belt } from './belt';
import type { Clock } from './clock';
import { glide } from './glide';
import { landing } from './landing';
import { nearest } from './measures';

/** Who made it move, as `giostra:change` tells. */
export type Cause = 'arrow' | 'mark' | 'drag' | 'wheel' | 'neighbour' | 'script';

/**
 * Turns a track from stop to stop.
 * @param marked called when a stop is gone to, before anything moves
 * @param told called when it is another one than before, after that
 */
export function turning(
  belt: Belt,
  clock: Clock,
  marked: (stop: number) => void,
  told: (from: number, to: number, cause: Cause) => void,
) {
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  /** Stops what is under way, if something is. */
  let halt: (() => void) | undefined;
  /** Where the last change leads, and whether a finger caught it on the way. */
  let aim = 0;
  let caught = false;

  function rest() {
    halt?.();
    halt = undefined;
    belt.rest();
  }
  /** Goes to a stop; `place` is its position, a round or more away where the track has no end. */
  function go(stop: number, place: number, cause: Cause, speed = 0) {
    const from = belt.stop;
    aim = place;
    belt.stop = stop;
    marked(stop);
    halt?.();
    if (calm.matches) rest();
    else halt = glide(clock, belt.position, place, speed, belt.draw, rest);
    if (from !== stop) told(from, stop, cause);
  }
  /** Measures, unless something is under way, whose measures hold. */
  function ready() {
    if (!halt) belt.measured();
    return belt.moves() ? belt.track : undefined;
  }
  return {
    rest,
    /** What is under way comes to rest at once. */
    still: () => halt && rest(),
    halt: () => halt?.(),
    step(by: 1 | -1) {
      const at = ready();
      if (!at) return;
      const { band } = belt;
      const count = band.starts.length;
      const stop = band.loops ? (belt.stop + by + count) % count : belt.stop + by;
      if (stop < 0 || stop >= count) return;
      let place = at.offsets[stop] ?? 0;
      if (band.loops) {
        // From where the last step leads, so that quick steps add up.
        const base = belt.place(belt.stop, halt ? aim : belt.position);
        place = nearest(at, place, base);
        if ((place - base) * by <= 0) place += by * at.round;
      }
      go(stop, place, 'arrow');
    },
    to(stop: number, cause: Cause) {
      if (ready() && stop !== belt.stop) go(stop, belt.place(stop, belt.position), cause);
    },
    grab() {
      caught = halt !== undefined;
      ready();
      halt?.();
      halt = undefined;
      return caught;
    },
    settle(speed: number, cause: Cause) {
      if (!belt.track) return;
      const end = landing(belt.track, belt.position, speed, caught ? aim : undefined);
      caught = false;
      go(end.to, end.place, cause, speed);
    },
  };
}
