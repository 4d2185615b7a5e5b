import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, ask, type Release } from '../api/client';
import { useBench, versionOf } from '../bench/context';
import { COMMON, NARROWEST, WIDEST } from '../bench/scale';
import { useSize } from '../bench/useSize';
import { Dialog, useClose } from '../ui/Dialog';

/** What moves by itself would soon be at two places. */
const STILL = 'reduced-motion';

/** Stands for the page as it is, where a release has its number. */
const NOW = 'now';

interface Props {
  readonly releases: readonly Release[];
  readonly from: number;
  readonly to: number | typeof NOW;
  onClose(): void;
}

/** Ways of seeing both. */
const WAYS = [
  ['wiped', 'one over the other'],
  ['beside', 'side by side'],
  ['differing', 'where they differ'],
] as const;

/**
 * Two releases, or one and the page as it stands: side by side, one wiped over the other, or the
 * difference of their pixels.
 */
export function Compare({ releases, from, to, onClose }: Props) {
  return (
    <Dialog label="Compare releases" className="line-up" onClose={onClose}>
      <Pages releases={releases} from={`${from}`} to={`${to}`} />
    </Dialog>
  );
}

interface PagesProps {
  readonly releases: readonly Release[];
  readonly from: string;
  readonly to: string;
}

function Pages({ releases, from, to }: PagesProps) {
  const { page, catalogue } = useBench();
  const close = useClose();
  const [sides, setSides] = useState<readonly [string, string]>([from, to]);
  const [way, setWay] = useState<(typeof WAYS)[number][0]>('wiped');
  const wiped = way === 'wiped';
  const beside = way === 'beside';
  const [at, setAt] = useState(50);
  const [width, setWidth] = useState(1280);
  const [typed, setTyped] = useState('');
  const [top, setTop] = useState(0);
  const [box, room] = useSize<HTMLDivElement>();
  const frames = useRef<HTMLDivElement>(null);
  const strips = useQuery({
    queryKey: ['compare', page.id, versionOf(page), width],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/strips', {
          params: { path: { id: page.id }, query: { at: [width] } },
        }),
      ),
  });
  const scale = Math.min(1, (beside ? (room.width - 18) / 2 : room.width) / width);
  const high = Math.max(200, room.height - 34);
  const most = Math.max(0, (strips.data?.[0]?.height ?? 0) - high / scale);
  // Before a page is there, its frame is of another origin.
  const there = useRef(false);
  const tell = useRef(() => {});
  tell.current = () => {
    if (!there.current) return;
    for (const frame of frames.current?.querySelectorAll('iframe') ?? [])
      frame.contentWindow?.postMessage({ type: 'scroll', top }, catalogue.stage);
  };
  useEffect(() => tell.current(), [top, width, way]);
  useEffect(() => {
    const hear = (event: MessageEvent<{ type: string }>) => {
      if (event.origin === catalogue.stage && event.data.type === 'ready') {
        there.current = true;
        tell.current();
      }
    };
    addEventListener('message', hear);
    return () => removeEventListener('message', hear);
  }, [catalogue.stage]);
  const src = (side: string) => {
    const line = releases.find((each) => `${each.line.number}` === side)?.line;
    const stage = `${catalogue.stage}/api/pages/${page.id}/preview/`;
    return line
      ? `${stage}?assume=${STILL}&revision=${line.revision}&siteRevision=${line.siteRevision}`
      : `${stage}?assume=${STILL}&at=${versionOf(page)}`;
  };
  const said = (side: string) => (side === NOW ? 'The page as it stands' : `Release ${side}`);
  const wanted = Number(typed);
  const wrong =
    typed !== '' && !(Number.isInteger(wanted) && wanted >= NARROWEST && wanted <= WIDEST);
  const scrolled = (to: number) => setTop(Math.min(most, Math.max(0, to)));
  return (
    <>
      <div className="line-up-head">
        <h2 className="font-serif text-xl">Compare</h2>
        {sides.map((side, place) => (
          <select
            key={place === 0 ? 'one' : 'other'}
            className="select select-sm w-auto"
            aria-label={place === 0 ? 'One' : 'Other'}
            value={side}
            onChange={(event) =>
              setSides(
                place === 0 ? [event.target.value, sides[1]] : [sides[0], event.target.value],
              )
            }
          >
            {[...releases.map((each) => `${each.line.number}`), NOW].map((each) => (
              <option key={each} value={each}>
                {said(each)}
              </option>
            ))}
          </select>
        ))}
        <span className="line-up-ways" role="group" aria-label="Seen">
          {WAYS.map(([each, label]) => (
            <button
              key={each}
              type="button"
              className="tape-chip"
              aria-pressed={way === each}
              onClick={() => setWay(each)}
            >
              {label}
            </button>
          ))}
        </span>
        <form
          className="line-up-ways"
          onSubmit={(event) => {
            event.preventDefault();
            if (wrong || typed === '') return;
            setWidth(wanted);
            setTyped('');
          }}
        >
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
          <label>
            <span className="sr-only">Width in px</span>
            <input
              value={typed}
              inputMode="numeric"
              placeholder={`${width}`}
              aria-invalid={wrong}
              onChange={(event) => setTyped(event.target.value.trim())}
            />
          </label>
          {wrong && (
            <span role="alert" className="text-error">
              {typed} is none: a whole width from {NARROWEST} to {WIDEST} px
            </span>
          )}
        </form>
        <button type="button" className="tape-chip line-up-close" onClick={close}>
          Close
        </button>
      </div>
      <div
        ref={box}
        className="line-up-room"
        onWheel={(event) => scrolled(top + event.deltaY / Math.max(0.1, scale))}
      >
        <div
          ref={frames}
          className={
            beside
              ? 'line-up-frames compare-beside'
              : `compare-wiped ${wiped ? '' : 'compare-differing'}`
          }
        >
          {room.width > 0 &&
            sides.map((side, place) => (
              <figure
                key={`${place} ${side}`}
                style={{
                  width: width * scale,
                  clipPath: wiped && place === 1 ? `inset(0 0 0 ${at}%)` : undefined,
                }}
              >
                <figcaption className={place === 1 ? 'compare-other' : ''}>
                  <b>{said(side)}</b>
                </figcaption>
                <div className="line-up-page" style={{ height: high }}>
                  <iframe
                    title={`${said(side)} at ${width} px`}
                    tabIndex={-1}
                    src={src(side)}
                    style={{ width, height: high / scale, transform: `scale(${scale})` }}
                  />
                </div>
              </figure>
            ))}
          {wiped && (
            <>
              <div
                className="compare-line"
                style={{ left: (width * scale * at) / 100, height: high }}
              />
              <input
                type="range"
                className="compare-wipe"
                style={{ width: width * scale }}
                aria-label="Where one ends and the other begins"
                min={0}
                max={100}
                value={at}
                aria-valuetext={`${at} % from the left`}
                onChange={(event) => setAt(Number(event.target.value))}
              />
            </>
          )}
        </div>
        <input
          type="range"
          className="line-up-scroll"
          aria-label="How far both are scrolled"
          aria-orientation="vertical"
          min={0}
          max={Math.round(most)}
          value={Math.round(top)}
          aria-valuetext={`${Math.round(top)} px from the top`}
          onChange={(event) => scrolled(Number(event.target.value))}
        />
      </div>
    </>
  );
}
