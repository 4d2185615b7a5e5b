import { useEffect, useRef, useState } from 'react';
import type { Board } from '../api/client';

/** More parts than that are shown group by group. */
const MANY = 26;

interface Props {
  readonly board: Board;
  readonly part: string;
  onPart(id: string): void;
}

/** The parts as beads, in the order in which they lie in one another; arrow keys walk it. */
export function Thread({ board, part, onPart }: Props) {
  const thread = useRef<HTMLDivElement>(null);
  /** The part that was walked to: its bead takes the focus once it is there. */
  const walked = useRef('');
  const groups = [...new Set(board.parts.map((each) => each.group))];
  const many = board.parts.length > MANY;
  const group = board.parts.find((each) => each.id === part)?.group ?? groups[0];
  const [kept, setKept] = useState(group);
  if (many && kept !== group) setKept(group);
  const shown = many ? board.parts.filter((each) => each.group === group) : board.parts;
  useEffect(() => {
    const bead = thread.current?.querySelector<HTMLElement>('[aria-checked="true"]');
    bead?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    if (walked.current === part) {
      bead?.focus();
      walked.current = '';
    }
  });
  const walk = (by: number) => {
    const next = shown[shown.findIndex((each) => each.id === part) + by];
    if (!next) return;
    walked.current = next.id;
    onPart(next.id);
  };
  return (
    <>
      {many && (
        <select
          className="select select-sm w-40"
          aria-label="Parts of what"
          value={group}
          onChange={(event) => {
            const first = board.parts.find((each) => each.group === event.target.value);
            if (first) onPart(first.id);
          }}
        >
          {groups.map((each) => (
            <option key={each} value={each}>
              {groupNames[each] ?? each}
            </option>
          ))}
        </select>
      )}
      <div
        ref={thread}
        className="thread"
        role="radiogroup"
        aria-label="Parts"
        onKeyDown={(event) => {
          const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
          if (!by || event.ctrlKey || event.metaKey) return;
          event.preventDefault();
          event.stopPropagation();
          walk(by);
        }}
      >
        {shown.map((each) => {
          const low = each.contrasts.some((contrast) => contrast.low);
          return (
            <button
              key={each.id}
              type="button"
              role="radio"
              aria-checked={each.id === part}
              tabIndex={each.id === part ? 0 : -1}
              className="bead"
              onClick={() => onPart(each.id)}
            >
              {each.label}
              {each.departures > 0 && (
                <span className="bead-own" title={`${each.departures} set here`}>
                  <span className="sr-only">, {each.departures} set here</span>
                </span>
              )}
              {low && (
                <span className="bead-low" title="Its contrast is too low somewhere">
                  <span className="sr-only">, contrast too low</span>
                </span>
              )}
            </button>
          );
        })}
      </div>
    </>
  );
}

const groupNames: Readonly<Record<string, string>> = {
  tone: 'Tones',
  type: 'Type',
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
