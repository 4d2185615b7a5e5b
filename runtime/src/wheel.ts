import type { Clock } from './clock';

/** A wheel that has been still for so long has let go, in ms. */
const STILL = 130;
/** Px of a line, where a wheel counts in lines. Common practice, no source. */
const LINE = 16;

/**
 * Follows a sideways wheel or two fingers on a pad. What turns up or down stays the page's.
 * @param roll px to the right; says whether the track took it
 */
export function sideways(
  view: HTMLElement,
  enabled: () => boolean,
  roll: (px: number) => boolean,
  still: () => void,
  clock: Clock,
  signal: AbortSignal,
) {
  let wait: (() => void) | undefined;
  view.addEventListener(
    'wheel',
    (event) => {
      if (!enabled() || event.ctrlKey || Math.abs(event.deltaX) <= Math.abs(event.deltaY)) return;
      if (!roll(event.deltaX * (event.deltaMode === 1 ? LINE : 1))) return;
      event.preventDefault();
      wait?.();
      wait = clock.after(STILL, still);
    },
    { passive: false, signal },
  );
}
