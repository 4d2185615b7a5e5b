import type { Clock } from './clock';

/** A change from one stop to another that is drawn at will. */
export interface Drawn {
  readonly ms: number;
  /** Draws it at a share of its time. */
  at(share: number): void;
  /** Lets go; what is drawn then is the stop that it led to. */
  end(): void;
}

/** The curve of an animation at a share of its time, as the browser has it. */
export function easing(curve: string): (share: number) => number {
  let effect: KeyframeEffect;
  try {
    effect = new KeyframeEffect(null, null, { duration: 1, easing: curve, fill: 'both' });
  } catch {
    return (share) => share;
  }
  const animation = new Animation(effect, document.timeline);
  animation.pause();
  return (share) => {
    animation.currentTime = share;
    return effect.getComputedTiming().progress ?? share;
  };
}

/**
 * Runs what can be drawn at any share of its time from one share to another.
 * @returns stops it where it is
 */
export function run(
  clock: Clock,
  drawn: Drawn,
  from: number,
  to: number,
  done: () => void,
): () => void {
  const length = Math.abs(to - from) * drawn.ms;
  const start = clock.now();
  let halt = clock.frame(step);
  function step(now: number) {
    // A picture may be told the time of its beginning, which is before now.
    const passed = length > 0 ? Math.min(1, Math.max(0, now - start) / length) : 1;
    drawn.at(from + (to - from) * passed);
    if (passed < 1) halt = clock.frame(step);
    else done();
  }
  drawn.at(from);
  return () => halt();
}
