import type { TrackBand, TrackPlan } from './plan';

/** Which items show, and what holds for so many of them. */
export interface Fit {
  readonly band: TrackBand;
  readonly items: readonly HTMLElement[];
}

/**
 * What of a plan holds: the band that the screen is in, and of its items those that conditions leave.
 * @param changed called when another band holds; the fit is asked for anew within `set`
 */
export function fitting(
  plan: TrackPlan,
  belt: HTMLElement,
  changed: (set: () => void) => void,
  taken: () => void,
  signal: AbortSignal,
) {
  const all = [...belt.children] as HTMLElement[];
  const queries = plan.bands.map((band) => matchMedia(band.query));
  const current = () =>
    plan.bands[
      Math.max(
        0,
        queries.findIndex((query) => query.matches),
      )
    ] as TrackBand;
  let whole = current();
  for (const query of queries) {
    query.addEventListener(
      'change',
      () => {
        const next = current();
        if (next === whole) return;
        changed(() => {
          whole = next;
          taken();
        });
      },
      { signal },
    );
  }

  // Who comes and goes while the page is open.
  belt.closest('[data-piece]')?.addEventListener('giostra:turn', () => changed(taken), { signal });

  /** The items that show in this band, in their order; what conditions hide closes up. */
  return (): Fit => {
    const on = whole.on ? whole.on.flatMap((index) => all[index] ?? []) : all;
    const items = whole.fewer ? on.filter((item) => !item.hidden) : on;
    const less = items.length < on.length ? whole.fewer?.[items.length] : undefined;
    // What is false is left out of a plan.
    const band = less ? { ...whole, both: false, loops: false, ...less } : whole;
    if (!plan.bands.some((each) => each.fewer)) return { band, items };
    for (const name of Object.keys(whole.fewer?.[0]?.css ?? {})) {
      belt.style.setProperty(name, less?.css[name] ?? '');
    }
    for (const item of all) item.style.removeProperty('--g-i');
    if (less) {
      for (const [at, item] of items.entries()) item.style.setProperty('--g-i', String(at));
    }
    belt
      .closest('[data-piece]')
      ?.toggleAttribute('data-still', less !== undefined && band.starts.length < 2);
    return { band, items };
  };
}
