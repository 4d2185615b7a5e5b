import { X } from 'lucide-react';
import { size } from './format';
import type { Upload } from './uploads';

interface Props {
  readonly uploads: readonly Upload[];
  onCancel(id: number): void;
  onClear(): void;
}

const words: Readonly<Record<Upload['state'], string>> = {
  waits: 'waits',
  goes: '',
  done: 'is in',
  failed: 'not taken',
  cancelled: 'cancelled',
};

/** Files on their way, each with how far it is and a way to stop it. */
export function UploadList({ uploads, onCancel, onClear }: Props) {
  if (uploads.length === 0) return null;
  const over = uploads.every(({ state }) => state !== 'waits' && state !== 'goes');
  return (
    <section className="upload-list" aria-label="Files on their way">
      <ul>
        {uploads.map((each) => (
          <li key={each.id}>
            <span className="truncate">{each.name}</span>
            {each.state === 'goes' || each.state === 'waits' ? (
              <>
                <progress
                  className="progress progress-primary"
                  aria-label={`${each.name} on its way`}
                  value={each.sent}
                  max={Math.max(1, each.bytes)}
                />
                <span className="faint">
                  {each.state === 'waits'
                    ? words.waits
                    : `${size(each.sent)} of ${size(each.bytes)}`}
                </span>
                <button
                  type="button"
                  className="tool"
                  aria-label={`Cancel ${each.name}`}
                  title={`Cancel ${each.name}`}
                  onClick={() => onCancel(each.id)}
                >
                  <X size={15} aria-hidden />
                </button>
              </>
            ) : (
              <span
                className={each.state === 'failed' ? 'text-error' : 'faint'}
                role={each.state === 'failed' ? 'alert' : undefined}
              >
                {each.why || words[each.state]}
              </span>
            )}
          </li>
        ))}
      </ul>
      {over && (
        <button type="button" className="link" onClick={onClear}>
          Clear this list
        </button>
      )}
    </section>
  );
}
