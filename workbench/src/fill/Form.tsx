import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import type { NodeBody, SettingReply } from '../api/client';
import { useBench } from '../bench/context';
import { pathOf } from '../bench/session';
import { picked } from '../dress/tones';
import { FramingField } from '../drive/FramingField';
import { sent, sortOf, typed } from '../grid/values';
import { TypedBy } from '../together/Others';
import { FocusField } from './FocusField';
import { IconField } from './IconPicker';
import { PictureField } from './PicturePicker';
import { RichField } from './RichField';
import { Selectors } from './Selectors';

interface Props {
  readonly node: NodeBody;
  readonly settings: readonly SettingReply[];
  /** What helps with them, above all. */
  readonly top?: ReactNode;
}

/** What is said once of a node, at every width; what is rarely asked for folds away. */
export function Form({ node, settings, top }: Props) {
  const { catalogue, setting: wanted } = useBench();
  const rare = new Set(catalogue.rare);
  const often = settings.filter((setting) => !rare.has(setting.id));
  const seldom = settings.filter((setting) => rare.has(setting.id));
  return (
    <div className="form-scroll">
      {top}
      <div className="form">
        {often.map((setting) => (
          <Field key={setting.id} node={node} setting={setting} />
        ))}
      </div>
      {seldom.length > 0 && (
        <details className="form-more" open={seldom.some((each) => each.id === wanted)}>
          <summary>
            Links in detail, conditions, marks for scripts and styles, own CSS and code
          </summary>
          <div className="form">
            {seldom.map((setting) => (
              <Field key={setting.id} node={node} setting={setting} />
            ))}
          </div>
        </details>
      )}
    </div>
  );
}

/** After so long without a key what was typed is sent, in ms. */
const PAUSE = 400;

/** What is said under a field instead of what it may be. */
const HINTS: Readonly<Record<string, string>> = {
  trigger: 'A tap and the keys open it whatever is chosen: hover is for a mouse, focus for keys.',
  tone: 'A new one is made of one colour in Dress.',
  seasonMonths: 'In all of them, unless some are ticked.',
  seasonDays: 'On all of them, unless some are ticked.',
  seasonHours: 'Such as 18:00-23:30; 22:00-02:00 ends on the next day.',
};

const LONG = new Set(['rich', 'markup']);

const CODE = new Set(['markup', 'stylesheet', 'code']);

function Field({ node, setting }: { readonly node: NodeBody; readonly setting: SettingReply }) {
  const { session, now, page, setting: wanted } = useBench();
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
  const take = (each: HTMLElement | null) => {
    field.current = each;
  };
  const sort = sortOf(setting);
  const long = setting.lines || LONG.has(setting.kind);

  return (
    <div className={`field field-${long ? 'lines' : setting.kind}`} data-setting={setting.id}>
      {setting.kind === 'several' || setting.kind === 'rich' ? (
        <span id={id} className="field-name">
          {setting.label}
        </span>
      ) : (
        <label htmlFor={id}>{setting.label}</label>
      )}
      <TypedBy path={pathOf(node.id, setting.id)} />
      {sort ? (
        <PictureField id={id} value={value} label={setting.label} sort={sort} onPick={send} />
      ) : setting.kind === 'icon' ? (
        <IconField id={id} value={value} label={setting.label} onPick={send} />
      ) : setting.kind === 'point' ? (
        <FocusField id={id} node={node} value={value} onSet={send} />
      ) : setting.kind === 'framing' ? (
        <FramingField id={id} node={node} value={value} onSet={send} />
      ) : setting.kind === 'rich' ? (
        <RichField
          labelledBy={id}
          label={setting.label}
          value={value}
          onChange={change}
          onLeave={common.onBlur}
        />
      ) : setting.kind === 'several' ? (
        <Several labelledBy={id} words={setting.words} value={value} onSet={send} />
      ) : setting.kind === 'toggle' ? (
        <input
          id={id}
          ref={take}
          type="checkbox"
          className="toggle toggle-sm"
          checked={value === 'on'}
          onChange={(event) => send(event.target.checked ? 'on' : 'off')}
        />
      ) : setting.kind === 'pick' ? (
        <select
          {...common}
          ref={take}
          className="select w-full"
          onChange={(event) => send(event.target.value)}
        >
          {picked(page.document, setting, value).map(({ word, says }) => (
            <option key={word} value={word}>
              {says}
            </option>
          ))}
        </select>
      ) : setting.lines ? (
        <textarea
          {...common}
          ref={take}
          rows={6}
          spellCheck={!CODE.has(setting.kind)}
          className={`textarea w-full ${CODE.has(setting.kind) ? 'font-mono' : ''}`}
          onChange={(event) => change(event.target.value)}
        />
      ) : (
        <input
          {...common}
          ref={take}
          className="input w-full"
          onChange={(event) => change(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && draft !== undefined && send(draft)}
        />
      )}
      {(why || (setting.kind !== 'toggle' && !sort)) && (
        <p id={`${id}-note`} className={why ? 'text-error' : 'faint field-note'}>
          {why ?? HINTS[setting.id] ?? (setting.kind === 'several' ? '' : setting.allowed)}
        </p>
      )}
      {setting.kind === 'stylesheet' && <Selectors node={node} />}
      {setting.kind === 'code' && (
        <p className="field-note text-warning">
          It runs for everyone who visits the live page, and may do all that a page can: read what
          they type, change what they see, ask the hosts below. On the stage it is off, and what it
          does is not proved.
        </p>
      )}
    </div>
  );
}

interface SeveralProps {
  readonly labelledBy: string;
  readonly words: readonly string[];
  readonly value: string;
  onSet(value: string): void;
}

/** Any of a few words. */
function Several({ labelledBy, words, value, onSet }: SeveralProps) {
  const on = new Set(value.split(' ').filter((word) => word !== ''));
  return (
    <div role="group" aria-labelledby={labelledBy} className="several">
      {words.map((word) => (
        <label key={word}>
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={on.has(word)}
            onChange={(event) => {
              const next = words.filter((each) =>
                each === word ? event.target.checked : on.has(each),
              );
              onSet(next.join(' '));
            }}
          />
          <span className="inline-block first-letter:uppercase">{word}</span>
        </label>
      ))}
    </div>
  );
}
