import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useId, useState } from 'react';
import { api, ask } from '../api/client';
import { Dialog, useClose } from '../ui/Dialog';
import { type Page, refreshShelf, type Site, useSites } from './shelf';

/** Does something to the shelf, and shows it as it is then. */
export function useShelfChange(change: () => Promise<unknown>, then?: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: async () => {
      await refreshShelf(queries);
      then?.();
    },
  });
}

interface FormProps {
  readonly title: string;
  readonly act: string;
  readonly danger?: boolean;
  readonly off?: boolean;
  readonly pending: boolean;
  readonly error: Error | null;
  onAct(): void;
  readonly children: ReactNode;
}

/** A question with a heading, what is asked, and two buttons. */
function Asked({ title, act, danger, off, pending, error, onAct, children }: FormProps) {
  const close = useClose();
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onAct();
      }}
    >
      <h2 className="font-serif text-xl">{title}</h2>
      {children}
      {error && (
        <p className="text-error" role="alert">
          {error.message}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" className="btn btn-ghost btn-sm" onClick={close}>
          Cancel
        </button>
        <button
          type="submit"
          className={`btn btn-sm ${danger ? 'btn-error' : 'btn-primary'}`}
          disabled={pending || off}
        >
          {act}
        </button>
      </div>
    </form>
  );
}

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly first?: boolean;
  readonly note?: string;
  onValue(value: string): void;
}

function Field({ label, value, first, note, onValue }: FieldProps) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        className="input w-full"
        data-first={first || undefined}
        aria-describedby={note ? `${id}-note` : undefined}
        value={value}
        onChange={(event) => onValue(event.target.value)}
      />
      {note && (
        <p id={`${id}-note`} className="faint">
          {note}
        </p>
      )}
    </div>
  );
}

interface OfPage {
  readonly page: Page;
  readonly site: Site;
  onClose(): void;
}

/** What a page is called, and where it is. */
export function NamePage({ page, site, onClose }: OfPage) {
  return (
    <Dialog label="Rename the page" onClose={onClose}>
      <NamePageForm page={page} site={site} />
    </Dialog>
  );
}

function NamePageForm({ page, site }: { readonly page: Page; readonly site: Site }) {
  const close = useClose();
  const [title, setTitle] = useState(page.title);
  const [slug, setSlug] = useState(page.slug);
  const params = { path: { id: page.id } };
  const name = useShelfChange(
    () => ask(api.PUT('/api/pages/{id}/name', { params, body: { title, slug } })),
    close,
  );
  return (
    <Asked
      title="Rename the page"
      act="Rename"
      pending={name.isPending}
      error={name.error}
      onAct={() => name.mutate()}
    >
      <Field label="Title" value={title} first onValue={setTitle} />
      <Field
        label="Address"
        value={slug}
        note={`/live/${site.id}/${slug}/ — the address that it has now leads there, too.`}
        onValue={setSlug}
      />
    </Asked>
  );
}

/** A copy of a page, here or on another site. */
export function CopyPage(props: OfPage) {
  return (
    <Dialog label="Copy the page" onClose={props.onClose}>
      <CopyForm {...props} />
    </Dialog>
  );
}

function CopyForm({ page, site }: OfPage) {
  const close = useClose();
  const sites = useSites();
  const [title, setTitle] = useState(`${page.title || 'Untitled'} (copy)`);
  const [to, setTo] = useState(site.id);
  const params = { path: { id: page.id } };
  const copy = useShelfChange(
    () => ask(api.POST('/api/pages/{id}/copies', { params, body: { title, site: to } })),
    close,
  );
  return (
    <Asked
      title={`Copy “${page.title || 'Untitled'}”`}
      act="Copy"
      pending={copy.isPending}
      error={copy.error}
      onAct={() => copy.mutate()}
    >
      <Field label="Title of the copy" value={title} first onValue={setTitle} />
      <SiteField label="On the site" sites={sites.data ?? [site]} value={to} onValue={setTo} />
      {to !== site.id && <Losses page={page.id} site={to} />}
    </Asked>
  );
}

/** A page to another site. */
export function MovePage(props: OfPage) {
  return (
    <Dialog label="Move the page" onClose={props.onClose}>
      <MoveForm {...props} />
    </Dialog>
  );
}

