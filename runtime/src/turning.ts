import type { Belt } from './belt';
import type { Clock } from './clock';
import { glide } from './glide';
import type { Shown } from './kinds';
import { landing } from './landing';
import { nearest } from './measures';
import type { ways } from './ways';

/** Who made it move, as `giostra:change` tells. */
export type Cause = 'arrow' | 'mark' | 'drag' | 'wheel' | 'neighbour' | 'script' | 'itself';

/** Who listens to what turns. */
export interface Turned {
  /** A stop is gone to; called before anything moves. */
  marked(stop: number): void;
  /** It is another one than before; called after that. */
  told(from: number, to: number, cause: Cause): void;
  /** It goes: where to, by whom, whether back, and how many ms that takes, where that is said. */
  goes(to: number, cause: Cause, back: boolean, ms: number): void;
  /** It has come to rest. */
  rested(): void;
}

/**
 * Turns a track from stop to stop: it glides, or changes in the ways that a script lends which only
 * some pages have.
 */
export function turning(belt: Belt, clock: Clock, turned: Turned) {
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  let lent: ReturnType<typeof ways> | undefined;
  const ask = () => {
    lent ??= window.giostra.lent.ways?.(belt, clock, turned, { beside, place });
    return lent;
  };
  /** Stops the glide that is under way, if one is. */
  let halt: (() => void) | undefined;
  /** Where the last change leads, and whether a finger caught it on the way. */
  let aim = 0;
  let caught = false;

  const busy = () => halt !== undefined || lent?.busy() === true;
  function still() {
    halt?.();
    halt = undefined;
  }
  function rest() {
    still();
    lent?.drop();
    belt.rest();
  }
  function done() {
    rest();
    turned.rested();
  }
  /**
   * Goes to a stop; `to` is its position, a round or more away where the track has no end.
   * @returns ms that it takes, where that is said
   */
  function go(stop: number, to: number, cause: Cause, back: boolean, speed = 0): number {
    const from = belt.stop;
    const other = from !== stop;
    aim = to;
    still();
    lent?.cut();
    const ms = (other && ask()?.takes(stop)) || 0;
    if (other) turned.goes(stop, cause, back, ms);
    if (calm.matches || !other || !ask()?.go(stop, to, cause, back, done)) {
      belt.stop = stop;
      turned.marked(stop);
      if (calm.matches) done();
      else halt = glide(clock, belt.position, to, speed, belt.draw, done);
    }
    if (other) turned.told(from, stop, cause);
    return ms;
  }
  /** Measures, unless something is under way, whose measures hold. */
  function ready() {
    if (!busy()) belt.measured();
    return belt.moves() ? belt.track : undefined;
  }
  function beside(from: number, by: 1 | -1) {
    const count = belt.band.starts.length;
    const stop = belt.band.loops ? (from + by + count) % count : from + by;
    return stop < 0 || stop >= count ? undefined : stop;
  }
  function place(stop: number, by: 1 | -1) {
    const at = belt.track;
    const to = at?.offsets[stop] ?? 0;
    if (!at || !belt.band.loops) return to;
    // From where the last step leads, so that quick steps add up.
    const base = belt.place(belt.stop, busy() ? aim : belt.position);
    const near = nearest(at, to, base);
    return (near - base) * by <= 0 ? near + by * at.round : near;
  }
  return {
    rest,
    /** What is under way comes to rest at once. */
    still: () => busy() && done(),
    halt() {
      still();
      lent?.drop();
    },
    step(by: 1 | -1) {
      const stop = ready() && beside(belt.stop, by);
      if (stop !== undefined) go(stop, place(stop, by), 'arrow', by < 0);
    },
    to(stop: number, cause: Cause) {
      if (ready() && stop !== belt.stop) {
        go(stop, belt.place(stop, belt.position), cause, stop < belt.stop);
      }
    },
    /** By itself; says how long it takes. */
    goes: (stop: number, back: boolean) =>
      ready() ? go(stop, place(stop, back ? -1 : 1), 'itself', back) : 0,
    grab() {
      const drawn = lent?.busy() && !lent.moves();
      caught = busy() && !drawn;
      if (drawn) done();
      ready();
      still();
      lent?.cut();
      return caught;
    },
    /** Draws a change as far as a hand has gone, px; not where the track itself moves. */
    scrub: (px: number) => !calm.matches && ask()?.scrub(px) === true,
    settle(speed: number, cause: Cause, px: number) {
      if (!belt.track || lent?.settle(speed, cause, px, done)) return;
      const end = landing(belt.track, belt.position, speed, caught ? aim : undefined);
      caught = false;
      go(end.to, end.place, cause, end.place < belt.position, speed);
    },
    /** Draws what shows at some time; says how many ms what shows takes to come in. */
    show(at: Shown): number {
      still();
      return ask()?.show(at, calm.matches) ?? 0;
    },
  };
}
