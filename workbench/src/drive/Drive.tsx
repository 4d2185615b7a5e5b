import { useEffect, useRef, useState } from 'react';
import {
  api,
  ask,
  type Cycle,
  type Finding,
  type NodeBody,
  type Sheet,
  type Way,
} from '../api/client';
import { SheetGrid } from '../arrange/SheetGrid';
import { bandAt, columnsOf, isPiece, settingsOf, useBench } from '../bench/context';
import { find, nameOf } from '../bench/document';
import { usePageQuery } from '../bench/usePageQuery';
import { useSize } from '../bench/useSize';
import { Form } from '../fill/Form';
import { Changes } from './Changes';
import { Tape } from './Tape';
import { useTime } from './useTime';
import { useVisit } from './useVisit';
import { actsOf, type Shown, shownAt } from './visit';
import { Year } from './Year';

/** Ms that are shown beyond a round where somebody is there. */
const AFTER = 6000;
/** Ms between two showings of a change that is tried. */
const PAUSE = 500;

const TRACKS = ['slider', 'carousel'];

/** What happens in time: of a track its round on a tape, of everything else what it does when. */
export function Drive() {
  const { page, chosen, choose, catalogue } = useBench();
  const item = chosen.node.type === 'item' ? chosen.node : undefined;
  const piece = item && chosen.parent ? chosen.parent : chosen.node;
  const [own, setOwn] = useState(false);
  const [box, room] = useSize<HTMLDivElement>();
  const track = TRACKS.includes(piece.type);
  const pieces = isPiece(catalogue, piece.type);
  const [view, setView] = useState<'round' | 'year'>('round');
  const year = pieces && view === 'year';
  const ofItem = own ? item : undefined;
  const node = ofItem ?? piece;
  const drives = settingsOf(catalogue, node.type).filter((each) => each.home === 'drive');
  const once = drives.filter(
    (each) =>
      !each.byBand &&
      (track || (each.id !== 'ownRest' && each.id !== 'ownChanges')) &&
      // Pictures of slides alone lie under words and move.
      (each.id !== 'framing' || piece.type === 'slider'),
  );
  const sheet = usePageQuery({
    key: ['sheet', piece.id, 'drives'],
    read: () =>
      ask(
        api.GET('/api/pages/{id}/sheet', {
          params: { path: { id: page.id }, query: { node: piece.id, drives: true } },
        }),
      ),
  });
  const data: Sheet | undefined = sheet.data?.node === piece.id ? sheet.data : undefined;
  if (drives.length === 0) {
    return (
      <p className="faint p-6">
        Nothing happens in time on “{nameOf(piece)}”. Choose a piece: a slider or a carousel moves
        by itself, counters run, boxes turn, and each can come in when it is seen.
      </p>
    );
  }
  return (
    <section aria-label="Drive" className="drive">
      {pieces && (
        <div className="drive-views" role="group" aria-label="What is seen">
          <button type="button" aria-pressed={!year} onClick={() => setView('round')}>
            {track ? 'One round' : 'What happens'}
          </button>
          <button type="button" aria-pressed={year} onClick={() => setView('year')}>
            The year
          </button>
        </div>
      )}
      {track && <Round key={piece.id} piece={piece} own={ofItem} taped={!year} />}
      {year && <Year key={`year ${piece.id}`} piece={piece} />}
      {data && <Snags snags={data.snags} onItem={(id) => choose(id)} />}
      {item && pieces && (
        <div className="fill-tabs" role="group" aria-label="What to drive">
          <button type="button" aria-pressed={!own} onClick={() => setOwn(false)}>
            {nameOf(piece)}
          </button>
          <button type="button" aria-pressed={own} onClick={() => setOwn(true)}>
            This item: {nameOf(item)}
          </button>
        </div>
      )}
      <div ref={box} className="drive-sheets">
        {sheet.isError && !data && <p className="p-6 text-error">{sheet.error.message}</p>}
        {!ofItem && data && data.rows.length > 0 && room.width > 0 && (
          <SheetGrid
            key={`sheet ${piece.id}`}
            sheet={data}
            node={piece}
            length={room.width}
            suggested={undefined}
            foot={null}
            cut={false}
          />
        )}
        {once.length > 0 && <Form key={`form ${node.id}`} node={node} settings={once} />}
      </div>
    </section>
  );
}

/** What goes by too fast, with ways out. */
function Snags({
  snags,
  onItem,
}: {
  readonly snags: readonly Finding[];
  onItem(id: string): void;
}) {
  const { session, page, width, chosen } = useBench();
  const [picked, setPicked] = useState({ of: '', at: 0 });
  const here = snags.filter((each) => width >= each.from && width <= each.to);
  // That of the chosen item, until one goes on from it.
  const its = here.findIndex((each) => each.item === chosen.node.id);
  const at = picked.of === chosen.node.id && here[picked.at] ? picked.at : Math.max(0, its);
  const snag = here[at];
  if (!snag) return null;
  const named = find(page.document, snag.item)?.node;
  return (
    <div className="drive-snags" role="group" aria-label="Found">
      {here.length > 1 && (
        <button
          type="button"
          className="tape-chip"
          title="The next finding"
          onClick={() => setPicked({ of: chosen.node.id, at: (at + 1) % here.length })}
        >
          {at + 1}/{here.length}
          <span className="sr-only">, the next finding</span>
        </button>
      )}
      <button type="button" className="drive-snag" onClick={() => snag.item && onItem(snag.item)}>
        {named && <b>{nameOf(named)}</b>} {snag.message}
      </button>
      {snag.fixes.map((fix) => (
        <button
          key={fix.label}
          type="button"
          className="drive-fix"
          onClick={() => session.edit(fix.edits)}
        >
          {fix.label}
        </button>
      ))}
    </div>
  );
}

