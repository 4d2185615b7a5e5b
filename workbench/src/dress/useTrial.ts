import { useEffect, useRef, useState } from 'react';
import { api, ask, type EditBody, type Swap } from '../api/client';
import { useBench } from '../bench/context';

/** Shows on the stage what a page would be after edits, until one points elsewhere. */
export function useTrial() {
  const { page, toStage } = useBench();
  const back = useRef<Swap>(undefined);
  const asked = useRef(0);
  const [error, setError] = useState('');
  const say = toStage.current;
  const busy = useRef(false);
  const next = useRef<readonly EditBody[]>(undefined);
  const leave = () => {
    asked.current++;
    next.current = undefined;
    if (back.current) say({ type: 'swap', ...back.current });
    back.current = undefined;
  };
  /** Whether what is asked still counts when it is answered. */
  const show = async (edits: readonly EditBody[], counts: () => boolean) => {
    try {
      const trial = await ask(
        api.POST('/api/pages/{id}/trials', {
          params: { path: { id: page.id } },
          body: { edits: [...edits] },
        }),
      );
      if (!counts()) return;
      if (back.current) say({ type: 'swap', ...back.current });
      say({ type: 'swap', ...trial.to });
      back.current = trial.back;
      setError('');
    } catch (problem) {
      if (counts()) setError(problem instanceof Error ? problem.message : String(problem));
    }
  };
  const tryOn = (edits: readonly EditBody[]) => {
    const turn = ++asked.current;
    setTimeout(() => {
      if (turn === asked.current) show(edits, () => turn === asked.current);
    }, 90);
  };
  /** The same while a value is drawn: one after the other, the newest next. */
  const follow = async (edits: readonly EditBody[]) => {
    next.current = edits;
    if (busy.current) return;
    busy.current = true;
    const turn = ++asked.current;
    while (next.current && turn === asked.current) {
      const now = next.current;
      next.current = undefined;
      await show(now, () => turn === asked.current);
    }
    busy.current = false;
    // What was drawn since, after something else was given up.
    if (next.current) follow(next.current);
  };
  const left = useRef(leave);
  left.current = leave;
  useEffect(() => () => left.current(), []);
  return {
    tryOn,
    follow,
    leave,
    error,
    /** What is tried is worn: nothing is taken back. */
    keep: () => {
      asked.current++;
      next.current = undefined;
      back.current = undefined;
    },
  };
}
