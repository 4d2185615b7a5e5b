import type { ReactNode } from 'react';

interface Props {
  readonly label: string;
  readonly off?: boolean;
  readonly pressed?: boolean;
  onClick(): void;
  readonly children: ReactNode;
}

/** A small button that shows a sign and says what it does. */
export function Tool({ label, off = false, pressed, onClick, children }: Props) {
  return (
    <button
      type="button"
      className="tool"
      aria-label={label}
      aria-pressed={pressed}
      title={label}
      disabled={off}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
