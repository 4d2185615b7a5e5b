import { carousel } from './carousel';

/** How each kind is brought to life; each returns what stops it. */
const kinds: Readonly<Record<string, (root: HTMLElement) => () => void>> = { carousel };
const alive = new Map<HTMLElement, () => void>();

/** Starts what is new on the page and stops what has left it. */
function start() {
  for (const [root, stop] of alive) {
    if (!root.isConnected) {
      stop();
      alive.delete(root);
    }
  }
  for (const root of document.querySelectorAll<HTMLElement>('[data-piece]:not([data-live])')) {
    const stop = kinds[root.dataset.kind ?? '']?.(root);
    if (stop) alive.set(root, stop);
  }
}

document.addEventListener('giostra:start', start);
start();
