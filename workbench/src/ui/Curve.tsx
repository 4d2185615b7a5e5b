import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';

const SIDE = 96;
const HIGH = 74;
const AIR = 14;

type Points = readonly [number, number, number, number];

const NAMED: Readonly<Record<string, Points>> = {
  linear: [0, 0, 1, 1],
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
};

/** The two points of a curve, where it has them. */
function pointsOf(easing: string): Points | undefined {
  const numbers = /^cubic-bezier\((.+)\)$/.exec(easing)?.[1]?.split(',').map(Number);
  return numbers?.length === 4 ? (numbers as unknown as Points) : NAMED[easing];
}

/** Progress over time, as the browser has it. */
function sampled(easing: string): readonly number[] {
  try {
    const effect = new KeyframeEffect(null, null, { duration: 1, easing, fill: 'both' });
    const animation = new Animation(effect, document.timeline);
    animation.pause();
    return Array.from({ length: 61 }, (_, i) => {
      animation.currentTime = i / 60;
      return effect.getComputedTiming().progress ?? 0;
    });
  } catch {
    return [0, 1];
  }
}

interface Props {
  readonly easing: string;
  onSet(easing: string): void;
  /** The share of the time that has passed, if it runs. */
  readonly at?: number | undefined;
}

/** A curve, bent by its two points: dragged, or moved by arrow keys. */
export function Curve({ easing, onSet, at }: Props) {
  const [bent, setBent] = useState<Points>();
  const svg = useRef<SVGSVGElement>(null);
  const points = bent ?? pointsOf(easing);
  const shown = bent ? written(bent) : easing;
  const line = useMemo(() => sampled(shown), [shown]);
  const x = (share: number) => 8 + share * (SIDE - 16);
  const y = (progress: number) => HIGH - AIR - progress * (HIGH - 2 * AIR);
  const move = (which: 0 | 1, px: number, py: number): Points | undefined => {
    if (!points) return undefined;
    const next = [...points] as [number, number, number, number];
    next[which * 2] = Math.min(1, Math.max(0, px));
    next[which * 2 + 1] = Math.min(2, Math.max(-1, py));
    return next;
  };
  const drag = (which: 0 | 1) => (event: PointerEvent<SVGElement>) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box || event.buttons !== 1) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setBent(
      move(
        which,
        (event.clientX - box.left - 8) / (SIDE - 16),
        (HIGH - AIR - (event.clientY - box.top)) / (HIGH - 2 * AIR),
      ),
    );
  };
  const keys = (which: 0 | 1) => (event: KeyboardEvent) => {
    const by = {
      ArrowLeft: [-0.02, 0],
      ArrowRight: [0.02, 0],
      ArrowUp: [0, 0.02],
      ArrowDown: [0, -0.02],
    }[event.key];
    if (!by || !points) return;
    event.preventDefault();
    event.stopPropagation();
    const next = move(
      which,
      (points[which * 2] ?? 0) + (by[0] ?? 0),
      (points[which * 2 + 1] ?? 0) + (by[1] ?? 0),
    );
    if (next) onSet(written(next));
  };
  const done = () => {
    if (bent) onSet(written(bent));
    setBent(undefined);
  };
  return (
    <svg ref={svg} width={SIDE} height={HIGH} className="curve" role="group" aria-label="Curve">
      <line x1={8} x2={SIDE - 8} y1={y(0)} y2={y(0)} className="curve-edge" />
      <line x1={8} x2={SIDE - 8} y1={y(1)} y2={y(1)} className="curve-edge" />
      <polyline
        points={line
          .map((each, i) => `${x(i / (line.length - 1)).toFixed(1)},${y(each).toFixed(1)}`)
          .join(' ')}
        className="curve-line"
      />
      {at !== undefined && (
        <circle
          cx={x(at)}
          cy={y(line[Math.round(at * (line.length - 1))] ?? 0)}
          r={3.5}
          className="curve-now"
        />
      )}
      {points &&
        ([0, 1] as const).map((which) => {
          const px = points[which * 2] ?? 0;
          const py = points[which * 2 + 1] ?? 0;
          return (
            <g key={which}>
              <line x1={x(which)} y1={y(which)} x2={x(px)} y2={y(py)} className="curve-arm" />
              <circle
                cx={x(px)}
                cy={y(py)}
                r={5}
                className="curve-point"
                role="slider"
                tabIndex={0}
                aria-label={which === 0 ? 'How it sets off' : 'How it comes to rest'}
                aria-valuenow={Math.round(py * 100)}
                aria-valuetext={`${px.toFixed(2)} across, ${py.toFixed(2)} up`}
                onPointerDown={drag(which)}
                onPointerMove={drag(which)}
                onPointerUp={done}
                onPointerCancel={() => setBent(undefined)}
                onKeyDown={keys(which)}
              />
            </g>
          );
        })}
    </svg>
  );
}

const written = (points: Points) =>
  `cubic-bezier(${points.map((each) => Math.round(each * 100) / 100).join(',')})`;
