import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { CalendarClock } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import { api, ask } from '../api/client';
import { useBench } from '../bench/context';

const POLL_MS = 10_000;

/** A time on the clocks of a zone, as people read it. */
const said = (local: string) =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeStyle: 'short' }).format(
    new Date(local),
  );

/** When the page is published by itself: planned, seen, and taken back. */
export function Planned() {
  const { page } = useBench();
  const queries = useQueryClient();
  const id = useId();
  const [open, setOpen] = useState(false);
  const [local, setLocal] = useState('');
  const [note, setNote] = useState('');
  const where = { params: { path: { id: page.id } } };
  const key = ['planned', page.id];
  const found = useQuery({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/pages/{id}/planned', where)),
    refetchInterval: ({ state }) => (state.data?.planned ? POLL_MS : false),
  });
  const planned = found.data?.planned;
  const waits = planned !== undefined && planned !== null;
  // What was planned and is no more has most likely been published.
  useEffect(() => {
    if (!waits) queries.invalidateQueries({ queryKey: ['releases', page.id] });
  }, [waits, queries, page.id]);
  const read = () => queries.invalidateQueries({ queryKey: key });
  const plan = useMutation({
    mutationFn: () => ask(api.PUT('/api/pages/{id}/planned', { ...where, body: { local, note } })),
    onSuccess: () => {
      setOpen(false);
      setNote('');
      return read();
    },
  });
  const drop = useMutation({
    mutationFn: () => ask(api.DELETE('/api/pages/{id}/planned', where)),
    onSuccess: read,
  });
  if (!found.data) return null;
  const { zone } = found.data;
  if (planned) {
    return (
      <div className="ship-planned" role="status">
        <CalendarClock size={16} aria-hidden />
        <p>
          {planned.failed === '' ? (
            <>
              The page, as it is then, will be published on <b>{said(planned.local)}</b>, on the
              clocks of {zone}.
            </>
          ) : (
            <span className="text-error">
              It was to be published on {said(planned.local)} and could not be: {planned.failed}
            </span>
          )}
          {planned.note !== '' && <span className="faint"> “{planned.note}”</span>}
        </p>
        <button
          type="button"
          className="btn btn-xs"
          disabled={drop.isPending}
          onClick={() => drop.mutate()}
        >
          Not then
        </button>
      </div>
    );
  }
  return (
    <details
      className="ship-plan"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="link">Publish at a time…</summary>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          plan.mutate();
        }}
      >
        <label htmlFor={`${id}at`}>When, on the clocks of {zone}</label>
        <input
          id={`${id}at`}
          type="datetime-local"
          className="input input-sm"
          required
          value={local}
          onChange={(event) => setLocal(event.target.value)}
        />
        <label htmlFor={`${id}note`}>What is in it, for those who look at the releases</label>
        <input
          id={`${id}note`}
          className="input input-sm"
          maxLength={300}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <button type="submit" className="btn btn-sm btn-primary" disabled={plan.isPending}>
          Plan it
        </button>
        {plan.isError && (
          <p role="alert" className="text-error">
            {plan.error.message}
          </p>
        )}
      </form>
    </details>
  );
}
