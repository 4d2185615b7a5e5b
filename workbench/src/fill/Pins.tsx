import { Pin } from 'lucide-react';
import type { NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { nameOf, newId } from '../bench/document';

/** Puts something on an item of a kind that has pins, and goes there. */
export function usePinning() {
  const { session, choose } = useBench();
  return (item: NodeBody) => {
    const pin: NodeBody = {
      id: newId('pin'),
      type: 'pin',
      values: { words: 'Only until Sunday' },
      children: [],
    };
    session.edit([
      { type: 'AddNode', parent: item.id, index: item.children?.length ?? 0, content: pin },
    ]);
    choose(pin.id, 'fill');
  };
}

/** What is pinned to an item, and a way to pin something more. */
export function Pins({ item }: { readonly item: NodeBody }) {
  const { choose } = useBench();
  const pinned = usePinning();
  const pins = (item.children ?? []).filter((each) => each.type === 'pin');
  return (
    <div className="pins" role="group" aria-label={`Pinned to ${nameOf(item)}`}>
      <span className="faint">{pins.length > 0 ? 'Pinned to it' : 'Nothing is pinned to it'}</span>
      {pins.map((pin) => (
        <button key={pin.id} type="button" className="btn btn-sm" onClick={() => choose(pin.id)}>
          <Pin size={14} aria-hidden />
          <span className="truncate">{nameOf(pin)}</span>
        </button>
      ))}
      <button
        type="button"
        className="btn btn-sm btn-ghost"
        title="A badge, a price or a cut-out that stands over the slide"
        onClick={() => pinned(item)}
      >
        Pin something on it
      </button>
    </div>
  );
}
