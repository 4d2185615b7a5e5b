import { Sparkle } from 'lucide-react';
import { useState } from 'react';
import type { PartReply } from '../api/client';
import { useBench } from '../bench/context';
import { Dialog, useClose } from '../ui/Dialog';
import { useTrial } from './useTrial';

interface Props {
  readonly bead: PartReply;
  onState(state: string): void;
}

/** Ready moves of a part: tried on the stage while one points at them, its own at a press. */
export function Moves({ bead, onState }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="btn btn-xs btn-ghost moves-open flex-none"
        onClick={() => {
          // What it does under a pointer is seen as if one were over it.
          onState('hover');
          setOpen(true);
        }}
      >
        <Sparkle size={13} aria-hidden /> Ready moves
      </button>
      {open && (
        <Dialog
          label={`Ready moves, ${bead.label}`}
          className="moves-dialog"
          beside
          onClose={() => setOpen(false)}
        >
          <Choice bead={bead} />
        </Dialog>
      )}
    </>
  );
}

function Choice({ bead }: { readonly bead: PartReply }) {
  const { session } = useBench();
  const close = useClose();
  const trial = useTrial();
  return (
    <>
      <h2 className="font-serif text-xl">What it does under a pointer</h2>
      <p className="faint text-sm">
        {bead.label}: point at one, and the stage shows it. A press sets it for all bands, as values
        that can be changed one by one.
      </p>
      <ul className="moves" onPointerLeave={trial.leave}>
        {bead.moves.map(({ name, told, edits }) => (
          <li key={name}>
            <button
              type="button"
              onPointerEnter={() => trial.tryOn(edits)}
              onFocus={() => trial.tryOn(edits)}
              onBlur={trial.leave}
              onClick={() => {
                trial.keep();
                if (edits.length > 0) session.edit(edits);
                close();
              }}
            >
              <i className={`move-sign move-${name.split(' ')[0]?.toLowerCase()}`} aria-hidden />
              <b>{name}</b>
              <span className="faint">{told}</span>
            </button>
          </li>
        ))}
      </ul>
      {trial.error && <p className="text-error text-sm">{trial.error}</p>}
      <footer className="modal-action">
        <button type="button" className="btn btn-sm btn-ghost" onClick={close}>
          Leave it as it is
        </button>
      </footer>
    </>
  );
}
