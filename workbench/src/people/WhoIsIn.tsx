import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { KeyRound } from 'lucide-react';
import { useId, useState } from 'react';
import { api, ask, type SessionLine, type TokenLine } from '../api/client';
import { Dialog, useClose } from '../ui/Dialog';
import { called } from './browser';
import { Everybody } from './Everybody';
import { Passkeys } from './Passkeys';
import { You } from './You';

const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });
const day = new Intl.DateTimeFormat('en', { dateStyle: 'medium' });

/** Opens what there is of ways in. */
export function WhoIsInButton() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-ghost btn-sm" onClick={() => setOpen(true)}>
        <KeyRound size={16} aria-hidden />
        <span className="max-sm:sr-only">Who is in</span>
      </button>
      {open && (
        <Dialog label="Who is in" className="who-is-in" onClose={() => setOpen(false)}>
          <WhoIsIn />
        </Dialog>
      )}
    </>
  );
}

function WhoIsIn() {
  const close = useClose();
  return (
    <>
      <div className="who-is-in-head">
        <h2 className="font-serif text-xl">Who is in</h2>
        <button type="button" className="tape-chip" onClick={close}>
          Close
        </button>
      </div>
      <You />
      <Passkeys />
      <Everybody />
      <Browsers />
      <Tokens />
    </>
  );
}

function Browsers() {
  const queries = useQueryClient();
  const all = useQuery({
    queryKey: ['me', 'sessions'],
    queryFn: () => ask(api.GET('/api/me/sessions')),
  });
  const end = useMutation({
    mutationFn: (session: string) =>
      ask(api.DELETE('/api/me/sessions/{session}', { params: { path: { session } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['me', 'sessions'] }),
  });
  return (
    <section aria-label="Browsers">
      <h3>Browsers</h3>
      <p className="faint">
        Each stays in until it has not been used for a month, or is ended here.
      </p>
      <ul className="who-is-in-list">
        {all.data?.map((each: SessionLine) => (
          <li key={each.id}>
            <span title={each.browser}>
              {called(each.browser)}
              {each.own && <b> (this one)</b>}
            </span>
            <span className="faint">last used {when.format(new Date(each.used))}</span>
            <button
              type="button"
              className="tape-chip"
              aria-label={`End ${called(each.browser)}${each.own ? ', this one' : ''}`}
              onClick={() => end.mutate(each.id)}
            >
              End
            </button>
          </li>
        ))}
      </ul>
      {(all.error ?? end.error) && (
        <p role="alert" className="text-error">
          {(all.error ?? end.error)?.message}
        </p>
      )}
    </section>
  );
}

/** How long one works, in days; for ever as the last. */
const LIVES = [
  ['30', '30 days'],
  ['365', 'a year'],
  ['', 'until it is ended'],
] as const;

function Tokens() {
  const queries = useQueryClient();
  const id = useId();
  const [name, setName] = useState('');
  const [changes, setChanges] = useState(false);
  const [days, setDays] = useState('30');
  const again = () => queries.invalidateQueries({ queryKey: ['me', 'tokens'] });
  const all = useQuery({
    queryKey: ['me', 'tokens'],
    queryFn: () => ask(api.GET('/api/me/tokens')),
  });
  const make = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/me/tokens', {
          body: { name, changes, ...(days === '' ? {} : { days: Number(days) }) },
        }),
      ),
    onSuccess: () => {
      setName('');
      return again();
    },
  });
  const end = useMutation({
    mutationFn: (token: string) =>
      ask(api.DELETE('/api/me/tokens/{token}', { params: { path: { token } } })),
    onSuccess: again,
  });
  const wrong = all.error ?? make.error ?? end.error;
  return (
    <section aria-label="Tokens">
      <h3>Tokens</h3>
      <p className="faint">
        For programs, such as a build that must not go on while a page breaks:{' '}
        <code>GIOSTRA_TOKEN=… ./giostra check PAGE</code>
      </p>
      <ul className="who-is-in-list">
        {all.data?.map((each: TokenLine) => (
          <li key={each.id}>
            <span>
              {each.name} <span className="faint">{each.changes ? 'may change all' : 'looks'}</span>
            </span>
            <span className="faint">
              {each.usedAt ? `last used ${when.format(new Date(each.usedAt))}` : 'not used yet'}
              {each.until ? `, until ${day.format(new Date(each.until))}` : ''}
            </span>
            <button
              type="button"
              className="tape-chip"
              aria-label={`End ${each.name}`}
              onClick={() => end.mutate(each.id)}
            >
              End
            </button>
          </li>
        ))}
      </ul>
      {make.data && (
        <p className="who-is-in-made" role="status">
          <span>It is shown this once; put it where your program finds it.</span>
          <code data-token>{make.data.token}</code>
        </p>
      )}
      <form
        className="who-is-in-new"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate();
        }}
      >
        <label htmlFor={`${id}-name`}>
          What it is for
          <input
            id={`${id}-name`}
            className="input input-sm"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label htmlFor={`${id}-days`}>
          It works
          <select
            id={`${id}-days`}
            className="select select-sm"
            value={days}
            onChange={(event) => setDays(event.target.value)}
          >
            {LIVES.map(([each, label]) => (
              <option key={each} value={each}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <label className="who-is-in-may">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={changes}
            onChange={(event) => setChanges(event.target.checked)}
          />
          It may change and publish
        </label>
        <button type="submit" className="btn btn-sm btn-primary">
          Make a token
        </button>
      </form>
      {wrong && (
        <p role="alert" className="text-error">
          {wrong.message}
        </p>
      )}
    </section>
  );
}
