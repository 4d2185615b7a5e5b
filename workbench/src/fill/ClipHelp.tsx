import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Camera, ImageDown } from 'lucide-react';
import { useState } from 'react';
import { api, ask, type NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { text } from '../bench/document';
import { FrameGrab } from './FrameGrab';

/** What can be done for a clip besides naming it: a poster from a frame, what its host says. */
export function ClipHelp({ item }: { readonly item: NodeBody }) {
  const from = text(item, 'clipFrom') || 'own';
  if (from === 'own') return <OwnClip item={item} />;
  return text(item, 'clipAddress') === '' ? null : <Address item={item} hosted={from === 'host'} />;
}

function OwnClip({ item }: { readonly item: NodeBody }) {
  const [open, setOpen] = useState(false);
  const clip = text(item, 'clip') || text(item, 'clip2');
  if (clip === '') return null;
  return (
    <div className="clip-help">
      <button type="button" className="btn btn-sm" onClick={() => setOpen(true)}>
        <Camera size={15} aria-hidden /> Poster from a frame
      </button>
      <span className="faint">
        {text(item, 'picture') === ''
          ? 'The clip has no poster: phones show an empty place before it starts.'
          : 'Another frame takes the place of the poster.'}
      </span>
      {open && <FrameGrab item={item} clip={clip} onClose={() => setOpen(false)} />}
    </div>
  );
}

/** What the host of an address says of it; what to make of one that no host knows. */
function Address({ item, hosted }: { readonly item: NodeBody; readonly hosted: boolean }) {
  const { session, page } = useBench();
  const queries = useQueryClient();
  const address = text(item, 'clipAddress');
  const look = useQuery({
    queryKey: ['embed', address],
    queryFn: () => ask(api.POST('/api/embeds', { body: { address } })),
    staleTime: 60_000,
    retry: false,
  });
  const poster = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/sites/{siteId}/embeds/poster', {
          params: { path: { siteId: page.siteId } },
          body: { address },
        }),
      ),
    onSuccess: async (media) => {
      await queries.invalidateQueries({ queryKey: ['media', page.siteId] });
      session.set(item.id, 'picture', '', media.id);
    },
  });
  if (look.isError) return <p className="clip-help text-error">{look.error.message}</p>;
  if (!look.data) return <p className="clip-help faint">Asking who knows this address…</p>;
  const found = look.data;
  const other = found.known && !hosted ? 'host' : !found.known && hosted ? 'address' : '';
  return (
    <div className="clip-help">
      <p className={found.known === hosted ? '' : 'text-error'}>
        {found.said}{' '}
        {found.title !== '' && (
          <>
            <b>{found.title}</b>
            {found.author !== '' && `, ${found.author}`}
            {found.width > 0 && `, ${found.width} × ${found.height}`}
          </>
        )}
      </p>
      {other !== '' && (
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => session.set(item.id, 'clipFrom', '', other)}
        >
          {other === 'host' ? `Play it with ${found.host}’s player` : 'Try it as a file'}
        </button>
      )}
      {found.picture && (
        <button
          type="button"
          className="btn btn-sm"
          disabled={poster.isPending}
          onClick={() => poster.mutate()}
        >
          <ImageDown size={15} aria-hidden />{' '}
          {poster.isPending ? 'Fetching…' : 'Take its picture as poster'}
        </button>
      )}
      {found.title !== '' && text(item, 'heading') === '' && (
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => session.set(item.id, 'heading', '', found.title)}
        >
          Take its title
        </button>
      )}
      {!hosted && (
        <p className="faint">
          No frame can be taken of a file on another server, unless that server allows it; choose a
          poster from the library.
        </p>
      )}
      {poster.isError && (
        <p className="text-error" role="alert">
          {poster.error.message}
        </p>
      )}
    </div>
  );
}
