import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, ask, type Finding, type Proved } from '../api/client';
import { useBench } from '../bench/context';
import { useKept } from '../bench/useKept';
import { AXES, type Axis, laid, without } from './axes';
import { Costs } from './Costs';
import { LineUp } from './LineUp';
import { Strips } from './Strips';
import { useSweep } from './useSweep';
import { Ways } from './Ways';

const SEVERITIES = ['breaks', 'hurts', 'hint'] as const;
const WORST: readonly string[] = SEVERITIES;

/** Ms that the stage has for becoming as wide as it is asked to be. */
const WIDENS = 150;

const counted = (n: number, severity: string) =>
  severity === 'hint'
    ? `${n} ${n === 1 ? 'hint' : 'hints'}`
    : `${n} ${n === 1 ? severity : severity.slice(0, -1)}`;

/** How far the sweep reaches, in words. */
function reach({ widths, states, roundMs, until }: Proved): string {
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
  return [
    `proved at ${widths.toLocaleString('en-GB').replace(',', ' ')} widths`,
    `in ${states.length} states`,
    roundMs > 0 ? `over one round of ${(roundMs / 1000).toFixed(1)} s` : '',
    until ? `to ${day.format(new Date(until))}` : '',
  ]
    .filter((each) => each !== '')
    .join(', ');
}

