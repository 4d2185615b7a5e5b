import { ChevronDown, ChevronUp, Copy, Plus, Trash2 } from 'lucide-react';
import { type KeyboardEvent, type ReactNode, useState } from 'react';
import type { NodeBody } from '../api/client';
import { columnsOf, useBench } from '../bench/context';
import { find, fresh, nameOf, siteNode } from '../bench/document';
import { Chooser } from './Chooser';
import { icons } from './icons';

/** Items of a piece that are named in the map. */
const MOST = 12;

/** Where something is put in: among whose children, and at which place. */
export interface Gap {
  readonly parent: NodeBody;
  readonly index: number;
}

/** Sections, blocks and pieces in page order; a plus in each gap. */
export function PageMap() {
  const { session, page, chosen, choose } = useBench();
  const [gap, setGap] = useState<Gap>();
  const root = page.document.page;
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const { node, parent, index } = chosen;
  const movable = parent !== undefined && node.type !== 'column';
  const last = (parent?.children?.length ?? 0) - 1;

  const move = (by: number) => {
    if (!parent || index + by < 0 || index + by > last) return;
    session.edit([{ type: 'MoveNode', node: node.id, parent: parent.id, index: index + by }]);
  };
  const duplicate = () => {
    if (!parent) return;
    const content = fresh(node, bands);
    session.edit([{ type: 'AddNode', parent: parent.id, index: index + 1, content }]);
    choose(content.id);
  };
  const remove = () => {
    const next = parent?.children?.[index + 1] ?? parent?.children?.[index - 1] ?? parent;
    session.edit([{ type: 'RemoveNode', node: node.id }]);
    if (next) choose(next.id);
  };
  function key(event: KeyboardEvent) {
    if (event.altKey && event.key === 'ArrowUp') move(-1);
    else if (event.altKey && event.key === 'ArrowDown') move(1);
    else if (event.key === 'Delete' && movable) remove();
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      const rows = [...event.currentTarget.querySelectorAll<HTMLElement>('.map-row')];
      const at = rows.indexOf(document.activeElement as HTMLElement);
      rows[at + (event.key === 'ArrowDown' ? 1 : -1)]?.focus();
    } else return;
    event.preventDefault();
  }

  return (
    <nav aria-label="Page map" className="map">
      {/* biome-ignore lint/a11y/noStaticElementInteractions: keys of the rows within */}
      <div className="map-rows" onKeyDown={key}>
        <Row node={siteNode(page.document)} depth={0} className="map-page" />
        <Row node={root} depth={0} className="map-page" />
        <GapLine at={{ parent: root, index: 0 }} onAdd={setGap} />
        {(root.children ?? []).map((section, at) => (
          <div key={section.id}>
            <Row node={section} depth={0} className="map-section">
              <Add
                at={{ parent: section, index: 0 }}
                label={`Add at the start of ${nameOf(section)}`}
                onAdd={setGap}
              />
            </Row>
            <Blocks parent={section} depth={1} onAdd={setGap} />
            <GapLine at={{ parent: root, index: at + 1 }} onAdd={setGap} />
          </div>
        ))}
      </div>
      <div className="map-tools" role="toolbar" aria-label={`What to do with ${nameOf(node)}`}>
        <span className="faint flex-1 truncate">{nameOf(node)}</span>
        <Tool label="Move up" off={!movable || index === 0} onClick={() => move(-1)}>
          <ChevronUp size={16} />
        </Tool>
        <Tool label="Move down" off={!movable || index === last} onClick={() => move(1)}>
          <ChevronDown size={16} />
        </Tool>
        <Tool label="Duplicate" off={!movable} onClick={duplicate}>
          <Copy size={15} />
        </Tool>
        <Tool label="Delete" off={!movable} onClick={remove}>
          <Trash2 size={15} />
        </Tool>
      </div>
      {gap && find(page.document, gap.parent.id) && (
        <Chooser gap={gap} onClose={() => setGap(undefined)} />
      )}
    </nav>
  );
}

interface BlocksProps {
  readonly parent: NodeBody;
  readonly depth: number;
  onAdd(gap: Gap): void;
}

function Blocks({ parent, depth, onAdd }: BlocksProps) {
  const { chosen } = useBench();
  return (parent.children ?? []).map((node, at) => {
    const open = chosen.node.id === node.id || chosen.parent?.id === node.id;
    const items = node.children ?? [];
    return (
      <div key={node.id}>
        <Row node={node} depth={depth}>
          {node.type === 'column' ? (
            <Add
              at={{ parent: node, index: 0 }}
              label={`Add at the start of ${nameOf(node)} ${at + 1}`}
              onAdd={onAdd}
            />
          ) : (
            <Add at={{ parent, index: at + 1 }} label={`Add after ${nameOf(node)}`} onAdd={onAdd} />
          )}
        </Row>
        {node.type === 'carousel' ? (
          open && (
            <>
              {items.slice(0, MOST).map((item) => (
                <Row key={item.id} node={item} depth={depth + 1} className="map-item" />
              ))}
              {items.length > MOST && (
                <p className="map-more faint" style={{ paddingLeft: 16 + (depth + 1) * 14 }}>
                  {items.length - MOST} more
                </p>
              )}
            </>
          )
        ) : (
          <Blocks parent={node} depth={depth + 1} onAdd={onAdd} />
        )}
      </div>
    );
  });
}

interface RowProps {
  readonly node: NodeBody;
  readonly depth: number;
  readonly className?: string;
  readonly children?: ReactNode;
}

function Row({ node, depth, className = '', children }: RowProps) {
  const { chosen, choose } = useBench();
  const Icon = icons[node.type];
  const hidden = (node.values as Record<string, unknown>).hidden === true;
  return (
    <div className="map-line">
      <button
        type="button"
        className={`map-row ${className} ${hidden ? 'map-hidden' : ''}`}
        style={{ paddingLeft: 14 + depth * 14 }}
        aria-current={chosen.node.id === node.id ? 'true' : undefined}
        data-node={node.id}
        onClick={() => choose(node.id)}
      >
        {Icon && node.type !== 'item' && <Icon size={15} className="shrink-0" aria-hidden />}
        <span className="truncate">{nameOf(node)}</span>
        {hidden && <span className="sr-only">, hidden</span>}
      </button>
      {children}
    </div>
  );
}

interface AddProps {
  readonly at: Gap;
  readonly label: string;
  onAdd(gap: Gap): void;
}

function Add({ at, label, onAdd }: AddProps) {
  return (
    <button
      type="button"
      className="map-add"
      aria-label={label}
      title={label}
      onClick={() => onAdd(at)}
    >
      <Plus size={14} aria-hidden />
    </button>
  );
}

/** The gap between two sections. */
function GapLine({ at, onAdd }: { readonly at: Gap; onAdd(gap: Gap): void }) {
  const before = at.parent.children?.[at.index - 1];
  const label = before ? `Add a section after ${nameOf(before)}` : 'Add a section at the top';
  return (
    <button
      type="button"
      className="map-gap"
      aria-label={label}
      title={label}
      onClick={() => onAdd(at)}
    >
      <Plus size={13} aria-hidden />
    </button>
  );
}

interface ToolProps {
  readonly label: string;
  readonly off: boolean;
  onClick(): void;
  readonly children: ReactNode;
}

function Tool({ label, off, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      className="tool"
      aria-label={label}
      title={label}
      disabled={off}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
