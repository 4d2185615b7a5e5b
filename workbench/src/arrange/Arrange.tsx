import { useState } from 'react';
import { api, ask, type Sheet as SheetReply } from '../api/client';
import { useBench } from '../bench/context';
import { find, nameOf, siteNode } from '../bench/document';
import { usePageQuery } from '../bench/usePageQuery';
import { Plots } from './Plots';
import { SheetGrid } from './SheetGrid';
import { Suggestion } from './Suggestion';

/** What holds at each width: the sheet of the chosen node, and over it the item widths. */
export function Arrange({ length }: { readonly length: number }) {
  const { page, chosen, choose, scrollbar } = useBench();
  const item = chosen.node.type === 'item' ? chosen.node : undefined;
  const [own, setOwn] = useState(false);
  const node =
    item && chosen.parent
      ? own
        ? item
        : chosen.parent
      : chosen.node.type === 'page'
        ? siteNode(page.document)
        : chosen.node;
  const [suggesting, setSuggesting] = useState(false);
  const sheet = usePageQuery({
    key: ['sheet', node.id, scrollbar],
    read: () =>
      ask(
        api.GET('/api/pages/{id}/sheet', {
          params: { path: { id: page.id }, query: { node: node.id, scrollbar } },
        }),
      ),
  });
  const data: SheetReply | undefined = sheet.data?.node === node.id ? sheet.data : undefined;
  if (sheet.isError && !data) return <p className="p-6 text-error">{sheet.error.message}</p>;
  if (!data) return <p className="faint p-6">Reading the sheet…</p>;
  if (data.rows.length === 0) {
    const parent = find(page.document, chosen.parent?.id ?? '')?.node;
    return (
      <p className="faint p-6">
        “{nameOf(node)}” has nothing that changes with the width.{' '}
        {parent && (
          <button type="button" className="link" onClick={() => choose(parent.id)}>
            Arrange {nameOf(parent)}
          </button>
        )}
      </p>
    );
  }
  return (
    <section aria-label="Arrange" className="flex h-full min-h-0 flex-col">
      {item && chosen.parent && (
        <div className="fill-tabs" role="group" aria-label="What to arrange">
          <button type="button" aria-pressed={!own} onClick={() => setOwn(false)}>
            {nameOf(chosen.parent)}
          </button>
          <button type="button" aria-pressed={own} onClick={() => setOwn(true)}>
            This item: {nameOf(item)}
          </button>
        </div>
      )}
      <Plots sheet={data} node={node} length={length} />
      <SheetGrid
        key={node.id}
        sheet={data}
        node={node}
        length={length}
        suggested={suggesting ? data.plot?.suggested : undefined}
        foot={
          data.plot &&
          data.plot.suggested.length > 0 && (
            <Suggestion
              key={node.id}
              node={node}
              plot={data.plot}
              open={suggesting}
              onOpen={setSuggesting}
            />
          )
        }
      />
    </section>
  );
}
