import type { Clock } from './clock';
import type { Handle } from './kinds';
import type { CountersPlan } from './plan';

const { tell } = window.giostra;

/** Progress at a share of the time. Source: CSS Easing Functions 2, "Cubic Bézier". */
export function eased(curve: CountersPlan['curve'], share: number): number {
  if (!curve || share <= 0 || share >= 1) return Math.min(1, Math.max(0, share));
  const [x1, y1, x2, y2] = curve;
  const at = (one: number, two: number, t: number) =>
    3 * (1 - t) * (1 - t) * t * one + 3 * (1 - t) * t * t * two + t * t * t;
  let low = 0;
  let high = 1;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (at(x1, x2, middle) < share) low = middle;
    else high = middle;
  }
  return at(y1, y2, (low + high) / 2);
}

/** Counts when a figure is seen. The value that is read out is the final one, all the time. */
export function counters(root: HTMLElement, clock: Clock): Handle {
  const plan = JSON.parse(root.dataset.plan ?? '') as CountersPlan;
  const items = [...root.querySelectorAll<HTMLElement>(':scope > .g-grid > .g-figure')];
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  const running = new Map<HTMLElement, () => void>();
  const done = new Set<HTMLElement>();

  /** @param wait ms before it leaves its first value */
  function count(item: HTMLElement, wait: number) {
    const data = item.dataset;
    const from = Number(data.fromValue ?? 0);
    const to = Number(data.toValue ?? 0);
    const decimals = Number(data.decimals ?? 0);
    const run = item.querySelector<HTMLElement>('.g-run');
    const format = new Intl.NumberFormat(plan.locale, {
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
      useGrouping: plan.grouping ? undefined : false,
      notation: plan.compact ? 'compact' : 'standard',
    });
    const beats = Math.ceil(Math.abs(to - from) / plan.step - 1e-9);
    const length = plan.ms || beats * plan.beat;
    running.get(item)?.();
    if (!run || calm.matches || from === to) return end(item);
    const value = (ms: number) =>
      ms >= length
        ? to
        : plan.ms
          ? from + (to - from) * eased(plan.curve, ms / length)
          : from + Math.sign(to - from) * plan.step * Math.floor(ms / plan.beat);
    const write = (shown: number) => {
      // No negative zero on the way through it.
      const text = format.format(Math.abs(shown) * 10 ** decimals < 0.5 ? 0 : shown);
      run.textContent = `${data.prefix ?? ''}${text}${data.suffix ?? ''}`;
    };
    let start: number | undefined;
    const draw = (now: number) => {
      start ??= now;
      const ms = now - start;
      write(value(ms));
      if (ms >= length) end(item);
      else running.set(item, clock.frame(draw));
    };
    item.setAttribute('data-counting', '');
    if (wait > 0) {
      write(from);
      running.set(
        item,
        clock.after(wait, () => draw(clock.now())),
      );
    } else draw(clock.now());
  }
  /** When the last of them starts, by the clock. */
  let next = 0;
  /** Starts one: after the delay, and in its turn. */
  function begin(item: HTMLElement) {
    const now = clock.now();
    const at = Math.max(now + (plan.delay ?? 0), plan.sequence ? next : 0);
    next = at + (plan.sequence ?? 0);
    count(item, at - now);
  }
  function end(item: HTMLElement) {
    running.delete(item);
    item.removeAttribute('data-counting');
    const run = item.querySelector('.g-run');
    if (run) run.textContent = '';
  }

  const seen = new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting, intersectionRatio } of entries) {
        const item = target as HTMLElement;
        if (isIntersecting && intersectionRatio >= plan.share && !done.has(item)) {
          done.add(item);
          begin(item);
          tell(root, undefined, item.dataset.item, 'seen');
        } else if (!isIntersecting && plan.every) done.delete(item);
      }
    },
    { threshold: [0, Math.max(0.01, plan.share)] },
  );
  for (const item of items) seen.observe(item);
  return {
    items: items.map((item) => item.dataset.item ?? ''),
    current: undefined,
    open: () => items.forEach(begin),
    next: () => {},
    previous: () => {},
    replay() {
      next = 0;
      items.forEach(begin);
    },
    stop() {
      seen.disconnect();
      for (const halt of running.values()) halt();
    },
  };
}

window.giostra.add(['counters'], counters);
