import { useEffect, useId, useRef, useState } from 'react';
import type { NodeBody, SettingReply } from '../api/client';
import { useBench } from '../bench/context';
import { pathOf } from '../bench/session';
import { sent, typed } from '../grid/values';
import { PictureField } from './PicturePicker';

interface Props {
  readonly node: NodeBody;
  readonly settings: readonly SettingReply[];
}

/** What is said once of a node, at every width. */
export function Form({ node, settings }: Props) {
  return (
    <div className="form">
      {settings.map((setting) => (
        <Field key={setting.id} node={node} setting={setting} />
      ))}
    </div>
  );
}

/** After so long without a key what was typed is sent, in ms. */
const PAUSE = 400;

function Field({ node, setting }: { readonly node: NodeBody; readonly setting: SettingReply }) {
  const { session, now, setting: wanted } = useBench();
  const id = useId();
  const refused = now.refused[pathOf(node.id, setting.id)];
  const stands = typed(
    setting,
    (node.values as Record<string, unknown>)[setting.id] ?? setting.initial,
  );
  const [draft, setDraft] = useState<string>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const field = useRef<HTMLElement>(null);
  const value = draft ?? refused?.value ?? stands;
  const why = refused?.why;

  useEffect(() => {
    if (wanted === setting.id) field.current?.focus();
  }, [wanted, setting.id]);

  function send(text: string) {
    clearTimeout(timer.current);
    setDraft(undefined);
    if (text !== stands || refused) session.set(node.id, setting.id, '', sent(setting, text));
  }
  function change(text: string) {
    setDraft(text);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => send(text), PAUSE);
  }
  const common = {
    id,
    value,
    'aria-invalid': why ? true : undefined,
    'aria-describedby': `${id}-note`,
    onBlur: () => draft !== undefined && send(draft),
  } as const;

  return (
    <div className={`field field-${setting.lines ? 'lines' : setting.kind}`}>
      <label htmlFor={id}>{setting.label}</label>
      {setting.kind === 'picture' ? (
        <PictureField
          id={id}
          value={value}
          label={setting.label}
          onPick={(picture) => send(picture)}
        />
      ) : setting.kind === 'pick' ? (
        <select
          {...common}
          ref={(each) => {
            field.current = each;
          }}
          className="select w-full"
          onChange={(event) => send(event.target.value)}
        >
          {setting.words.map((word) => (
            <option key={word}>{word}</option>
          ))}
        </select>
      ) : setting.lines ? (
        <textarea
          {...common}
          ref={(each) => {
            field.current = each;
          }}
          rows={5}
          className="textarea w-full"
          onChange={(event) => change(event.target.value)}
        />
      ) : (
        <input
          {...common}
          ref={(each) => {
            field.current = each;
          }}
          className="input w-full"
          onChange={(event) => change(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && draft !== undefined && send(draft)}
        />
      )}
      <p id={`${id}-note`} className={why ? 'text-error' : 'faint field-note'}>
        {why ?? setting.allowed}
      </p>
    </div>
  );
}
