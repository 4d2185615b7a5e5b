import type { Clock } from './clock';

/** A change from one stop to another that is drawn at will. */
export interface Drawn {
  readonly ms: number;
  /** What moves in it, each on a time of as many ms, where that is all that there is to draw. */
  readonly moving?: readonly Animation[];
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
  // What is there already is over with the next picture, however it is drawn.
  if (clock.own && from !== to && drawn.moving?.length) {
    return play(drawn.moving, drawn.ms, from, to, done);
  }
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

/** Lets the browser play an animation from some time on, ms; one that is over stays so. */
export function goOn(animation: Animation, at: number, rate: 1 | -1 = 1): boolean {
  animation.playbackRate = rate;
  animation.currentTime = at;
  // Played from its end it would begin once more.
  const left = rate > 0 ? at < Number(animation.effect?.getComputedTiming().endTime) : at > 0;
  if (left) animation.play();
  return left;
}

/**
 * Lets the browser move it, which needs nothing of the main thread for that but at its beginning and
 * its end. The first of what moves is as long as the whole.
 */
function play(
  moving: readonly Animation[],
  ms: number,
  from: number,
  to: number,
  done: () => void,
): () => void {
  const rate = to < from ? -1 : 1;
  const [first] = moving;
  for (const each of moving) goOn(each, from * ms, rate);
  const stop = () => {
    if (first) first.onfinish = null;
    for (const each of moving) each.pause();
  };
  if (first) {
    first.onfinish = () => {
      stop();
      done();
    };
  }
  return stop;
}
