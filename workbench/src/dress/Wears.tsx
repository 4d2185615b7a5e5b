import { ClipboardPaste, Copy, Layers2, Shirt } from 'lucide-react';
import { useState } from 'react';
import type { Board, NodeBody, PartReply } from '../api/client';
import { isPiece, useBench } from '../bench/context';
import { text } from '../bench/document';
import { keepStyles, keptStyles, putStyles, stylesOf } from './styles';

interface Props {
  readonly board: Board;
  readonly bead: PartReply;
  /** What is looked at, and who says how it looks. */
  readonly subject: NodeBody;
  readonly by: NodeBody;
  readonly open: boolean;
  onOpen(open: boolean): void;
  /** Whether the page is held against a picture. */
  readonly traced: boolean;
  onTraced(traced: boolean): void;
}

/** Which look is worn, and how far it is departed from. */
export function Wears({ board, bead, subject, by, open, onOpen, traced, onTraced }: Props) {
  const { session, catalogue } = useBench();
  const [kept, setKept] = useState(() => keptStyles() !== undefined);
  const departs = bead.departures;
  const { with: shared } = board;
  const name = shared?.type === 'look' ? shared.name : '';
  const whose = !shared
    ? ''
    : shared.type === 'look'
      ? 'the look'
      : shared.type === 'site'
        ? 'the site'
        : 'all items';
  const whole = subject.type === 'page' || subject.type === 'site';
  const dressed = whole || isPiece(catalogue, subject.type);
  return (
    <div className="wears">
      <p>
        {by.type === 'look' ? (
          <>
            the look <b>{text(by, 'name')}</b>
          </>
        ) : name ? (
          <>
            wears <b>{name}</b>
          </>
        ) : null}
        {shared && departs > 0 && (
          <>
            {name ? ' · ' : ''}departs in {departs}{' '}
            <button type="button" className="link" onClick={() => session.edit(bead.share)}>
              give {departs === 1 ? 'it' : 'them'} to {whose}
            </button>{' '}
            <button type="button" className="link" onClick={() => session.edit(bead.take)}>
              wear it again
            </button>
          </>
        )}
      </p>
      <button
        type="button"
        className="tool"
        aria-label={`Copy how the ${bead.label.toLowerCase()} is set here`}
        title="Copy what is set here of this part"
        disabled={departs === 0}
        onClick={() => {
          keepStyles(stylesOf(by, bead.id));
          setKept(true);
        }}
      >
        <Copy size={15} aria-hidden />
      </button>
      <button
        type="button"
        className="tool"
        aria-label={`Paste onto the ${bead.label.toLowerCase()}`}
        title="Paste what was copied of a part"
        disabled={!kept}
        onClick={() => {
          const edits = putStyles(
            keptStyles() ?? {},
            by,
            bead,
            catalogue,
            board.bands.map((each) => each.id),
          );
          if (edits.length > 0) session.edit([...edits]);
        }}
      >
        <ClipboardPaste size={15} aria-hidden />
      </button>
      <button
        type="button"
        className="btn btn-sm wardrobe-open"
        aria-pressed={traced}
        title="Hold the page against a picture"
        onClick={() => onTraced(!traced)}
      >
        <Layers2 size={14} aria-hidden /> Trace
      </button>
      {dressed && (
        <button
          type="button"
          className="btn btn-sm wardrobe-open"
          aria-pressed={open}
          onClick={() => onOpen(!open)}
        >
          <Shirt size={14} aria-hidden /> {whole ? 'Dresses' : 'Wardrobe'}
        </button>
      )}
    </div>
  );
}
