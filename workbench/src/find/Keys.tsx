import { useEffect, useRef } from 'react';

const keys: readonly (readonly [string, string])[] = [
  ['1 to 6', 'the steps Fill, Arrange, Dress, Drive, Prove and Ship'],
  ['Space, arrow keys', 'in Drive: plays and stops; a picture on or back (with Shift, a second)'],
  ['[ and ]', 'the stage to the narrower or the wider band'],
  ['Ctrl K', 'find a setting, a piece or a page'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['W', 'the stage in the whole window, and back'],
  ['H', 'what the page was, revision by revision'],
  ['R', 'what people have remarked, and links for review'],
  ['Arrow keys', 'from cell to cell, row to row; on the ruler, px by px (with Shift, ten)'],
  ['Any letter or digit', 'sets the cell; Enter takes it, Escape leaves it'],
  ['Enter', 'edits the cell; on the ruler, types a width'],
  ['Delete', 'takes the value away, so that it is inherited again'],
  ['Alt ↑, Alt ↓', 'moves an item, a block or a section'],
  ['Ctrl D', 'duplicates the item'],
  ['Ctrl Enter', 'a new item below'],
  ['Ctrl Backspace', 'deletes the item'],
  ['Ctrl C, Ctrl V', 'in the page map: copies what is chosen, also to another page'],
  ['Ctrl V', 'in Fill: rows from a spreadsheet, from this cell on'],
];

/** The keys of the bench. */
export function Keys({ onClose }: { onClose(): void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog ref={dialog} className="modal" aria-labelledby="keys-title" onClose={onClose}>
      <div className="modal-box max-w-2xl">
        <h2 id="keys-title" className="mb-3 font-serif text-xl">
          Keys
        </h2>
        <dl className="keys">
          {keys.map(([key, does]) => (
            <div key={key}>
              <dt>{key}</dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
        <form method="dialog" className="mt-4 flex justify-end">
          <button type="submit" className="btn btn-ghost">
            Close
          </button>
        </form>
      </div>
    </dialog>
  );
}
