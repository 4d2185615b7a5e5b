import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { useBench } from '../bench/context';

interface Props {
  readonly number: number;
  readonly note: string;
}

/** What somebody says of a release: read, and written in place. */
export function Note({ number, note }: Props) {
  const { page } = useBench();
  const queries = useQueryClient();
  const [typed, setTyped] = useState<string>();
  const say = useMutation({
    mutationFn: (said: string) =>
      ask(
        api.PUT('/api/pages/{id}/releases/{number}/note', {
          params: { path: { id: page.id, number } },
          body: { note: said },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['releases', page.id] });
      setTyped(undefined);
    },
  });
  if (typed === undefined) {
    return (
      <button
        type="button"
        className={`ship-note ${note === '' ? 'faint' : ''}`}
        aria-label={note === '' ? `Say what is in release ${number}` : undefined}
        title="Say what is in it"
        onClick={() => setTyped(note)}
      >
        {note === '' ? <Pencil size={13} aria-hidden /> : note}
      </button>
    );
  }
  const done = () => (typed.trim() === note ? setTyped(undefined) : say.mutate(typed.trim()));
  return (
    <span className="ship-note">
      <input
        ref={(field) => {
          if (field && document.activeElement !== field && typed === note) field.focus();
        }}
        className="input input-xs w-full"
        aria-label={`What is in release ${number}`}
        maxLength={300}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') done();
          if (event.key === 'Escape') setTyped(undefined);
        }}
        onBlur={done}
      />
      {say.isError && (
        <span role="alert" className="text-error text-sm">
          {say.error.message}
        </span>
      )}
    </span>
  );
}
