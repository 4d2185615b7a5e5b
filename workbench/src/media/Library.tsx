import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Upload as UploadSign } from 'lucide-react';
import {
  type ClipboardEvent,
  type DragEvent,
  useEffect,
  useState,
  useSyncExternalStore,
} from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type LibraryItem } from '../api/client';
import { Brand } from '../Brand';
import { useSites } from '../shelf/shelf';
import { ThemeButton } from '../ThemeButton';
import { FilePick } from '../ui/FilePick';
import { Picture } from '../ui/Picture';
import { clock, FONTS, fileAt, size } from './format';
import { Opened } from './Opened';
import { RemotePicture } from './RemotePicture';
import { SpriteIcons } from './SpriteIcons';
import { UploadList } from './UploadList';
import { Uploads } from './uploads';

const ACCEPTED = `.jpg,.jpeg,.png,.webp,.gif,.svg,.mp4,.m4v,.webm,.vtt,${FONTS}`;
const POLL_MS = 700;

const KINDS = {
  all: () => true,
  pictures: ({ media }: LibraryItem) => media.sort.endsWith('picture'),
  clips: ({ media }: LibraryItem) => media.sort === 'a clip',
  captions: ({ media }: LibraryItem) => media.sort === 'captions',
  icons: ({ media }: LibraryItem) => media.sort === 'icons',
  fonts: ({ media }: LibraryItem) => media.sort === 'a font',
  'without words': ({ lacks }: LibraryItem) => lacks,
  unused: ({ uses }: LibraryItem) => uses.length === 0,
} as const;
type KindName = keyof typeof KINDS;

