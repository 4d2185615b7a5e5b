import { useMutation } from '@tanstack/react-query';
import { FileDown, FileUp } from 'lucide-react';
import { useState } from 'react';
import { sendBytes, type TokensReply } from '../api/client';
import { useBench } from '../bench/context';
import { Dialog, useClose } from '../ui/Dialog';
import { FilePick } from '../ui/FilePick';
import { Told } from '../ui/Told';

/** Colours, letters and looks of the site out as design tokens, and in from another tool. */
export function Tokens() {
  const { page, session } = useBench();
  const [read, setRead] = useState<TokensReply>();
  const at = `/api/pages/${page.id}/tokens`;
  const take = useMutation({
    mutationFn: async (file: File): Promise<TokensReply> => {
      await session.settled();
      return sendBytes(at, new Blob([file], { type: 'application/json' }), file.name);
    },
    onSuccess: setRead,
  });
  return (
    <div className="ship-tokens">
      <h2 className="ship-head">Design tokens</h2>
      <p className="faint">
        Tones, type and looks of the site for other tools, in the open format of the Design Tokens
        Community Group. What is changed there comes back by the same file.
      </p>
      <p className="ship-actions">
        <a className="btn btn-sm" href={at} download>
          <FileDown size={15} aria-hidden /> Download the tokens
        </a>
        <FilePick
          accept=".json,.tokens,application/json"
          busy={take.isPending}
          onPick={([file]) => take.mutate(file)}
        >
          <FileUp size={15} aria-hidden /> {take.isPending ? 'Reading…' : 'Tokens from a file'}
        </FilePick>
      </p>
      {take.isError && (
        <p className="text-error" role="alert">
          {take.error.message}
        </p>
      )}
      {read && (
        <Dialog label="Tokens from a file" onClose={() => setRead(undefined)}>
          <Taken read={read} />
        </Dialog>
      )}
    </div>
  );
}

/** What a file would change, before it does. */
function Taken({ read }: { readonly read: TokensReply }) {
  const { session } = useBench();
  const close = useClose();
  const { changes, refused, strangers, edits } = read;
  return (
    <div className="flex flex-col gap-4 whitespace-normal [overflow-wrap:anywhere]">
      <h2 className="font-serif text-xl">Tokens from a file</h2>
      {changes.length === 0 ? (
        <p>Nothing of this site would change.</p>
      ) : (
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Now</th>
              <th scope="col">Then</th>
            </tr>
          </thead>
          <tbody>
            {changes.map((each) => (
              <tr key={`${each.what} ${each.band}`}>
                <th scope="row">{each.what}</th>
                <td>
                  <Value said={each.then} />
                </td>
                <td>
                  <Value said={each.now} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Told title="These cannot be taken:" all={refused} />
      {strangers > 0 && (
        <p className="faint">
          {strangers === 1 ? 'One token is' : `${strangers} tokens are`} of nothing that this site
          has, and left alone.
        </p>
      )}
      <div className="flex gap-2">
        {changes.length > 0 && (
          <button
            type="button"
            data-first
            className="btn btn-primary btn-sm"
            onClick={() => {
              session.edit(edits);
              close();
            }}
          >
            Take {changes.length === 1 ? 'this change' : `these ${changes.length} changes`}
          </button>
        )}
        <button type="button" className="btn btn-ghost btn-sm" onClick={close}>
          {changes.length > 0 ? 'Leave all as it is' : 'Close'}
        </button>
      </div>
    </div>
  );
}

/** A value; of a colour the colour too. */
function Value({ said }: { readonly said: string }) {
  if (said === '') return <span className="faint">as it ships</span>;
  return (
    <span className="inline-flex items-center gap-2">
      {/^#[0-9a-f]{6,8}$/.test(said) && (
        <span className="token-swatch" style={{ background: said }} aria-hidden />
      )}
      {said}
    </span>
  );
}
