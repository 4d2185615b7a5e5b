import { useState } from 'react';
import type { NodeBody, Sheet } from '../api/client';
import { stateName, useBench } from '../bench/context';

/** A part of a node, in one of its states; the empty part is the node as a whole. */
export interface Styled {
  readonly part: string;
  readonly state: string;
}

export const WHOLE: Styled = { part: '', state: '' };

type Part = Sheet['parts'][number];

interface Props {
  readonly sheet: Sheet;
  readonly node: NodeBody;
  readonly at: Styled;
  readonly band: string;
  onAt(at: Styled): void;
}

const Departs = () => (
  <span className="origin origin-here parts-own" title="something is set here" />
);

/** Which part, in which state, the sheet speaks of; and whether it departs from the shared look. */
export function Parts({ sheet, node, at, band, onAt }: Props) {
  const [opened, setOpened] = useState('');
  const part = sheet.parts.find((each) => each.id === at.part);
  const groups = [...new Set(sheet.parts.map((each) => each.group))];
  const group = part?.group ?? (groups.includes(opened) ? opened : undefined);
  const one = groups.length === 1;
  const shown = sheet.parts.filter((each) => one || each.group === group);
  const parts = shown.map((each) => (
    <button
      key={each.id}
      type="button"
      aria-pressed={each.id === at.part}
      onClick={() => onAt({ part: each.id, state: each.states[0] ?? '' })}
    >
      {each.label}
      {each.departures > 0 && <Departs />}
    </button>
  ));
  return (
    <div className="parts">
      <div className="fill-tabs" role="group" aria-label="What to arrange of it">
        <button
          type="button"
          aria-pressed={!group && !part}
          onClick={() => {
            setOpened('');
            onAt(WHOLE);
          }}
        >
          {wholes[sheet.type] ?? 'Whole piece'}
        </button>
        <span className="parts-of">Look:</span>
        {one
          ? parts
          : groups.map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={each === group}
                onClick={() => {
                  setOpened(each);
                  onAt(WHOLE);
                }}
              >
                {groupNames[each] ?? each}
                {sheet.parts.some((of) => of.group === each && of.departures > 0) && <Departs />}
              </button>
            ))}
      </div>
      {!one && group && (
        <div className="fill-tabs" role="group" aria-label={`Parts: ${groupNames[group] ?? group}`}>
          {parts}
        </div>
      )}
      {part && <States part={part} sheet={sheet} node={node} at={at} band={band} onAt={onAt} />}
    </div>
  );
}

function States({ part, sheet, node, at, band, onAt }: Props & { readonly part: Part }) {
  const { session } = useBench();
  return (
    <div className="parts-states">
      <div role="group" aria-label={`States of the ${part.label.toLowerCase()}`}>
        {part.states.map((state) => {
          const contrast = part.contrasts.find(
            (each) => each.state === state && each.band === band,
          );
          const low = contrast?.low;
          return (
            <button
              key={state}
              type="button"
              aria-pressed={state === at.state}
              onClick={() => onAt({ part: part.id, state })}
            >
              {stateName(state)}
              {contrast && (
                <span
                  className={low ? 'text-error' : 'faint'}
                  title={`The least contrast that it may come to; it should be ${contrast.asked} or more`}
                >
                  {contrast.found.toFixed(1)}
                  <span className="sr-only"> contrast at worst{low ? ', too low' : ''}</span>
                </span>
              )}
            </button>
          );
        })}
      </div>
      {sheet.type === 'site' ? (
        <p className="parts-look faint">What {nameOfSite(node)} gives all its pages.</p>
      ) : part.departures === 0 ? (
        <p className="parts-look faint">It wears the look that the site shares.</p>
      ) : (
        <p className="parts-look">
          <span>
            Departs in {part.departures} {part.departures === 1 ? 'value' : 'values'}
          </span>
          <button type="button" className="link" onClick={() => session.edit(part.share)}>
            Give them to the site
          </button>
          <button type="button" className="link" onClick={() => session.edit(part.take)}>
            Wear the look again
          </button>
        </p>
      )}
    </div>
  );
}

const wholes: Readonly<Record<string, string>> = {
  site: 'Site',
  page: 'Page',
  section: 'Section',
  heading: 'Block',
  text: 'Block',
  picture: 'Block',
  button: 'Block',
  'own-html': 'Block',
};

const groupNames: Readonly<Record<string, string>> = {
  tone: 'Tones',
  page: 'Words and buttons',
  copy: 'Long texts',
  section: 'Section',
  track: 'Arrows and marks',
  slider: 'Slide',
  carousel: 'Card',
  quotation: 'Quotation',
  tabs: 'Tabs',
  panel: 'Panels',
  accordion: 'Questions',
  flip: 'Flip box',
  grid: 'Dividers',
  counters: 'Counter',
  video: 'Player',
};

const nameOfSite = (node: NodeBody) =>
  String((node.values as Record<string, unknown>).name ?? '') || 'the site';
