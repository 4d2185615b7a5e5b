import type { DocumentBody, EditBody, NodeBody } from '../api/client';
import { inBands, keyOf, ownOf } from './keys';

/** A node of a document with the way to it. */
export interface Found {
  readonly node: NodeBody;
  readonly parent: NodeBody | undefined;
  readonly index: number;
}

/** All nodes in reading order, the site left out. */
export function* walk(node: NodeBody, parent?: NodeBody, index = 0): Generator<Found> {
  yield { node, parent, index };
  for (const [at, child] of (node.children ?? []).entries()) yield* walk(child, node, at);
}

/** Ids on the way from a node down to another one, both included; none where it is not there. */
export function pathTo(from: NodeBody, id: string): readonly string[] {
  if (from.id === id) return [id];
  for (const child of from.children ?? []) {
    const rest = pathTo(child, id);
    if (rest.length > 0) return [from.id, ...rest];
  }
  return [];
}

export const siteNode = (document: DocumentBody): NodeBody => ({
  id: 'site',
  type: 'site',
  values: document.site.values,
  styles: document.site.styles ?? {},
});

/** The looks of a site. */
export const looksOf = (document: DocumentBody): readonly NodeBody[] =>
  (document.site.looks ?? []) as readonly NodeBody[];

export function find(document: DocumentBody, id: string): Found | undefined {
  const look = looksOf(document).find((each) => each.id === id);
  if (look) return { node: look, parent: siteNode(document), index: 0 };
  if (id === 'site') return { node: siteNode(document), parent: undefined, index: 0 };
  for (const found of walk(document.page)) if (found.node.id === id) return found;
  return undefined;
}

/** A document with nodes in the places of those with their ids; the rest of it is the same. */
export function withNodes(document: DocumentBody, nodes: readonly NodeBody[]): DocumentBody {
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const placed = (node: NodeBody): NodeBody => {
    const other = byId.get(node.id);
    if (other) return other;
    const { children } = node;
    if (!children) return node;
    const now = children.map(placed);
    return now.some((child, at) => child !== children[at]) ? { ...node, children: now } : node;
  };
  return { ...document, page: placed(document.page) };
}

/** A value that is text, or an empty one. */
export const text = (node: NodeBody, setting: string) => {
  const value = (node.values as Record<string, unknown>)[setting];
  return typeof value === 'string' ? value : '';
};

/** The words of a text that may be markup; where a paragraph or an entry ends, words end too. */
export const plain = (text: string) =>
  text.includes('<')
    ? (
        new DOMParser().parseFromString(
          text.replaceAll(/<(br|\/(?:p|li|h\d|blockquote|pre))\b/g, ' <$1'),
          'text/html',
        ).body.textContent ?? ''
      )
        .replaceAll(/\s+/g, ' ')
        .trim()
    : text;

const typeNames: Readonly<Record<string, string>> = {
  section: 'Section',
  columns: 'Columns',
  column: 'Column',
  picture: 'Picture',
  item: 'Item',
  pin: 'Pin',
  'own-html': 'Own HTML',
  'flip-boxes': 'Flip boxes',
  slider: 'Slider',
  carousel: 'Carousel',
  tabs: 'Tabs',
  accordion: 'Accordion',
  counters: 'Counters',
  video: 'Video',
};

/** What people call a type of node. */
export const wordOf = (type: string) => typeNames[type] ?? type;

/** What people call a node. */
export function nameOf(node: NodeBody): string {
  const words = ['name', 'heading', 'title', 'text', 'label', 'words'].map((key) =>
    text(node, key),
  );
  const named = words.find((word) => word.trim() !== '');
  if (named) return plain(named);
  return wordOf(node.type);
}

/** A copy with ids of its own. */
export function fresh(node: NodeBody, bands: ReadonlySet<string>): NodeBody {
  return {
    ...node,
    id: newId(node.type),
    values: inBands(node.values, bands, 1) as NodeBody['values'],
    ...(node.styles ? { styles: inBands(node.styles, bands, 3) as NodeBody['values'] } : {}),
    ...(node.children ? { children: node.children.map((child) => fresh(child, bands)) } : {}),
  };
}

export const newId = (type: string) =>
  `${type}-${[...crypto.getRandomValues(new Uint8Array(5))].map((byte) => (byte % 36).toString(36)).join('')}${Date.now().toString(36).slice(-3)}`;

/** The value that the node of an edit has now. */
export function valueAt(document: DocumentBody, edit: EditBody): unknown {
  const node = find(document, edit.node ?? '')?.node;
  return node && ownOf(node, keyOf(edit) ?? '', edit.band ?? '');
}
