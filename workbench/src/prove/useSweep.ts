import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { useBench, versionOf } from '../bench/context';
import { useSettled } from '../ui/useSettled';

/**
 * What is found on the page as it stands, or as life changes it; what was found before as long as
 * that is gathered.
 */
export function useSweep(stress = '') {
  const { page } = useBench();
  // A sweep must not get in the way of edits.
  const version = useSettled(versionOf(page));
  return useQuery({
    queryKey: ['snags', page.id, version, stress],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/snags', {
          params: { path: { id: page.id }, query: { stress } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}
