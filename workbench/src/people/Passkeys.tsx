import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type PasskeyLine } from '../api/client';
import { called } from './browser';
import { useMe } from './me';
import { knowsPasskeys, makePasskey } from './passkey';

const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

/** What lets one in by one's own device. */
export function Passkeys() {
  const me = useMe();
  if (!me || me.id === '') return null;
  return (
    <section aria-label="Passkeys">
      <h3>Passkeys</h3>
      <p className="faint">
        Your device lets you in, by what unlocks it: nothing to remember, and nothing that could be
        typed at a wrong address.
      </p>
      {me.passkeys ? <Mine /> : <Nameless />}
    </section>
  );
}

/** Why there can be none. */
function Nameless() {
  return (
    <p className="faint">
      A passkey belongs to a name, and this server is called <code>{location.host}</code>. Whoever
      runs it gives it one (<code>GIOSTRA_BENCH_ORIGIN</code>, as in{' '}
      <code>https://bench.studio.example</code>).
    </p>
  );
}

function Mine() {
  const id = useId();
  const queries = useQueryClient();
  const [name, setName] = useState(() => called(navigator.userAgent));
  const again = () => queries.invalidateQueries({ queryKey: ['me', 'passkeys'] });
  const all = useQuery({
    queryKey: ['me', 'passkeys'],
    queryFn: () => ask(api.GET('/api/me/passkeys')),
  });
  const make = useMutation({ mutationFn: () => makePasskey(name), onSuccess: again });
  const end = useMutation({
    mutationFn: (passkey: string) =>
      ask(api.DELETE('/api/me/passkeys/{passkey}', { params: { path: { passkey } } })),
    onSuccess: () => {
      make.reset();
      return again();
    },
  });
  const wrong = all.error ?? make.error ?? end.error;
  return (
    <>
      <ul className="who-is-in-list">
        {all.data?.map((each: PasskeyLine) => (
          <li key={each.id}>
            <span>
              {each.name}{' '}
              <span className="faint">{each.copied ? 'on several devices' : 'on one device'}</span>
            </span>
            <span className="faint">
              {each.usedAt
                ? `last used ${when.format(new Date(each.usedAt))}`
                : `made ${when.format(new Date(each.madeAt))}, not used yet`}
            </span>
            <button
              type="button"
              className="tape-chip"
              aria-label={`End the passkey ${each.name}`}
              onClick={() => end.mutate(each.id)}
            >
              End
            </button>
          </li>
        ))}
      </ul>
      {knowsPasskeys ? (
        <form
          className="who-is-in-new"
          onSubmit={(event) => {
            event.preventDefault();
            if (!make.isPending) make.mutate();
          }}
        >
          <label htmlFor={`${id}-name`}>
            What you call it
            <input
              id={`${id}-name`}
              className="input input-sm"
              maxLength={80}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <button type="submit" className="btn btn-sm btn-primary" aria-disabled={make.isPending}>
            {make.isPending ? 'Your device asks you…' : 'Make a passkey'}
          </button>
        </form>
      ) : (
        <p className="faint">This browser knows no passkeys; a newer one does.</p>
      )}
      {make.isSuccess && (
        <p role="status" className="text-success">
          It is kept: from now on this device lets you in.
        </p>
      )}
      {wrong && (
        <p role="alert" className="text-error">
          {wrong.message}
        </p>
      )}
    </>
  );
}
