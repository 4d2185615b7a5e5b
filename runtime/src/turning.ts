import type { Belt } from './belt';
import type { Clock } from './clock';
import { glide } from './glide';
import type { Shown } from './kinds';
import { landing } from './landing';
import { nearest } from './measures';
import type { ways } from './ways';

/** Who made it move, as `giostra:change` tells. */
export type Cause = 'arrow' | 'mark' | 'drag' | 'wheel' | 'neighbour' | 'script' | 'itself';

/** Speed from which a release carries a change through, in px per ms. */
const CARRIED = 0.3;

/** Who listens to what turns. */
export interface Turned {
  /** A stop is gone to; called before anything moves. */
  marked(stop: number): void;
  /** It is another one than before; called after that. */
  told(from: number, to: number, cause: Cause): void;
  /** It goes: by whom, whether back, and how many ms that takes, where that is said. */
  goes(cause: Cause, back: boolean, ms: number): void;
  /** It has come to rest. */
  rested(): void;
}

/** Turns a track from stop to stop. */
export function turning(belt: Belt, clock: Clock, turned: Turned) {
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  let lent: ReturnType<typeof ways> | undefined;
  /** Those that are lent, once they are: on a page that needs none they are not there. */
  const ask = () => {
    lent ??= window.giostra.lent.ways?.(belt);
    return lent;
  };
  /** Stops what is under way, if something is. */
  let halt: (() => void) | undefined;
  /** Where the last change leads, and whether a finger caught it on the way. */
  let aim = 0;
  let caught = false;
  /** A change that a hand, or whoever holds the time, draws: from where to where. */
  let held:
    | {
        from: number;
        to: number;
        drawn: ReturnType<ReturnType<typeof ways>['open']>;
        key: string;
        moves: boolean;
      }
    | undefined;

  function rest() {
    halt?.();
    halt = undefined;
    held?.drawn?.end();
    held = undefined;
    belt.rest();
  }
  /** Lets go of a change that is drawn: what comes in is there, unless the track itself moves. */
  function letGo() {
    if (!held) return;
    if (!held.moves) return rest();
    held.drawn?.end();
    held = undefined;
  }
  function done() {
    rest();
    turned.rested();
  }
  /**
   * Goes to a stop; `place` is its position, a round or more away where the track has no end.
   * @returns ms that it takes, where that is said
   */
  function go(stop: number, place: number, cause: Cause, back: boolean, speed = 0): number {
    const from = belt.stop;
    const takes = ask()?.peek(stop)?.[2] ?? 0;
    const chosen = from === stop ? undefined : ask()?.next(stop, cause);
    aim = place;
    if (halt) {
      // What was coming in is there; a track is caught on its way.
      halt();
      halt = undefined;
      letGo();
    }
    if (from !== stop) turned.goes(cause, back, takes);
    const drawn = calm.matches || !chosen ? undefined : ask()?.open(stop, place, chosen, back);
    belt.stop = stop;
    turned.marked(stop);
    if (calm.matches || (chosen && !drawn)) done();
    else if (drawn && lent) {
      held = { from, to: stop, drawn, key: '', moves: chosen?.[0] === 'move' };
      const began = clock.now();
      halt = lent.run(clock, drawn, 0, 1, () => {
        halt = undefined;
        ask()?.spoken(clock, drawn.ms, began);
        done();
      });
    } else halt = glide(clock, belt.position, place, speed, belt.draw, done);
    if (from !== stop) turned.told(from, stop, cause);
    return drawn?.ms ?? 0;
  }
  /** Measures, unless something is under way, whose measures hold. */
  function ready() {
    if (!halt) belt.measured();
    return belt.moves() ? belt.track : undefined;
  }
  /** The stop so many further on, if there is one. */
  function beside(by: 1 | -1) {
    const count = belt.band.starts.length;
    const stop = belt.band.loops ? (belt.stop + by + count) % count : belt.stop + by;
    return stop < 0 || stop >= count ? undefined : stop;
  }
  function placeOf(stop: number, by: 1 | -1) {
    const at = belt.track;
    if (!at) return 0;
    let place = at.offsets[stop] ?? 0;
    if (!belt.band.loops) return place;
    // From where the last step leads, so that quick steps add up.
    const base = belt.place(belt.stop, halt ? aim : belt.position);
    place = nearest(at, place, base);
    return (place - base) * by <= 0 ? place + by * at.round : place;
  }
  return {
    rest,
    /** What is under way comes to rest at once. */
    still: () => halt && done(),
    halt: () => {
      halt?.();
      held?.drawn?.end();
    },
    step(by: 1 | -1) {
      if (!ready()) return;
      const stop = beside(by);
      if (stop !== undefined) go(stop, placeOf(stop, by), 'arrow', by < 0);
    },
    to(stop: number, cause: Cause) {
      if (ready() && stop !== belt.stop) {
        go(stop, belt.place(stop, belt.position), cause, stop < belt.stop);
      }
    },
    /** By itself; says how long it takes. */
    goes(stop: number, back: boolean) {
      if (!ready()) return 0;
      return go(stop, placeOf(stop, back ? -1 : 1), 'itself', back);
    },
    grab() {
      caught = halt !== undefined && (!held || held.moves);
      if (held && !held.moves) done();
      halt?.();
      if (!caught) halt = undefined;
      ready();
      halt = undefined;
      letGo();
      return caught;
    },
    /** Draws a change as far as a hand has gone, px; not where the track itself moves. */
    scrub(px: number): boolean {
      const from = held?.from ?? belt.stop;
      const at = belt.track;
      if (calm.matches || !at || !ask()) return false;
      const by = px < 0 ? -1 : 1;
      const now = belt.stop;
      belt.stop = from;
      const to = px === 0 ? undefined : beside(by);
      belt.stop = now;
      const chosen = to === undefined ? ask()?.any(from) : ask()?.peek(to);
      if (!chosen || chosen[0] === 'move') return false;
      if (held && held.to !== to) {
        held.drawn?.end();
        held = undefined;
        belt.stop = from;
        belt.rest();
      }
      if (to === undefined) return true;
      if (!held) {
        held = { from, to, drawn: ask()?.open(to, 0, chosen, by < 0), key: '', moves: false };
        belt.stop = to;
      }
      held.drawn?.at(Math.min(1, Math.abs(px) / at.inner));
      return true;
    },
    settle(speed: number, cause: Cause, px: number) {
      if (!belt.track) return;
      if (held && lent) {
        const { from, to, drawn } = held;
        const share = Math.min(1, Math.abs(px) / belt.track.inner);
        const on = speed * Math.sign(px);
        const through = on > CARRIED || (share > 0.5 && on > -CARRIED);
        if (through) {
          ask()?.next(to, cause);
          turned.goes(cause, px < 0, 0);
          turned.marked(to);
          turned.told(from, to, cause);
        }
        const end = () => {
          halt = undefined;
          if (through && drawn) ask()?.spoken(clock, drawn.ms, clock.now() - drawn.ms);
          if (!through) belt.stop = from;
          done();
        };
        if (drawn) halt = lent.run(clock, drawn, share, through ? 1 : 0, end);
        else end();
        return;
      }
      const end = landing(belt.track, belt.position, speed, caught ? aim : undefined);
      caught = false;
      go(end.to, end.place, cause, end.place < belt.position, speed);
    },
    /** Draws what shows at some time. */
    show({ stop, next = stop, way: at = 0, back = false, share = 0, since }: Shown) {
      const key = [stop, next, at, back, innerWidth].join(' ');
      if (held?.key !== key || next === stop) {
        halt?.();
        halt = undefined;
        held?.drawn?.end();
        held = undefined;
        if (belt.stop !== stop || next !== stop || !belt.track) {
          belt.stop = stop;
          belt.rest();
        }
        turned.marked(next);
        if (next !== stop) {
          const place = placeOf(next, back ? -1 : 1);
          const chosen = ask()?.at(next, at);
          held = {
            from: stop,
            to: next,
            drawn: chosen && !calm.matches ? ask()?.open(next, place, chosen, back) : undefined,
            key,
            moves: false,
          };
          belt.stop = next;
          if (!held.drawn) belt.rest();
        }
      }
      if (next !== stop && held?.drawn) held.drawn.at(share);
      else ask()?.said(since);
    },
  };
}
