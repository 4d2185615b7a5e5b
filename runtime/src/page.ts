import { act } from './act';
import { browser } from './clock';
import { conditions } from './conditions';
import { bands, type Handle, type Kind, type Outside, tell } from './kinds';
import { places } from './places';

const kinds = new Map<string, Kind>();
const alive = new Set<HTMLElement>();

/** Starts what is new on the page and stops what has left it. */
function start() {
  for (const root of alive) {
    if (!root.isConnected) {
      root.giostra?.stop();
      alive.delete(root);
    }
  }
  conditions();
  for (const root of document.querySelectorAll<HTMLElement>('[data-kind]:not([data-live])')) {
    const kind = kinds.get(root.dataset.kind ?? '');
    if (!kind) continue;
    root.giostra = outside(root, kind(root, window.giostra.clock));
    root.setAttribute('data-live', '');
    alive.add(root);
  }
}

/** What a page can do with any piece, beside what its kind knows. */
function outside(root: HTMLElement, handle: Handle): Outside {
  return Object.defineProperties(Object.create(handle), {
    visible: {
      get: () => root.style.display !== 'none',
      set(on: boolean) {
        if (on) root.style.removeProperty('display');
        else root.style.setProperty('display', 'none', 'important');
      },
    },
    locked: {
      get: () => root.inert,
      set(on: boolean) {
        root.inert = on;
        handle.hold?.(on);
      },
    },
  }) as Outside;
}

const lent = {};
window.giostra = {
  lent,
  lend: (some) => Object.assign(lent, some),
  tell,
  bands,
  clock: browser,
  add(names, kind) {
    for (const name of names) kinds.set(name, kind);
    start();
  },
};
document.addEventListener('giostra:start', start);
addEventListener('giostra:change', act);
places();
if (document.readyState === 'loading' && document.currentScript) {
  // It is here before what it is about: what is not on is never drawn, so nothing jumps.
  const read = new MutationObserver(() => conditions());
  read.observe(document, { childList: true, subtree: true });
  const all = () => {
    read.disconnect();
    conditions();
  };
  document.addEventListener('DOMContentLoaded', all, { once: true });
}
