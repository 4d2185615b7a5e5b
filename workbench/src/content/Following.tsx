import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type NodeBody, type Refill, send } from '../api/client';
import { useBench, versionOf } from '../bench/context';
import { nameOf } from '../bench/document';
import { useClose } from '../ui/Dialog';
import { ContentPick, ItemsAsFiles } from './Files';

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** What a piece follows, a newer file for it, and the end of following. */
export function Following({ piece, title }: { readonly piece: NodeBody; readonly title: string }) {
  const { session, page } = useBench();
  const close = useClose();
  const feed = useQuery({
    queryKey: ['feed', page.id, piece.id, versionOf(page)],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/feed', {
          params: { path: { id: page.id }, query: { piece: piece.id } },
        }),
      ),
  });
  const look = useMutation({
    mutationFn: (file: File) =>
      send<Refill>(`/api/pages/${page.id}/refills?piece=${piece.id}`, file),
  });
  if (look.data) {
    return <Changes piece={piece} title={title} refill={look.data} onBack={() => look.reset()} />;
  }
  return (
    <div className="content-start">
      <h2 id={title} className="font-serif text-xl">
        “{nameOf(piece)}” follows a file
      </h2>
      {feed.isError && <p className="text-error">{feed.error.message}</p>}
      {feed.data && (
        <p>
          It was filled from <b>{feed.data.name}</b>, uploaded{' '}
          {when.format(new Date(feed.data.uploaded))}. Rows are told apart by <b>{feed.data.key}</b>
          .
          {feed.data.newer && (
            <span className="text-error">
              {' '}
              Another piece has been filled from a newer one, {feed.data.newer}.
            </span>
          )}
        </p>
      )}
      <p className="faint">
        A newer file brings new words and new items. Your order stays, and so does what you wrote by
        hand; what would go is shown to you first.
      </p>
      {look.isError && (
        <p className="text-error" role="alert">
          {look.error.message}
        </p>
      )}
      <div className="flex items-center gap-2">
        <ContentPick
          label="Choose a newer file"
          busy={look.isPending}
          className="btn-sm"
          onPick={(file) => look.mutate(file)}
        />
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => session.set(piece.id, 'source', '', null)}
        >
          Stop following
        </button>
        <span className="flex-1" />
        <ItemsAsFiles piece={piece} />
        <button type="button" className="btn btn-sm btn-ghost" onClick={close}>
          Close
        </button>
      </div>
    </div>
  );
}

interface ChangesProps {
  readonly piece: NodeBody;
  readonly title: string;
  readonly refill: Refill;
  onBack(): void;
}

/** What a newer file would change, before it does. */
function Changes({ piece, title, refill, onBack }: ChangesProps) {
  const { session, page } = useBench();
  const close = useClose();
  const [keep, setKeep] = useState<ReadonlySet<string>>(new Set());
  const apply = useMutation({
    mutationFn: async () => {
      await ask(
        api.POST('/api/pages/{id}/refills/apply', {
          params: { path: { id: page.id } },
          body: { piece: piece.id, source: refill.source, keep: [...keep] },
        }),
      );
      await session.refresh();
    },
    onSuccess: close,
  });
  const toggle = (id: string, on: boolean) => {
    const next = new Set(keep);
    if (on) next.add(id);
    else next.delete(id);
    setKeep(next);
  };
  const nothing =
    refill.added.length + refill.changed.length + refill.going.length + refill.kept.length === 0;
  return (
    <div className="content-start">
      <h2 id={title} className="font-serif text-xl">
        What {refill.file} changes
      </h2>
      {nothing && <p>Nothing: it says what is there already.</p>}
      <div className="refill">
        <Names title="New" names={refill.added} />
        <Names title="With new words" names={refill.changed} />
        {refill.kept.length > 0 && (
          <Names
            title="Stay as you wrote them"
            names={refill.kept.map((own) => `${own.item}: ${own.field}`)}
          />
        )}
        {refill.going.length > 0 && (
          <fieldset>
            <legend className="font-semibold text-error">
              Go, unless you keep them: {refill.going.length}
            </legend>
            {refill.going.map((item) => (
              <label key={item.id} className="flex gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={keep.has(item.id)}
                  onChange={(event) => toggle(item.id, event.target.checked)}
                />
                Keep {item.name}
              </label>
            ))}
          </fieldset>
        )}
        {refill.faults.length > 0 && <Names title="Cannot be read" names={refill.faults} />}
      </div>
      {apply.isError && (
        <p className="text-error" role="alert">
          {apply.error.message}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" className="btn btn-sm btn-ghost" onClick={onBack}>
          Back
        </button>
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={apply.isPending}
          onClick={() => apply.mutate()}
        >
          Fill it again
        </button>
      </div>
    </div>
  );
}

function Names({ title, names }: { readonly title: string; readonly names: readonly string[] }) {
  if (names.length === 0) return null;
  return (
    <section>
      <h3 className="font-semibold">
        {title}: {names.length}
      </h3>
      <ul className="faint">
        {names.map((name, at) => (
          <li key={`${name}-${at}`}>{name}</li>
        ))}
      </ul>
    </section>
  );
}
