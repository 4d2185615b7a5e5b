import type { DocumentBody, NodeBody } from '../api/client';
import { type Found, looksOf, nameOf, pathTo, siteNode, text, walk } from '../bench/document';

/** Somebody who may say how what is chosen looks. */
export interface Said {
  readonly node: NodeBody;
  readonly label: string;
  /** Whether it is who mostly says it. */
  readonly usual: boolean;
}

/** All who may say how what is chosen looks, the nearest first. */
export function scopesOf(document: DocumentBody, { node, parent }: Found): readonly Said[] {
  const all: Said[] = [];
  const add = (each: NodeBody, label: string, usual = false) =>
    all.push({ node: each, label, usual: usual || (each.id === node.id && node.type !== 'item') });
  const piece = node.type === 'item' ? parent : node;
  if (node.type === 'item') add(node, `This item: ${nameOf(node)}`);
  if (piece && !['page', 'section', 'site'].includes(piece.type)) {
    add(piece, nameOf(piece), true);
    const look = looksOf(document).find((each) => each.id === text(piece, 'look'));
    if (look && text(look, 'of') === piece.type) add(look, `The look ${nameOf(look)}`);
  }
  const way = pathTo(document.page, node.id);
  for (const { node: each } of walk(document.page)) {
    if (each.type === 'section' && way.includes(each.id)) add(each, `The section ${nameOf(each)}`);
  }
  add(document.page, 'This page');
  add(siteNode(document), 'The whole site');
  return all;
}

interface Props {
  readonly scopes: readonly Said[];
  readonly by: Said;
  onBy(node: NodeBody): void;
}

/** Who says what is set here. */
export function Scope({ scopes, by, onBy }: Props) {
  return (
    <label className="dress-scope">
      <span className="faint">Set for</span>
      <select
        className="select select-sm"
        value={by.node.id}
        onChange={(event) => {
          const next = scopes.find((each) => each.node.id === event.target.value);
          if (next) onBy(next.node);
        }}
      >
        {scopes.map((each) => (
          <option key={each.node.id} value={each.node.id}>
            {each.label}
          </option>
        ))}
      </select>
    </label>
  );
}
