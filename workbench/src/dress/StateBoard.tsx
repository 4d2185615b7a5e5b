import { type RefObject, useEffect, useRef, useState } from 'react';
import type { Board, NodeBody, PartReply } from '../api/client';
import { bandAt, stateName, useBench, versionOf } from '../bench/context';
import { nameOf, pathTo } from '../bench/document';
import { ownOf } from '../bench/keys';
import { Grid, type Place } from '../grid/Grid';
import { PAINTED, SheetFoot, useSheetCells } from '../grid/useSheetCells';
import { useSettled } from '../ui/useSettled';
import type { At } from './at';
import { Drawing } from './Drawing';
import { Moves } from './Moves';
import { PaintFix } from './PaintFix';
import type { TakeColour } from './Trace';

const NAMES = 148;
const LEAST = 132;

interface Props {
  readonly board: Board;
  readonly bead: PartReply;
  /** Who says it, and what is looked at. */
  readonly node: NodeBody;
  readonly subject: NodeBody;
  readonly at: At;
  readonly length: number;
  onState(state: string): void;
  /** Where a colour goes that is taken elsewhere: into the chosen cell. */
  readonly take: RefObject<TakeColour>;
}

/** A part in its states, each drawn as compiled; below, what holds of it. */
export function StateBoard({
  board,
  bead,
  node,
  subject,
  at: asked,
  length,
  onState,
  take,
}: Props) {
  const { page, session, width, choose } = useBench();
  const settled = useSettled(width);
  const { cellOf, dialog } = useSheetCells(node, board.tone);
  const [across, setAcross] = useState<'states' | 'bands'>('states');
  const [only, setOnly] = useState(false);
  const scroll = useRef<HTMLDivElement>(null);
  const byState = across === 'states';
  const band = bandAt(board.bands, width);
  const bandAtWidth = Math.max(
    0,
    board.bands.findIndex((each) => each.id === band?.id),
  );
  const stateAsked = Math.max(0, bead.states.indexOf(asked.state));
  const columns = byState ? bead.states.map(stateName) : board.bands.map((each) => each.name);
  const rows = board.groups.flatMap((group) =>
    group.rows.map((row) => ({ row, group: group.label })),
  );
  const set = (row: (typeof rows)[number]) =>
    row.row.states.some((state) =>
      board.bands.some((each) => ownOf(node, state.key, each.id) !== undefined),
    );
  const shown = only ? rows.filter(set) : rows;
  const [at, setAt] = useState<Place>({ row: 0, column: byState ? stateAsked : bandAtWidth });
  useEffect(() => {
    const row = shown.findIndex((each) => each.row.property === asked.property);
    if (!asked.property || row < 0) return;
    setAt((now) => ({ ...now, row }));
    // A row that was asked for is seen; the heads stand over what is above it.
    scroll.current
      ?.querySelectorAll('.grid-row:not(.grid-heads)')
      [row]?.scrollIntoView({ block: 'center' });
    // Only when one is asked for.
  }, [asked.property]);
  useEffect(
    () => setAt((now) => ({ ...now, column: byState ? stateAsked : bandAtWidth })),
    [byState, stateAsked, bandAtWidth],
  );
  const count = columns.length;
  const each = Math.max(LEAST, Math.floor((length - NAMES) / count));
  const template = `${NAMES}px repeat(${count}, minmax(${LEAST}px, 1fr))`;
  const cellAt = (row: (typeof rows)[number]['row'], column: number) => {
    const inState = row.states[byState ? column : stateAsked];
    const cell = inState?.cells[byState ? bandAtWidth : column];
    return inState && cell && { key: inState.key, setting: row.of, label: row.label, cell };
  };
  const here = shown[Math.min(at.row, shown.length - 1)];
  const value = here && cellAt(here.row, at.column);
  useEffect(() => {
    take.current = (colour) => {
      if (!value || !PAINTED.includes(value.setting.kind)) return undefined;
      session.set(node.id, value.key, value.cell.band, colour);
      return `${bead.label.toLowerCase()}, ${value.label.toLowerCase()}`;
    };
    return () => {
      take.current = () => undefined;
    };
  });
  const contrastOf = (state: string) =>
    bead.contrasts.find((contrast) => contrast.state === state && contrast.band === band?.id);
  const head = (state: string) => {
    const contrast = contrastOf(state);
    return (
      <span key={state} className="state-head">
        <button
          type="button"
          className={state === asked.state ? 'state-held' : ''}
          aria-pressed={state === asked.state}
          title="Hold it on the stage"
          onClick={() => onState(state)}
        >
          {stateName(state)}
        </button>
        {contrast && (
          <span
            className={contrast.low ? 'text-error' : 'text-success'}
            title={`Contrast at worst; it should be ${contrast.asked} or more (WCAG 2.2)`}
          >
            {contrast.low ? '✕' : '✓'} {(Math.floor(contrast.found * 10) / 10).toFixed(1)}
            <span className="sr-only"> contrast{contrast.low ? ', too low' : ''}</span>
          </span>
        )}
      </span>
    );
  };
  const gridRows = shown.map(({ row, group }, index) => ({
    id: row.property,
    // A group whose first row is hidden is said over the next.
    group: group !== shown[index - 1]?.group ? group : '',
    head: row.label,
    cells: columns.map((where, column) => {
      const found = cellAt(row, column);
      if (!found) throw new Error('a row without a cell');
      const marked = byState ? bead.states[column] === asked.state : column === bandAtWidth;
      return cellOf({
        ...found,
        label: row.label,
        where: byState ? `${where}, ${band?.name ?? ''}` : where,
        className: marked ? 'cell-band' : '',
        after: byState && board.bands.length > 1 && (
          <span className="ticks" aria-hidden="true">
            {board.bands.map((of) => (
              <i
                key={of.id}
                className={ownOf(node, found.key, of.id) === undefined ? '' : 'tick-own'}
                title={of.name}
              />
            ))}
          </span>
        ),
      });
    }),
  }));
  const state = bead.states[byState ? at.column : stateAsked] ?? 'rest';
  const contrast = contrastOf(state);
  const isBlock = !['page', 'section', 'site', 'item'].includes(subject.type);
  const way = pathTo(page.document.page, subject.id);
  // A pin lies on an item of a piece, an item in a piece: that is drawn whole.
  const block =
    subject.type === 'pin'
      ? (way.at(-3) ?? '')
      : isBlock
        ? subject.id
        : subject.type === 'item'
          ? (way.at(-2) ?? '')
          : '';
  const of =
    subject.type === 'pin'
      ? `[data-pin="${subject.id}"]`
      : subject.type === 'item'
        ? `[data-item="${subject.id}"],[data-of="${subject.id}"]`
        : '';
  return (
    <>
      <div ref={scroll} className="sheet-scroll board">
        <Grid
          label={`${bead.label} of ${nameOf(subject)}, by ${across}`}
          template={template}
          heads={[
            <span key="names" className="board-corner">
              <b>{bead.label}</b>
              <span className="faint">
                {byState ? `at ${band?.name ?? ''}` : stateName(asked.state)}
              </span>
              {byState && (
                <Drawing
                  key={`${subject.id} ${settled}`}
                  width={settled}
                  block={block}
                  of={of}
                  version={versionOf(page)}
                  bead={bead}
                  left={NAMES}
                  each={each}
                />
              )}
            </span>,
            ...(byState
              ? bead.states.map(head)
              : board.bands.map((of) => (
                  <span key={of.id} className="state-head">
                    <b>{of.name}</b>
                  </span>
                ))),
          ]}
          rows={gridRows}
          at={at}
          onAt={(to) => {
            setAt(to);
            const next = bead.states[to.column];
            if (byState && next && next !== asked.state) onState(next);
          }}
        />
        {shown.length === 0 && <p className="faint p-4">Nothing is set here yet.</p>}
      </div>
      <SheetFoot
        node={node}
        value={value || undefined}
        cause={
          value?.cell.note
            ? {
                label: 'what decides it',
                go: () => choose(node.id, 'arrange', value.cell.note?.cause ?? ''),
              }
            : undefined
        }
        more={
          <>
            {contrast?.low && (
              <span className="text-error">
                {' '}
                · contrast {(Math.floor(contrast.found * 10) / 10).toFixed(1)}, it should be{' '}
                {contrast.asked}{' '}
                <PaintFix
                  page={page.id}
                  node={node.id}
                  of={subject.id}
                  part={bead.id}
                  state={state}
                  band={band?.id ?? ''}
                />
              </span>
            )}
            {board.reach > 1 && (
              <span>
                {' '}
                · changes <b>{board.reach}</b> pieces and blocks
              </span>
            )}
          </>
        }
      >
        {bead.moves.length > 0 && <Moves bead={bead} onState={onState} />}
        <label className="foot-only">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={only}
            onChange={(event) => setOnly(event.target.checked)}
          />
          only what is set
        </label>
        <span className="board-across" role="group" aria-label="Columns">
          {(['states', 'bands'] as const).map((word) => (
            <button
              key={word}
              type="button"
              aria-pressed={across === word}
              onClick={() => setAcross(word)}
            >
              {word}
            </button>
          ))}
        </span>
      </SheetFoot>
      {dialog}
    </>
  );
}
