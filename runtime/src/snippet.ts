import { told } from './surrounds';
import type { Trust } from './trust';

type Host = typeof globalThis & Window;

/** Sheets that the page was given for its pieces, by what they say. */
const given = new Map<string, CSSStyleSheet>();

/** Gives the page rules that it has not, or no longer: fonts are of a document, not of a tree. */
function give(host: Host, faces: string) {
  const sheet = given.get(faces) ?? made(host, faces);
  given.set(faces, sheet);
  // An array of the page's own, whose methods it may have changed.
  const before = [...host.document.adoptedStyleSheets];
  if (!before.includes(sheet)) host.document.adoptedStyleSheets = [...before, sheet];
}

/** A sheet that no policy of the page forbids, since it is put together by a script. */
function made(host: Host, css: string): CSSStyleSheet {
  const sheet = new host.CSSStyleSheet();
  sheet.replaceSync(css);
  return sheet;
}

/** Puts what has come into the tree of an element. */
export function bring(element: HTMLElement, host: Host, trust: Trust, answer: string) {
  const parsed = new host.DOMParser().parseFromString(trust.createHTML(answer), 'text/html');
  const template = parsed.querySelector('template');
  if (!template) throw new Error('no template');
  const faces = parsed.querySelector('style')?.textContent ?? '';
  give(host, faces);
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
  root.adoptedStyleSheets = [made(host, css)];
  root.replaceChildren(tree);
}
