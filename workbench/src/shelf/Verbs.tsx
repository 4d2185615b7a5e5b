import { useState } from 'react';
import { api, ask } from '../api/client';
import { may, useMe } from '../people/me';
import { SitePeople } from '../people/SitePeople';
import { CopyPage, CopySite, MovePage, NamePage, NameSite, useShelfChange } from './dialogs';
import type { Page, Site } from './shelf';

interface VerbProps {
  readonly of: string;
  readonly name: string;
  onClick(): void;
}

function Verb({ of, name, onClick }: VerbProps) {
  return (
    <button type="button" className="link" aria-label={`${name} ${of}`} onClick={onClick}>
      {name}
    </button>
  );
}

interface PageProps {
  readonly page: Page;
  readonly site: Site;
}

/** What can be done to a whole page. */
export function PageVerbs({ page, site }: PageProps) {
  const me = useMe();
  const [open, setOpen] = useState<'name' | 'copy' | 'move'>();
  const params = { path: { id: page.id } };
  const away = useShelfChange(() => ask(api.POST('/api/pages/{id}/away', { params })));
  const called = page.title || 'Untitled';
  if (!may(me, site.id, 'designer')) return null;
  const rest = { page, site, onClose: () => setOpen(undefined) };
  return (
    <div className="shelf-verbs">
      {!page.broken && (
        <>
          <Verb of={called} name="Rename" onClick={() => setOpen('name')} />
          <Verb of={called} name="Copy" onClick={() => setOpen('copy')} />
          <Verb of={called} name="Move" onClick={() => setOpen('move')} />
        </>
      )}
      <Verb of={called} name="Put away" onClick={() => away.mutate()} />
      {away.isError && (
        <span className="text-error" role="alert">
          {away.error.message}
        </span>
      )}
      {open === 'name' && <NamePage {...rest} />}
      {open === 'copy' && <CopyPage {...rest} />}
      {open === 'move' && <MovePage {...rest} />}
    </div>
  );
}

/** What can be done to a whole site. */
export function SiteVerbs({ site }: { readonly site: Site }) {
  const me = useMe();
  const owns = may(me, site.id, 'owner');
  const [open, setOpen] = useState<'name' | 'copy' | 'people'>();
  const params = { path: { siteId: site.id } };
  const away = useShelfChange(() => ask(api.POST('/api/sites/{siteId}/away', { params })));
  const close = () => setOpen(undefined);
  return (
    <>
      {owns && <Verb of={site.name} name="People" onClick={() => setOpen('people')} />}
      {owns && <Verb of={site.name} name="Rename" onClick={() => setOpen('name')} />}
      {may(me, site.id, 'designer') && (
        <Verb of={site.name} name="Copy" onClick={() => setOpen('copy')} />
      )}
      {owns && <Verb of={site.name} name="Put away" onClick={() => away.mutate()} />}
      {away.isError && (
        <span className="text-error" role="alert">
          {away.error.message}
        </span>
      )}
      {open === 'people' && <SitePeople site={site} onClose={close} />}
      {open === 'name' && <NameSite site={site} onClose={close} />}
      {open === 'copy' && <CopySite site={site} onClose={close} />}
    </>
  );
}
