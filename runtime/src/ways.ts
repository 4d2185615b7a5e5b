import type { Belt } from './belt';
import { change, words as said } from './change';
import type { Clock } from './clock';
import { run } from './drawing';
import type { Way } from './pace';
import type { Cause } from './turning';

/** The ways by which the stops of a track come in, each in its turn. */
export function ways(belt: Belt) {
  /** How often each item has come in, by its place among all. */
  const times = new Map<number, number>();
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
  return {
    /** How a stop comes in now; nothing where a hand has the track glide. */
    next(stop: number, cause: Cause): Way | undefined {
      const way = peek(stop);
      times.set(item(stop), (times.get(item(stop)) ?? 0) + 1);
      const glides = cause !== 'itself' && turns(stop)?.glide === true;
      // What a finger throws goes on as it was thrown.
      const thrown = (cause === 'drag' || cause === 'wheel') && way?.[0] === 'move';
      return glides || thrown ? undefined : way;
    },
    peek,
    run,
    /** One of its ways. */
    at: (stop: number, way: number | Way) =>
      taken(typeof way === 'number' ? turns(stop)?.by[way] : way),
    any: (stop: number) => taken(turns(stop)?.by[0]),
    /** A change into a stop, to be drawn. */
    open(stop: number, place: number, way: Way, back: boolean) {
      if (way[0] === 'cut') return undefined;
      return change(belt, stop, place, way, back, belt.band.words);
    },
    /** What is still being said when a change is over goes on. */
    spoken(clock: Clock, ms: number, began: number) {
      const { words } = belt.band;
      if (!words) return;
      const all = said(shown(belt, belt.stop), words, ms);
      const last = Math.max(
        0,
        ...all.map((each) => Number(each.effect?.getComputedTiming().endTime)),
      );
      const step = (now: number) => {
        const passed = now - began;
        for (const each of all) each.currentTime = passed;
        if (passed < last) clock.frame(step);
        else for (const each of all) each.cancel();
      };
      step(clock.now());
    },
    /** Draws how far the words of the stop that shows have come in. */
    said(since: number | undefined) {
      const { words } = belt.band;
      const stop = belt.stop;
      if (speaking && (since === undefined || speaking.stop !== stop)) {
        for (const each of speaking.all) each.cancel();
        speaking = undefined;
      }
      if (!words || since === undefined) return;
      speaking ??= {
        stop,
        all: said(shown(belt, stop), words, peek(stop)?.[2] ?? 0),
      };
      for (const each of speaking.all) each.currentTime = since;
    },
  };
}

function shown({ band, items }: Belt, stop: number): HTMLElement[] {
  const start = band.starts[stop] ?? 0;
  return Array.from(
    { length: Math.min(band.view, items.length) },
    (_, i) => items[(start + i) % items.length] as HTMLElement,
  );
}
