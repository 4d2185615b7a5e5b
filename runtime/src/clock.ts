/**
 * Time as the scripts have it. It is handed in, so that whoever drives a page holds it: the browser's
 * own on a live page.
 */
export interface Clock {
  /** Whether it is the browser's own, which may then play by itself what only has to be played. */
  readonly own?: boolean;
  /** Ms since something that stays the same. */
  now(): number;
  /** Calls once when the next picture is drawn, with the time of it; hands back what takes it back. */
  frame(draw: (now: number) => void): () => void;
  /** Calls once after so many ms; hands back what takes it back. */
  after(ms: number, then: () => void): () => void;
}

export const browser: Clock = {
  own: true,
  now: () => performance.now(),
  frame(draw) {
    const frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  },
  after(ms, then) {
    const timer = setTimeout(then, ms);
    return () => clearTimeout(timer);
  },
};
