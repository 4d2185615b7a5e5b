import { scaleLinear } from 'd3-scale';
import type { Finding, Proved } from '../api/client';
import { stateName } from '../bench/context';
import { tape } from '../bench/scale';

export const AXES = ['widths', 'times', 'states', 'dates'] as const;
export type Axis = (typeof AXES)[number];

/** A stretch of a strip, in px from its start. */
export interface Bar {
  readonly from: number;
  readonly to: number;
}

/** A mark of an axis. */
export interface Tick {
  readonly at: number;
  readonly says: string;
}

/** One of the directions that findings lie in, laid out on a strip so many px long. */
export interface Laid {
  readonly ticks: readonly Tick[];
  /** Where a finding lies; nothing where it is none of this direction. */
  bar(snag: Finding): Bar | undefined;
}

const EDGE = 14;

/** Ms that an axis reaches beyond a date that is alone. */
const MONTH = 30 * 86_400_000;

/** Lays an axis out. What has nothing to show on it has no marks. */
export function laid(axis: Axis, length: number, proved: Proved): Laid {
  if (axis === 'widths') {
    const x = tape(length);
    // The ruler over the strips has the marks.
    return { ticks: [], bar: ({ from, to }) => ({ from: x(from), to: x(to) }) };
  }
  if (axis === 'states') {
    const { states } = proved;
    const wide = (length - 2 * EDGE) / states.length;
    return {
      ticks: states.map((state, i) => ({ at: EDGE + i * wide, says: stateName(state) })),
      bar({ part, state }) {
        const at = states.indexOf(state);
        return part && at >= 0
          ? { from: EDGE + at * wide, to: EDGE + (at + 1) * wide - 8 }
          : undefined;
      },
    };
  }
  if (axis === 'times') {
    const x = scaleLinear()
      .domain([0, Math.max(1, proved.roundMs)])
      .range([EDGE, length - EDGE])
      .clamp(true);
    return {
      ticks: proved.roundMs
        ? x.ticks(8).map((ms) => ({ at: x(ms), says: `${Math.round(ms / 100) / 10} s` }))
        : [],
      bar: ({ times }) => times && { from: x(times.from), to: x(times.to) },
    };
  }
  const from = Date.parse(proved.from ?? '');
  const until = Date.parse(proved.until ?? '');
  const known = Number.isFinite(from) && Number.isFinite(until);
  const x = scaleLinear()
    .domain(known ? [from - MONTH / 4, Math.max(until, from + MONTH) + MONTH / 4] : [0, 1])
    .range([EDGE, length - EDGE])
    .clamp(true);
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: '2-digit' });
  return {
    ticks: known ? x.ticks(8).map((at) => ({ at: x(at), says: day.format(new Date(at)) })) : [],
    bar: ({ dates }) => dates && { from: x(Date.parse(dates.from)), to: x(Date.parse(dates.to)) },
  };
}

/** Why an axis has nothing on it, where it has none. */
export const without: Readonly<Record<Axis, string>> = {
  widths: 'Nothing is found at any width.',
  times: 'Nothing on this page moves by itself.',
  states: 'Every part can be told from what it stands on, in every state.',
  dates: 'Nobody comes or goes on a date: give items a season in Drive.',
};
