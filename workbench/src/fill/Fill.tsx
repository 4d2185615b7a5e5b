import { useState } from 'react';
import { settingsOf, useBench } from '../bench/context';
import { nameOf } from '../bench/document';
import { Form } from './Form';
import { ItemTable } from './ItemTable';

/** What a node says: the items of a carousel as a table, everything else as a form. */
export function Fill() {
  const { catalogue, chosen, choose } = useBench();
  const node = chosen.node.type === 'item' && chosen.parent ? chosen.parent : chosen.node;
  const once = settingsOf(catalogue, node.type).filter((setting) => !setting.byBand);
  const carousel = node.type === 'carousel';
  const [about, setAbout] = useState(false);
  if (once.length === 0) {
    return (
      <p className="faint p-6">
        “{nameOf(node)}” has no words or pictures of its own.{' '}
        <button type="button" className="link" onClick={() => choose(node.id, 'arrange')}>
          Arrange it
        </button>
      </p>
    );
  }
  return (
    <section aria-label="Fill" className="flex h-full min-h-0 flex-col">
      {carousel ? (
        <>
          <div className="fill-tabs" role="group" aria-label="What to fill">
            <button type="button" aria-pressed={!about} onClick={() => setAbout(false)}>
              Items
            </button>
            <button type="button" aria-pressed={about} onClick={() => setAbout(true)}>
              The carousel itself
            </button>
          </div>
          {about ? (
            <Form key={node.id} node={node} settings={once} />
          ) : (
            <ItemTable key={node.id} carousel={node} />
          )}
        </>
      ) : (
        <Form key={node.id} node={node} settings={once} />
      )}
    </section>
  );
}
