/** Bytes as people say them. */
export const size = (bytes: number) =>
  bytes < 1000
    ? `${bytes} B`
    : bytes < 1_000_000
      ? `${(bytes / 1000).toFixed(1)} kB`
      : `${(bytes / 1_000_000).toFixed(2)} MB`;

/** A time in ms as minutes and seconds. */
export function clock(ms: number): string {
  const seconds = Math.round(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Endings of files of fonts. */
export const FONTS = '.woff2,.woff,.ttf,.otf';

/** What a picker offers. */
export type Sort = 'picture' | 'clip' | 'captions' | 'icons';

/** A sprite to begin one's own with. */
export const STARTER = '/api/icons/starter.svg';

export const fileAt = (site: string, id: string) => `/api/sites/${site}/media/${id}/file`;
