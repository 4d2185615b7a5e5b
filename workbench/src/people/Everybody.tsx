import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type PartLine } from '../api/client';
import { Handed } from './Handed';
import { useMe } from './me';

/** All who can be let in, for whoever owns the installation. */
export function Everybody() {
  const me = useMe();
  return me?.owns ? <All /> : null;
}

function All() {
  const queries = useQueryClient();
  const all = useQuery({ queryKey: ['people'], queryFn: () => ask(api.GET('/api/people')) });
  const again = () => queries.invalidateQueries({ queryKey: ['people'] });
  const restore = useMutation({
    mutationFn: ({ id }: PartLine) =>
      ask(api.POST('/api/people/{person}/ways-in', { params: { path: { person: id } } })),
    onSuccess: again,
  });
  const end = useMutation({
    mutationFn: ({ id }: PartLine) =>
      ask(api.DELETE('/api/people/{person}', { params: { path: { person: id } } })),
    onSuccess: again,
  });
  const others = all.data?.filter((each) => !each.owns) ?? [];
  const wrong = all.error ?? restore.error ?? end.error;
  return (
    <section aria-label="Everybody">
      <h3>Everybody</h3>
      <p className="faint">
        {others.length === 0
          ? 'Nobody else is let in yet. People are asked in on the shelf, site by site.'
          : 'Who has lost their way in gets a new one; the old ones open nothing then.'}
      </p>
      <ul className="who-is-in-list">
        {others.map((each) => (
          <li key={each.id}>
            <span>
              {each.name} <span className="faint">{each.address}</span>
              <span className="faint block">{each.role || 'no part in any site'}</span>
            </span>
            <button
              type="button"
              className="tape-chip"
              aria-label={`A new way in for ${each.name}`}
              onClick={() => restore.mutate(each)}
            >
              New way in
            </button>
            <button
              type="button"
              className="tape-chip"
              aria-label={`Let ${each.name} in no more`}
              onClick={() => end.mutate(each)}
            >
              End
            </button>
          </li>
        ))}
      </ul>
      {restore.data && <Handed invited={restore.data} to={restore.variables?.address ?? ''} />}
      {wrong && (
        <p role="alert" className="text-error">
          {wrong.message}
        </p>
      )}
    </section>
  );
}
