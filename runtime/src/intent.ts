import type { Clock } from './clock';

/** Does something when the keyboard comes to an element; a press brings no such focus. */
export function focused(element: HTMLElement, then: () => void, signal: AbortSignal) {
  element.addEventListener(
    'focus',
    () => {
      if (element.matches(':focus-visible')) then();
    },
    { signal },
  );
}

/**
 * Does something when a mouse has stayed on an element for a while.
 * @param ms 0 does it at once
 */
export function intent(
  element: HTMLElement,
  ms: number,
  then: () => void,
  clock: Clock,
  signal: AbortSignal,
) {
  let wait: (() => void) | undefined;
  element.addEventListener(
    'pointerenter',
    ({ pointerType }) => {
      if (pointerType !== 'mouse') return;
      if (ms > 0) wait = clock.after(ms, then);
      else then();
    },
    { signal },
  );
  element.addEventListener('pointerleave', () => wait?.(), { signal });
}
