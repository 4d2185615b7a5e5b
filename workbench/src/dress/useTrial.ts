import { useEffect, useRef, useState } from 'react';
import { api, ask, type EditBody, type Swap } from '../api/client';
import { useBench } from '../bench/context';

/** What the server writes into rules much as it is typed: colours of their own, gradients of those. */
const HEX = '#[0-9a-f]{6}(?:[0-9a-f]{2})?';
const AS_TYPED = new RegExp(
  `^(?:${HEX}|(?:linear-gradient\\([\\d.]+deg|radial-gradient\\((?:circle )?at [\\d.]+% [\\d.]+%)(?:,${HEX} [\\d.]+%)+\\))$`,
);

/** As it stands in rules: colours that begin and end a gradient have no place there. */
const ruled = (value: string) =>
  value.replace(new RegExp(`^([^#]*${HEX}) 0%,`), '$1,').replace(/ 100%\)$/, ')');

/** What was tried of a value, so that the next one is the same rules with another value. */
interface Drawn {
  readonly of: string;
  readonly value: string;
  readonly to: Swap;
  readonly back: Swap;
}

/** What an edit says something of, and the value that it says; nothing for others. */
function typedIn(edits: readonly EditBody[]): { of: string; value: string } | undefined {
  const [edit] = edits;
  if (edits.length !== 1 || !edit) return undefined;
  const { value, ...of } = edit;
  return typeof value === 'string' && AS_TYPED.test(value)
    ? { of: JSON.stringify(of), value: ruled(value) }
    : undefined;
}

const inserted = ({ rules }: Swap) => (rules ?? []).flatMap((rule) => rule.insert);

/** What rules say, one by one, without what they say it of. */
const declared = (rules: readonly string[]) =>
  rules
    .flatMap((rule) => [...rule.matchAll(/\{([^{}]*)\}/g)])
    .flatMap(([, within = '']) => within.split(';'))
    .map((each) => each.trim())
    .filter(Boolean);

/**
 * The same trial with another value. Only where rules alone change, all that changes in them has
 * the first value as it was typed, and nothing had it before: then the server's answer would be
 * the same but for the value.
 */
function redrawn(
  { value, to, back }: Pick<Drawn, 'value' | 'to' | 'back'>,
  next: string,
): Pick<Drawn, 'to' | 'back'> | undefined {
  const { rules } = to;
  if (!rules || !back.rules || to.html) return undefined;
  if (Object.keys(to.blocks ?? {}).length > 0) return undefined;
  const has = (rule: string) => rule.includes(value);
  const before = declared(inserted(back));
  const known = new Set(before);
  const changed = declared(inserted(to)).filter((each) => !known.has(each));
  if (changed.length === 0 || !changed.every(has) || before.some(has)) return undefined;
  const css = `${to.css}${next}`;
  return {
    to: {
      ...to,
      css,
      rules: rules.map((rule) => ({
        ...rule,
        insert: rule.insert.map((each) => each.replaceAll(value, next)),
      })),
    },
    back: { ...back, from: css },
  };
}

/** Shows on the stage what a page would be after edits, until one points elsewhere. */
export function useTrial() {
  const { page, toStage } = useBench();
  const back = useRef<Swap>(undefined);
  const asked = useRef(0);
  const [error, setError] = useState('');
  const say = toStage.current;
  const busy = useRef(false);
  const next = useRef<readonly EditBody[]>(undefined);
  const drawn = useRef<Drawn>(undefined);
  const leave = () => {
    asked.current++;
    next.current = undefined;
    drawn.current = undefined;
    if (back.current) say({ type: 'swap', ...back.current });
    back.current = undefined;
  };
  const wear = (to: Swap, from: Swap) => {
    if (back.current) say({ type: 'swap', ...back.current });
    say({ type: 'swap', ...to });
    back.current = from;
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
      wear(trial.to, trial.back);
      const value = typedIn(edits);
      drawn.current = value && { ...value, ...trial };
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
    // The rules are known once one was asked for: the next is there within the frame.
    const value = typedIn(edits);
    const known = value && drawn.current?.of === value.of ? drawn.current : undefined;
    const again = value && known && redrawn(known, value.value);
    if (again) {
      asked.current++;
      next.current = undefined;
      say({ type: 'redraw', to: again.to, back: back.current });
      back.current = again.back;
      return;
    }
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
      drawn.current = undefined;
      back.current = undefined;
    },
  };
}
