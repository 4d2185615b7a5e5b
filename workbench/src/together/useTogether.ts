import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { SIGNED_IN, writes } from '../api/client';
import type { Session } from '../bench/session';

/** Somebody else's window on the same page. */
export interface Other {
  readonly window: string;
  readonly person: string;
  readonly name: string;
  /** What is chosen in it. */
  readonly node: string;
  /** Path of the value that is being typed; empty for none. */
  readonly path: string;
}

interface Changed {
  /** The page that it was made from; a change of the site is told on all its pages. */
  readonly page: string;
  readonly revision: number;
  readonly siteRevision: number;
}

const HERE_MS = 15_000;
const SETTLES_MS = 150;
/** Whoever was turned away asks again, each a while later than the others. */
const AGAIN_MS = 5_000;

/** Drawn once: a window keeps its name while it is open. */
const own = crypto.randomUUID();

const say = (page: string, node: string, path: string, gone: boolean) =>
  fetch(`/api/pages/${page}/here`, {
    method: 'POST',
    keepalive: true,
    headers: { 'Content-Type': 'application/json', ...writes() },
    body: JSON.stringify({ window: own, node, path, gone }),
  }).catch(() => undefined);

/** The value that a field on the page is of. */
function pathAt(target: EventTarget | null, chosen: string): string {
  if (!(target instanceof HTMLElement)) return '';
  if (!target.matches('input, textarea, [contenteditable="true"]')) return '';
  const cell = target.closest<HTMLElement>('[data-path]')?.dataset.path;
  const setting = target.closest<HTMLElement>('[data-setting]')?.dataset.setting;
  return cell ?? (setting ? `${chosen}/${setting}/` : '');
}

/**
 * What others do on the page. It is heard while the page is in view: a browser has few connections
 * to a server, and what was missed is caught up with when one comes back.
 *
 * @param chosen id of the node that is chosen here
 * @returns the windows of others
 */
export function useTogether(session: Session, page: string, chosen: string): readonly Other[] {
  const queries = useQueryClient();
  const [others, setOthers] = useState<readonly Other[]>([]);
  const where = useRef({ node: chosen, path: '' });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const told = useCallback(
    (ms: number) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        const { node, path } = where.current;
        if (document.visibilityState === 'visible') void say(page, node, path, false);
      }, ms);
    },
    [page],
  );
  useEffect(() => {
    where.current = { node: chosen, path: pathAt(document.activeElement, chosen) };
    told(SETTLES_MS);
  }, [chosen, told]);
  useEffect(() => {
    const typing = () => {
      const path = pathAt(document.activeElement, where.current.node);
      if (path === where.current.path) return;
      where.current = { ...where.current, path };
      told(SETTLES_MS);
    };
    // The focus is nowhere for a moment on its way.
    const left = () => setTimeout(typing);
    addEventListener('focusin', typing);
    addEventListener('focusout', left);
    const again = setInterval(() => told(0), HERE_MS);
    return () => {
      removeEventListener('focusin', typing);
      removeEventListener('focusout', left);
      clearInterval(again);
    };
  }, [told]);
  useEffect(() => {
    let source: EventSource | undefined;
    let later: ReturnType<typeof setTimeout> | undefined;
    const listen = () => {
      clearTimeout(later);
      source?.close();
      source = undefined;
      if (document.visibilityState !== 'visible') {
        void say(page, '', '', true);
        return;
      }
      told(0);
      source = new EventSource(`/api/pages/${page}/events`);
      // What happened while nobody listened is caught up with.
      source.onopen = () => session.catchUp();
      // A browser asks again by itself where a connection breaks, but not where it is answered with
      // an error: by a server that has too much to do, or whose database is away.
      source.onerror = () => {
        if (source?.readyState !== EventSource.CLOSED) return;
        clearTimeout(later);
        later = setTimeout(listen, AGAIN_MS * (1 + Math.random()));
      };
      source.addEventListener('missed', () => session.catchUp());
      source.addEventListener('changed', ({ data }) => {
        const { page: from, revision, siteRevision } = JSON.parse(data) as Changed;
        session.heard(from === page ? revision : 0, siteRevision);
      });
      source.addEventListener('remarked', () => {
        void queries.invalidateQueries({ queryKey: ['remarks', page] });
      });
      source.addEventListener('here', ({ data }) => {
        const all = JSON.parse(data) as Other[];
        setOthers(all.filter((each) => each.window !== own));
      });
    };
    const leave = () => void say(page, '', '', true);
    listen();
    addEventListener('visibilitychange', listen);
    addEventListener(SIGNED_IN, listen);
    addEventListener('pagehide', leave);
    return () => {
      clearTimeout(later);
      source?.close();
      leave();
      removeEventListener('visibilitychange', listen);
      removeEventListener(SIGNED_IN, listen);
      removeEventListener('pagehide', leave);
    };
  }, [session, page, queries, told]);
  return others;
}
