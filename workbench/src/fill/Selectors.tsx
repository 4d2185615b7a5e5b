import type { NodeBody } from '../api/client';
import { partsOf, useBench } from '../bench/context';

/** What the parts of a node are called in CSS. */
export function Selectors({ node }: { readonly node: NodeBody }) {
  const { catalogue } = useBench();
  const parts = partsOf(catalogue, node.type).filter((part) => part.elements !== '');
  if (parts.length === 0) return null;
  return (
    <details className="selectors">
      <summary>What its parts are called</summary>
      <dl>
        {parts.map((part) => (
          <div key={part.id}>
            <dt>{part.label}</dt>
            <dd>
              <code>{part.elements}</code>
            </dd>
          </div>
        ))}
      </dl>
      <p className="faint">
        What these rules touch is not computed, and so not proved. They hold in here alone, and load
        nothing.
      </p>
    </details>
  );
}
