/** A part in a state, and the property that was asked for, as an address has them. */
export interface At {
  readonly part: string;
  readonly state: string;
  readonly property: string;
}

/** Height of what is drawn over the columns of the board, px. */
export const DRAWN = 76;
