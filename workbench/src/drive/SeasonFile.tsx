import { useMutation } from '@tanstack/react-query';
import { CalendarArrowDown, CalendarArrowUp } from 'lucide-react';
import { useState } from 'react';
import { type NodeBody, type SeasonsReply, sendBytes } from '../api/client';
import { useBench } from '../bench/context';
import { Dialog, useClose } from '../ui/Dialog';
import { FilePick } from '../ui/FilePick';
import { Told } from '../ui/Told';

/** Seasons of a piece out as a calendar file, and in from one. */
export function SeasonFile({ piece, some }: { readonly piece: NodeBody; readonly some: boolean }) {
  const { page, session } = useBench();
  const [read, setRead] = useState<SeasonsReply>();
  const at = (end: string) => `/api/pages/${page.id}/${end}?piece=${encodeURIComponent(piece.id)}`;
  const take = useMutation({
    mutationFn: async (file: File): Promise<SeasonsReply> => {
      await session.settled();
      const calendar = new Blob([file], { type: 'text/calendar' });
      return sendBytes(at('seasons'), calendar, file.name);
    },
    onSuccess: setRead,
  });
  return (
    <>
      {some && (
        <a className="tape-chip inline-flex items-center gap-1" href={at('seasons.ics')} download>
          <CalendarArrowDown size={14} aria-hidden /> Calendar file
        </a>
      )}
      <FilePick
        accept=".ics,text/calendar"
        busy={take.isPending}
        className="tape-chip inline-flex items-center gap-1"
        onPick={([file]) => take.mutate(file)}
      >
        <CalendarArrowUp size={14} aria-hidden />{' '}
        {take.isPending ? 'Reading…' : 'Dates from a file'}
      </FilePick>
      {take.isError && (
        <span className="text-error" role="alert">
          {take.error.message}
        </span>
      )}
      {read && (
        <Dialog label="Dates from a file" onClose={() => setRead(undefined)}>
          <Taken read={read} />
        </Dialog>
      )}
    </>
  );
}

type Typed = SeasonsReply['changes'][number]['before'];

/** A season in words. */
function said({ begins, ends, yearly, months, days, hours }: Typed) {
  const dates =
    begins === ''
      ? ends === ''
        ? ''
        : `until ${ends}`
      : ends === ''
        ? `from ${begins}`
        : `${begins} to ${ends}`;
  const capital = (word: string) => word.slice(0, 1).toUpperCase() + word.slice(1);
  const all = [
    dates,
    yearly ? 'each year' : '',
    months.length > 0 ? `in ${months.map(capital).join(', ')}` : '',
    days.length > 0 ? `on ${days.map(capital).join(', ')}` : '',
    hours,
  ].filter((each) => each !== '');
  return all.length === 0 ? 'always' : all.join(', ');
}

function Taken({ read }: { readonly read: SeasonsReply }) {
  const { session } = useBench();
  const close = useClose();
  return (
    <div className="flex flex-col gap-4 whitespace-normal [overflow-wrap:anywhere]">
      <h2 className="font-serif text-xl">Dates from a file</h2>
      {read.changes.length === 0 ? (
        <p>Nothing of this piece would change.</p>
      ) : (
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Item</th>
              <th scope="col">Now</th>
              <th scope="col">Then</th>
            </tr>
          </thead>
          <tbody>
            {read.changes.map((each) => (
              <tr key={each.item}>
                <th scope="row">{each.name}</th>
                <td>{said(each.before)}</td>
                <td>{said(each.after)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Told title="These cannot be taken:" all={read.refused} />
      <Told title="These are of no item here:" all={read.strangers} />
      <div className="flex gap-2">
        {read.changes.length > 0 && (
          <button
            type="button"
            data-first
            className="btn btn-primary btn-sm"
            onClick={() => {
              session.edit(read.edits);
              close();
            }}
          >
            Set {read.changes.length === 1 ? 'this season' : `these ${read.changes.length} seasons`}
          </button>
        )}
        <button type="button" className="btn btn-ghost btn-sm" onClick={close}>
          {read.changes.length > 0 ? 'Leave all as it is' : 'Close'}
        </button>
      </div>
    </div>
  );
}
