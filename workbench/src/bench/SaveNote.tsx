import { useEffect, useRef } from 'react';
import type { EditBody } from '../api/client';
import { settingsOf, useBench } from './context';
import { find, nameOf, valueAt } from './document';

/** How things stand between the screen and the server, said as it is. */
export function SaveNote() {
  const { now, session } = useBench();
  const { save } = now;
  return (
    <div className="mr-1 flex items-center" aria-live="polite">
      {save.kind === 'saved' && <span className="text-success">saved</span>}
      {save.kind === 'saving' && <span className="faint">saving…</span>}
      {save.kind === 'offline' && (
        <span className="text-warning" title="The server cannot be reached; it is tried again.">
          offline: {save.kept === 1 ? '1 change' : `${save.kept} changes`} kept here
        </span>
      )}
      {save.kind === 'conflict' && <span className="text-error">conflict</span>}
      {save.kind === 'overtaken' && (
        <button
          type="button"
          className="link max-w-96 truncate text-error"
          title={save.why}
          onClick={() => session.dismiss()}
        >
          {save.why}
        </button>
      )}
      {save.kind === 'failed' && <Failed kept={save.kept} why={save.why} />}
      {save.kind === 'refused' && (
        <button
          type="button"
          className="link max-w-96 truncate text-error"
          title={save.why}
          onClick={() => session.dismiss()}
        >
          not taken: {save.why}
        </button>
      )}
      {save.kind === 'conflict' && (
        <Conflict edits={save.edits} newer={save.newer.document} why={save.why} />
      )}
    </div>
  );
}

/** The server failed at a change again and again: whoever made it says what becomes of it. */
function Failed({ kept, why }: { readonly kept: number; readonly why: string }) {
  const { session } = useBench();
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-labelledby="failed-title"
      onCancel={(event) => event.preventDefault()}
    >
      <div className="modal-box flex flex-col gap-3">
        <h2 id="failed-title" className="font-serif text-xl">
          The server could not take a change
        </h2>
        <p>{why}</p>
        <p>
          It was tried three times.{' '}
          {kept === 1
            ? 'The change is kept in this browser.'
            : `It and ${kept - 1} more are kept in this browser.`}
        </p>
        <div className="flex justify-end gap-2">
          <button type="button" className="btn btn-ghost" onClick={() => session.again(true)}>
            Let this change go
          </button>
          <button type="button" className="btn btn-primary" onClick={() => session.again(false)}>
            Try again
          </button>
        </div>
      </div>
    </dialog>
  );
}

interface ConflictProps {
  readonly edits: readonly EditBody[];
  readonly newer: Parameters<typeof find>[0];
  readonly why: string;
}

/** Two windows changed the same thing: both values stand here, and one is chosen. */
function Conflict({ edits, newer, why }: ConflictProps) {
  const { session, catalogue } = useBench();
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const words = (value: unknown) =>
    value === undefined || value === null || value === '' ? 'nothing' : String(value);
  const rows = edits.flatMap((edit) => {
    const node = find(newer, edit.node ?? '')?.node;
    if (edit.type !== 'SetValue' || !node) return [];
    const setting = settingsOf(catalogue, node.type).find((each) => each.id === edit.setting);
    return {
      key: `${edit.node}/${edit.setting}/${edit.band}`,
      what: `${setting?.label ?? edit.setting} of ${nameOf(node)}${edit.band ? `, ${edit.band}` : ''}`,
      mine: words(edit.value),
      theirs: words(valueAt(newer, edit)),
    };
  });
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-labelledby="conflict-title"
      onCancel={(event) => event.preventDefault()}
    >
      <div className="modal-box flex flex-col gap-3">
        <h2 id="conflict-title" className="font-serif text-xl">
          Changed in two windows
        </h2>
        {rows.length === 0 && <p>{why}</p>}
        {rows.map((row) => (
          <dl key={row.key} className="conflict-row">
            <dt>{row.what}</dt>
            <dd>
              <span className="faint">here</span> {row.mine}
            </dd>
            <dd>
              <span className="faint">there</span> {row.theirs}
            </dd>
          </dl>
        ))}
        <div className="flex justify-end gap-2">
          <button type="button" className="btn btn-ghost" onClick={() => session.resolve(false)}>
            Take the other
          </button>
          <button type="button" className="btn btn-primary" onClick={() => session.resolve(true)}>
            Keep mine
          </button>
        </div>
      </div>
    </dialog>
  );
}
