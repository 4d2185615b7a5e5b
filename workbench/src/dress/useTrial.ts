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
  const leave = () => {
    asked.current++;
    if (back.current) say({ type: 'swap', ...back.current });
    back.current = undefined;
  };
  const tryOn = (edits: readonly EditBody[]) => {
    const turn = ++asked.current;
    setTimeout(async () => {
      if (turn !== asked.current) return;
      try {
        const trial = await ask(
          api.POST('/api/pages/{id}/trials', {
            params: { path: { id: page.id } },
            body: { edits: [...edits] },
          }),
        );
        if (turn !== asked.current) return;
        if (back.current) say({ type: 'swap', ...back.current });
        say({ type: 'swap', ...trial.to });
        back.current = trial.back;
        setError('');
      } catch (problem) {
        setError(problem instanceof Error ? problem.message : String(problem));
      }
    }, 90);
  };
  const left = useRef(leave);
  left.current = leave;
  useEffect(() => () => left.current(), []);
  return {
    tryOn,
    leave,
    error,
    /** What is tried is worn: nothing is taken back. */
    keep: () => {
      asked.current++;
      back.current = undefined;
    },
  };
}
