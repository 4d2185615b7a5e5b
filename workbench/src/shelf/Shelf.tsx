import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { PackageOpen, Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, ask, type Me, sendBytes } from '../api/client';
import { Brand } from '../Brand';
import { may, useMe } from '../people/me';
import { WhoIsInButton } from '../people/WhoIsIn';
import { ThemeButton } from '../ThemeButton';
import { FilePick } from '../ui/FilePick';
import { useSettled } from '../ui/useSettled';
import { Away } from './Away';
import { type Page, refreshShelf, type Site, useShelf, waits } from './shelf';
import { PageVerbs, SiteVerbs } from './Verbs';

/** Home: sites and their pages, each with the page itself as its picture. */
export function Shelf() {
  const [search, setSearch] = useSearchParams();
  const [typed, setTyped] = useState(search.get('find') ?? '');
  const find = useSettled(typed.trim());
  const shelf = useShelf(find);
  useEffect(() => {
    document.title = 'Giostra';
  }, []);
  useEffect(() => {
    setSearch(find === '' ? {} : { find }, { replace: true });
  }, [find, setSearch]);
  const me = useMe();
  const makes =
    me?.owns || Object.values(me?.roles ?? {}).some((role) => /designer|owner/.test(role));
  const all = () => setTyped('');
  return (
    <div className="min-h-full bg-base-200 text-base-content">
      <header className="flex h-12 items-center gap-4 border-b border-base-300 bg-base-100 px-4">
        <Brand />
        <span className="flex-1" />
        <input
          type="search"
          className="input input-sm w-60 min-w-0"
          aria-label="Find a site or a page"
          placeholder="Find a site or a page"
          maxLength={200}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <WhoIsInButton />
        <ThemeButton />
      </header>
      <main className="mx-auto max-w-[1180px] px-8 py-9">
        <h1 className="sr-only">Shelf</h1>
        {shelf.isError && <p className="alert alert-error">{shelf.error.message}</p>}
        {shelf.sites?.map((site) => (
          <SiteRow
            key={site.id}
            site={site}
            sites={shelf.sites ?? []}
            stage={shelf.stage}
            onAll={() => setTyped(site.name)}
          />
        ))}
        {shelf.sites?.length === 0 && find !== '' && <Nothing find={find} onAll={all} />}
        {shelf.hasNextPage && (
          <p className="mb-10 text-center">
            <button
              type="button"
              className="btn btn-sm"
              disabled={shelf.isFetchingNextPage}
              onClick={() => void shelf.fetchNextPage()}
            >
              {shelf.isFetchingNextPage ? 'Looking for more…' : 'Show more pages'}
            </button>
          </p>
        )}
        {shelf.sites?.length === 0 && find === '' && !makes && (
          <p>You have a part in no site yet. Whoever owns one can give you one.</p>
        )}
        {shelf.sites && makes && (
          <div className="flex flex-wrap items-end gap-8">
            <NewSite first={shelf.sites.length === 0 && find === ''} onMade={all} />
            <Arrival onMade={all} />
          </div>
        )}
        <Away />
      </main>
    </div>
  );
}

function Nothing({ find, onAll }: { readonly find: string; onAll(): void }) {
  return (
    <p className="mb-10 flex flex-wrap items-baseline gap-x-4 [overflow-wrap:anywhere]">
      <span>No site and no page has “{find}” in its name or address.</span>
      <button type="button" className="link" onClick={onAll}>
        Show all
      </button>
    </p>
  );
}

interface SiteRowProps {
  readonly site: Site;
  readonly sites: readonly Site[];
  readonly stage: string;
  onAll(): void;
}

/** How many pages a site has, and how many of them are here. */
function counted({ count, pages }: Site) {
  const all = count === 1 ? '1 page' : `${count} pages`;
  return pages.length < count ? `${pages.length} of ${all}` : all;
}

/** Where somebody begins with a page of a site. */
const first = (me: Me | undefined, site: string) =>
  may(me, site, 'designer') ? 'arrange' : may(me, site, 'writer') ? 'fill' : 'review';

