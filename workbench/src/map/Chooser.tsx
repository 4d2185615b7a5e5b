import { useEffect, useId, useRef } from 'react';
import type { NodeBody, Starter } from '../api/client';
import { columnsOf, useBench } from '../bench/context';
import { fresh, nameOf, newId } from '../bench/document';
import { icons } from './icons';
import type { Gap } from './PageMap';

/** What can be put into a gap. Between two sections it gets a section of its own. */
export function Chooser({ gap, onClose }: { readonly gap: Gap; onClose(): void }) {
  const { session, page, catalogue, choose } = useBench();
  const dialog = useRef<HTMLDialogElement>(null);
  const title = useId();
  useEffect(() => dialog.current?.showModal(), []);
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const between = gap.parent.type === 'page';
  const place = between ? 'between two sections' : `in ${nameOf(gap.parent)}`;

  function take(starter: Starter) {
    const node = fresh(starter.node, bands);
    const section: NodeBody = {
      id: newId('section'),
      type: 'section',
      values: { name: nameOf(node) },
      children: [node],
    };
    session.edit([
      {
        type: 'AddNode',
        parent: gap.parent.id,
        index: gap.index,
        content: between ? section : node,
      },
    ]);
    dialog.current?.close();
    choose(node.id, 'fill');
  }

  return (
    <dialog ref={dialog} className="modal" aria-labelledby={title} onClose={onClose}>
      <div className="modal-box chooser">
        <h2 id={title} className="font-serif text-xl">
          Add {place}
        </h2>
        <ul className="chooser-list">
          {catalogue.starters.map((starter) => {
            const Icon = icons[(starter.node as NodeBody).type];
            return (
              <li key={starter.id}>
                <button type="button" className="chooser-one" onClick={() => take(starter)}>
                  {Icon && <Icon size={22} aria-hidden />}
                  <span>
                    <b>{starter.label}</b>
                    <span className="faint block">{starter.says}</span>
                  </span>
                </button>
              </li>
            );
          })}
        </ul>
        <div className="flex justify-end">
          <button type="button" className="btn btn-ghost" onClick={() => dialog.current?.close()}>
            Cancel
          </button>
        </div>
      </div>
      <form method="dialog" className="modal-backdrop">
        <button type="submit" tabIndex={-1}>
          Close
        </button>
      </form>
    </dialog>
  );
}
