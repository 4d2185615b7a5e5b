import { X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Cycle, NodeBody, Way } from '../api/client';
import { bandAt, columnsOf, useBench } from '../bench/context';
import { type Key, ownOf } from '../bench/keys';
import { pathOf } from '../bench/session';
import { Curve } from '../ui/Curve';

const SIDES = ['start', 'end', 'top', 'bottom'] as const;
const CURVES = [
  'linear',
  'ease',
  'ease-in',
  'ease-out',
  'ease-in-out',
  'spring(0.5)',
  'steps(6,jump-end)',
];

interface Props {
  readonly cycle: Cycle;
  /** The piece, or the item that comes in by ways of its own. */
  readonly node: NodeBody;
  readonly stop: number;
  /** Draws the change into the next stop by a way; without one lets go. */
  onTry(way: Way | undefined): void;
}

/** How one item gives way to the next: ways in turn, each tried on the stage under the pointer. */
export function Changes({ cycle, node, stop, onTry }: Props) {
  const { page, session, now, width } = useBench();
  const ofItem = node.type === 'item';
  const key: Key = ofItem ? 'ownChanges' : 'changes';
  const bands = columnsOf(page);
  const band = bandAt(bands, width);
  const at = ofItem ? '' : (band?.id ?? '');
  const own = ownOf(node, key, at);
  const mine = ofItem ? cycle.stops.find((each) => each.item === node.id) : cycle.stops[stop];
  const held = cycle.stops.find((each) => !each.ownWays) ?? cycle.stops[0];
  const ways = (ofItem ? mine : held)?.ways ?? [];
  const departs = ofItem ? mine?.ownWays === true : own !== undefined;
  const [chosen, setChosen] = useState(0);
  const [adds, setAdds] = useState(false);
  const picked = Math.min(chosen, ways.length - 1);
  const way = ways[picked];
  const refused = now.refused[pathOf(node.id, key, at)];
  // Until the server has drawn what was last said here, the ways are those that were said.
  const said = useRef<readonly string[]>(undefined);
  const set = (next: readonly string[]) => {
    said.current = next;
    session.set(node.id, key, at, next.join(', '));
  };
  const drawn = ways.map((each) => each.written);
  const written = said.current && own === said.current.join(', ') && departs ? said.current : drawn;
  const replace = (text: string) => set(written.map((each, i) => (i === picked ? text : each)));
  const put = (ready: Way) => {
    if (adds) {
      set([...written, ready.written]);
      setChosen(written.length);
      setAdds(false);
    } else replace(ready.written);
  };
  return (
    <section aria-label="Changes" className="changes">
      <header className="changes-head">
        <b>{ofItem ? 'Comes in by' : 'Changes by'}</b>
        <span className="changes-ways" role="group" aria-label="Ways in turn">
          {ways.map((each, i) => (
            <span
              key={`${i} ${each.written}`}
              className="changes-way"
              data-here={i === picked || undefined}
            >
              <button
                type="button"
                aria-pressed={i === picked}
                onClick={() => setChosen(i)}
                onPointerEnter={() => onTry(each)}
                onPointerLeave={() => onTry(undefined)}
              >
                {i > 0 && <span className="faint">then </span>}
                {each.manner}
              </button>
              {ways.length > 1 && (
                <button
                  type="button"
                  aria-label={`Take ${each.manner} away`}
                  onClick={() => set(written.filter((_, k) => k !== i))}
                >
                  <X size={11} aria-hidden />
                </button>
              )}
            </span>
          ))}
        </span>
        <button
          type="button"
          className="tape-chip"
          aria-pressed={adds}
          title="The next manner that is pressed comes after these"
          onClick={() => setAdds(!adds)}
        >
          then…
        </button>
        {departs && (
          <button
            type="button"
            className="link"
            onClick={() => session.set(node.id, key, at, null)}
          >
            {ofItem ? 'as its neighbours do' : band?.lead ? 'as at first' : 'as in wider bands'}
          </button>
        )}
        <span className="faint">{ofItem ? 'at all widths' : `set for ${band?.name ?? ''}`}</span>
      </header>
      <div className="changes-ready" role="group" aria-label="Manners">
        {cycle.ready.map((each) => (
          <button
            key={each.manner}
            type="button"
            className="changes-one"
            aria-pressed={way?.manner === each.manner && !adds}
            title={`${adds ? 'Then' : 'Changes by'} ${each.manner}: it plays on the stage while you point at it`}
            onPointerEnter={() => onTry(each)}
            onPointerLeave={() => onTry(undefined)}
            onFocus={(event) => event.currentTarget.matches(':focus-visible') && onTry(each)}
            onBlur={() => onTry(undefined)}
            onClick={() => put(each)}
          >
            <span className={`manner manner-${each.manner}`} aria-hidden="true">
              <i />
              <i />
            </span>
            {each.manner}
          </button>
        ))}
      </div>
      {way && way.manner !== 'cut' && (
        <div className="changes-detail">
          <Curve easing={way.easing} onSet={(easing) => replace(textOf(way, { easing }))} />
          <div className="changes-fields">
            <Typed
              label="takes"
              value={`${way.ms / 1000}s`}
              onSet={(time) => replace(textOf(way, { time }))}
            />
            {way.sided && (
              <label>
                from
                <select
                  value={way.from}
                  onChange={(event) => replace(textOf(way, { from: event.target.value }))}
                >
                  {SIDES.map((side) => (
                    <option key={side}>{side}</option>
                  ))}
                </select>
              </label>
            )}
            <Typed
              label="curve"
              value={way.curve}
              list={CURVES}
              wide
              onSet={(easing) => replace(textOf(way, { easing }))}
            />
          </div>
        </div>
      )}
      {cycle.overlaps && way && way.manner !== 'move' && way.manner !== 'cut' && (
        <p className="changes-note">
          Neighbouring views share cards here, so the track moves: advance a whole view to change by{' '}
          {way.manner}.
        </p>
      )}
      {refused && (
        <p role="alert" className="changes-note text-error">
          {refused.why}{' '}
          <button
            type="button"
            className="link"
            onClick={() => session.forget(pathOf(node.id, key, at))}
          >
            take it back
          </button>
        </p>
      )}
    </section>
  );
}

