import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { api, ask, type Cost, type NodeBody } from '../api/client';
import { isPiece, useBench, versionOf } from '../bench/context';
import { nameOf, pathTo, walk } from '../bench/document';
import { useSize } from '../bench/useSize';
import { size } from '../media/format';
import { Dialog, useClose } from '../ui/Dialog';

/** Device px for a px that bytes are told for: most laptops and tablets. */
const DENSITY = 2;

/** What one and the same piece costs in two of its ways, side by side. */
export function Costs({ onClose }: { readonly onClose: () => void }) {
  const { page, catalogue, chosen } = useBench();
  const pieces = [...walk(page.document.page)]
    .map(({ node }) => node)
    .filter((node) => isPiece(catalogue, node.type));
  // The piece that is worked on, or whose item or panel is; the first where none is.
  const within = [...pathTo(page.document.page, chosen.node.id), chosen.node.id].reverse();
  const own = within.find((id) => pieces.some((each) => each.id === id)) ?? pieces[0]?.id ?? '';
  const [piece, setPiece] = useState(own);
  return (
    <Dialog label="What it costs" className="costs" onClose={onClose}>
      {piece === '' ? (
        <p className="faint">There is no piece on this page yet: nothing to compare.</p>
      ) : (
        <Both key={piece} piece={piece} pieces={pieces} onPiece={setPiece} />
      )}
    </Dialog>
  );
}

interface BothProps {
  readonly piece: string;
  readonly pieces: readonly NodeBody[];
  onPiece(id: string): void;
}

function Both({ piece, pieces, onPiece }: BothProps) {
  const { page, session } = useBench();
  const close = useClose();
  const version = versionOf(page);
  const ways = useQuery({
    queryKey: ['alternatives', page.id, version, piece],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/alternatives', {
          params: { path: { id: page.id }, query: { piece } },
        }),
      ),
  });
  const all = ways.data ?? [];
  const [left, setLeft] = useState('');
  const [right, setRight] = useState<string>();
  const other = right ?? all[1]?.id ?? '';
  const one = useCost(piece, left, ways.isSuccess);
  const two = useCost(piece, other, ways.isSuccess && all.length > 1);
  const take = (id: string) => {
    const way = all.find((each) => each.id === id);
    if (!way || way.edits.length === 0) return;
    session.edit(way.edits);
    close();
  };
  const choice = (label: string, value: string, set: (id: string) => void, first: boolean) => (
    <div className="costs-way">
      <label>
        <span className="sr-only">{label}</span>
        <select
          className="select select-sm"
          data-first={first || undefined}
          value={value}
          onChange={(event) => set(event.target.value)}
        >
          {all.map((each) => (
            <option key={each.id} value={each.id}>
              {each.label}
            </option>
          ))}
        </select>
      </label>
      <Drawn piece={piece} way={value} title={all.find((each) => each.id === value)?.label ?? ''} />
      {value !== '' && (
        <button type="button" className="tape-chip" onClick={() => take(value)}>
          Take it
        </button>
      )}
      <Unfit what={all.find((each) => each.id === value)?.unfit ?? []} />
    </div>
  );
  const failed = ways.error ?? one.error ?? two.error;
  return (
    <>
      <div className="costs-head">
        <h2 className="font-serif text-xl">What it costs</h2>
        <label>
          <span className="sr-only">Of which piece</span>
          <select
            className="select select-sm"
            value={piece}
            onChange={(event) => onPiece(event.target.value)}
          >
            {pieces.map((each) => (
              <option key={each.id} value={each.id}>
                {nameOf(each)}
              </option>
            ))}
          </select>
        </label>
        <span className="faint">the same content in two ways, on this page</span>
        <button type="button" className="tape-chip line-up-close" onClick={close}>
          Close
        </button>
      </div>
      {failed && (
        <p className="text-error" role="alert">
          {failed.message}
        </p>
      )}
      {ways.isSuccess && (
        <div className="costs-room">
          <div className="costs-ways">
            {choice('One way', left, setLeft, false)}
            {choice('The other way', other, setRight, true)}
          </div>
          <div className="costs-figures" aria-live="polite" aria-busy={!one.data || !two.data}>
            {one.data && two.data ? (
              <Figures one={one.data} two={two.data} />
            ) : (
              <p className="faint">{failed ? '' : 'Weighing both…'}</p>
            )}
          </div>
        </div>
      )}
    </>
  );
}

