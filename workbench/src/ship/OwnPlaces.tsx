import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Download, FileUp } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { api, ask, type OwnPage, send } from '../api/client';
import { isPiece, useBench } from '../bench/context';
import { nameOf, walk } from '../bench/document';
import { COMMON } from '../bench/scale';
import { useSize } from '../bench/useSize';
import { useClose } from '../ui/Dialog';
import { FilePick } from '../ui/FilePick';
import { type Box, OwnFrame } from './OwnFrame';

type Place = OwnPage['places'][number];
type Spot = OwnPage['spots'][number];
type Side = Place['side'];
type Form = Place['form'];

const SIDES: Readonly<Record<Side, string>> = {
  BEFORE: 'Before it',
  FIRST: 'In it, first',
  LAST: 'In it, last',
  AFTER: 'After it',
  INSTEAD: 'In its place',
};

const FORMS: readonly (readonly [Form, string])[] = [
  ['FOLLOWS', 'follows releases'],
  ['STAYS', 'stays with the release'],
  ['PLAIN', 'without script'],
];

/** A page that somebody brought: what stands in which places of it. */
export function OwnPlaces({ own }: { readonly own: string }) {
  const { page } = useBench();
  const key = ['own-page', page.id, own];
  const opened = useQuery({
    queryKey: key,
    queryFn: () =>
      ask(api.GET('/api/pages/{id}/own-pages/{own}', { params: { path: { id: page.id, own } } })),
  });
  if (opened.isError) {
    return (
      <p role="alert" className="text-error">
        {opened.error.message}
      </p>
    );
  }
  return opened.data ? <Opened brought={opened.data} queryKey={key} /> : <p>Reading the page…</p>;
}

interface Props {
  readonly brought: OwnPage;
  readonly queryKey: readonly string[];
}

function Opened({ brought, queryKey }: Props) {
  const { page } = useBench();
  const queries = useQueryClient();
  const close = useClose();
  const [width, setWidth] = useState<number>(1280);
  const [spot, setSpot] = useState<number>();
  const [shown, setShown] = useState('');
  const [box, room] = useSize<HTMLDivElement>();
  const at = `/api/pages/${page.id}/own-pages/${brought.id}`;
  const anew = useMutation({
    mutationFn: (file: File) => send<OwnPage>(`${at}/file`, file),
    onSuccess: (now) => {
      setSpot(undefined);
      queries.setQueryData(queryKey, now);
    },
  });
  const lost = brought.places.filter(
    (each) => each.spot === null || each.spot === undefined,
  ).length;
  const back = useMutation({
    mutationFn: async () => {
      const answer = await fetch(`${at}/file`);
      if (!answer.ok) {
        const why = (await answer.json().catch(() => ({}))) as { readonly detail?: string };
        throw new Error(why.detail ?? answer.statusText);
      }
      save(await answer.blob(), brought.name);
    },
  });
  return (
    <>
      <div className="line-up-head">
        <h2 className="own-name font-serif text-xl">{brought.name}</h2>
        <span className="faint">
          {brought.encoding}
          {brought.files > 1 && `, ${brought.entry} of ${brought.files} files`}
        </span>
        <span className="line-up-ways" role="group" aria-label="Width">
          {COMMON.map((each) => (
            <button
              key={each}
              type="button"
              className="tape-chip"
              aria-pressed={width === each}
              onClick={() => setWidth(each)}
            >
              {each}
            </button>
          ))}
        </span>
        <FilePick
          accept=".html,.htm,.zip,text/html,application/zip"
          busy={anew.isPending}
          onPick={([file]) => anew.mutate(file)}
        >
          <FileUp size={15} aria-hidden /> {anew.isPending ? 'Reading…' : 'Bring it as it is now'}
        </FilePick>
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={lost > 0 || back.isPending}
          onClick={() => back.mutate()}
        >
          <Download size={15} aria-hidden /> Take it back
        </button>
        <button type="button" className="tape-chip line-up-close" onClick={close}>
          Close
        </button>
      </div>
      {lost > 0 && (
        <p className="text-error">
          {lost === 1 ? 'One place was' : `${lost} places were`} not found again. Point at where it
          is now, or take it out; until then the page is not given back.
        </p>
      )}
      {(anew.error ?? back.error) && (
        <p role="alert" className="text-error">
          {(anew.error ?? back.error)?.message}
        </p>
      )}
      <div className="own-room">
        <div ref={box} className="own-seen">
          {room.width > 0 && (
            <OwnFrame
              src={`${at}/seen/${brought.entry.split('/').map(encodeURIComponent).join('/')}?${brought.revision}`}
              title={`${brought.name} at ${width} px`}
              width={width}
              room={room as Box}
              spots={brought.spots}
              spot={spot}
              shown={shown}
              onPick={setSpot}
            />
          )}
        </div>
        <Panel
          brought={brought}
          queryKey={queryKey}
          spot={spot}
          onSpot={setSpot}
          onShow={setShown}
        />
      </div>
    </>
  );
}

