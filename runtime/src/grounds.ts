import type { Handle } from './kinds';

/** So much of a clip must be in view for it to play. */
const SEEN = 0.25;

/**
 * Clips that play under the words of a slider. They play while they are in view, unless somebody has
 * paused them or asks for less motion; then the picture below stands for them. The button that
 * pauses them is what brings them to life.
 */
function grounds(button: HTMLElement): Handle {
  const root = button.closest<HTMLElement>('[data-piece]') ?? button;
  const clips = [...root.querySelectorAll<HTMLVideoElement>('.g-moving')].filter(
    (clip) => clip.closest('[data-piece]') === root,
  );
  const calm = matchMedia('(prefers-reduced-motion: reduce)');
  const life = new AbortController();
  const { signal } = life;
  const seen = new Set<Element>();
  const rest = button.getAttribute('aria-label') ?? '';
  let held = false;
  /** Whether what moves the slides by itself has the button. */
  const owned = button.dataset.auto !== undefined;

  function run() {
    if (!owned) {
      button.hidden = calm.matches;
      button.toggleAttribute('data-pressed', held);
      button.setAttribute('aria-label', (held && button.dataset.lit) || rest);
    }
    for (const clip of clips) {
      const on = seen.has(clip) && !held && !calm.matches && !document.hidden;
      if (!on) clip.pause();
      else if (clip.paused) {
        // As a property too: what a script put in may have lost the attribute's effect.
        clip.muted = true;
        clip.play().catch(() => {});
      }
    }
  }
  const watch = new IntersectionObserver(
    (entries) => {
      for (const { target, intersectionRatio } of entries) {
        if (intersectionRatio >= SEEN) seen.add(target);
        else seen.delete(target);
      }
      run();
    },
    { threshold: SEEN },
  );
  for (const clip of clips) {
    watch.observe(clip);
    clip.addEventListener('playing', () => clip.setAttribute('data-played', ''), { signal });
  }
  if (owned) {
    root.addEventListener(
      'giostra:pace',
      (event) => {
        held = (event as CustomEvent<{ paused: boolean }>).detail.paused;
        run();
      },
      { signal },
    );
  } else {
    button.addEventListener(
      'click',
      () => {
        held = !held;
        run();
      },
      { signal },
    );
  }
  calm.addEventListener('change', run, { signal });
  document.addEventListener('visibilitychange', run, { signal });
  run();
  const none = () => {};
  return {
    items: [],
    current: undefined,
    open: none,
    next: none,
    previous: none,
    stop() {
      life.abort();
      watch.disconnect();
      for (const clip of clips) clip.pause();
    },
  };
}

window.giostra.add(['grounds'], grounds);
