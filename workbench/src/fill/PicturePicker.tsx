import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ImageOff, Upload } from 'lucide-react';
import { type DragEvent, useEffect, useId, useRef } from 'react';
import { type Media, Problem } from '../api/client';
import { useBench } from '../bench/context';

const TYPES = 'image/jpeg,image/png,image/webp';

export const pictureAt = (id: string) => `/api/media/${id}/file`;

/** Sends a file to the site; the server looks at its bytes. */
async function upload(siteId: string, file: File): Promise<Media> {
  const body = new FormData();
  body.append('file', file);
  let answer: Response;
  try {
    answer = await fetch(`/api/sites/${siteId}/media`, { method: 'POST', body });
  } catch {
    throw new Problem(0, 'The server cannot be reached.');
  }
  const reply = (await answer.json().catch(() => ({}))) as Record<string, unknown>;
  if (!answer.ok) {
    throw new Problem(answer.status, `${file.name}: ${String(reply.detail ?? answer.statusText)}`);
  }
  return reply as unknown as Media;
}

interface PickerProps {
  readonly value: string;
  readonly label: string;
  onPick(id: string): void;
  onClose(): void;
}

/** The pictures of the site; one more may be brought along. */
export function PicturePicker({ value, label, onPick, onClose }: PickerProps) {
  const { page, media } = useBench();
  const queries = useQueryClient();
  const dialog = useRef<HTMLDialogElement>(null);
  const title = useId();
  useEffect(() => dialog.current?.showModal(), []);
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
          <label className="btn btn-sm">
            <Upload size={15} aria-hidden /> {add.isPending ? 'Uploading…' : 'Upload a picture'}
            <input
              type="file"
              accept={TYPES}
              className="sr-only"
              disabled={add.isPending}
              onChange={(event) => {
                const [file] = event.target.files ?? [];
                if (file) add.mutate(file);
                event.target.value = '';
              }}
            />
          </label>
          <button type="button" className="btn btn-sm btn-ghost" onClick={() => take('')}>
            <ImageOff size={15} aria-hidden /> No picture
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
          {add.isError ? add.error.message : 'JPEG, PNG or WebP. One can be dropped here, too.'}
        </p>
        <ul className="picker-grid">
          {media.map((each) => (
            <li key={each.id}>
              <button
                type="button"
                aria-pressed={each.id === value}
                onClick={() => take(each.id)}
                className="picker-one"
              >
                <img src={pictureAt(each.id)} alt="" loading="lazy" />
                <span className="truncate">{each.name}</span>
                <span className="faint">
                  {each.width} × {each.height}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
    </dialog>
  );
}

/** A picture as it stands in a cell or a field. */
export function Thumb({ id }: { readonly id: string }) {
  const { media } = useBench();
  if (id === '') return <span className="faint">none</span>;
  const known = media.find((each) => each.id === id);
  if (media.length > 0 && !known) return <span className="text-error">{id} is not here</span>;
  return <img src={pictureAt(id)} alt={known?.name ?? id} className="thumb" loading="lazy" />;
}

interface FieldProps {
  readonly id: string;
  readonly value: string;
  readonly label: string;
  onPick(id: string): void;
}

export function PictureField({ id, value, label, onPick }: FieldProps) {
  const { pick } = usePicker();
  return (
    <button
      id={id}
      type="button"
      className="picture-field"
      aria-label={`${label}: choose`}
      onClick={() => pick({ value, label, onPick })}
    >
      <Thumb id={value} />
      <span className="link">{value ? 'Change' : 'Choose a picture'}</span>
    </button>
  );
}

import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';

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
