import type { KeyboardEvent } from 'react';
import { useRef } from 'react';
import type { GridCell } from './cell';

interface Props {
  readonly cell: GridCell;
  /** What was typed to get here, or nothing to go on with what is there. */
  readonly start: string | undefined;
  /** The new value, or nothing when it was given up; and how far to go on from here, if at all. */
  onDone(value: string | undefined, go?: readonly [number, number]): void;
}

/** The field that a cell turns into while it is edited. */
export function CellField({ cell, start, onDone }: Props) {
  const done = useRef(false);
  const finish = (value: string | undefined, go?: readonly [number, number]) => {
    if (done.current) return;
    done.current = true;
    onDone(value, go);
  };
  function key(event: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement>) {
    event.stopPropagation();
    const { value } = event.currentTarget;
    if (event.key === 'Escape') finish(undefined, [0, 0]);
    else if (event.key === 'Enter' && !event.shiftKey && !event.altKey) finish(value, [1, 0]);
    else if (event.key === 'Tab') finish(value, [0, event.shiftKey ? -1 : 1]);
    else return;
    event.preventDefault();
  }
  const common = {
    'aria-label': cell.label,
    defaultValue: start ?? cell.value,
    className: 'cell-field',
    onKeyDown: key,
  };
  if (cell.kind === 'pick') {
    return (
      <select
        {...common}
        ref={(field) => field?.focus()}
        onChange={(event) => finish(event.currentTarget.value, [0, 0])}
        onBlur={() => finish(undefined)}
      >
        {cell.words?.map((word) => (
          <option key={word} value={word}>
            {cell.says?.(word) ?? word}
          </option>
        ))}
      </select>
    );
  }
  const take = (field: HTMLInputElement | HTMLTextAreaElement | null) => {
    if (!field || document.activeElement === field) return;
    field.focus();
    if (start === undefined) field.select();
    else field.setSelectionRange(start.length, start.length);
  };
  if (cell.kind === 'lines') {
    return (
      <textarea
        {...common}
        className="cell-field cell-lines"
        rows={5}
        ref={take}
        onBlur={(event) => finish(event.currentTarget.value)}
      />
    );
  }
  return <input {...common} ref={take} onBlur={(event) => finish(event.currentTarget.value)} />;
}
