import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { useParams } from 'react-router';
import { api, ask, type PageReply } from '../api/client';
import { Brand } from '../Brand';
import { ThemeButton } from '../ThemeButton';
import { text } from './document';
import { NARROWEST, WIDEST } from './scale';
import { Session } from './session';

/** A page on the bench. */
export function BenchPage() {
  const { id = '' } = useParams();
  const page = useQuery({
    queryKey: ['page', id],
    queryFn: () => ask(api.GET('/api/pages/{id}', { params: { path: { id } } })),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const catalogue = useQuery({
    queryKey: ['catalogue'],
    queryFn: () => ask(api.GET('/api/catalogue')),
  });
  if (page.isError) return <p className="alert alert-error m-8">{page.error.message}</p>;
  if (!page.data || !catalogue.data) return <p className="p-8">Opening the page…</p>;
  return <Bench key={id} page={page.data} stage={catalogue.data.stage} />;
}

function Bench({ page, stage }: { readonly page: PageReply; readonly stage: string }) {
  const session = useMemo(() => new Session(page), [page]);
  const now = useSyncExternalStore(session.subscribe, session.snapshot);
  const [width, setWidth] = useState(1280);
  const queries = useQueryClient();
  const publish = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/pages/{id}/releases', { params: { path: { id: page.id } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['shelf'] }),
  });
  const title = text(now.page.document.page, 'title');
  useEffect(() => {
    document.title = `${title} · Giostra`;
  }, [title]);
  return (
    <div className="flex h-full flex-col bg-base-200 text-base-content">
      <header className="flex h-12 shrink-0 items-center gap-3 border-b border-base-300 bg-base-100 px-4">
        <Brand />
        <h1 className="truncate font-semibold">{title || 'Untitled'}</h1>
        <span className="flex-1" />
        <label className="flex items-center gap-2">
          <span>Width</span>
          <input
            className="input input-sm w-24"
            type="number"
            min={NARROWEST}
            max={WIDEST}
            value={width}
            onChange={(event) => setWidth(event.target.valueAsNumber || NARROWEST)}
          />
        </label>
        <button
          type="button"
          className="btn btn-ghost btn-sm btn-square"
          aria-label="Undo"
          disabled={!now.page.canUndo}
          onClick={session.undo}
        >
          <Undo2 size={17} />
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-sm btn-square"
          aria-label="Redo"
          disabled={!now.page.canRedo}
          onClick={session.redo}
        >
          <Redo2 size={17} />
        </button>
        <ThemeButton />
        {publish.data && (
          <a className="link" href={publish.data.address} target="_blank" rel="noreferrer">
            release {publish.data.line.number} is live
          </a>
        )}
        {publish.isError && <span className="text-error">{publish.error.message}</span>}
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={publish.isPending}
          onClick={() => publish.mutate()}
        >
          Publish
        </button>
      </header>
      <Stage session={session} pageId={page.id} origin={stage} width={width} title={title} />
    </div>
  );
}

interface StageProps {
  readonly session: Session;
  readonly pageId: string;
  readonly origin: string;
  readonly width: number;
  readonly title: string;
}

/** The compiled page in a frame, shrunk when it is wider than the room for it. */
function Stage({ session, pageId, origin, width, title }: StageProps) {
  const box = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const [room, setRoom] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => entry && setRoom(entry.contentRect));
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  useEffect(
    () =>
      session.onSwap((swap) =>
        frame.current?.contentWindow?.postMessage({ type: 'swap', ...swap }, origin),
      ),
    [session, origin],
  );
  const scale = room.width > 0 ? Math.min(1, room.width / width) : 1;
  return (
    <main ref={box} className="stage-ground relative min-h-0 flex-1 overflow-hidden">
      <iframe
        ref={frame}
        title={`${title} at ${width} px`}
        src={`${origin}/api/pages/${pageId}/preview/`}
        className="absolute top-0 origin-top-left border-0 bg-white"
        style={{
          width,
          height: room.height / scale,
          left: Math.max(0, (room.width - width * scale) / 2),
          transform: `scale(${scale})`,
        }}
      />
    </main>
  );
}
