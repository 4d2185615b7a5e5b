import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type PartLine } from '../api/client';
import { Dialog, useClose } from '../ui/Dialog';
import { Handed } from './Handed';
import { ROLES, type Role, roleSays } from './me';

interface Props {
  readonly site: { readonly id: string; readonly name: string };
}

/** Who has a part in a site. */
export function SitePeople({ site, onClose }: Props & { onClose(): void }) {
  return (
    <Dialog label={`People of ${site.name}`} className="who-is-in" onClose={onClose}>
      <People site={site} />
    </Dialog>
  );
}

function People({ site }: Props) {
  const close = useClose();
  const id = useId();
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [address, setAddress] = useState('');
  const [role, setRole] = useState<Role>('writer');
  const path = { siteId: site.id };
  const again = () => queries.invalidateQueries({ queryKey: ['people'] });
  const all = useQuery({
    queryKey: ['people', site.id],
    queryFn: () => ask(api.GET('/api/sites/{siteId}/people', { params: { path } })),
  });
  const invite = useMutation({
    mutationFn: (body: { name: string; address: string; role: string }) =>
      ask(api.POST('/api/sites/{siteId}/people', { params: { path }, body })),
    onSuccess: () => {
      setName('');
      setAddress('');
      return again();
    },
  });
  const change = useMutation({
    mutationFn: ({ person, to }: { person: string; to: string }) =>
      ask(
        api.PUT('/api/sites/{siteId}/people/{person}', {
          params: { path: { ...path, person } },
          body: { role: to },
        }),
      ),
    onSettled: again,
  });
  const take = useMutation({
    mutationFn: (person: string) =>
      ask(
        api.DELETE('/api/sites/{siteId}/people/{person}', {
          params: { path: { ...path, person } },
        }),
      ),
    onSettled: again,
  });
  const wrong = all.error ?? invite.error ?? change.error ?? take.error;
  return (
    <>
      <div className="who-is-in-head">
        <h2 className="min-w-0 font-serif text-xl [overflow-wrap:anywhere]">
          People of {site.name}
        </h2>
        <button type="button" className="tape-chip" onClick={close}>
          Close
        </button>
      </div>
      <ul className="who-is-in-list">
        {all.data?.map((each: PartLine) => (
          <li key={each.id}>
            <span>
              {each.name} <span className="faint">{each.address}</span>
              {!each.owns && !each.signs && <span className="faint block">no password yet</span>}
            </span>
            {each.owns ? (
              <span className="faint">owns the installation</span>
            ) : (
              <>
                <select
                  className="select select-sm"
                  aria-label={`What ${each.name} may do`}
                  value={each.role}
                  onChange={(event) => change.mutate({ person: each.id, to: event.target.value })}
                >
                  {ROLES.map((one) => (
                    <option key={one} value={one}>
                      {one}
                    </option>
                  ))}
                </select>
                <button
                  type="button"
                  className="tape-chip"
                  aria-label={`Take ${each.name} off ${site.name}`}
                  onClick={() => take.mutate(each.id)}
                >
                  Take off
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      <section aria-label="Ask somebody in">
        <h3>Ask somebody in</h3>
        <form
          className="who-is-in-new"
          onSubmit={(event) => {
            event.preventDefault();
            invite.mutate({ name, address, role });
          }}
        >
          <label htmlFor={`${id}-name`}>
            Name
            <input
              id={`${id}-name`}
              className="input input-sm"
              autoComplete="off"
              maxLength={80}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <label htmlFor={`${id}-address`}>
            Address for mail
            <input
              id={`${id}-address`}
              className="input input-sm"
              autoComplete="off"
              value={address}
              onChange={(event) => setAddress(event.target.value)}
            />
          </label>
          <fieldset className="role-choice">
            <legend>What they may do</legend>
            {ROLES.map((each) => (
              <label key={each}>
                <input
                  type="radio"
                  className="radio radio-xs"
                  name={`${id}-role`}
                  checked={role === each}
                  onChange={() => setRole(each)}
                />
                <span>
                  <b>{each}</b> <span className="faint">{roleSays[each]}</span>
                </span>
              </label>
            ))}
          </fieldset>
          <button type="submit" className="btn btn-sm btn-primary">
            Ask in
          </button>
        </form>
        {invite.data && <Handed invited={invite.data} to={invite.variables?.address ?? ''} />}
        {wrong && (
          <p role="alert" className="text-error">
            {wrong.message}
          </p>
        )}
      </section>
    </>
  );
}
