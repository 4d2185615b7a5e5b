import { useMutation } from '@tanstack/react-query';
import { Link as LinkIcon } from 'lucide-react';
import { Link } from 'react-router';
import { api, ask, type NodeBody } from '../api/client';
import { labelOf, settingsOf, useBench } from '../bench/context';
import { nameOf, wordOf } from '../bench/document';
import { keysOf } from '../bench/keys';
import { linkedTo, useStock } from '../map/stock';
import { Form } from './Form';

/** Settings of a linked piece that may well differ from one place to the next. */
const OWN: ReadonlySet<string> = new Set(['only', 'name', 'title', 'hidden']);

/** A piece or section that follows one elsewhere: where that is, what departs here, a way out. */
export function Linked({ node }: { readonly node: NodeBody }) {
  const { session, page, catalogue } = useBench();
  const stock = useStock();
  const kept = stock.data?.find((each) => each.id === linkedTo(node));
  const source = kept?.node as NodeBody | undefined;
  const departures = keysOf(node).filter((each) => each !== 'linkedTo');

  const separate = useMutation({
    mutationFn: () =>
      ask(
        api.GET('/api/pages/{id}/stock/copy', {
          params: { path: { id: page.id }, query: { node: node.id } },
        }),
      ),
    onSuccess: (edits) => session.edit(edits),
  });
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
                  : `Departs here: ${departures.map((each) => labelOf(catalogue, node.type, each)).join(', ')}.`}
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
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => separate.mutate()}>
            Make it a copy
          </button>
        )}
        {separate.isError && <p className="text-error">{separate.error.message}</p>}
      </div>
      {kept && <Form key={node.id} node={node} settings={shown} />}
    </div>
  );
}
