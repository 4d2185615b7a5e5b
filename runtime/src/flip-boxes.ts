import type { Clock } from './clock';
import { focused, intent } from './intent';
import type { Handle } from './kinds';
import type { FlipBoxesPlan } from './plan';

const { tell } = window.giostra;

/**
 * Turns boxes over: by hover where there is a mouse that can, by tap, Enter and Space everywhere;
 * Escape turns back. What lies behind is inert.
 */
export function flipBoxes(root: HTMLElement, clock: Clock): Handle {
  const plan = JSON.parse(root.dataset.plan ?? '') as FlipBoxesPlan;
  const items = [...root.querySelectorAll<HTMLElement>(':scope > .g-grid > .g-box')];
  const life = new AbortController();
  const { signal } = life;
  const fine = matchMedia('(hover: hover) and (pointer: fine)');
  let current: string | undefined;

  const part = (item: HTMLElement, name: string) => item.querySelector<HTMLElement>(name);
  const turned = (item: HTMLElement) => item.hasAttribute('data-turned');

  function turn(item: HTMLElement, over: boolean, cause: string) {
    if (turned(item) === over) return;
    item.toggleAttribute('data-turned', over);
    draw(item);
    if (over) {
      tell(root, current, item.dataset.item, cause);
      current = item.dataset.item;
    }
  }
  function draw(item: HTMLElement) {
    const over = turned(item);
    const front = part(item, '.g-front');
    const back = part(item, '.g-back');
    if (front) front.inert = over;
    if (back) back.inert = !over;
    part(item, '.g-over-turn')?.setAttribute('aria-expanded', String(over));
  }
  /** After a turn by key the focus goes where the visitor now is. */
  function press(item: HTMLElement, over: boolean, cause: string) {
    turn(item, over, cause);
    part(item, over ? '.g-turn-back' : '.g-over-turn')?.focus({ preventScroll: true });
  }

  /** Turned while the keyboard is on it. */
  function byFocus(item: HTMLElement) {
    const button = part(item, '.g-over-turn');
    // Back from behind, the focus is here again, and would turn it over once more.
    let behind = false;
    if (button) {
      focused(
        button,
        () => {
          if (!behind) press(item, true, 'focus');
          behind = false;
        },
        signal,
      );
    }
    item.addEventListener(
      'keydown',
      ({ key }) => {
        behind = key === 'Escape' && turned(item);
      },
      { signal, capture: true },
    );
    item.addEventListener(
      'focusout',
      ({ relatedTarget }) => {
        if (!item.contains(relatedTarget as Node | null) && !item.matches(':hover')) {
          turn(item, false, 'focus');
        }
      },
      { signal },
    );
  }

  for (const item of items) {
    draw(item);
    const on = (name: string, run: () => void) =>
      part(item, name)?.addEventListener('click', run, { signal });
    on('.g-over-turn', () => press(item, true, 'press'));
    on('.g-turn-back', () => press(item, false, 'press'));
    item.addEventListener(
      'keydown',
      (event) => {
        if (event.key !== 'Escape' || !turned(item)) return;
        event.stopPropagation();
        press(item, false, 'key');
      },
      { signal },
    );
    if (plan.focus) byFocus(item);
    if (!plan.hover) continue;
    intent(item, plan.intent ?? 0, () => fine.matches && turn(item, true, 'hover'), clock, signal);
    item.addEventListener(
      'pointerleave',
      ({ pointerType }) => {
        const busy = item.matches(':focus-within') && item.querySelector(':focus-visible');
        if (fine.matches && pointerType === 'mouse' && !busy) turn(item, false, 'hover');
      },
      { signal },
    );
  }

  const shown = () => items.filter((item) => !item.hidden);
  const by = (step: number) => {
    const some = shown();
    const at = some.findIndex((item) => item.dataset.item === current);
    const next = some[(at + step + some.length) % some.length];
    for (const item of some) turn(item, item === next, 'script');
  };
  return {
    get items() {
      return shown().map((item) => item.dataset.item ?? '');
    },
    get current() {
      return items.find(turned)?.dataset.item;
    },
    open(id) {
      const item = items.find((each) => each.dataset.item === id);
      if (item) turn(item, true, 'script');
    },
    close(id) {
      const item = items.find((each) => each.dataset.item === id);
      if (item) turn(item, false, 'script');
    },
    next: () => by(1),
    previous: () => by(-1),
    replay() {
      for (const item of shown()) {
        turn(item, true, 'script');
        clock.after(1200, () => turn(item, false, 'script'));
      }
    },
    stop: () => life.abort(),
  };
}

window.giostra.add(['flip-boxes'], flipBoxes);
