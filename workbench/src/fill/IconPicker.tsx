import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { type ReactNode, useId, useState } from 'react';
import { api, ask } from '../api/client';
import { useBench } from '../bench/context';
import { siteNode, text } from '../bench/document';
import { Drawing, useSprite } from '../media/SpriteIcons';
import { Dialog, useClose } from '../ui/Dialog';
import { FilePick } from '../ui/FilePick';

interface FieldProps {
  readonly id: string;
  readonly value: string;
  readonly label: string;
  onPick(value: string): void;
}

/** An icon and the way to another one. */
export function IconField({ id, value, label, onPick }: FieldProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        id={id}
        type="button"
        className="picture-field"
        aria-label={`${label}: choose`}
        onClick={() => setOpen(true)}
      >
        <IconThumb value={value} />
        <span className="link">{value ? 'Change' : 'Choose an icon'}</span>
      </button>
      {open && (
        <IconPicker value={value} label={label} onPick={onPick} onClose={() => setOpen(false)} />
      )}
    </>
  );
}

/** The icon sprite of the site, if it has one. */
const useOwnSprite = () => {
  const { page } = useBench();
  return useSprite(page.siteId, text(siteNode(page.document), 'icons'));
};

/** Draws an icon of the set by its name, or a picture of one's own. */
export function IconThumb({ value }: { readonly value: string }) {
  const named = value !== '' && !value.startsWith('<');
  const found = useQuery({
    queryKey: ['icon', value],
    enabled: named,
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: () => ask(api.GET('/api/icons', { params: { query: { words: value } } })),
  });
  const { data: sprite } = useOwnSprite();
  if (value === '') return <span className="faint">none</span>;
  if (!named) {
    // Own pictures come from the server, which has cleaned them.
    return (
      <img
        className="icon-thumb"
        alt="own icon"
        src={`data:image/svg+xml,${encodeURIComponent(value.replace('<svg', '<svg xmlns="http://www.w3.org/2000/svg"'))}`}
      />
    );
  }
  const mine = sprite?.symbols.find((each) => each.name === value && each.draw !== '');
  if (mine) return <Drawing symbol={mine} />;
  const icon = found.data?.icons.find((each) => each.name === value);
  if (found.data && !icon) return <span className="text-error">{value} is not in the set</span>;
  return <Drawn draw={icon?.draw ?? ''} name={value} />;
}

function Drawn({ draw, name }: { readonly draw: string; readonly name: string }) {
  return (
    <svg viewBox="0 0 24 24" className="icon-thumb" role="img" aria-label={name}>
      <g dangerouslySetInnerHTML={{ __html: draw }} />
    </svg>
  );
}

interface OfferedProps {
  readonly name: string;
  /** The icon that is there now. */
  readonly value: string;
  onTake(name: string): void;
  readonly children: ReactNode;
}

/** An icon to take. */
function Offered({ name, value, onTake, children }: OfferedProps) {
  return (
    <li>
      <button
        type="button"
        className="icon-one"
        aria-pressed={name === value}
        title={name}
        onClick={() => onTake(name)}
      >
        {children}
        <span className="truncate">{name}</span>
      </button>
    </li>
  );
}

interface PickerProps {
  readonly value: string;
  readonly label: string;
  onPick(value: string): void;
  onClose(): void;
}

export function IconPicker({ value, label, onPick, onClose }: PickerProps) {
  const title = useId();
  return (
    <Dialog labelledBy={title} className="picker" onClose={onClose}>
      <h2 id={title} className="font-serif text-xl">
        {label}
      </h2>
      <Icons value={value} onPick={onPick} />
    </Dialog>
  );
}

function Icons({ value, onPick }: { readonly value: string; onPick(value: string): void }) {
  const close = useClose();
  const [words, setWords] = useState('');
  const [page, setPage] = useState(1);
  const [own, setOwn] = useState(false);
  const found = useQuery({
    queryKey: ['icons', words, page],
    placeholderData: keepPreviousData,
    queryFn: () => ask(api.GET('/api/icons', { params: { query: { words, page } } })),
  });
  const take = (icon: string) => {
    onPick(icon);
    close();
  };
  const { all = 0, pages = 1, icons = [] } = found.data ?? {};
  const { data: sprite } = useOwnSprite();
  const mine = (sprite?.symbols ?? []).filter(
    (symbol) => symbol.draw !== '' && symbol.name.includes(words.trim().toLowerCase()),
  );
  return (
    <>
      <div className="flex items-center gap-3">
        <input
          type="search"
          className="input flex-1"
          aria-label="Search icons"
          placeholder="Search, e.g. leaf"
          value={words}
          onChange={(event) => {
            setWords(event.target.value);
            setPage(1);
          }}
        />
        <button type="button" className="btn btn-sm" onClick={() => setOwn(!own)}>
          {own ? 'The set' : 'One of your own'}
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => take('')}>
          No icon
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={close}>
          Close
        </button>
      </div>
      {own ? (
        <OwnIcon onTake={take} />
      ) : (
        <>
          {mine.length > 0 && (
            <>
              <h3 className="faint">Of the site</h3>
              <ul className="icon-grid">
                {mine.map((symbol) => (
                  <Offered key={symbol.name} name={symbol.name} value={value} onTake={take}>
                    <Drawing symbol={symbol} />
                  </Offered>
                ))}
              </ul>
            </>
          )}
          <p className="faint" aria-live="polite">
            {all === 0 && found.data
              ? 'No icon is called or tagged like that.'
              : `${all} icons, page ${page} of ${Math.max(1, pages)}`}
          </p>
          <ul className="icon-grid">
            {icons.map((icon) => (
              <Offered key={icon.name} name={icon.name} value={value} onTake={take}>
                <Drawn draw={icon.draw} name={icon.name} />
              </Offered>
            ))}
          </ul>
          <div className="flex justify-end gap-2">
            <button
              type="button"
              className="btn btn-sm"
              disabled={page <= 1}
              onClick={() => setPage(page - 1)}
            >
              Previous page
            </button>
            <button
              type="button"
              className="btn btn-sm"
              disabled={page >= pages}
              onClick={() => setPage(page + 1)}
            >
              Next page
            </button>
          </div>
        </>
      )}
    </>
  );
}

/** A vector picture of one's own: uploaded, or pasted as markup or path data. */
function OwnIcon({ onTake }: { onTake(markup: string): void }) {
  const [markup, setMarkup] = useState('');
  const id = useId();
  return (
    <div className="flex flex-col gap-3">
      <label htmlFor={id}>SVG markup, or the data of one path in a box of 24 by 24</label>
      <textarea
        id={id}
        className="textarea w-full font-mono"
        rows={8}
        value={markup}
        onChange={(event) => setMarkup(event.target.value)}
      />
      <div className="flex items-center gap-3">
        <FilePick
          accept=".svg,image/svg+xml"
          onPick={async ([file]) => setMarkup(await file.text())}
        >
          From a file
        </FilePick>
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={markup.trim() === ''}
          onClick={() => onTake(markup)}
        >
          Take it
        </button>
        <span className="faint">It is cleaned; what cannot be taken is named.</span>
      </div>
    </div>
  );
}
