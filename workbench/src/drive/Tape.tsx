import { scaleLinear } from 'd3-scale';
import { Pause, Play, RotateCcw, X } from 'lucide-react';
import {
  type DragEvent,
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
  useRef,
  useState,
} from 'react';
import type { Cycle, NodeBody, Stretch } from '../api/client';
import { useBench } from '../bench/context';
import { useSize } from '../bench/useSize';
import type { Time } from './useTime';
import { DEEDS, type Done, saysOf, seconds } from './visit';

/** Width of the names of the rows, px. */
const NAMES = 96;
/** Ms of a picture, by which the arrow keys move, and of a long step. */
const FRAME = 1000 / 60;
const STEP = 1000;
/** What is dragged lands on tenths of a second. */
const GRAIN = 100;
const grained = (ms: number) => Math.round(ms / GRAIN) * GRAIN;

interface Props {
  readonly cycle: Cycle;
  readonly piece: NodeBody;
  /** What it does with the visitor, where there is one. */
  readonly so: readonly Stretch[];
  readonly until: number;
  readonly time: Time;
  readonly visit: readonly Done[];
  onVisit(visit: readonly Done[]): void;
  /** Says what is wrong with the visit, if something is. */
  readonly refused: string | undefined;
}

/** Seconds across: what is set, what a visitor does, what comes of it; a playhead over all. */
export function Tape({ cycle, piece, so, until, time, visit, onVisit, refused }: Props) {
  const [box, room] = useSize<HTMLDivElement>();
  const x = scaleLinear()
    .domain([0, Math.max(1, until)])
    .range([NAMES, Math.max(NAMES + 10, room.width - 12)]);
  const ticks = x
    .ticks(Math.max(2, Math.floor((room.width - NAMES) / 60)))
    .filter((t) => t % 500 === 0);
  const msAt = (clientX: number) => {
    const left = box.current?.getBoundingClientRect().left ?? 0;
    return Math.min(until, Math.max(0, x.invert(clientX - left)));
  };
  const scrub = (event: PointerEvent<HTMLElement>) => {
    if (event.buttons !== 1) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    time.setPlays(false);
    time.to(msAt(event.clientX));
  };
  const add = (deed: string, at: number) => {
    const lasts = DEEDS.find((each) => each.id === deed)?.lasts;
    const key = Math.max(0, ...visit.map((each) => each.key)) + 1;
    const start = grained(at);
    onVisit([...visit, { key, deed, at: start, ...(lasts ? { until: start + lasts } : {}) }]);
  };
  const drop = (event: DragEvent) => {
    const deed = event.dataTransfer.getData('text/x-giostra-deed');
    if (!deed) return;
    event.preventDefault();
    add(deed, msAt(event.clientX));
  };
  const keys = (event: KeyboardEvent) => {
    const by = event.shiftKey ? STEP : FRAME;
    const to = {
      ArrowLeft: time.ms - by,
      ArrowRight: time.ms + by,
      Home: 0,
      End: until,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    time.setPlays(false);
    time.to(to);
  };
  return (
    <section aria-label="Tape" className="tape-of-time">
      <div className="tape-top">
        <button
          type="button"
          className="tape-play"
          aria-label={time.plays ? 'Stop' : 'Play'}
          title={`${time.plays ? 'Stop' : 'Play'} (Space)`}
          onClick={() => time.setPlays(!time.plays)}
        >
          {time.plays ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />}
        </button>
        <output className="tape-now">
          <b>{seconds(time.ms)} s</b>{' '}
          <span className="faint">of one round, {seconds(cycle.round)} s</span>
        </output>
        <button
          type="button"
          className="tape-chip"
          title="From the start"
          onClick={() => time.to(0)}
        >
          <RotateCcw size={13} aria-hidden />
          <span className="sr-only">From the start</span>
        </button>
        <button
          type="button"
          className="tape-chip"
          aria-pressed={time.half}
          onClick={() => time.setHalf(!time.half)}
        >
          half speed
        </button>
        <span className="tape-who" id="tape-who">
          A visitor who
        </span>
        <div className="tape-deeds" role="group" aria-labelledby="tape-who">
          {DEEDS.map((deed) => (
            <button
              key={deed.id}
              type="button"
              className="tape-chip tape-deed"
              draggable
              title="Drag it onto the tape, or press: then it happens at the playhead"
              onDragStart={(event) => {
                event.dataTransfer.setData('text/x-giostra-deed', deed.id);
                event.dataTransfer.effectAllowed = 'copy';
              }}
              onClick={() => add(deed.id, time.ms)}
            >
              {deed.label}
            </button>
          ))}
        </div>
        {visit.length > 0 && (
          <button type="button" className="tape-chip" onClick={() => onVisit([])}>
            <X size={13} aria-hidden /> nobody
          </button>
        )}
      </div>
      <div
        ref={box}
        className="tape-rows"
        role="group"
        aria-label="Rows of the tape"
        onDragOver={(event) => {
          if (event.dataTransfer.types.includes('text/x-giostra-deed')) event.preventDefault();
        }}
        onDrop={drop}
      >
        <div
          className="tape-scale"
          role="slider"
          tabIndex={0}
          aria-label="Playhead"
          aria-valuemin={0}
          aria-valuemax={Math.round(until)}
          aria-valuenow={Math.round(time.ms)}
          aria-valuetext={`${seconds(time.ms)} seconds`}
          onPointerDown={scrub}
          onPointerMove={scrub}
          onKeyDown={keys}
        >
          <span className="tape-name">seconds</span>
          {ticks.map((tick) => (
            <span key={tick} className="tape-tick" style={{ left: x(tick) }}>
              {tick / 1000}
            </span>
          ))}
        </div>
        <div className="tape-row">
          <span className="tape-name">Set to</span>
          {cycle.set.map((each, at) => (
            <SetTo key={each.from} each={each} cycle={cycle} piece={piece} x={x} msAt={msAt}>
              <Comings before={cycle.set[at - 1]} rest={each} cycle={cycle} x={x} />
            </SetTo>
          ))}
        </div>
        <div className="tape-row">
          <span className="tape-name">Visitor</span>
          {visit.length === 0 && (
            <span className="tape-hint" style={{ left: NAMES + 8 }}>
              nobody: drag somebody’s doings here, or press them
            </span>
          )}
          {visit.map((each) => (
            <Doing
              key={each.key}
              each={each}
              x={x}
              msAt={msAt}
              onSet={(next) => onVisit(visit.map((one) => (one.key === each.key ? next : one)))}
              onGone={() => onVisit(visit.filter((one) => one.key !== each.key))}
            />
          ))}
          {refused && (
            <span role="alert" className="tape-refused">
              {refused}
            </span>
          )}
        </div>
        <div className="tape-row">
          <span className="tape-name">So it</span>
          {so.map((each) => (
            <span
              key={each.from}
              className={`tape-box tape-${each.phase}`}
              style={{ left: x(each.from), width: Math.max(2, x(each.to) - x(each.from)) }}
              title={`${seconds(each.from)} to ${seconds(each.to)} s: ${each.phase === 'changes' ? 'changes' : saysOf(each)}`}
            >
              {saysOf(each)}
            </span>
          ))}
        </div>
        <span className="tape-head" style={{ left: x(time.ms) }} aria-hidden="true" />
      </div>
    </section>
  );
}

interface SetProps {
  readonly each: Stretch;
  readonly cycle: Cycle;
  readonly piece: NodeBody;
  readonly x: (ms: number) => number;
  readonly children: ReactNode;
  msAt(clientX: number): number;
}

interface ComingsProps {
  readonly before: Stretch | undefined;
  readonly rest: Stretch;
  readonly cycle: Cycle;
  readonly x: (ms: number) => number;
}

/** What comes in after a slide, from when that begins to: its words, what is pinned to it. */
function Comings({ before, rest, cycle, x }: ComingsProps) {
  if (before?.phase !== 'changes') return null;
  return cycle.stops[rest.stop]?.comings.map((each, row) => {
    const says = each.name || 'words';
    const left = x(before.from + each.from);
    return (
      <span
        key={`${says} ${each.from} ${each.until}`}
        className="tape-comes"
        style={{
          left,
          width: Math.max(3, x(before.from + each.until) - left),
          bottom: 3 + 4 * row,
        }}
        title={`${says} in from ${seconds(each.from)} to ${seconds(each.until)} s after the slide began to come`}
      />
    );
  });
}

/** One rest or change as it is set; the end of a rest can be dragged, and moved by keys. */
function SetTo({ each, cycle, piece, x, msAt, children }: SetProps) {
  const { session, choose, chosen, catalogue } = useBench();
  const { leastRest, mostRest } = catalogue.limits;
  const [to, setTo] = useState<number>();
  const left = x(each.from);
  if (each.phase === 'changes') {
    const way = cycle.stops[each.next]?.ways[each.way];
    return (
      <span
        className="tape-box tape-changes"
        style={{ left, width: Math.max(2, x(each.to) - left) }}
        title={`${way?.written ?? 'changes'}, ${seconds(each.to - each.from)} s`}
      />
    );
  }
  const stop = cycle.stops[each.stop];
  if (!stop || each.phase === 'over') return null;
  if (each.phase === 'waits') {
    return (
      <span className="tape-box tape-waits" style={{ left, width: x(each.to) - left }}>
        waits
      </span>
    );
  }
  const end = to ?? each.to;
  const read = each.from + stop.reads;
  const hasty = stop.reads > end - each.from;
  /** The end of the rest where it may be. */
  const held = (ms: number) =>
    each.from + Math.min(mostRest, Math.max(leastRest, grained(ms - each.from)));
  const send = (ms: number) => {
    session.set(stop.item, 'ownRest', '', `${(held(ms) - each.from) / 1000}s`);
  };
  const nudge = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -GRAIN, ArrowRight: GRAIN }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    send(each.to + by * (event.shiftKey ? 10 : 1));
  };
  return (
    <>
      <button
        type="button"
        className={`tape-box tape-set ${hasty ? 'tape-hasty' : ''} ${chosen.node.id === stop.item ? 'tape-chosen' : ''}`}
        style={{ left, width: Math.max(4, x(end) - left) }}
        title={`${stop.name} rests ${seconds(end - each.from)} s; it takes ${seconds(stop.reads)} s to read`}
        onClick={() => choose(stop.item)}
      >
        <span className="truncate">{stop.name || nameless(piece, stop.item)}</span>
        <b>{seconds(end - each.from)} s</b>
      </button>
      {stop.reads > 0 && (!hasty || chosen.node.id === stop.item || to !== undefined) && (
        <span
          className={`tape-read ${hasty ? 'tape-read-late' : ''}`}
          style={{ left: x(read) }}
          title={`Read after ${seconds(stop.reads)} s`}
        />
      )}
      {children}
      <span
        role="slider"
        tabIndex={0}
        className="tape-edge"
        style={{ left: x(end) - 12 }}
        aria-label={`Rest of ${stop.name}`}
        aria-valuemin={leastRest}
        aria-valuemax={mostRest}
        aria-valuenow={Math.round(end - each.from)}
        aria-valuetext={`${seconds(end - each.from)} seconds`}
        onKeyDown={nudge}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setTo(each.to);
        }}
        onPointerMove={(event) => {
          if (to !== undefined) setTo(held(msAt(event.clientX)));
        }}
        onPointerUp={() => {
          if (to !== undefined && to !== each.to) send(to);
          setTo(undefined);
        }}
        onPointerCancel={() => setTo(undefined)}
      />
    </>
  );
}

