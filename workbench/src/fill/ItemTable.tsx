import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useMutation } from '@tanstack/react-query';
import { Copy, Eye, EyeOff, GripVertical, Plus, SquarePlus, Trash2 } from 'lucide-react';
import {
  type KeyboardEvent,
  type ReactNode,
  useCallback,
  useEffect,
  useId,
  useRef,
  useState,
} from 'react';
import {
  api,
  ask,
  type Catalogue,
  type CellsReply,
  type NodeBody,
  type SettingReply,
} from '../api/client';
import { columnsOf, settingsOf, useBench } from '../bench/context';
import { fresh, nameOf, newId, plain, text, wordOf } from '../bench/document';
import { pathOf } from '../bench/session';
import type { GridCell } from '../grid/cell';
import { Grid, type GridRow, type GridRows, type Place, type RowProps } from '../grid/Grid';
import { kindOf, sent, sortOf, typed } from '../grid/values';
import { Chooser } from '../map/Chooser';
import type { Gap } from '../map/gap';
import { Dialog, useClose } from '../ui/Dialog';
import { Tool } from '../ui/Tool';
import { IconPicker, IconThumb } from './IconPicker';
import { Thumb, usePicker } from './PicturePicker';
import { RichField } from './RichField';

const shares: Readonly<Record<string, string>> = {
  picture: '92px',
  text: 'minmax(220px,3fr)',
  heading: 'minmax(120px,1.2fr)',
  alt: 'minmax(110px,1fr)',
  link: 'minmax(90px,.8fr)',
};

interface Field {
  readonly setting: SettingReply;
  readonly label: string;
}

/** Cells copied from a spreadsheet, and the place that they begin at. */
interface Cells {
  readonly text: string;
  readonly row: number;
  readonly column: number;
}

/** What came of them, in words. */
function told({ rows, added, left }: CellsReply): string {
  const parts = [
    ...(rows > 0 ? [`${rows} ${rows === 1 ? 'row' : 'rows'} filled`] : []),
    ...(added > 0 ? [`${added} ${added === 1 ? 'item' : 'items'} added`] : []),
    ...(left.length > 0
      ? [`left out: ${left.slice(0, 5).join('; ')}${left.length > 5 ? '; …' : ''}`]
      : []),
  ];
  return `Pasted: ${parts.join('; ')}.`;
}

/** A field of items as a kind of piece has it. */
export interface ItemField extends Field {
  readonly main: boolean;
  /** The setting whose value decides whether it is asked for, and the values with which it is. */
  readonly askedBy: string;
  readonly askedWith: readonly string[];
}

/** Whether a field is asked for in an item as it stands. */
export function asked(item: NodeBody, field: ItemField, catalogue: Catalogue): boolean {
  if (field.askedBy === '') return true;
  const by = settingsOf(catalogue, 'item').find((each) => each.id === field.askedBy);
  return field.askedWith.includes(text(item, field.askedBy) || String(by?.initial ?? ''));
}

/** The fields that the items of a piece have, those that it has switched off left out. */
export function fieldsOf(catalogue: Catalogue, piece: NodeBody): readonly ItemField[] {
  const settings = settingsOf(catalogue, 'item');
  const off = new Set(text(piece, 'fieldsOff').split(' '));
  const ofKind = catalogue.fields.filter((each) => each.type === piece.type);
  const card = text(piece, 'card') || 'picture';
  const fields = (ofKind.find((each) => each.card === card) ?? ofKind[0])?.fields ?? [];
  return fields.flatMap(({ setting: id, label, main, askedBy, askedWith }) => {
    const setting = settings.find((each) => each.id === id);
    return setting && !off.has(id) ? [{ setting, label, main, askedBy, askedWith }] : [];
  });
}

/** An icon of an item; one that is of all items stands back. */
function ItemIcon({ value, ofAll }: { readonly value: string; readonly ofAll: string }) {
  return value === '' && ofAll !== '' ? (
    <span className="icon-of-all" title="that of all items">
      <IconThumb value={ofAll} />
    </span>
  ) : (
    <IconThumb value={value} />
  );
}

