import { useQuery } from '@tanstack/react-query';
import { ChevronDown, ChevronUp, FolderTree, Trash2 } from 'lucide-react';
import { useId, useState } from 'react';
import { api, ask, type CategoryChange, type NodeBody } from '../api/client';
import { useBench, versionOf } from '../bench/context';
import { Dialog, useClose } from '../ui/Dialog';
import { Tool } from '../ui/Tool';

/** Opens the list of categories of an accordion. */
export function CategoriesButton({ piece }: { readonly piece: NodeBody }) {
  const [open, setOpen] = useState(false);
  const title = useId();
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        <FolderTree size={14} aria-hidden className="mr-1 inline" />
        Categories
      </button>
      {open && (
        <Dialog labelledBy={title} onClose={() => setOpen(false)}>
          <h2 id={title} className="font-serif text-xl">
            Categories
          </h2>
          <CategoryList piece={piece} />
        </Dialog>
      )}
    </>
  );
}

/** The categories of an accordion, and what changes them: each change is one step of undo. */
function useCategories(piece: NodeBody) {
  const { session, page } = useBench();
  const [fault, setFault] = useState('');
  const list = useQuery({
    queryKey: ['categories', page.id, piece.id, versionOf(page)],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/categories', {
          params: { path: { id: page.id }, query: { piece: piece.id } },
        }),
      ),
    placeholderData: (before) => before,
  });
  async function change(change: CategoryChange, name: string, to = '') {
    setFault('');
    try {
      const query = { piece: piece.id, change, name, to };
      session.edit(
        await ask(
          api.GET('/api/pages/{id}/categories/edits', {
            params: { path: { id: page.id }, query },
          }),
        ),
      );
      return true;
    } catch (refused) {
      setFault(refused instanceof Error ? refused.message : String(refused));
      return false;
    }
  }
  return { list, change, fault };
}

/** Renames, orders, adds and deletes categories. */
function CategoryList({ piece }: { readonly piece: NodeBody }) {
  const { list, change, fault } = useCategories(piece);
  const close = useClose();
  const [going, setGoing] = useState('');
  const [added, setAdded] = useState('');
  const field = useId();
  const all = list.data ?? [];
  async function rename(field: HTMLInputElement, name: string) {
    if (field.value.trim() === name) return;
    if (!(await change('RENAME', name, field.value))) field.value = name;
  }
  async function remove(name: string, to: string) {
    setGoing('');
    await change('DELETE', name, to);
  }
  return (
    <div className="mt-3 flex flex-col gap-2">
      {list.isSuccess && all.length === 0 && <p className="faint">There are none yet.</p>}
      {list.isError && <p className="text-error">{list.error.message}</p>}
      <ul className="categories">
        {all.map((each, at) => (
          <li key={each.name}>
            <input
              className="input input-sm min-w-0 flex-1"
              aria-label={`Name of ${each.name}`}
              defaultValue={each.name}
              maxLength={80}
              onBlur={(event) => rename(event.target, each.name)}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            <span className="faint w-24">
              {each.questions === 1 ? '1 question' : `${each.questions} questions`}
            </span>
            <Tool
              label={`Move ${each.name} up`}
              off={at === 0}
              onClick={() => change('MOVE', each.name, `${at - 1}`)}
            >
              <ChevronUp size={16} />
            </Tool>
            <Tool
              label={`Move ${each.name} down`}
              off={at === all.length - 1}
              onClick={() => change('MOVE', each.name, `${at + 1}`)}
            >
              <ChevronDown size={16} />
            </Tool>
            <Tool
              label={`Delete ${each.name}`}
              off={false}
              onClick={() => (each.questions === 0 ? remove(each.name, '') : setGoing(each.name))}
            >
              <Trash2 size={15} />
            </Tool>
            {going === each.name && (
              <p className="categories-going" role="group" aria-label={`Delete ${each.name}`}>
                <label htmlFor={field}>Its questions go to</label>
                <select
                  id={field}
                  className="select select-sm"
                  defaultValue="?"
                  onChange={(event) => remove(each.name, event.target.value)}
                >
                  <option value="?" disabled>
                    choose…
                  </option>
                  {all
                    .filter((other) => other.name !== each.name)
                    .map((other) => (
                      <option key={other.name}>{other.name}</option>
                    ))}
                  <option value="">no category</option>
                </select>
                <button type="button" className="btn btn-ghost btn-sm" onClick={() => setGoing('')}>
                  Keep it
                </button>
              </p>
            )}
          </li>
        ))}
      </ul>
      <form
        className="flex gap-2"
        onSubmit={async (event) => {
          event.preventDefault();
          if (await change('ADD', added)) setAdded('');
        }}
      >
        <input
          className="input input-sm flex-1"
          aria-label="Name of a new category"
          placeholder="A new category"
          value={added}
          maxLength={80}
          onChange={(event) => setAdded(event.target.value)}
        />
        <button type="submit" className="btn btn-sm">
          Add
        </button>
      </form>
      {fault && (
        <p className="text-error" role="alert">
          {fault}
        </p>
      )}
      <p className="faint">A name has no comma in it. Two of the same name become one.</p>
      <div className="flex justify-end">
        <button type="button" className="btn btn-primary" onClick={close}>
          Done
        </button>
      </div>
    </div>
  );
}
