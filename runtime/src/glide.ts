import type { Clock } from './clock';

/** Stiffness of the spring that brings a track to rest, per ms: within 1 % after about 0.45 s. */
const STIFFNESS = 0.0145;

/**
 * Glides from one position to another with a critically damped spring, which goes on at the speed
 * it starts with and never swings past its end by itself.
 * @param from px; @param to px; @param speed px per ms at the start
 * @param show called with each position; the last call gets `to` exactly, then `done` is called
 * @returns stops where it is
 */
export function glide(
  clock: Clock,
  from: number,
  to: number,
  speed: number,
  show: (position: number) => void,
  done: () => void,
) {
  const far = from - to;
  const pull = speed + STIFFNESS * far;
  let start: number | undefined;
  let halt = clock.frame(step);
  function step(now: number) {
    start ??= now;
    const t = now - start;
    const left = (far + pull * t) * Math.exp(-STIFFNESS * t);
    if (t > 1200 || (t > 100 && Math.abs(left) < 0.4)) {
      show(to);
      done();
      return;
    }
    show(to + left);
    halt = clock.frame(step);
  }
  return () => halt();
}
