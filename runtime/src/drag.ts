import type { Clock } from './clock';

/** What a drag tells; px and px per ms, positive towards the end of the track. */
export interface DragSink {
  /** A finger or the mouse is down; says whether something was under way that it holds now. */
  hold(): boolean;
  move(by: number): void;
  release(speed: number): void;
}

/** Movement before a press counts as a drag, in px: a finger trembles more than a mouse. */
const SLOP = { mouse: 4, touch: 7, pen: 5 };
/** How far back the speed of a release looks, in ms. */
const MEMORY = 90;

/**
 * Follows one pointer across a view. The browser keeps what runs down (`touch-action: pan-y`); a
 * second finger ends the drag, so that a pinch is a pinch.
 * @param way 1 or -1: the sign of x towards the end of the track
 */
export function follow(
  view: HTMLElement,
  enabled: () => boolean,
  way: () => number,
  sink: DragSink,
  clock: Clock,
  signal: AbortSignal,
) {
  let id: number | undefined;
  let from = { x: 0, y: 0 };
  let last = 0;
  let dragging = false;
  let held = false;
  let swallow = false;
  let trail: { x: number; at: number }[] = [];

  function end(speed: number) {
    if (id === undefined) return;
    id = undefined;
    swallow = dragging || held;
    if (dragging || held) sink.release(speed);
    dragging = false;
    // A click follows at once or not at all.
    clock.after(0, () => {
      swallow = false;
    });
  }

  function speedAt(now: number) {
    trail = trail.filter((point) => now - point.at <= MEMORY);
    const [first] = trail;
    const newest = trail.at(-1);
    if (!first || !newest || newest.at - first.at < 8) return 0;
    return ((newest.x - first.x) / (newest.at - first.at)) * way();
  }

  const on = <K extends keyof HTMLElementEventMap>(
    type: K,
    run: (event: HTMLElementEventMap[K]) => void,
    options?: AddEventListenerOptions,
  ) => view.addEventListener(type, run, { ...options, signal });

  on('pointerdown', (event) => {
    if (!enabled() || event.button !== 0) return;
    if (id !== undefined) {
      end(0);
      return;
    }
    id = event.pointerId;
    from = { x: event.clientX, y: event.clientY };
    dragging = false;
    trail = [{ x: event.clientX, at: event.timeStamp }];
    held = sink.hold();
  });
  on('pointermove', (event) => {
    if (event.pointerId !== id) return;
    const dx = event.clientX - from.x;
    const dy = event.clientY - from.y;
    if (!dragging) {
      const slop = SLOP[event.pointerType as keyof typeof SLOP] ?? SLOP.touch;
      if (Math.abs(dy) > slop && Math.abs(dy) > Math.abs(dx)) {
        end(0);
        return;
      }
      if (Math.abs(dx) < slop) return;
      dragging = true;
      // From where it began to count, so that little is lost and nothing jumps.
      last = from.x + Math.sign(dx) * slop;
      view.setPointerCapture(event.pointerId);
    }
    // A slow frame is told of a whole flick at once: its speed is in the events that it hides.
    const hidden = event.getCoalescedEvents();
    for (const each of hidden.length > 0 ? hidden : [event]) {
      trail.push({ x: each.clientX, at: each.timeStamp });
    }
    sink.move((event.clientX - last) * way());
    last = event.clientX;
  });
  // A drag that has begun across stays one, however the finger wanders: no pan may take it over.
  on('touchmove', (event) => dragging && event.cancelable && event.preventDefault(), {
    passive: false,
  });
  on('pointerup', (event) => {
    if (event.pointerId === id) end(dragging ? speedAt(event.timeStamp) : 0);
  });
  on('pointercancel', (event) => {
    if (event.pointerId === id) end(0);
  });
  on('dragstart', (event) => {
    if (id !== undefined) event.preventDefault();
  });
  on(
    'click',
    (event) => {
      if (!swallow) return;
      event.preventDefault();
      // The view listens for clicks itself.
      event.stopImmediatePropagation();
    },
    { capture: true },
  );
}
