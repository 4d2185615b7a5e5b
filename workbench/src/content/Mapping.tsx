import { useMutation } from '@tanstack/react-query';
import { useEffect, useId, useRef, useState } from 'react';
import { api, ask, type Intake, type NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { nameOf, plain } from '../bench/document';
import { useClose } from '../ui/Dialog';
import { RowsToMend } from './RowsToMend';

interface Props {
  readonly piece: NodeBody;
  readonly title: string;
  readonly intake: Intake;
  onChange(intake: Intake): void;
  onDrop(): void;
}

const POLL_MS = 250;

const rowsOf = (count: number) => (count === 1 ? '1 row' : `${count.toLocaleString('en')} rows`);

/** Which column goes where, with the first rows, the piece as it would be, and what is wrong. */
export function Mapping({ piece, title, intake, onChange, onDrop }: Props) {
  const { session } = useBench();
  const close = useClose();
  const [replace, setReplace] = useState(false);
  const [follow, setFollow] = useState(false);
  const [key, setKey] = useState<string>();
  const id = useId();
  const path = { path: { intake: intake.id } };
  const named = intake.columns.find((column) => column.field === 'heading') ?? intake.columns[0];
  const keyed = key ?? named?.name ?? '';
  const map = useMutation({
    mutationFn: (fields: string[]) =>
      ask(api.PUT('/api/intakes/{intake}/mapping', { params: path, body: fields })),
    onSuccess: onChange,
  });
  const run = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/intakes/{intake}/run', {
          params: path,
          body: { replace, ...(follow ? { key: keyed } : {}) },
        }),
      ),
    onSuccess: async (now) => {
      // A few rows may be in before the answer is.
      if (now.state !== 'RUNNING') await session.refresh();
      onChange(now);
    },
  });
  const drop = useMutation({
    mutationFn: () => ask(api.DELETE('/api/intakes/{intake}', { params: path })),
    onSuccess: onDrop,
  });
  const fault = map.error ?? run.error ?? drop.error;
  useProgress(intake, onChange);
  const running = intake.state === 'RUNNING';
  const fields = intake.columns.map((column) => column.field);
  const mapped = fields.some((field) => field !== '');
  const put = (column: number, field: string) =>
    // A field has one column: the newest that asks for it.
    map.mutate(fields.map((old, at) => (at === column ? field : old === field ? '' : old)));

  if (intake.state === 'DONE') {
    return (
      <div className="content-start">
        <h2 id={title} className="font-serif text-xl">
          {intake.said}
        </h2>
        <p className="faint">
          They came from {intake.file}. Undo takes all of them out again, as one step.
        </p>
        <div className="flex justify-end">
          <button type="button" className="btn btn-primary" onClick={close}>
            Done
          </button>
        </div>
      </div>
    );
  }
  return (
    <div className="mapping">
      <header className="flex items-baseline gap-3">
        <h2 id={title} className="truncate font-serif text-xl">
          {intake.file}
        </h2>
        <p className="faint flex-1">
          {rowsOf(intake.rows)}, {intake.form}
        </p>
      </header>
      {intake.said && !running && <p role="status">{intake.said}</p>}
      <div className="mapping-body">
        <div className="mapping-table">
          <table>
            <thead>
              <tr>
                {intake.columns.map((column, at) => (
                  <th key={`${column.name}-${at}`} data-mapped={column.field !== ''}>
                    <span className="block truncate">{column.name || `Column ${at + 1}`}</span>
                    <select
                      className="select select-sm w-full"
                      aria-label={`Where ${column.name || `column ${at + 1}`} goes`}
                      value={column.field}
                      disabled={running || map.isPending}
                      onChange={(event) => put(at, event.target.value)}
                    >
                      <option value="">left out</option>
                      {intake.fields.map((field) => (
                        <option key={field.id} value={field.id}>
                          {field.label}
                        </option>
                      ))}
                    </select>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {(intake.columns[0]?.samples ?? []).map((_, row) => (
                <tr key={`row-${row + 1}`}>
                  {intake.columns.map((column, at) => (
                    <td key={`${column.name}-${at}`} data-mapped={column.field !== ''}>
                      <span className="mapping-cell">{plain(column.samples[row] ?? '')}</span>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          {intake.leftCount > 0 && !running && <RowsToMend intake={intake} onChange={onChange} />}
        </div>
        <Preview piece={piece} intake={intake} />
      </div>
      {fault && (
        <p className="text-error" role="alert">
          {fault.message}
        </p>
      )}
      {running ? (
        <div className="flex items-center gap-4" aria-live="polite">
          <progress
            className="progress progress-primary flex-1"
            aria-label="Rows that are items"
            value={intake.done}
            max={Math.max(1, intake.total)}
          />
          <span>
            {intake.done < intake.total
              ? `${intake.done.toLocaleString('en')} of ${rowsOf(intake.total)}`
              : 'Putting them in…'}
          </span>
        </div>
      ) : (
        <footer className="mapping-foot">
          <label>
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={replace}
              onChange={(event) => setReplace(event.target.checked)}
            />
            Take the place of the {piece.children?.length ?? 0} items that are there
          </label>
          <label>
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={follow}
              onChange={(event) => setFollow(event.target.checked)}
            />
            Follow this file: a newer one fills “{nameOf(piece)}” again
          </label>
          {follow && (
            <span className="flex items-center gap-2">
              <label htmlFor={id}>rows are told apart by</label>
              <select
                id={id}
                className="select select-sm"
                value={keyed}
                onChange={(event) => setKey(event.target.value)}
              >
                {intake.columns.map((column) => (
                  <option key={column.name}>{column.name}</option>
                ))}
              </select>
            </span>
          )}
          <span className="flex-1" />
          <button
            type="button"
            className="btn btn-sm btn-ghost"
            disabled={drop.isPending}
            onClick={() => drop.mutate()}
          >
            Put the file aside
          </button>
          <button type="button" className="btn btn-sm" onClick={close}>
            Go on later
          </button>
          <button
            type="button"
            className="btn btn-primary btn-sm"
            disabled={!mapped || intake.good === 0 || run.isPending}
            onClick={() => run.mutate()}
          >
            Put in {intake.good === 1 ? '1 item' : `${intake.good.toLocaleString('en')} items`}
          </button>
        </footer>
      )}
    </div>
  );
}

/** Asks how far it is while it runs; takes the page as it is when it has. */
function useProgress(intake: Intake, onChange: (intake: Intake) => void) {
  const { session } = useBench();
  const running = intake.state === 'RUNNING';
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(async () => {
      const params = { path: { intake: intake.id } };
      const now = await ask(api.GET('/api/intakes/{intake}', { params })).catch(() => undefined);
      if (!now) return;
      if (now.state !== 'RUNNING') await session.refresh();
      onChange(now);
    }, POLL_MS);
    return () => clearInterval(timer);
  }, [running, intake.id, session, onChange]);
}

/** Width at which the page is previewed, in px. */
const PAGE_PX = 1024;

/** The page itself with the first rows in the piece. */
function Preview({ piece, intake }: { readonly piece: NodeBody; readonly intake: Intake }) {
  const { page, catalogue } = useBench();
  const box = useRef<HTMLDivElement>(null);
  const [scale, setScale] = useState(0);
  useEffect(() => {
    const observer = new ResizeObserver(
      ([entry]) => entry && setScale(entry.contentRect.width / PAGE_PX),
    );
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  // Another mapping or a mended cell is another page.
  const state = [intake.columns.map((column) => column.field).join(), intake.good].join('-');
  return (
    <div ref={box} className="mapping-preview" data-preview={state}>
      {scale > 0 && (
        <iframe
          key={state}
          title={`${nameOf(piece)} with the first rows`}
          src={`${catalogue.stage}/api/pages/${page.id}/preview/?intake=${intake.id}&v=${encodeURIComponent(state)}#g-${piece.id}`}
          style={{
            width: PAGE_PX,
            height: `${100 / scale}%`,
            transform: `scale(${scale})`,
          }}
        />
      )}
    </div>
  );
}
