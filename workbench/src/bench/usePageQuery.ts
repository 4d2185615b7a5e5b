import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Problem } from '../api/client';
import { useBench, versionOf } from './context';

interface Options<T> {
  /** What is read, and of what; not how the page is now. */
  readonly key: readonly unknown[];
  read(): Promise<T>;
  readonly enabled?: boolean;
  /** The version that is read, where it is not that of now. */
  readonly version?: string;
}

/**
 * Reads something of the page, and anew when the page is another. One reading is under way at a
 * time: what it tells is shown although the page has changed since, and then it is read once more.
 * So something newer always comes, however fast somebody types, and no more is asked than is
 * answered.
 */
export function usePageQuery<T>({ key, read, enabled = true, version: asked }: Options<T>) {
  const { page } = useBench();
  const now = versionOf(page);
  const version = asked ?? now;
  const tried = useRef('');
  const query = useQuery({
    queryKey: ['of-page', page.id, ...key],
    queryFn: async () => {
      tried.current = version;
      return { version, told: await read() };
    },
    placeholderData: keepPreviousData,
    enabled,
    // What is refused is refused again; a server that is away may come back.
    retry: (failures, problem) =>
      failures < 2 && problem instanceof Problem && (problem.status === 0 || problem.status >= 500),
  });
  const { isFetching, isError, isPlaceholderData, refetch } = query;
  const known = isPlaceholderData ? undefined : query.data?.version;
  const old = isError ? tried.current !== version : known !== undefined && known !== version;
  useEffect(() => {
    if (enabled && old && !isFetching) void refetch();
  }, [enabled, old, isFetching, refetch]);
  return { ...query, data: query.data?.told };
}
