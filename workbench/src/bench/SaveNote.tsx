import { type ReactNode, useEffect, useId, useRef } from 'react';
import type { EditBody } from '../api/client';
import { labelOf, useBench } from './context';
import { find, nameOf, valueAt } from './document';
import { keyOf } from './keys';

/** How things stand between the screen and the server, said as it is. */
export function SaveNote() {
  const { now, session } = useBench();
  const { save } = now;
  return (
    <div className="mr-1 flex items-center" aria-live="polite">
      {save.kind === 'saved' && <span className="text-success">saved</span>}
      {save.kind === 'saving' && <span className="faint">saving…</span>}
      {save.kind === 'offline' && (
        <Kept kept={save.kept} why="The server cannot be reached; it is tried again.">
          offline
        </Kept>
      )}
      {save.kind === 'waiting' && (
        <Kept kept={save.kept} why={save.why}>
          waiting for the server
        </Kept>
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

interface KeptProps {
  readonly kept: number;
  readonly why: string;
  readonly children: ReactNode;
}

/** What is not sent yet. The bar has no room for it: it hangs beneath. */
function Kept({ kept, why, children }: KeptProps) {
  return (
    <span className="save-kept" title={why}>
      {children}: {kept === 1 ? '1 change' : `${kept} changes`} kept here
    </span>
  );
}

interface QuestionProps {
  readonly title: string;
  readonly children: ReactNode;
  /** Two ways to answer it; the second one is nearer at hand. */
  readonly answers: readonly (readonly [string, () => void])[];
}

/** A question that has to be answered before anything goes on: Escape does not. */
function Question({ title, children, answers }: QuestionProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-labelledby={id}
      onCancel={(event) => event.preventDefault()}
    >
      <div className="modal-box flex flex-col gap-3">
        <h2 id={id} className="font-serif text-xl">
          {title}
        </h2>
        {children}
        <div className="flex justify-end gap-2">
          {answers.map(([says, answer], at) => (
            <button
              key={says}
              type="button"
              className={`btn ${at === 0 ? 'btn-ghost' : 'btn-primary'}`}
              onClick={answer}
            >
              {says}
            </button>
          ))}
        </div>
      </div>
    </dialog>
  );
}

/** The server failed at a change again and again: whoever made it says what becomes of it. */
function Failed({ kept, why }: { readonly kept: number; readonly why: string }) {
  const { session } = useBench();
  return (
    <Question
      title="The server could not take a change"
      answers={[
        ['Let this change go', () => session.again(true)],
        ['Try again', () => session.again(false)],
      ]}
    >
      <p>{why}</p>
      <p>
        It was tried three times.{' '}
        {kept === 1
          ? 'The change is kept in this browser.'
          : `It and ${kept - 1} more are kept in this browser.`}
      </p>
    </Question>
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
  const words = (value: unknown) =>
    value === undefined || value === null || value === '' ? 'nothing' : String(value);
  const rows = edits.flatMap((edit) => {
    const node = find(newer, edit.node ?? '')?.node;
    const key = keyOf(edit);
    if (!key || !node) return [];
    const label = labelOf(catalogue, node.type, key);
    return {
      key: `${edit.node}/${key}/${edit.band}`,
      what: `${label} of ${nameOf(node)}${edit.band ? `, ${edit.band}` : ''}`,
      mine: words(edit.value),
      theirs: words(valueAt(newer, edit)),
    };
  });
  return (
    <Question
      title="Changed in two windows"
      answers={[
        ['Take the other', () => session.resolve(false)],
        ['Keep mine', () => session.resolve(true)],
      ]}
    >
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
    </Question>
  );
}
