import { useId, useState } from 'react';
import { Link } from 'react-router';
import type { NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { nameOf } from '../bench/document';
import { Dialog, useClose } from '../ui/Dialog';
import { useKeep, useStock } from './stock';

/** Keeps a piece or a section on the site, to be put in on its pages. */
export function Keep({ node, onClose }: { readonly node: NodeBody; onClose(): void }) {
  const title = useId();
  return (
    <Dialog labelledBy={title} onClose={onClose}>
      <h2 id={title} className="font-serif text-xl">
        Keep “{nameOf(node)}” on the site
      </h2>
      <KeepForm node={node} />
    </Dialog>
  );
}

function KeepForm({ node }: { readonly node: NodeBody }) {
  const { page } = useBench();
  const close = useClose();
  const stock = useStock();
  const { keep, drop } = useKeep();
  const field = useId();
  const kept = stock.data?.find((each) => each.homePage === page.id && each.homeNode === node.id);
  const [name, setName] = useState<string>();
  const value = name ?? kept?.name ?? nameOf(node);
  const problem = keep.error ?? drop.error;
  return (
    <form
      className="mt-3 flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate({ node: node.id, name: value }, { onSuccess: close });
      }}
    >
      <p>
        It stays here, where it is edited. On every page of the site it can then be put in, linked
        (what changes here changes there) or as a copy.
      </p>
      <label className="field-name" htmlFor={field}>
        Name
      </label>
      <input
        id={field}
        className="input w-full"
        value={value}
        maxLength={120}
        onChange={(event) => setName(event.target.value)}
      />
      {kept && kept.uses.length > 0 && (
        <p>
          Linked to on{' '}
          {kept.uses.map((use, at) => (
            <span key={use.page}>
              {at > 0 && ', '}
              <Link className="link" to={`/pages/${use.page}/fill`}>
                {use.title}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
      {problem && <p className="text-error">{problem.message}</p>}
      <div className="flex justify-end gap-2">
        {kept && (
          <button
            type="button"
            className="btn btn-ghost mr-auto"
            onClick={() => drop.mutate(kept.id, { onSuccess: close })}
          >
            Keep it no longer
          </button>
        )}
        <button type="button" className="btn btn-ghost" onClick={close}>
          Cancel
        </button>
        <button type="submit" className="btn btn-primary" disabled={keep.isPending}>
          {kept ? 'Keep under this name' : 'Keep it'}
        </button>
      </div>
    </form>
  );
}
