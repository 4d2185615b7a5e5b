import { type MouseEvent, useEffect, useRef } from 'react';
import type { Finding } from '../api/client';
import { columnsOf, useBench } from '../bench/context';
import { find, nameOf } from '../bench/document';
import { tape } from '../bench/scale';
import type { Axis, Bar, Laid } from './axes';

interface Props {
  readonly axis: Axis;
  readonly on: Laid;
  readonly swept: readonly string[];
  readonly snags: readonly Finding[];
  /** Why some are left as they are, by key. */
  readonly left: Readonly<Record<string, string>>;
  readonly picked: Finding | undefined;
  readonly length: number;
  onPick(snag: Finding): void;
}

interface Lying {
  readonly snag: Finding;
  readonly bar: Bar;
}

/** Where several bars lie over each other, each press leads to the next; by keyboard each is met. */
function under(
  event: MouseEvent<HTMLElement>,
  snag: Finding,
  bars: readonly Lying[],
  picked: Finding | undefined,
): Finding {
  if (event.detail === 0) return snag;
  const left = event.currentTarget.closest('.strip')?.getBoundingClientRect().left ?? 0;
  const x = event.clientX - left;
  const here = bars.filter(({ bar }) => x >= bar.from && x <= Math.max(bar.to, bar.from + 7));
  const at = here.findIndex((each) => each.snag.key === picked?.key);
  return (at >= 0 ? here[(at + 1) % here.length]?.snag : undefined) ?? snag;
}

/** A strip for each thing that was gone through, with a bar for each stretch that is not right. */
export function Strips({ axis, on, swept, snags, left, picked, length, onPick }: Props) {
  const { page, width, catalogue } = useBench();
  const rows = swept.flatMap((id) => {
    const node = find(page.document, id)?.node;
    const its = snags.filter((each) => each.piece === id);
    const piece = node && catalogue.types.find((each) => each.type === node.type)?.piece;
    // Columns have a strip where something is found; pieces always.
    return node && (piece || its.length > 0) ? [{ node, its }] : [];
  });
  const x = tape(length);
  const list = useRef<HTMLOListElement>(null);
  const here = picked?.piece;
  useEffect(() => {
    if (here) list.current?.querySelector('[data-here]')?.scrollIntoView({ block: 'nearest' });
  }, [here]);
  // Whoever looks by times, states or dates is shown the first of them.
  const shown = useRef(axis);
  useEffect(() => {
    if (shown.current === axis) return;
    shown.current = axis;
    list.current?.querySelector('.strip-bar')?.scrollIntoView({ block: 'nearest' });
  }, [axis]);
  return (
    <div className="strips" data-axis={axis}>
      {on.ticks.length > 0 && (
        <div className="strips-ticks" aria-hidden="true">
          {on.ticks.map((tick) => (
            <span key={tick.says} style={{ left: tick.at }}>
              {tick.says}
            </span>
          ))}
        </div>
      )}
      <ol ref={list} className="strips-rows" aria-label={`What is found, by ${axis}`}>
        {rows.map(({ node, its }) => {
          const bars = its.flatMap((snag) => {
            const bar = on.bar(snag);
            return bar ? [{ snag, bar }] : [];
          });
          return (
            <li key={node.id} className="strip" data-here={picked?.piece === node.id || undefined}>
              <span className="strip-name">
                {nameOf(node)}
                {bars.every(({ snag }) => left[snag.key] !== undefined) && (
                  <span className="strip-fine">fine</span>
                )}
              </span>
              {bars.map(({ snag, bar }) => (
                <button
                  key={snag.key}
                  type="button"
                  className="strip-bar"
                  data-severity={snag.severity}
                  data-left={left[snag.key] !== undefined || undefined}
                  aria-pressed={snag.key === picked?.key}
                  aria-label={`${left[snag.key] === undefined ? snag.severity : 'left on purpose'}: ${snag.message}`}
                  title={snag.message}
                  style={{ left: bar.from, width: Math.max(7, bar.to - bar.from) }}
                  onClick={(event) => onPick(under(event, snag, bars, picked))}
                />
              ))}
            </li>
          );
        })}
      </ol>
      {axis === 'widths' && (
        <div className="strips-lines" aria-hidden="true">
          {columnsOf(page)
            .filter((band) => band.from > 0)
            .map((band) => (
              <i key={band.id} className="strips-post" style={{ left: x(band.from) }} />
            ))}
          <i className="strips-carriage" style={{ left: x(width) }} />
        </div>
      )}
    </div>
  );
}
