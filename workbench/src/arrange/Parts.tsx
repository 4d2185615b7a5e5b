import type { NodeBody, Sheet } from '../api/client';
import { useBench } from '../bench/context';

/** A part of a node, in one of its states; the empty part is the node as a whole. */
export interface Styled {
  readonly part: string;
  readonly state: string;
}

export const WHOLE: Styled = { part: '', state: '' };

interface Props {
  readonly sheet: Sheet;
  readonly node: NodeBody;
  readonly at: Styled;
  readonly band: string;
  onAt(at: Styled): void;
}

/** Which part, in which state, the sheet speaks of; and whether it departs from the shared look. */
export function Parts({ sheet, node, at, band, onAt }: Props) {
  const { session } = useBench();
  const site = sheet.type === 'site';
  const part = sheet.parts.find((each) => each.id === at.part);
  return (
    <div className="parts">
      <div className="fill-tabs" role="group" aria-label="What to arrange of it">
        <button type="button" aria-pressed={!part} onClick={() => onAt(WHOLE)}>
          {site ? 'Site' : 'Whole piece'}
        </button>
        {site && <span className="parts-of">All players:</span>}
        {sheet.parts.map((each) => (
          <button
            key={each.id}
            type="button"
            aria-pressed={each.id === at.part}
            onClick={() => onAt({ part: each.id, state: each.states[0] ?? '' })}
          >
            {each.label}
            {each.departures > 0 && (
              <span className="origin origin-here parts-own" title="departs from the look" />
            )}
          </button>
        ))}
      </div>
      {part && (
        <div className="parts-states">
          <div role="group" aria-label={`States of the ${part.label.toLowerCase()}`}>
            {part.states.map((state) => {
              const contrast = part.contrasts.find(
                (each) => each.state === state && each.band === band,
              );
              const low = contrast && contrast.found < contrast.asked;
              return (
                <button
                  key={state}
                  type="button"
                  aria-pressed={state === at.state}
                  onClick={() => onAt({ part: part.id, state })}
                >
                  {words[state] ?? state}
                  {contrast && (
                    <span
                      className={low ? 'text-error' : 'faint'}
                      title={`Contrast at worst, whatever the clip shows; it should be ${contrast.asked} or more`}
                    >
                      {contrast.found.toFixed(1)}
                      <span className="sr-only"> contrast at worst{low ? ', too low' : ''}</span>
                    </span>
                  )}
                </button>
              );
            })}
          </div>
          {!site && (
            <p className="parts-look">
              {part.departures === 0 ? (
                <span className="faint">It wears the look that all players of the site share.</span>
              ) : (
                <>
                  <span>
                    Departs in {part.departures} {part.departures === 1 ? 'value' : 'values'}
                  </span>
                  <button type="button" className="link" onClick={() => session.edit(part.share)}>
                    Give them to all players
                  </button>
                  <button type="button" className="link" onClick={() => session.edit(part.take)}>
                    Wear the look again
                  </button>
                </>
              )}
            </p>
          )}
          {site && (
            <p className="parts-look faint">What {nameOfSite(node)} gives all its players.</p>
          )}
        </div>
      )}
    </div>
  );
}

const words: Readonly<Record<string, string>> = {
  rest: 'At rest',
  hover: 'Hover',
  focus: 'Focus',
  pressed: 'Pressed',
  current: 'On',
};

const nameOfSite = (node: NodeBody) =>
  String((node.values as Record<string, unknown>).name ?? '') || 'the site';
