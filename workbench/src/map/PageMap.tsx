import { Bookmark, ChevronDown, ChevronUp, Copy, Link2, Plus, Trash2 } from 'lucide-react';
import {
  type ClipboardEvent,
  createContext,
  type KeyboardEvent,
  memo,
  type ReactNode,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import type { Catalogue, NodeBody } from '../api/client';
import { columnsOf, isPiece, useBench } from '../bench/context';
import { find, fresh, nameOf, pathTo, siteNode } from '../bench/document';
import { usePinning } from '../fill/Pins';
import { Tool } from '../ui/Tool';
import { Chooser } from './Chooser';
import { copied, pasted, placeFor } from './clipboard';
import type { Gap } from './gap';
import { icons } from './icons';
import { Keep } from './Keep';
import { useSnags } from './snags';
import { linkedTo } from './stock';

/** What was found, by node: looked up once for all rows. */
const Found = createContext<ReadonlyMap<string, string[]>>(new Map());

/** What rows ask of the bench: it stays the same while somebody types, and so do the rows. */
interface Asked {
  readonly catalogue: Catalogue;
  readonly chosen: string;
  /** What is chosen and all that it lies in. */
  readonly path: ReadonlySet<string>;
  choose(id: string): void;
}
const Rows = createContext<Asked | undefined>(undefined);
function useRows(): Asked {
  const rows = useContext(Rows);
  if (!rows) throw new Error('outside the map');
  return rows;
}

/** Items of a piece that are named in the map. */
const MOST = 12;

/** Sections, blocks and pieces in page order; a plus in each gap. */
export function PageMap() {
  const { session, page, catalogue, chosen, choose, steps } = useBench();
  const [gap, setGap] = useState<Gap>();
  const root = page.document.page;
  const bands = new Set(columnsOf(page).map((band) => band.id));
  const { node, parent, index } = chosen;
  const builds = steps.includes('ship');
  const movable =
    parent !== undefined && node.type !== 'column' && (builds || node.type === 'item');
  const keepable =
    builds && (isPiece(catalogue, node.type) || node.type === 'section') && linkedTo(node) === '';
  const path = pathTo(root, node.id).join(' ');
  const rows = useMemo(
    () => ({ catalogue, choose, chosen: node.id, path: new Set(path.split(' ')) }),
    [catalogue, choose, node.id, path],
  );
  const [keeping, setKeeping] = useState(false);
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

  function copy(event: ClipboardEvent) {
    if (!movable) return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', copied(node));
  }
  function paste(event: ClipboardEvent) {
    const content = pasted(event.clipboardData.getData('text/plain'), bands);
    if (!content) return;
    event.preventDefault();
    const place = placeFor(catalogue, content.type, chosen, page.document);
    if (!place) return;
    session.edit([{ type: 'AddNode', parent: place.parent.id, index: place.index, content }]);
    choose(content.id);
  }

  return (
    <Rows value={rows}>
      <Found value={useSnags()}>
        <nav aria-label="Page map" className="map" data-builds={builds || undefined}>
          {/* biome-ignore lint/a11y/noStaticElementInteractions: keys of the rows within */}
          <div className="map-rows" onKeyDown={key} onCopy={copy} onPaste={paste}>
            <Row node={siteNode(page.document)} depth={0} className="map-page" />
            <Row node={root} depth={0} className="map-page" />
            <GapLine at={{ parent: root, index: 0 }} onAdd={setGap} />
            {(root.children ?? []).map((section, at) => (
              <div key={section.id}>
                <SectionRows section={section} onAdd={setGap} />
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
            <Tool label="Keep on the site" off={!keepable} onClick={() => setKeeping(true)}>
              <Bookmark size={15} />
            </Tool>
            <Tool label="Delete" off={!movable} onClick={remove}>
              <Trash2 size={15} />
            </Tool>
          </div>
          {keeping && keepable && <Keep node={node} onClose={() => setKeeping(false)} />}
          {gap && find(page.document, gap.parent.id) && (
            <Chooser gap={gap} onClose={() => setGap(undefined)} />
          )}
        </nav>
      </Found>
    </Rows>
  );
}

interface SectionProps {
  readonly section: NodeBody;
  onAdd(gap: Gap): void;
}

/** A section and what is in it; drawn anew where it is another one. */
const SectionRows = memo(({ section, onAdd }: SectionProps) => (
  <>
    <Row node={section} depth={0} className="map-section">
      <Add
        at={{ parent: section, index: 0 }}
        label={`Add at the start of ${nameOf(section)}`}
        onAdd={onAdd}
      />
    </Row>
    <Blocks parent={section} depth={1} onAdd={onAdd} />
  </>
));

interface BlocksProps {
  readonly parent: NodeBody;
  readonly depth: number;
  onAdd(gap: Gap): void;
}

function Blocks({ parent, depth, onAdd }: BlocksProps) {
  const { catalogue, path } = useRows();
  return (parent.children ?? []).map((node, at) => (
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
      {isPiece(catalogue, node.type) ? (
        path.has(node.id) && <Items piece={node} depth={depth + 1} onAdd={onAdd} />
      ) : (
        <Blocks parent={node} depth={depth + 1} onAdd={onAdd} />
      )}
    </div>
  ));
}

/** The items of a piece that is worked on, what the panels of these hold, what is pinned to them. */
function Items({
  piece,
  depth,
  onAdd,
}: { readonly piece: NodeBody } & Omit<BlocksProps, 'parent'>) {
  const { catalogue } = useRows();
  const panels = catalogue.panels.includes(piece.type);
  const pins = catalogue.pins.includes(piece.type);
  const pinned = usePinning();
  const items = piece.children ?? [];
  return (
    <>
      {items.slice(0, MOST).map((item) => (
        <div key={item.id}>
          <Row node={item} depth={depth} className="map-item">
            {panels && (
              <Add
                at={{ parent: item, index: 0 }}
                label={`Add to the panel of ${nameOf(item)}`}
                onAdd={onAdd}
              />
            )}
            {pins && (
              <button
                type="button"
                className="map-add"
                aria-label={`Pin something on ${nameOf(item)}`}
                title={`Pin something on ${nameOf(item)}`}
                onClick={() => pinned(item)}
              >
                <Plus size={14} aria-hidden />
              </button>
            )}
          </Row>
          {pins &&
            (item.children ?? [])
              .filter((each) => each.type === 'pin')
              .map((pin) => <Row key={pin.id} node={pin} depth={depth + 1} />)}
          {panels && <Blocks parent={item} depth={depth + 1} onAdd={onAdd} />}
        </div>
      ))}
      {items.length > MOST && (
        <p className="map-more faint" style={{ paddingLeft: 16 + depth * 14 }}>
          {items.length - MOST} more
        </p>
      )}
    </>
  );
}

interface RowProps {
  readonly node: NodeBody;
  readonly depth: number;
  readonly className?: string;
  readonly children?: ReactNode;
}

function Row({ node, depth, className = '', children }: RowProps) {
  const { chosen, choose } = useRows();
  const Icon = icons[node.type];
  const hidden = (node.values as Record<string, unknown>).hidden === true;
  const row = useRef<HTMLButtonElement>(null);
  const here = chosen === node.id;
  const snags = useContext(Found).get(node.id);
  useEffect(() => {
    if (here) row.current?.scrollIntoView({ block: 'nearest' });
  }, [here]);
  return (
    <div className="map-line">
      <button
        ref={row}
        type="button"
        className={`map-row ${className} ${hidden ? 'map-hidden' : ''}`}
        style={{ paddingLeft: 14 + depth * 14 }}
        aria-current={here ? 'true' : undefined}
        data-node={node.id}
        onClick={() => choose(node.id)}
      >
        {Icon && node.type !== 'item' && node.type !== 'section' && (
          <Icon size={15} className="shrink-0" aria-hidden />
        )}
        <span className="truncate">{nameOf(node)}</span>
        {linkedTo(node) !== '' && (
          <>
            <Link2 size={13} className="shrink-0 opacity-70" aria-hidden />
            <span className="sr-only">, linked</span>
          </>
        )}
        {hidden && <span className="sr-only">, hidden</span>}
        {snags && (
          <span className="map-snags" title={snags.join('\n')}>
            {snags.length}
            <span className="sr-only"> found</span>
          </span>
        )}
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
