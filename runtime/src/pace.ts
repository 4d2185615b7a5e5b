/** One way of changing: its manner, the side it comes from, ms, its curve as CSS has it. */
export type Way = readonly [
  manner: string,
  from: 'start' | 'end' | 'top' | 'bottom',
  ms: number,
  easing: string,
];

/** How an item comes in: its ways, in an order that goes on and on. */
export interface Turns {
  readonly by: readonly Way[];
  readonly order: readonly number[];
  /** Whether a hand that moves it has it glide. */
  readonly glide?: boolean;
}

/** How words come in: their manner, ms between two, ms that each takes, after which share of the change. */
export type Words = readonly [manner: string, beat: number, takes: number, after: number];

/** What a track does by itself in a band; all in ms, items by their place among all. */
export interface Auto {
  /** What an item rests of its own; 0 for none. */
  readonly own?: readonly number[];
  /** What it takes to read an item, where that decides. */
  readonly reads?: readonly number[];
  /** The rest of a stop; the least and the most of one that reading decides. */
  readonly rest: readonly [number, number, number];
  /** Ms that are left of a rest that goes on, at the least. */
  readonly left: number;
  /** How many times as long it rests after a hand, where it waits longer then. */
  readonly later: number;
  readonly after: number;
  readonly round: 'round' | 'once' | 'back';
  readonly hand: 'again' | 'later' | 'stops';
  readonly held: readonly string[];
}

/** A change from one stop to another that is drawn at will. */
export interface Drawn {
  readonly ms: number;
  /** Draws it at a share of its time. */
  at(share: number): void;
  /** Lets go; what is drawn then is the stop that it led to. */
  end(): void;
}
