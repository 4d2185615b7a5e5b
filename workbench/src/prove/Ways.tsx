import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, ask, type Finding, type WayOut } from '../api/client';
import { useBench, versionOf } from '../bench/context';
import { find, nameOf } from '../bench/document';
import { useSize } from '../bench/useSize';
import { useTrial } from '../dress/useTrial';

interface Props {
  readonly snag: Finding;
  /** Why it is left as it is, where it is. */
  readonly left: string | undefined;
  /** Whether somebody asked for it, or else it is there since nothing else is. */
  readonly asked: boolean;
  /** Takes the stage there. */
  onLook(): void;
  /** A way out is taken, or what comes of it is there. */
  onTaken(taken: boolean): void;
}

const UNITS: Readonly<Record<string, string>> = { px: 'px', ms: 's', times: '×', kb: 'KB' };

function figure(value: number, unit: string): string {
  if (unit === 'ms') return `${Math.round(value / 100) / 10} s`;
  const short = Math.round(value * 100) / 100;
  return UNITS[unit] ? `${Math.round(value * 10) / 10} ${UNITS[unit]}` : String(short);
}

/** Characters of a name that tell what it is; a text has no other name than its words. */
const NAME = 48;

const short = (name: string) =>
  name.length > NAME ? `${name.slice(0, NAME).replace(/\s+\S*$/, '')}…` : name;

