import { follow } from './drag';
import { glide } from './glide';
import type { Handle } from './kinds';
import { marks } from './marks';
import { measure, nearest, roundOf, stopAt, type Track } from './measures';
import type { Band, Plan } from './plan';
import { sideways } from './wheel';

const { tell } = window.giostra;

/** Who made it move, as `giostra:change` tells. */
type Cause = 'arrow' | 'mark' | 'drag' | 'wheel' | 'neighbour' | 'script';

/** How far a release is thought to run on, in ms of its speed. */
const MOMENTUM = 170;
/** Speed from which a release goes on to a neighbour at least, in px per ms. */
const FLICK = 0.3;
/** Share of a movement that is left beyond an end. */
const STRETCH = 0.35;

/**
 * Brings a carousel or a slider to life. At rest its place is CSS alone (`--g-at`, and `--g-m` for items drawn a
 * round further on); only while it moves is there a transform in px.
 */
export function track(root: HTMLElement): Handle {
  const plan = JSON.parse(root.dataset.plan ?? '') as Plan;
  const view = root.querySelector('.g-view') as HTMLElement;
  const belt = view.querySelector('.g-belt') as HTMLElement;
  const all = [...belt.children] as HTMLElement[];
  /** Items that are disabled, wherever they are. */
  const off = new Set(all.filter((item) => item.inert));
  const queries = plan.bands.map((band) => matchMedia(band.query));
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  const life = new AbortController();
  const { signal } = life;

  let whole = current();
  let band = whole;
  let items: readonly HTMLElement[] = all;
  let stop = 0;
  /** The item that stays in view when the width changes. */
  let anchor = 0;
  let position = 0;
  let track: Track | undefined;
  let halt: (() => void) | undefined;

  function current(): Band {
    const at = queries.findIndex((query) => query.matches);
    return plan.bands[Math.max(0, at)] as Band;
  }
  /** The items that show in this band, in their order; what conditions hide closes up. */
  function fit() {
    const on = whole.on ? whole.on.flatMap((index) => all[index] ?? []) : all;
    items = whole.fewer ? on.filter((item) => !item.hidden) : on;
    const less = items.length < on.length ? whole.fewer?.[items.length] : undefined;
    band = less ? { ...whole, ...less } : whole;
    if (!plan.bands.some((each) => each.fewer)) return;
    for (const name of Object.keys(whole.fewer?.[0]?.css ?? {})) {
      belt.style.setProperty(name, less?.css[name] ?? '');
    }
    for (const item of all) item.style.removeProperty('--g-i');
    if (less) for (const [at, item] of items.entries()) item.style.setProperty('--g-i', String(at));
    root.toggleAttribute('data-still', less !== undefined && !moves());
  }
  const moves = () => band.starts.length > 1;
  const mirrored = () => band.axis === 'x' && getComputedStyle(root).direction === 'rtl';
  const set = (element: HTMLElement, name: string, value: string) => {
    if (element.style.getPropertyValue(name) !== value) element.style.setProperty(name, value);
  };

  /** Draws a position between stops. */
  function draw(to: number) {
    position = to;
    if (!track) return;
    const px = mirrored() ? to : -to;
    belt.style.setProperty(
      'transform',
      band.axis === 'x' ? `translateX(${px}px)` : `translateY(${px}px)`,
    );
    turnItems(track);
  }

  function turnItems(at: Track) {
    items.forEach((item, index) => {
      set(item, '--g-m', String(at.band.loops ? roundOf(at, index, position) : 0));
    });
  }

  /** Comes to rest at the stop: from here on CSS holds the place at any width. */
  function rest() {
    halt = undefined;
    track = measure(view, items, band);
    position = track?.offsets[stop] ?? 0;
    if (track) turnItems(track);
    set(belt, '--g-at', String(band.starts[stop] ?? 0));
    belt.style.removeProperty('transform');
    reach();
  }

  /** What is out of view cannot be reached by key or reader. */
  function reach() {
    const start = band.starts[stop] ?? 0;
    items.forEach((item, index) => {
      const away = (index - start + items.length) % items.length >= band.view && moves();
      item.inert = away || off.has(item);
    });
  }

  const say = marks(root, { step, to: (index) => to(index, 'mark') }, signal);
  const mark = () => say(band, stop, items, all);

  /** Goes to a stop; `place` is its position, a round or more away where the track has no end. */
  function go(to: number, place: number, cause: Cause, speed = 0) {
    const from = stop;
    stop = to;
    anchor = band.starts[to] ?? 0;
    mark();
    halt?.();
    if (calm.matches) rest();
    else halt = glide(position, place, speed, draw, rest);
    if (from !== to) tell(root, item(from), item(to), cause);
  }

  /** Id of the first item of a stop. */
  const item = (at: number) => items[band.starts[at] ?? 0]?.dataset.item;

  /** Measures, unless something is under way, whose measures hold. */
  function ready() {
    if (!halt) track = measure(view, items, band) ?? track;
    return moves() ? track : undefined;
  }

  function step(by: 1 | -1) {
    const at = ready();
    if (!at) return;
    const count = band.starts.length;
    const to = band.loops ? (stop + by + count) % count : stop + by;
    if (to < 0 || to >= count) return;
    let place = at.offsets[to] ?? 0;
    if (band.loops) {
      // From where the last step leads, so that quick steps add up.
      const base = nearest(at, at.offsets[stop] ?? 0, halt ? aim : position);
      place = nearest(at, place, base);
      if ((place - base) * by <= 0) place += by * at.round;
    }
    aim = place;
    go(to, place, 'arrow');
  }
  let aim = 0;

  /** Comes to rest where the speed leads; a flick goes on to the next stop at least. */
  function settle(speed: number, cause: Cause) {
    if (!track) return;
    let to = stopAt(track, position + speed * MOMENTUM);
    let place = nearest(track, track.offsets[to] ?? 0, position + speed * MOMENTUM);
    // Beyond where a change was going that the finger caught: quick flicks add up.
    const past = caught && (aim - position) * speed > 0 ? aim : position;
    const count = band.starts.length;
    for (let tries = 0; Math.abs(speed) > FLICK && tries < 2; tries++) {
      if ((place - past) * speed > (past === aim ? 1e-3 : 0)) break;
      const ahead = (to + Math.sign(speed) + count) % count;
      const there = nearest(track, track.offsets[ahead] ?? 0, place);
      if ((there - place) * speed <= 0) break;
      to = ahead;
      place = there;
    }
    caught = false;
    aim = place;
    root.removeAttribute('data-drag');
    go(to, place, cause, speed);
  }

  /** Follows a pointer or wheel; beyond an end it gives way less and less. */
  let raw = 0;
  function shift(by: number) {
    if (!track) return;
    raw += by;
    const last = track.offsets.at(-1) ?? 0;
    const held = track.band.loops ? raw : Math.min(Math.max(0, raw), last);
    draw(held + (raw - held) * STRETCH);
  }
  let caught = false;
  function grab() {
    const moving = halt !== undefined;
    caught = moving;
    ready();
    halt?.();
    halt = undefined;
    raw = position;
    return moving;
  }

  follow(
    view,
    () => moves() && band.axis === 'x',
    () => (mirrored() ? 1 : -1),
    {
      hold: grab,
      move(by) {
        root.setAttribute('data-drag', '');
        shift(by);
      },
      release: (speed) => settle(speed, 'drag'),
    },
    signal,
  );

  let rolling = false;
  sideways(
    view,
    () => moves() && band.axis === 'x',
    (px) => {
      if (!rolling) grab();
      rolling = true;
      shift(mirrored() ? -px : px);
      return true;
    },
    () => {
      rolling = false;
      settle(0, 'wheel');
    },
    signal,
  );

  function to(index: number, cause: Cause) {
    const at = ready();
    if (!at || index === stop) return;
    aim = nearest(at, at.offsets[index] ?? 0, position);
    go(index, aim, cause);
  }
  /** The last stop that starts at an item or before it. */
  const keeping = (item: number) =>
    Math.max(
      0,
      band.starts.findLastIndex((start) => start <= item),
    );
  view.addEventListener(
    'click',
    ({ clientX: x, clientY: y }) => {
      // Inert neighbours let a click through to the view: it means "come here".
      const hit = items.findIndex((item) => {
        const box = item.getBoundingClientRect();
        return item.inert && x >= box.left && x < box.right && y >= box.top && y < box.bottom;
      });
      if (hit < 0 || !moves()) return;
      const before = stop;
      const next = keeping(hit);
      if (next !== before) to(next, 'neighbour');
    },
    { signal },
  );

  for (const query of queries) {
    query.addEventListener(
      'change',
      () => {
        const next = current();
        if (next === whole) return;
        halt?.();
        const kept = items[anchor];
        whole = next;
        for (const each of all) each.inert = off.has(each);
        fit();
        anchor = Math.max(0, items.indexOf(kept as HTMLElement));
        stop = keeping(anchor);
        root.removeAttribute('data-drag');
        mark();
        rest();
      },
      { signal },
    );
  }
  function still() {
    if (!halt) return;
    halt();
    rest();
  }
  addEventListener('resize', still, { signal });

  fit();
  const scrolled = Math.abs(view.scrollLeft);
  root.setAttribute('data-live', '');
  view.scrollTo(0, 0);
  track = measure(view, items, band);
  if (scrolled > 1 && track) stop = stopAt(track, scrolled);
  anchor = band.starts[stop] ?? 0;
  mark();
  rest();
  return {
    get items() {
      return items.map((each) => each.dataset.item ?? '');
    },
    get current() {
      return item(stop);
    },
    open(id) {
      const at = items.findIndex((each) => each.dataset.item === id);
      if (at >= 0) to(keeping(at), 'script');
    },
    next: () => step(1),
    previous: () => step(-1),
    stop() {
      halt?.();
      life.abort();
    },
  };
}

window.giostra.add(['carousel', 'slider'], track);
