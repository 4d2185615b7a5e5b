import { defaultRangeExtractor, type Range, useVirtualizer } from '@tanstack/react-virtual';
import {
  type ClipboardEvent,
  type CSSProperties,
  Fragment,
  type KeyboardEvent,
  type ReactNode,
  type RefObject,
  useCallback,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
} from 'react';
import { useOthers } from '../together/Others';
import { CellField } from './CellField';
import type { GridCell } from './cell';

export interface GridRow {
  readonly id: string;
  readonly head: ReactNode;
  readonly cells: readonly GridCell[];
  /** What follows the cells: buttons of the row. */
  readonly tail?: ReactNode;
  readonly className?: string;
  /** What this row and those after it are seen together as, said over it. */
  readonly group?: string;
}

/** Rows of a grid: those that are looked at are made when they are. */
export interface GridRows {
  readonly length: number;
  at(index: number): GridRow | undefined;
  /** The id of one without making it; to be the same function while the rows are. */
  readonly idAt?: ((index: number) => string) | undefined;
}

/** What an element has to have that is a row of a grid. */
export interface RowProps {
  readonly style: CSSProperties;
  readonly 'aria-rowindex': number | undefined;
  readonly 'data-index': number;
  /** Takes the element, whose height counts. */
  ref(element: HTMLElement | null): void;
}

export interface Place {
  readonly row: number;
  readonly column: number;
}

interface Props {
  readonly label: string;
  /** Heads of the columns, that of the row heads first; one more when rows have tails. */
  readonly heads: readonly ReactNode[];
  readonly rows: GridRows;
  /** What it scrolls in: with many rows only those in sight are drawn. */
  readonly scroller?: RefObject<HTMLElement | null>;
  /** CSS grid-template-columns of every row. */
  readonly template: string;
  readonly at: Place;
  onAt(at: Place): void;
  onPaste?(text: string, at: Place): void;
  /** Keys of the row: tells whether it did something. */
  onRowKey?(event: KeyboardEvent, row: number): boolean;
  /** Puts a row in a shell of its own, which has to bring `role="row"` and the template. */
  shell?(row: GridRow, props: RowProps, content: ReactNode): ReactNode;
  readonly after?: ReactNode;
}

/** With more rows than that only those in sight are drawn. */
const MANY = 80;
const unmeasured = () => {};
/** How high a row is before it was measured, px. */
const USUAL = 44;

/**
 * A grid that is worked in with the keyboard: arrows move, typing sets, Enter or F2 edits, Delete
 * takes away. Follows the ARIA Authoring Practices' grid pattern with a roving tabindex.
 */
