import { ClipboardPaste, Copy, Layers2, Palette, Shirt } from 'lucide-react';
import { useState } from 'react';
import type { Board, NodeBody, PartReply } from '../api/client';
import { isPiece, useBench } from '../bench/context';
import { siteNode, text } from '../bench/document';
import { NewTone } from './NewTone';
import { keepStyles, keptStyles, putStyles, stylesOf } from './styles';
import { namedBy, withoutTone } from './tones';

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
  const [making, setMaking] = useState(false);
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
  const own = by.type === 'site' ? namedBy(bead.id) : undefined;
  return (
    <div className="wears">
      {own && <OwnTone key={own} setting={own} part={bead.id} board={board} />}
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
      {whole && (
        <button
          type="button"
          className="btn btn-sm wardrobe-open"
          title="A tone of the site's own"
          onClick={() => setMaking(true)}
        >
          <Palette size={14} aria-hidden /> New tone
        </button>
      )}
      {making && <NewTone onClose={() => setMaking(false)} />}
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

interface OwnToneProps {
  /** What names it. */
  readonly setting: string;
  readonly part: string;
  readonly board: Board;
}

/** The name of a tone of the site's own; it can be taken away. */
function OwnTone({ setting, part, board }: OwnToneProps) {
  const { session, page } = useBench();
  const name = text(siteNode(page.document), setting);
  const [typed, setTyped] = useState(name);
  const take = () => {
    const next = typed.trim();
    if (next === '') setTyped(name);
    else if (next !== name) session.set('site', setting, '', next);
  };
  return (
    <span className="own-tone">
      <input
        className="input input-sm"
        aria-label="Name of the tone"
        value={typed}
        maxLength={40}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
      />
      <button
        type="button"
        className="link"
        title="Sections of this page wear the first tone again; those of other pages look as if they did"
        onClick={() =>
          session.edit([
            ...withoutTone(
              page.document,
              part,
              board.bands.map((each) => each.id),
            ),
          ])
        }
      >
        Take it away
      </button>
    </span>
  );
}
