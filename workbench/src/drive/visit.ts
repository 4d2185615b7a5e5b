import type { Act, Stretch } from '../api/client';

/** What a visitor can be made to do, in the words of a button. */
export interface Deed {
  readonly id: string;
  readonly label: string;
  /** What ends it, and ms after which it does at first; of what happens at once there is neither. */
  readonly ends?: string;
  readonly lasts?: number;
}

export const DEEDS: readonly Deed[] = [
  { id: 'points', label: 'points', ends: 'leaves', lasts: 2500 },
  { id: 'next', label: 'swipes on' },
  { id: 'previous', label: 'swipes back' },
  { id: 'tabs-in', label: 'tabs in' },
  { id: 'goes-away', label: 'goes away', ends: 'comes-back', lasts: 2000 },
  { id: 'scrolls-off', label: 'scrolls off', ends: 'scrolls-on', lasts: 2000 },
  { id: 'presses-pause', label: 'presses pause' },
];

/** One of them on the tape; ms. */
export interface Done {
  readonly key: number;
  readonly deed: string;
  readonly at: number;
  readonly until?: number;
}

/** The acts of a visit in the order of time. */
export function actsOf(visit: readonly Done[]): readonly Act[] {
  const acts = visit.flatMap(({ deed, at, until }) => {
    const ends = DEEDS.find((each) => each.id === deed)?.ends;
    const first = { at: Math.round(at), deed, stop: 0 };
    return ends && until !== undefined
      ? [first, { at: Math.round(until), deed: ends, stop: 0 }]
      : [first];
  });
  return acts.sort((a, b) => a.at - b.at);
}

/** What the script of the stage is told to show. */
export interface Shown {
  readonly stop: number;
  readonly next?: number;
  readonly way?: number | readonly [string, string, number, string];
  readonly back?: boolean;
  readonly share?: number;
  readonly since?: number;
  readonly passed?: number;
}

/** What shows at a time of a trace. */
export function shownAt(stretches: readonly Stretch[], ms: number): Shown | undefined {
  const at = stretches.find((each) => ms < each.to) ?? stretches.at(-1);
  if (!at) return undefined;
  if (at.phase !== 'changes') {
    const stands = at.phase === 'held' || at.phase === 'stopped' || at.phase === 'over';
    return {
      stop: at.stop,
      passed: at.passed + (stands ? 0 : ms - at.from),
      ...(at.came > 0 ? { since: ms - at.came } : {}),
    };
  }
  return {
    stop: at.stop,
    next: at.next,
    way: at.way,
    back: at.back,
    passed: at.passed + ms - at.from,
    share: Math.min(1, Math.max(0, (ms - at.from) / (at.to - at.from))),
  };
}

export const seconds = (ms: number) => (Math.round(ms / 100) / 10).toFixed(1);

/** What people read of a stretch of time. */
export function saysOf({ phase, reasons, latches, left }: Stretch): string {
  if (phase === 'held') return `held: ${reasons.map((each) => REASONS[each] ?? each).join(', ')}`;
  if (phase === 'stopped')
    return `stopped: ${latches.map((each) => LATCHES[each] ?? each).join(', ')}`;
  if (phase === 'rests') return left > 0 ? `rests, ${seconds(left)} s left` : 'rests';
  if (phase === 'waits') return 'waits';
  return phase === 'over' ? 'over' : '';
}

const REASONS: Readonly<Record<string, string>> = {
  pointer: 'pointer over it',
  finger: 'a finger on it',
  away: 'page away',
  unseen: 'out of view',
  clip: 'a clip plays',
};
const LATCHES: Readonly<Record<string, string>> = {
  focus: 'keyboard in it',
  button: 'pause pressed',
  hand: 'moved by hand',
};
