import { useCallback, useEffect, useRef, useState } from 'react';
import type { OwnPage } from '../api/client';

/** What elements carry that can be pointed at; as the server numbers them. */
const NUMBER = 'data-giostra-at';

export interface Box {
  readonly width: number;
  readonly height: number;
}

interface Props {
  readonly src: string;
  readonly title: string;
  /** Of the page's window, px. */
  readonly width: number;
  readonly room: Box;
  readonly spots: OwnPage['spots'];
  readonly spot: number | undefined;
  /** The place that is looked for. */
  readonly shown: string;
  onPick(spot: number): void;
}

interface Marked {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/**
 * A page that somebody brought, as it looks, to be pointed at. It is of our origin and may run
 * nothing, so that all that happens to it happens from here.
 */
export function OwnFrame({ src, title, width, room, spots, spot, shown, onPick }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [over, setOver] = useState<number>();
  const [marks, setMarks] = useState<readonly (Marked | undefined)[]>([]);
  const scale = Math.min(1, room.width / width);
  const high = room.height / scale;
  const takes = useRef(new Set<number>());
  takes.current = new Set(spots.filter((each) => each.sides.length > 0).map((each) => each.number));
  const inside = () => frame.current?.contentDocument ?? undefined;
  const element = useCallback(
    (number: number | undefined) =>
      number === undefined
        ? undefined
        : (frame.current?.contentDocument?.querySelector(`[${NUMBER}="${number}"]`) ?? undefined),
    [],
  );
  const measure = useCallback(() => {
    setMarks(
      [over, spot].map((each) => {
        const box = element(each)?.getBoundingClientRect();
        return (
          box && {
            left: box.left * scale,
            top: box.top * scale,
            width: box.width * scale,
            height: box.height * scale,
          }
        );
      }),
    );
  }, [over, spot, scale, element]);
  useEffect(measure, [measure]);
  useEffect(() => {
    element(spot)?.scrollIntoView({ block: 'nearest' });
    measure();
  }, [spot, element, measure]);
  useEffect(() => {
    if (shown === '') return;
    const place = frame.current?.contentDocument?.querySelector(`[data-giostra-place="${shown}"]`);
    place?.firstElementChild?.scrollIntoView({ block: 'center' });
    measure();
  }, [shown, measure]);
  const pointed = (event: React.PointerEvent): number | undefined => {
    const box = event.currentTarget.getBoundingClientRect();
    let at: Element | null | undefined = inside()?.elementFromPoint(
      (event.clientX - box.left) / scale,
      (event.clientY - box.top) / scale,
    );
    for (; at; at = at.parentElement) {
      const number = at.getAttribute(NUMBER);
      if (number !== null && takes.current.has(Number(number))) return Number(number);
    }
    return undefined;
  };
  return (
    <>
      <iframe
        ref={frame}
        title={title}
        tabIndex={-1}
        src={src}
        sandbox="allow-same-origin"
        style={{ width, height: high, transform: `scale(${scale})` }}
        onLoad={() => {
          inside()?.addEventListener('scroll', measure, { passive: true });
          measure();
        }}
      />
      <div
        className="own-over"
        aria-hidden
        style={{ width: width * scale }}
        onPointerMove={(event) => setOver(pointed(event))}
        onPointerLeave={() => setOver(undefined)}
        onClick={(event) => {
          const number = pointed(event as unknown as React.PointerEvent);
          if (number !== undefined) onPick(number);
        }}
        onWheel={(event) => {
          frame.current?.contentWindow?.scrollBy(event.deltaX, event.deltaY / scale);
          measure();
        }}
      >
        {marks.map(
          (mark, place) =>
            mark && (
              <span
                key={place === 0 ? 'over' : 'chosen'}
                className={place === 0 ? 'own-mark' : 'own-mark own-mark-chosen'}
                style={mark}
              />
            ),
        )}
      </div>
    </>
  );
}
