import { useMemo } from 'react';
import { useSweep } from '../prove/useSweep';

const NONE: ReadonlyMap<string, string[]> = new Map();

/** What was found on the page, as messages by piece and by item. */
export function useSnags(): ReadonlyMap<string, string[]> {
  const swept = useSweep();
  const snags = swept.data?.snags;
  const left = swept.data?.left;
  return useMemo(() => {
    if (!snags) return NONE;
    const byNode = new Map<string, string[]>();
    for (const { key, piece, item, message } of snags) {
      // What is left on purpose is no snag.
      if (left?.[key] !== undefined) continue;
      for (const node of item ? [piece, item] : [piece]) {
        byNode.set(node, [...(byNode.get(node) ?? []), message]);
      }
    }
    return byNode;
  }, [snags, left]);
}
