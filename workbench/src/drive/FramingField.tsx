import { ArrowLeftRight, Play, X } from 'lucide-react';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { text } from '../bench/document';
import { fileAt } from '../media/format';
import { boxOf, type Frame, type Framing, framesOf, moved, sized, written } from './framing';

interface Props {
  readonly id: string;
  readonly node: NodeBody;
  readonly value: string;
  onSet(value: string): void;
}

/** What somebody begins with who draws frames: all of it, then nearer to its middle. */
const BEGIN: Framing = [
  { x: 50, y: 50, large: 1 },
  { x: 50, y: 50, large: 1.4 },
];
const NAMES = ['First', 'Last'] as const;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** Ms that the move takes when it is tried here. */
const TRIED = 4000;

/** From where to where the picture of a slide moves: two frames drawn on it, or typed. */
export function FramingField({ id, node, value, onSet }: Props) {
  const { page } = useBench();
  const picture = text(node, 'picture');
  const focus = text(node, 'focus') || '50% 50%';
  const set = framesOf(value);
  const [drawn, setDrawn] = useState<Framing>();
  const shows = drawn ?? set;
  const image = useRef<HTMLImageElement>(null);
  const put = (at: number, frame: Frame, done: boolean) => {
    if (!shows) return;
    const next: Framing = at === 0 ? [frame, shows[1]] : [shows[0], frame];
    setDrawn(done ? undefined : next);
    if (done) onSet(written(next));
  };
  const play = () => {
    if (!shows) return;
    const at = ({ x, y, large }: Frame) => ({
      transform: `translate(${x * (1 - large)}%,${y * (1 - large)}%) scale(${large})`,
    });
    image.current?.animate([at(shows[0]), at(shows[1])], { duration: TRIED });
  };
  return (
    <div className="framing">
      {picture === '' ? (
        <p className="faint">It has no picture: give it one in Fill.</p>
      ) : (
        <>
          <div className="framing-picture">
            <img
              ref={image}
              src={fileAt(page.siteId, picture)}
              alt=""
              style={{ objectPosition: focus }}
            />
            {shows?.map((frame, at) => (
              <Drawn
                key={NAMES[at]}
                name={NAMES[at] ?? ''}
                frame={frame}
                onDraw={(next, done) => put(at, next, done)}
              />
            ))}
          </div>
          <div className="flex flex-wrap gap-2">
            {shows ? (
              <>
                <button type="button" className="tape-chip" onClick={play}>
                  <Play size={13} aria-hidden /> Play
                </button>
                <button
                  type="button"
                  className="tape-chip"
                  onClick={() => onSet(written([shows[1], shows[0]]))}
                >
                  <ArrowLeftRight size={13} aria-hidden /> The other way
                </button>
                <button type="button" className="tape-chip" onClick={() => onSet('')}>
                  <X size={13} aria-hidden /> As the piece
                </button>
              </>
            ) : (
              <button type="button" className="tape-chip" onClick={() => onSet(written(BEGIN))}>
                Draw two frames
              </button>
            )}
          </div>
        </>
      )}
      <input
        id={id}
        key={value}
        className="input w-full"
        defaultValue={value}
        onBlur={(event) => event.target.value !== value && onSet(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && onSet(event.currentTarget.value)}
      />
    </div>
  );
}

interface DrawnProps {
  readonly name: string;
  readonly frame: Frame;
  /** Another frame; whether it is to stay. */
  onDraw(frame: Frame, done: boolean): void;
}

/** A frame on the picture: dragged, sized at its corner; arrow keys move it, plus and minus size it. */
function Drawn({ name, frame, onDraw }: DrawnProps) {
  const from = useRef<{ x: number; y: number; frame: Frame; corner: boolean }>(undefined);
  const last = useRef(frame);
  const { left, top, size } = boxOf(frame);
  const press = (event: PointerEvent<HTMLElement>) => {
    const corner = (event.target as HTMLElement).dataset.corner !== undefined;
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { x: event.clientX, y: event.clientY, frame, corner };
    last.current = frame;
  };
  const drag = (event: PointerEvent<HTMLElement>) => {
    const start = from.current;
    const around = event.currentTarget.parentElement?.getBoundingClientRect();
    if (!start || !around) return;
    const right = ((event.clientX - start.x) / around.width) * 100;
    const down = ((event.clientY - start.y) / around.height) * 100;
    const wide = 100 / start.frame.large;
    last.current = start.corner
      ? sized(start.frame, 100 / Math.max(1, wide + 2 * Math.max(right, down)))
      : moved(start.frame, right, down);
    onDraw(last.current, false);
  };
  const drop = () => {
    if (!from.current) return;
    from.current = undefined;
    onDraw(last.current, true);
  };
  const key = (event: KeyboardEvent) => {
    const step = ARROWS[event.key];
    const far = event.shiftKey ? 10 : 1;
    const next = step
      ? moved(frame, step[0] * far, step[1] * far)
      : event.key === '+' || event.key === '='
        ? sized(frame, frame.large + 0.05)
        : event.key === '-'
          ? sized(frame, frame.large - 0.05)
          : undefined;
    if (!next) return;
    event.preventDefault();
    onDraw(next, true);
  };
  return (
    <button
      type="button"
      className="framing-frame"
      data-name={name}
      // The smaller lies over the larger, which would hide it.
      style={{
        left: `${left}%`,
        top: `${top}%`,
        width: `${size}%`,
        height: `${size}%`,
        zIndex: Math.round(frame.large * 100),
      }}
      aria-label={`${name} frame, ${Math.round(frame.x)}% from the left, ${Math.round(frame.y)}% from the top, ${frame.large} times as large`}
      title="Drag it, or its corner; arrow keys move it, + and - size it"
      onPointerDown={press}
      onPointerMove={drag}
      onPointerUp={drop}
      onPointerCancel={drop}
      onKeyDown={key}
    >
      <span aria-hidden="true">{name.toLowerCase()}</span>
      <i data-corner="" aria-hidden="true" />
    </button>
  );
}
