import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, type Catalogue, type PageReply } from '../api/client';
import { Arrange } from '../arrange/Arrange';
import { Dress } from '../dress/Dress';
import { Drive } from '../drive/Drive';
import { Fill } from '../fill/Fill';
import { Picking } from '../fill/PicturePicker';
import { Find } from '../find/Find';
import { Keys } from '../find/Keys';
import { PageMap } from '../map/PageMap';
import { may, useMe } from '../people/me';
import { Prove } from '../prove/Prove';
import { ReviewPanel } from '../review/ReviewPanel';
import { Ship } from '../ship/Ship';
import { useTogether } from '../together/useTogether';
import { type Bench, BenchContext, isPiece, STEPS, type Step } from './context';
import { find, text, walk } from './document';
import { History } from './History';
import { Ruler } from './Ruler';
import { Splitter } from './Splitter';
import { Stage } from './Stage';
import { Session } from './session';
import { TopBar } from './TopBar';
import { useFrames } from './useFrames';
import { useKept } from './useKept';
import { useKeys } from './useKeys';
import { useSize } from './useSize';

/** A page on the bench. */
export function BenchPage() {
  const { id = '' } = useParams();
  const me = useMe();
  const page = useQuery({
    queryKey: ['page', id],
    queryFn: () => ask(api.GET('/api/pages/{id}', { params: { path: { id } } })),
    staleTime: 0,
    // A page is taken up once; from there on its session has it.
    gcTime: 0,
    refetchOnReconnect: false,
  });
  const catalogue = useQuery({
    queryKey: ['catalogue'],
    queryFn: () => ask(api.GET('/api/catalogue')),
  });
  if (page.isError) return <p className="alert alert-error m-8">{page.error.message}</p>;
  if (!page.data || !catalogue.data) return <p className="p-8">Opening the page…</p>;
  // Who only looks and remarks needs no bench.
  if (!may(me, page.data.siteId, 'writer')) return <Navigate to={`/pages/${id}/review`} replace />;
  return <Opened key={id} first={page.data} catalogue={catalogue.data} />;
}

/** The steps of who writes. */
const WRITES: readonly Step[] = ['fill', 'prove'];

interface OpenedProps {
  readonly first: PageReply;
  readonly catalogue: Catalogue;
}

function Opened({ first, catalogue }: OpenedProps) {
  const [session] = useState(() => new Session(first));
  useEffect(() => session.start(), [session]);
  const now = useSyncExternalStore(session.subscribe, session.snapshot);
  const { page } = now;
  const media = useQuery({
    queryKey: ['media', page.siteId],
    queryFn: () =>
      ask(api.GET('/api/sites/{siteId}/media', { params: { path: { siteId: page.siteId } } })),
  });
  useFrames(page.siteId, page.document.page, media.data ?? []);
  const params = useParams();
  const me = useMe();
  const builds = may(me, page.siteId, 'designer');
  const steps = builds ? STEPS : WRITES;
  const step = steps.find((each) => each === params.step) ?? (builds ? 'arrange' : 'fill');
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const [width, setWidth] = useKept('width', 1280);
  const [shared, setShared] = useKept('share', 0.47);
  // Dress needs the room for its board.
  const [dressed, setDressed] = useKept('share-dress', 0.34);
  const [scrollbar, setScrollbar] = useState(0);
  const [on, setOn] = useState<number>();
  const setting = search.get('setting') ?? '';
  const asked = search.get('at') ?? '';
  const { document: doc } = page;
  const chosen = find(doc, asked) ??
    find(doc, firstChoice(page, catalogue)) ?? {
      node: doc.page,
      parent: undefined,
      index: 0,
    };

  const choose = useCallback(
    (id: string, to?: Step, setting?: string) => {
      const query = new URLSearchParams({ at: id, ...(setting ? { setting } : {}) });
      // What was gone to just now is in the address before it is on the screen.
      const here = STEPS.find((each) => location.pathname.endsWith(`/${each}`)) ?? 'arrange';
      navigate(`/pages/${first.id}/${to ?? here}?${query}`, { replace: to === undefined });
    },
    [navigate, first.id],
  );
  const title = text(doc.page, 'title');
  useEffect(() => {
    document.title = `${title || 'Untitled'} · Giostra`;
  }, [title]);

  const [stress, setStress] = useState('');
  const toStage = useRef<(message: unknown) => void>(() => {});
  const bench: Bench = {
    session,
    now,
    page,
    catalogue,
    media: media.data ?? [],
    step,
    chosen,
    setting,
    choose,
    width,
    setWidth,
    scrollbar,
    setScrollbar,
    on,
    setOn,
    stress: step === 'prove' ? stress : '',
    setStress,
    others: useTogether(session, page.id, chosen.node.id),
    steps,
    toStage,
  };
  const [driven, setDriven] = useKept('share-drive', 0.38);
  const [proved, setProved] = useKept('share-prove', 0.36);
  const [share, setShare] =
    step === 'dress'
      ? [dressed, setDressed]
      : step === 'drive'
        ? [driven, setDriven]
        : step === 'prove'
          ? [proved, setProved]
          : [shared, setShared];
  const [opened, setOpened] = useState<'find' | 'keys' | 'history' | 'remarks'>();
  const [whole, setWhole] = useState(false);
  useKeys(bench, setOpened, whole, setWhole);
  const [work, room] = useSize<HTMLDivElement>();
  return (
    <BenchContext value={bench}>
      <Picking>
        <div className="flex h-full flex-col bg-base-200 text-base-content">
          <TopBar onOpen={setOpened} />
          <div className="flex min-h-0 flex-1">
            <PageMap />
            <main ref={work} className="relative flex min-w-0 flex-1 flex-col" aria-label={title}>
              <h1 className="sr-only">{title || 'Untitled'}</h1>
              {room.width > 0 && (
                <>
                  <Ruler length={room.width} />
                  <div className="flex min-h-0 flex-1 flex-col">
                    <div className="flex min-h-0 flex-col" style={{ flex: `${share} 1 0` }}>
                      <Stage whole={whole} onWhole={setWhole} />
                    </div>
                    <Splitter share={share} onShare={setShare} />
                    <div className="work" style={{ flex: `${1 - share} 1 0` }}>
                      {step === 'fill' && <Fill />}
                      {step === 'arrange' && <Arrange length={room.width} />}
                      {step === 'dress' && <Dress length={room.width} />}
                      {step === 'drive' && <Drive />}
                      {step === 'prove' && <Prove length={room.width} />}
                      {step === 'ship' && <Ship />}
                    </div>
                  </div>
                </>
              )}
            </main>
          </div>
        </div>
        {opened === 'find' && <Find onClose={() => setOpened(undefined)} />}
        {opened === 'history' && <History onClose={() => setOpened(undefined)} />}
        {opened === 'remarks' && <ReviewPanel onClose={() => setOpened(undefined)} />}
        {opened === 'keys' && <Keys onClose={() => setOpened(undefined)} />}
      </Picking>
    </BenchContext>
  );
}

/** Where work begins when nothing was asked for: the first piece, which is what pages are opened for. */
function firstChoice(page: PageReply, catalogue: Catalogue): string {
  for (const { node } of walk(page.document.page)) {
    if (isPiece(catalogue, node.type)) return node.id;
  }
  return page.document.page.id;
}
