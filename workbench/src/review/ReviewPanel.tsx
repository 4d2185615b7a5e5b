import type { NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { nameOf } from '../bench/document';
import { may, useMe } from '../people/me';
import { Dialog, useClose } from '../ui/Dialog';
import { Links } from './Links';
import { Remarks, type Spot } from './Remarks';

/** Remarks beside the page that they are about. */
export function ReviewPanel({ onClose }: { onClose(): void }) {
  return (
    <Dialog label="Remarks" className="review-panel" beside onClose={onClose}>
      <Panel />
    </Dialog>
  );
}

function spotsOf(node: NodeBody, depth: number): Spot[] {
  return [
    { id: node.id, called: nameOf(node), depth },
    ...(node.children ?? []).flatMap((child) => spotsOf(child, depth + 1)),
  ];
}

function Panel() {
  const close = useClose();
  const me = useMe();
  const { page, chosen, choose, width, setWidth } = useBench();
  const spots = spotsOf(page.document.page, 0);
  const at = spots.some(({ id }) => id === chosen.node.id) ? chosen.node.id : page.document.page.id;
  return (
    <>
      <div className="who-is-in-head">
        <h2 className="font-serif text-xl">Remarks</h2>
        <button type="button" className="tape-chip" onClick={close}>
          Close
        </button>
      </div>
      <Remarks
        page={page.id}
        spots={spots}
        at={at}
        width={width}
        onAt={(node, at) => {
          choose(node);
          if (at !== undefined) setWidth(at);
        }}
        guest={false}
        ticks={may(me, page.siteId, 'writer')}
        drops={may(me, page.siteId, 'designer')}
        person={me?.id ?? ''}
      />
      {may(me, page.siteId, 'designer') && <Links page={page.id} />}
    </>
  );
}
