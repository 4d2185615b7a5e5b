import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { api, ask, type OwnPage, send } from '../api/client';
import { useBench } from '../bench/context';
import { Dialog } from '../ui/Dialog';
import { FilePick } from '../ui/FilePick';
import { OwnPlaces } from './OwnPlaces';

const broughtAt = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });

/** Pages that she has already, with sections and pieces of this page in places of them. */
export function OwnPages() {
  const { page } = useBench();
  const queries = useQueryClient();
  const [open, setOpen] = useState('');
  const [going, setGoing] = useState('');
  const key = ['own-pages', page.id];
  const lines = useQuery({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/pages/{id}/own-pages', { params: { path: { id: page.id } } })),
  });
  const bring = useMutation({
    mutationFn: (file: File) => send<OwnPage>(`/api/pages/${page.id}/own-pages`, file),
    onSuccess: async (brought) => {
      setOpen(brought.id);
      await queries.invalidateQueries({ queryKey: key });
    },
  });
  const drop = useMutation({
    mutationFn: (own: string) =>
      ask(
        api.DELETE('/api/pages/{id}/own-pages/{own}', {
          params: { path: { id: page.id, own } },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });
  return (
    <div className="ship-own">
      <h2 className="ship-head">Into a page of your own</h2>
      <p className="faint">
        Bring an HTML page, or a zip of it with its files. Point at places, fill them, and take it
        back: all the rest of it stays as it is, byte for byte.
      </p>
      {(lines.data?.length ?? 0) > 0 && (
        <ul>
          {lines.data?.map((line) => (
            <li key={line.id} className="ship-own-line">
              <button type="button" className="link ship-own-name" onClick={() => setOpen(line.id)}>
                {line.name}
              </button>
              <span className="faint">
                {told(line.places)}, brought {broughtAt.format(new Date(line.broughtAt))}
                {line.lost > 0 && <b className="text-error"> {line.lost} to be pointed at anew</b>}
              </span>
              {going === line.id ? (
                <span className="ship-own-going">
                  <button
                    type="button"
                    className="btn btn-xs btn-error"
                    disabled={drop.isPending}
                    onClick={() => drop.mutate(line.id)}
                  >
                    Take away for good
                  </button>
                  <button type="button" className="btn btn-xs" onClick={() => setGoing('')}>
                    Keep it
                  </button>
                </span>
              ) : (
                <button
                  type="button"
                  className="btn btn-xs"
                  aria-label={`Take ${line.name} away`}
                  onClick={() => setGoing(line.id)}
                >
                  Take away
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <p className="ship-actions">
        <FilePick
          accept=".html,.htm,.zip,text/html,application/zip"
          busy={bring.isPending}
          onPick={([file]) => bring.mutate(file)}
        >
          <FileUp size={15} aria-hidden /> {bring.isPending ? 'Reading…' : 'Bring a page'}
        </FilePick>
      </p>
      {[bring, drop, lines].map(
        (each, place) =>
          each.isError && (
            <p key={place === 0 ? 'bring' : place === 1 ? 'drop' : 'list'} role="alert">
              <span className="text-error">{each.error.message}</span>
            </p>
          ),
      )}
      {open !== '' && (
        <Dialog
          label="A page of your own"
          className="line-up"
          onClose={() => {
            setOpen('');
            queries.invalidateQueries({ queryKey: key });
          }}
        >
          <OwnPlaces own={open} />
        </Dialog>
      )}
    </div>
  );
}

const told = (places: number) =>
  places === 0 ? 'no places yet' : places === 1 ? '1 place' : `${places} places`;
