import { useState } from 'react';
import type { NodeBody } from '../api/client';
import { isPiece, settingsOf, useBench } from '../bench/context';
import { nameOf } from '../bench/document';
import { ContentButton } from '../content/ContentButton';
import { linkedTo } from '../map/stock';
import { CategoriesButton } from './Categories';
import { ClipHelp } from './ClipHelp';
import { Convert } from './Convert';
import { Form } from './Form';
import { asked, fieldsOf, ItemTable } from './ItemTable';
import { Linked } from './Linked';
import { Pins } from './Pins';

type Part = 'items' | 'item' | 'piece';

/** Settings that have a place of their own instead of a field in the form. */
const elsewhere = new Set(['left', 'linkedTo', 'source', 'sourceKey', 'sourceFields']);

/** What a node says: the items of a piece as a table, everything else as a form. */
export function Fill() {
  const { catalogue, chosen, choose } = useBench();
  const item = chosen.node.type === 'item' ? chosen.node : undefined;
  const node = item && chosen.parent ? chosen.parent : chosen.node;
  const once = settingsOf(catalogue, node.type).filter(
    (setting) => setting.home === 'fill' && !elsewhere.has(setting.id),
  );
  const [part, setPart] = useState<Part>('items');
  if (linkedTo(node) !== '') {
    return (
      <section aria-label="Fill" className="h-full min-h-0">
        <Linked key={node.id} node={node} />
      </section>
    );
  }
  if (isPiece(catalogue, node.type)) {
    const shown = part === 'item' && !item ? 'items' : part;
    const parts: readonly (readonly [Part, string])[] = [
      ['items', 'Items'],
      ['item', item ? `This item: ${nameOf(item)}` : 'This item'],
      ['piece', `The ${node.type.replace('-', ' ')} as a whole`],
    ];
    return (
      <section aria-label="Fill" className="flex h-full min-h-0 flex-col">
        <div className="fill-tabs" role="group" aria-label="What to fill">
          {parts.map(([each, words]) => (
            <button
              key={each}
              type="button"
              aria-pressed={shown === each}
              disabled={each === 'item' && !item}
              title={each === 'item' && !item ? 'Choose an item first' : undefined}
              onClick={() => setPart(each)}
            >
              {words}
            </button>
          ))}
          {node.type === 'accordion' && <CategoriesButton piece={node} />}
          <ContentButton key={`content-${node.id}`} piece={node} />
          <Convert key={node.id} piece={node} />
        </div>
        {shown === 'piece' && <Form key={node.id} node={node} settings={once} />}
        {shown === 'items' && <ItemTable key={node.id} piece={node} />}
        {shown === 'item' && item && <ItemForm key={item.id} item={item} piece={node} />}
      </section>
    );
  }
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
      <Form key={node.id} node={node} settings={once} />
    </section>
  );
}

/** All that one item says, long texts in an editor of their own. */
function ItemForm({ item, piece }: { readonly item: NodeBody; readonly piece: NodeBody }) {
  const { catalogue } = useBench();
  const fields = fieldsOf(catalogue, piece)
    .filter((field) => asked(item, field, catalogue))
    .map(({ setting, label }) => ({ ...setting, label }));
  const always = settingsOf(catalogue, 'item').filter(
    (each) => catalogue.always.includes(each.id) && each.home === 'fill',
  );
  return (
    <Form
      node={item}
      settings={[...fields, ...always]}
      top={
        piece.type === 'video' ? (
          <ClipHelp key={item.id} item={item} />
        ) : catalogue.pins.includes(piece.type) ? (
          <Pins key={item.id} item={item} />
        ) : undefined
      }
    />
  );
}