/** The round of a track: the tape, the stage that shows its time, the ways of changing. */
function Round({
  piece,
  own,
  taped,
}: {
  readonly piece: NodeBody;
  readonly own: NodeBody | undefined;
  /** Whether the tape shows. */
  readonly taped: boolean;
}) {
  const { page, width, toStage, session, chosen, catalogue } = useBench();
  const { longestVisit } = catalogue.limits;
  // What happens in time differs from band to band, not from px to px.
  const band = bandAt(columnsOf(page), width);
  const cycle = usePageQuery({
    key: ['cycle', piece.id, band?.id],
    read: () =>
      ask(
        api.GET('/api/pages/{id}/cycle', {
          params: { path: { id: page.id }, query: { piece: piece.id, width } },
        }),
      ),
  });
  const [visit, setVisit] = useVisit(page.id, piece.id);
  const data: Cycle | undefined = cycle.data?.piece === piece.id ? cycle.data : undefined;
  const end = data?.set.at(-1)?.to ?? 0;
  const acts = actsOf(visit);
  const until = Math.min(
    longestVisit,
    acts.length > 0 ? Math.max(end, acts.at(-1)?.at ?? 0) + AFTER : end,
  );
  const trace = usePageQuery({
    key: ['trace', piece.id, band?.id, until, acts],
    read: () =>
      ask(
        api.POST('/api/pages/{id}/trace', {
          params: { path: { id: page.id } },
          body: { piece: piece.id, width, until, acts: [...acts] },
        }),
      ),
    enabled: acts.length > 0 && data?.on === true,
  });
  const so = acts.length > 0 ? (trace.data ?? []) : (data?.set ?? []);
  const time = useTime(until);
  const shown: Shown | undefined = data?.on ? shownAt(so, time.ms) : undefined;
  const stop = shown?.next ?? shown?.stop ?? 0;
  const tried = useTried(piece.id, data, stop);
  // An item that is chosen is gone to: to where it has come to rest.
  const wanted = chosen.node.id;
  const { to } = time;
  useEffect(() => {
    const at = data?.stops.findIndex((each) => each.item === wanted) ?? -1;
    const rest = so.find((each) => each.phase !== 'changes' && each.stop === at);
    if (rest) to(rest.from);
    // Once for each choice: edits that change the tape leave the playhead where it is.
  }, [wanted, data?.piece]);
  // Drawn anew whenever what shows is another, not with each picture of the bench.
  const said = shown && JSON.stringify(shown);
  useEffect(() => {
    if (said && !tried.busy) {
      toStage.current({ type: 'at', id: piece.id, at: JSON.parse(said) as Shown });
    }
  }, [said, piece.id, toStage, tried.busy]);
  useEffect(() => {
    const say = toStage.current;
    return () => say({ type: 'at', id: piece.id });
  }, [piece.id, toStage]);
  const { plays, setPlays } = time;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target instanceof Element ? event.target : undefined;
      if (event.key !== ' ' || event.defaultPrevented) return;
      if (target?.closest('input, textarea, select, button, dialog, [role=grid], summary, a'))
        return;
      event.preventDefault();
      setPlays(!plays);
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [plays, setPlays]);

  if (cycle.isError && !data) return <p className="p-4 text-error">{cycle.error.message}</p>;
  if (!data) return <p className="faint p-4">Laying out the tape…</p>;
  return (
    <>
      {!taped ? null : data.on ? (
        <Tape
          cycle={data}
          piece={piece}
          so={so}
          until={until}
          time={time}
          visit={visit}
          onVisit={setVisit}
          refused={trace.isError ? trace.error.message : undefined}
        />
      ) : (
        <p className="tape-off">
          {data.moves ? (
            <>
              It does not move by itself at {width} px.{' '}
              <button
                type="button"
                className="btn btn-sm"
                onClick={() => session.set(piece.id, 'movesItself', band?.id ?? '', true)}
              >
                Let it move by itself in {band?.name}
              </button>
            </>
          ) : (
            'Everything is in view at this width, so nothing moves.'
          )}
        </p>
      )}
      {data.moves && (
        <Changes
          key={own?.id ?? piece.id}
          cycle={data}
          node={own ?? piece}
          stop={stop}
          onTry={tried.onTry}
        />
      )}
    </>
  );
}

/** Plays a way of changing on the stage, from what shows to the next, for as long as one points at it. */
function useTried(piece: string, cycle: Cycle | undefined, stop: number) {
  const { toStage } = useBench();
  const [way, setWay] = useState<Way>();
  const at = useRef(stop);
  if (!way) at.current = stop;
  const stops = cycle?.stops.length ?? 0;
  useEffect(() => {
    if (!way || stops < 2) return;
    const from = at.current;
    const next = (from + 1) % stops;
    const plan = [way.manner, way.from, way.ms, way.easing] as const;
    let start: number | undefined;
    let frame = requestAnimationFrame(function step(now) {
      start ??= now;
      const passed = (now - start) % (way.ms + 2 * PAUSE);
      const share = Math.min(1, Math.max(0, (passed - PAUSE / 2) / Math.max(1, way.ms)));
      toStage.current({
        type: 'at',
        id: piece,
        at: { stop: from, next, way: plan, back: false, share } satisfies Shown,
      });
      frame = requestAnimationFrame(step);
    });
    return () => {
      cancelAnimationFrame(frame);
      toStage.current({ type: 'at', id: piece, at: { stop: from } satisfies Shown });
    };
  }, [way, stops, piece, toStage]);
  return { busy: way !== undefined, onTry: setWay };
}
