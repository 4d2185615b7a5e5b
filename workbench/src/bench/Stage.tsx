import { ExternalLink } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useBench } from './context';
import { find } from './document';
import { useSize } from './useSize';

/** What the script of the stage tells the bench. */
interface Told {
  readonly type: 'ready' | 'swapped' | 'clicked';
  readonly scrollbar?: number;
  readonly item?: string;
  readonly block?: string;
  readonly section?: string;
}

/** The compiled page in a frame, shrunk when it is wider than the room for it. */
export function Stage() {
  const { session, page, catalogue, chosen, choose, width, setScrollbar } = useBench();
  const origin = catalogue.stage;
  const [box, room] = useSize<HTMLDivElement>();
  const frame = useRef<HTMLIFrameElement>(null);
  const shown = useRef('');
  const wanted = chosen.node.id;
  const latest = useRef({ document: page.document, choose, wanted });
  latest.current = { document: page.document, choose, wanted };

  const src = `${origin}/api/pages/${page.id}/preview/`;
  useEffect(() => {
    const say = (message: unknown) => frame.current?.contentWindow?.postMessage(message, origin);
    const hear = (event: MessageEvent<Told>) => {
      if (event.origin !== origin || event.source !== frame.current?.contentWindow) return;
      const told = event.data;
      if (told.type === 'ready') {
        setScrollbar(told.scrollbar ?? 0);
        if (shown.current === '') {
          shown.current = latest.current.wanted;
          say({ type: 'show', id: shown.current });
        }
      } else if (told.type === 'clicked') {
        const { document } = latest.current;
        const hit = [told.item, told.block, told.section].find((id) => id && find(document, id));
        if (!hit) return;
        shown.current = hit;
        latest.current.choose(hit);
      }
    };
    addEventListener('message', hear);
    const off = session.onSwap((swap) => {
      if (swap === 'reload') {
        if (frame.current) frame.current.src = src;
      } else say({ type: 'swap', ...swap });
    });
    return () => {
      removeEventListener('message', hear);
      off();
    };
  }, [session, origin, src, setScrollbar]);
  useEffect(() => {
    if (shown.current === '' || shown.current === wanted) return;
    shown.current = wanted;
    frame.current?.contentWindow?.postMessage({ type: 'show', id: wanted }, origin);
  }, [wanted, origin]);

  const scale = room.width > 0 ? Math.min(1, room.width / width) : 1;
  return (
    <div ref={box} className="stage-ground relative min-h-0 flex-1 overflow-hidden">
      <iframe
        ref={frame}
        title={`The page at ${width} px`}
        src={src}
        className="absolute top-0 origin-top-left border-0 bg-white"
        style={{
          width,
          height: room.height / scale,
          left: Math.max(0, (room.width - width * scale) / 2),
          transform: `scale(${scale})`,
        }}
      />
      <div className="stage-note">
        <span>
          {width} px{scale < 1 ? `, shown at ${Math.round(scale * 100)} %` : ''}
        </span>
        <a href={src} target="_blank" rel="noreferrer" title="Open the stage in a tab of its own">
          <ExternalLink size={14} aria-hidden />
          <span className="sr-only">Open the stage in a tab of its own</span>
        </a>
      </div>
    </div>
  );
}
