import { useMutation, useQueryClient } from '@tanstack/react-query';
import { History, Keyboard, MessageSquare, Redo2, Search, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import { Brand } from '../Brand';
import { useRemarks } from '../review/Remarks';
import { ThemeButton } from '../ThemeButton';
import { Others } from '../together/Others';
import { chosenNow, stepName, useBench } from './context';
import { siteNode, text } from './document';
import { SaveNote } from './SaveNote';

/** Where one is, the steps, and what is always at hand. */
export function TopBar({
  onOpen,
}: {
  onOpen(what: 'find' | 'keys' | 'history' | 'remarks'): void;
}) {
  const { session, page, step, steps, chosen, choose } = useBench();
  const builds = steps.includes('ship');
  const open = useRemarks(page.id).data?.filter((each) => !each.doneAt).length ?? 0;
  const site = text(siteNode(page.document), 'name') || page.siteId;
  const title = text(page.document.page, 'title') || 'Untitled';
  const queries = useQueryClient();
  const publish = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/pages/{id}/releases', { params: { path: { id: page.id } } })),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['releases', page.id] });
      choose(chosenNow(chosen.node.id), 'ship');
    },
  });
  return (
    <header className="topbar">
      <Brand />
      <nav aria-label="Where you are" className="crumbs">
        <Link to="/" className="faint hover:underline">
          {site}
        </Link>
        <span className="faint" aria-hidden="true">
          /
        </span>
        <button
          type="button"
          className="font-semibold hover:underline"
          title="The page’s own words: title, language, description"
          onClick={() => choose(page.document.page.id, 'fill')}
        >
          {title}
        </button>
      </nav>
      <nav aria-label="Steps" className="verbs">
        {steps.map((each) => (
          <button
            key={each}
            type="button"
            className="verb"
            aria-current={each === step ? 'page' : undefined}
            onClick={() => choose(chosenNow(chosen.node.id), each)}
          >
            {stepName[each]}
          </button>
        ))}
      </nav>
      <div className="flex flex-1 items-center justify-end gap-1">
        <StageDate />
        <Others />
        <SaveNote />
        <Tool label="Undo" keys="Ctrl+Z" off={!page.canUndo} onClick={session.undo}>
          <Undo2 size={17} />
        </Tool>
        <Tool label="Redo" keys="Ctrl+Shift+Z" off={!page.canRedo} onClick={session.redo}>
          <Redo2 size={17} />
        </Tool>
        <Tool label="History" keys="H" onClick={() => onOpen('history')}>
          <History size={17} />
        </Tool>
        <span className="remarks-tool">
          <Tool
            label={open === 0 ? 'Remarks' : `Remarks, ${open} open`}
            keys="R"
            onClick={() => onOpen('remarks')}
          >
            <MessageSquare size={17} />
          </Tool>
          {open > 0 && <span aria-hidden="true">{open}</span>}
        </span>
        <Tool label="Find" keys="Ctrl+K" onClick={() => onOpen('find')}>
          <Search size={17} />
        </Tool>
        <Tool label="Keys" keys="?" onClick={() => onOpen('keys')}>
          <Keyboard size={17} />
        </Tool>
        <ThemeButton />
        {builds && (
          <button
            type="button"
            className="btn btn-primary btn-sm ml-2"
            disabled={publish.isPending}
            onClick={() => publish.mutate()}
          >
            {publish.isPending ? 'Publishing…' : 'Publish'}
          </button>
        )}
        {publish.isError && (
          <p role="alert" className="toast-line text-error">
            Not published: {publish.error.message}
          </p>
        )}
      </div>
    </header>
  );
}

/** The date that the stage is looked at on; an empty one is today. */
function StageDate() {
  const { on, setOn } = useBench();
  const day = on === undefined ? '' : new Date(on).toISOString().slice(0, 10);
  return (
    <label className="stage-date" data-set={on === undefined ? undefined : true}>
      <span className={on === undefined ? '' : 'sr-only'}>as on today</span>
      <input
        type="date"
        aria-label="The stage’s date"
        title="Look at the stage on another date; empty is today"
        value={day}
        onChange={({ target }) => {
          // Noon, so that it is that day in most zones.
          const noon = Date.parse(`${target.value}T12:00Z`);
          setOn(Number.isFinite(noon) && noon >= 0 ? noon : undefined);
        }}
      />
    </label>
  );
}

interface ToolProps {
  readonly label: string;
  readonly keys: string;
  readonly off?: boolean;
  onClick(): void;
  readonly children: React.ReactNode;
}

function Tool({ label, keys, off = false, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      className="btn btn-ghost btn-sm btn-square"
      aria-label={label}
      title={`${label} (${keys})`}
      disabled={off}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
