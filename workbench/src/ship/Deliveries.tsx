import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Folder, GitBranch, Globe, Package, Send, Trash2 } from 'lucide-react';
import { useId, useState } from 'react';
import { api, ask, type Destination, type DestinationAsked } from '../api/client';
import { useBench } from '../bench/context';
import { size } from '../media/format';
import { AddPlace } from './AddPlace';

const POLL_MS = 1_000;

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const clock = new Intl.DateTimeFormat('en-GB', { timeStyle: 'medium' });

const SIGNS = { folder: Folder, s3: Package, git: GitBranch, webdav: Globe } as const;

const onItsWay = (place: Destination) =>
  place.delivery?.state === 'waits' || place.delivery?.state === 'sends';

/** Places of the site's own that releases are sent to, and what of this page is there. */
export function Deliveries() {
  const { page } = useBench();
  const queries = useQueryClient();
  const [adding, setAdding] = useState(false);
  const where = { params: { path: { id: page.id } } };
  const key = ['destinations', page.id];
  const found = useQuery({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/pages/{id}/destinations', where)),
    refetchInterval: ({ state }) => (state.data?.places.some(onItsWay) ? POLL_MS : false),
  });
  const read = () => queries.invalidateQueries({ queryKey: key });
  const add = useMutation({
    mutationFn: (body: DestinationAsked) =>
      ask(
        api.POST('/api/sites/{siteId}/destinations', {
          params: { path: { siteId: page.siteId } },
          body,
        }),
      ),
    onSuccess: () => {
      setAdding(false);
      return read();
    },
  });
  if (!found.data) return null;
  const { places, tries } = found.data;
  return (
    <div className="ship-places">
      <h2 className="ship-head">To a place of your own</h2>
      <p className="faint">
        A folder, a store, a repository or a web server. What is new goes first and the page last,
        so that visitors there have one whole release at any moment.
      </p>
      {places.length > 0 && (
        <ul>
          {places.map((place) => (
            <Place key={place.id} place={place} onChanged={read} />
          ))}
        </ul>
      )}
      {adding ? (
        <AddPlace
          tries={tries}
          pending={add.isPending}
          problem={add.error?.message ?? ''}
          onAdd={(asked) => add.mutate(asked)}
          onLeave={() => {
            add.reset();
            setAdding(false);
          }}
        />
      ) : (
        <p className="ship-actions">
          <button type="button" className="btn btn-sm" onClick={() => setAdding(true)}>
            Add a place…
          </button>
        </p>
      )}
    </div>
  );
}

/** One of them: what is there, and what can be done. */
function Place({ place, onChanged }: { readonly place: Destination; onChanged(): unknown }) {
  const { page } = useBench();
  const id = useId();
  const at = { siteId: page.siteId, destination: place.id };
  const send = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/pages/{id}/destinations/{destination}/deliveries', {
          params: { path: { id: page.id, destination: place.id } },
        }),
      ),
    onSuccess: onChanged,
  });
  const follow = useMutation({
    mutationFn: (follows: boolean) =>
      ask(
        api.PUT('/api/sites/{siteId}/destinations/{destination}/follows', {
          params: { path: at },
          body: { follows },
        }),
      ),
    onSuccess: onChanged,
  });
  const drop = useMutation({
    mutationFn: () =>
      ask(api.DELETE('/api/sites/{siteId}/destinations/{destination}', { params: { path: at } })),
    onSuccess: onChanged,
  });
  const [sure, setSure] = useState(false);
  const Sign = SIGNS[place.sort as keyof typeof SIGNS] ?? Globe;
  const failed = send.error ?? follow.error ?? drop.error;
  return (
    <li className="ship-place" aria-labelledby={`${id}name`}>
      <p className="ship-place-name">
        <Sign size={16} aria-hidden />
        <b id={`${id}name`}>{place.name}</b>
        <span className="faint">
          {place.address}
          {place.place !== '' && `, ${place.place}`}, {place.path}
        </span>
      </p>
      <State place={place} />
      <p className="ship-actions">
        <button
          type="button"
          className="btn btn-xs"
          disabled={send.isPending || onItsWay(place)}
          onClick={() => send.mutate()}
        >
          <Send size={13} aria-hidden /> Send the live release
        </button>
        <label className="ship-place-follows">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={place.follows}
            onChange={(event) => follow.mutate(event.target.checked)}
          />
          Each release goes there
        </label>
        {sure ? (
          <>
            <button
              type="button"
              className="btn btn-xs"
              disabled={drop.isPending}
              onClick={() => drop.mutate()}
            >
              Forget it; what is there stays
            </button>
            <button type="button" className="btn btn-xs btn-ghost" onClick={() => setSure(false)}>
              Keep it
            </button>
          </>
        ) : (
          <button
            type="button"
            className="tool"
            aria-label={`Forget ${place.name}`}
            title="Forget this place"
            onClick={() => setSure(true)}
          >
            <Trash2 size={14} aria-hidden />
          </button>
        )}
      </p>
      {failed && (
        <p role="alert" className="text-error">
          {failed.message}
        </p>
      )}
    </li>
  );
}

/** How far it is, in words and as a bar. */
function State({ place }: { readonly place: Destination }) {
  const { delivery } = place;
  if (!delivery) return <p className="faint">Nothing of this page was sent there yet.</p>;
  const { release, there } = delivery;
  const before = there > 0 && there !== release ? ` Release ${there} is there meanwhile.` : '';
  if (delivery.state === 'done') {
    return (
      <p role="status">
        <span className="text-success">Release {release} is there</span>
        <span className="faint">
          {delivery.ended && `, since ${when.format(new Date(delivery.ended))}`}; {delivery.files}{' '}
          files, {size(delivery.bytes)}
        </span>
      </p>
    );
  }
  if (delivery.state === 'failed') {
    return (
      <p role="alert" className="text-error">
        Release {release} could not be sent: {delivery.problem}
        {before}
      </p>
    );
  }
  return (
    <div role="status">
      <p>
        {delivery.state === 'waits'
          ? `Release ${release} is about to be sent.`
          : `Release ${release} is being sent: ${delivery.sent} of ${delivery.files} files.`}
        {before}
      </p>
      {delivery.problem !== '' && (
        <p className="text-error">
          {delivery.problem}{' '}
          {delivery.again && `It is tried again at ${clock.format(new Date(delivery.again))}.`}
        </p>
      )}
      {delivery.files > 0 && (
        <progress
          className="progress progress-primary"
          value={delivery.sent}
          max={delivery.files}
          aria-label={`Files of release ${release} that are at ${place.name}`}
        />
      )}
    </div>
  );
}
