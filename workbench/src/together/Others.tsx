import { useContext } from 'react';
import { BenchContext, useBench } from '../bench/context';
import { find, nameOf } from '../bench/document';

/** The first letters of a name. */
const initials = (name: string) =>
  name
    .split(/\s+/)
    .map((word) => [...word][0] ?? '')
    .slice(0, 2)
    .join('')
    .toUpperCase();

const SHOWN = 4;

/** Who else is on the page, and where; a press goes there. */
export function Others() {
  const { others, page, choose } = useBench();
  if (others.length === 0) return null;
  const at = (node: string) => {
    const found = find(page.document, node)?.node;
    return found ? nameOf(found) : '';
  };
  return (
    <ul className="others" aria-label="Who else is on this page">
      {others.slice(0, SHOWN).map((each) => {
        const place = at(each.node);
        const typing = each.path !== '';
        const says = `${each.name}${place ? `, ${typing ? 'typing in' : 'at'} ${place}` : ''}`;
        return (
          <li key={each.window}>
            <button
              type="button"
              className="other"
              data-typing={typing || undefined}
              title={says}
              aria-label={says}
              onClick={() => place !== '' && choose(each.node)}
            >
              {initials(each.name)}
            </button>
          </li>
        );
      })}
      {others.length > SHOWN && <li className="faint">+{others.length - SHOWN}</li>}
    </ul>
  );
}

/** Says of a value that somebody else is typing it. */
export function TypedBy({ path }: { readonly path: string }) {
  const name = useTypedBy(path);
  return name === '' ? null : (
    <span className="typed-by" role="status">
      {name} is typing here
    </span>
  );
}

/** Who is typing a value; empty where nobody is. */
export const useTypedBy = (path: string): string =>
  useOthers().find((each) => each.path === path)?.name ?? '';

/** Others on the page; nobody where there is no bench around. */
export const useOthers = () => useContext(BenchContext)?.others ?? [];
