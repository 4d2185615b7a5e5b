import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Was } from '../api/client';
import { Dialog, useClose } from '../ui/Dialog';
import { useBench } from './context';

const when = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });

const says: Readonly<Record<string, string>> = {
  made: 'The page was made',
  edit: 'A change',
  undo: 'A change was taken back',
  redo: 'A change was brought again',
  restore: 'An older revision came back',
  site: 'The site’s bands changed',
};

/** What the page was, revision by revision; one of them can come back. */
export function History({ onClose }: { onClose(): void }) {
  return (
    <Dialog label="History of the page" className="history" onClose={onClose}>
      <Revisions />
    </Dialog>
  );
}

function Revisions() {
  const { page } = useBench();
  const [chosen, setChosen] = useState(page.revision);
  const id = page.id;
  const all = useQuery({
    queryKey: ['revisions', id, page.revision],
    queryFn: () => ask(api.GET('/api/pages/{id}/revisions', { params: { path: { id } } })),
    staleTime: 0,
  });
  return (
    <>
      <h2 className="font-serif text-xl">History of the page</h2>
      {all.isError && <p className="text-error">{all.error.message}</p>}
      <div className="history-two">
        <ol aria-label="Revisions, newest first">
          {all.data?.map((each) => (
            <li key={each.number}>
              <button
                type="button"
                aria-current={each.number === chosen ? 'true' : undefined}
                data-first={each.number === page.revision || undefined}
                onClick={() => setChosen(each.number)}
              >
                <span className="tabular-nums">{each.number}</span>
                <span className="min-w-0">
                  {says[each.kind] ?? each.kind}
                  <span className="faint block">
                    {each.by && `${each.by}, `}
                    <time dateTime={each.createdAt}>{when.format(new Date(each.createdAt))}</time>
                  </span>
                </span>
              </button>
            </li>
          ))}
        </ol>
        <Chosen key={chosen} number={chosen} />
      </div>
    </>
  );
}

/** A revision as it was, what of the site was different, and the way back to it. */
function Chosen({ number }: { readonly number: number }) {
  const { session, page, catalogue } = useBench();
  const close = useClose();
  const [site, setSite] = useState(false);
  const newest = number === page.revision;
  const was = useQuery({
    queryKey: ['was', page.id, number, page.siteRevision],
    enabled: !newest,
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/revisions/{number}', {
          params: { path: { id: page.id, number } },
        }),
      ),
  });
  const restore = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/pages/{id}/restore', {
          params: { path: { id: page.id } },
          body: { revision: number, site, key: crypto.randomUUID() },
        }),
      ),
    onSuccess: async () => {
      await session.refresh();
      close();
    },
  });
  const src = `${catalogue.stage}/api/pages/${page.id}/preview/?revision=${number}`;
  return (
    <div className="history-one">
      <iframe src={src} title={`Revision ${number}`} tabIndex={-1} inert />
      {newest && <p className="faint">This is the page as it stands.</p>}
      {was.isError && <p className="text-error">{was.error.message}</p>}
      {was.data && <Differences was={was.data} site={site} onSite={setSite} />}
      {restore.isError && (
        <p className="text-error" role="alert">
          {restore.error.message}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" className="btn btn-ghost btn-sm" onClick={close}>
          Close
        </button>
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={newest || !was.data || restore.isPending}
          onClick={() => restore.mutate()}
        >
          Bring revision {number} back
        </button>
      </div>
    </div>
  );
}

interface DifferencesProps {
  readonly was: Was;
  readonly site: boolean;
  onSite(take: boolean): void;
}

/** What the site was then: it comes back with the page, or stays as it is. */
function Differences({ was, site, onSite }: DifferencesProps) {
  if (was.site.length === 0) {
    return <p className="faint">The site was then what it is now.</p>;
  }
  const words = (value: string) => (value === '' ? 'not set' : value);
  return (
    <div className="flex min-h-0 flex-col gap-2">
      <div className="history-site">
        <table>
          <caption className="text-left">The site was different then:</caption>
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Then</th>
              <th scope="col">Now</th>
            </tr>
          </thead>
          <tbody>
            {was.site.map((each) => (
              <tr key={`${each.what} ${each.band}`}>
                <th scope="row">
                  {each.what}
                  {each.band && <span className="faint">, {each.band}</span>}
                </th>
                <td>{words(each.then)}</td>
                <td>{words(each.now)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={site}
          onChange={(event) => onSite(event.target.checked)}
        />
        Bring back what the site was, too: on all its pages
      </label>
      {!site && was.gone.length > 0 && (
        <p className="faint">
          Its bands stay as they are, so{' '}
          {was.gone.length === 1 ? 'one value' : `${was.gone.length} values`} of then cannot come
          back: {was.gone.slice(0, 4).join('; ')}
          {was.gone.length > 4 && ' …'}
        </p>
      )}
    </div>
  );
}
