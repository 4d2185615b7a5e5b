import { useState } from 'react';
import { DEEDS, type Done } from './visit';

/** A visit that this browser keeps for a piece, from one day to the next. */
export function useVisit(page: string, piece: string) {
  const name = `giostra.visit.${page}.${piece}`;
  const [visit, setVisit] = useState<readonly Done[]>(() => read(localStorage.getItem(name)));
  const keep = (next: readonly Done[]) => {
    setVisit(next);
    if (next.length > 0) localStorage.setItem(name, JSON.stringify(next));
    else localStorage.removeItem(name);
  };
  return [visit, keep] as const;
}

/** What was kept, without what makes no sense. */
function read(text: string | null): readonly Done[] {
  try {
    const all: unknown = JSON.parse(text ?? '[]');
    if (!Array.isArray(all)) return [];
    return (all as Done[]).filter(
      (each) =>
        DEEDS.some((deed) => deed.id === each?.deed) &&
        Number.isFinite(each.at) &&
        (each.until === undefined || Number.isFinite(each.until)) &&
        Number.isFinite(each.key),
    );
  } catch {
    return [];
  }
}
