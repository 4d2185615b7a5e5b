import { useState } from 'react';
import type { NodeBody, PartReply } from '../api/client';
import { isPiece, partsOf, useBench } from '../bench/context';
import { nameOf, walk, wordOf } from '../bench/document';
import { Dialog } from '../ui/Dialog';
import { keptStyles, putStyles } from './styles';

interface Props {
  readonly bead: PartReply;
  readonly bands: readonly string[];
  onClose(): void;
}

/** Something on the page that has a part, and the section that it stands in. */
interface Having {
  readonly node: NodeBody;
  readonly where: string;
}

const isWhole = ({ type }: NodeBody) => ['site', 'page', 'section'].includes(type);

/** Puts what was copied of a part onto many at once: those that are ticked. */
export function Several({ bead, bands, onClose }: Props) {
  const { page, catalogue, session, chosen } = useBench();
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const all: Having[] = [];
  const piece = chosen.node.type === 'item' ? chosen.parent : chosen.node;
  const has = (node: NodeBody) => partsOf(catalogue, node.type).some((part) => part.id === bead.id);
  let where = '';
  for (const { node, parent } of walk(page.document.page)) {
    if (node.type === 'section') where = `in ${nameOf(node)}`;
    // Items follow their pieces; those of the chosen one can be told apart.
    if (node.type === 'item' ? parent?.id !== piece?.id : isWhole(node)) continue;
    if (has(node)) all.push({ node, where: node.type === 'item' ? 'one of its items' : where });
  }
  const kept = keptStyles() ?? {};
  const chosenOnes = all.filter(({ node }) => ticked.includes(node.id));
  const edits = chosenOnes.flatMap(({ node }) => putStyles(kept, node, bead, catalogue, bands));
  const every = all.length > 0 && chosenOnes.length === all.length;
  const tick = (id: string) =>
    setTicked(ticked.includes(id) ? ticked.filter((each) => each !== id) : [...ticked, id]);
  return (
    <Dialog label="Paste onto several" className="onto" onClose={onClose}>
      <h2 className="font-serif text-xl">Paste onto several</h2>
      <p className="faint">
        What was copied is set for the {bead.label.toLowerCase()} of each that is ticked, in one
        step that is taken back as one.
      </p>
      <label className="onto-all">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={every}
          onChange={() => setTicked(every ? [] : all.map(({ node }) => node.id))}
        />
        All {all.length} on this page
      </label>
      <ul className="onto-list">
        {all.map(({ node, where: section }) => (
          <li key={node.id}>
            <label>
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={ticked.includes(node.id)}
                onChange={() => tick(node.id)}
              />
              <span className="onto-name">
                {nameOf(node)}
                {node.id === chosen.node.id ? ' (chosen)' : ''}
              </span>
              <span className="faint">
                {isPiece(catalogue, node.type) ? `${wordOf(node.type)}, ` : ''}
                {section}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <footer className="modal-action">
        <span className="faint mr-auto" aria-live="polite">
          {chosenOnes.length === 0
            ? 'Tick whom it is set for.'
            : `${edits.length === 1 ? '1 value' : `${edits.length} values`} on ${chosenOnes.length}`}
        </span>
        <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={edits.length === 0}
          onClick={() => {
            session.edit([...edits]);
            onClose();
          }}
        >
          Set
        </button>
      </footer>
    </Dialog>
  );
}