export function Grid(props: Props) {
  const others = useOthers();
  const { label, heads, rows, template, at, onAt, onPaste, onRowKey, shell, after } = props;
  const { scroller } = props;
  const [editing, setEditing] = useState<{ readonly start: string | undefined }>();
  const box = useRef<HTMLDivElement>(null);
  /** Focus follows the current cell only when the grid had it, or asked for it. */
  const follow = useRef(false);
  const row = Math.min(at.row, rows.length - 1);
  const here = rows.at(Math.max(0, row));
  const columns = here?.cells.length ?? 0;
  const column = Math.min(at.column, columns - 1);
  const current = rows.length > 0 ? here?.cells[column] : undefined;
  const many = scroller !== undefined && rows.length > MANY;
  const virtual = useVirtualizer({
    count: many ? rows.length : 0,
    getScrollElement: () => scroller?.current ?? null,
    ...(rows.idAt && { getItemKey: rows.idAt }),
    estimateSize: () => USUAL,
    overscan: 12,
    // The current cell is there wherever one has scrolled to, so that focus is never lost.
    rangeExtractor: useCallback(
      (range: Range) => {
        const seen = defaultRangeExtractor(range);
        return row < 0 || seen.includes(row) ? seen : [...seen, row].sort((a, b) => a - b);
      },
      [row],
    ),
  });
  const drawn = many
    ? virtual.getVirtualItems().map(({ index, start, end }) => ({ index, start, end }))
    : Array.from({ length: rows.length }, (_, index) => ({ index, start: 0, end: 0 }));

  // What is chosen elsewhere comes into sight here.
  const shown = useRef(row);
  useEffect(() => {
    if (many && shown.current !== row && !follow.current) virtual.scrollToIndex(row);
    shown.current = row;
  }, [many, row, virtual]);

  // Before anything is painted: a key that comes at once must not find the cell of before gone.
  useLayoutEffect(() => {
    if (editing || !follow.current) return;
    follow.current = false;
    const active = document.activeElement;
    if (active && active !== document.body && !box.current?.contains(active)) return;
    const cell = box.current?.querySelector<HTMLElement>('[role="gridcell"][tabindex="0"]');
    cell?.focus({ preventScroll: true });
    cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  });

  function move(rowBy: number, columnBy: number) {
    follow.current = true;
    onAt({
      row: Math.min(rows.length - 1, Math.max(0, row + rowBy)),
      column: Math.min(columns - 1, Math.max(0, column + columnBy)),
    });
  }

  function edit(cell: GridCell, start?: string) {
    if (cell.open) cell.open();
    else if (cell.kind === 'toggle') cell.set?.(cell.value === 'on' ? 'off' : 'on');
    else setEditing({ start });
  }

  /** A letter picks the next word that begins with it. */
  function pick(cell: GridCell, letter: string) {
    const words = cell.words ?? [];
    const from = words.indexOf(cell.value) + 1;
    const next = [...words.slice(from), ...words.slice(0, from)].find((word) =>
      word.startsWith(letter.toLowerCase()),
    );
    if (next) cell.set?.(next);
  }

  function key(event: KeyboardEvent) {
    if (editing || !current) return;
    if (
      event.target !== event.currentTarget &&
      !(event.target as Element).matches('[role=gridcell]')
    )
      return;
    if (onRowKey?.(event, row)) {
      // A row that moves is taken out of the page and put in again, and the focus with it.
      follow.current = true;
      event.preventDefault();
      return;
    }
    const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[
      event.key
    ];
    const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
    if (by && plain) move(by[0] ?? 0, by[1] ?? 0);
    else if (event.key === 'Home') move(event.ctrlKey ? -rows.length : 0, -columns);
    else if (event.key === 'End') move(event.ctrlKey ? rows.length : 0, columns);
    else if (event.key === 'Enter' || event.key === 'F2') edit(current);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && plain) current.clear?.();
    else if (event.key === 'Escape' && current.forget) current.forget();
    else if (plain && event.key.length === 1) {
      if (current.kind === 'pick' && event.key !== ' ') pick(current, event.key);
      else if (event.key === ' ' && current.choose) current.choose();
      else if (event.key === ' ') edit(current);
      else if (current.kind === 'line' || current.kind === 'lines') edit(current, event.key);
      else return;
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }

  function done(value: string | undefined, go?: readonly [number, number]) {
    if (value !== undefined && current && (value !== current.value || current.invalid)) {
      current.set?.(value);
    }
    setEditing(undefined);
    if (go) move(go[0], go[1]);
  }

  function paste(event: ClipboardEvent) {
    if (editing || !onPaste) return;
    event.preventDefault();
    onPaste(event.clipboardData.getData('text/plain'), { row, column });
  }

  const style: CSSProperties = { gridTemplateColumns: template };
  const propsOf = (index: number): RowProps => ({
    style,
    // The heads are the first row.
    'aria-rowindex': many ? index + 2 : undefined,
    'data-index': index,
    ref: many ? virtual.measureElement : unmeasured,
  });
  const cellsOf = (each: GridRow, index: number) => (
    <>
      <div role="rowheader" className="row-head">
        {each.head}
      </div>
      {each.cells.map((cell, at) => {
        const here = index === row && at === column;
        return (
          <div
            key={cell.path}
            role="gridcell"
            tabIndex={here ? 0 : -1}
            data-path={cell.path}
            data-typed-by={others.find((other) => other.path === cell.path)?.name}
            aria-invalid={cell.invalid ? true : undefined}
            title={cell.invalid}
            className={`cell ${here ? 'cell-here' : ''} ${cell.className ?? ''}`}
            onFocus={(event) => {
              if (event.target === event.currentTarget && !here) onAt({ row: index, column: at });
            }}
            onClick={(event) => {
              if (editing && here) return;
              if (here || cell.kind === 'own') {
                event.currentTarget.focus();
                edit(cell);
              }
            }}
          >
            {here && editing ? (
              <CellField cell={cell} start={editing.start} onDone={done} />
            ) : (
              cell.show
            )}
          </div>
        );
      })}
      {each.tail !== undefined && (
        <div role="gridcell" className="row-tail">
          {each.tail}
        </div>
      )}
    </>
  );

  return (
    <div
      ref={box}
      role="grid"
      aria-label={label}
      aria-rowcount={many ? rows.length + 1 : undefined}
      className="grid-box"
      onKeyDown={key}
      onPaste={paste}
      tabIndex={-1}
    >
      <div
        role="row"
        aria-rowindex={many ? 1 : undefined}
        className="grid-row grid-heads"
        style={style}
      >
        {heads.map((head, index) => (
          <div key={index} role="columnheader" className="column-head">
            {head}
          </div>
        ))}
      </div>
      {drawn.map(({ index, start }, place) => {
        const each = rows.at(index);
        if (!each) return null;
        const before = drawn[place - 1]?.end ?? 0;
        return (
          <Fragment key={each.id}>
            {start > before && <div role="presentation" style={{ blockSize: start - before }} />}
            {each.group && (
              <div role="row" className="grid-group">
                <div role="rowheader">{each.group}</div>
              </div>
            )}
            {shell ? (
              shell(each, propsOf(index), cellsOf(each, index))
            ) : (
              <div role="row" className={`grid-row ${each.className ?? ''}`} {...propsOf(index)}>
                {cellsOf(each, index)}
              </div>
            )}
          </Fragment>
        );
      })}
      {many && (
        <div
          role="presentation"
          style={{ blockSize: virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0) }}
        />
      )}
      {after}
    </div>
  );
}
