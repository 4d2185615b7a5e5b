import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Navigate, useLocation } from 'react-router';
import { SIGNED_IN, SIGNED_OUT } from '../api/client';
import { Brand } from '../Brand';
import { comeIn, keyOf, meQuery, named } from './entering';
import { SignIn } from './SignIn';

/** The bench, for whoever is in; for others what they need to come in. */
export function WayIn({ children }: { readonly children: ReactNode }) {
  const queries = useQueryClient();
  const here = useLocation().pathname;
  const [out, setOut] = useState(false);
  const me = useQuery(meQuery);
  useEffect(() => {
    const hear = () => setOut(true);
    // An address that is pasted over that of the page that is open loads nothing anew.
    const come = () => {
      if (named()) void queries.refetchQueries({ queryKey: ['me'] });
    };
    addEventListener(SIGNED_OUT, hear);
    addEventListener('hashchange', come);
    return () => {
      removeEventListener(SIGNED_OUT, hear);
      removeEventListener('hashchange', come);
    };
  }, [queries]);
  const again = async () => {
    await queries.refetchQueries({ queryKey: ['me'] });
    setOut(false);
    dispatchEvent(new Event(SIGNED_IN));
    await queries.invalidateQueries();
  };
  if (me.isPending) return null;
  if (me.isError) {
    return (
      <main className="way-in">
        <Brand />
        <p role="alert" className="text-error">
          {me.error.message}
        </p>
        <p>
          <button type="button" className="btn btn-sm" onClick={() => void me.refetch()}>
            Try again
          </button>
        </p>
      </main>
    );
  }
  if (!me.data.in) {
    return (
      <main className="way-in">
        <Brand />
        {here === '/review' ? (
          <Ended why={me.data.why} />
        ) : (
          <>
            <h1 className="font-serif text-3xl">This browser is not in yet</h1>
            {me.data.passkeys && <SignIn onIn={again} />}
            <Key key={me.data.why} first={!me.data.passkeys} why={me.data.why} onIn={again} />
            {!me.data.passkeys && <SignIn onIn={again} />}
          </>
        )}
      </main>
    );
  }
  if (me.data.review != null && here !== '/review') {
    return <Navigate to="/review" replace />;
  }
  return (
    <>
      {children}
      {out && here === '/review' && (
        <aside className="way-in-bar" aria-label="The link has ended">
          <p role="alert">
            <b>The link that you came by has ended.</b> Ask whoever sent it for another.
          </p>
        </aside>
      )}
      {out && here !== '/review' && (
        // It takes the keyboard from nobody: what somebody is in the midst of goes on behind it.
        <aside className="way-in-bar" aria-label="This browser is out">
          <p role="alert">
            <b>This browser is out.</b> It was ended, or nobody used it for a month. What you have
            changed since is kept here and is sent as soon as you are in again.
          </p>
          <Key why="" onIn={again} />
          {(me.data.password || me.data.passkeys) && <SignIn onIn={again} />}
        </aside>
      )}
    </>
  );
}

/** What a guest is told whose link opens nothing. */
function Ended({ why }: { readonly why: string }) {
  return (
    <>
      <h1 className="font-serif text-3xl">This link opens nothing</h1>
      <p>
        It has ended, or a part of it was lost on its way. Open the whole address that you were
        sent, or ask whoever sent it for another.
      </p>
      {why !== '' && (
        <p role="alert" className="text-error">
          {why}
        </p>
      )}
    </>
  );
}

interface KeyProps {
  /** Whether one comes here to type it. */
  readonly first?: boolean;
  readonly why: string;
  readonly onIn: () => Promise<void>;
}

/** Takes a key. */
function Key({ first = false, why, onIn }: KeyProps) {
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState(why);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (first) field.current?.focus();
  }, [first]);
  const come = async () => {
    try {
      await comeIn(keyOf(typed));
      await onIn();
    } catch (problem) {
      setWrong((problem as Error).message);
    }
  };
  return (
    <form
      className="way-in-form"
      onSubmit={(event) => {
        event.preventDefault();
        void come();
      }}
    >
      <p>
        On the machine that Giostra runs on, <code>./giostra start</code> prints an address; whoever
        was asked in was sent one. It lets one browser in, and that browser stays in. Open it here,
        or paste it:
      </p>
      <label className="sr-only" htmlFor="way-in-key">
        Address or key
      </label>
      <span className="way-in-row">
        <input
          id="way-in-key"
          ref={field}
          className="input"
          autoComplete="off"
          spellCheck={false}
          placeholder="http://…/#key=…"
          value={typed}
          aria-invalid={wrong !== ''}
          aria-describedby={wrong === '' ? undefined : 'way-in-wrong'}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button type="submit" className="btn btn-primary">
          Come in
        </button>
      </span>
      {wrong !== '' && (
        <p id="way-in-wrong" role="alert" className="text-error">
          {wrong}
        </p>
      )}
    </form>
  );
}
