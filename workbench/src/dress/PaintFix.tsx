import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { useBench, versionOf } from '../bench/context';

interface Props {
  readonly page: string;
  readonly node: string;
  readonly of: string;
  readonly part: string;
  readonly state: string;
  readonly band: string;
}

/** The nearest colour that can be read, at a press. */
export function PaintFix({ page, node, of, part, state, band }: Props) {
  const bench = useBench();
  const fix = useQuery({
    queryKey: ['nearest', page, node, of, part, state, band, versionOf(bench.page)],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/nearest', {
          params: { path: { id: page }, query: { node, of, part, state, band } },
        }),
      ),
    retry: false,
  });
  if (!fix.data?.colour) return null;
  return (
    <button type="button" className="link" onClick={() => bench.session.edit(fix.data.edits)}>
      nearest that passes: {fix.data.colour}
    </button>
  );
}
