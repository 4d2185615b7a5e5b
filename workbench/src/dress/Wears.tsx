import {
  ALargeSmall,
  CaseSensitive,
  ClipboardPaste,
  Copy,
  Layers2,
  ListChecks,
  Palette,
  Shirt,
} from 'lucide-react';
import { useState } from 'react';
import type { Board, NodeBody, PartReply } from '../api/client';
import { isPiece, useBench } from '../bench/context';
import { text } from '../bench/document';
import { Fonts } from './Fonts';
import { NewTone } from './NewTone';
import { Several } from './Several';
import { keepStyles, keptStyles, putStyles, stylesOf } from './styles';
import { TypeScale } from './TypeScale';

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

/** Groups of parts with words that a scale of type is laid over. */
const LETTERED = new Set(['type', 'page', 'copy']);

/** Which look is worn, and how far it is departed from. */
export function Wears({ board, bead, subject, by, open, onOpen, traced, onTraced }: Props) {
  const { session, catalogue } = useBench();
  const [kept, setKept] = useState(() => keptStyles() !== undefined);
  const [making, setMaking] = useState<'tone' | 'scale' | 'fonts' | 'several'>();
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
        className="tool"
        aria-label="Paste onto several"
        title="Paste what was copied onto several at once"
        disabled={!kept}
        onClick={() => setMaking('several')}
      >
        <ListChecks size={15} aria-hidden />
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
      {whole && bead.group === 'tone' && (
        <button
          type="button"
          className="btn btn-sm wardrobe-open"
          title="A tone of the site's own"
          onClick={() => setMaking('tone')}
        >
          <Palette size={14} aria-hidden /> New tone
        </button>
      )}
      {whole && LETTERED.has(bead.group) && (
        <button
          type="button"
          className="btn btn-sm wardrobe-open"
          aria-label="Fonts"
          title="Fonts: families made of files of your own"
          onClick={() => setMaking('fonts')}
        >
          <CaseSensitive size={15} aria-hidden /> <span className="wide-words">Fonts</span>
        </button>
      )}
      {whole && LETTERED.has(bead.group) && (
        <button
          type="button"
          className="btn btn-sm wardrobe-open"
          aria-label="Type scale"
          title="Type scale: sizes of all styles of type out of one"
          onClick={() => setMaking('scale')}
        >
          <ALargeSmall size={14} aria-hidden /> <span className="wide-words">Type scale</span>
        </button>
      )}
      {making === 'several' && (
        <Several
          bead={bead}
          bands={board.bands.map((each) => each.id)}
          onClose={() => setMaking(undefined)}
        />
      )}
      {making === 'tone' && <NewTone onClose={() => setMaking(undefined)} />}
      {making === 'fonts' && <Fonts onClose={() => setMaking(undefined)} />}
      {making === 'scale' && <TypeScale onClose={() => setMaking(undefined)} />}
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
