import { useQuery } from '@tanstack/react-query';
import { api, ask, type SpriteReply } from '../api/client';

/** What an icon sprite has; the same sprite has the same, so it is asked for once. */
export const useSprite = (site: string, id: string) =>
  useQuery({
    queryKey: ['sprite', site, id],
    enabled: id !== '',
    queryFn: () =>
      ask(
        api.GET('/api/sites/{siteId}/media/{id}/symbols', {
          params: { path: { siteId: site, id } },
        }),
      ),
  });

type Symbol = SpriteReply['symbols'][number];

/** One icon of a sprite; the server has cleaned it. */
export function Drawing({ symbol: { name, box, draw } }: { readonly symbol: Symbol }) {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box}">${draw}</svg>`;
  return (
    <span
      className="sprite-icon"
      role="img"
      aria-label={name}
      style={{ maskImage: `url("data:image/svg+xml,${encodeURIComponent(svg)}")` }}
    />
  );
}

/** Icons of a sprite, side by side. */
export function SpriteIcons({
  site,
  id,
  few = false,
}: {
  readonly site: string;
  readonly id: string;
  readonly few?: boolean;
}) {
  const { data } = useSprite(site, id);
  const drawn = data?.symbols.filter((symbol) => symbol.draw !== '') ?? [];
  return (
    <span className="sprite-icons">
      {drawn.slice(0, few ? 6 : 500).map((symbol) => (
        <Drawing key={symbol.name} symbol={symbol} />
      ))}
    </span>
  );
}

/** What a sprite has and lacks, name by name. */
export function SpriteReport({ site, id }: { readonly site: string; readonly id: string }) {
  const { data } = useSprite(site, id);
  if (!data) return <p className="faint">Reading the sprite…</p>;
  const odd = data.symbols.filter((symbol) => symbol.odd !== '');
  const drawn = data.symbols.filter((symbol) => symbol.draw !== '');
  return (
    <div className="sprite-report">
      <ul>
        {drawn.map((symbol) => (
          <li key={symbol.name}>
            <Drawing symbol={symbol} /> <span className="truncate">{symbol.name}</span>
          </li>
        ))}
      </ul>
      {data.missing.length > 0 && (
        <p>
          <b>Missing:</b> {data.missing.join(', ')}.{' '}
          <span className="faint">Those that ship stand in for them.</span>
        </p>
      )}
      {odd.map((symbol) => (
        <p key={symbol.name} className="text-warning">
          <b>{symbol.name}:</b> {symbol.odd}.
        </p>
      ))}
      {data.missing.length === 0 && odd.length === 0 && (
        <p className="text-success">It has all that pieces show of themselves.</p>
      )}
    </div>
  );
}
