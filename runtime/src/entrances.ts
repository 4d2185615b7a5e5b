import { CURVE, entering } from './entering';

/**
 * Lets pieces come in when they are seen: whole, or item by item. Nothing is hidden but by this, so
 * that without it, and with less motion, all is there.
 */
function entrances() {
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  const waiting = new Map<Element, readonly Animation[]>();
  // What has been painted is not taken away again to come in.
  const painted = performance.getEntriesByType('paint').length > 0;

  function set(root: HTMLElement) {
    const [manner = '', takes, beat] = (root.dataset.enter ?? '').split(' ');
    const way = getComputedStyle(root).direction === 'rtl' ? -1 : 1;
    const apart = Number(beat) > 0 ? [...root.querySelectorAll<HTMLElement>('[data-item]')] : [];
    const own = apart.filter((item) => item.closest('[data-piece]') === root && !item.inert);
    const all = (own.length > 0 ? own : [root]).map((each, index) => {
      const animation = each.animate(entering(manner, way, getComputedStyle(each).opacity), {
        duration: Number(takes),
        delay: index * Number(beat),
        easing: CURVE,
        fill: 'backwards',
      });
      animation.pause();
      return animation;
    });
    waiting.set(root, all);
  }
  function go(root: Element) {
    for (const each of waiting.get(root) ?? []) each.play();
    waiting.delete(root);
  }
  function start() {
    for (const root of document.querySelectorAll<HTMLElement>('[data-enter]:not([data-entered])')) {
      root.setAttribute('data-entered', '');
      if (calm.matches) continue;
      const share = Number(root.dataset.enter?.split(' ')[3]) / 100;
      const box = root.getBoundingClientRect();
      const there = box.top < window.innerHeight && box.bottom > 0;
      if (!(painted && there)) set(root);
      const watch = new IntersectionObserver(
        ([entry]) => {
          if (!entry) return;
          const { intersectionRatio, isIntersecting, intersectionRect } = entry;
          const enough =
            intersectionRatio >= share ||
            intersectionRect.height >= window.innerHeight * Math.min(share, 0.5);
          if (isIntersecting && enough) {
            go(root);
            if (!root.dataset.enter?.endsWith('every')) watch.disconnect();
          } else if (
            !isIntersecting &&
            !waiting.has(root) &&
            root.dataset.enter?.endsWith('every')
          ) {
            set(root);
          }
        },
        { threshold: [0, 0.01, Math.max(0.01, share), 1] },
      );
      watch.observe(root);
    }
  }
  /** What has not come in yet is there. */
  function all() {
    for (const some of waiting.values()) for (const each of some) each.cancel();
    waiting.clear();
  }
  calm.addEventListener('change', all);
  addEventListener('beforeprint', all);
  document.addEventListener('giostra:start', start);
  start();
}
entrances();