interface PanelProps extends Props {
  readonly spot: number | undefined;
  onSpot(spot: number | undefined): void;
  onShow(place: string): void;
}

/** What stands where, and what is put where next. */
function Panel({ brought, queryKey, spot, onSpot, onShow }: PanelProps) {
  const { page, catalogue } = useBench();
  const queries = useQueryClient();
  const id = useId();
  const heading = useRef<HTMLHeadingElement>(null);
  const nodes = [...walk(page.document.page)]
    .map((each) => each.node)
    .filter((node) => node.type === 'section' || isPiece(catalogue, node.type));
  const [node, setNode] = useState(nodes[0]?.id ?? '');
  const [wanted, setSide] = useState<Side>('AFTER');
  const chosen = brought.spots.find((each) => each.number === spot);
  const around = chosen && holder(brought.spots, chosen);
  const side = chosen && !chosen.sides.includes(wanted) ? chosen.sides[0] : wanted;
  const put = useMutation({
    mutationFn: (places: readonly Asked[]) =>
      ask(
        api.POST('/api/pages/{id}/own-pages/{own}/places', {
          params: { path: { id: page.id, own: brought.id } },
          body: { revision: brought.revision, places: [...places] },
        }),
      ),
    onSuccess: (now) => {
      onSpot(undefined);
      queries.setQueryData(queryKey, now);
    },
    onError: () => queries.invalidateQueries({ queryKey }),
  });
  const all = brought.places.map(asked);
  const change = (place: Place, to: Partial<Asked>) =>
    put.mutate(all.map((each) => (each.id === place.id ? { ...each, ...to } : each)));
  const named = (of: string) => {
    const found = nodes.find((each) => each.id === of);
    return found ? nameOf(found) : 'no longer on the page';
  };
  return (
    <div className="own-panel">
      <h3 className="ship-head" ref={heading} tabIndex={-1}>
        {brought.places.length === 0 ? 'No places yet' : 'Places'}
      </h3>
      {brought.places.length === 0 && (
        <p className="faint">
          {brought.spots.some(takes)
            ? 'Point at something on the page, or choose it below, and say what is to stand by it.'
            : 'There is no element on this page at which something could stand.'}
        </p>
      )}
      <ul>
        {brought.places.map((place) => {
          const gone = place.spot === null || place.spot === undefined;
          return (
            <li key={place.id} className="own-place">
              <b>{named(place.node)}</b>
              <span className={gone ? 'text-error' : 'faint'}>
                {gone ? 'Not found again: it was ' : ''}
                {SIDES[place.side].toLowerCase()}: {place.called}
              </span>
              <span className="ship-actions">
                <select
                  className="select select-xs"
                  aria-label={`How ${named(place.node)} comes`}
                  value={place.form}
                  disabled={put.isPending}
                  onChange={(event) => change(place, { form: event.target.value as Form })}
                >
                  {FORMS.map(([each, label]) => (
                    <option key={each} value={each}>
                      {label}
                    </option>
                  ))}
                </select>
                {gone ? (
                  <button
                    type="button"
                    className="btn btn-xs"
                    disabled={!chosen || put.isPending}
                    onClick={() => {
                      if (chosen && side) change(place, { spot: chosen.number, side });
                    }}
                  >
                    It is here now
                  </button>
                ) : (
                  <button type="button" className="btn btn-xs" onClick={() => onShow(place.id)}>
                    Show
                  </button>
                )}
                <button
                  type="button"
                  className="btn btn-xs"
                  disabled={put.isPending}
                  aria-label={`Take ${named(place.node)} out of the page`}
                  onClick={() => {
                    put.mutate(all.filter((each) => each.id !== place.id));
                    heading.current?.focus();
                  }}
                >
                  Take out
                </button>
              </span>
            </li>
          );
        })}
      </ul>
      <h3 className="ship-head">Put something in</h3>
      <label className="own-field" htmlFor={`${id}-at`}>
        At
      </label>
      <select
        id={`${id}-at`}
        className="select select-sm"
        value={spot ?? ''}
        onChange={(event) =>
          onSpot(event.target.value === '' ? undefined : Number(event.target.value))
        }
      >
        <option value="">point at it, or choose</option>
        {brought.spots.filter(takes).map((each) => (
          <option key={each.number} value={each.number}>
            {'\u00a0\u00a0'.repeat(Math.min(each.depth, 12))}
            {each.called}
          </option>
        ))}
      </select>
      <div className="own-sides" role="group" aria-label="Where">
        <button
          type="button"
          className="tape-chip own-around"
          disabled={!around}
          onClick={() => around && onSpot(around.number)}
        >
          What is around it
        </button>
        {(Object.keys(SIDES) as Side[]).map((each) => (
          <button
            key={each}
            type="button"
            className="tape-chip"
            aria-pressed={chosen !== undefined && side === each}
            disabled={!chosen?.sides.includes(each)}
            onClick={() => setSide(each)}
          >
            {SIDES[each]}
          </button>
        ))}
      </div>
      <label className="own-field" htmlFor={`${id}-what`}>
        What
      </label>
      <select
        id={`${id}-what`}
        className="select select-sm"
        value={node}
        onChange={(event) => setNode(event.target.value)}
      >
        {nodes.map((each) => (
          <option key={each.id} value={each.id}>
            {each.type === 'section' ? 'Section: ' : ''}
            {nameOf(each)}
          </option>
        ))}
      </select>
      <p className="ship-actions">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={!chosen || !side || node === '' || put.isPending}
          onClick={() => {
            if (chosen && side) {
              put.mutate([...all, { id: '', spot: chosen.number, side, node, form: 'FOLLOWS' }]);
            }
          }}
        >
          {put.isPending ? 'Putting it there…' : 'Put it there'}
        </button>
      </p>
      {put.isError && (
        <p role="alert" className="text-error">
          {put.error.message}
        </p>
      )}
      <p className="faint">
        Nothing moves here and none of the page’s own scripts run. What is in the places is what is
        live; publish to bring in what is newer.
      </p>
    </div>
  );
}

interface Asked {
  readonly id: string;
  readonly spot?: number;
  readonly side: Side;
  readonly node: string;
  readonly form: Form;
}

/** A place as it is. */
const asked = ({ id, side, node, form }: Place): Asked => ({ id, side, node, form });

/** The nearest element that one stands in at which something can be put. */
function holder(spots: readonly Spot[], spot: Spot): Spot | undefined {
  let depth = spot.depth;
  for (const each of spots.slice(0, spot.number).reverse()) {
    if (each.depth >= depth) continue;
    if (takes(each)) return each;
    depth = each.depth;
  }
  return undefined;
}

/** Gives a file to whoever asked for it. */
function save(file: Blob, name: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

/** Whether something can be put at it. */
export const takes = (spot: Spot) => spot.sides.length > 0;
