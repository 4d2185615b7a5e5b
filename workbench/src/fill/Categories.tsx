import { ChevronDown, ChevronUp, FolderTree, Trash2 } from 'lucide-react';
import { useId, useState } from 'react';
import type { EditBody, NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { text } from '../bench/document';
import { Dialog, useClose } from '../ui/Dialog';
import { Tool } from '../ui/Tool';

interface Category {
  readonly name: string;
  readonly questions: readonly NodeBody[];
}

const list = (value: string) =>
  value
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '');

/** Categories of questions in their order: those that are listed, then the others as they come. */
function categoriesOf(piece: NodeBody): readonly Category[] {
  const items = piece.children ?? [];
  const used = items.map((item) => text(item, 'category').trim()).filter((name) => name !== '');
  return [...new Set([...list(text(piece, 'categories')), ...used])].map((name) => ({
    name,
    questions: items.filter((item) => text(item, 'category').trim() === name),
  }));
}

const set = (node: NodeBody, setting: string, value: string): EditBody => ({
  type: 'SetValue',
  node: node.id,
  setting,
  value: (value === '' ? null : value) as EditBody['value'],
});

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

/** Renames, orders and deletes categories; each is one step of undo. */
function CategoryList({ piece }: { readonly piece: NodeBody }) {
  const { session } = useBench();
  const close = useClose();
  const [going, setGoing] = useState('');
  const [added, setAdded] = useState('');
  const field = useId();
  const all = categoriesOf(piece);
  const names = all.map((each) => each.name);
  const only = list(text(piece, 'only'));

  /** The edits that make these the categories, in this order. */
  const listed = (next: readonly string[], shown: readonly string[]): EditBody[] => [
    set(piece, 'categories', next.join(', ')),
    ...(shown.join() === only.join() ? [] : [set(piece, 'only', shown.join(', '))]),
  ];
  function rename(from: Category, to: string) {
    const name = to.trim();
    if (name === '' || name === from.name || name.includes(',')) return;
    // Under the name of another one they become one.
    const swap = (of: readonly string[]) => [
      ...new Set(of.map((each) => (each === from.name ? name : each))),
    ];
    session.edit([
      ...listed(swap(names), swap(only)),
      ...from.questions.map((item) => set(item, 'category', name)),
    ]);
  }
  function move(at: number, by: number) {
    const next = [...names];
    const [name] = next.splice(at, 1);
    if (name === undefined || at + by < 0 || at + by > next.length) return;
    next.splice(at + by, 0, name);
    session.edit(listed(next, only));
  }
  function remove(gone: Category, to: string) {
    const without = (of: readonly string[]) => of.filter((each) => each !== gone.name);
    session.edit([
      ...listed(without(names), without(only)),
      ...gone.questions.map((item) => set(item, 'category', to)),
    ]);
    setGoing('');
  }
  function add() {
    const name = added.trim();
    if (name === '' || name.includes(',') || names.includes(name)) return;
    session.edit(listed([...names, name], only));
    setAdded('');
  }
  return (
    <div className="mt-3 flex flex-col gap-2">
      {all.length === 0 && <p className="faint">There are none yet.</p>}
      <ul className="categories">
        {all.map((each, at) => (
          <li key={each.name}>
            <input
              className="input input-sm min-w-0 flex-1"
              aria-label={`Name of ${each.name}`}
              defaultValue={each.name}
              maxLength={80}
              onBlur={(event) => rename(each, event.target.value)}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            <span className="faint w-24">
              {each.questions.length === 1 ? '1 question' : `${each.questions.length} questions`}
            </span>
            <Tool label={`Move ${each.name} up`} off={at === 0} onClick={() => move(at, -1)}>
              <ChevronUp size={16} />
            </Tool>
            <Tool
              label={`Move ${each.name} down`}
              off={at === all.length - 1}
              onClick={() => move(at, 1)}
            >
              <ChevronDown size={16} />
            </Tool>
            <Tool
              label={`Delete ${each.name}`}
              off={false}
              onClick={() => (each.questions.length === 0 ? remove(each, '') : setGoing(each.name))}
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
                  onChange={(event) => remove(each, event.target.value)}
                >
                  <option value="?" disabled>
                    choose…
                  </option>
                  {names
                    .filter((name) => name !== each.name)
                    .map((name) => (
                      <option key={name}>{name}</option>
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
        onSubmit={(event) => {
          event.preventDefault();
          add();
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
      <p className="faint">A name has no comma in it. Two of the same name become one.</p>
      <div className="flex justify-end">
        <button type="button" className="btn btn-primary" onClick={close}>
          Done
        </button>
      </div>
    </div>
  );
}
