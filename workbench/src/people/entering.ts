import { api, ask, type Me, whoIsIn } from '../api/client';

/** The key in the address, if there is one. It is taken out of it at once: it must not be kept. */
function keyHere(): string {
  const key = new URLSearchParams(location.hash.slice(1)).get('key') ?? '';
  if (key !== '') history.replaceState(history.state, '', location.pathname + location.search);
  return key;
}

/** Comes in by a key. */
export async function comeIn(key: string) {
  await whoIsIn();
  const body = { key };
  await ask(
    location.pathname === '/review'
      ? api.POST('/api/reviews', { body })
      : api.POST('/api/ways-in', { body }),
  );
}

/** Words of an address, or the whole of it, as somebody pastes it. */
export function keyOf(pasted: string): string {
  const text = pasted.trim();
  return text.includes('#key=') ? text.slice(text.indexOf('#key=') + 5) : text;
}

/** The key that the page was opened with, or that has come since; it is used once. */
let waiting = keyHere();

/** Takes up a key that has come into the address; whether there is one. */
export function named(): boolean {
  waiting = keyHere() || waiting;
  return waiting !== '';
}

/** Who is in; with why a key opened nothing, where one came along. */
export const meQuery = {
  queryKey: ['me'],
  queryFn: async (): Promise<Me & { readonly why: string }> => {
    const now = await whoIsIn();
    const key = waiting;
    waiting = '';
    // A guest who is in may come by another link, and become somebody.
    if ((now.in && now.review == null) || key === '') return { ...now, why: '' };
    try {
      await comeIn(key);
      return { ...(await whoIsIn()), why: '' };
    } catch (problem) {
      return { ...now, why: (problem as Error).message };
    }
  },
  staleTime: Number.POSITIVE_INFINITY,
};
