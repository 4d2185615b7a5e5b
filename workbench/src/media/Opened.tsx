import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Download, Replace, Trash2 } from 'lucide-react';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type LibraryItem, type Media, type SaidOfMedia, send } from '../api/client';
import { FilePick } from '../ui/FilePick';
import { FocusPoint } from './FocusPoint';
import { clock, fileAt, size } from './format';
import { SpriteReport } from './SpriteIcons';

interface Props {
  readonly item: LibraryItem;
  readonly siteId: string;
  onClose(): void;
}

/** All that is known and said of one thing of the library. */
export function Opened({ item, siteId, onClose }: Props) {
  const { media, uses } = item;
  const queries = useQueryClient();
  const id = useId();
  const fresh = async () => {
    await queries.invalidateQueries({ queryKey: ['library', siteId] });
    await queries.invalidateQueries({ queryKey: ['media', siteId] });
  };
  const params = { path: { siteId, id: media.id } };
  const say = useMutation({
    mutationFn: (change: Partial<SaidOfMedia>) => {
      const { alt, decorative, focus, tags } = media;
      const body = { alt, decorative, focus, tags: [...tags], ...change };
      return ask(api.PUT('/api/sites/{siteId}/media/{id}', { params, body }));
    },
    onSuccess: fresh,
  });
  const replace = useMutation({
    mutationFn: (file: File) => send<Media>(fileAt(siteId, media.id), file),
    onSuccess: fresh,
  });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/sites/{siteId}/media/{id}', { params })),
    onSuccess: fresh,
  });
  const fault = say.error ?? replace.error ?? remove.error;
  const [decorative, setDecorative] = useState(media.decorative);
  const picture = media.sort.endsWith('picture');
  const src = `${fileAt(siteId, media.id)}?${media.path}`;
  return (
    <section className="opened" aria-label={media.name}>
      <div className="opened-picture">
        {picture && (
          <FocusPoint
            src={src}
            value={media.focus}
            label={`Focal point of ${media.name}`}
            onSet={(focus) => say.mutate({ focus })}
          />
        )}
        {media.sort === 'icons' && <SpriteReport site={siteId} id={media.id} />}
        {media.sort === 'a clip' && (
          // biome-ignore lint/a11y/useMediaCaption: its captions are files of their own here
          <video src={src} controls preload="metadata" />
        )}
        {picture && (
          <p className="faint">
            Press where it matters: that point stays in view where the picture is cut.
          </p>
        )}
      </div>
      {picture && <Shapes item={item} src={src} />}
      <div className="opened-words">
        <h2 className="truncate font-serif text-lg">{media.name}</h2>
        <p className="faint">
          {media.type}
          {media.codecs.length > 0 && ` (${media.codecs.join(', ')})`}
          {media.width > 0 && ` · ${media.width} × ${media.height} px`}
          {media.durationMs > 0 && ` · ${clock(media.durationMs)}`} ·{' '}
          {media.address ? 'its pixels and bytes are unknown' : size(media.bytes)}
          {media.files > 0 && ` · ${media.filesMade} of ${media.files} smaller files`}
        </p>
        {media.address && (
          <p className="truncate">
            It stands at{' '}
            <a className="link" href={media.address} rel="noreferrer" target="_blank">
              {media.address}
            </a>
          </p>
        )}
        {picture && (
          <>
            <label htmlFor={`${id}-alt`}>What it shows, for those who do not see it</label>
            <textarea
              id={`${id}-alt`}
              className="textarea w-full"
              rows={2}
              defaultValue={media.alt}
              disabled={decorative}
              onBlur={(event) =>
                event.target.value !== media.alt && say.mutate({ alt: event.target.value })
              }
            />
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={decorative}
                onChange={(event) => {
                  setDecorative(event.target.checked);
                  say.mutate(
                    { decorative: event.target.checked },
                    { onError: () => setDecorative(media.decorative) },
                  );
                }}
              />
              It only decorates: readers pass over it
            </label>
          </>
        )}
        <Tags tags={media.tags} onSet={(tags) => say.mutate({ tags: [...tags] })} />
        <div>
          <h3 className="font-semibold">
            {uses.length === 0
              ? 'It is not used'
              : `Used in ${uses.length === 1 ? '1 place' : `${uses.length} places`}`}
          </h3>
          <ul className="opened-uses">
            {uses.map((use, at) => (
              <li key={`${use.page}-${use.node}-${at + 1}`}>
                {use.page ? (
                  <Link className="link" to={`/pages/${use.page}/fill?at=${use.node}`}>
                    {use.called}
                  </Link>
                ) : (
                  use.called
                )}{' '}
                <span className="faint">
                  {use.setting}, {use.title}
                </span>
              </li>
            ))}
          </ul>
        </div>
        {fault && (
          <p className="text-error" role="alert">
            {fault.message}
          </p>
        )}
        <p className="flex flex-wrap gap-2">
          <FilePick onPick={([file]) => replace.mutate(file)}>
            <Replace size={15} aria-hidden />{' '}
            {replace.isPending ? 'Reading…' : 'Replace everywhere'}
          </FilePick>
          <a className="btn btn-sm" href={fileAt(siteId, media.id)} download={media.name}>
            <Download size={15} aria-hidden /> Download
          </a>
          <button type="button" className="btn btn-sm" onClick={() => remove.mutate()}>
            <Trash2 size={15} aria-hidden /> Delete
          </button>
          <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
            Close
          </button>
        </p>
      </div>
    </section>
  );
}

/** The picture as it is cut, with its focal point kept. */
function Shapes({ item, src }: { readonly item: LibraryItem; readonly src: string }) {
  return (
    <div className="opened-shapes">
      <h3 className="font-semibold">{item.cut ? 'As the site cuts it' : 'As it could be cut'}</h3>
      {item.shapes.map(({ name, ratio }) => (
        <figure key={name}>
          <img src={src} alt="" style={{ aspectRatio: ratio, objectPosition: item.media.focus }} />
          <figcaption className="faint">{name}</figcaption>
        </figure>
      ))}
    </div>
  );
}

interface TagsProps {
  readonly tags: readonly string[];
  onSet(tags: readonly string[]): void;
}

function Tags({ tags, onSet }: TagsProps) {
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const value = draft ?? tags.join(', ');
  const send = () => {
    if (draft === undefined) return;
    setDraft(undefined);
    onSet(draft.split(',').filter((tag) => tag.trim() !== ''));
  };
  return (
    <div className="flex items-center gap-2">
      <label htmlFor={id}>Tags</label>
      <input
        id={id}
        className="input input-sm flex-1"
        placeholder="words, with commas between"
        value={value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={send}
        onKeyDown={(event) => event.key === 'Enter' && send()}
      />
    </div>
  );
}
