import { told } from './surrounds';
import type { Trust } from './trust';

type Host = typeof globalThis & Window;

/** Rules that pages were given for their pieces: each once. */
const given = new Set<string>();

/** A sheet that no policy of the page forbids, since it is put together by a script. */
function sheet(host: Host, css: string): CSSStyleSheet {
  const made = new host.CSSStyleSheet();
  made.replaceSync(css);
  return made;
}

/** Puts what has come into the tree of an element. */
export function bring(element: HTMLElement, host: Host, trust: Trust, answer: string) {
  const parsed = new host.DOMParser().parseFromString(trust.createHTML(answer), 'text/html');
  const template = parsed.querySelector('template');
  if (!template) throw new Error('no template');
  const faces = parsed.querySelector('style')?.textContent ?? '';
  if (!given.has(faces)) {
    given.add(faces);
    // An array of the page's own, whose methods it may have changed.
    const before = host.document.adoptedStyleSheets;
    host.document.adoptedStyleSheets = [...before, sheet(host, faces)];
  }
  const tree = host.document.importNode(template.content, true);
  const styles = [...tree.querySelectorAll('style')];
  const css = styles.map((each) => each.textContent ?? '').join('');
  for (const style of styles) style.remove();
  const { width, height } = element.getBoundingClientRect();
  told(tree, width);
  // Until its letters are there it is as high as what stands there now.
  const inside = tree.querySelector<HTMLElement>('.g-room');
  if (inside) inside.style.minHeight = `${height}px`;
  const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' });
  root.adoptedStyleSheets = [sheet(host, css)];
  root.replaceChildren(tree);
}
