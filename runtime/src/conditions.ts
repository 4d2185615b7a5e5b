/** Where a date without a time ends: at its end. */
const ended = (until: string) => (until.includes('T') ? until : `${until}T23:59:59.999`);
const begun = (from: string) => (from.includes('T') ? from : `${from}T00:00`);

/** Shows what its dates and the query of the address allow, and hides the rest. */
export function conditions(now = new Date(), query = new URLSearchParams(location.search)) {
  for (const each of document.querySelectorAll<HTMLElement>(
    '[data-show-from],[data-show-until],[data-show-query]',
  )) {
    const { showFrom: from, showUntil: until, showQuery: wanted } = each.dataset;
    const [name = '', value] = (wanted ?? '').split('=');
    each.hidden =
      (from !== undefined && now < new Date(begun(from))) ||
      (until !== undefined && now > new Date(ended(until))) ||
      (wanted !== undefined &&
        (value === undefined ? !query.has(name) : !query.getAll(name).includes(value)));
  }
}
