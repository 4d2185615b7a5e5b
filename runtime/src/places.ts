/** Opens whatever holds an element, outermost first, and brings it into view. */
function reveal(target: HTMLElement) {
  const items: HTMLElement[] = [];
  for (let at: HTMLElement | null = target; at; at = at.parentElement) {
    if (at.dataset.item) items.unshift(at);
  }
  for (const item of items) {
    item.closest<HTMLElement>('[data-piece]')?.giostra?.open(item.dataset.item ?? '');
  }
  if (items.length > 0) target.scrollIntoView({ block: 'nearest' });
}

/** The element that an address or a link names, if there is one on this page. */
function named(hash: string): HTMLElement | null {
  try {
    return document.getElementById(decodeURIComponent(hash.slice(1)));
  } catch {
    return null;
  }
}

/** A slide, a tab, a question is opened by its address, and by any link on the page to it. */
export function places() {
  const go = () => {
    const target = location.hash.length > 1 ? named(location.hash) : null;
    if (target) reveal(target);
  };
  addEventListener('hashchange', go);
  // After the scripts of all kinds, which come in the same order as this one.
  addEventListener('DOMContentLoaded', go);
  document.addEventListener('click', (event) => {
    const link = (event.target as Element).closest<HTMLAnchorElement>('a[href^="#"]');
    // An address that is there already fires nothing.
    if (link && link.hash === location.hash) go();
  });
}
