import { api, ask } from '../api/client';
import { useBench, versionOf } from '../bench/context';
import { usePageQuery } from '../bench/usePageQuery';
import { useSettled } from '../ui/useSettled';

/**
 * What is found on the page as it stands, or as life changes it; what was found before as long as
 * that is gathered.
 */
export function useSweep(stress = '') {
  const { page } = useBench();
  // A sweep must not get in the way of edits.
  const version = useSettled(versionOf(page));
  return usePageQuery({
    key: ['snags', stress],
    version,
    read: () =>
      ask(
        api.GET('/api/pages/{id}/snags', {
          params: { path: { id: page.id }, query: { stress } },
        }),
      ),
  });
}
