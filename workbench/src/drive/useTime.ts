import { useEffect, useRef, useState } from 'react';

/** A time that plays, in ms, up to an end. */
export function useTime(end: number) {
  const [ms, setMs] = useState(0);
  const [plays, setPlays] = useState(false);
  const [half, setHalf] = useState(false);
  const last = useRef<number>(undefined);
  useEffect(() => {
    if (!plays) return;
    let frame = requestAnimationFrame(function step(now) {
      const passed = now - (last.current ?? now);
      last.current = now;
      setMs((at) => {
        const next = at + passed * (half ? 0.5 : 1);
        return next >= end ? 0 : next;
      });
      frame = requestAnimationFrame(step);
    });
    return () => {
      cancelAnimationFrame(frame);
      last.current = undefined;
    };
  }, [plays, half, end]);
  const to = (next: number) => setMs(Math.min(Math.max(0, end - 1), Math.max(0, next)));
  return { ms: Math.min(ms, Math.max(0, end - 1)), to, plays, setPlays, half, setHalf };
}

export type Time = ReturnType<typeof useTime>;
