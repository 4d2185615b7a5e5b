import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { useBench } from '../bench/context';
import { siteNode, text } from '../bench/document';

interface OwnToneProps {
  /** What names it. */
  readonly setting: string;
  readonly part: string;
}

/** The name of a tone of the site's own; it can be taken away. */
export function OwnTone({ setting, part }: OwnToneProps) {
  const { session, page } = useBench();
  const name = text(siteNode(page.document), setting);
  const [typed, setTyped] = useState(name);
  const away = useMutation({
    mutationFn: async () => {
      await session.settled();
      const { edits } = await ask(
        api.GET('/api/pages/{id}/tone-away', {
          params: { path: { id: page.id }, query: { tone: part.replace('tone.', '') } },
        }),
      );
      session.edit(edits);
    },
  });
  const take = () => {
    const next = typed.trim();
    if (next === '') setTyped(name);
    else if (next !== name) session.set('site', setting, '', next);
  };
  return (
    <section className="own-tone" aria-label="Tone of the site's own">
      <input
        className="input input-sm"
        aria-label="Name of the tone"
        value={typed}
        maxLength={40}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
      />
      <button
        type="button"
        className="link"
        title="Sections of this page wear the first tone again; those of other pages look as if they did"
        onClick={() => away.mutate()}
      >
        Take it away
      </button>
      {away.isError && <span className="text-error">{away.error.message}</span>}
    </section>
  );
}
