import {
  keepPreviousData,
  type QueryClient,
  useInfiniteQuery,
  useQuery,
} from '@tanstack/react-query';
import { api, ask, type ShelfReply } from '../api/client';

export type Site = ShelfReply['sites'][number];
export type Page = Site['pages'][number];

/** Ms after which pages that are gone through are asked for again. */
const COUNTING = 1_500;

/** Whether nobody knows yet what is found on a page. */
export const waits = (page: Page) => !page.broken && page.snags == null;

/** The sites of several answers, each once: one that goes on in the next answer is one site. */
function together(answers: readonly ShelfReply[]): readonly Site[] {
  const sites = new Map<string, Site>();
  for (const site of answers.flatMap((answer) => answer.sites)) {
    const pages = new Map(sites.get(site.id)?.pages.map((page) => [page.id, page]));
    for (const page of site.pages) pages.set(page.id, page);
    sites.set(site.id, { ...site, pages: [...pages.values()] });
  }
  return [...sites.values()];
}

/** What is on the shelf, or what of it has something in its name; more of it on asking. */
export function useShelf(find: string) {
  const shelf = useInfiniteQuery({
    queryKey: ['shelf', find],
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/shelf', { params: { query: { find, from: pageParam } } })),
    initialPageParam: 0,
    getNextPageParam: (last) => last.next ?? undefined,
    staleTime: 0,
    placeholderData: keepPreviousData,
    // Pages are gone through while the shelf is there already: their counts come one by one.
    refetchInterval: ({ state }) =>
      state.data?.pages.some((answer) => answer.sites.some((site) => site.pages.some(waits)))
        ? COUNTING
        : false,
  });
  return {
    ...shelf,
    sites: shelf.data && together(shelf.data.pages),
    stage: shelf.data?.pages[0]?.stage ?? '',
  };
}

/** All sites by name, oldest first. */
export function useSites() {
  return useQuery({ queryKey: ['sites'], queryFn: () => ask(api.GET('/api/sites')), staleTime: 0 });
}

/** Has the shelf shown as it is now. */
export async function refreshShelf(queries: QueryClient) {
  await Promise.all(
    ['shelf', 'sites', 'away'].map((key) => queries.invalidateQueries({ queryKey: [key] })),
  );
}
