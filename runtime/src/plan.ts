// Made of giostra.core.output.Plan by PlanTypesTest: change it there.

/** For a slider or carousel. * */
export interface TrackPlan {
  /** How many are on the track. */
  readonly items: number;
  /** Whether each visit starts with another one of them. */
  readonly another?: boolean;
  /** The lists of ways by which items come in. */
  readonly turns?: readonly Turns[];
  /** Narrowest first; exactly one query matches at any time. */
  readonly bands: readonly TrackBand[];
}

/** A track in a band. * */
export interface TrackBand {
  /** Its media query. */
  readonly query: string;
  /** That it moves along. */
  readonly axis: 'x' | 'y';
  /** Items in view. */
  readonly view: number;
  /** Whether a neighbour peeks on both sides. */
  readonly both?: boolean;
  /** Whether the track goes round. */
  readonly loops?: boolean;
  /** Whether the place marks are those of the tabbed pattern. */
  readonly tabbed?: boolean;
  /** The items that show, where not all do. */
  readonly on?: readonly number[];
  /** First item of each stop, among those that show, ascending. */
  readonly starts: readonly number[];
  /** The same for fewer items, by their number, where conditions may hide some. */
  readonly fewer?: readonly Fewer[];
  /** By item, which list of ways it comes in by. */
  readonly ways?: readonly number[];
  /** Whether no two neighbouring stops show the same item, so that each can be drawn apart. */
  readonly apart?: boolean;
  /** How words come in. */
  readonly words?: Words;
  /** What it does by itself. */
  readonly auto?: Auto;
  /** How pictures under words move while their slide is there. */
  readonly ground?: Ground;
}

/** What changes where fewer items show than the sheet was written for. * */
export interface Fewer {
  /** Items in view. */
  readonly view: number;
  /** Whether a neighbour peeks on both sides. */
  readonly both?: boolean;
  /** Whether the track goes round. */
  readonly loops?: boolean;
  /** First item of each stop. */
  readonly starts: readonly number[];
  /** The values that the sheet calculates with, by custom property. */
  readonly css: Readonly<Record<string, string>>;
}

/** How an item comes in: its ways, in an order that goes on and on. * */
export interface Turns {
  /** The ways. */
  readonly by: readonly Way[];
  /** Places in it. */
  readonly order: readonly number[];
  /** Whether a hand that moves it has it glide. */
  readonly glide?: boolean;
}

/** One way of changing. * */
export type Way = readonly [
  /** How. */
  manner:
    | 'move'
    | 'cut'
    | 'fade'
    | 'slide'
    | 'push'
    | 'cover'
    | 'uncover'
    | 'zoom'
    | 'wipe'
    | 'blur'
    | 'turn',
  /** The side it comes from. */
  from: 'start' | 'end' | 'top' | 'bottom',
  /** How long it takes. */
  ms: number,
  /** Its curve as CSS has it. */
  easing: string,
];

/** How words come in. * */
export type Words = readonly [
  /** How; none where only what is pinned comes in, each as it says itself. */
  manner: 'none' | 'rise' | 'fade' | 'from-start' | 'from-end' | 'grow' | 'unveil',
  /** Ms between two. */
  beat: number,
  /** Ms that each takes. */
  takes: number,
  /** Which share of the change. */
  after: number,
];

/** How pictures move while their slide is there. * */
export type Ground = readonly [
  /** How. */
  manner: 'none' | 'nearer' | 'away' | 'from-start' | 'from-end',
  /** How many percent. */
  by: number,
];

/** The rest of a stop, in ms. * */
export type Rest = readonly [
  /** Where nothing else decides. */
  set: number,
  /** Of one that reading decides. */
  least: number,
  /** Of one that reading decides. */
  most: number,
];

