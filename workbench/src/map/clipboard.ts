import type { Catalogue, DocumentBody, NodeBody } from '../api/client';
import { type Found, find, fresh } from '../bench/document';
import type { Gap } from './gap';

/** A node as text that can be pasted on any page of any installation. */
export const copied = (node: NodeBody) => JSON.stringify({ giostra: 1, node }, null, 1);

/** The node of a text that was copied so, with ids of its own; nothing for any other text. */
export function pasted(text: string, bands: ReadonlySet<string>): NodeBody | undefined {
  if (!text.startsWith('{')) return undefined;
  try {
    const { giostra, node } = JSON.parse(text) as { giostra?: number; node?: NodeBody };
    return giostra === 1 && node?.type ? fresh(node, bands) : undefined;
  } catch {
    return undefined;
  }
}

/** Where a node of a type goes: into what is chosen where that holds it, else after it. */
export function placeFor(
  catalogue: Catalogue,
  type: string,
  chosen: Found,
  document: DocumentBody,
): Gap | undefined {
  const holds = (parent: NodeBody) => {
    const may =
      catalogue.types.find((each) => each.type === parent.type)?.holds.includes(type) ?? false;
    if (parent.type !== 'item') return may;
    // What an item may hold is shown by its kind alone.
    const kind = find(document, parent.id)?.parent?.type ?? '';
    return may && (type === 'pin' ? catalogue.pins : catalogue.panels).includes(kind);
  };
  if (holds(chosen.node)) return { parent: chosen.node, index: chosen.node.children?.length ?? 0 };
  for (let at: Found | undefined = chosen; at?.parent; at = find(document, at.parent.id)) {
    if (holds(at.parent)) return { parent: at.parent, index: at.index + 1 };
  }
  return undefined;
}
