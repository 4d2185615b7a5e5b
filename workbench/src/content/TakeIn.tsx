import { useMutation } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type Intake, type NodeBody, send } from '../api/client';
import { useBench } from '../bench/context';
import { nameOf } from '../bench/document';
import { useClose } from '../ui/Dialog';
import { ContentPick, ItemsAsFiles } from './Files';

interface Props {
  readonly piece: NodeBody;
  readonly title: string;
  onTaken(intake: Intake): void;
}

/** A file that is dropped or chosen, or text that is pasted; and the items as a file. */
export function TakeIn({ piece, title, onTaken }: Props) {
  const { page } = useBench();
  const close = useClose();
  const field = useId();
  const [pasted, setPasted] = useState('');
  const [over, setOver] = useState(false);
  const take = useMutation({
    mutationFn: (what: File | string) =>
      typeof what === 'string'
        ? ask(
            api.POST('/api/pages/{id}/intakes/pasted', {
              params: { path: { id: page.id } },
              body: { piece: piece.id, text: what },
            }),
          )
        : send<Intake>(`/api/pages/${page.id}/intakes?piece=${piece.id}`, what),
    onSuccess: onTaken,
  });
  const questions = piece.type === 'accordion';
  return (
    <div className="content-start">
      <h2 id={title} className="font-serif text-xl">
        Items from a file
      </h2>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping has a button as its equal */}
      <div
        className={`content-drop ${over ? 'content-over' : ''}`}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          const [file] = event.dataTransfer.files;
          if (file) take.mutate(file);
        }}
      >
        <ContentPick
          label="Choose a file"
          busy={take.isPending}
          onPick={(file) => take.mutate(file)}
        />
        <p>
          or drop one here: a table as CSV, a list as JSON
          {questions ? ', or a page with questions as HTML' : ''}
        </p>
        <p className="faint">
          The first row names the columns. What separates the cells is found out. Nothing is put in
          before you have seen it.
        </p>
      </div>
      <form
        className="flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          take.mutate(pasted);
        }}
      >
        <label htmlFor={field}>
          {questions
            ? 'Or paste: rows of a spreadsheet, or the markup of a page with questions'
            : 'Or paste rows of a spreadsheet, with their names in the first'}
        </label>
        <textarea
          id={field}
          rows={5}
          className="textarea w-full font-mono text-[13px]"
          value={pasted}
          onChange={(event) => setPasted(event.target.value)}
        />
        {take.isError && (
          <p className="text-error" role="alert">
            {take.error.message}
          </p>
        )}
        <div className="flex items-center gap-2">
          <button
            type="submit"
            className="btn btn-sm"
            disabled={pasted.trim() === '' || take.isPending}
          >
            Read what is pasted
          </button>
          <span className="flex-1" />
          <span className="faint">The items of “{nameOf(piece)}” as a file:</span>
          <ItemsAsFiles piece={piece} />
          <button type="button" className="btn btn-sm btn-ghost" onClick={close}>
            Close
          </button>
        </div>
      </form>
    </div>
  );
}
