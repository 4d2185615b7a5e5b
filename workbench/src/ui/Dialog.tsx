import { createContext, type ReactNode, useContext, useEffect, useRef } from 'react';

interface Props {
  /** Its accessible name, or the id of the element that says it. */
  readonly label?: string;
  readonly labelledBy?: string;
  readonly className?: string;
  /** Stands beside what it changes, which stays to be seen. */
  readonly beside?: boolean;
  onClose(): void;
  readonly children: ReactNode;
}

const Close = createContext<() => void>(() => {});

/** Closes the dialog that one is in. */
export const useClose = () => useContext(Close);

/** A modal dialog; Escape and a click beside it close it. */
export function Dialog({
  label,
  labelledBy,
  className = '',
  beside = false,
  onClose,
  children,
}: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    dialog.current?.showModal();
    // To open moves the focus, whoever had it; what is to be typed in comes after.
    dialog.current?.querySelector<HTMLElement>('[data-first]')?.focus();
  }, []);
  return (
    <dialog
      ref={dialog}
      className={beside ? 'modal modal-beside' : 'modal'}
      aria-label={label}
      aria-labelledby={labelledBy}
      onClose={onClose}
    >
      <Close value={() => dialog.current?.close()}>
        <div className={`modal-box ${className}`}>{children}</div>
      </Close>
      <form method="dialog" className="modal-backdrop">
        <button type="submit" tabIndex={-1}>
          Close
        </button>
      </form>
    </dialog>
  );
}
