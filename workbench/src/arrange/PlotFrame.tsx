import { type ScaleLinear, scaleLinear } from 'd3-scale';
import { type ReactNode, useState } from 'react';
import type { Finding } from '../api/client';
import { columnsOf, useBench } from '../bench/context';
import { find } from '../bench/document';
import { MARKS, tape } from '../bench/scale';

const HEIGHT = 116;

/** What the title takes at the top, px: no line is drawn under it. */
const TITLE = 34;

export interface Point {
  readonly x: number;
  readonly y: number;
}

export type Scale = ScaleLinear<number, number>;

/** The value of a line of points at x; undefined outside it. */
export function valueAt(points: readonly Point[], x: number): number | undefined {
  const after = points.findIndex((point) => point.x >= x);
  const b = points[after];
  const a = points[after - 1] ?? b;
  if (!a || !b || x < a.x) return undefined;
  return a.x === b.x ? b.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}

/** Points with one more at each mark of the tape, where the tape bends a straight line. */
export function bent(points: readonly Point[]): Point[] {
  const inside = MARKS.filter(
    (mark) =>
      mark > (points[0]?.x ?? 0) &&
      mark < (points.at(-1)?.x ?? 0) &&
      !points.some((point) => point.x === mark),
  ).map((x) => ({ x, y: valueAt(points, x) ?? 0 }));
  return [...points, ...inside].sort((a, b) => a.x - b.x);
}

interface Props {
  readonly length: number;
  /** The greatest value that is drawn. */
  readonly most: number;
  readonly label: string;
  readonly title: ReactNode;
  readonly hints?: readonly string[];
  readonly snags: readonly Finding[];
  /** The value at the carriage. */
  readonly now?: number | undefined;
  children(x: Scale, y: Scale, line: (points: readonly Point[]) => string): ReactNode;
}

/** A plot against the viewport's width, under the ruler's tape, with the findings over it. */
export function PlotFrame({ length, most, label, title, hints = [], snags, now, children }: Props) {
  const { page, width } = useBench();
  const x = tape(length);
  const y = scaleLinear()
    .domain([0, Math.max(1, most)])
    .range([HEIGHT - 4, TITLE]);
  const line = (points: readonly Point[]) =>
    bent(points)
      .map((point) => `${x(point.x).toFixed(1)},${y(point.y).toFixed(1)}`)
      .join(' ');
  // Where something is too narrow the line itself shows it.
  const others = snags.filter((each) => each.rule !== 'narrow');
  const summary = snags.length
    ? `${snags.length} found: ${snags.map((each) => each.message).join('; ')}.`
    : 'Nothing found.';
  return (
    <div className="tooth" style={{ height: HEIGHT }}>
      <svg
        width={length}
        height={HEIGHT}
        role="img"
        aria-label={`${label} against viewport width. ${summary}`}
        className="block"
      >
        {y
          .ticks(4)
          .filter((tick) => tick > 0)
          .map((tick) => (
            <g key={tick}>
              <line x1={0} x2={length} y1={y(tick)} y2={y(tick)} className="tooth-grid" />
              <text x={4} y={y(tick) - 3} className="tooth-number">
                {tick}
              </text>
            </g>
          ))}
        {columnsOf(page)
          .filter((band) => band.from > 0)
          .map((band) => (
            <line
              key={band.id}
              x1={x(band.from)}
              x2={x(band.from)}
              y1={0}
              y2={HEIGHT}
              className="tooth-post"
            />
          ))}
        {children(x, y, line)}
        {others.map((each) => (
          <line
            key={`${each.rule}-${each.item}-${each.from}`}
            x1={x(each.from)}
            x2={Math.max(x(each.from) + 3, x(each.to))}
            y1={HEIGHT - 2}
            y2={HEIGHT - 2}
            className="tooth-range"
          />
        ))}
        <line x1={x(width)} x2={x(width)} y1={0} y2={HEIGHT} className="tooth-carriage" />
        {now !== undefined && <circle cx={x(width)} cy={y(now)} r={4.5} className="tooth-dot" />}
      </svg>
      <div className="tooth-title">{title}</div>
      {hints.length > 0 && <p className="tooth-hint">{hints.join('. ')}.</p>}
      {now !== undefined && (
        <output
          className="tooth-reading"
          style={{
            left: Math.min(x(width) + 10, length - 84),
            top: Math.max(2, Math.min(y(now) - 30, HEIGHT - 30)),
          }}
        >
          {now.toFixed(1)} px
        </output>
      )}
      <SnagNote snags={snags} x={x} length={length} />
    </div>
  );
}

/** One finding at a time: what it is, where, and ways out. */
export function SnagNote({
  snags,
  x,
  length,
}: {
  readonly snags: readonly Finding[];
  readonly x: Scale;
  readonly length: number;
}) {
  const { session, page, width, setWidth, choose } = useBench();
  const [picked, setPicked] = useState(0);
  const under = snags.findIndex((each) => width >= each.from && width <= each.to);
  const at =
    picked < snags.length &&
    snags[picked] &&
    width >= snags[picked].from &&
    width <= snags[picked].to
      ? picked
      : under >= 0
        ? under
        : Math.min(picked, snags.length - 1);
  const snag = snags[at];
  if (!snag) return null;
  const go = (to: number) => {
    const next = snags[to];
    setPicked(to);
    if (next && (width < next.from || width > next.to)) setWidth(next.from);
  };
  const item = snag.item ? find(page.document, snag.item)?.node : undefined;
  return (
    <div
      className="tooth-snag"
      style={
        x(snag.from) > length * 0.55
          ? { right: Math.max(6, length - x(snag.to)) }
          : { left: Math.max(6, x(snag.from)) }
      }
    >
      {snags.length > 1 && (
        <button
          type="button"
          className="tooth-next"
          title="The next finding"
          onClick={() => go((at + 1) % snags.length)}
        >
          {at + 1}/{snags.length}
          <span className="sr-only">, go to the next finding</span>
        </button>
      )}
      <button
        type="button"
        className="tooth-go"
        title={item ? `${snag.message}: go to the item` : snag.message}
        onClick={() => {
          go(at);
          if (item) choose(item.id);
        }}
      >
        {snag.message}
      </button>
      {snag.fixes.map((fix) => (
        <button
          key={fix.label}
          type="button"
          className="tooth-fix"
          onClick={() => session.edit(fix.edits)}
        >
          {fix.label}
        </button>
      ))}
    </div>
  );
}
