import { Fingerprint } from 'lucide-react';
import { useId, useState } from 'react';
import { api, ask, whoIsIn } from '../api/client';
import { useMe } from './me';
import { knowsPasskeys, showPasskey } from './passkey';

/** A passkey, or address and password, for whoever has them. */
export function SignIn({ onIn }: { onIn(): Promise<void> }) {
  const id = useId();
  const [address, setAddress] = useState('');
  const [password, setPassword] = useState('');
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState<'' | 'password' | 'passkey'>('');
  const me = useMe();
  const passkeys = me?.passkeys && knowsPasskeys;
  const come = async (by: 'password' | 'passkey') => {
    if (busy !== '') return;
    setBusy(by);
    setWrong('');
    try {
      if (by === 'passkey') {
        await showPasskey();
      } else {
        await whoIsIn();
        await ask(api.POST('/api/sign-ins', { body: { address, password } }));
      }
      await onIn();
    } catch (problem) {
      setWrong((problem as Error).message);
    } finally {
      setBusy('');
    }
  };
  return (
    <form
      className="way-in-form"
      aria-label="Sign in"
      onSubmit={(event) => {
        event.preventDefault();
        void come('password');
      }}
    >
      {passkeys && <p>If you have been in before:</p>}
      {passkeys && (
        <p className="way-in-passkey">
          <button
            type="button"
            className="btn btn-outline"
            aria-disabled={busy !== ''}
            onClick={() => void come('passkey')}
          >
            <Fingerprint size={18} aria-hidden />
            {busy === 'passkey' ? 'Your device asks you…' : 'Sign in with a passkey'}
          </button>
        </p>
      )}
      <p>
        {passkeys ? 'Or with the password that you have chosen:' : 'If you have chosen a password:'}
      </p>
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
        <button type="submit" className="btn btn-primary" aria-disabled={busy !== ''}>
          {busy === 'password' ? 'Signing in…' : 'Sign in'}
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