/** A way as it is typed, with something else said of it. */
function textOf(
  way: Way,
  other: { readonly time?: string; readonly from?: string; readonly easing?: string },
): string {
  const from = other.from ?? way.from;
  return [
    way.manner,
    way.sided ? `from ${from}` : '',
    other.time ?? `${way.ms / 1000}s`,
    other.easing ?? way.curve,
  ]
    .filter((each) => each !== '')
    .join(' ');
}

interface TypedProps {
  readonly label: string;
  readonly value: string;
  readonly list?: readonly string[];
  readonly wide?: boolean;
  onSet(value: string): void;
}

/** A value that is typed and sent when one is done. */
function Typed({ label, value, list, wide = false, onSet }: TypedProps) {
  const [draft, setDraft] = useState<string>();
  const id = useRef(`typed-${label}`).current;
  useEffect(() => {
    if (value) setDraft(undefined);
  }, [value]);
  const send = () => {
    if (draft !== undefined && draft.trim() !== '' && draft !== value) onSet(draft.trim());
    setDraft(undefined);
  };
  return (
    <label>
      {label}
      <input
        value={draft ?? value}
        list={list ? id : undefined}
        className={wide ? 'changes-wide' : ''}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={send}
        onKeyDown={(event) => {
          if (event.key === 'Enter') send();
          if (event.key === 'Escape' && draft !== undefined) {
            event.stopPropagation();
            setDraft(undefined);
          }
        }}
      />
      {list && (
        <datalist id={id}>
          {list.map((each) => (
            <option key={each} value={each} />
          ))}
        </datalist>
      )}
    </label>
  );
}
