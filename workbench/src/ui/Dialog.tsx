import { createContext, type ReactNode, useContext, useEffect, useRef } from 'react';

interface Props {
  /** Its accessible name, or the id of the element that says it. */
  readonly label?: string;
  readonly labelledBy?: string;
  readonly className?: string;
  onClose(): void;
  readonly children: ReactNode;
}

const Close = createContext<() => void>(() => {});

/** Closes the dialog that one is in. */
export const useClose = () => useContext(Close);

/** A modal dialog; Escape and a click beside it close it. */
export function Dialog({ label, labelledBy, className = '', onClose, children }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    dialog.current?.showModal();
    // To open moves the focus, whoever had it; what is to be typed in comes after.
    dialog.current?.querySelector<HTMLElement>('[data-first]')?.focus();
  }, []);
  return (
    <dialog
      ref={dialog}
      className="modal"
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
