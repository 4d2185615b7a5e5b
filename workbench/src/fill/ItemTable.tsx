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
import { Copy, Eye, EyeOff, GripVertical, Plus, Trash2 } from 'lucide-react';
import { type CSSProperties, type KeyboardEvent, type ReactNode, useEffect, useState } from 'react';
import type { NodeBody } from '../api/client';
import { columnsOf, settingsOf, useBench } from '../bench/context';
import { fresh, nameOf, newId, text } from '../bench/document';
import { pathOf } from '../bench/session';
import { Grid, type GridCell, type GridRow, type Place } from '../grid/Grid';
import { kindOf, sent, typed } from '../grid/values';
import { Thumb, usePicker } from './PicturePicker';
import { type Field, pasted } from './paste';

const shares: Readonly<Record<string, string>> = {
  picture: '92px',
  text: 'minmax(220px,3fr)',
  heading: 'minmax(120px,1.2fr)',
  alt: 'minmax(110px,1fr)',
  link: 'minmax(90px,.8fr)',
};

/** The items of a carousel, edited in place like a spreadsheet. */
export function ItemTable({ carousel }: { readonly carousel: NodeBody }) {
  const { session, now, page, catalogue, media, chosen, choose } = useBench();
  const { pick } = usePicker();
  const items = carousel.children ?? [];
  const card = text(carousel, 'card') || 'picture';
  const itemSettings = settingsOf(catalogue, 'item');
  const fields: Field[] = (
    catalogue.cards.find((each) => each.card === card)?.fields ?? []
  ).flatMap((field) => {
    const setting = itemSettings.find((each) => each.id === field.setting);
    return setting ? [{ setting, label: field.label }] : [];
  });
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const [says, setSays] = useState('');
  const [at, setAt] = useState<Place>({ row: Math.max(0, chosen.index), column: 0 });
  const chosenItem = chosen.node.type === 'item' ? chosen.node.id : '';
  useEffect(() => {
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
    if (item && item.id !== chosenItem) choose(item.id);
  };
  const move = (from: number, to: number) => {
    const item = items[from];
    if (!item || to < 0 || to >= items.length || from === to) return;
    session.edit([{ type: 'MoveNode', node: item.id, parent: carousel.id, index: to }]);
    setAt((now) => ({ ...now, row: to }));
  };
  const add = (index: number, content: NodeBody) => {
    session.edit([{ type: 'AddNode', parent: carousel.id, index, content }]);
    setAt((now) => ({ ...now, row: index }));
    choose(carousel.id);
  };
  const duplicate = (index: number) => {
    const item = items[index];
    if (item) add(index + 1, fresh(item, bands));
  };
  const remove = (index: number) => {
    const item = items[index];
    if (!item) return;
    choose(carousel.id);
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
    return {
      kind: kindOf(setting),
      path,
      label: name,
      value,
      invalid: refused?.why,
      className: 'cell-item',
      show:
        setting.kind === 'picture' ? (
          <Thumb id={value} />
        ) : value === '' ? (
          <span className="faint">–</span>
        ) : (
          <span className="cell-words">{value}</span>
        ),
      set,
      clear: () => {
        if (refused) session.forget(path);
        else if (own !== undefined) session.set(item.id, setting.id, '', null);
      },
      ...(refused ? { forget: () => session.forget(path) } : {}),
      ...(setting.kind === 'picture'
        ? { open: () => pick({ value, label: name, onPick: set }) }
        : {}),
    };
  }

  const rows: GridRow[] = items.map((item, index) => {
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
          <Tool label={`Duplicate ${nameOf(item)}`} onClick={() => duplicate(index)}>
            <Copy size={15} />
          </Tool>
          <Tool label={`Delete ${nameOf(item)}`} onClick={() => remove(index)}>
            <Trash2 size={15} />
          </Tool>
        </>
      ),
    };
  });
  const template = `52px ${fields.map((field) => shares[field.setting.id] ?? 'minmax(100px,1fr)').join(' ')} 92px`;
  const current = rows[Math.min(at.row, rows.length - 1)]?.cells[at.column];

  return (
    <>
      <div className="sheet-scroll">
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
              label={`Items of ${nameOf(carousel)}`}
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
              at={at}
              onAt={here}
              onRowKey={rowKey}
              onPaste={(text, place) => {
                const result = pasted(text, carousel, fields, media, place);
                session.edit(result.edits);
                setSays(result.says);
              }}
              shell={(row, _, style, content) => (
                <SortableRow
                  row={row}
                  style={style}
                  label={nameOf(items.find((i) => i.id === row.id) as NodeBody)}
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
      <footer className="foot">
        <p className="min-w-0 flex-1 truncate" aria-live="polite">
          {current?.invalid ? <span className="text-error">{current.invalid}</span> : says}
        </p>
        <span className="faint">
          {items.length === 1 ? '1 item' : `${items.length} items`} · type to set · Enter edits ·
          Alt+↑↓ moves · Ctrl+V pastes rows
        </span>
      </footer>
    </>
  );
}

function Tool(props: { readonly label: string; onClick(): void; readonly children: ReactNode }) {
  return (
    <button
      type="button"
      className="tool"
      aria-label={props.label}
      title={props.label}
      onClick={props.onClick}
    >
      {props.children}
    </button>
  );
}

interface SortableRowProps {
  readonly row: GridRow;
  readonly label: string;
  readonly style: CSSProperties;
  readonly children: ReactNode;
}

function SortableRow({ row, label, style, children }: SortableRowProps) {
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({ id: row.id });
  return (
    <div
      ref={setNodeRef}
      role="row"
      className={`grid-row item-row ${row.className ?? ''} ${isDragging ? 'item-dragged' : ''}`}
      style={{ ...style, transform: CSS.Translate.toString(transform), transition }}
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
