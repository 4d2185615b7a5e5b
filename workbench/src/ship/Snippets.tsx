import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Clipboard, ExternalLink } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { api, ask, type SnippetTaken } from '../api/client';
import { isPiece, useBench } from '../bench/context';
import { nameOf, pathTo, walk } from '../bench/document';
import { size } from '../media/format';

/** The ways in which a snippet comes. */
const FORMS = [
  ['follows', 'Follows releases', 'It shows the release that is live, whichever that is.'],
  [
    'stays',
    'Stays with this one',
    'It shows this release for good, and loads nothing that changes.',
  ],
  [
    'plain',
    'Without script',
    'Its markup as it is now: what moves or folds stands open, one below the other.',
  ],
] as const;

/** Places that are named; of more the number is enough. */
const MOST_SEEN = 8;

const seenAt = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });

/** A section or a piece for a page that somebody else's system makes. */
export function Snippets({ address }: { readonly address: string }) {
  const { page, catalogue, chosen } = useBench();
  const queries = useQueryClient();
  const id = useId();
  const all = [...walk(page.document.page)].filter(
    (each) => each.node.type === 'section' || isPiece(catalogue, each.node.type),
  );
  const [node, setNode] = useState(
    () =>
      // Of an item its piece.
      pathTo(page.document.page, chosen.node.id).findLast((id) =>
        all.some((each) => each.node.id === id),
      ) ??
      all[0]?.node.id ??
      '',
  );
  const key = ['snippets', page.id];
  const lines = useQuery({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/pages/{id}/snippets', { params: { path: { id: page.id } } })),
  });
  const take = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/pages/{id}/snippets', {
          params: { path: { id: page.id } },
          body: { node },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });
  const taken = take.data?.node === node ? take.data : undefined;
  const seen = lines.data?.find((each) => each.node === node)?.seen ?? [];
  return (
    <div className="ship-snippets">
      <h2 className="ship-head">Into a page that is there</h2>
      <p className="faint">
        A few lines for a page that another system makes. Neither side’s styles touch the other, and
        its bands are those of the room that it gets there.
      </p>
      <p className="ship-actions">
        <label className="sr-only" htmlFor={id}>
          Section or piece
        </label>
        <select
          id={id}
          className="select select-sm"
          value={node}
          onChange={(event) => setNode(event.target.value)}
        >
          {all.map((each) => (
            <option key={each.node.id} value={each.node.id}>
              {each.node.type === 'section' ? 'Section: ' : ''}
              {nameOf(each.node)}
            </option>
          ))}
        </select>
        <button
          type="button"
          className="btn btn-sm"
          disabled={take.isPending || node === ''}
          onClick={() => take.mutate()}
        >
          {take.isPending ? 'Making it…' : 'Make the snippet'}
        </button>
      </p>
      {take.isError && (
        <p className="text-error" role="alert">
          {take.error.message}
        </p>
      )}
      {taken && <Lines taken={taken} live={address} />}
      {seen.length > 0 && (
        <p className="faint">
          Seen in{' '}
          {seen
            .slice(0, MOST_SEEN)
            .map((each) => `${each.origin} (${seenAt.format(new Date(each.at))})`)
            .join(', ')}
          {seen.length > MOST_SEEN && ` and ${seen.length - MOST_SEEN} more`}
        </p>
      )}
    </div>
  );
}

/** The lines to paste, in one of their forms. */
function Lines({ taken, live }: { readonly taken: SnippetTaken; readonly live: string }) {
  const [form, setForm] = useState<(typeof FORMS)[number][0]>('follows');
  const [copied, setCopied] = useState('');
  const area = useRef<HTMLTextAreaElement>(null);
  const lines = taken[form];
  const page = live.replace('/live/', '/snippets/');
  return (
    <>
      <div className="ship-actions" role="group" aria-label="How it comes">
        {FORMS.map(([each, label]) => (
          <button
            key={each}
            type="button"
            className="tape-chip"
            aria-pressed={form === each}
            onClick={() => setForm(each)}
          >
            {label}
          </button>
        ))}
      </div>
      <p className="faint">{FORMS.find(([each]) => each === form)?.[2]}</p>
      <textarea
        ref={area}
        className="ship-lines"
        aria-label="Lines to paste"
        readOnly
        rows={6}
        value={lines}
        onFocus={(event) => event.currentTarget.select()}
      />
      <p className="ship-actions">
        <button
          type="button"
          className="btn btn-sm"
          onClick={async () => {
            try {
              await navigator.clipboard.writeText(lines);
              setCopied(lines);
            } catch {
              // Not allowed, or not there: they are chosen, to be copied by hand.
              area.current?.focus();
            }
          }}
        >
          <Clipboard size={15} aria-hidden /> {copied === lines ? 'Copied' : 'Copy the lines'}
        </button>
        <a
          className="btn btn-sm"
          href={`${page}live/${taken.node}/old-page`}
          target="_blank"
          rel="noreferrer"
        >
          <ExternalLink size={15} aria-hidden /> See it in an old page
        </a>
        <span className="faint">
          Release {taken.release}; its first answer is {size(taken.gzip)} on the way.
        </span>
      </p>
    </>
  );
}