/** Everything that is not right, over every width, moment, state and date, with ways out. */
export function Prove({ length }: { readonly length: number }) {
  const { page, choose, setWidth, setOn, width, toStage, catalogue, stress, setStress } =
    useBench();
  const sweep = useSweep(stress);
  const stresses = useQuery({
    queryKey: ['stresses'],
    queryFn: () => ask(api.GET('/api/stresses')),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const under = stresses.data?.find((each) => each.id === stress);
  const [kept, keep] = useKept('prove-axis', 0);
  const axis: Axis = AXES[kept] ?? 'widths';
  const [key, setKey] = useState('');
  const [lined, setLined] = useState(false);
  const [costed, setCosted] = useState(false);
  // Who takes a way out goes on with what is found next.
  const [follows, setFollows] = useState(false);
  const left = sweep.data?.left ?? {};
  const all = sweep.data?.snags ?? [];
  const snags = all.filter((each) => left[each.key] === undefined);
  const picked = all.find((each) => each.key === key) ?? nearest(snags, key);

  const say = toStage.current;
  const go = (snag: Finding) => {
    setKey(snag.key);
    choose(snag.item || snag.piece);
    if (width < snag.from || width > snag.to) {
      setWidth(Math.round((snag.from + Math.min(snag.to, snag.from + 400)) / 2));
    }
    // What was chosen already has moved with the width.
    const id = snag.item || snag.piece;
    setTimeout(() => say({ type: 'show', id }), WIDENS);
    if (snag.dates) setOn(Date.parse(snag.dates.from));
    const elements = catalogue.parts.find((each) => each.id === snag.part)?.elements;
    const held = ['hover', 'focus', 'pressed'].includes(snag.state);
    say({
      type: 'hold',
      id: snag.item || snag.piece,
      elements: elements ?? '',
      state: held && elements ? snag.state : '',
    });
  };
  // What was held for looking at it is let go with the step.
  const letGo = useRef(() => {});
  letGo.current = () => say({ type: 'hold', id: '', elements: '', state: '' });
  useEffect(() => () => letGo.current(), []);

  if (sweep.isError && !sweep.data) {
    return (
      <p className="p-6 text-error" role="alert">
        {sweep.error.message}
      </p>
    );
  }
  if (!sweep.data) return <p className="faint p-6">Going through every width…</p>;
  const on = laid(axis, length, sweep.data.proved);
  const shown = all.filter((each) => on.bar(each));
  const purposely = all.length - snags.length;
  return (
    <section aria-label="Prove" className="prove">
      <header className="prove-head">
        <h2>
          {snags.length === 1 ? '1 snag' : `${snags.length} snags`}
          {under && <span className="prove-under">: {under.label}</span>}
        </h2>
        {SEVERITIES.map((severity) => {
          const n = snags.filter((each) => each.severity === severity).length;
          return n > 0 ? (
            <span key={severity} className="prove-count" data-severity={severity}>
              {counted(n, severity)}
            </span>
          ) : null;
        })}
        {purposely > 0 && <span className="faint">{purposely} left on purpose</span>}
        <span className="faint prove-reach" aria-live="polite">
          {sweep.isPlaceholderData || sweep.isFetching
            ? 'going through the page again…'
            : reach(sweep.data.proved)}
        </span>
        {sweep.data.proved.without.map((each) => (
          <button
            key={`${each.node} ${each.setting}`}
            type="button"
            className="prove-without"
            onClick={() => choose(each.node)}
          >
            not proved: {each.label.toLowerCase()} of {each.called}
          </button>
        ))}
        <span className="prove-axes" role="group" aria-label="Seen along">
          {AXES.map((each, at) => (
            <button
              key={each}
              type="button"
              className="tape-chip"
              aria-pressed={axis === each}
              onClick={() => keep(at)}
            >
              {each}
            </button>
          ))}
        </span>
        <button type="button" className="tape-chip" onClick={() => setLined(true)}>
          Line-up…
        </button>
        <button type="button" className="tape-chip" onClick={() => setCosted(true)}>
          What it costs…
        </button>
        <span className="prove-axes">
          <a
            className="tape-chip"
            href={`/api/pages/${page.id}/proof-sheet`}
            target="_blank"
            rel="noreferrer"
          >
            Proof sheet
          </a>
          <a
            className="tape-chip"
            href={`/api/pages/${page.id}/proof-sheet.pdf`}
            target="_blank"
            rel="noreferrer"
            aria-label="Proof sheet as a PDF"
          >
            PDF
          </a>
        </span>
      </header>
      <div className="prove-body">
        <div className="prove-strips">
          <Strips
            axis={axis}
            on={on}
            swept={sweep.data.swept}
            snags={all}
            left={left}
            picked={picked}
            length={length}
            onPick={go}
          />
          {shown.length === 0 && <p className="prove-none">{without[axis]}</p>}
        </div>
        {picked ? (
          <Ways
            key={picked.key}
            snag={picked}
            left={left[picked.key]}
            asked={picked.key === key || follows}
            onLook={() => go(picked)}
            onTaken={setFollows}
          />
        ) : (
          <p className="prove-none prove-all">
            Everything {purposely > 0 && 'else '}is fine. {capital(reach(sweep.data.proved))}: no
            word breaks, nothing is cut off, all can be read.
          </p>
        )}
      </div>
      <footer className="prove-stress" role="group" aria-label="The page as life changes it">
        <button
          type="button"
          className="tape-chip"
          aria-pressed={stress === ''}
          onClick={() => setStress('')}
        >
          as it is
        </button>
        {stresses.data?.map((each) => (
          <button
            key={each.id}
            type="button"
            className="tape-chip"
            aria-pressed={stress === each.id}
            onClick={() => setStress(each.id)}
          >
            {each.label}
          </button>
        ))}
      </footer>
      {costed && <Costs onClose={() => setCosted(false)} />}
      {lined && <LineUp snags={snags} onClose={() => setLined(false)} />}
    </section>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * The finding that is shown where the one that was asked for is gone: what is left of it at other
 * widths, or else the worst.
 */
function nearest(snags: readonly Finding[], key: string): Finding | undefined {
  const same = key.slice(0, key.lastIndexOf('~') + 1);
  const rank = ({ severity }: Finding) => WORST.indexOf(severity);
  return (
    (same && snags.find((each) => each.key.startsWith(same))) ||
    [...snags].sort((a, b) => rank(a) - rank(b))[0]
  );
}