function SiteRow({ site, sites, stage, onAll }: SiteRowProps) {
  const me = useMe();
  const builds = may(me, site.id, 'designer');
  // Two sites may have one name; what they are called to be told apart by does not.
  const twin = sites.some((each) => each.name === site.name && each.id !== site.id);
  const called = twin ? `${site.name}, ${site.id}` : site.name;
  return (
    <section aria-label={called} className="mb-10">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-base-300 pb-2">
        <h2 className="min-w-0 font-serif text-[28px] leading-tight [overflow-wrap:anywhere]">
          {site.name}
          {twin && <span className="faint ml-3 font-sans text-sm">{site.id}</span>}
        </h2>
        <span className="faint">{counted(site)}</span>
        <span className="ml-auto flex flex-wrap gap-x-4 gap-y-1">
          {may(me, site.id, 'writer') && (
            <Link to={`/sites/${site.id}/media`} className="link">
              Media
            </Link>
          )}
          <SiteVerbs site={site} />
          {builds && (
            <a className="link" href={`/api/sites/${site.id}/archive.zip`} download>
              Download the whole site
            </a>
          )}
        </span>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(330px,100%),1fr))] gap-6">
        {site.pages.map((page) => (
          <li key={page.id}>
            <PageCard page={page} stage={stage} to={first(me, site.id)} />
            <PageVerbs page={page} site={site} />
          </li>
        ))}
        {builds && (
          <li>
            <NewPage site={site} />
          </li>
        )}
        {site.pages.length < site.count && (
          <li className="self-end">
            <button type="button" className="link" onClick={onAll}>
              Show all {site.count} pages of {site.name}
            </button>
          </li>
        )}
      </ul>
    </section>
  );
}

interface PageCardProps {
  readonly page: Page;
  readonly stage: string;
  /** The step that it is opened in. */
  readonly to: string;
}

function PageCard({ page, stage, to }: PageCardProps) {
  if (page.broken) {
    return (
      <div className="flex min-h-40 flex-col justify-end gap-2 rounded-box border border-error bg-base-100 px-4 py-3">
        <h3 className="font-serif text-lg leading-snug">{page.title}</h3>
        <p className="text-error">{page.said}</p>
        <p className="faint">What is live of it stays as it is.</p>
      </div>
    );
  }
  return (
    <Link
      to={`/pages/${page.id}/${to}`}
      className="group block overflow-hidden rounded-box border border-base-300 bg-base-100 hover:border-accent"
    >
      <Thumbnail src={`${stage}/api/pages/${page.id}/preview/`} />
      <div className="px-4 py-3">
        <h3 className="font-serif text-lg leading-snug group-hover:underline">
          {page.title || 'Untitled'}
        </h3>
        <p className="mt-1 flex flex-wrap gap-x-4 gap-y-0.5 text-sm">
          <span className="faint">{page.pieces === 1 ? '1 piece' : `${page.pieces} pieces`}</span>
          {waits(page) ? (
            <span className="faint">going through it…</span>
          ) : page.snags ? (
            <span className="text-error">
              {page.snags === 1 ? '1 snag' : `${page.snags} snags`}
            </span>
          ) : (
            <span className="text-success">no snags</span>
          )}
          <span className={page.liveNumber ? 'text-success' : 'faint'}>
            {page.liveNumber ? `release ${page.liveNumber} is live` : 'not published'}
            {page.newerThanLive ? ', edited since' : ''}
          </span>
        </p>
        {page.said !== '' && <p className="mt-1 text-sm text-error">{page.said}</p>}
      </div>
    </Link>
  );
}

/** After so long in view a page is drawn, in ms: a shelf that is scrolled past draws none. */
const LOOKED_AT = 200;

