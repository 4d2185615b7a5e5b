import type { DocumentBody, EditBody, NodeBody } from '../api/client';

/**
 * What of a node a value is of: the id of a setting, or a part, a state and a property with strokes
 * between them, as in `video.bar/hover/ground`. No setting has a stroke in its id.
 */
export type Key = string;

type Tree = Record<string, unknown>;

/** The key that an edit sets, if it sets one value. */
export function keyOf(edit: EditBody): Key | undefined {
  if (edit.type === 'SetValue') return edit.setting ?? '';
  if (edit.type === 'SetStyle') return `${edit.part}/${edit.state}/${edit.property}`;
  return undefined;
}

/** The edit that sets a value, or takes it away. */
export function setting(node: string, key: Key, band: string, value: unknown): EditBody {
  const [part, state, property] = key.split('/');
  const of =
    state === undefined
      ? { type: 'SetValue', setting: key }
      : { type: 'SetStyle', part, state, property };
  return { ...of, node, band, value: value as EditBody['value'] } as EditBody;
}

const way = (key: Key, band: string): readonly string[] => [
  ...(key.includes('/') ? ['styles', ...key.split('/')] : ['values', key]),
  ...(band ? [band] : []),
];

/** The keys of all that a node itself sets. */
export const keysOf = (node: Pick<NodeBody, 'values' | 'styles'>): readonly Key[] => [
  ...Object.keys(node.values),
  ...Object.entries((node.styles ?? {}) as Tree).flatMap(([part, states]) =>
    Object.entries(states as Tree).flatMap(([state, properties]) =>
      Object.keys(properties as Tree).map((property) => `${part}/${state}/${property}`),
    ),
  ),
];

/** The value that a node itself sets. */
export function ownOf(node: Pick<NodeBody, 'values' | 'styles'>, key: Key, band = ''): unknown {
  let at: unknown = node;
  for (const name of way(key, band)) {
    if (at === null || typeof at !== 'object') return undefined;
    at = (at as Tree)[name];
  }
  return at;
}

function put(tree: Tree, [name = '', ...rest]: readonly string[], value: unknown): Tree {
  const inside = tree[name];
  const next =
    rest.length === 0
      ? (value ?? undefined)
      : put(inside !== null && typeof inside === 'object' ? (inside as Tree) : {}, rest, value);
  return { ...tree, [name]: next };
}

/** The document with one value put in, for showing it until the server has answered. */
export function withValue(document: DocumentBody, edit: EditBody): DocumentBody {
  const to = way(keyOf(edit) ?? '', edit.band ?? '');
  const changed = <T>(node: T): T => put(node as Tree, to, edit.value) as T;
  if (edit.node === 'site') return { ...document, site: changed(document.site) };
  if (edit.node?.startsWith('look.')) {
    const looks = (document.site.looks ?? []).map((look) =>
      (look as Tree).id === edit.node ? changed(look) : look,
    );
    return { ...document, site: { ...document.site, looks } };
  }
  // What is not changed stays what it was, and need not be drawn anew.
  const change = (node: NodeBody): NodeBody => {
    if (node.id === edit.node) return changed(node);
    const { children } = node;
    const now = children?.map(change);
    return now?.some((child, at) => child !== children?.[at]) ? { ...node, children: now } : node;
  };
  return { ...document, page: change(document.page) };
}

/** Values, or styles, without what is set in bands that are not among these. */
export function inBands(tree: unknown, bands: ReadonlySet<string>, depth: number): unknown {
  if (tree === null || typeof tree !== 'object') return tree;
  const entries = Object.entries(tree);
  return Object.fromEntries(
    depth === 0
      ? entries.filter(([band]) => bands.has(band))
      : entries.map(([name, inside]) => [name, inBands(inside, bands, depth - 1)]),
  );
}
