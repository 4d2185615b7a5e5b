import { Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { api, ask, type Hanger, type NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { looksOf, nameOf, newId, text } from '../bench/document';
import { usePageQuery } from '../bench/usePageQuery';
import { Drawn } from './Drawn';
import { useTrial } from './useTrial';

interface Props {
  readonly piece: NodeBody;
  onClose(): void;
}

/**
 * What a piece may wear, each drawn with the piece itself. Pointing at a look tries it on the
 * stage; a press wears it.
 */
export function Wardrobe({ piece, onClose }: Props) {
  const { page, session } = useBench();
  const wardrobe = usePageQuery({
    key: ['wardrobe', piece.id],
    read: () =>
      ask(
        api.GET('/api/pages/{id}/wardrobe', {
          params: { path: { id: page.id }, query: { piece: piece.id } },
        }),
      ),
  });
  const trial = useTrial();
  const [naming, setNaming] = useState(false);
  const list = useRef<HTMLUListElement>(null);
  const looks = wardrobe.data?.looks ?? [];
  const wear = (look: Hanger) => {
    if (look.worn) return;
    trial.keep();
    session.edit(look.wear);
  };
  return (
    <section
      className="wardrobe"
      aria-label={`Wardrobe of ${nameOf(piece)}`}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          onClose();
        }
      }}
    >
      <header>
        <h2>Wardrobe</h2>
        <p className="faint">
          Pointing at a look tries it on the stage, a press wears it. Departures stay.
        </p>
        {wardrobe.data?.held.map((held) => (
          <p key={held.node} className="wardrobe-held">
            {held.type === 'page' ? 'The page' : `The section ${held.name}`} holds {held.values}{' '}
            {held.values === 1 ? 'value' : 'values'} nearer than any look.{' '}
            <button type="button" className="link" onClick={() => session.edit(held.letGo)}>
              Let go
            </button>
          </p>
        ))}
        {naming ? (
          <KeepLook piece={piece} onDone={() => setNaming(false)} />
        ) : (
          <button
            type="button"
            className="btn btn-sm wardrobe-open"
            onClick={() => setNaming(true)}
          >
            Keep as a look…
          </button>
        )}
        <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
          Back to the board
        </button>
      </header>
      {wardrobe.isError && <p className="p-4 text-error">{wardrobe.error.message}</p>}
      {trial.error && <p className="p-4 text-error">Not tried on: {trial.error}</p>}
      <ul ref={list} onPointerLeave={trial.leave}>
        {looks.map((look) => (
          <li key={look.id} className={look.worn ? 'hanger hanger-worn' : 'hanger'}>
            <button
              type="button"
              className="hanger-wear"
              aria-pressed={look.worn}
              onPointerEnter={() => (look.worn ? trial.leave() : trial.tryOn(look.wear))}
              onFocus={() => (look.worn ? trial.leave() : trial.tryOn(look.wear))}
              onBlur={trial.leave}
              onClick={() => wear(look)}
            >
              <Drawn query={{ only: piece.id, wear: look.id }} />
              <span className="hanger-name">
                <b>{look.name || 'Untitled'}</b>
                {look.worn && <span className="hanger-now">worn</span>}
                {look.usual && <span className="hanger-now">usual</span>}
              </span>
              <span className="faint hanger-says">
                {look.says ||
                  (look.id === '' ? 'No look of its own' : `Of this site, worn by ${look.wearers}`)}
              </span>
            </button>
            {look.id !== '' && !look.shipped && <Owned look={look} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What can be done with a look of the site: another name, for all, or away with it. */
function Owned({ look }: { readonly look: Hanger }) {
  const { session } = useBench();
  const [asked, setAsked] = useState(false);
  const [name, setName] = useState<string>();
  const rename = () => {
    const next = name?.trim() ?? '';
    if (next && next !== look.name) {
      session.edit([{ type: 'SetValue', node: look.id, setting: 'name', band: '', value: next }]);
    }
    setName(undefined);
  };
  return (
    <span className="hanger-tools">
      {name === undefined ? (
        <button type="button" className="link" onClick={() => setName(look.name)}>
          Rename
        </button>
      ) : (
        <input
          className="input input-xs"
          aria-label={`New name of ${look.name}`}
          maxLength={60}
          value={name}
          ref={(field) => field?.focus()}
          onChange={(event) => setName(event.target.value)}
          onBlur={rename}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === 'Enter') rename();
            else if (event.key === 'Escape') setName(undefined);
          }}
        />
      )}
      <button
        type="button"
        className="link"
        title="Worn by all of this kind that wear no look of their own"
        onClick={() => session.edit(look.everywhere)}
      >
        {look.usual ? 'Not usual' : 'Make it usual'}
      </button>
      {asked ? (
        <>
          <button
            type="button"
            className="link text-error"
            onClick={() => session.edit([{ type: 'RemoveNode', node: look.id }])}
          >
            Drop it{look.wearers > 0 ? `, ${look.wearers} wear it` : ''}
          </button>
          <button type="button" className="link" onClick={() => setAsked(false)}>
            Keep
          </button>
        </>
      ) : (
        <button
          type="button"
          className="tool"
          aria-label={`Drop the look ${look.name}`}
          onClick={() => setAsked(true)}
        >
          <Trash2 size={14} aria-hidden />
        </button>
      )}
    </span>
  );
}

/** Makes a look of how a piece looks now. */
function KeepLook({ piece, onDone }: { readonly piece: NodeBody; onDone(): void }) {
  const { page, session } = useBench();
  const [name, setName] = useState('');
  const [refused, setRefused] = useState('');
  const taken = looksOf(page.document).some((each) => text(each, 'name') === name.trim());
  const keep = async () => {
    if (name.trim() === '') return;
    try {
      const found = await ask(
        api.GET('/api/pages/{id}/kept-look', {
          params: {
            path: { id: page.id },
            query: { piece: piece.id, look: `look.${newId('own')}`, name: name.trim() },
          },
        }),
      );
      session.edit(found.edits);
      onDone();
    } catch (problem) {
      setRefused(problem instanceof Error ? problem.message : String(problem));
    }
  };
  return (
    <form
      className="keep-look"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <input
        className="input input-sm w-44"
        aria-label="Name of the look"
        placeholder="Name of the look"
        maxLength={60}
        value={name}
        ref={(field) => field?.focus()}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Escape') onDone();
        }}
      />
      <button type="submit" className="btn btn-sm btn-primary" disabled={name.trim() === ''}>
        Keep it
      </button>
      <button type="button" className="btn btn-sm btn-ghost" onClick={onDone}>
        Cancel
      </button>
      {taken && <span className="faint">There is one of that name already.</span>}
      {refused && <span className="text-error">{refused}</span>}
    </form>
  );
}
