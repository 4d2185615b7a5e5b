import type { ReactNode } from 'react';
import type { Finding, Plot } from '../api/client';
import { useBench } from '../bench/context';
import { PlotFrame, type Point, valueAt } from './PlotFrame';

interface Props {
  readonly plot: Plot;
  readonly snags: readonly Finding[];
  readonly length: number;
  /** Chooses between the plots that there are. */
  readonly choice: ReactNode;
}

function ends(segment: Plot['segments'][number]): Point[] {
  const { fromX, fromY, toX, toY } = segment;
  return [
    { x: fromX, y: fromY },
    { x: toX, y: toY },
  ];
}

/** Item width against viewport width: what is comfortable, and where cards are too narrow. */
export function Sawtooth({ plot, snags, length, choice }: Props) {
  const { width } = useBench();
  const here = plot.segments.findLast((each) => width >= each.fromX && width < each.toX);
  const narrow = snags.filter((each) => each.rule === 'narrow');
  return (
    <PlotFrame
      length={length}
      most={Math.max(plot.most, plot.comfortTo)}
      label={plot.what}
      title={
        <>
          {choice}
          <b>{plot.what}</b>, px, against viewport width
          {plot.comfortTo > 0 && `; comfortable ${plot.comfortFrom} to ${plot.comfortTo}`}
        </>
      }
      hints={plot.hints}
      snags={snags}
      now={here && valueAt(ends(here), width)}
    >
      {(_, y, line) => (
        <>
          <rect
            x={0}
            width={length}
            y={y(plot.comfortTo)}
            height={Math.max(0, y(plot.comfortFrom) - y(plot.comfortTo))}
            className="tooth-zone"
          />
          {plot.segments.map((each) => (
            <polyline
              key={`${each.band}-${each.fromX}`}
              points={line(ends(each))}
              className="tooth-line"
            />
          ))}
          {narrow.map((each) =>
            plot.segments
              .filter((s) => s.fromX <= each.to && s.toX >= each.from)
              .map((s) => {
                const points = [Math.max(s.fromX, each.from), Math.min(s.toX, each.to)].map(
                  (at) => ({ x: at, y: valueAt(ends(s), at) ?? 0 }),
                );
                return (
                  <polyline
                    key={`${each.from}-${s.fromX}`}
                    points={line(points)}
                    className="tooth-bad"
                  />
                );
              }),
          )}
        </>
      )}
    </PlotFrame>
  );
}
