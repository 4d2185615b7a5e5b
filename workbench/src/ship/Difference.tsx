import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { useBench } from '../bench/context';

/** The most that stand in the list: who has changed more looks at the pages themselves. */
const MOST = 200;

interface Props {
  readonly from: number;
  /** Another release; none for the page as it stands. */
  readonly to?: number;
}

/** In what a release, or the page as it stands, differs from a release before. */
export function Difference({ from, to }: Props) {
  const { page, choose } = useBench();
  const now = to === undefined ? [page.revision, page.siteRevision] : [];
  const differences = useQuery({
    queryKey: ['difference', page.id, from, to, ...now],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/difference', {
          params: { path: { id: page.id }, query: { from, to } },
        }),
      ),
  });
  if (differences.isError)
    return (
      <p role="alert" className="text-error">
        {differences.error.message}
      </p>
    );
  if (!differences.data) return <p className="faint">Comparing…</p>;
  const all = differences.data;
  if (all.length === 0) return <p className="faint">In nothing.</p>;
  return (
    <ul className="ship-differences">
      {all.slice(0, MOST).map((each, n) => (
        <li key={n}>
          {each.node === '' || each.how === 'gone' ? (
            <b>{each.name}</b>
          ) : (
            <button type="button" className="link" onClick={() => choose(each.node)}>
              {each.name}
            </button>
          )}{' '}
          {each.how === 'changed' ? (
            <>
              {each.what}
              {each.band === '' ? '' : `, ${each.band}`}: <del>{each.then || 'not set'}</del>{' '}
              <ins>{each.now || 'not set'}</ins>
            </>
          ) : (
            <span className="faint">is {each.how}</span>
          )}
        </li>
      ))}
      {all.length > MOST && <li className="faint">and {all.length - MOST} more</li>}
    </ul>
  );
}
