import { useId, useState } from 'react';
import { api, ask, whoIsIn } from '../api/client';

/** Address and password, for whoever has them. */
export function SignIn({ onIn }: { onIn(): Promise<void> }) {
  const id = useId();
  const [address, setAddress] = useState('');
  const [password, setPassword] = useState('');
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const come = async () => {
    setBusy(true);
    try {
      await whoIsIn();
      await ask(api.POST('/api/sign-ins', { body: { address, password } }));
      await onIn();
    } catch (problem) {
      setWrong((problem as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      className="way-in-form"
      aria-label="Sign in"
      onSubmit={(event) => {
        event.preventDefault();
        if (!busy) void come();
      }}
    >
      <p>If you have chosen a password:</p>
      <span className="way-in-row">
        <label htmlFor={`${id}-address`}>
          Address
          <input
            id={`${id}-address`}
            className="input"
            type="email"
            autoComplete="username"
            required
            value={address}
            onChange={(event) => setAddress(event.target.value)}
          />
        </label>
        <label htmlFor={`${id}-password`}>
          Password
          <input
            id={`${id}-password`}
            className="input"
            type="password"
            autoComplete="current-password"
            required
            value={password}
            aria-invalid={wrong !== ''}
            aria-describedby={wrong === '' ? undefined : `${id}-wrong`}
            onChange={(event) => setPassword(event.target.value)}
          />
        </label>
        <button type="submit" className="btn btn-primary" aria-disabled={busy}>
          {busy ? 'Signing in…' : 'Sign in'}
        </button>
      </span>
      {wrong !== '' && (
        <p id={`${id}-wrong`} role="alert" className="text-error">
          {wrong}
        </p>
      )}
    </form>
  );
}
