import { useMutation } from '@tanstack/react-query';
import { Lightbulb } from 'lucide-react';
import { useState } from 'react';
import { api, ask, type NodeBody, type Plot } from '../api/client';
import { columnsOf, useBench } from '../bench/context';

interface Props {
  readonly node: NodeBody;
  readonly plot: Plot;
  readonly open: boolean;
  onOpen(open: boolean): void;
}

/** Counts that keep every card comfortable; shown first, taken as one edit. */
export function Suggestion({ node, plot, open, onOpen }: Props) {
  const { session, page, scrollbar } = useBench();
  const [most, setMost] = useState(12);
  const take = useMutation({
    mutationFn: () =>
      ask(
        api.GET('/api/pages/{id}/suggestion', {
          params: { path: { id: page.id }, query: { piece: node.id, scrollbar, most } },
        }),
      ),
    onSuccess: (edits) => {
      session.edit(edits);
      onOpen(false);
    },
  });
  const columns = columnsOf(page);
  const counts = plot.suggested.map((each) => ({ ...each, count: Math.min(each.count, most) }));
  if (!open) {
    return (
      <button type="button" className="foot-button" onClick={() => onOpen(true)}>
        <Lightbulb size={14} aria-hidden /> Suggest counts for {plot.comfortFrom} px and more
      </button>
    );
  }
  const same = counts.every((each) => each.count === each.now);
  return (
    <div role="group" aria-label="Suggested counts" className="flex items-center gap-3">
      <span>
        {counts
          .map((each) => {
            const name = columns.find((band) => band.id === each.band)?.name ?? each.band;
            return each.now === each.count
              ? `${name} ${each.count}`
              : `${name} ${each.now} → ${each.count}`;
          })
          .join(', ')}
      </span>
      <label className="flex items-center gap-1">
        at most
        <input
          type="number"
          min={1}
          max={12}
          value={most}
          className="input input-xs w-14"
          onChange={(event) => {
            const next = event.target.valueAsNumber;
            if (next >= 1 && next <= 12) setMost(Math.floor(next));
          }}
        />
      </label>
      {take.isError && <span className="text-error">{take.error.message}</span>}
      <button
        type="button"
        className="btn btn-primary btn-xs"
        disabled={same || take.isPending}
        onClick={() => take.mutate()}
      >
        {same ? 'These are set' : 'Take these'}
      </button>
      <button type="button" className="btn btn-ghost btn-xs" onClick={() => onOpen(false)}>
        Leave
      </button>
    </div>
  );
}
