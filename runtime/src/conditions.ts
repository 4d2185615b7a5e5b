import { DAY, type Span, times } from './seasons';

/** The moment that pages take for now, where the bench has set one; ms. */
declare global {
  interface Window {
    giostraNow?: number;
  }
}

/** Stretches of dates, written as "from,until from,until"; open where nothing stands. */
const dates = (show: string | undefined): Span[] =>
  show === undefined
    ? [[Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY]]
    : show.split(' ').map((span) => {
        const [from, until] = span.split(',');
        return [
          from ? Number(from) : Number.NEGATIVE_INFINITY,
          until ? Number(until) : Number.POSITIVE_INFINITY,
        ];
      });

/** Whether something is on, and when that may be otherwise; ms. */
function season({ show, showAt }: DOMStringMap, now: number): { on: boolean; next: number } {
  const of = dates(show);
  const spans = showAt ? times(showAt, of, now) : of;
  // Times are known for some days ahead.
  const ends = [...spans.flat(), showAt ? now + DAY : Number.POSITIVE_INFINITY];
  return {
    on: spans.some(([from, until]) => now >= from && now < until),
    next: Math.min(...ends.filter((each) => each > now)),
  };
}

/** What has conditions, whether it shows now, and when that may be otherwise. */
function asked(now: number) {
  const query = new URLSearchParams(location.search);
  let next = Number.POSITIVE_INFINITY;
  const turns: [HTMLElement, boolean][] = [];
  for (const each of document.querySelectorAll<HTMLElement>(
    '[data-show],[data-show-at],[data-show-query]',
  )) {
    const { show, showAt, showQuery: wanted } = each.dataset;
    const [name = '', value] = (wanted ?? '').split('=');
    const asks =
      wanted !== undefined &&
      (value === undefined ? !query.has(name) : !query.getAll(name).includes(value));
    const at = show === undefined && !showAt ? undefined : season(each.dataset, now);
    next = Math.min(next, at?.next ?? next);
    turns.push([each, asks || at?.on === false]);
  }
  return { turns, next };
}

/** What is hidden by a search stays so, and no search shows what conditions hide. */
function show(each: HTMLElement, gone: boolean) {
  if (gone === 'gone' in each.dataset) return;
  each.toggleAttribute('data-gone', gone);
  each.hidden = gone;
}

let due = 0;

/** Looks again when something may come or go: timers are not trusted with more than half a day. */
function wake(next: number, now: number) {
  clearTimeout(due);
  if (next < Number.POSITIVE_INFINITY) due = window.setTimeout(turn, Math.min(next - now, DAY / 2));
}

/** Shows what its seasons and the query of the address allow, and hides the rest. */
export function conditions(now = window.giostraNow ?? Date.now()) {
  const { turns, next } = asked(now);
  for (const [each, hidden] of turns) show(each, hidden);
  // What the bench has set stands still.
  wake(window.giostraNow === undefined ? next : Number.POSITIVE_INFINITY, now);
}

/** What moves when something comes or goes: the piece that it is in, or its section. */
const around = (of: HTMLElement) =>
  of.parentElement?.closest<HTMLElement>('[data-piece]') ??
  of.closest<HTMLElement>('.g-section') ??
  of;

/** What comes and goes while a page is open waits until nobody sees what is around it: nothing jumps. */
function turn() {
  const now = Date.now();
  const { turns, next } = asked(now);
  for (const [each, hidden] of turns) if (hidden !== 'gone' in each.dataset) unseen(around(each));
  wake(next, now);
}

const waiting = new WeakSet<HTMLElement>();

/** Turns what is due in something as soon as that is out of view, or the whole page is. */
function unseen(root: HTMLElement) {
  if (waiting.has(root)) return;
  waiting.add(root);
  const done = new AbortController();
  const { signal } = done;
  let out = false;
  const seen = new IntersectionObserver((entries) => {
    out = entries.at(-1)?.isIntersecting === false;
    ready();
  });
  /** Who is in it with the keyboard is not thrown out. */
  function ready() {
    if ((!out && !document.hidden) || root.matches(':focus-within')) return;
    done.abort();
    seen.disconnect();
    waiting.delete(root);
    for (const [each, hidden] of asked(Date.now()).turns)
      if (around(each) === root) show(each, hidden);
    root.dispatchEvent(new Event('giostra:turn'));
  }
  document.addEventListener('visibilitychange', ready, { signal });
  root.addEventListener('focusout', () => setTimeout(ready), { signal });
  seen.observe(root);
  // Of a page that nobody sees no observer tells.
  ready();
}
