/** What the compiler wrote for one carousel: everything that was decided, nothing to decide. */
export interface Plan {
  /** Items on the track. */
  readonly items: number;
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
  /** First item of each stop, ascending. */
  readonly starts: readonly number[];
}
