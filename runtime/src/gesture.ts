import type { Belt } from './belt';
import type { Clock } from './clock';
import { follow } from './drag';
import { sideways } from './wheel';

/** Share of a movement that is left beyond an end. */
const STRETCH = 0.35;

/** What a hand asks for. */
export interface Hand {
  /** Takes hold; says whether something was under way. */
  grab(): boolean;
  /** Lets go at a speed in px per ms. */
  settle(speed: number, cause: 'drag' | 'wheel', px: number): void;
  /** Draws as far as it has gone, where something else than the track moves. */
  scrub(px: number): boolean;
}

/** Follows a pointer or wheel; beyond an end the track gives way less and less. */
export function gesture(
  root: HTMLElement,
  belt: Belt,
  hand: Hand,
  clock: Clock,
  signal: AbortSignal,
) {
  let raw = 0;
  let from = 0;
  let rolling = false;
  const enabled = () => belt.moves() && belt.band.axis === 'x';
  function grab() {
    const moving = hand.grab();
    raw = belt.position;
    from = raw;
    return moving;
  }
  function shift(by: number) {
    const { track } = belt;
    if (!track) return;
    raw += by;
    if (hand.scrub(raw - from)) return;
    const last = track.offsets.at(-1) ?? 0;
    const held = track.band.loops ? raw : Math.min(Math.max(0, raw), last);
    belt.draw(held + (raw - held) * STRETCH);
  }
  follow(
    belt.view,
    enabled,
    () => (belt.mirrored() ? 1 : -1),
    {
      hold: grab,
      move(by) {
        root.setAttribute('data-drag', '');
        shift(by);
      },
      release: (speed) => hand.settle(speed, 'drag', raw - from),
    },
    clock,
    signal,
  );
  sideways(
    belt.view,
    enabled,
    (px) => {
      if (!rolling) grab();
      rolling = true;
      shift(belt.mirrored() ? -px : px);
      return true;
    },
    () => {
      rolling = false;
      hand.settle(0, 'wheel', raw - from);
    },
    clock,
    signal,
  );
}
