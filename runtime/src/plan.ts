import type { Auto, Turns, Words } from './pace';

/** What the compiler wrote for one track: everything that was decided, nothing to decide. */
export interface Plan {
  /** Items on the track. */
  readonly items: number;
  /** The lists of ways by which items come in. */
  readonly turns?: readonly Turns[];
  /** Narrowest first; exactly one query matches at any time. */
  readonly bands: readonly Band[];
}

export interface Band {
  readonly query: string;
  readonly axis: 'x' | 'y';
  /** Items in view. */
  readonly view: number;
  /** Whether a neighbour peeks on both sides. */
  readonly both: boolean;
  /** Whether the track goes round. */
  readonly loops: boolean;
  /** Whether the place marks are those of the tabbed pattern. */
  readonly tabbed: boolean;
  /** The items that show, where not all do. */
  readonly on?: readonly number[];
  /** By item, which list of ways it comes in by. */
  readonly ways?: readonly number[];
  /** Whether no two neighbouring stops show the same item, so that each can be drawn apart. */
  readonly apart?: boolean;
  readonly words?: Words;
  readonly auto?: Auto;
  /** How pictures under words move while their slide is there, and by how many percent. */
  readonly ground?: readonly [manner: string, by: number];
  /** First item of each stop, among those that show, ascending. */
  readonly starts: readonly number[];
  /** The same for fewer items, by their number, where conditions may hide some. */
  readonly fewer?: readonly Fewer[];
}

/** What changes where fewer items show than the sheet was written for. */
export interface Fewer {
  readonly view: number;
  readonly both: boolean;
  readonly loops: boolean;
  readonly starts: readonly number[];
  /** The values that the sheet calculates with, by custom property. */
  readonly css: Readonly<Record<string, string>>;
}
