import { useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type EditBody, type NodeBody, type Starter } from '../api/client';
import { columnsOf, isPiece, useBench } from '../bench/context';
import { fresh, nameOf, newId, wordOf } from '../bench/document';
import { Dialog, useClose } from '../ui/Dialog';
import type { Gap } from './gap';
import { icons } from './icons';
import { Moving } from './Moving';
import { linkTo, useStock } from './stock';

/** What can be put into a gap. Between two sections it gets a section of its own. */
export function Chooser({ gap, onClose }: { readonly gap: Gap; onClose(): void }) {
  const title = useId();
  const between = gap.parent.type === 'page';
  return (
    <Dialog labelledBy={title} className="chooser" onClose={onClose}>
      <h2 id={title} className="font-serif text-xl">
        Add {between ? 'between two sections' : `in ${nameOf(gap.parent)}`}
      </h2>
      <Choices gap={gap} />
    </Dialog>
  );
}

function Choices({ gap }: { readonly gap: Gap }) {
  const { session, page, catalogue, choose } = useBench();
  const close = useClose();
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const between = gap.parent.type === 'page';
  const type = (starter: Starter) => (starter.node as NodeBody).type;
  const pieces = catalogue.starters.filter((each) => isPiece(catalogue, type(each)));
  const blocks = catalogue.starters.filter((each) => !isPiece(catalogue, type(each)));

  const queries = useQueryClient();
  const [waiting, setWaiting] = useState(false);
  const [failed, setFailed] = useState('');
  /** What pieces start with shows pictures; they come into the library first. */
  async function take(starter: Starter) {
    setWaiting(true);
    try {
      const ready = await ask(
        api.POST('/api/sites/{siteId}/starters/{id}', {
          params: { path: { siteId: page.siteId, id: starter.id } },
        }),
      );
      void queries.invalidateQueries({ queryKey: ['media', page.siteId] });
      const node = fresh(ready.node as NodeBody, bands);
      put(node, undefined, ready.section as NodeBody['values'], ready.before);
    } catch (problem) {
      setWaiting(false);
      setFailed(problem instanceof Error ? problem.message : String(problem));
    }
  }

  function put(
    node: NodeBody,
    name = nameOf(node),
    around: NodeBody['values'] = {},
    before: readonly EditBody[] = [],
  ) {
    const section: NodeBody = {
      id: newId('section'),
      type: 'section',
      values: { ...around, name },
      children: [node],
    };
    session.edit([
      ...before,
      {
        type: 'AddNode',
        parent: gap.parent.id,
        index: gap.index,
        content: between && node.type !== 'section' ? section : node,
      },
    ]);
    close();
    choose(node.id, 'fill');
  }

  return (
    <>
      {failed && (
        <p className="text-error" role="alert">
          Not added: {failed}
        </p>
      )}
      <ul className="chooser-list">
        {pieces.map((starter) => (
          <li key={starter.id}>
            <button
              type="button"
              className="chooser-one"
              disabled={waiting}
              onClick={() => void take(starter)}
            >
              <Moving kind={type(starter)} form={starter.id} />
              <b>{starter.label}</b>
              <span className="faint">{starter.says}</span>
            </button>
          </li>
        ))}
      </ul>
      <ul className="chooser-blocks">
        {blocks.map((starter) => {
          const Icon = icons[type(starter)];
          return (
            <li key={starter.id}>
              <button
                type="button"
                className="chooser-block"
                title={starter.says}
                disabled={waiting}
                onClick={() => void take(starter)}
              >
                {Icon && <Icon size={18} aria-hidden />}
                {starter.label}
              </button>
            </li>
          );
        })}
      </ul>
      <FromStock gap={gap} between={between} onTake={put} />
      <div className="flex justify-end">
        <button type="button" className="btn btn-ghost" onClick={close}>
          Cancel
        </button>
      </div>
    </>
  );
}

interface FromStockProps {
  readonly gap: Gap;
  readonly between: boolean;
  onTake(node: NodeBody, name: string): void;
}

/** What is kept on the site and may stand here, to be put in linked or as a copy. */
function FromStock({ gap, between, onTake }: FromStockProps) {
  const { page, catalogue } = useBench();
  const stock = useStock();
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const holds = catalogue.types.find((each) => each.type === gap.parent.type)?.holds ?? [];
  const fits = (stock.data ?? []).filter((kept) => {
    const { type } = kept.node as NodeBody;
    return holds.includes(type) || (between && isPiece(catalogue, type));
  });
  if (fits.length === 0) return null;
  return (
    <section aria-label="Kept on the site">
      <h3 className="chooser-head">Kept on the site</h3>
      <ul className="chooser-stock">
        {fits.map((kept) => {
          const node = kept.node as NodeBody;
          const Icon = icons[node.type];
          return (
            <li key={kept.id}>
              {Icon && <Icon size={18} aria-hidden />}
              <span className="min-w-0 flex-1 truncate">
                {kept.name} <span className="faint">{wordOf(node.type)}</span>
              </span>
              <button
                type="button"
                className="btn btn-sm"
                title="Follows what it is linked to"
                onClick={() => onTake(linkTo(kept, newId(node.type)), kept.name)}
              >
                Linked<span className="sr-only"> {kept.name}</span>
              </button>
              <button
                type="button"
                className="btn btn-ghost btn-sm"
                title="Has its own content from now on"
                onClick={() => onTake(fresh(node, bands), kept.name)}
              >
                Copy<span className="sr-only"> of {kept.name}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