function useCost(piece: string, way: string, enabled: boolean) {
  const { page, on } = useBench();
  return useQuery({
    queryKey: ['costs', page.id, versionOf(page), piece, way, on],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/costs', {
          params: { path: { id: page.id }, query: { piece, way, on } },
        }),
      ),
    enabled,
  });
}

/** What a way does not show. */
function Unfit({ what }: { readonly what: readonly string[] }) {
  if (what.length === 0) return null;
  return <p className="faint costs-unfit">without {what.join(', ').toLowerCase()}</p>;
}

/** The piece in a way, at the width of the stage. */
function Drawn({
  piece,
  way,
  title,
}: {
  readonly piece: string;
  readonly way: string;
  readonly title: string;
}) {
  const { page, catalogue, width, on } = useBench();
  const [box, room] = useSize<HTMLDivElement>();
  const scale = room.width / width;
  const asked = new URLSearchParams({ only: piece, alternative: way, at: versionOf(page) });
  if (on !== undefined) asked.set('on', String(on));
  return (
    <div ref={box} className="costs-frame">
      {scale > 0 && (
        <iframe
          title={title}
          tabIndex={-1}
          aria-hidden="true"
          src={`${catalogue.stage}/api/pages/${page.id}/preview/?${asked}`}
          style={{
            width,
            height: Math.ceil(room.height / scale),
            transform: `scale(${scale})`,
          }}
        />
      )}
    </div>
  );
}

const bytes = (cost: Cost, at: number) => cost.bands[at]?.all[DENSITY - 1] ?? 0;

const px = (value: number) => `${Math.round(value).toLocaleString('en-GB').replace(',', ' ')} px`;

/** Height and bytes of both, band by band, and what is found on each. */
function Figures({ one, two }: { readonly one: Cost; readonly two: Cost }) {
  const rows = one.bands.map((band, at) => ({
    band,
    figures: [
      { what: 'this piece', by: [band.piece, two.bands[at]?.piece ?? 0], say: px },
      { what: 'the whole page', by: [band.page, two.bands[at]?.page ?? 0], say: px },
      { what: 'on the way', by: [bytes(one, at), bytes(two, at)], say: size },
    ] as const,
  }));
  return (
    <>
      <table>
        <thead>
          <tr>
            <th scope="col">
              <span className="sr-only">Band</span>
            </th>
            <th scope="col">
              <span className="sr-only">What</span>
            </th>
            <th scope="col">{one.label}</th>
            <th scope="col">{two.label}</th>
            <th scope="col">difference</th>
          </tr>
        </thead>
        {rows.map(({ band, figures }) => (
          <tbody key={band.band}>
            {figures.map(({ what, by, say }, at) => (
              <tr key={what}>
                {at === 0 && (
                  <th scope="rowgroup" rowSpan={figures.length}>
                    {band.name}, {band.width} px
                  </th>
                )}
                <td>{what}</td>
                <td>
                  {say(by[0])}
                  <Bar of={by[0]} most={Math.max(...by)} />
                </td>
                <td>
                  {say(by[1])}
                  <Bar of={by[1]} most={Math.max(...by)} other />
                </td>
                <td>{apart(by[1] - by[0], say)}</td>
              </tr>
            ))}
          </tbody>
        ))}
      </table>
      <p>
        <Found cost={one} /> <Found cost={two} />
      </p>
      <p className="faint">
        On the way is all of the page for who sees every picture of it, on a screen of {DENSITY} px
        for a px; clips come as they are played. Heights are those of the engine.
      </p>
    </>
  );
}

function apart(by: number, say: (n: number) => string): ReactNode {
  if (Math.abs(by) < 0.5) return <span className="faint">the same</span>;
  return `${by > 0 ? '+' : '−'}${say(Math.abs(by))}`;
}

function Bar({
  of,
  most,
  other = false,
}: {
  readonly of: number;
  readonly most: number;
  readonly other?: boolean;
}) {
  return (
    <span
      className="costs-bar"
      data-other={other || undefined}
      style={{ inlineSize: `${(100 * of) / Math.max(1, most)}%` }}
      aria-hidden
    />
  );
}

/** What is found on the page in a way, against the page as it is. */
function Found({ cost }: { readonly cost: Cost }) {
  const all = cost.breaks + cost.hurts + cost.hints;
  return (
    <span className="costs-found">
      <b>{cost.label}</b>: {all === 1 ? '1 snag' : `${all} snags`}
      {cost.mends > 0 && `, ${cost.mends} of now gone`}
      {cost.brings.length > 0 && `; new: ${cost.brings.join('; ')}`}
      {cost.more > 0 && ` and ${cost.more} more`}.
    </span>
  );
}
