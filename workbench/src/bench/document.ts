import type { DocumentBody, EditBody, NodeBody } from '../api/client';

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
});

export function find(document: DocumentBody, id: string): Found | undefined {
  if (id === 'site') return { node: siteNode(document), parent: undefined, index: 0 };
  for (const found of walk(document.page)) if (found.node.id === id) return found;
  return undefined;
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
  const words = ['name', 'heading', 'title', 'text', 'label'].map((key) => text(node, key));
  const named = words.find((word) => word.trim() !== '');
  if (named) return plain(named);
  return wordOf(node.type);
}

/** A copy with ids of its own. */
export function fresh(node: NodeBody, bands: ReadonlySet<string>): NodeBody {
  const values: Record<string, unknown> = {};
  for (const [setting, value] of Object.entries(node.values)) {
    values[setting] =
      value !== null && typeof value === 'object'
        ? Object.fromEntries(Object.entries(value).filter(([band]) => bands.has(band)))
        : value;
  }
  return {
    ...node,
    id: newId(node.type),
    values: values as NodeBody['values'],
    ...(node.children ? { children: node.children.map((child) => fresh(child, bands)) } : {}),
  };
}

export const newId = (type: string) =>
  `${type}-${[...crypto.getRandomValues(new Uint8Array(5))].map((byte) => (byte % 36).toString(36)).join('')}${Date.now().toString(36).slice(-3)}`;

type Values = Record<string, unknown>;

export function valueAt(document: DocumentBody, edit: EditBody): unknown {
  const values = find(document, edit.node ?? '')?.node.values as Values | undefined;
  const value = values?.[edit.setting ?? ''];
  return edit.band ? (value as Values | undefined)?.[edit.band] : value;
}

/** The document with one value put in, for showing it until the server has answered. */
export function withValue(document: DocumentBody, edit: EditBody): DocumentBody {
  const put = (values: Values): NodeBody['values'] => {
    const setting = edit.setting ?? '';
    const next = edit.band
      ? { ...(values[setting] as Values | undefined), [edit.band]: edit.value ?? undefined }
      : (edit.value ?? undefined);
    return { ...values, [setting]: next } as NodeBody['values'];
  };
  if (edit.node === 'site') {
    return { ...document, site: { ...document.site, values: put(document.site.values) } };
  }
  const change = (node: NodeBody): NodeBody => ({
    ...node,
    values: node.id === edit.node ? put(node.values) : node.values,
    ...(node.children ? { children: node.children.map(change) } : {}),
  });
  return { ...document, page: change(document.page) };
}
