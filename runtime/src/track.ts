import type { autoplay } from './autoplay';
import { belt as belted } from './belt';
import type { Clock } from './clock';
import { gesture } from './gesture';
import type { Handle } from './kinds';
import { marks } from './marks';
import { stopAt } from './measures';
import { turning } from './turning';

const { tell } = window.giostra;

/**
 * Which item this visit starts with: drawn once, and the same until the tab is closed. In a frame,
 * as on the stage, it is the first.
 */
function visited(root: HTMLElement, items: number) {
  if (window.parent && window.parent !== window) return 0;
  const name = `giostra:first:${root.dataset.piece}`;
  const drawn = Math.floor(Math.random() * items);
  try {
    const kept = Number.parseInt(sessionStorage.getItem(name) ?? '', 10);
    if (kept >= 0 && kept < items) return kept;
    sessionStorage.setItem(name, String(drawn));
  } catch {
    // Who keeps nothing gets another each time.
  }
  return drawn;
}

/** Brings a carousel or a slider to life. */
export function track(root: HTMLElement, clock: Clock): Handle {
  const life = new AbortController();
  const { signal } = life;
  const belt = belted(root, changed, signal);
  /** The item that stays in view when the width changes. */
  let anchor = 0;
  let auto: ReturnType<typeof autoplay> | undefined;
  const turn = turning(belt, clock, {
    marked(stop) {
      anchor = belt.band.starts[stop] ?? 0;
      mark(stop);
    },
    told: (from, to, cause) => tell(root, belt.item(from), belt.item(to), cause),
    goes: (to, cause, back, ms) => cause !== 'itself' && auto?.byHand(to, back, ms),
    rested: () => auto?.rested(),
  });
  const say = marks(root, { step: turn.step, to: (stop) => turn.to(stop, 'mark') }, signal);
  const mark = (stop = belt.stop) => say(belt.band, stop, belt.items, belt.all);

  gesture(
    root,
    belt,
    {
      grab: turn.grab,
      scrub: turn.scrub,
      settle(speed, cause, px) {
        root.removeAttribute('data-drag');
        turn.settle(speed, cause, px);
      },
    },
    clock,
    signal,
  );
  belt.view.addEventListener(
    'click',
    ({ clientX: x, clientY: y }) => {
      // Inert neighbours let a click through to the view: it means "come here".
      const hit = belt.items.findIndex((item) => {
        const box = item.getBoundingClientRect();
        return item.inert && x >= box.left && x < box.right && y >= box.top && y < box.bottom;
      });
      if (hit < 0 || !belt.moves()) return;
      const next = belt.keeping(hit);
      if (next !== belt.stop) turn.to(next, 'neighbour');
    },
    { signal },
  );

  /** Another band holds: what was first in view stays in view. */
  function changed(set: () => void) {
    const kept = belt.items[anchor];
    set();
    anchor = Math.max(0, belt.items.indexOf(kept as HTMLElement));
    belt.stop = belt.keeping(anchor);
    root.removeAttribute('data-drag');
    mark();
    turn.rest();
    auto?.changed();
  }
  addEventListener('resize', turn.still, { signal });

  const scrolled = Math.abs(belt.view.scrollLeft);
  root.setAttribute('data-live', '');
  belt.view.scrollTo(0, 0);
  const first = belt.measured();
  if (scrolled > 1 && first) belt.stop = stopAt(first, scrolled);
  else if (belt.another) belt.stop = belt.keeping(visited(root, belt.items.length));
  anchor = belt.band.starts[belt.stop] ?? 0;
  mark();
  turn.rest();
  if (belt.automatic) {
    auto = window.giostra.lent.autoplay?.(root, belt, turn.goes, clock, signal);
  }
  return {
    get items() {
      return belt.items.map((each) => each.dataset.item ?? '');
    },
    get current() {
      return belt.item(belt.stop);
    },
    open(id) {
      const at = belt.items.findIndex((each) => each.dataset.item === id);
      if (at >= 0) turn.to(belt.keeping(at), 'script');
    },
    next: () => turn.step(1),
    previous: () => turn.step(-1),
    ...(auto && { play: auto.play, pause: auto.pause }),
    hold: (on) => auto?.hold('shown', on),
    show(at) {
      if (at) {
        auto?.hold('shown', true);
        const ms = turn.show(at);
        auto?.show(at, ms);
      } else {
        turn.rest();
        mark();
        auto?.changed();
      }
    },
    stop() {
      turn.halt();
      life.abort();
    },
  };
}

window.giostra.add(['carousel', 'slider'], track);
