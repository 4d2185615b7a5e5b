import { useState } from 'react';
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
                {before && <More by={more} />}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** Device px for a px, and the screens that commonly have so many. */
const DENSITIES = [
  [1, 'most desk screens'],
  [2, 'most laptops and tablets'],
  [3, 'most phones'],
] as const;

/** What a visitor fetches who sees the whole page, band by band. */
export function BandWeight({ release, before }: Props) {
  const [density, setDensity] = useState(2);
  if (release.bands.length === 0) return null;
  const all = release.bands.map((band) => whole(release, band, density));
  const heaviest = Math.max(1, ...all);
  const pictures = Math.max(...release.bands.map((band) => band.bytes[density - 1] ?? 0));
  return (
    <div>
      <h2 className="ship-head">What a visitor fetches</h2>
      <label className="ship-density">
        <span>On screens of</span>
        <select
          className="select select-sm"
          value={density}
          onChange={(event) => setDensity(Number(event.target.value))}
        >
          {DENSITIES.map(([each, whose]) => (
            <option key={each} value={each}>
              {each}× ({whose})
            </option>
          ))}
        </select>
      </label>
      <table className="ship-weight w-full">
        <thead className="sr-only">
          <tr>
            <th scope="col">Band</th>
            <th scope="col">On the way</th>
            {before && <th scope="col">Against release {before.line.number}</th>}
          </tr>
        </thead>
        <tbody>
          {release.bands.map((band, place) => {
            const now = all[place] ?? 0;
            const old = before?.bands.find(
              ({ name, width }) => name === band.name && width === band.width,
            );
            return (
              <tr key={`${band.name} ${band.width}`}>
                <th scope="row">
                  {band.name} <span className="faint">at {band.width} px</span>
                  <span
                    className="ship-bar"
                    style={{ inlineSize: `${(100 * now) / heaviest}%` }}
                    aria-hidden
                  />
                </th>
                <td>{size(now)}</td>
                {before && <More by={old && now - whole(before, old, density)} />}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="faint">
        All of the page, scrolled to its end, every item seen
        {pictures > 0
          ? ', each picture in the file that fits (less where a larger one is there already)'
          : ''}
        . Clips come as they are played and are not counted, nor is what comes from elsewhere.
      </p>
    </div>
  );
}

/** How much more it is than before, if that is known. */
function More({ by }: { readonly by: number | undefined }) {
  if (by === undefined) return <td className="faint">not known</td>;
  return (
    <td className={by > 0 ? 'text-error' : by < 0 ? 'text-success' : 'faint'}>
      {by === 0 ? 'as before' : `${by > 0 ? '+' : '−'}${size(Math.abs(by))}`}
    </td>
  );
}

const whole = (release: Release, band: Release['bands'][number], density: number) =>
  SORTS.slice(0, -1).reduce((sum, [, type]) => sum + weight(release, type), 0) +
  (band.bytes[density - 1] ?? 0);

const weight = (release: Release, type: RegExp) =>
  release.files.filter((file) => type.test(file.type)).reduce((all, file) => all + file.gzip, 0);
