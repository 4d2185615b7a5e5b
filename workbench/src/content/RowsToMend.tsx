import { useMutation } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useId } from 'react';
import { api, ask, type Intake, type LeftRow } from '../api/client';

interface Props {
  readonly intake: Intake;
  onChange(intake: Intake): void;
}

/** The rows that cannot be read, by number and column, each with the cell to mend it in. */
export function RowsToMend({ intake, onChange }: Props) {
  const title = useId();
  const mend = useMutation({
    mutationFn: (cell: { row: number; column: number; text: string }) =>
      ask(
        api.POST('/api/intakes/{intake}/mends', {
          params: { path: { intake: intake.id } },
          body: [cell],
        }),
      ),
    onSuccess: onChange,
  });
  return (
    <section className="to-mend" aria-labelledby={title}>
      <h3 id={title} className="flex items-center gap-3 font-semibold">
        {intake.leftCount === 1
          ? '1 row cannot be read; it stays out until it is mended'
          : `${intake.leftCount} rows cannot be read; they stay out until they are mended`}
        <a className="link font-normal" href={`/api/intakes/${intake.id}/rest.csv`} download>
          <Download size={13} aria-hidden className="mr-1 inline" />
          as a file
        </a>
      </h3>
      {mend.isError && (
        <p className="text-error" role="alert">
          {mend.error.message}
        </p>
      )}
      <ul>
        {intake.left.map((row) => (
          <Row key={row.number} row={row} onMend={(cell) => mend.mutate(cell)} />
        ))}
      </ul>
      {intake.leftCount > intake.left.length && (
        <p className="faint">The next ones show when these are mended.</p>
      )}
    </section>
  );
}

interface RowProps {
  readonly row: LeftRow;
  onMend(cell: { row: number; column: number; text: string }): void;
}

function Row({ row, onMend }: RowProps) {
  const id = useId();
  return (
    <li>
      <span className="to-mend-row">Row {row.number}</span>
      <span className="faint truncate">{row.cells.filter((cell) => cell.trim()).join(' · ')}</span>
      {row.faults.map((fault) => (
        <div key={fault.column} className="to-mend-cell">
          <label htmlFor={`${id}-${fault.column}`}>
            {/^\d+$/.test(fault.name) ? `Cell ${fault.name}` : fault.name}
          </label>
          <input
            id={`${id}-${fault.column}`}
            key={fault.cell}
            className="input input-sm"
            aria-invalid
            aria-describedby={`${id}-${fault.column}-why`}
            defaultValue={fault.cell}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            onBlur={(event) => {
              const text = event.target.value;
              if (text !== fault.cell) onMend({ row: row.number, column: fault.column, text });
            }}
          />
          <span id={`${id}-${fault.column}-why`} className="text-error">
            {fault.message}
          </span>
        </div>
      ))}
    </li>
  );
}
