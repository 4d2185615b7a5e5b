/** The moment that pages take for now, where the bench has set one; ms. */
declare global {
  interface Window {
    giostraNow?: number;
  }
}

/** Whether one of some stretches of time holds, written as "from,until from,until". */
const on = (spans: string, now: number) =>
  spans.split(' ').some((span) => {
    const [from, until] = span.split(',');
    return (!from || now >= Number(from)) && (!until || now < Number(until));
  });

/** Shows what its seasons and the query of the address allow, and hides the rest. */
export function conditions(
  now = window.giostraNow ?? Date.now(),
  query = new URLSearchParams(location.search),
) {
  for (const each of document.querySelectorAll<HTMLElement>('[data-show],[data-show-query]')) {
    const { show, showQuery: wanted } = each.dataset;
    const [name = '', value] = (wanted ?? '').split('=');
    each.hidden =
      (show !== undefined && !on(show, now)) ||
      (wanted !== undefined &&
        (value === undefined ? !query.has(name) : !query.getAll(name).includes(value)));
  }
}
