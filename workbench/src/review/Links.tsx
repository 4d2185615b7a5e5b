import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask } from '../api/client';

const day = new Intl.DateTimeFormat('en', { dateStyle: 'medium' });

/** Links by which people without an account look at a page and leave remarks. */
export function Links({ page }: { readonly page: string }) {
  const id = useId();
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [days, setDays] = useState('14');
  const [release, setRelease] = useState('');
  const path = { id: page };
  const key = ['review-links', page];
  const again = () => queries.invalidateQueries({ queryKey: key });
  const all = useQuery({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/pages/{id}/review-links', { params: { path } })),
  });
  const releases = useQuery({
    queryKey: ['releases', page],
    queryFn: () => ask(api.GET('/api/pages/{id}/releases', { params: { path } })),
  });
  const make = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/pages/{id}/review-links', {
          params: { path },
          body: {
            name,
            days: Number(days),
            ...(release === '' ? {} : { release: Number(release) }),
          },
        }),
      ),
    onSuccess: () => {
      setName('');
      return again();
    },
  });
  const end = useMutation({
    mutationFn: (link: string) =>
      ask(
        api.DELETE('/api/pages/{id}/review-links/{link}', { params: { path: { ...path, link } } }),
      ),
    onSettled: again,
  });
  const wrong = all.error ?? make.error ?? end.error;
  return (
    <section aria-label="Links for review">
      <h3>Links for review</h3>
      <p className="faint">
        Whoever has one looks at this page, and at nothing else, and leaves remarks.
      </p>
      <ul className="who-is-in-list">
        {all.data?.map((each) => (
          <li key={each.id}>
            <span>
              {each.name}{' '}
              <span className="faint">
                {each.release == null ? 'the page as it stands' : `release ${each.release}`}
              </span>
            </span>
            <span className="faint">until {day.format(new Date(each.until))}</span>
            <button
              type="button"
              className="tape-chip"
              aria-label={`End the link for ${each.name}`}
              onClick={() => end.mutate(each.id)}
            >
              End
            </button>
          </li>
        ))}
      </ul>
      {make.data && (
        <p className="who-is-in-made" role="status">
          <span>It is shown this once; send it to whoever is to look.</span>
          <code data-link>{make.data.address}</code>
        </p>
      )}
      <form
        className="who-is-in-new"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate();
        }}
      >
        <label htmlFor={`${id}-name`}>
          Whom it is for
          <input
            id={`${id}-name`}
            className="input input-sm"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label htmlFor={`${id}-days`}>
          Days
          <input
            id={`${id}-days`}
            className="input input-sm w-20"
            inputMode="numeric"
            value={days}
            onChange={(event) => setDays(event.target.value)}
          />
        </label>
        <label htmlFor={`${id}-release`}>
          It shows
          <select
            id={`${id}-release`}
            className="select select-sm"
            value={release}
            onChange={(event) => setRelease(event.target.value)}
          >
            <option value="">the page as it stands</option>
            {releases.data?.map((each) => (
              <option key={each.line.number} value={each.line.number}>
                release {each.line.number}
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className="btn btn-sm btn-primary">
          Make a link
        </button>
      </form>
      {wrong && (
        <p role="alert" className="text-error">
          {wrong.message}
        </p>
      )}
    </section>
  );
}
