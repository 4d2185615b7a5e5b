import { useQuery } from '@tanstack/react-query';
import { Scissors, X } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { api, ask } from '../api/client';
import { type Column, columnsOf, useBench, versionOf } from '../bench/context';
import { newId } from '../bench/document';

/** Cuts the band that the carriage stands in. */
export function CutBand() {
  const { session, page, width, catalogue } = useBench();
  const most = catalogue.limits.bands;
  const columns = columnsOf(page);
  const dialog = useRef<HTMLDialogElement>(null);
  const [name, setName] = useState('');
  const field = useId();
  const taken = columns.some((band) => band.from === width) || width <= 280;
  const full = columns.length >= most;
  return (
    <>
      <button
        type="button"
        className="foot-button"
        disabled={taken || full}
        title={
          full
            ? `A site has at most ${most} bands`
            : taken
              ? 'A band begins here already'
              : undefined
        }
        onClick={() => dialog.current?.showModal()}
      >
        <Scissors size={14} aria-hidden /> New band from {width} px
      </button>
      <dialog ref={dialog} className="modal" aria-labelledby={`${field}-t`}>
        <form
          method="dialog"
          className="modal-box flex flex-col gap-4"
          onSubmit={() => {
            const id = newId('band');
            session.edit([
              { type: 'AddBand', band: id, name: name.trim() || `From ${width}`, from: width },
            ]);
            setName('');
          }}
        >
          <h2 id={`${field}-t`} className="font-serif text-xl">
            A band from {width} px
          </h2>
          <label className="flex flex-col gap-1">
            Its name
            <input
              className="input w-full"
              value={name}
              maxLength={40}
              placeholder={`From ${width}`}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <div className="flex justify-end gap-2">
            <button type="button" className="btn btn-ghost" onClick={() => dialog.current?.close()}>
              Cancel
            </button>
            <button type="submit" className="btn btn-primary">
              Add the band
            </button>
          </div>
        </form>
      </dialog>
    </>
  );
}

/** Takes a band away, after saying which values go with it. */
export function RemoveBand({ band }: { readonly band: Column }) {
  const { session, page } = useBench();
  const dialog = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const title = useId();
  const going = useQuery({
    queryKey: ['going', page.id, versionOf(page), band.id],
    // Other pages may have been changed elsewhere.
    staleTime: 0,
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/bands/{band}/values', {
          params: { path: { id: page.id, band: band.id } },
        }),
      ),
    enabled: open,
  });
  return (
    <>
      <button
        type="button"
        className="band-remove"
        aria-label={`Remove the band ${band.name}`}
        title={`Remove the band ${band.name}`}
        onClick={() => {
          setOpen(true);
          dialog.current?.showModal();
        }}
      >
        <X size={13} aria-hidden />
      </button>
      <dialog ref={dialog} className="modal" aria-labelledby={title} onClose={() => setOpen(false)}>
        <div className="modal-box flex flex-col gap-3 text-left">
          <h2 id={title} className="font-serif text-xl">
            Remove the band {band.name}?
          </h2>
          {going.data && (
            <p>
              {going.data.length === 0
                ? 'No value goes with it.'
                : going.data.length === 1
                  ? 'One value goes with it:'
                  : `${going.data.length} values go with it:`}
            </p>
          )}
          {going.data && going.data.length > 0 && (
            <ul className="max-h-48 list-disc overflow-auto pl-5">
              {going.data.map(({ page, value }) => (
                <li key={`${page} ${value}`}>
                  {value} <span className="faint">on {page}</span>
                </li>
              ))}
            </ul>
          )}
          <div className="flex justify-end gap-2">
            <button type="button" className="btn btn-ghost" onClick={() => dialog.current?.close()}>
              Keep it
            </button>
            <button
              type="button"
              className="btn btn-error"
              onClick={() => {
                dialog.current?.close();
                session.edit([{ type: 'RemoveBand', band: band.id }]);
              }}
            >
              Remove the band
            </button>
          </div>
        </div>
      </dialog>
    </>
  );
}
