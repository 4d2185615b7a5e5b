import type { Clock } from './clock';

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
  /** Lets go of the page. */
  stop(): void;
}

/** Brings an element of one kind to life. */
export type Kind = (root: HTMLElement, clock: Clock) => Handle;

declare global {
  interface Window {
    /** What the script that all kinds share lends to theirs, which come after it. */
    giostra: {
      add(names: readonly string[], kind: Kind): void;
      readonly tell: typeof tell;
      readonly bands: typeof bands;
      /** The time of all pieces that start from now on. */
      clock: Clock;
    };
  }
  interface HTMLElement {
    giostra?: Handle;
  }
}

/** Tells the page that another item is the current one. */
export function tell(
  root: HTMLElement,
  from: string | undefined,
  to: string | undefined,
  cause: string,
) {
  const detail = { piece: root.dataset.piece, from, to, cause };
  root.dispatchEvent(new CustomEvent('giostra:change', { bubbles: true, detail }));
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
