import type { Release } from '../api/client';
import { size } from '../media/format';

/** What a release consists of, by the types of its files. */
const SORTS = [
  ['Markup', /^text\/html/],
  ['Styles', /^text\/css/],
  ['Scripts', /javascript/],
  ['Fonts', /^font\//],
  ['Pictures and clips, in all their sizes', /^(image|video|audio|text\/vtt)/],
] as const;

interface Props {
  readonly release: Release;
  /** The one before it, where there is one. */
  readonly before: Release | undefined;
}

/** How heavy a release is on the way, and against the one before. */
export function Weight({ release, before }: Props) {
  // Nobody fetches all pictures: the bars compare what everybody does.
  const heaviest = Math.max(1, ...SORTS.slice(0, -1).map(([, type]) => weight(release, type)));
  return (
    <div>
      <h2 className="ship-head">Weight of release {release.line.number}</h2>
      <table className="ship-weight w-full">
        <thead className="sr-only">
          <tr>
            <th scope="col">What</th>
            <th scope="col">On the way</th>
            {before && <th scope="col">Against release {before.line.number}</th>}
          </tr>
        </thead>
        <tbody>
          {SORTS.map(([name, type]) => {
            const now = weight(release, type);
            const more = before ? now - weight(before, type) : 0;
            if (now === 0 && more === 0) return null;
            return (
              <tr key={name}>
                <th scope="row">
                  {name}
                  <span
                    className="ship-bar"
                    style={{ inlineSize: `${Math.min(100, (100 * now) / heaviest)}%` }}
                    aria-hidden
                  />
                </th>
                <td>{size(now)}</td>
                {before && (
                  <td className={more > 0 ? 'text-error' : more < 0 ? 'text-success' : 'faint'}>
                    {more === 0 ? 'as before' : `${more > 0 ? '+' : '−'}${size(Math.abs(more))}`}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

const weight = (release: Release, type: RegExp) =>
  release.files.filter((file) => type.test(file.type)).reduce((all, file) => all + file.gzip, 0);
