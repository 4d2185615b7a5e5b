import { X } from 'lucide-react';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { Finding } from '../api/client';
import { bandAt, columnsOf, useBench, versionOf } from '../bench/context';
import { NARROWEST, onTape, WIDEST } from '../bench/scale';
import { useSize } from '../bench/useSize';
import { Dialog, useClose } from '../ui/Dialog';
import { AllHeights } from './AllHeights';

const USUAL = [360, 800, 1280, 1920];
const MOST = 6;
const GAP = 18;

/** Px that a turn of the wheel scrolls, of a page's own. */
const PAGE = 9000;

interface Props {
  readonly snags: readonly Finding[];
  onClose(): void;
}

/** The page at several widths side by side, all on one scale, scrolled together. */
export function LineUp({ snags, onClose }: Props) {
  return (
    <Dialog label="Line-up" className="line-up" onClose={onClose}>
      <Ways snags={snags} />
    </Dialog>
  );
}

/** As frames that are scrolled together, or whole, each as high as it is. */
function Ways({ snags }: { readonly snags: readonly Finding[] }) {
  const close = useClose();
  const [whole, setWhole] = useState(false);
  const head = (
    <>
      <h2 className="font-serif text-xl">Line-up</h2>
      <span className="line-up-ways" role="group" aria-label="Seen">
        <button
          type="button"
          className="tape-chip"
          aria-pressed={!whole}
          onClick={() => setWhole(false)}
        >
          side by side
        </button>
        <button
          type="button"
          className="tape-chip"
          aria-pressed={whole}
          onClick={() => setWhole(true)}
        >
          all heights
        </button>
      </span>
    </>
  );
  const away = (
    <button type="button" className="tape-chip line-up-close" onClick={close}>
      Close
    </button>
  );
  if (!whole) return <Frames snags={snags} head={head} away={away} />;
  return (
    <>
      <div className="line-up-head">
        {head}
        <span className="faint">
          the whole page, to scale; the engine’s own boxes, a mark for what is found
        </span>
        {away}
      </div>
      <AllHeights snags={snags} />
    </>
  );
}

interface FramesProps {
  readonly snags: readonly Finding[];
  readonly head: ReactNode;
  readonly away: ReactNode;
}

function Frames({ snags, head, away }: FramesProps) {
  const { page, catalogue, stress } = useBench();
  const [widths, setWidths] = useState<readonly number[]>(USUAL);
  const [share, setShare] = useState(0);
  const [typed, setTyped] = useState('');
  const [box, room] = useSize<HTMLDivElement>();
  const frames = useRef<HTMLDivElement>(null);
  const sum = widths.reduce((all, each) => all + each, 0);
  const scale = (room.width - GAP * (widths.length - 1)) / Math.max(1, sum);
  const src = `${catalogue.stage}/api/pages/${page.id}/preview/?at=${versionOf(page)}&stress=${stress}`;
  const tell = useRef(() => {});
  tell.current = () => {
    for (const frame of frames.current?.querySelectorAll('iframe') ?? [])
      frame.contentWindow?.postMessage({ type: 'scroll', share }, catalogue.stage);
  };
  useEffect(() => tell.current(), [share, widths]);
  useEffect(() => {
    const hear = (event: MessageEvent<{ type: string }>) => {
      if (event.origin === catalogue.stage && event.data.type === 'ready') tell.current();
    };
    addEventListener('message', hear);
    return () => removeEventListener('message', hear);
  }, [catalogue.stage]);
  const add = (width: number) => {
    const next = onTape(width);
    if (!widths.includes(next) && widths.length < MOST) {
      setWidths([...widths, next].sort((a, b) => a - b));
    }
  };
  const wanted = Number(typed);
  const wrong =
    typed !== '' && !(Number.isInteger(wanted) && wanted >= NARROWEST && wanted <= WIDEST);
  const full = widths.length >= MOST;
  const troubled = [...new Set(snags.map((each) => each.from))]
    .filter((each) => !widths.includes(each))
    .sort((a, b) => a - b);
  return (
    <>
      <div className="line-up-head">
        {head}
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (wrong || full || typed === '') return;
            add(wanted);
            setTyped('');
          }}
        >
          <label>
            Another width
            <input
              value={typed}
              inputMode="numeric"
              placeholder="1210"
              aria-invalid={wrong}
              // Whoever has just typed the last one is still in it: what is off takes no keys.
              readOnly={full}
              onChange={(event) => setTyped(event.target.value.trim())}
            />
          </label>
          {wrong && (
            <span role="alert" className="text-error">
              {typed} is none: a whole width from {NARROWEST} to {WIDEST} px
            </span>
          )}
          {full && <span className="faint">{MOST} at the most</span>}
        </form>
        {troubled.length > 0 && !full && (
          <span className="line-up-troubled" role="group" aria-label="Widths with snags">
            <span className="faint">where something is found</span>
            {troubled.slice(0, 5).map((each) => (
              <button key={each} type="button" className="tape-chip" onClick={() => add(each)}>
                {each}
              </button>
            ))}
          </span>
        )}
        {away}
      </div>
      <div
        ref={box}
        className="line-up-room"
        onWheel={(event) => setShare((now) => Math.min(1, Math.max(0, now + event.deltaY / PAGE)))}
      >
        <div ref={frames} className="line-up-frames" style={{ gap: GAP }}>
          {room.width > 0 &&
            widths.map((width) => {
              const its = snags.filter((each) => width >= each.from && width <= each.to);
              const high = Math.max(200, room.height - 40);
              return (
                <figure key={width} style={{ width: width * scale }}>
                  <figcaption>
                    <b>{width}</b>
                    <span className="faint">{bandAt(columnsOf(page), width)?.name}</span>
                    {its.length > 0 && (
                      <span
                        className="line-up-snags"
                        title={its.map((each) => each.message).join('\n')}
                      >
                        {its.length}
                        <span className="sr-only">
                          {' '}
                          found here: {its.map((each) => each.message).join('; ')}
                        </span>
                      </span>
                    )}
                    {widths.length > 1 && (
                      <button
                        type="button"
                        aria-label={`Take ${width} px away`}
                        onClick={() => setWidths(widths.filter((each) => each !== width))}
                      >
                        <X size={12} aria-hidden />
                      </button>
                    )}
                  </figcaption>
                  <div className="line-up-page" style={{ height: high }}>
                    <iframe
                      title={`The page at ${width} px`}
                      tabIndex={-1}
                      src={src}
                      style={{ width, height: high / scale, transform: `scale(${scale})` }}
                    />
                  </div>
                </figure>
              );
            })}
        </div>
        <input
          type="range"
          className="line-up-scroll"
          aria-label="How far all are scrolled"
          aria-orientation="vertical"
          min={0}
          max={1000}
          value={Math.round(share * 1000)}
          aria-valuetext={`${Math.round(share * 100)} % of the page`}
          onChange={(event) => setShare(Number(event.target.value) / 1000)}
        />
      </div>
    </>
  );
}
