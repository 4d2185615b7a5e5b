import type { autoplay } from './autoplay';
import type { Clock } from './clock';
import type { Way } from './plan';
import type { ways } from './ways';

/** What a page can do with a piece from outside, as `element.giostra`. */
export interface Handle {
  /** Ids of its items in reading order, those that show now. */
  readonly items: readonly string[];
  /** Id of the current item; of several, the first. */
  readonly current: string | undefined;
  /** Opens an item or goes to it. */
  open(item: string): void;
  close?(item: string): void;
  next(): void;
  previous(): void;
  /** Plays again what runs once. */
  replay?(): void;
  /** Moves by itself again, or stops until it is started. */
  play?(): void;
  pause?(): void;
  /** Holds what moves by itself, for as long as somebody wants to look. */
  hold?(on: boolean): void;
  /** Draws it as it is at some time, and holds it there; without one lets it go on. */
  show?(at: Shown | undefined): void;
  /** Lets go of the page. */
  stop(): void;
}

/** What every piece has besides, whatever its kind. */
export interface Outside extends Handle {
  /** Whether it is there at all; what is not takes no room. */
  visible: boolean;
  /** Whether it stays as it is: nobody can press or move it, and it does not move by itself. */
  locked: boolean;
}

/** What something that moves shows at some time. */
export interface Shown {
  readonly stop: number;
  /** The stop that comes in, and by which of its ways. */
  readonly next?: number;
  readonly way?: number | Way;
  readonly back?: boolean;
  /** How much of the change has passed, 0 to 1. */
  readonly share?: number;
  /** Ms since what shows began to come in. */
  readonly since?: number;
  /** Ms for which the stop has been there without being held. */
  readonly passed?: number;
}

/** What scripts lend to those of kinds, where a page has them. */
export interface Lent {
  readonly autoplay?: typeof autoplay;
  readonly ways?: typeof ways;
}

/** Brings an element of one kind to life. */
export type Kind = (root: HTMLElement, clock: Clock) => Handle;

declare global {
  interface Window {
    /** What the script that all kinds share lends to theirs, which come after it. */
    giostra: {
      add(names: readonly string[], kind: Kind): void;
      lend(some: Lent): void;
      readonly lent: Lent;
      readonly tell: typeof tell;
      readonly bands: typeof bands;
      /** The time of all pieces that start from now on. */
      clock: Clock;
    };
  }
  interface HTMLElement {
    giostra?: Outside;
  }
}

/** Tells the page that another item is the current one; the page around as well, where it is in a room. */
export function tell(
  root: HTMLElement,
  from: string | undefined,
  to: string | undefined,
  cause: string,
) {
  const detail = { piece: root.dataset.piece, from, to, cause };
  root.dispatchEvent(new CustomEvent('giostra:change', { bubbles: true, composed: true, detail }));
}

/** Which of several media queries holds, as an index; exactly one does. */
export function bands(queries: readonly string[], changed: () => void, signal: AbortSignal) {
  const all = queries.map((query) => matchMedia(query));
  for (const query of all) query.addEventListener('change', changed, { signal });
  return () =>
    Math.max(
      0,
      all.findIndex((query) => query.matches),
    );
}