/** One finding: its figures, and its ways out as they would look; each was tried on the page. */
export function Ways({ snag, left, asked, onLook, onTaken }: Props) {
  const { page, session, catalogue, stress } = useBench();
  const trial = useTrial();
  const [tried, setTried] = useState<number>();
  const version = versionOf(page);
  const found = useQuery({
    queryKey: ['ways-out', page.id, version, snag.key, stress],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/ways-out', {
          params: { path: { id: page.id }, query: { snag: snag.key, stress } },
        }),
      ),
    enabled: snag.fixes.length > 0,
  });
  const ways = found.data ?? [];
  const tryOn = (at: number | undefined) => {
    const way = at === undefined ? undefined : ways[at];
    setTried(way ? at : undefined);
    // What is tried is made of the page as it is: under stress it is drawn here alone.
    if (way && stress === '') trial.tryOn(way.edits);
    else trial.leave();
  };
  const take = (way: WayOut) => {
    trial.keep();
    onTaken(true);
    session.edit(way.edits);
  };
  const latest = useRef({ tryOn, take, ways, tried });
  latest.current = { tryOn, take, ways, tried };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { tryOn, take, ways, tried } = latest.current;
      const inside = event.target instanceof Element && event.target.closest('.ways');
      const typing = event.target instanceof Element && event.target.closest('input');
      if (!inside || typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const at = Number(event.key) - 1;
      if (ways[at]) {
        // Here the numbers are ways, not steps.
        event.preventDefault();
        event.stopPropagation();
        tryOn(at);
      } else if (event.key === 'Escape' && tried !== undefined) {
        event.preventDefault();
        event.stopPropagation();
        tryOn(undefined);
      } else if (event.key === 'Enter' && tried !== undefined && ways[tried]) {
        event.preventDefault();
        event.stopPropagation();
        take(ways[tried]);
      }
    };
    addEventListener('keydown', press, true);
    return () => removeEventListener('keydown', press, true);
  }, []);
  const piece = find(page.document, snag.piece)?.node;
  const item = snag.item ? find(page.document, snag.item)?.node : undefined;
  const drawn =
    piece !== undefined &&
    piece.type !== 'page' &&
    piece.type !== 'site' &&
    catalogue.types.some((each) => each.type === piece.type);
  const box = useRef<HTMLDivElement>(null);
  const told = useRef(onTaken);
  told.current = onTaken;
  useEffect(() => {
    // Whoever pressed a bar goes on with its ways out.
    if (asked) box.current?.focus();
    told.current(false);
  }, [asked]);
  return (
    <div ref={box} className="ways" role="group" aria-label="The snag" tabIndex={-1}>
      <div className="ways-says">
        <h3>
          {piece && short(nameOf(piece))}
          {item && `, ${short(nameOf(item))}`}
          <span className="ways-kind" data-severity={snag.severity}>
            {snag.severity}
          </span>
        </h3>
        <p>{snag.message}</p>
        <p className="faint">
          from <b>{snag.from}</b> to <b>{snag.to} px</b>
          {snag.measured &&
            ` · found ${figure(snag.measured.found, snag.measured.unit)}, asked ${figure(snag.measured.required, snag.measured.unit)}`}{' '}
          <button type="button" className="link" onClick={onLook}>
            look at it
          </button>
        </p>
        {snag.fixes.length === 0 && (
          <p className="faint">
            No single value mends this: look at it and say it otherwise, or give it more room.
          </p>
        )}
        {found.isError && <p className="text-error">{found.error.message}</p>}
        {trial.error && <p className="text-error">{trial.error}</p>}
        {ways.length > 0 && (
          <p className="faint ways-keys">
            <kbd>1</kbd>
            {ways.length > 1 && (
              <>
                {' '}
                to <kbd>{ways.length}</kbd>
              </>
            )}{' '}
            {stress === '' ? 'try on the stage' : 'choose'}, <kbd>Enter</kbd> takes what is
            {stress === '' ? ' tried' : ' chosen'}
          </p>
        )}
        {stress === '' && <Leave snag={snag} left={left} />}
      </div>
      <ul className="ways-list" aria-label="Ways out">
        {drawn && (
          <li className="way">
            <Framed snag={snag} query={{ only: snag.piece }} title="As it is" />
            <span className="way-label">as it is</span>
          </li>
        )}
        {found.isLoading && snag.fixes.length > 0 && (
          <li className="way way-wait faint">Trying {snag.fixes.length} on the whole page…</li>
        )}
        {ways.map((way, at) => (
          <li key={way.label} className="way" data-tried={tried === at || undefined}>
            <button
              type="button"
              className="way-take"
              onPointerEnter={() => tryOn(at)}
              onPointerLeave={() => tryOn(undefined)}
              onFocus={(event) => event.currentTarget.matches(':focus-visible') && tryOn(at)}
              onBlur={() => tryOn(undefined)}
              onClick={() => take(way)}
            >
              {drawn && (
                <Framed
                  snag={snag}
                  query={{ only: snag.piece, snag: snag.key, way: String(way.at) }}
                  title={way.label}
                />
              )}
              <span className="way-label">
                <kbd>{at + 1}</kbd> {way.label}
              </span>
            </button>
            <span className="way-changes">{way.changes.join('; ')}</span>
            <span className="way-does" data-mends={way.mends && way.brings.length === 0}>
              {way.mends ? 'mends it' : 'not at all of its widths'}
              {way.brings.length > 0 && `, but brings: ${way.brings.join('; ')}`}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Leaves a finding as it is, with a reason, until it is another. */
function Leave({ snag, left }: { readonly snag: Finding; readonly left: string | undefined }) {
  const { page, session } = useBench();
  const [because, setBecause] = useState<string>();
  const [error, setError] = useState('');
  const say = async (reason: string) => {
    try {
      const edits = await ask(
        api.GET('/api/pages/{id}/leave', {
          params: { path: { id: page.id }, query: { snag: snag.key, because: reason } },
        }),
      );
      session.edit(edits);
      setBecause(undefined);
    } catch (problem) {
      setError(problem instanceof Error ? problem.message : String(problem));
    }
  };
  if (left !== undefined) {
    return (
      <p className="ways-left">
        Left on purpose: {left}{' '}
        <button type="button" className="link" onClick={() => say('')}>
          find it again
        </button>
      </p>
    );
  }
  if (because === undefined) {
    return (
      <button type="button" className="link ways-leave" onClick={() => setBecause('')}>
        Leave it, because…
      </button>
    );
  }
  return (
    <form
      className="ways-because"
      onSubmit={(event) => {
        event.preventDefault();
        if (because.trim() !== '') void say(because);
      }}
    >
      <label>
        <span className="sr-only">Why it is left, and who says so</span>
        <input
          // biome-ignore lint/a11y/noAutofocus: it comes where the press was.
          autoFocus
          value={because}
          maxLength={200}
          placeholder="why, and who says so"
          onChange={(event) => setBecause(event.target.value)}
          onKeyDown={(event) => event.key === 'Escape' && setBecause(undefined)}
        />
      </label>
      <button type="submit" className="tape-chip" disabled={because.trim() === ''}>
        Leave it
      </button>
      {error && (
        <span role="alert" className="text-error">
          {error}
        </span>
      )}
    </form>
  );
}

interface FramedProps {
  readonly snag: Finding;
  readonly query: Readonly<Record<string, string>>;
  readonly title: string;
}

/** The piece as it is compiled, at a width at which it is found, with the item it is found of. */
function Framed({ snag, query, title }: FramedProps) {
  const { page, catalogue, width, stress } = useBench();
  const [box, size] = useSize<HTMLSpanElement>();
  const frame = useRef<HTMLIFrameElement>(null);
  const { item } = snag;
  useEffect(() => {
    const hear = ({ source, origin, data }: MessageEvent<{ type: string }>) => {
      const own = frame.current?.contentWindow;
      if (item && own && source === own && origin === catalogue.stage && data.type === 'ready')
        own.postMessage({ type: 'show', id: item }, catalogue.stage);
    };
    addEventListener('message', hear);
    return () => removeEventListener('message', hear);
  }, [item, catalogue.stage]);
  const wide = width >= snag.from && width <= snag.to ? width : snag.from;
  const scale = size.width > 0 ? size.width / wide : 0;
  const asked = new URLSearchParams({ ...query, stress, at: versionOf(page) });
  return (
    <span ref={box} className="way-frame">
      {scale > 0 && (
        <iframe
          ref={frame}
          loading="lazy"
          tabIndex={-1}
          aria-hidden="true"
          title={title}
          src={`${catalogue.stage}/api/pages/${page.id}/preview/?${asked}`}
          style={{
            width: wide,
            height: Math.ceil(size.height / scale),
            transform: `scale(${scale})`,
          }}
        />
      )}
    </span>
  );
}
