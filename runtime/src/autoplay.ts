import type { Belt } from './belt';
import type { Clock } from './clock';
import { grounds } from './ground';
import type { Shown } from './kinds';

/** So much of it must be in view; of what is higher than the screen, so much of the screen. */
const SEEN = 0.25;
const FILLED = 0.5;
/** What holds it whatever is set; the last is whoever looks at it on the bench. */
const ALWAYS = ['finger', 'away', 'inside', 'shown'];
/** What came late is made up for by so much of each rest; later than a whole rest it is let be. */
const MADE_UP = 0.1;

/**
 * Ms that a stop rests: the longest of its items' own; else that of the piece, or what there is to
 * read on it within its bounds.
 */
function restOf(belt: Belt, stop: number): number {
  const { auto } = belt.band;
  if (!auto) return 0;
  const [rest, least, most] = auto.rest;
  const at = belt.shown(stop).map((item) => belt.all.indexOf(item));
  const own = Math.max(0, ...at.map((index) => auto.own?.[index] ?? 0));
  if (own > 0) return own;
  if (!auto.reads) return rest;
  const reads = at.reduce((sum, index) => sum + (auto.reads?.[index] ?? 0), 0);
  return Math.min(Math.max(reads, least), most);
}

/**
 * Moves something by itself, and heeds who is there. The rule is `giostra.core.tempo.Trace`, which
 * this does as it says. Source: ARIA Authoring Practices, "Carousel"; WCAG 2.2, 2.2.2.
 * @param go changes into a stop; says how many ms that takes
 */
