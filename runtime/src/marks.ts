import type { TrackBand } from './plan';

/** Arrows and place marks: what they say of where the track is, and what pressing them asks for. */
export function marks(
  root: HTMLElement,
  ask: { step(by: 1 | -1): void; to(stop: number): void },
  signal: AbortSignal,
) {
  const arrows = [...root.querySelectorAll<HTMLElement>(':scope > .g-frame > .g-arrow')];
  const list = root.querySelector<HTMLElement>(':scope > .g-frame > .g-marks > .g-dots');
  const every = [...(list?.children ?? [])] as HTMLElement[];
  /** Those for which there is a stop. */
  let dots = every;
  let stops = 1;
  let stop = 0;
  let tabbed = false;

  arrows.forEach((arrow, index) => {
    arrow.addEventListener('click', () => ask.step(index === 0 ? -1 : 1), { signal });
  });
  for (const dot of every) {
    dot.addEventListener('click', () => ask.to(dots.indexOf(dot)), { signal });
  }
  // Source: ARIA Authoring Practices, "Carousel (tabbed)": the keys of tabs.
  list?.addEventListener(
    'keydown',
    (event) => {
      if (!tabbed) return;
      const back = getComputedStyle(root).direction === 'rtl' ? 1 : -1;
      const to = {
        ArrowLeft: stop + back,
        ArrowRight: stop - back,
        Home: 0,
        End: stops - 1,
      }[event.key];
      if (to === undefined) return;
      event.preventDefault();
      ask.to((to + stops) % stops);
      dots[stop]?.focus();
    },
    { signal },
  );

  function near(arrow: HTMLElement, at: number) {
    const box = arrow.querySelector('.g-near');
    const thumb = dots[at]?.querySelector('img');
    // An arrow that does not show needs no file for it.
    if (box) box.replaceChildren(...(thumb && arrow.offsetParent ? [thumb.cloneNode()] : []));
  }

  return (
    band: TrackBand,
    at: number,
    items: readonly HTMLElement[],
    all: readonly HTMLElement[],
  ) => {
    stop = at;
    stops = band.starts.length;
    tabbed = band.tabbed === true;
    root.style.setProperty('--g-now', String(at + 1));
    if (band.fewer) {
      // A mark that names an item goes with it; others go from the end.
      const named = every.length === all.length && stops === items.length;
      every.forEach((dot, index) => {
        dot.hidden = named ? all[index]?.hidden === true : index >= stops;
      });
      dots = every.filter((dot) => !dot.hidden);
      list?.parentElement?.style.setProperty('--g-stops', String(stops));
    }
    list?.setAttribute('role', tabbed ? 'tablist' : 'group');
    dots.forEach((dot, index) => {
      const here = index === at;
      dot.setAttribute(tabbed ? 'aria-selected' : 'aria-disabled', String(here));
      dot.removeAttribute(tabbed ? 'aria-disabled' : 'aria-selected');
      if (tabbed) dot.setAttribute('role', 'tab');
      else dot.removeAttribute('role');
      dot.tabIndex = tabbed && !here ? -1 : 0;
      const item = items[band.starts[index] ?? 0];
      if (tabbed && item) dot.setAttribute('aria-controls', item.id);
    });
    for (const item of items) {
      item.setAttribute('role', tabbed ? 'tabpanel' : 'group');
      if (tabbed) item.removeAttribute('aria-roledescription');
    }
    arrows.forEach((arrow, index) => {
      const end = index === 0 ? 0 : stops - 1;
      arrow.setAttribute('aria-disabled', String(!band.loops && at === end));
      near(arrow, (at + (index === 0 ? -1 : 1) + stops) % stops);
    });
  };
}
