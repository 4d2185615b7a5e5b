import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask } from '../api/client';
import { useMe } from './me';

/** What one is called, and what one signs in with. */
export function You() {
  const me = useMe();
  return me && me.id !== '' ? <Known key={me.id} /> : null;
}

function Known() {
  const me = useMe();
  const id = useId();
  const queries = useQueryClient();
  const again = () => queries.invalidateQueries({ queryKey: ['me'] });
  const [name, setName] = useState(me?.name ?? '');
  const [address, setAddress] = useState(me?.address ?? '');
  const [before, setBefore] = useState('');
  const [password, setPassword] = useState('');
  const rename = useMutation({
    mutationFn: () => ask(api.PUT('/api/me', { body: { name, address } })),
    onSuccess: again,
  });
  const choose = useMutation({
    mutationFn: () => ask(api.PUT('/api/me/password', { body: { password, before } })),
    onSuccess: () => {
      setBefore('');
      setPassword('');
      return again();
    },
  });
  return (
    <section aria-label="You">
      <h3>You</h3>
      <form
        className="who-is-in-new"
        onSubmit={(event) => {
          event.preventDefault();
          rename.mutate();
        }}
      >
        <label htmlFor={`${id}-name`}>
          Your name
          <input
            id={`${id}-name`}
            className="input input-sm"
            autoComplete="name"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label htmlFor={`${id}-address`}>
          Your address for mail
          <input
            id={`${id}-address`}
            className="input input-sm"
            type="email"
            autoComplete="username"
            value={address}
            onChange={(event) => setAddress(event.target.value)}
          />
        </label>
        <button type="submit" className="btn btn-sm">
          Keep
        </button>
      </form>
      <form
        className="who-is-in-new"
        onSubmit={(event) => {
          event.preventDefault();
          choose.mutate();
        }}
      >
        {me?.password && (
          <label htmlFor={`${id}-before`}>
            Password until now
            <input
              id={`${id}-before`}
              className="input input-sm"
              type="password"
              autoComplete="current-password"
              value={before}
              onChange={(event) => setBefore(event.target.value)}
            />
          </label>
        )}
        <label htmlFor={`${id}-password`}>
          {me?.password ? 'Another password' : 'A password, 12 characters or more'}
          <input
            id={`${id}-password`}
            className="input input-sm"
            type="password"
            autoComplete="new-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </label>
        <button type="submit" className="btn btn-sm" disabled={password === ''}>
          Choose it
        </button>
      </form>
      {(rename.isSuccess || choose.isSuccess) && (
        <p role="status" className="text-success">
          {choose.isSuccess
            ? 'The password is chosen; all your other browsers are out.'
            : 'It is kept.'}
        </p>
      )}
      {(rename.error ?? choose.error) && (
        <p role="alert" className="text-error">
          {(rename.error ?? choose.error)?.message}
        </p>
      )}
    </section>
  );
}
