import { useEffect, useRef, useState } from 'react';
import { api, ask, type Board } from '../api/client';
import { isPiece, labelOf, useBench } from '../bench/context';
import { find, nameOf } from '../bench/document';
import { usePageQuery } from '../bench/usePageQuery';
import type { At } from './at';
import { Dresses } from './Dresses';
import { OwnTone } from './OwnTone';
import { Scope, scopesOf } from './Scope';
import { StateBoard } from './StateBoard';
import { Thread } from './Thread';
import { type TakeColour, Trace } from './Trace';
import { namedBy } from './tones';
import { Wardrobe } from './Wardrobe';
import { Wears } from './Wears';

/** How things look: the parts as beads on a thread, and one of them in each of its states. */
export function Dress({ length }: { readonly length: number }) {
  const { page, chosen, choose, setting, toStage, catalogue } = useBench();
  const scopes = scopesOf(page.document, chosen);
  const [open, setOpen] = useState(false);
  const [traced, setTraced] = useState(false);
  const take = useRef<TakeColour>(() => undefined);
  const [said, setSaid] = useState({ of: '', by: '' });
  const usual = scopes.find((each) => each.usual) ?? scopes[0];
  const by =
    (said.of === chosen.node.id && scopes.find((each) => each.node.id === said.by)) || usual;
  const [part = '', state = '', property = ''] = setting.split('/');
  const ofItem = by?.node.type === 'item';
  const subject =
    chosen.node.type === 'item' && !ofItem ? (chosen.parent ?? chosen.node) : chosen.node;
  const board = usePageQuery({
    key: ['board', by?.node.id, subject.id, part],
    read: () =>
      ask(
        api.GET('/api/pages/{id}/board', {
          params: {
            path: { id: page.id },
            query: { node: by?.node.id ?? '', of: subject.id, part: state ? part : '' },
          },
        }),
      ),
  });
  const data: Board | undefined = board.data?.node === by?.node.id ? board.data : undefined;
  const at: At = {
    part: data?.part ?? part,
    state: state || 'rest',
    property,
  };
  const bead = data?.parts.find((each) => each.id === at.part);
  const elements = bead?.elements ?? '';
  // What is looked at in a state is so on the stage as well.
  useEffect(() => {
    const held = elements && at.state !== 'rest' && at.state !== 'current' ? at.state : '';
    toStage.current({ type: 'hold', id: subject.id, elements, state: held });
  }, [toStage, subject.id, elements, at.state]);
  useEffect(() => {
    const say = toStage.current;
    return () => say({ type: 'hold', id: '', elements: '', state: '' });
  }, [toStage]);

  const asked = setting.startsWith('trace');
  useEffect(() => {
    if (asked) setTraced(true);
  }, [asked]);

  if (board.isError && !data) {
    return (
      <p className="p-6 text-error">
        {board.error.message}{' '}
        <button type="button" className="link" onClick={() => choose(chosen.node.id)}>
          Look at its first part
        </button>
      </p>
    );
  }
  if (!data || !by) return <p className="faint p-6">Laying out the board…</p>;
  const first = data.parts[0];
  if (!bead) {
    const other = find(page.document, chosen.parent?.id ?? '')?.node;
    return (
      <p className="faint p-6">
        {first
          ? `${labelOf(catalogue, subject.type, `${part}/rest/`).replace(/, $/, '')} does not show on “${nameOf(subject)}” as it is set.`
          : `“${nameOf(subject)}” has no parts of its own to dress.`}{' '}
        {first ? (
          <button
            type="button"
            className="link"
            onClick={() => choose(chosen.node.id, undefined, `${first.id}/rest/`)}
          >
            Look at its {first.label.toLowerCase()}
          </button>
        ) : (
          other && (
            <button type="button" className="link" onClick={() => choose(other.id)}>
              Dress {nameOf(other)}
            </button>
          )
        )}
      </p>
    );
  }
  const own = by.node.type === 'site' ? namedBy(at.part) : undefined;
  const whole = subject.type === 'page' || subject.type === 'site';
  const go = (to: Partial<At>) =>
    choose(
      chosen.node.id,
      undefined,
      [to.part ?? at.part, to.state ?? (to.part ? 'rest' : at.state), to.property ?? ''].join('/'),
    );
  return (
    <section aria-label="Dress" className="flex h-full min-h-0 flex-col">
      <div className="dress-top">
        <Scope
          scopes={scopes}
          by={by}
          onBy={(node) => setSaid({ of: chosen.node.id, by: node.id })}
        />
        <Thread board={data} part={at.part} onPart={(id) => go({ part: id })} />
        <Wears
          board={data}
          bead={bead}
          subject={subject}
          by={by.node}
          open={open}
          onOpen={setOpen}
          traced={traced}
          onTraced={setTraced}
        />
      </div>
      {own && <OwnTone key={own} setting={own} part={at.part} />}
      {traced && <Trace take={take} onClose={() => setTraced(false)} />}
      {open && whole ? (
        <Dresses onClose={() => setOpen(false)} />
      ) : open && isPiece(catalogue, subject.type) ? (
        <Wardrobe piece={subject} onClose={() => setOpen(false)} />
      ) : (
        <StateBoard
          key={`${by.node.id} ${at.part}`}
          board={data}
          bead={bead}
          node={by.node}
          subject={subject}
          at={at}
          length={length}
          onState={(to) => go({ state: to })}
          take={take}
        />
      )}
    </section>
  );
}
