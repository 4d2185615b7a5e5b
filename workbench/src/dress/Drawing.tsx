import { useEffect, useRef, useState } from 'react';
import type { PartReply } from '../api/client';
import { useBench } from '../bench/context';
import { useKept } from '../bench/useKept';
import { DRAWN } from './at';

interface Props {
  /** The block that has the part; none for the page. */
  readonly block: string;
  /** The item or the pin that is looked at, as a selector; empty for any. */
  readonly of: string;
  readonly version: string;
  readonly bead: PartReply;
  /** Of the screen that it is drawn for, px. */
  readonly width: number;
  /** Where the first column begins, and how wide each is, px. */
  readonly left: number;
  readonly each: number;
}

/**
 * The part in each of its states as compiled: one frame over all columns, in which copies of the
 * page stand still. The next one is drawn behind the one that shows, so that nothing flickers.
 */
export function Drawing({ block, of, version, bead, width, left, each }: Props) {
  const { page, catalogue } = useBench();
  const [high] = useKept('screen', catalogue.screenHeight);
  const wanted = `${catalogue.stage}/api/pages/${page.id}/preview/?${new URLSearchParams({
    ...(block ? { only: block } : {}),
    at: version,
  })}`;
  const [shown, setShown] = useState(wanted);
  const [there, setThere] = useState<readonly boolean[]>([]);
  const frames = useRef<HTMLDivElement>(null);
  const message = {
    type: 'draw',
    elements: bead.elements,
    current: bead.current,
    states: bead.states,
    of,
    width,
    height: high,
    high: DRAWN,
    cells: bead.states.map((_, index) => ({ left: index * each, width: each })),
  };
  const latest = useRef(message);
  latest.current = message;
  const written = JSON.stringify(message);
  useEffect(() => {
    const hear = (event: MessageEvent<{ type: string; there?: readonly boolean[] }>) => {
      if (event.origin !== catalogue.stage) return;
      const frame = [...(frames.current?.querySelectorAll('iframe') ?? [])].find(
        (one) => one.contentWindow === event.source,
      );
      if (!frame) return;
      if (event.data.type === 'ready') {
        frame.contentWindow?.postMessage(latest.current, catalogue.stage);
      } else if (event.data.type === 'drawn') {
        setThere(event.data.there ?? []);
        setShown(frame.dataset.src ?? '');
      }
    };
    addEventListener('message', hear);
    return () => removeEventListener('message', hear);
  }, [catalogue.stage]);
  useEffect(() => {
    void written;
    for (const frame of frames.current?.querySelectorAll('iframe') ?? [])
      frame.contentWindow?.postMessage(latest.current, catalogue.stage);
  }, [written, catalogue.stage]);
  const sources = shown === wanted ? [wanted] : [shown, wanted];
  const wide = each * bead.states.length;
  return (
    <div ref={frames} className="drawing" style={{ left, width: wide, height: DRAWN }}>
      {sources.map((src) => (
        <iframe
          key={src}
          src={src}
          data-src={src}
          title={`${bead.label} in each state`}
          tabIndex={-1}
          aria-hidden="true"
          style={{ width: wide, height: Math.max(high, DRAWN), opacity: src === shown ? 1 : 0 }}
        />
      ))}
      {bead.states.map((state, index) =>
        there[index] === false ? (
          <span
            key={state}
            className="drawing-none faint"
            style={{ left: index * each, width: each }}
          >
            not on show here
          </span>
        ) : null,
      )}
    </div>
  );
}
