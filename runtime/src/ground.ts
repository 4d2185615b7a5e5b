import type { Belt } from './belt';
import type { Clock } from './clock';

/** Scale and shift, in percent of its box, of a picture that moves, at its first and last. */
function frames([manner, by]: readonly [string, number], rtl: boolean): Keyframe[] {
  const large = 1 + by / 100;
  const side = (by / 2) * (rtl ? -1 : 1);
  const at = (scale: number, x = 0) => ({ transform: `translateX(${x}%) scale(${scale})` });
  switch (manner) {
    case 'away':
      return [at(large), at(1)];
    case 'from-start':
      return [at(large, side), at(large, -side)];
    case 'from-end':
      return [at(large, -side), at(large, side)];
    default:
      return [at(1), at(large)];
  }
}

/** Between two frames, each a point in percent and how many times as large the picture is there. */
function framed(said: string): Keyframe[] {
  const [x = 50, y = 50, large = 1, toX = 50, toY = 50, toLarge = 1] = said.split(' ').map(Number);
  const at = (left: number, top: number, scale: number) => ({
    transform: `translate(${left * (1 - scale)}%,${top * (1 - scale)}%) scale(${scale})`,
  });
  return [at(x, y, large), at(toX, toY, toLarge)];
}

interface Moving {
  readonly animation: Animation;
  /** When it went on last, and how far it was then; ms. */
  since: number;
  passed: number;
}

/**
 * Pictures under the words of slides that move for as long as their slide is there: towards their
 * focal point, away from it, across, or from one frame to another. They stand while their slide is
 * held.
 */
export function grounds(track: Belt, clock: Clock) {
  const all = new Map<Element, Moving>();
  let running = false;

  const pictures = (stop: number) => {
    const { band, items } = track;
    const item = items[band.starts[stop] ?? 0];
    return [
      ...(item?.querySelectorAll<HTMLElement>('.g-slide > .g-shot > :is(img, picture > img)') ??
        []),
    ];
  };
  function begin(stop: number, ms: number) {
    const { ground } = track.band;
    for (const picture of pictures(stop)) {
      all.get(picture)?.animation.cancel();
      all.delete(picture);
      const own = picture.closest<HTMLElement>('.g-slide')?.dataset.framing;
      if (!ground && !own) continue;
      const { objectPosition, direction } = getComputedStyle(picture);
      picture.style.setProperty('transform-origin', own ? '0 0' : objectPosition);
      const keys = own ? framed(own) : ground ? frames(ground, direction === 'rtl') : [];
      const animation = picture.animate(keys, {
        duration: Math.max(1, ms),
        easing: 'linear',
        fill: 'both',
      });
      animation.pause();
      all.set(picture, { animation, since: clock.now(), passed: 0 });
    }
  }
  function run(on: boolean) {
    if (on === running) return;
    const now = clock.now();
    for (const each of all.values()) {
      if (on) {
        each.since = now;
        each.animation.currentTime = each.passed;
        each.animation.play();
      } else {
        each.passed += now - each.since;
        each.animation.pause();
      }
    }
    running = on;
  }
  return {
    /** A stop begins to come in, and is there for so many ms. */
    begin(stop: number, ms: number) {
      const was = running;
      run(false);
      begin(stop, ms);
      run(was);
    },
    /** Goes on, or stands. */
    run,
    /** What shows no more stands as it was. */
    rest(stop: number) {
      const here = new Set<Element>(pictures(stop));
      for (const [picture, { animation }] of all) {
        if (here.has(picture)) continue;
        animation.cancel();
        all.delete(picture);
      }
    },
    /** Draws a stop that has been there for so long of its time. */
    at(stop: number, ms: number, passed: number) {
      if (pictures(stop).some((picture) => !all.has(picture))) begin(stop, ms);
      for (const picture of pictures(stop)) {
        const moving = all.get(picture);
        if (!moving) continue;
        moving.animation.pause();
        moving.animation.effect?.updateTiming({ duration: Math.max(1, ms) });
        moving.animation.currentTime = Math.min(passed, ms);
      }
    },
    end() {
      for (const { animation } of all.values()) animation.cancel();
      all.clear();
    },
  };
}
