import type { Clock } from './clock';
import { focused, intent } from './intent';
import type { Handle } from './kinds';
import type { AccordionPlan } from './plan';
import { search } from './search';

const { tell } = window.giostra;

/** Beyond what `details` does by itself: hover, focus, never all closed, always open, search, links. */
export function accordion(root: HTMLElement, clock: Clock): Handle {
  const plan = JSON.parse(root.dataset.plan ?? '') as AccordionPlan;
  const items = [...root.querySelectorAll<HTMLDetailsElement>(':scope > .g-rows > details')];
  const life = new AbortController();
  const { signal } = life;
  const names = items.map((item) => item.name);
  let current = items.find((item) => item.open);

  const holds = (queries: readonly string[]) => queries.some((query) => matchMedia(query).matches);

  for (const item of items) {
    const head = item.querySelector('summary') as HTMLElement;
    head.addEventListener(
      'click',
      (event) => {
        const last = item.open && items.filter((each) => each.open).length === 1;
        if (holds(plan.always) || (!plan.mayClose && last)) event.preventDefault();
      },
      { signal },
    );
    const opens = () => {
      item.open = true;
    };
    if (plan.hover) intent(head, plan.intent ?? 0, opens, clock, signal);
    if (plan.focus) focused(head, opens, signal);
    item.addEventListener(
      'toggle',
      () => {
        if (!item.open || item === current || holds(plan.always)) return;
        const from = current?.dataset.item;
        current = item;
        tell(root, from, item.dataset.item, 'toggle');
      },
      { signal },
    );
  }

  /** Where all are open they must not close one another; beyond, what was open before is. */
  let before: readonly boolean[] | undefined;
  function always() {
    const on = holds(plan.always);
    if (on) before ??= items.map((item) => item.open);
    items.forEach((item, index) => {
      if (on) item.removeAttribute('name');
      if (on || before) item.open = on || before?.[index] === true;
      if (!on && names[index]) item.setAttribute('name', names[index]);
      item.querySelector('summary')?.toggleAttribute('inert', on);
    });
    if (!on) before = undefined;
  }
  const inners = items
    .map((item) => item.querySelector<HTMLElement>(':scope > .g-panel > .g-inner'))
    .filter((inner) => inner !== null);
  function tallest() {
    if (!holds(plan.tallest)) {
      root.style.removeProperty('--g-tallest');
      return;
    }
    const heights = inners.map((inner) => {
      const { paddingTop, paddingBottom } = getComputedStyle(inner.parentElement as HTMLElement);
      // Neither rounded nor as it is moved in.
      return [getComputedStyle(inner).height, paddingTop, paddingBottom]
        .map(Number.parseFloat)
        .reduce((sum, px) => sum + px);
    });
    // What a band or a season hides has no height.
    root.style.setProperty('--g-tallest', `${Math.max(0, ...heights.filter(Number.isFinite))}px`);
  }
  for (const query of plan.always) matchMedia(query).addEventListener('change', always, { signal });
  if (plan.always.length > 0) always();
  if (plan.tallest.length > 0) {
    // Hidden at first, in a tab say, it has no width yet; what an answer holds may grow at any time.
    // Of how high panels are it is itself the cause, of what stands in them it is not.
    const seen = new ResizeObserver(tallest);
    seen.observe(root);
    for (const inner of inners) seen.observe(inner);
    signal.addEventListener('abort', () => seen.disconnect());
  }

  /** What its season hides is not open: the first that is there is. */
  function settle() {
    const gone = (item: HTMLElement) => 'gone' in item.dataset;
    if (!plan.first || !current?.open || !gone(current)) return;
    current.open = false;
    current = items.find((item) => !gone(item));
    if (current) current.open = true;
  }
  root.addEventListener('giostra:turn', settle, { signal });
  settle();

  if ('share' in navigator) {
    for (const button of root.querySelectorAll<HTMLElement>('.g-send')) {
      if (button.closest('[data-piece]') === root) button.hidden = false;
    }
  }

  root.addEventListener(
    'click',
    (event) => {
      const button = (event.target as Element).closest<HTMLElement>('.g-share');
      const item = button?.closest<HTMLElement>('[data-item]');
      if (!button || item?.closest('[data-piece]') !== root) return;
      if (button.classList.contains('g-send')) void send(item);
      else void copy(button, item, clock);
    },
    { signal },
  );
  search(root, items, signal);

  const shown = () => items.filter((item) => !item.hidden);
  const open = (item: HTMLDetailsElement | undefined) => {
    if (item) item.open = true;
  };
  const by = (step: number) => {
    const some = shown();
    const at = current ? some.indexOf(current) : -1;
    open(some[(at + step + some.length) % some.length]);
  };
  return {
    get items() {
      return shown().map((item) => item.dataset.item ?? '');
    },
    get current() {
      return items.find((item) => item.open)?.dataset.item;
    },
    open: (id) => open(items.find((item) => item.dataset.item === id)),
    close(id) {
      const item = items.find((each) => each.dataset.item === id);
      if (item) item.open = false;
    },
    next: () => by(1),
    previous: () => by(-1),
    stop: () => life.abort(),
  };
}

const addressOf = (item: HTMLElement) => new URL(`#${item.id}`, location.href).href;

/** Hands the address of a question to the device's own way of sharing. Source: Web Share API. */
async function send(item: HTMLElement) {
  const question = item.querySelector('.g-question')?.textContent ?? document.title;
  try {
    await navigator.share({ title: question, url: addressOf(item) });
  } catch {
    // Who closes the device's dialog has shared nothing, and wants to hear nothing of it.
  }
}

/** Gives the address of a question to whoever can pass it on. */
async function copy(button: HTMLElement, item: HTMLElement, clock: Clock) {
  const address = addressOf(item);
  const before = button.textContent;
  try {
    await navigator.clipboard.writeText(address);
    button.textContent = button.dataset.done ?? before;
    clock.after(2000, () => {
      button.textContent = before;
    });
  } catch {
    // Without leave to copy, the address stands where it can be copied by hand.
    location.hash = item.id;
  }
}

window.giostra.add(['accordion'], accordion);