function MoveForm({ page, site }: OfPage) {
  const close = useClose();
  const sites = useSites();
  const others = (sites.data ?? []).filter((each) => each.id !== site.id);
  const [chosen, setTo] = useState('');
  const to = chosen || (others[0]?.id ?? '');
  const params = { path: { id: page.id } };
  const move = useShelfChange(
    () => ask(api.POST('/api/pages/{id}/move', { params, body: { site: to } })),
    close,
  );
  return (
    <Asked
      title={`Move “${page.title || 'Untitled'}”`}
      act="Move"
      off={to === ''}
      pending={move.isPending}
      error={move.error}
      onAct={() => move.mutate()}
    >
      {!sites.data ? null : others.length === 0 ? (
        <p>There is no other site yet.</p>
      ) : (
        <>
          <SiteField label="To the site" sites={others} value={to} onValue={setTo} />
          <p className="faint">
            Here it is put away, with its releases: for 30 days it can be brought back.
          </p>
          <Losses page={page.id} site={to} />
        </>
      )}
    </Asked>
  );
}

interface SiteFieldProps {
  readonly label: string;
  readonly sites: readonly Pick<Site, 'id' | 'name'>[];
  readonly value: string;
  onValue(value: string): void;
}

function SiteField({ label, sites, value, onValue }: SiteFieldProps) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className="select w-full truncate pe-9"
        value={value}
        onChange={(event) => onValue(event.target.value)}
      >
        {sites.map((each) => (
          <option key={each.id} value={each.id}>
            {each.name}
          </option>
        ))}
      </select>
    </div>
  );
}

/** What a page says for bands that the other site does not have. */
function Losses({ page, site }: { readonly page: string; readonly site: string }) {
  const losses = useQuery({
    queryKey: ['losses', page, site],
    staleTime: 0,
    queryFn: () =>
      ask(api.GET('/api/pages/{id}/losses', { params: { path: { id: page }, query: { site } } })),
  });
  const lost = losses.data?.bands ?? [];
  if (lost.length === 0) return null;
  return (
    <div>
      <p>
        {lost.length === 1 ? 'One value does' : `${lost.length} values do`} not come along, since
        that site has no such band:
      </p>
      <ul className="max-h-40 list-disc overflow-auto pl-5">
        {lost.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
    </div>
  );
}

interface OfSite {
  readonly site: Site;
  onClose(): void;
}

export function NameSite({ site, onClose }: OfSite) {
  return (
    <Dialog label="Rename the site" onClose={onClose}>
      <NameSiteForm site={site} />
    </Dialog>
  );
}

function NameSiteForm({ site }: { readonly site: Site }) {
  const close = useClose();
  const [name, setName] = useState(site.name);
  const params = { path: { siteId: site.id } };
  const change = useShelfChange(
    () => ask(api.PUT('/api/sites/{siteId}/name', { params, body: { name } })),
    close,
  );
  return (
    <Asked
      title="Rename the site"
      act="Rename"
      pending={change.isPending}
      error={change.error}
      onAct={() => change.mutate()}
    >
      <Field label="Name" value={name} first onValue={setName} />
    </Asked>
  );
}

export function CopySite({ site, onClose }: OfSite) {
  return (
    <Dialog label="Copy the site" onClose={onClose}>
      <CopySiteForm site={site} />
    </Dialog>
  );
}

function CopySiteForm({ site }: { readonly site: Site }) {
  const close = useClose();
  const [name, setName] = useState(`${site.name} (copy)`);
  const params = { path: { siteId: site.id } };
  const copy = useShelfChange(
    () => ask(api.POST('/api/sites/{siteId}/copies', { params, body: { name } })),
    close,
  );
  return (
    <Asked
      title={`Copy “${site.name}”`}
      act={copy.isPending ? 'Copying…' : 'Copy'}
      pending={copy.isPending}
      error={copy.error}
      onAct={() => copy.mutate()}
    >
      <Field label="Name of the copy" value={name} first onValue={setName} />
      <p className="faint">
        Its pages, media and kept pieces come along; what is live stays with the original.
      </p>
    </Asked>
  );
}

interface DropProps {
  readonly name: string;
  drop(): Promise<unknown>;
  onClose(): void;
}

/** The one thing that cannot be taken back. */
export function Drop(props: DropProps) {
  return (
    <Dialog label="Drop for good" onClose={props.onClose}>
      <DropForm {...props} />
    </Dialog>
  );
}

function DropForm({ name, drop }: DropProps) {
  const close = useClose();
  const change = useShelfChange(drop, close);
  return (
    <Asked
      title={`Drop “${name}” for good?`}
      act="Drop for good"
      danger
      pending={change.isPending}
      error={change.error}
      onAct={() => change.mutate()}
    >
      <p>Its revisions and releases go with it. This cannot be taken back.</p>
    </Asked>
  );
}
