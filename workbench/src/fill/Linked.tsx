import { Link as LinkIcon } from 'lucide-react';
import { Link } from 'react-router';
import type { NodeBody } from '../api/client';
import { columnsOf, settingsOf, useBench } from '../bench/context';
import { fresh, nameOf, wordOf } from '../bench/document';
import { linkedTo, useStock } from '../map/stock';
import { Form } from './Form';

/** Settings of a linked piece that may well differ from one place to the next. */
const OWN: ReadonlySet<string> = new Set(['only', 'name', 'title', 'opensOn', 'hidden']);

/** A piece or section that follows one elsewhere: where that is, what departs here, a way out. */
export function Linked({ node }: { readonly node: NodeBody }) {
  const { session, page, catalogue, chosen, choose } = useBench();
  const stock = useStock();
  const kept = stock.data?.find((each) => each.id === linkedTo(node));
  const source = kept?.node as NodeBody | undefined;
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const departures = Object.keys(node.values).filter((each) => each !== 'linkedTo');
  const labels = new Map(settingsOf(catalogue, node.type).map((each) => [each.id, each.label]));

  function separate() {
    if (!source || !chosen.parent) return;
    const own = fresh(source, bands);
    const { linkedTo: _, ...values } = node.values as Record<string, unknown>;
    const content = { ...own, values: { ...own.values, ...values } as NodeBody['values'] };
    session.edit([
      { type: 'RemoveNode', node: node.id },
      { type: 'AddNode', parent: chosen.parent.id, index: chosen.index, content },
    ]);
    choose(content.id);
  }
  const shown = settingsOf(catalogue, node.type)
    .filter((each) => OWN.has(each.id))
    .map((each) => ({
      ...each,
      initial: (source?.values as Record<string, unknown> | undefined)?.[each.id] ?? each.initial,
    }));
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="linked">
        <LinkIcon size={18} aria-hidden className="mt-1 shrink-0" />
        <div className="min-w-0 flex-1">
          {stock.isPending ? (
            <p className="faint">Looking up what it is linked to…</p>
          ) : kept ? (
            <>
              <p>
                This {wordOf(node.type).toLowerCase()} follows <b>{kept.name}</b>: its content is
                edited {kept.homePage ? 'there' : 'nowhere any more, since its home was deleted'}.
                What you set here, in Fill or Arrange, departs from it.
              </p>
              <p className="faint">
                {departures.length === 0
                  ? 'Nothing departs here yet.'
                  : `Departs here: ${departures.map((each) => labels.get(each) ?? each).join(', ')}.`}
              </p>
            </>
          ) : (
            <p className="text-error">
              What it is linked to is kept no longer, so it is empty. Delete it, or link another.
            </p>
          )}
        </div>
        {kept?.homePage && (
          <Link className="btn btn-sm" to={`/pages/${kept.homePage}/fill?at=${kept.homeNode}`}>
            Edit {nameOf(source ?? node)}
          </Link>
        )}
        {source && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={separate}>
            Make it a copy
          </button>
        )}
      </div>
      {kept && <Form key={node.id} node={node} settings={shown} />}
    </div>
  );
}