/** What a site has of pictures, clips, captions and fonts. */
export function Library() {
  const { id: siteId = '' } = useParams();
  const queries = useQueryClient();
  const [uploads] = useState(
    () =>
      new Uploads(siteId, async () => {
        for (const list of ['library', 'media']) {
          // A first answer may be on its way since before the file was there: it is not waited for.
          await queries.cancelQueries({ queryKey: [list, siteId] });
          void queries.invalidateQueries({ queryKey: [list, siteId] });
        }
      }),
  );
  const going = useSyncExternalStore(uploads.subscribe, uploads.snapshot);
  const library = useQuery({
    queryKey: ['library', siteId],
    queryFn: () => ask(api.GET('/api/sites/{siteId}/library', { params: { path: { siteId } } })),
    staleTime: 0,
    // While smaller files are made, how many there are is worth asking for.
    refetchInterval: ({ state }) =>
      state.data?.some(({ media }) => media.filesMade < media.files) ? POLL_MS : false,
  });
  const site = useSites().data?.find((each) => each.id === siteId);
  const [kind, setKind] = useState<KindName>('all');
  const [words, setWords] = useState('');
  const [openId, setOpenId] = useState('');
  const [over, setOver] = useState(false);
  useEffect(() => {
    document.title = 'Media · Giostra';
  }, []);

  const all = library.data ?? [];
  const sought = words.trim().toLowerCase();
  const shown = all.filter(
    (item) =>
      KINDS[kind](item) &&
      [item.media.name, item.media.alt, item.media.id, ...item.media.tags].some((text) =>
        text.toLowerCase().includes(sought),
      ),
  );
  const files = all.reduce((sum, { media }) => sum + media.files, 0);
  const made = all.reduce((sum, { media }) => sum + media.filesMade, 0);
  const tags = [...new Set(all.flatMap(({ media }) => media.tags))].sort();

  function drop(event: DragEvent) {
    event.preventDefault();
    setOver(false);
    uploads.add(event.dataTransfer.files);
  }
  function paste(event: ClipboardEvent) {
    if (event.clipboardData.files.length > 0) uploads.add(event.clipboardData.files);
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping has a button as its equal
    <div
      className={`library ${over ? 'library-over' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => event.currentTarget === event.target && setOver(false)}
      onDrop={drop}
      onPaste={paste}
    >
      <header className="flex h-12 items-center gap-4 border-b border-base-300 bg-base-100 px-4">
        <Brand />
        <Link to="/" className="faint hover:underline">
          Shelf
        </Link>
        <span className="flex-1" />
        <ThemeButton />
      </header>
      <main className="mx-auto max-w-[1180px] px-8 py-7">
        <div className="flex flex-wrap items-end gap-4 border-b border-base-300 pb-3">
          <h1 className="flex-1 font-serif text-[28px] leading-tight">
            Media{site && ` of ${site.name}`}
          </h1>
          {made < files && (
            <p className="flex items-center gap-3" role="status">
              <span className="faint">
                Smaller files: {made} of {files}
              </span>
              <progress
                className="progress progress-primary w-32"
                aria-label="Smaller files that are made"
                value={made}
                max={files}
              />
            </p>
          )}
          <RemotePicture siteId={siteId} />
          <FilePick
            multiple
            accept={ACCEPTED}
            className="btn btn-primary btn-sm"
            onPick={(files) => uploads.add(files)}
          >
            <UploadSign size={15} aria-hidden /> Add files
          </FilePick>
        </div>
        <UploadList
          uploads={going}
          onCancel={(id) => uploads.cancel(id)}
          onClear={() => uploads.clear()}
        />
        <div className="library-tools">
          <input
            type="search"
            className="input input-sm w-64"
            aria-label="Find by name, words or tag"
            placeholder="Find by name, words or tag"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <div className="flex flex-wrap gap-1" role="group" aria-label="What is shown">
            {(Object.keys(KINDS) as KindName[]).map((each) => (
              <button
                key={each}
                type="button"
                className="library-kind"
                aria-pressed={each === kind}
                onClick={() => setKind(each)}
              >
                {each} <span>{all.filter(KINDS[each]).length}</span>
              </button>
            ))}
          </div>
          {tags.length > 0 && (
            <div className="flex flex-wrap gap-1" role="group" aria-label="Tags">
              {tags.map((tag) => (
                <button
                  key={tag}
                  type="button"
                  className="library-kind"
                  aria-pressed={sought === tag.toLowerCase()}
                  onClick={() => setWords(sought === tag.toLowerCase() ? '' : tag)}
                >
                  # {tag}
                </button>
              ))}
            </div>
          )}
        </div>
        {library.isError && <p className="text-error">{library.error.message}</p>}
        {library.data && all.length === 0 && (
          <p className="library-empty">
            Nothing here yet. Drop pictures, clips or caption files anywhere on this page.
          </p>
        )}
        {all.length > 0 && shown.length === 0 && (
          <p className="faint py-10">Nothing fits “{words || kind}”.</p>
        )}
        <ul className="contact">
          {shown.map((item) => (
            <Tile
              key={item.media.id}
              item={item}
              siteId={siteId}
              open={item.media.id === openId}
              onOpen={() => setOpenId(item.media.id === openId ? '' : item.media.id)}
            />
          ))}
        </ul>
      </main>
    </div>
  );
}

interface TileProps {
  readonly item: LibraryItem;
  readonly siteId: string;
  readonly open: boolean;
  onOpen(): void;
}

/** One of them; opened, all that is known of it stands below its row. */
function Tile({ item, siteId, open, onOpen }: TileProps) {
  const { media, uses, lacks } = item;
  return (
    <>
      <li>
        <button type="button" className="contact-one" aria-expanded={open} onClick={onOpen}>
          <span className="contact-picture">
            <Preview site={siteId} item={item} />
          </span>
          <span className="truncate">{media.name}</span>
          <span className="faint truncate">
            {media.width > 0 && `${media.width} × ${media.height} · `}
            {media.durationMs > 0 && `${clock(media.durationMs)} · `}
            {media.address ? 'elsewhere, pixels unknown' : size(media.bytes)}
          </span>
          {lacks ? (
            <span className="truncate text-error">wants words</span>
          ) : (
            <span className="faint truncate">
              {uses.length === 0
                ? 'not used'
                : uses.length === 1
                  ? `in ${uses[0]?.called}`
                  : `in ${uses.length} places`}
            </span>
          )}
        </button>
      </li>
      {open && (
        <li className="contact-open">
          <Opened key={media.id} item={item} siteId={siteId} onClose={onOpen} />
        </li>
      )}
    </>
  );
}

function Preview({ site, item: { media } }: { readonly site: string; readonly item: LibraryItem }) {
  if (media.sort === 'captions') return <span className="contact-sign">CC</span>;
  if (media.sort === 'a font') return <span className="contact-sign">Aa</span>;
  if (media.sort === 'icons') return <SpriteIcons site={site} id={media.id} few />;
  if (media.sort === 'a clip') {
    return <video src={`${fileAt(site, media.id)}#t=0.5`} preload="metadata" muted tabIndex={-1} />;
  }
  return <Picture src={fileAt(site, media.id)} alt="" style={{ objectPosition: media.focus }} />;
}