/** The items of a piece, edited in place like a spreadsheet. */
export function ItemTable({ piece }: { readonly piece: NodeBody }) {
  const { session, now, page, catalogue, chosen, choose } = useBench();
  const { pick } = usePicker();
  const items = piece.children ?? [];
  const fields = fieldsOf(catalogue, piece).filter((field) => field.main);
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const [says, setSays] = useState('');
  const [icon, setIcon] = useState<Omit<Parameters<typeof IconPicker>[0], 'onClose'>>();
  const [long, setLong] = useState<LongText>();
  const [gap, setGap] = useState<Gap>();
  const scroller = useRef<HTMLDivElement>(null);
  const panels = catalogue.panels.includes(piece.type);
  const [at, setAt] = useState<Place>({ row: Math.max(0, chosen.index), column: 0 });
  const chosenItem = chosen.node.type === 'item' ? chosen.node.id : '';
  /** What was chosen from here and is not told back yet: one who is quick is ahead of it. */
  const ahead = useRef<readonly string[]>([]);
  useEffect(() => {
    const ours = ahead.current.includes(chosenItem);
    if (!ours || ahead.current.at(-1) === chosenItem) ahead.current = [];
    if (ours) return;
    const row = items.findIndex((item) => item.id === chosenItem);
    if (row >= 0) setAt((now) => (now.row === row ? now : { ...now, row }));
  }, [chosenItem, items]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );

  const here = (place: Place) => {
    setAt(place);
    const item = items[place.row];
    if (!item || item.id === (ahead.current.at(-1) ?? chosenItem)) return;
    ahead.current = [...ahead.current, item.id];
    choose(item.id);
  };
  const move = (from: number, to: number) => {
    const item = items[from];
    if (!item || to < 0 || to >= items.length || from === to) return;
    session.edit([{ type: 'MoveNode', node: item.id, parent: piece.id, index: to }]);
    setAt((now) => ({ ...now, row: to }));
  };
  const add = (index: number, content: NodeBody) => {
    session.edit([{ type: 'AddNode', parent: piece.id, index, content }]);
    setAt((now) => ({ ...now, row: index }));
    choose(piece.id);
  };
  // Which cell goes where is the core's to say: what is on its way to the server comes first.
  const paste = useMutation({
    mutationFn: async ({ text, row, column }: Cells) => {
      await session.settled();
      return ask(
        api.POST('/api/pages/{id}/cells', {
          params: { path: { id: page.id } },
          body: {
            piece: piece.id,
            text,
            columns: fields.map((field) => field.setting.id),
            row,
            column,
          },
        }),
      );
    },
    onMutate: () => setSays('Reading what was pasted…'),
    onSuccess: (found) => {
      session.edit(found.edits);
      setSays(told(found));
    },
    onError: (problem) => setSays(`${problem.message} What was pasted is kept here.`),
  });
  const duplicate = (index: number) => {
    const item = items[index];
    if (item) add(index + 1, fresh(item, bands));
  };
  const remove = (index: number) => {
    const item = items[index];
    if (!item) return;
    choose(piece.id);
    session.edit([{ type: 'RemoveNode', node: item.id }]);
    setSays(`“${nameOf(item)}” is deleted; undo brings it back.`);
  };

  function rowKey(event: KeyboardEvent, row: number): boolean {
    if (event.altKey && event.key === 'ArrowUp') move(row, row - 1);
    else if (event.altKey && event.key === 'ArrowDown') move(row, row + 1);
    else if ((event.ctrlKey || event.metaKey) && event.key === 'd') duplicate(row);
    else if ((event.ctrlKey || event.metaKey) && event.key === 'Backspace') remove(row);
    else if ((event.ctrlKey || event.metaKey) && event.key === 'Enter')
      add(row + 1, { id: newId('item'), type: 'item', values: {} });
    else return false;
    return true;
  }

  function cellOf(item: NodeBody, { setting, label }: Field): GridCell {
    const path = pathOf(item.id, setting.id);
    const refused = now.refused[path];
    const own = (item.values as Record<string, unknown>)[setting.id];
    const value = refused?.value ?? typed(setting, own ?? setting.initial);
    const set = (next: string) => session.set(item.id, setting.id, '', sent(setting, next));
    const name = `${label} of ${nameOf(item)}`;
    const sort = sortOf(setting);
    // Markup is no matter for a cell: it opens in the editor of the item.
    const rich = setting.kind === 'rich' && value.includes('<');
    return {
      kind: rich ? 'own' : kindOf(setting),
      path,
      label: name,
      words: setting.words,
      value,
      invalid: refused?.why,
      className: 'cell-item',
      show: sort ? (
        <Thumb id={value} />
      ) : setting.kind === 'icon' ? (
        <ItemIcon value={value} ofAll={setting.id === 'icon' ? text(piece, 'icon') : ''} />
      ) : value === '' ? (
        <span className="faint">–</span>
      ) : (
        <span className="cell-words">{plain(value)}</span>
      ),
      set,
      clear: () => {
        if (refused) session.forget(path);
        else if (own !== undefined) session.set(item.id, setting.id, '', null);
      },
      ...(refused ? { forget: () => session.forget(path) } : {}),
      ...(sort ? { open: () => pick({ value, label: name, sort, onPick: set }) } : {}),
      ...(setting.kind === 'icon'
        ? { open: () => setIcon({ value, label: name, onPick: set }) }
        : {}),
      ...(rich ? { open: () => setLong({ item, setting, label: name }) } : {}),
    };
  }

  const rowOf = (item: NodeBody, index: number): GridRow => {
    const hidden = (item.values as Record<string, unknown>).hidden === true;
    return {
      id: item.id,
      className: hidden ? 'item-hidden' : '',
      head: <span className="faint">{index + 1}</span>,
      cells: fields.map((field) => cellOf(item, field)),
      tail: (
        <>
          <Tool
            label={`${hidden ? 'Show' : 'Hide'} ${nameOf(item)}`}
            onClick={() => session.set(item.id, 'hidden', '', !hidden)}
          >
            {hidden ? <EyeOff size={15} /> : <Eye size={15} />}
          </Tool>
          {panels && (
            <Tool
              label={`Add to the panel of ${nameOf(item)}: ${panelWords(item)}`}
              onClick={() => setGap({ parent: item, index: item.children?.length ?? 0 })}
            >
              <SquarePlus size={15} />
            </Tool>
          )}
          <Tool label={`Duplicate ${nameOf(item)}`} onClick={() => duplicate(index)}>
            <Copy size={15} />
          </Tool>
          <Tool label={`Delete ${nameOf(item)}`} onClick={() => remove(index)}>
            <Trash2 size={15} />
          </Tool>
        </>
      ),
    };
  };
  const idAt = useCallback((index: number) => items[index]?.id ?? String(index), [items]);
  const rows: GridRows = {
    length: items.length,
    idAt,
    at: (index) => {
      const item = items[index];
      return item && rowOf(item, index);
    },
  };
  const template = `52px ${fields.map((field) => shares[field.setting.id] ?? 'minmax(100px,1fr)').join(' ')} ${panels ? 122 : 92}px`;
  const current = rows.at(Math.min(at.row, items.length - 1))?.cells[at.column];

  return (
    <>
      <div className="sheet-scroll" ref={scroller}>
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={({ active, over }: DragEndEvent) => {
            const from = items.findIndex((item) => item.id === active.id);
            const to = items.findIndex((item) => item.id === over?.id);
            if (from >= 0 && to >= 0) move(from, to);
          }}
        >
          <SortableContext
            items={items.map((item) => item.id)}
            strategy={verticalListSortingStrategy}
          >
            <Grid
              label={`Items of ${nameOf(piece)}`}
              template={template}
              heads={[
                <span key="number" className="sr-only">
                  Number
                </span>,
                ...fields.map((field) => field.label),
                <span key="tools" className="sr-only">
                  What to do with it
                </span>,
              ]}
              rows={rows}
              scroller={scroller}
              at={at}
              onAt={here}
              onRowKey={rowKey}
              onPaste={(text, place) => paste.mutate({ text, ...place })}
              shell={(row, props, content) => (
                <SortableRow
                  row={row}
                  props={props}
                  label={nameOf(items[props['data-index']] as NodeBody)}
                >
                  {content}
                </SortableRow>
              )}
            />
          </SortableContext>
        </DndContext>
        {items.length === 0 && (
          <p className="faint p-6">
            No items yet. Add one, or paste rows that you copied from a spreadsheet after adding it.
          </p>
        )}
        <button
          type="button"
          className="add-item"
          onClick={() => add(items.length, { id: newId('item'), type: 'item', values: {} })}
        >
          <Plus size={15} aria-hidden /> Add an item
        </button>
      </div>
      {icon && <IconPicker {...icon} onClose={() => setIcon(undefined)} />}
      {long && <LongTextDialog {...long} onClose={() => setLong(undefined)} />}
      {gap && <Chooser gap={gap} onClose={() => setGap(undefined)} />}
      <footer className="foot">
        <p className="min-w-0 flex-1 truncate" aria-live="polite">
          {current?.invalid ? <span className="text-error">{current.invalid}</span> : says}
        </p>
        {paste.isError && (
          <button
            type="button"
            className="btn btn-ghost btn-xs"
            onClick={() => paste.variables && paste.mutate(paste.variables)}
          >
            Put it in now
          </button>
        )}
        <span className="faint">
          {items.length === 1 ? '1 item' : `${items.length} items`} · type to set · Enter edits ·
          Alt+↑↓ moves · Ctrl+V pastes rows
        </span>
      </footer>
    </>
  );
}

