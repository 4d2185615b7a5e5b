import type { ReactNode } from 'react';

interface Props {
  /** What files are offered first, as an input has it. */
  readonly accept?: string;
  readonly multiple?: boolean;
  readonly busy?: boolean;
  /** Of the button. */
  readonly className?: string;
  /** Whether it has the focus where a dialog opens. */
  readonly first?: boolean;
  readonly children: ReactNode;
  onPick(files: readonly [File, ...File[]]): void;
}

/** A button that chooses files. The same file may be chosen again. */
export function FilePick(props: Props) {
  const { accept, multiple, busy, className = 'btn btn-sm', first, children, onPick } = props;
  return (
    <label className={className}>
      {children}
      <input
        data-first={first || undefined}
        type="file"
        accept={accept}
        multiple={multiple}
        className="sr-only"
        disabled={busy}
        onChange={(event) => {
          const [file, ...more] = event.target.files ?? [];
          if (file) onPick([file, ...more]);
          event.target.value = '';
        }}
      />
    </label>
  );
}
