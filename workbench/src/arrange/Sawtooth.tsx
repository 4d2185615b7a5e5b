import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import type { Plot } from '../api/client';
import { useBench } from '../bench/context';
import { MARKS, tape } from '../bench/scale';

const HEIGHT = 116;

interface Point {
  readonly x: number;
  readonly y: number;
}

/** A straight stretch with a point at each mark of the tape, where the tape bends it. */
function bent(segment: Plot['segments'][number], from: number, to: number): Point[] {
  const { fromX, fromY, toX, toY } = segment;
  const y = (x: number) => fromY + ((toY - fromY) * (x - fromX)) / (toX - fromX || 1);
  const inside = MARKS.filter((mark) => mark > from && mark < to);
  return [from, ...inside, to].map((x) => ({ x, y: y(x) }));
}

/** Item width against viewport width: what is comfortable, and where cards are too narrow. */
export function Sawtooth({ plot, length }: { readonly plot: Plot; readonly length: number }) {
  const { session, width, setWidth } = useBench();
  const [picked, setPicked] = useState(0);
  const x = tape(length);
  const top = Math.max(plot.most, plot.comfortTo) * 1.12;
  const y = scaleLinear()
    .domain([0, top])
    .range([HEIGHT - 4, 8]);
  const line = (points: readonly Point[]) =>
    points.map((point) => `${x(point.x).toFixed(1)},${y(point.y).toFixed(1)}`).join(' ');
  const here = plot.segments.findLast((each) => width >= each.fromX && width < each.toX);
  const itemNow = here ? (bent(here, width, width)[0]?.y ?? 0) : undefined;
  const under = plot.bad.findIndex((bad) => width >= bad.from && width <= bad.to);
  const bad = plot.bad[under >= 0 ? under : Math.min(picked, plot.bad.length - 1)];
  const posts = [...new Set(plot.segments.map((each) => each.band))].slice(1).map((band) => ({
    band,
    from: plot.segments.find((each) => each.band === band)?.fromX ?? 0,
  }));
  const grid = y.ticks(4).filter((tick) => tick > 0);
  const summary = plot.bad.length
    ? `Cards are too narrow in ${plot.bad.length === 1 ? 'one range' : `${plot.bad.length} ranges`}: ${plot.bad.map((each) => each.message).join('; ')}.`
    : 'Cards are never too narrow.';
  return (
    <div className="tooth" style={{ height: HEIGHT }}>
      <svg
        width={length}
        height={HEIGHT}
        role="img"
        aria-label={`Card width against viewport width. ${summary}`}
        className="block"
      >
        <rect
          x={0}
          width={length}
          y={y(plot.comfortTo)}
          height={Math.max(0, y(plot.comfortFrom) - y(plot.comfortTo))}
          className="tooth-zone"
        />
        {grid.map((tick) => (
          <g key={tick}>
            <line x1={0} x2={length} y1={y(tick)} y2={y(tick)} className="tooth-grid" />
            <text x={4} y={y(tick) - 3} className="tooth-number">
              {tick}
            </text>
          </g>
        ))}
        {posts.map((post) => (
          <line
            key={post.band}
            x1={x(post.from)}
            x2={x(post.from)}
            y1={0}
            y2={HEIGHT}
            className="tooth-post"
          />
        ))}
        {plot.segments.map((each) => (
          <polyline
            key={`${each.band}-${each.fromX}`}
            points={line(bent(each, each.fromX, each.toX))}
            className="tooth-line"
          />
        ))}
        {plot.bad.map((each) =>
          plot.segments
            .filter((s) => s.fromX <= each.to && s.toX >= each.from)
            .map((s) => (
              <polyline
                key={`${each.from}-${s.fromX}`}
                points={line(bent(s, Math.max(s.fromX, each.from), Math.min(s.toX, each.to)))}
                className="tooth-bad"
              />
            )),
        )}
        <line x1={x(width)} x2={x(width)} y1={0} y2={HEIGHT} className="tooth-carriage" />
        {itemNow !== undefined && (
          <circle cx={x(width)} cy={y(itemNow)} r={4.5} className="tooth-dot" />
        )}
      </svg>
      <p className="tooth-title">
        <b>Card width</b>, px, against viewport width; comfortable {plot.comfortFrom} to{' '}
        {plot.comfortTo}
      </p>
      {plot.hints.length > 0 && <p className="tooth-hint">{plot.hints.join('. ')}.</p>}
      {itemNow !== undefined && (
        <output
          className="tooth-reading"
          style={{
            left: Math.min(x(width) + 10, length - 84),
            top: Math.max(2, Math.min(y(itemNow) - 30, HEIGHT - 30)),
          }}
        >
          {itemNow.toFixed(1)} px
        </output>
      )}
      {bad && (
        <div
          className="tooth-snag"
          style={
            x(bad.from) > length * 0.55
              ? { right: Math.max(6, length - x(bad.to)) }
              : { left: Math.max(6, x(bad.from)) }
          }
        >
          {plot.bad.length > 1 && (
            <button
              type="button"
              className="tooth-next"
              title="The next range"
              onClick={() => {
                const next = (plot.bad.indexOf(bad) + 1) % plot.bad.length;
                setPicked(next);
                setWidth(plot.bad[next]?.from ?? width);
              }}
            >
              {plot.bad.indexOf(bad) + 1}/{plot.bad.length}
              <span className="sr-only">, go to the next range</span>
            </button>
          )}
          <button type="button" className="tooth-go" onClick={() => setWidth(bad.from)}>
            {bad.message}
          </button>
          {bad.fixes.map((fix) => (
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
      )}
    </div>
  );
}