export function autoplay(
  root: HTMLElement,
  track: Belt,
  go: (stop: number, back: boolean) => number,
  clock: Clock,
  signal: AbortSignal,
) {
  const button = root.querySelector<HTMLElement>(':scope > .g-frame > .g-hold');
  const belt = root.querySelector('.g-belt');
  const named = button?.getAttribute('aria-label') ?? '';
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  const reasons = new Set<string>();
  const latches = new Set<'focus' | 'button' | 'hand'>();
  let phase: 'waits' | 'rests' | 'changes' | 'over' = 'waits';
  let since = clock.now();
  let left = 0;
  /** Ms that it is behind the rule, which timers and drawing on a busy device cost. */
  let behind = 0;
  /** Since when it is held. */
  let heldSince = 0;
  let back = false;
  let later = false;
  let asked = false;
  let going = false;
  let timer: (() => void) | undefined;
  const ground = grounds(track, clock);

  const on = () => !calm.matches && track.band.starts.length > 1 && track.band.auto !== undefined;
  /** What is there is remembered whether it holds or not: another band may heed it. */
  const heeds = (reason: string) =>
    ALWAYS.includes(reason) || track.band.auto?.held.some((each) => each === reason) === true;
  const runs = () => ![...reasons].some(heeds) && latches.size === 0 && on();
  const still = () => phase === 'rests' || phase === 'waits';

  function freeze() {
    const now = clock.now();
    if (runs()) heldSince = now;
    if (still()) {
      if (runs()) left = Math.max(0, left - (now - since));
      since = now;
    }
  }
  function arm() {
    timer?.();
    timer = undefined;
    ground.run(on() && phase !== 'over' && (!still() || runs()));
    if (still() && runs()) timer = clock.after(Math.max(0, since + left - clock.now()), due);
    say();
  }
  function due() {
    const at = since + left;
    if (phase === 'waits') return rests(at);
    const last = track.band.starts.length - 1;
    const stop = track.stop;
    const round = track.band.auto?.round;
    const turned = round === 'back' && (stop === last || (back && stop > 0));
    const to =
      round === 'back'
        ? stop + (turned ? -1 : 1)
        : round === 'once'
          ? Math.min(stop + 1, last)
          : (stop + 1) % (last + 1);
    back = turned;
    if (to === stop) {
      phase = 'over';
      say();
      return;
    }
    goes(to, at);
  }
  function goes(to: number, at: number) {
    phase = 'changes';
    since = at;
    going = true;
    left = go(to, back);
    going = false;
    ground.begin(to, left + restOf(track, to));
    if (left === 0) rests(at);
    else arm();
  }
  function rests(at: number) {
    phase = 'rests';
    since = clock.now();
    left = restOf(track, track.stop) * (later ? (track.band.auto?.later ?? 1) : 1);
    later = false;
    // A rest that is held already has nothing to make up for since then.
    behind += runs() ? since - at : Math.max(0, heldSince - at);
    if (behind >= left) behind = 0;
    const madeUp = Math.min(behind, left * MADE_UP);
    left -= madeUp;
    behind -= madeUp;
    ground.rest(track.stop);
    arm();
  }
  /** A rest that goes on has something left. */
  function goOn() {
    if (phase === 'rests') left = Math.max(left, track.band.auto?.left ?? 0);
  }
  function hold(reason: string, holds: boolean) {
    if (reasons.has(reason) === holds) return;
    freeze();
    if (holds) reasons.add(reason);
    else {
      reasons.delete(reason);
      if (heeds(reason) && runs()) goOn();
    }
    arm();
  }
  function stops(latch: 'focus' | 'button' | 'hand') {
    freeze();
    latches.add(latch);
    arm();
  }
  function play() {
    freeze();
    latches.clear();
    reasons.delete('pointer');
    asked = true;
    if (phase === 'over') {
      back = false;
      behind = 0;
      goes(0, clock.now());
    } else {
      goOn();
      arm();
    }
  }
  function pause() {
    asked = false;
    stops('button');
  }
  const stopped = () => latches.size > 0 || phase === 'over';
  function say() {
    belt?.setAttribute('aria-live', on() && !stopped() ? 'off' : 'polite');
    if (!button) return;
    const clips = button.dataset.kind !== undefined;
    button.hidden = calm.matches || !(on() || clips);
    const off = on() ? stopped() : latches.has('button');
    button.toggleAttribute('data-pressed', off);
    button.setAttribute('aria-label', (off && button.dataset.lit) || named);
    if (clips) {
      const detail = { paused: latches.has('button') };
      root.dispatchEvent(new CustomEvent('giostra:pace', { detail }));
    }
  }

  const hears = (target: EventTarget, names: string, run: (event: Event) => void) => {
    for (const name of names.split(' ')) {
      target.addEventListener(name, run, { signal, capture: name === 'play' || name === 'pause' });
    }
  };
  if (button) {
    hears(button, 'click', () => ((on() ? stopped() : latches.has('button')) ? play() : pause()));
  }
  // A finger's pointer comes and goes with each tap: it is heeded while it is down.
  hears(root, 'pointerenter pointerleave', (event) => {
    if ((event as PointerEvent).pointerType === 'touch') return;
    hold('pointer', event.type === 'pointerenter');
  });
  hears(root, 'pointerdown', (event) => {
    if ((event.target as Element).closest('.g-view')) hold('finger', true);
  });
  hears(window, 'pointerup pointercancel', () => hold('finger', false));
  hears(root, 'focusin', (event) => {
    const target = event.target as Element;
    // What a mouse has put the focus on is not taken from it.
    hold('inside', target.closest('.g-view') !== null);
    if (!asked && target.matches(':focus-visible') && on()) stops('focus');
  });
  hears(root, 'focusout', () => hold('inside', false));
  const away = () => hold('away', document.hidden);
  hears(document, 'visibilitychange', away);
  const playing = new Set<EventTarget>();
  hears(root, 'play pause', ({ target, type }) => {
    if (!target || (target as Element).matches('.g-moving')) return;
    if (type === 'play') playing.add(target);
    else playing.delete(target);
    hold('clip', playing.size > 0);
  });
  hears(calm, 'change', () => {
    freeze();
    arm();
  });
  const watch = new IntersectionObserver(
    (entries) => {
      const { intersectionRatio, intersectionRect } = entries.at(-1) as IntersectionObserverEntry;
      const seen =
        intersectionRatio >= SEEN || intersectionRect.height >= window.innerHeight * FILLED;
      hold('unseen', !seen);
    },
    { threshold: [0, 0.1, SEEN, 0.5, 1] },
  );
  watch.observe(root.querySelector('.g-view') ?? root);
  signal.addEventListener('abort', () => {
    watch.disconnect();
    timer?.();
    ground.end();
  });

  function begin() {
    const auto = track.band.auto;
    back = false;
    phase = auto?.after ? 'waits' : 'rests';
    since = clock.now();
    left = auto?.after || restOf(track, track.stop);
    if (on()) ground.begin(track.stop, (auto?.after ?? 0) + restOf(track, track.stop));
  }
  begin();
  // Until it has been looked for it is not seen.
  reasons.add('unseen');
  if (document.hidden) reasons.add('away');
  arm();
  return {
    play,
    pause,
    hold,
    /** A hand has moved it: it is on its way for so many ms, or for as long as it takes. */
    byHand(to: number, goesBack: boolean, ms: number) {
      const hand = track.band.auto?.hand;
      phase = 'changes';
      since = clock.now();
      left = ms;
      back = goesBack;
      behind = 0;
      later = hand === 'later';
      if (hand === 'stops' && on()) latches.add('hand');
      if (on()) ground.begin(to, ms + restOf(track, to));
      arm();
    },
    /** It has come to rest. */
    rested() {
      if (phase === 'changes' && !going) rests(left > 0 ? since + left : clock.now());
    },
    /** Draws what moves by itself at some time. */
    show({ stop, next = stop, share = 0, passed = 0, since }: Shown, ms: number) {
      ground.run(false);
      ground.rest(stop);
      // What is there from the first has not come in, but may have waited.
      const before = since === undefined && next === stop ? (track.band.auto?.after ?? 0) : ms;
      ground.at(stop, before + restOf(track, stop), passed);
      if (next !== stop) ground.at(next, ms + restOf(track, next), share * ms);
    },
    /** Another band holds. */
    changed() {
      ground.end();
      const now = clock.now();
      if (phase !== 'waits' && phase !== 'over') phase = 'rests';
      since = now;
      behind = 0;
      left = phase === 'waits' ? left : restOf(track, track.stop);
      if (on() && phase !== 'over') ground.begin(track.stop, left);
      arm();
    },
  };
}
window.giostra.lend({ autoplay });
