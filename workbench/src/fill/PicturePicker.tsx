import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ImageOff, Upload } from 'lucide-react';
import { type DragEvent, useEffect, useId, useRef, useState } from 'react';
import { type Media, send } from '../api/client';
import { useBench } from '../bench/context';
import { clock, fileAt, type Sort, STARTER } from '../media/format';
import { SpriteIcons } from '../media/SpriteIcons';

const SORTS: Readonly<
  Record<Sort, { readonly accept: string; readonly says: string; readonly word: string }>
> = {
  picture: {
    accept: '.jpg,.jpeg,.png,.webp,.gif,.svg',
    says: 'JPEG, PNG, WebP, GIF or SVG. One can be dropped here, too.',
    word: 'picture',
  },
  clip: { accept: '.mp4,.m4v,.webm', says: 'MP4 or WebM, up to 64 MB.', word: 'clip' },
  captions: { accept: '.vtt', says: 'WebVTT.', word: 'caption file' },
  icons: {
    accept: '.svg',
    says: 'SVG with a symbol for each icon, found by its id.',
    word: 'icon sprite',
  },
};

/** Sends a file to the site; the server looks at its bytes. */
export const upload = (siteId: string, file: File) =>
  send<Media>(`/api/sites/${siteId}/media`, file);

interface PickerProps {
  readonly value: string;
  readonly label: string;
  readonly sort?: Sort;
  onPick(id: string): void;
  onClose(): void;
}

/** The pictures of the site; one more may be brought along. */
export function PicturePicker({ value, label, sort = 'picture', onPick, onClose }: PickerProps) {
  const { page, media } = useBench();
  const { accept, says, word } = SORTS[sort];
  const offered = media.filter((each) => each.sort.endsWith(sort));
  const [words, setWords] = useState('');
  const queries = useQueryClient();
  const dialog = useRef<HTMLDialogElement>(null);
  const title = useId();
  useEffect(() => dialog.current?.showModal(), []);
  const sought = words.trim().toLowerCase();
  const shown = offered.filter((each) =>
    [each.name, each.alt, ...each.tags].some((text) => text.toLowerCase().includes(sought)),
  );
  const take = (id: string) => {
    onPick(id);
    dialog.current?.close();
  };
  const add = useMutation({
    mutationFn: (file: File) => upload(page.siteId, file),
    onSuccess: async (added) => {
      await queries.invalidateQueries({ queryKey: ['media', page.siteId] });
      take(added.id);
    },
  });
  function drop(event: DragEvent) {
    event.preventDefault();
    const [file] = event.dataTransfer.files;
    if (file) add.mutate(file);
  }
  return (
    <dialog ref={dialog} className="modal" aria-labelledby={title} onClose={onClose}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping has a button as its equal */}
      <div className="modal-box picker" onDragOver={(e) => e.preventDefault()} onDrop={drop}>
        <div className="flex items-center gap-4">
          <h2 id={title} className="flex-1 font-serif text-xl">
            {label}
          </h2>
          <FilePick accept={accept} busy={add.isPending} onPick={([file]) => add.mutate(file)}>
            <Upload size={15} aria-hidden />{' '}
            {add.isPending ? 'Uploading…' : `Upload ${sort === 'icons' ? 'an' : 'a'} ${word}`}
          </FilePick>
          <button type="button" className="btn btn-sm btn-ghost" onClick={() => take('')}>
            <ImageOff size={15} aria-hidden /> No {word}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-ghost"
            onClick={() => dialog.current?.close()}
          >
            Close
          </button>
        </div>
        <p
          className={add.isError ? 'text-error' : 'faint'}
          role={add.isError ? 'alert' : undefined}
        >
          {add.isError ? add.error.message : says}{' '}
          {sort === 'icons' && (
            <a className="link" href={STARTER} download>
              Download one to begin with
            </a>
          )}
        </p>
        {offered.length > 8 && (
          <input
            type="search"
            className="input input-sm w-64"
            aria-label="Find by name, words or tag"
            placeholder="Find by name, words or tag"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        )}
        {shown.length === 0 && <p className="faint p-4">None here yet.</p>}
        <ul className="picker-grid">
          {shown.map((each) => (
            <li key={each.id}>
              <button
                type="button"
                aria-pressed={each.id === value}
                onClick={() => take(each.id)}
                className="picker-one"
              >
                <MediaThumb media={each} />
                <span className="truncate">{each.name}</span>
                <span className="faint">
                  {each.width > 0 && `${each.width} × ${each.height}`}
                  {each.durationMs > 0 && ` ${clock(each.durationMs)}`}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
    </dialog>
  );
}

/** Something of the library, small. */
function MediaThumb({ media }: { readonly media: Media }) {
  const site = useBench().page.siteId;
  if (media.sort === 'captions') return <span className="contact-sign">CC</span>;
  if (media.sort === 'icons') return <SpriteIcons site={site} id={media.id} few />;
  if (media.sort === 'a clip') {
    return <video src={`${fileAt(site, media.id)}#t=0.5`} preload="metadata" muted tabIndex={-1} />;
  }
  return <Picture src={fileAt(site, media.id)} alt="" style={{ objectPosition: media.focus }} />;
}

/** A picture as it stands in a cell or a field. */
export function Thumb({ id }: { readonly id: string }) {
  const { media, page } = useBench();
  if (id === '') return <span className="faint">none</span>;
  const known = media.find((each) => each.id === id);
  if (media.length > 0 && !known) return <span className="text-error">{id} is not here</span>;
  if (known && !known.sort.endsWith('picture')) return <span>{known.name}</span>;
  return <Picture src={fileAt(page.siteId, id)} alt={known?.name ?? id} className="thumb" />;
}

interface FieldProps {
  readonly id: string;
  readonly value: string;
  readonly label: string;
  readonly sort?: Sort;
  onPick(id: string): void;
}

export function PictureField({ id, value, label, sort = 'picture', onPick }: FieldProps) {
  const { pick } = usePicker();
  return (
    <button
      id={id}
      type="button"
      className="picture-field"
      aria-label={`${label}: choose`}
      onClick={() => pick({ value, label, sort, onPick })}
    >
      <Thumb id={value} />
      <span className="link">
        {value ? 'Change' : `Choose ${sort === 'icons' ? 'an' : 'a'} ${SORTS[sort].word}`}
      </span>
    </button>
  );
}

import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { FilePick } from '../ui/FilePick';
import { Picture } from '../ui/Picture';

type Asked = Omit<PickerProps, 'onClose'>;
const PickerContext = createContext<{ pick(asked: Asked): void } | undefined>(undefined);

export function usePicker() {
  const picker = useContext(PickerContext);
  if (!picker) throw new Error('outside the picker');
  return picker;
}

/** Lets everything within ask for a picture. */
export function Picking({ children }: { readonly children: ReactNode }) {
  const [asked, setAsked] = useState<Asked>();
  const picker = useMemo(() => ({ pick: setAsked }), []);
  return (
    <PickerContext value={picker}>
      {children}
      {asked && <PicturePicker {...asked} onClose={() => setAsked(undefined)} />}
    </PickerContext>
  );
}