const nameless = (piece: NodeBody, item: string) =>
  `Item ${(piece.children ?? []).findIndex((each) => each.id === item) + 1}`;

interface DoingProps {
  readonly each: Done;
  readonly x: (ms: number) => number;
  msAt(clientX: number): number;
  onSet(next: Done): void;
  onGone(): void;
}

/** Something that the visitor does: dragged along the tape, made longer at its end. */
function Doing({ each, x, msAt, onSet, onGone }: DoingProps) {
  const deed = DEEDS.find((one) => one.id === each.deed);
  const grip = useRef<{ from: number; at: number; end: boolean }>(undefined);
  const until = each.until;
  const left = x(each.at);
  const width = until === undefined ? undefined : Math.max(8, x(until) - left);
  const moved = (by: number, end: boolean): Done =>
    end && until !== undefined
      ? { ...each, until: Math.max(each.at + GRAIN, grained(until + by)) }
      : {
          ...each,
          at: Math.max(0, grained(each.at + by)),
          ...(until === undefined
            ? {}
            : { until: Math.max(0, grained(each.at + by)) + until - each.at }),
        };
  const down = (end: boolean) => (event: PointerEvent<HTMLElement>) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { from: msAt(event.clientX), at: each.at, end };
  };
  const move = (event: PointerEvent<HTMLElement>) => {
    const held = grip.current;
    if (!held) return;
    const now = msAt(event.clientX);
    const next = moved(now - held.from, held.end);
    if (next.at !== each.at || next.until !== each.until) {
      grip.current = { ...held, from: now };
      onSet(next);
    }
  };
  const up = () => {
    grip.current = undefined;
  };
  return (
    <span className="tape-doing" style={{ left, ...(width ? { width } : {}) }}>
      <button
        type="button"
        className={`tape-act ${until === undefined ? 'tape-once' : ''}`}
        aria-label={`${deed?.label ?? each.deed} at ${seconds(each.at)} s${until === undefined ? '' : ` until ${seconds(until)} s`}: arrows move it, Delete takes it away`}
        onPointerDown={down(false)}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
        onKeyDown={(event) => {
          const by = { ArrowLeft: -GRAIN, ArrowRight: GRAIN }[event.key];
          if (by !== undefined) onSet(moved(by * (event.altKey ? 1 : 5), event.shiftKey));
          else if (event.key === 'Delete' || event.key === 'Backspace') onGone();
          else return;
          event.preventDefault();
        }}
      >
        {deed?.label ?? each.deed}
      </button>
      {until !== undefined && (
        <span
          className="tape-act-end"
          aria-hidden="true"
          onPointerDown={down(true)}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={up}
        />
      )}
    </span>
  );
}
