import type { Belt } from './belt';
import { change, words as said } from './change';
import type { Clock } from './clock';
import type { Drawn } from './drawing';
import { goOn, run } from './drawing';
import type { Shown } from './kinds';
import type { Way } from './plan';
import type { Cause, Turned } from './turning';

/** Speed from which a release carries a change through, in px per ms. */
const CARRIED = 0.3;

/** What the track knows of its stops. */
export interface Stops {
  /** The stop so many further on than one, if there is one. */
  beside(stop: number, by: 1 | -1): number | undefined;
  /** Where a stop lies in a direction. */
  place(stop: number, by: 1 | -1): number;
}

/** A change that is drawn: from where to where. */
interface Held {
  readonly from: number;
  readonly to: number;
  /** Nothing for a cut. */
  readonly drawn: (Drawn & { since(ms: number): void }) | undefined;
  readonly moves: boolean;
  readonly key: string;
}

/** The ways by which the stops of a track come in, each in its turn, and whatever draws them. */
export function ways(belt: Belt, clock: Clock, turned: Turned, stops: Stops) {
  /** How often each item has come in, by its place among all. */
  const times = new Map<number, number>();
  let held: Held | undefined;
  let halt: (() => void) | undefined;
  /** Words that a stop says once more while its time is drawn. */
  let speaking: { stop: number; all: readonly Animation[] } | undefined;

  const item = (stop: number) =>
    belt.all.indexOf(belt.items[belt.band.starts[stop] ?? 0] as HTMLElement);
  const turns = (stop: number) => belt.turns?.[belt.band.ways?.[item(stop)] ?? -1];
  /** Where an item would have to be in two places the track moves. */
  const taken = (way: Way | undefined): Way | undefined =>
    way && !belt.band.apart && way[0] !== 'cut' ? ['move', way[1], way[2], way[3]] : way;
  const peek = (stop: number) => {
    const list = turns(stop);
    const count = times.get(item(stop)) ?? 0;
    return taken(list?.by[list.order[count % list.order.length] ?? 0]);
  };
  /** How a stop comes in now; nothing where a hand has the track glide. */
  function next(stop: number, cause: Cause): Way | undefined {
    const way = peek(stop);
    times.set(item(stop), (times.get(item(stop)) ?? 0) + 1);
    const glides = cause !== 'itself' && turns(stop)?.glide === true;
    // What a finger throws goes on as it was thrown.
    const thrown = (cause === 'drag' || cause === 'wheel') && way?.[0] === 'move';
    return glides || thrown ? undefined : way;
  }
  function open(to: number, place: number, way: Way, back: boolean, key = ''): Held {
    const from = belt.stop;
    const cut = way[0] === 'cut';
    const drawn = cut ? undefined : change(belt, to, place, way, back, belt.band.words);
    belt.stop = to;
    held = { from, to, drawn, moves: way[0] === 'move', key };
    return held;
  }
  function drop() {
    halt?.();
    halt = undefined;
    held?.drawn?.end();
    held = undefined;
  }
  /** What is still being said when a change is over goes on. */
  function spoken(ms: number, began: number) {
    const { words } = belt.band;
    if (!words) return;
    const all = said(belt.shown(belt.stop), words, ms);
    if (clock.own) {
      for (const each of all) {
        each.onfinish = () => each.cancel();
        if (!goOn(each, clock.now() - began)) each.cancel();
      }
      return;
    }
    const last = Math.max(
      0,
      ...all.map((each) => Number(each.effect?.getComputedTiming().endTime)),
    );
    const step = (now: number) => {
      for (const each of all) each.currentTime = now - began;
      if (now - began < last) clock.frame(step);
      else for (const each of all) each.cancel();
    };
    step(clock.now());
  }
  /** Draws how far the words of the stop that shows have come in. */
  function speak(since: number | undefined) {
    const { words } = belt.band;
    const { stop } = belt;
    if (speaking && (since === undefined || speaking.stop !== stop)) {
      for (const each of speaking.all) each.cancel();
      speaking = undefined;
    }
    if (!words || since === undefined) return;
    speaking ??= { stop, all: said(belt.shown(stop), words, peek(stop)?.[2] ?? 0) };
    for (const each of speaking.all) each.currentTime = since;
  }
  return {
    drop,
    busy: () => halt !== undefined,
    /** Whether it is the track itself that moves. */
    moves: () => held?.moves === true,
    /** Ends what is drawn: what comes in is there, but for a track, which stays where it is. */
    cut() {
      const there = held && !held.moves;
      drop();
      if (there) belt.rest();
    },
    /** Ms that a stop takes to come in now. */
    takes: (stop: number) => peek(stop)?.[2] ?? 0,
    /** Changes into a stop in its way; says whether it has one. */
    go(stop: number, place: number, cause: Cause, back: boolean, done: () => void): boolean {
      const way = next(stop, cause);
      if (!way) return false;
      const { drawn } = open(stop, place, way, back);
      turned.marked(stop);
      if (!drawn) {
        done();
        return true;
      }
      const began = clock.now();
      halt = run(clock, drawn, 0, 1, () => {
        halt = undefined;
        spoken(drawn.ms, began);
        done();
      });
      return true;
    },
    /** Draws a change as far as a hand has gone, px; not where the track itself moves. */
    scrub(px: number): boolean {
      const from = held?.from ?? belt.stop;
      const by = px < 0 ? -1 : 1;
      const to = px === 0 ? undefined : stops.beside(from, by);
      const way = to === undefined ? taken(turns(from)?.by[0]) : peek(to);
      if (!belt.track || !way || way[0] === 'move') return false;
      if (held && held.to !== to) {
        drop();
        belt.stop = from;
        belt.rest();
      }
      if (to === undefined) return true;
      if (!held) open(to, 0, way, by < 0);
      held?.drawn?.at(Math.min(1, Math.abs(px) / belt.track.inner));
      return true;
    },
    /** A hand lets go of what it has drawn; says whether there was something. */
    settle(speed: number, cause: Cause, px: number, done: () => void): boolean {
      if (!held || !belt.track) return false;
      const { from, to, drawn } = held;
      const share = Math.min(1, Math.abs(px) / belt.track.inner);
      const on = speed * Math.sign(px);
      const through = on > CARRIED || (share > 0.5 && on > -CARRIED);
      if (through) {
        next(to, cause);
        turned.goes(to, cause, px < 0, 0);
        turned.marked(to);
        turned.told(from, to, cause);
      }
      const end = () => {
        halt = undefined;
        if (through && drawn) spoken(drawn.ms, clock.now() - drawn.ms);
        if (!through) belt.stop = from;
        done();
      };
      if (drawn) halt = run(clock, drawn, share, through ? 1 : 0, end);
      else end();
      return true;
    },
    /** Draws what shows at some time. */
    show(at: Shown, calm: boolean): number {
      const { stop, next: to = stop, way = 0, back = false, share = 0, since } = at;
      const key = [stop, to, way, back, window.innerWidth].join(' ');
      if (held?.key !== key || to === stop) {
        drop();
        if (belt.stop !== stop || to !== stop || !belt.track) {
          belt.stop = stop;
          belt.rest();
        }
        turned.marked(to);
        const chosen = taken(typeof way === 'number' ? turns(to)?.by[way] : way);
        if (to !== stop) {
          speak(undefined);
          const cut = calm || !chosen;
          const place = stops.place(to, back ? -1 : 1);
          const { drawn } = open(to, place, cut ? ['cut', 'end', 0, ''] : chosen, back, key);
          if (!drawn) belt.rest();
        }
      }
      if (to !== stop) held?.drawn?.at(share);
      else speak(since);
      return held?.drawn?.ms ?? peek(stop)?.[2] ?? 0;
    },
  };
}