/** What a track does by itself in a band; all in ms, items by their place among all. * */
export interface Auto {
  /** What an item rests of its own; 0 for none. */
  readonly own?: readonly number[];
  /** What it takes to read an item, where that decides. */
  readonly reads?: readonly number[];
  /** Of a stop. */
  readonly rest: Rest;
  /** Of a rest that goes on, at the least. */
  readonly left: number;
  /** How many times as long it rests after a hand, where it waits longer then. */
  readonly later: number;
  /** It has been seen for so long it begins. */
  readonly after: number;
  /** What comes after the last. */
  readonly round: 'round' | 'once' | 'back';
  /** What a hand on it does. */
  readonly hand: 'again' | 'later' | 'stops';
  /** By what it is held. */
  readonly held: readonly ('pointer' | 'finger' | 'away' | 'unseen' | 'clip' | 'inside')[];
}

/** For tabs. * */
export interface TabsPlan {
  /** Whether a pointer opens them. */
  readonly hover?: boolean;
  /** Whether the keyboard opens them where it comes to. */
  readonly focus?: boolean;
  /** Ms that a pointer stays on a heading before it opens. */
  readonly intent?: number;
  /** Narrowest first. */
  readonly bands: readonly TabsBand[];
}

/** Tabs in a band. * */
export interface TabsBand {
  /** Its media query. */
  readonly query: string;
  /** Whether they are an accordion here. */
  readonly folds?: boolean;
  /** Whether the headings stand one under the other. */
  readonly down?: boolean;
}

/** For an accordion. * */
export interface AccordionPlan {
  /** Whether a pointer opens them. */
  readonly hover?: boolean;
  /** Whether the keyboard opens them where it comes to. */
  readonly focus?: boolean;
  /** Ms that a pointer stays on a heading before it opens. */
  readonly intent?: number;
  /** Whether all may be closed. */
  readonly mayClose?: boolean;
  /** Whether the first is open at first, whichever is there by its season. */
  readonly first?: boolean;
  /** Media queries under which all are open. */
  readonly always: readonly string[];
  /** Media queries under which panels are as high as the tallest. */
  readonly tallest: readonly string[];
}

/** For counters. * */
export interface CountersPlan {
  /** By which numbers are written. */
  readonly locale: string;
  /** How long a count takes; none where it goes by steps. */
  readonly ms?: number;
  /** A cubic Bézier curve; none for an even pace. */
  readonly curve?: Curve;
  /** Of a count by steps. */
  readonly step: number;
  /** Ms between two steps. */
  readonly beat: number;
  /** Whether thousands are told apart. */
  readonly grouping?: boolean;
  /** Whether large numbers are written short. */
  readonly compact?: boolean;
  /** Of a figure that is seen when it starts. */
  readonly share: number;
  /** Whether it counts each time that it is seen. */
  readonly every?: boolean;
  /** Ms before the first starts. */
  readonly delay?: number;
  /** Ms between two that start. */
  readonly sequence?: number;
}

/** A cubic Bézier curve from 0, 0 to 1, 1. * */
export type Curve = readonly [
  /** Of the first handle. */
  x1: number,
  /** Of the first handle. */
  y1: number,
  /** Of the second handle. */
  x2: number,
  /** Of the second handle. */
  y2: number,
];

/** For clips. * */
export interface ClipsPlan {
  /** Whether they play when they are seen. */
  readonly autoplay?: boolean;
  /** Whether without sound. */
  readonly muted?: boolean;
  /** Whether again and again. */
  readonly loop?: boolean;
}

/** For flip boxes. * */
export interface FlipBoxesPlan {
  /** Whether a pointer turns them. */
  readonly hover?: boolean;
  /** Whether the keyboard turns one where it comes to. */
  readonly focus?: boolean;
  /** Ms that a pointer stays on one before it turns. */
  readonly intent?: number;
}

/** What is said, from when to when, for pages opened from disk. * */
export type Cue = readonly [
  /** S. */
  from: number,
  /** S. */
  to: number,
  /** What is said. */
  text: string,
];
