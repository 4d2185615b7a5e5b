import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Reviewed } from '../api/client';
import { Brand } from '../Brand';
import { useSize } from '../bench/useSize';
import { may, useMe } from '../people/me';
import { ThemeButton } from '../ThemeButton';
import { Remarks } from './Remarks';

const day = new Intl.DateTimeFormat('en', { dateStyle: 'long' });

/** What the script of the stage tells. */
interface Told {
  readonly type: string;
  readonly ids?: readonly string[];
  readonly top?: number;
}

/** A page for those who look at it and say what they think. */
export function ReviewPage({ page }: { readonly page: string }) {
  const reviewed = useQuery({
    queryKey: ['review', page],
    queryFn: () => ask(api.GET('/api/pages/{id}/review', { params: { path: { id: page } } })),
  });
  if (reviewed.isError) {
    return (
      <main className="way-in">
        <Brand />
        <h1 className="font-serif text-3xl">This page cannot be looked at</h1>
        <p role="alert">{reviewed.error.message}</p>
      </main>
    );
  }
  return reviewed.data ? <Opened reviewed={reviewed.data} /> : <p className="p-8">Opening…</p>;
}

/** Widths that pages are looked at with; another one comes with a remark. */
const WIDTHS: readonly (readonly [number, string])[] = [
  [390, 'Phone'],
  [820, 'Tablet'],
  [1280, 'Desktop'],
];

function Opened({ reviewed }: { readonly reviewed: Reviewed }) {
  const me = useMe();
  const [width, setWidth] = useState(() => (innerWidth < 1000 ? 390 : 1280));
  const [at, setAt] = useState('page');
  const guest = me?.review != null;
  const site = reviewed.site;
  useEffect(() => {
    document.title = `${reviewed.title || 'Untitled'} · review`;
  }, [reviewed.title]);
  const spots = reviewed.spots.map(({ id, called, within }) => ({
    id,
    called,
    depth: Math.max(0, within.length - 1),
  }));
  return (
    <div className="review">
      <header className="topbar review-bar">
        <Brand />
        <h1 className="min-w-0 truncate font-semibold" title={reviewed.title}>
          {reviewed.title || 'Untitled'}
        </h1>
        <span className="faint review-until">
          {reviewed.release == null ? 'as it stands' : `release ${reviewed.release}`}
          {reviewed.until && `, until ${day.format(new Date(reviewed.until))}`}
        </span>
        <fieldset className="review-widths">
          <legend className="sr-only">Width of the screen</legend>
          {WIDTHS.map(([px, called]) => (
            <button
              key={px}
              type="button"
              className="tape-chip"
              aria-pressed={width === px}
              onClick={() => setWidth(px)}
            >
              {called} <span className="faint">{px}</span>
            </button>
          ))}
        </fieldset>
        {!guest && (
          <Link to="/" className="link">
            Shelf
          </Link>
        )}
        <ThemeButton />
      </header>
      <main className="review-two">
        <ReviewStage reviewed={reviewed} width={width} at={at} onAt={setAt} />
        <aside aria-label="Remarks" className="review-aside">
          <p className="faint">
            Press on the page where you have something to say, or choose the place here.
          </p>
          <Remarks
            page={reviewed.page}
            spots={spots}
            at={at}
            width={width}
            onAt={(node, px) => {
              setAt(node);
              if (px !== undefined) setWidth(px);
            }}
            guest={guest}
            ticks={may(me, site, 'writer')}
            drops={may(me, site, 'designer')}
            person={me?.id ?? ''}
          />
        </aside>
      </main>
    </div>
  );
}

interface StageProps {
  readonly reviewed: Reviewed;
  readonly width: number;
  readonly at: string;
  onAt(node: string): void;
}

const HIGH = 800;

/** The page in a frame as wide as is said, made small where the room is narrower. */
function ReviewStage({ reviewed, width, at, onAt }: StageProps) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [box, room] = useSize<HTMLDivElement>();
  const wanted = useRef(at);
  wanted.current = at;
  const origin = reviewed.stage;
  const scale = room.width > 0 ? Math.min(1, room.width / width) : 1;
  const high = Math.max(HIGH, room.height / scale);
  useEffect(() => {
    const say = (message: unknown) => frame.current?.contentWindow?.postMessage(message, origin);
    const hear = (event: MessageEvent<Told>) => {
      if (event.origin !== origin || event.source !== frame.current?.contentWindow) return;
      if (event.data.type === 'ready' && wanted.current !== 'page') {
        say({ type: 'mark', id: wanted.current });
      }
      if (event.data.type === 'clicked' || event.data.type === 'opened') {
        const hit = event.data.ids?.find((id) => reviewed.spots.some((spot) => spot.id === id));
        if (hit) onAt(hit);
      }
    };
    addEventListener('message', hear);
    return () => removeEventListener('message', hear);
  }, [origin, reviewed, onAt]);
  useEffect(() => {
    const say = (message: unknown) => frame.current?.contentWindow?.postMessage(message, origin);
    if (at !== 'page') say({ type: 'show', id: at });
    say({ type: 'mark', id: at });
  }, [at, origin]);
  return (
    <div ref={box} className="stage-ground review-stage">
      <div className="stage-scroll" tabIndex={high * scale > room.height ? 0 : undefined}>
        <div style={{ height: high * scale }}>
          <iframe
            ref={frame}
            title={`The page at ${width} px`}
            src={`${origin}/api/pages/${reviewed.page}/preview/`}
            className="absolute top-0 origin-top-left border-0 bg-white"
            style={{
              width,
              height: high,
              left: Math.max(0, (room.width - width * scale) / 2),
              transform: `scale(${scale})`,
            }}
          />
        </div>
      </div>
    </div>
  );
}
