import { useMutation } from '@tanstack/react-query';
import { Shuffle } from 'lucide-react';
import { useState } from 'react';
import { api, ask, type NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { wordOf } from '../bench/document';

/** Makes a piece one of another kind: what would not fit is said before it is done. */
export function Convert({ piece }: { readonly piece: NodeBody }) {
  const { session, page, catalogue, steps } = useBench();
  const [to, setTo] = useState('');
  const look = useMutation({
    mutationFn: (kind: string) =>
      ask(
        api.GET('/api/pages/{id}/conversion', {
          params: { path: { id: page.id }, query: { piece: piece.id, to: kind } },
        }),
      ),
  });
  const kinds = catalogue.types.filter((each) => each.piece && each.type !== piece.type);
  const leave = () => {
    setTo('');
    look.reset();
  };
  if (!steps.includes('ship')) return null;
  return (
    <div className="convert" role="group" aria-label="Make it another kind">
      {look.data ? (
        <>
          <span className="min-w-0 truncate" title={look.data.unfit.join(', ')}>
            {look.data.unfit.length === 0
              ? `Everything fits ${wordOf(to).toLowerCase()}.`
              : `Will not show as ${wordOf(to).toLowerCase()}: ${look.data.unfit.join(', ')}.`}
          </span>
          <button
            type="button"
            className="btn btn-primary btn-xs"
            onClick={() => {
              session.edit(look.data.edits);
              leave();
            }}
          >
            Make it {wordOf(to).toLowerCase()}
          </button>
          <button type="button" className="btn btn-ghost btn-xs" onClick={leave}>
            Leave
          </button>
        </>
      ) : (
        <>
          {look.isError && <span className="text-error">{look.error.message}</span>}
          <Shuffle size={14} aria-hidden />
          <select
            className="select select-xs"
            aria-label="Make it another kind"
            value={to}
            onChange={(event) => {
              setTo(event.target.value);
              if (event.target.value !== '') look.mutate(event.target.value);
            }}
          >
            <option value="">Make it another kind…</option>
            {kinds.map((each) => (
              <option key={each.type} value={each.type}>
                {wordOf(each.type)}
              </option>
            ))}
          </select>
        </>
      )}
    </div>
  );
}
