import { useEffect, useRef } from 'react';
import { type Bench, bandAt, chosenNow, columnsOf, type Step } from './context';

/** The number of each step. */
export const stepKeys: Readonly<Record<string, Step>> = {
  1: 'fill',
  2: 'arrange',
  3: 'dress',
  4: 'drive',
  5: 'prove',
  6: 'ship',
};

const typing = (target: EventTarget | null) =>
  target instanceof Element && target.closest('input, textarea, select, dialog') !== null;

/** The keys that work wherever one is on the bench. */
export function useKeys(
  bench: Bench,
  open: (what: 'find' | 'keys' | 'history' | 'remarks') => void,
  whole: boolean,
  setWhole: (whole: boolean) => void,
) {
  const latest = useRef(bench);
  latest.current = bench;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return;
      const { session, page, width, setWidth, choose, chosen, steps } = latest.current;
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      const inText = typing(event.target);
      const inGrid = event.target instanceof Element && event.target.closest('[role=grid]');
      if (command && key === 'k') open('find');
      else if (inText) return;
      else if (command && key === 'z') (event.shiftKey ? session.redo : session.undo)();
      else if (command && key === 'y') session.redo();
      else if (command || event.altKey) return;
      else if (event.key === '?') open('keys');
      else if (key === 'h' && !inGrid) open('history');
      else if (key === 'r' && !inGrid) open('remarks');
      else if (key === 'w' && !inGrid) setWhole(!whole);
      else if (key === 'escape' && whole) setWhole(false);
      else if (event.key === '[' || event.key === ']') {
        const columns = columnsOf(page);
        const at = columns.findIndex((band) => band.id === bandAt(columns, width)?.id);
        const next = columns[at + (event.key === ']' ? 1 : -1)];
        if (next) setWidth(next.from === 0 ? 390 : next.from);
      } else {
        // A number typed in a cell or on the ruler is a value, not a step.
        const busy = event.target instanceof Element && event.target.closest('[role=grid], .ruler');
        const step = busy ? undefined : stepKeys[event.key];
        if (!step || !steps.includes(step)) return;
        choose(chosenNow(chosen.node.id), step);
      }
      event.preventDefault();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [open, whole, setWhole]);
}
