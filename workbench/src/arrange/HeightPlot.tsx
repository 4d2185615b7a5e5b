import type { ReactNode } from 'react';
import { api, ask, type Finding, type NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { usePageQuery } from '../bench/usePageQuery';
import { PlotFrame, type Point, valueAt } from './PlotFrame';

interface Props {
  readonly node: NodeBody;
  readonly snags: readonly Finding[];
  readonly length: number;
  readonly choice: ReactNode;
}

interface Line {
  readonly name: string;
  readonly part: string;
  readonly highest: boolean;
  readonly points: readonly Point[];
}

/** Heights of what a piece holds, from the fonts that ship: the highest, and the lowest beside it. */
export function HeightPlot({ node, snags, length, choice }: Props) {
  const { page, width, scrollbar } = useBench();
  const asked = usePageQuery({
    key: ['heights', node.id, scrollbar],
    read: () =>
      ask(
        api.GET('/api/pages/{id}/heights', {
          params: { path: { id: page.id }, query: { piece: node.id, scrollbar } },
        }),
      ),
  });
  const lines: Line[] = (asked.data ?? []).map((each) => ({
    name: `${each.highest ? 'highest' : 'lowest'} ${each.part}`,
    part: each.part,
    highest: each.highest,
    points: each.points.map(([x = 0, y = 0]) => ({ x, y })),
  }));
  const parts = [...new Set(lines.map((each) => each.part))];
  const high = lines.filter((each) => each.highest);
  const now = high.map((each) => valueAt(each.points, width) ?? 0);
  const most = Math.max(1, ...high.flatMap((each) => each.points.map((point) => point.y)));
  return (
    <PlotFrame
      length={length}
      most={most}
      label={`Heights: ${lines.map((each) => each.name).join(', ')}`}
      title={
        <>
          {choice}
          <b>Heights</b>, px
          {parts.map((part, i) => (
            <span key={part} className="tooth-key">
              <svg width={18} height={8} aria-hidden="true">
                <line x1={0} x2={18} y1={4} y2={4} className={`tooth-line tooth-${i % 3}`} />
              </svg>
              {lines.some((each) => each.part === part && !each.highest)
                ? `highest and lowest ${part}`
                : part}{' '}
              {Math.round(now[high.findIndex((each) => each.part === part)] ?? 0)}
            </span>
          ))}
          {asked.isPending && <span className="faint">measuring…</span>}
        </>
      }
      snags={snags}
      now={now.length > 0 ? Math.max(...now) : undefined}
    >
      {(_, __, line) =>
        lines.map((each) => (
          <polyline
            key={each.name}
            points={line(each.points)}
            className={`tooth-line tooth-${parts.indexOf(each.part) % 3} ${each.highest ? '' : 'tooth-low'}`}
          />
        ))
      }
    </PlotFrame>
  );
}
