import { useCallback, useState } from 'react';

/** A number that this browser remembers from one visit to the next. */
export function useKept(name: string, initial: number): [number, (value: number) => void] {
  const key = `giostra.${name}`;
  const [value, setValue] = useState(() => {
    const kept = Number.parseFloat(localStorage.getItem(key) ?? '');
    return Number.isFinite(kept) ? kept : initial;
  });
  const keep = useCallback(
    (next: number) => {
      setValue(next);
      localStorage.setItem(key, String(next));
    },
    [key],
  );
  return [value, keep];
}
