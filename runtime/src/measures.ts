import type { TrackBand } from './plan';

/** The sizes of a track as the browser laid it out, in CSS px along its axis. */
export interface Track {
  readonly band: TrackBand;
  readonly items: number;
  /** Inner size of the view. */
  readonly inner: number;
  readonly item: number;
  /** From the start of one item to the start of the next. */
  readonly pitch: number;
  /** Length of one round of an endless track. */
  readonly round: number;
  /** Position at each stop: how far the track is moved, in reading direction. */
  readonly offsets: readonly number[];
}

/** How many rounds further on an item is drawn, as its own style says. */
const turn = (item: HTMLElement) => Number(getComputedStyle(item).getPropertyValue('--g-m')) || 0;

/** Measures. Used values of relative insets come in px, whatever unit the gap was written in. */
export function measure(
  view: HTMLElement,
  items: readonly HTMLElement[],
  band: TrackBand,
): Track | undefined {
  const [first, second] = items;
  if (!first || !second) return undefined;
  const across = band.axis === 'x';
  const place = (item: HTMLElement) =>
    Number.parseFloat(getComputedStyle(item)[across ? 'insetInlineStart' : 'insetBlockStart']);
  const size = (element: HTMLElement) => {
    const box = element.getBoundingClientRect();
    return across ? box.width : box.height;
  };
  const inner = size(view);
  const item = size(first);
  const pitch = (place(second) - place(first)) / (1 + (turn(second) - turn(first)) * items.length);
  const gap = pitch - item;
  const inset = band.both ? (inner - band.view * pitch + gap) / 2 : 0;
  const last = Math.max(0, items.length * pitch - gap - inner);
  const offsets = band.starts.map((start) => {
    const free = start * pitch - inset;
    return band.loops ? free : Math.min(Math.max(0, free), last);
  });
  return { band, items: items.length, inner, item, pitch, round: items.length * pitch, offsets };
}

/** Where one place is nearest to another on a round track; `from` itself when it has an end. */
export const nearest = (track: Track, place: number, to: number) =>
  track.band.loops ? place + Math.round((to - place) / track.round) * track.round : place;

/** The stop nearest to a position. */
export function stopAt(track: Track, position: number): number {
  const far = track.offsets.map((offset) => Math.abs(nearest(track, offset, position) - position));
  return far.indexOf(Math.min(...far));
}

/**
 * The round that an item is drawn in, so that whatever is in the view is drawn in it: items lie in
 * one window, a round long, that reaches equally far beyond both ends of the view.
 */
export function roundOf(track: Track, index: number, position: number): number {
  if (!track.band.loops) return 0;
  const low = -track.item - (track.round - track.inner - track.item) / 2;
  return Math.ceil((low - (index * track.pitch - position)) / track.round);
}
