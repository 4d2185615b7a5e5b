/** From a moment until another, that one not included; ms. */
export type Span = readonly [from: number, until: number];

/** ms */
export const DAY = 86_400_000;

/** So many days ahead are worked out: who comes again each week comes within them. */
const AHEAD = 8;

/** What the clocks of a zone show at a moment, as if they were those of UTC; ms. */
function clocks(zone: string) {
  const format = new Intl.DateTimeFormat('en-US', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  });
  return (at: number) => {
    const of: Record<string, number> = {};
    for (const { type, value } of format.formatToParts(at)) of[type] = Number(value);
    const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = of;
    return Date.UTC(year, month - 1, day, hour, minute, second);
  };
}

/**
 * The moment at which the clocks of a zone show a time. One that they skip is later by the gap, of
 * those that they show twice it is the first: both are counted from before the clocks were changed.
 */
function moment(local: number, shown: (at: number) => number): number {
  const before = shown(local - DAY) - (local - DAY);
  const after = shown(local + DAY) - (local + DAY);
  const first = local - before;
  if (before === after || shown(first) === local) return first;
  const second = local - after;
  return shown(second) === local ? second : first;
}

const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

/**
 * The stretches around a moment in which something shows within its dates, written as hours, days
 * and months, `*` for all, and a zone: "18:00-23:30 5,6 * Europe/Lisbon".
 */
export function times(written: string, dates: readonly Span[], now: number): Span[] {
  const [hours = '*', days = '*', months = '*', zone = 'UTC'] = written.split(' ');
  const shown = clocks(zone);
  const today = Math.floor(shown(now) / DAY) * DAY;
  const among = (list: string, number: number) =>
    list === '*' || list.split(',').includes(String(number));
  const [from = 0, until = 24 * 60] = hours === '*' ? [] : hours.split('-').map(minutes);
  const spans: Span[] = [];
  for (let day = today - DAY; day <= today + AHEAD * DAY; day += DAY) {
    const of = new Date(day);
    if (!among(days, of.getUTCDay() || 7) || !among(months, of.getUTCMonth() + 1)) continue;
    const begins = moment(day + from * 60_000, shown);
    const ends = moment(day + (until + (until <= from ? 24 * 60 : 0)) * 60_000, shown);
    for (const [first, last] of dates) {
      // Hours that begin within the dates end as they do; whole days are cut.
      if (hours === '*') spans.push([Math.max(begins, first), Math.min(ends, last)]);
      else if (begins >= first && begins < last) spans.push([begins, ends]);
    }
  }
  return spans.filter(([begins, ends]) => begins < ends);
}
