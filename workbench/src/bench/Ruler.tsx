import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { bandAt, columnsOf, useBench } from './context';
import { NARROWEST, onTape, tape, WIDEST } from './scale';

const NUMBERS = [280, 360, 480, 600, 768, 900, 1024, 1280, 1440, 1680, 1920, 2240, 2560];
const TICKS = Array.from({ length: 115 }, (_, at) => 280 + at * 20);

/** How far the arrow keys move something on the tape. */
function stepOf(event: KeyboardEvent): number {
  const by = {
    ArrowLeft: -1,
    ArrowDown: -1,
    ArrowRight: 1,
    ArrowUp: 1,
    PageUp: 100,
    PageDown: -100,
  }[event.key];
  return (by ?? 0) * (event.shiftKey ? 10 : 1);
}

/** The tape over the stage: a post for each breakpoint, and the carriage that sets the width. */
export function Ruler({ length }: { readonly length: number }) {
  const { page, width, setWidth } = useBench();
  const columns = columnsOf(page);
  const at = tape(length);
  const strip = useRef<HTMLDivElement>(null);
  const widthAt = (event: PointerEvent) =>
    onTape(at.invert(event.clientX - (strip.current?.getBoundingClientRect().left ?? 0)));
  const posts = columns.slice(1);
  return (
    <div
      ref={strip}
      className="tape ruler"
      onPointerDown={(event) => event.target === strip.current && setWidth(widthAt(event))}
    >
      <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden="true">
        {TICKS.map((width) => (
          <line
            key={width}
            x1={at(width)}
            x2={at(width)}
            y1={NUMBERS.includes(width) ? 20 : width % 100 === 0 ? 25 : 30}
            y2={36}
            className="tick"
          />
        ))}
        {NUMBERS.filter((n) => posts.every((post) => Math.abs(at(post.from) - at(n)) > 38)).map(
          (n) => (
            <text
              key={n}
              x={n === WIDEST ? length - 4 : at(n) + 4}
              y={14}
              className="ruler-number"
              textAnchor={n === WIDEST ? 'end' : 'start'}
            >
              {n}
            </text>
          ),
        )}
      </svg>
      {posts.map((post) => (
        <Post
          key={post.id}
          id={post.id}
          name={post.name}
          from={post.from}
          place={at}
          widthAt={widthAt}
        />
      ))}
      <Carriage
        width={width}
        band={bandAt(columns, width)?.name ?? ''}
        x={at(width)}
        length={length}
        widthAt={widthAt}
        onWidth={setWidth}
      />
    </div>
  );
}

interface PostProps {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly place: (width: number) => number;
  readonly widthAt: (event: PointerEvent) => number;
}

/** A breakpoint: dragged, moved by arrow keys, or typed. One move is one edit. */
function Post({ id, name, from, place, widthAt }: PostProps) {
  const { session } = useBench();
  const [moved, setMoved] = useState<number>();
  const [typing, setTyping] = useState(false);
  const value = moved ?? from;
  const commit = (to: number | undefined) => {
    setMoved(undefined);
    setTyping(false);
    if (to !== undefined && to !== from)
      session.edit([{ type: 'MoveBreakpoint', band: id, from: to }]);
  };
  function key(event: KeyboardEvent) {
    const by = stepOf(event);
    if (by !== 0) setMoved(onTape(value + by));
    else if (event.key === 'Enter') {
      if (moved === undefined) setTyping(true);
      else commit(moved);
    } else if (event.key === 'Escape') setMoved(undefined);
    else if (/^\d$/.test(event.key)) setTyping(true);
    else return;
    if (!/^\d$/.test(event.key)) event.preventDefault();
  }
  return (
    <div className="post" style={{ left: place(value) }} data-post={id}>
      {typing ? (
        <WidthField
          label={`${name} begins at, in px`}
          initial={from}
          onDone={(width) => commit(width)}
        />
      ) : (
        <div
          role="slider"
          tabIndex={0}
          aria-label={`${name} begins at`}
          aria-valuemin={NARROWEST}
          aria-valuemax={WIDEST}
          aria-valuenow={value}
          aria-valuetext={`${value} px`}
          title={`${name} begins at ${value} px. Drag, use the arrow keys and Enter, or type.`}
          className="post-grip"
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) =>
            event.currentTarget.hasPointerCapture(event.pointerId) && setMoved(widthAt(event))
          }
          onPointerUp={() => commit(moved)}
          onPointerCancel={() => setMoved(undefined)}
          onDoubleClick={() => setTyping(true)}
          onKeyDown={key}
          onBlur={() => commit(moved)}
        >
          {value}
        </div>
      )}
    </div>
  );
}

interface CarriageProps {
  readonly width: number;
  readonly band: string;
  readonly x: number;
  readonly length: number;
  readonly widthAt: (event: PointerEvent) => number;
  onWidth(width: number): void;
}

function Carriage({ width, band, x, length, widthAt, onWidth }: CarriageProps) {
  const [typing, setTyping] = useState(false);
  const hand = useRef<HTMLDivElement>(null);
  function key(event: KeyboardEvent) {
    const by = stepOf(event);
    if (by !== 0) onWidth(onTape(width + by));
    else if (event.key === 'Home') onWidth(NARROWEST);
    else if (event.key === 'End') onWidth(WIDEST);
    else if (event.key === 'Enter' || /^\d$/.test(event.key)) {
      setTyping(true);
      if (event.key !== 'Enter') return;
    } else return;
    event.preventDefault();
  }
  const side = Math.min(Math.max(x, 30), length - 30);
  return (
    <div className="carriage" style={{ left: side }}>
      <span className="carriage-line" style={{ marginLeft: x - side }} aria-hidden="true" />
      {typing ? (
        <WidthField
          label="Width of the stage, in px"
          initial={width}
          onDone={(next) => {
            setTyping(false);
            if (next !== undefined) onWidth(onTape(next));
            requestAnimationFrame(() => hand.current?.focus());
          }}
        />
      ) : (
        <div
          ref={hand}
          role="slider"
          tabIndex={0}
          aria-label="Width of the stage"
          aria-valuemin={NARROWEST}
          aria-valuemax={WIDEST}
          aria-valuenow={width}
          aria-valuetext={`${width} px, ${band}`}
          title="Drag, use the arrow keys, or type a width"
          className="carriage-grip"
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) =>
            event.currentTarget.hasPointerCapture(event.pointerId) && onWidth(widthAt(event))
          }
          onDoubleClick={() => setTyping(true)}
          onKeyDown={key}
        >
          {width}
        </div>
      )}
    </div>
  );
}

interface WidthFieldProps {
  readonly label: string;
  readonly initial: number;
  /** The width that was typed, or nothing when it was given up. */
  onDone(width: number | undefined): void;
}

function WidthField({ label, initial, onDone }: WidthFieldProps) {
  const done = useRef(false);
  const finish = (field: HTMLInputElement, take: boolean) => {
    if (done.current) return;
    done.current = true;
    const typed = Number.parseFloat(field.value);
    onDone(take && Number.isFinite(typed) ? typed : undefined);
  };
  return (
    <input
      className="width-field"
      aria-label={label}
      inputMode="numeric"
      defaultValue={initial}
      ref={(field) => {
        field?.focus();
        field?.select();
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') finish(event.currentTarget, true);
        if (event.key === 'Escape') finish(event.currentTarget, false);
      }}
      onBlur={(event) => finish(event.currentTarget, true)}
    />
  );
}
