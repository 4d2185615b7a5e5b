import { Download, Upload } from 'lucide-react';
import type { NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { FilePick } from '../ui/FilePick';

const ACCEPTED = '.csv,.tsv,.txt,.json,.html,.htm';

interface PickProps {
  readonly label: string;
  readonly busy: boolean;
  readonly className?: string;
  onPick(file: File): void;
}

/** Chooses a file with content for items. */
export function ContentPick({ label, busy, className = '', onPick }: PickProps) {
  return (
    <FilePick
      accept={ACCEPTED}
      busy={busy}
      className={`btn btn-primary ${className}`}
      onPick={([file]) => onPick(file)}
    >
      <Upload size={16} aria-hidden /> {busy ? 'Reading…' : label}
    </FilePick>
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
