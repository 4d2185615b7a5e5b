import { useQuery } from '@tanstack/react-query';
import { FileSpreadsheet } from 'lucide-react';
import { useId, useState } from 'react';
import { api, ask, type Intake, type NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { text } from '../bench/document';
import { Dialog } from '../ui/Dialog';
import { Following } from './Following';
import { Mapping } from './Mapping';
import { TakeIn } from './TakeIn';

/** Items of a piece from a file, and into one. */
export function ContentButton({ piece }: { readonly piece: NodeBody }) {
  const [open, setOpen] = useState(false);
  const title = useId();
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        <FileSpreadsheet size={14} aria-hidden className="mr-1 inline" />
        {text(piece, 'source') === '' ? 'From a file' : 'Follows a file'}
      </button>
      {open && (
        <Dialog labelledBy={title} className="content" onClose={() => setOpen(false)}>
          <Content piece={piece} title={title} />
        </Dialog>
      )}
    </>
  );
}

/** Where a file is taken in, mapped, or followed; what was begun before is taken up again. */
function Content({ piece, title }: { readonly piece: NodeBody; readonly title: string }) {
  const { page } = useBench();
  const [intake, setIntake] = useState<Intake | 'none'>();
  const open = useQuery({
    queryKey: ['intakes', page.id, piece.id],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/intakes', {
          params: { path: { id: page.id }, query: { piece: piece.id } },
        }),
      ),
    staleTime: 0,
    gcTime: 0,
  });
  if (open.isError) return <p className="text-error">{open.error.message}</p>;
  if (!open.data) return <p className="faint">Looking for what was begun…</p>;
  const shown = intake ?? open.data[0] ?? 'none';
  if (shown !== 'none') {
    return (
      <Mapping
        piece={piece}
        title={title}
        intake={shown}
        onChange={setIntake}
        onDrop={() => setIntake('none')}
      />
    );
  }
  return text(piece, 'source') === '' ? (
    <TakeIn piece={piece} title={title} onTaken={setIntake} />
  ) : (
    <Following piece={piece} title={title} />
  );
}
