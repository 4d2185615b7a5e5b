import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link2 } from 'lucide-react';
import { type FormEvent, useId, useState } from 'react';
import { api, ask } from '../api/client';
import { Dialog } from '../ui/Dialog';

/** Takes a picture in that stands elsewhere, by its address. */
export function RemotePicture({ siteId }: { readonly siteId: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-sm" onClick={() => setOpen(true)}>
        <Link2 size={15} aria-hidden /> By address
      </button>
      {open && <AddressForm siteId={siteId} onClose={() => setOpen(false)} />}
    </>
  );
}

interface Props {
  readonly siteId: string;
  onClose(): void;
}

function AddressForm({ siteId, onClose }: Props) {
  const queries = useQueryClient();
  const id = useId();
  const [address, setAddress] = useState('');
  const [seen, setSeen] = useState('');
  const add = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/sites/{siteId}/media/address', {
          params: { path: { siteId } },
          body: { address: address.trim() },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['library', siteId] });
      await queries.invalidateQueries({ queryKey: ['media', siteId] });
      onClose();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    add.mutate();
  };
  return (
    <Dialog labelledBy={`${id}-title`} className="max-w-xl" onClose={onClose}>
      <form onSubmit={submit} className="flex flex-col gap-3">
        <h2 id={`${id}-title`} className="font-serif text-xl">
          A picture that stands elsewhere
        </h2>
        <label htmlFor={id}>Its address</label>
        <input
          id={id}
          className="input w-full"
          value={address}
          placeholder="https://…"
          aria-invalid={add.isError || undefined}
          aria-describedby={`${id}-note`}
          ref={(field) => field?.focus()}
          onChange={(event) => setAddress(event.target.value)}
          onBlur={() => setSeen(/^https?:\/\/./i.test(address.trim()) ? address.trim() : '')}
        />
        {add.isError && (
          <p className="text-error" role="alert">
            {add.error.message}
          </p>
        )}
        {/* Its room is there before it is: nothing may move away under a press. */}
        <div className="remote-seen">{seen && <img src={seen} alt="What stands there" />}</div>
        <p id={`${id}-note`} className="faint">
          It stays where it is, and visitors’ browsers ask for it there. Its pixels are unknown: its
          place is kept as 3 to 2, no smaller files are made of it, and whether it is sharp or heavy
          cannot be told. A bundle opened without a network shows an empty place.
        </p>
        <p className="modal-action">
          <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
            Cancel
          </button>
          <button
            type="submit"
            className="btn btn-sm btn-primary"
            disabled={address.trim() === '' || add.isPending}
          >
            Take it in
          </button>
        </p>
      </form>
    </Dialog>
  );
}
