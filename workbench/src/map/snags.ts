import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { api, ask } from '../api/client';
import { useBench, versionOf } from '../bench/context';

const NONE: ReadonlyMap<string, string[]> = new Map();

/** A value once it has stayed as it is for a while: a sweep must not get in the way of edits. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), 400);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}

/** What was found on the page, as messages by piece and by item. */
export function useSnags(): ReadonlyMap<string, string[]> {
  const { page } = useBench();
  const version = useSettled(versionOf(page));
  const swept = useQuery({
    queryKey: ['snags', page.id, version],
    queryFn: () => ask(api.GET('/api/pages/{id}/snags', { params: { path: { id: page.id } } })),
    placeholderData: keepPreviousData,
  });
  const snags = swept.data?.snags;
  return useMemo(() => {
    if (!snags) return NONE;
    const byNode = new Map<string, string[]>();
    for (const { piece, item, message, severity } of snags) {
      // Notes stand beside the values that they are about.
      if (severity === 'note') continue;
      for (const node of item ? [piece, item] : [piece]) {
        byNode.set(node, [...(byNode.get(node) ?? []), message]);
      }
    }
    return byNode;
  }, [snags]);
}
