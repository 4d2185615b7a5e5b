import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Kept, type NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { text } from '../bench/document';
import { usePageQuery } from '../bench/usePageQuery';

/** What a node is linked to; empty for one that has its own content. */
export const linkedTo = (node: NodeBody) => text(node, 'linkedTo');

/** What is kept on the site. */
export function useStock() {
  const { page } = useBench();
  return usePageQuery({
    key: ['stock', page.siteId],
    read: () =>
      ask(api.GET('/api/sites/{siteId}/stock', { params: { path: { siteId: page.siteId } } })),
  });
}

/** Keeps a piece or section on the site; and keeps it no longer. */
export function useKeep() {
  const { page } = useBench();
  const client = useQueryClient();
  const again = () => client.invalidateQueries({ queryKey: ['of-page', page.id, 'stock'] });
  const keep = useMutation({
    mutationFn: (body: { node: string; name: string }) =>
      ask(api.POST('/api/pages/{id}/stock', { params: { path: { id: page.id } }, body })),
    onSuccess: again,
  });
  const drop = useMutation({
    mutationFn: (id: string) =>
      ask(
        api.DELETE('/api/sites/{siteId}/stock/{id}', {
          params: { path: { siteId: page.siteId, id } },
        }),
      ),
    onSuccess: again,
  });
  return { keep, drop };
}

/** A node that follows something kept: it has no content of its own. */
export const linkTo = (kept: Kept, id: string): NodeBody => ({
  id,
  type: (kept.node as NodeBody).type,
  values: { linkedTo: kept.id },
  children: [],
});
