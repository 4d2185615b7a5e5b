import { useEffect, useState } from 'react';

/** Ms without a key after which what is typed is looked for. */
const SETTLED = 200;

/** A value once it has not changed for a moment. */
export function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), SETTLED);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}
