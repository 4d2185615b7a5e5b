import { fitting } from './fitting';
import { measure, nearest, roundOf, type Track } from './measures';
import type { TrackBand, TrackPlan } from './plan';

/**
 * Where a track is. At rest its place is CSS alone (`--g-at`, and `--g-m` for items drawn a round
 * further on); only while it moves is there a transform in px.
 */
export interface Belt {
  readonly view: HTMLElement;
  /** What holds now, conditions included. */
  band: TrackBand;
  /** Every item, whether it shows or not. */
  readonly all: readonly HTMLElement[];
  /** Those that show, in their order. */
  items: readonly HTMLElement[];
  /** The lists of ways by which items come in. */
  readonly turns: TrackPlan['turns'];
  /** Whether it moves by itself in some band. */
  /** Whether each visit starts with another item. */
  readonly another: boolean;
  readonly automatic: boolean;
  stop: number;
  /** Px from the start, in reading direction. */
  position: number;
  /** As it was measured last. */
  track: Track | undefined;
  moves(): boolean;
  mirrored(): boolean;
  /** Measures; what was measured holds where nothing can be. */
  measured(): Track | undefined;
  /** Draws a position between stops. */
  draw(to: number): void;
  /** Comes to rest at the stop: from here on CSS holds the place at any width. */
  rest(): void;
  /** The items that a stop shows, in reading order. */
  shown(at: number): readonly HTMLElement[];
  /** Id of the first item of a stop. */
  item(at: number): string | undefined;
  /** The last stop that starts at an item or before it. */
  keeping(item: number): number;
  /** Where a stop is nearest to a position. */
  place(stop: number, near: number): number;
}

/**
 * @param changed called after another band holds, at rest
 */
export function belt(
  root: HTMLElement,
  changed: (set: () => void) => void,
  signal: AbortSignal,
): Belt {
  const plan = JSON.parse(root.dataset.plan ?? '') as TrackPlan;
  const view = root.querySelector('.g-view') as HTMLElement;
  const element = view.querySelector('.g-belt') as HTMLElement;
  const all = [...element.children] as HTMLElement[];
  /** Items that are disabled, wherever they are. */
  const off = new Set(all.filter((item) => item.inert));
  const fit = fitting(
    plan,
    element,
    changed,
    () => {
      for (const each of all) each.inert = off.has(each);
      Object.assign(self, fit());
    },
    signal,
  );
  const set = (on: HTMLElement, name: string, value: string) => {
    if (on.style.getPropertyValue(name) !== value) on.style.setProperty(name, value);
  };
  function turn(at: Track) {
    self.items.forEach((item, index) => {
      set(item, '--g-m', String(at.band.loops ? roundOf(at, index, self.position) : 0));
    });
  }
  /** What is out of view cannot be reached by key or reader. */
  function reach() {
    const { band, items } = self;
    const start = band.starts[self.stop] ?? 0;
    items.forEach((item, index) => {
      const away = (index - start + items.length) % items.length >= band.view && self.moves();
      item.inert = away || off.has(item);
    });
  }

  const self: Belt = {
    view,
    all,
    ...fit(),
    turns: plan.turns,
    another: plan.another === true,
    automatic: plan.bands.some((band) => band.auto !== undefined),
    stop: 0,
    position: 0,
    track: undefined,
    moves: () => self.band.starts.length > 1,
    mirrored: () => self.band.axis === 'x' && getComputedStyle(root).direction === 'rtl',
    measured() {
      self.track = measure(view, self.items, self.band) ?? self.track;
      return self.track;
    },
    draw(to) {
      self.position = to;
      if (!self.track) return;
      const px = self.mirrored() ? to : -to;
      element.style.setProperty(
        'transform',
        self.band.axis === 'x' ? `translateX(${px}px)` : `translateY(${px}px)`,
      );
      turn(self.track);
    },
    rest() {
      self.track = measure(view, self.items, self.band);
      self.position = self.track?.offsets[self.stop] ?? 0;
      if (self.track) turn(self.track);
      set(element, '--g-at', String(self.band.starts[self.stop] ?? 0));
      element.style.removeProperty('transform');
      reach();
    },
    shown(at) {
      const { band, items } = self;
      const start = band.starts[at] ?? 0;
      return Array.from(
        { length: Math.min(band.view, items.length) },
        (_, i) => items[(start + i) % items.length] as HTMLElement,
      );
    },
    item: (at) => self.items[self.band.starts[at] ?? 0]?.dataset.item,
    keeping: (item) =>
      Math.max(
        0,
        self.band.starts.findLastIndex((start) => start <= item),
      ),
    place: (stop, near) =>
      self.track ? nearest(self.track, self.track.offsets[stop] ?? 0, near) : 0,
  };
  return self;
}
