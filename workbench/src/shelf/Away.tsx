import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { Drop, useShelfChange } from './dialogs';

const day = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'long', year: 'numeric' });

/** What is put away, and until when it can be brought back. */
export function Away() {
  const away = useQuery({
    queryKey: ['away'],
    queryFn: () => ask(api.GET('/api/away')),
    staleTime: 0,
  });
  if (!away.data || away.data.length === 0) return null;
  return (
    <section aria-label="Put away" className="away">
      <h2 className="font-serif text-xl">Put away</h2>
      <ul>
        {away.data.map((each) => (
          <One key={`${each.kind} ${each.id}`} {...each} />
        ))}
      </ul>
    </section>
  );
}

interface OneProps {
  readonly kind: string;
  readonly id: string;
  readonly name: string;
  readonly site: string;
  readonly until: string;
}

function One({ kind, id, name, site, until }: OneProps) {
  const [dropping, setDropping] = useState(false);
  const ofSite = kind === 'site';
  const page = { params: { path: { id } } };
  const whole = { params: { path: { siteId: id } } };
  const back = useShelfChange(() =>
    ask(
      ofSite
        ? api.DELETE('/api/sites/{siteId}/away', whole)
        : api.DELETE('/api/pages/{id}/away', page),
    ),
  );
  return (
    <li>
      <span className="min-w-0 truncate font-semibold">{name}</span>
      <span className="faint min-w-0 truncate">
        {ofSite ? 'a whole site' : `a page of ${site}`}
      </span>
      <span className="faint">until {day.format(new Date(until))}</span>
      <span className="flex gap-3">
        <button
          type="button"
          className="link"
          aria-label={`Bring ${name} back`}
          onClick={() => back.mutate()}
        >
          Bring back
        </button>
        <button
          type="button"
          className="link text-error"
          aria-label={`Drop ${name} for good`}
          onClick={() => setDropping(true)}
        >
          Drop for good
        </button>
      </span>
      {back.isError && (
        <span className="text-error" role="alert">
          {back.error.message}
        </span>
      )}
      {dropping && (
        <Drop
          name={name}
          drop={() =>
            ask(
              ofSite
                ? api.DELETE('/api/sites/{siteId}', whole)
                : api.DELETE('/api/pages/{id}', page),
            )
          }
          onClose={() => setDropping(false)}
        />
      )}
    </li>
  );
}
