import type { Catalogue, EditBody, NodeBody, PartReply } from '../api/client';
import { setting } from '../bench/keys';

/** How a part looks, as somebody has set it: values by state, property and band. */
type Styles = Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, unknown>>>>>>;

const KEPT = 'giostra.styles';

/** What a node itself sets of a part. */
export const stylesOf = (node: NodeBody, part: string): Styles =>
  ((node.styles ?? {}) as Readonly<Record<string, Styles>>)[part] ?? {};

/** Keeps styles for putting them elsewhere, also on another page. */
export function keepStyles(styles: Styles) {
  localStorage.setItem(KEPT, JSON.stringify(styles));
}

/** The styles that were kept last, if any. */
export function keptStyles(): Styles | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEPT) ?? 'null');
    return kept !== null && typeof kept === 'object' ? (kept as Styles) : undefined;
  } catch {
    return undefined;
  }
}

/**
 * The edits that put styles on a part of a node: what the part has of them, in bands that there
 * are. What else the node sets of it stays.
 */
export function putStyles(
  styles: Styles,
  node: NodeBody,
  part: PartReply,
  catalogue: Catalogue,
  bands: readonly string[],
): readonly EditBody[] {
  const known = catalogue.parts
    .find((each) => each.id === part.id)
    ?.properties.map((each) => each.id);
  return Object.entries(styles)
    .filter(([state]) => part.states.includes(state))
    .flatMap(([state, properties]) =>
      Object.entries(properties)
        .filter(([property]) => known?.includes(property))
        .flatMap(([property, byBand]) =>
          Object.entries(byBand)
            .filter(([band]) => bands.includes(band))
            .map(([band, value]) =>
              setting(node.id, `${part.id}/${state}/${property}`, band, value),
            ),
        ),
    );
}
