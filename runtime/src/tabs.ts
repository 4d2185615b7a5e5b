import type { Clock } from './clock';
import { focused, intent } from './intent';
import type { Handle } from './kinds';
import type { TabsPlan } from './plan';

const { bands, tell } = window.giostra;

/** Brings tabs to life. Source of roles and keys: ARIA Authoring Practices, "Tabs", "Accordion". */
export function tabs(root: HTMLElement, clock: Clock): Handle {
  const plan = JSON.parse(root.dataset.plan ?? '') as TabsPlan;
  const list = root.querySelector(':scope > .g-set > .g-heads') as HTMLElement;
  const items = [...root.querySelectorAll<HTMLElement>(':scope > .g-set > .g-panels > .g-tab')];
  const heads = [...list.children] as HTMLButtonElement[];
  const folds = items.map((item) => item.querySelector('.g-fold') as HTMLButtonElement);
  const panels = items.map((item) => item.querySelector(':scope > .g-panel') as HTMLElement);
  const life = new AbortController();
  const { signal } = life;
  const at = bands(
    plan.bands.map((band) => band.query),
    draw,
    signal,
  );
  const band = () => plan.bands[at()];
  let current = Math.max(
    0,
    items.findIndex((item) => item.classList.contains('g-now')),
  );
  let open = true;

  const shows = (index: number) =>
    heads[index] !== undefined &&
    !heads[index]?.disabled &&
    !items[index]?.hidden &&
    getComputedStyle(items[index] as Element).display !== 'none';

  function draw() {
    const { folds: folded = false, down = false } = band() ?? {};
    list.toggleAttribute('data-down', down);
    list.setAttribute('aria-orientation', down ? 'vertical' : 'horizontal');
    items.forEach((item, index) => {
      const here = index === current && (open || !folded);
      const panel = panels[index] as HTMLElement;
      item.classList.toggle('g-now', here);
      heads[index]?.setAttribute('aria-selected', String(index === current));
      if (heads[index]) heads[index].tabIndex = index === current ? 0 : -1;
      heads[index]?.toggleAttribute('hidden', item.hidden !== false);
      folds[index]?.setAttribute('aria-expanded', String(here));
      panel.setAttribute('role', folded ? 'region' : 'tabpanel');
      panel.setAttribute('aria-labelledby', (folded ? folds : heads)[index]?.id ?? '');
      if (folded) panel.removeAttribute('tabindex');
      else panel.tabIndex = 0;
    });
  }

  function to(index: number, cause: string) {
    if (!shows(index)) return;
    const from = current;
    current = index;
    open = true;
    draw();
    heads[index]?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' });
    if (from !== index) tell(root, id(from), id(index), cause);
  }
  const id = (index: number) => items[index]?.dataset.item;

  /** The next that can be chosen, on and on in one direction. */
  function from(index: number, by: number) {
    for (let i = 1; i <= items.length; i++) {
      const next = (index + by * i + items.length * i) % items.length;
      if (shows(next)) return next;
    }
    return index;
  }

  heads.forEach((head, index) => {
    head.addEventListener('click', () => to(index, 'click'), { signal });
    if (plan.hover) intent(head, plan.intent ?? 0, () => to(index, 'hover'), clock, signal);
  });
  folds.forEach((fold, index) => {
    // In a row the arrow keys open already: the keyboard comes to the current heading alone.
    if (plan.focus) focused(fold, () => to(index, 'focus'), signal);
    fold.addEventListener(
      'click',
      () => {
        if (index === current && open) {
          open = false;
          draw();
        } else to(index, 'click');
      },
      { signal },
    );
  });
  list.addEventListener(
    'keydown',
    (event) => {
      const back = getComputedStyle(root).direction === 'rtl' ? 1 : -1;
      const down = band()?.down === true;
      const keys: Record<string, () => number> = {
        [down ? 'ArrowUp' : 'ArrowLeft']: () => from(current, down ? -1 : back),
        [down ? 'ArrowDown' : 'ArrowRight']: () => from(current, down ? 1 : -back),
        Home: () => from(-1, 1),
        End: () => from(items.length, -1),
      };
      const key = keys[event.key];
      if (!key) return;
      event.preventDefault();
      to(key(), 'key');
      heads[current]?.focus();
    },
    { signal },
  );
  /** What conditions hide is not open. */
  function settle() {
    if (items[current]?.hidden) current = from(current, 1);
    draw();
  }
  root.addEventListener('giostra:turn', settle, { signal });
  settle();
  return {
    get items() {
      return items.filter((_, index) => shows(index)).map((item) => item.dataset.item ?? '');
    },
    get current() {
      return id(current);
    },
    open: (item) =>
      to(
        items.findIndex((each) => each.dataset.item === item),
        'script',
      ),
    next: () => to(from(current, 1), 'script'),
    previous: () => to(from(current, -1), 'script'),
    stop: () => life.abort(),
  };
}

window.giostra.add(['tabs'], tabs);
