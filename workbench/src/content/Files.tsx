import { Download, Upload } from 'lucide-react';
import type { NodeBody } from '../api/client';
import { useBench } from '../bench/context';

interface PickProps {
  readonly label: string;
  readonly busy: boolean;
  readonly className?: string;
  onPick(file: File): void;
}

/** Chooses a file with content for items. */
export function FilePick({ label, busy, className = '', onPick }: PickProps) {
  return (
    <label className={`btn btn-primary ${className}`}>
      <Upload size={16} aria-hidden /> {busy ? 'Reading…' : label}
      <input
        type="file"
        accept=".csv,.tsv,.txt,.json,.html,.htm"
        className="sr-only"
        disabled={busy}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onPick(file);
          event.target.value = '';
        }}
      />
    </label>
  );
}

/** The items of a piece, to be taken along. */
export function ItemsAsFiles({ piece }: { readonly piece: NodeBody }) {
  const { page } = useBench();
  return (['csv', 'json'] as const).map((form) => (
    <a
      key={form}
      className="btn btn-sm"
      download
      href={`/api/pages/${page.id}/content.${form}?piece=${piece.id}`}
    >
      <Download size={15} aria-hidden /> {form.toUpperCase()}
    </a>
  ));
}
