import type { Belt } from './belt';
import type { Drawn } from './drawing';
import { easing } from './drawing';
import { CURVE, entering, type Frames, move } from './entering';
import type { Way, Words } from './plan';

/** How far along what comes in slips, as a share of the view; what goes gives way by less. */
const SLIP = 0.3;
const YIELD = 0.12;
/** Px that what blurs away is blurred by, and from how far one looks at what turns. */
const BLUR = 18;
const EYE = 1400;

/**
 * What comes in and what goes, as keyframes.
 * @param x px across the whole view that what comes in comes from; @param y the same down
 * @param here where what goes is drawn to stay where it was
 */
function frames(manner: string, x: number, y: number, here: string): readonly [Frames, Frames] {
  const share = (by: number) => move(x * by, y * by);
  const stays = { transform: [here, here] };
  switch (manner) {
    case 'fade':
      return [{ opacity: ['0', '1'] }, { ...stays, opacity: ['1', '0'] }];
    case 'slide':
      return [
        { transform: [share(SLIP), share(0)], opacity: ['0', '1'] },
        { transform: [here, `${here} ${share(-YIELD)}`], opacity: ['1', '0'] },
      ];
    case 'push':
      return [{ transform: [share(1), share(0)] }, { transform: [here, `${here} ${share(-1)}`] }];
    case 'cover':
      return [{ transform: [share(1), share(0)] }, stays];
    case 'uncover':
      return [{ opacity: ['1', '1'] }, { transform: [here, `${here} ${share(-1)}`] }];
    case 'zoom':
      return [
        { transform: ['scale(.84)', 'scale(1)'], opacity: ['0', '1'] },
        { transform: [`${here} scale(1)`, `${here} scale(1.16)`], opacity: ['1', '0'] },
      ];
    case 'wipe': {
      const edge = x > 0 ? '0 0 0 100%' : x < 0 ? '0 100% 0 0' : y > 0 ? '100% 0 0' : '0 0 100%';
      return [{ clipPath: [`inset(${edge})`, 'inset(0 0 0 0)'] }, stays];
    }
    case 'blur':
      return [
        { filter: [`blur(${BLUR}px)`, 'blur(0px)'], opacity: ['0', '1'] },
        { ...stays, filter: ['blur(0px)', `blur(${BLUR}px)`], opacity: ['1', '0'] },
      ];
    case 'turn': {
      const axis = x !== 0 ? 'Y' : 'X';
      const way = Math.sign(x !== 0 ? x : -y);
      const turned = (degrees: number) => `perspective(${EYE}px) rotate${axis}(${degrees}deg)`;
      return [
        {
          transform: [turned(90 * way), turned(90 * way), turned(0)],
          opacity: ['0', '1', '1'],
        },
        {
          transform: [`${here} ${turned(0)}`, `${here} ${turned(-90 * way)}`, here],
          opacity: ['1', '1', '0'],
        },
      ];
    }
    default:
      return [{}, stays];
  }
}

/** Animations that stand still until they are drawn. */
function still(element: HTMLElement, keyframes: Frames, timing: KeyframeEffectOptions): Animation {
  let animation: Animation;
  try {
    animation = element.animate(keyframes, timing);
  } catch {
    animation = element.animate(keyframes, { ...timing, easing: 'ease' });
  }
  animation.pause();
  return animation;
}

/**
 * What stands on what came in: its words, one after another, and what is pinned to it, each as it
 * says itself. @param ms of the change by which they come
 */
export function words(
  items: readonly HTMLElement[],
  [manner, beat, takes, after]: Words,
  ms: number,
) {
  return items.flatMap((item) => {
    const way = getComputedStyle(item).direction === 'rtl' ? -1 : 1;
    const comes = (each: HTMLElement, how: string, delay: number, duration: number) =>
      still(each, entering(how, way), { duration, delay, easing: CURVE, fill: 'backwards' });
    const find = (what: string) => [...item.querySelectorAll<HTMLElement>(what)];
    const said = manner === 'none' ? [] : find('.g-copybox > *');
    return [
      ...said.map((each, index) => comes(each, manner, after * ms + index * beat, takes)),
      ...find('.g-pin[data-comes]').map((each) => {
        const [how = '', late, long] = (each.dataset.comes ?? '').split(' ');
        return comes(each, how, Number(late), Number(long));
      }),
    ];
  });
}

/**
 * A change from where a track rests to another of its stops, to be drawn at will. Whatever is drawn
 * uses transform, opacity, filter and clip-path alone. From here on the track is at the other stop.
 * @param back whether it goes back: what comes from a side comes from the other one
 */
export function change(
  belt: Belt,
  to: number,
  place: number,
  [manner, from, ms, curve]: Way,
  back: boolean,
  spoken: Words | undefined,
): Drawn & { readonly since: (ms: number) => void } {
  const at = belt.stop;
  const going = belt.shown(at);
  const coming = belt.shown(to);
  const said = spoken ? words(coming, spoken, ms) : [];
  const since = (passed: number) => {
    for (const each of said) each.currentTime = passed;
  };
  const cancel = (all: readonly Animation[]) => {
    for (const each of all) each.cancel();
  };
  if (manner === 'move') {
    const start = belt.position;
    const eased = easing(curve);
    belt.stop = to;
    return {
      ms,
      since,
      at(share) {
        belt.draw(start + (place - start) * eased(share));
        since(share * ms);
      },
      end: () => cancel(said),
    };
  }
  const boxes = going.map((item) => item.getBoundingClientRect());
  belt.stop = to;
  belt.rest();
  const view = belt.view.getBoundingClientRect();
  const turned = (back ? -1 : 1) * (belt.mirrored() && /start|end/.test(from) ? -1 : 1);
  const x = { start: -1, end: 1, top: 0, bottom: 0 }[from] * turned * view.width;
  const y = { start: 0, end: 0, top: -1, bottom: 1 }[from] * turned * view.height;
  const timing = { duration: Math.max(1, ms), easing: curve, fill: 'both' } as const;
  const all: Animation[] = [];
  const dressed: HTMLElement[] = [];
  const over = (item: HTMLElement, name: string, value: string) => {
    item.style.setProperty(name, value);
    dressed.push(item);
  };
  going.forEach((item, index) => {
    if (coming.includes(item)) return;
    const box = item.getBoundingClientRect();
    const old = boxes[index] as DOMRect;
    const here = move(old.left - box.left, old.top - box.top);
    all.push(still(item, frames(manner, x, y, here)[1], timing));
    if (manner === 'uncover') over(item, 'z-index', '1');
  });
  for (const item of coming) {
    if (going.includes(item)) continue;
    all.push(still(item, frames(manner, x, y, '')[0], timing));
    if (manner === 'fade') over(item, 'mix-blend-mode', 'plus-lighter');
    else if (manner !== 'uncover') over(item, 'z-index', '1');
  }
  return {
    ms,
    since,
    // A cut of no time has nothing to play.
    moving: all.length > 0 && ms > 0 ? [...all, ...said] : [],
    at(share) {
      for (const each of all) each.currentTime = share * Math.max(1, ms);
      since(share * ms);
    },
    end() {
      cancel(all);
      cancel(said);
      for (const item of dressed) {
        item.style.removeProperty('z-index');
        item.style.removeProperty('mix-blend-mode');
      }
    },
  };
}