/** The page as it is, at 1280 px, made small. */
function Thumbnail({ src }: { readonly src: string }) {
  const box = useRef<HTMLDivElement>(null);
  const [scale, setScale] = useState(0);
  const [drawn, setDrawn] = useState(false);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const observer = new IntersectionObserver(
      ([entry]) => {
        clearTimeout(timer);
        if (entry?.isIntersecting) timer = setTimeout(() => setDrawn(true), LOOKED_AT);
      },
      { rootMargin: '100px' },
    );
    if (box.current && !drawn) observer.observe(box.current);
    return () => {
      observer.disconnect();
      clearTimeout(timer);
    };
  }, [drawn]);
  useEffect(() => {
    const observer = new ResizeObserver(
      ([entry]) => entry && setScale(entry.contentRect.width / 1280),
    );
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  return (
    <div
      ref={box}
      className="relative aspect-[16/10] overflow-hidden border-b border-base-300 bg-base-300"
    >
      {scale > 0 && drawn && (
        <iframe
          src={src}
          title="The page itself"
          aria-hidden="true"
          tabIndex={-1}
          inert
          className="pointer-events-none absolute left-0 top-0 origin-top-left border-0"
          style={{ width: 1280, height: 800, transform: `scale(${scale})` }}
        />
      )}
    </div>
  );
}

function NewPage({ site }: { readonly site: Site }) {
  const [open, setOpen] = useState(false);
  const [title, setTitle] = useState('');
  const navigate = useNavigate();
  const add = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/sites/{siteId}/pages', {
          params: { path: { siteId: site.id } },
          body: { title },
        }),
      ),
    onSuccess: (page) => navigate(`/pages/${page.id}/fill`),
  });
  if (!open) {
    return (
      <button
        type="button"
        className="grid h-full min-h-40 w-full place-items-center rounded-box border border-dashed border-base-content/30 text-base-content/80 hover:border-accent hover:text-base-content"
        onClick={() => setOpen(true)}
      >
        <span className="flex items-center gap-2">
          <Plus size={18} /> New page
        </span>
      </button>
    );
  }
  return (
    <form
      className="flex h-full min-h-40 flex-col justify-center gap-3 rounded-box border border-accent bg-base-100 p-5"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <label className="flex flex-col gap-1">
        <span>Title of the page</span>
        <input
          className="input w-full"
          ref={(field) => field?.focus()}
          value={title}
          onChange={(e) => setTitle(e.target.value)}
        />
      </label>
      {add.isError && <p className="text-error">{add.error.message}</p>}
      <div className="flex gap-2">
        <button type="submit" className="btn btn-primary btn-sm" disabled={add.isPending}>
          Make the page
        </button>
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => setOpen(false)}>
          Cancel
        </button>
      </div>
    </form>
  );
}

/** A site that comes from another installation, as an archive. */
function Arrival({ onMade }: { onMade(): void }) {
  const queries = useQueryClient();
  const arrive = useMutation({
    mutationFn: (file: File) =>
      sendBytes('/api/archives', new Blob([file], { type: 'application/zip' }), file.name),
    onSuccess: () => {
      onMade();
      return refreshShelf(queries);
    },
  });
  return (
    <div>
      <FilePick accept=".zip" busy={arrive.isPending} onPick={([file]) => arrive.mutate(file)}>
        <PackageOpen size={15} aria-hidden /> {arrive.isPending ? 'Unpacking…' : 'Bring a site in'}
      </FilePick>
      {arrive.isError && (
        <p className="text-error" role="alert">
          {arrive.error.message}
        </p>
      )}
    </div>
  );
}

/** The colours of a dress, side by side. */
function Colours({ colours }: { readonly colours: Readonly<Record<string, string>> }) {
  return (
    <span className="dress-colours" aria-hidden="true">
      {Object.entries(colours).map(([name, colour]) => (
        <i key={name} style={{ background: colour }} />
      ))}
    </span>
  );
}

function NewSite({ first, onMade }: { readonly first: boolean; onMade(): void }) {
  const [name, setName] = useState('');
  const [dress, setDress] = useState('');
  const queries = useQueryClient();
  const dresses = useQuery({
    queryKey: ['all-dresses'],
    queryFn: () => ask(api.GET('/api/dresses')),
  });
  const add = useMutation({
    mutationFn: () => ask(api.POST('/api/sites', { body: { name, ...(dress ? { dress } : {}) } })),
    onSuccess: () => {
      setName('');
      onMade();
      void refreshShelf(queries);
    },
  });
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <label className="flex flex-col gap-1">
        <span className={first ? 'font-serif text-xl' : 'faint'}>
          {first ? 'Name your first site' : 'Another site'}
        </span>
        <input
          className="input input-sm w-64"
          placeholder="Its name"
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      {name.trim() !== '' && (
        <fieldset className="dress-choice">
          <legend className="faint">What it wears at first</legend>
          {dresses.data?.map((each) => (
            <label key={each.id}>
              <input
                type="radio"
                name="dress"
                className="radio radio-xs"
                checked={dress === each.id}
                onChange={() => setDress(each.id)}
              />
              <span>
                <b>{each.name}</b>
                <span className="faint">{each.says}</span>
                <Colours colours={each.colours} />
              </span>
            </label>
          ))}
        </fieldset>
      )}
      <button type="submit" className="btn btn-sm" disabled={add.isPending || name.trim() === ''}>
        Add site
      </button>
      {add.isError && <p className="text-error">{add.error.message}</p>}
    </form>
  );
}