/** What a panel holds, in words. */
function panelWords(item: NodeBody): string {
  const held = (item.children ?? []).map((block) => wordOf(block.type));
  return held.length === 0 ? 'it holds no blocks yet' : `it holds ${held.join(', ')}`;
}

interface LongText {
  readonly item: NodeBody;
  readonly setting: SettingReply;
  readonly label: string;
}

/** The editor of one long text of an item. */
function LongTextDialog({ item, setting, label, onClose }: LongText & { onClose(): void }) {
  const { session } = useBench();
  const title = useId();
  const draft = useRef<string>(undefined);
  const value = String((item.values as Record<string, unknown>)[setting.id] ?? '');
  return (
    <Dialog
      labelledBy={title}
      className="long-text"
      onClose={() => {
        const text = draft.current;
        if (text !== undefined && text !== value) session.set(item.id, setting.id, '', text);
        onClose();
      }}
    >
      <h2 id={title} className="font-serif text-xl">
        {label}
      </h2>
      <RichField
        labelledBy={title}
        label={label}
        value={value}
        onChange={(text) => {
          draft.current = text;
        }}
      />
      <Done />
    </Dialog>
  );
}

function Done() {
  const close = useClose();
  return (
    <div className="flex justify-end">
      <button type="button" className="btn btn-primary" onClick={close}>
        Done
      </button>
    </div>
  );
}

interface SortableRowProps {
  readonly row: GridRow;
  readonly label: string;
  readonly props: RowProps;
  readonly children: ReactNode;
}

function SortableRow({ row, label, props, children }: SortableRowProps) {
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({ id: row.id });
  const measured = props.ref;
  const both = useCallback(
    (element: HTMLElement | null) => {
      setNodeRef(element);
      measured(element);
    },
    [setNodeRef, measured],
  );
  return (
    <div
      {...props}
      ref={both}
      role="row"
      className={`grid-row item-row ${row.className ?? ''} ${isDragging ? 'item-dragged' : ''}`}
      style={{ ...props.style, transform: CSS.Translate.toString(transform), transition }}
    >
      <div role="gridcell" className="handle">
        <button
          ref={setActivatorNodeRef}
          type="button"
          className="handle-grip"
          {...attributes}
          {...listeners}
          aria-label={`Move ${label}`}
          title="Drag, or Space and the arrow keys"
        >
          <GripVertical size={15} aria-hidden />
        </button>
      </div>
      {children}
    </div>
  );
}
