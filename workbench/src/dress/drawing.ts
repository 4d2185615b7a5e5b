import type { RefObject } from 'react';
import { type MatchReply, sendBytes } from '../api/client';

/** The page as the script of the stage hands it over. */
interface Tree {
  readonly html: string;
  readonly css: string;
  readonly ground: string;
  readonly wide: number;
  readonly high: number;
}

/** Where a picture lies on a page, px. */
export interface Place {
  readonly wide: number;
  readonly left: number;
  readonly top: number;
}

const PATIENCE = 10_000;

/** Asks the stage for something; its answer says what it is of. */
function asked<T>(
  say: (message: unknown) => void,
  origin: string,
  message: { readonly type: string },
  answers: (told: Readonly<Record<string, unknown>>) => boolean,
): Promise<T> {
  return new Promise((done, fail) => {
    const hear = (event: MessageEvent) => {
      const told = event.data as Readonly<Record<string, unknown>> | null;
      if (event.origin !== origin || told?.type !== message.type || !answers(told)) return;
      end();
      done(told as T);
    };
    const end = () => {
      removeEventListener('message', hear);
      clearTimeout(timer);
    };
    const timer = setTimeout(() => {
      end();
      fail(new Error('The stage did not answer.'));
    }, PATIENCE);
    addEventListener('message', hear);
    say(message);
  });
}

/** The page as it stands on the stage. */
async function treeOf(say: (message: unknown) => void, origin: string): Promise<Tree> {
  const turn = Math.random();
  const message = { type: 'tree', asked: turn };
  const told = await asked<{ readonly tree: Tree }>(
    say,
    origin,
    message,
    (answer) => answer.asked === turn,
  );
  return told.tree;
}

/** Where a node stands on the page, px. */
export const whereIs = (
  say: (message: unknown) => void,
  origin: string,
  id: string,
): Promise<{ readonly left: number; readonly top: number }> =>
  asked(say, origin, { type: 'where', id } as { readonly type: string }, (told) => told.id === id);

const dataOf = async (path: string): Promise<string> => {
  const answer = await fetch(path);
  if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
  const blob = await answer.blob();
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => fail(reader.error);
    reader.readAsDataURL(blob);
  });
};

/** Texts with what they point to put in their places; what cannot be had is left as nothing. */
async function within(
  origin: string,
  page: string,
  texts: readonly string[],
  urls: RegExp,
): Promise<string[]> {
  const base = new URL(`/api/pages/${page}/preview/`, location.origin);
  const known = new Map<string, string>();
  const all = new Set(texts.flatMap((text) => [...text.matchAll(urls)].map((hit) => hit[2] ?? '')));
  await Promise.all(
    [...all]
      .filter((url) => !url.startsWith('data:') && !url.startsWith('#'))
      .map(async (url) => {
        // The stage has an origin of its own; the bench reads the same files at its own.
        // What stands elsewhere would not let itself be drawn.
        const at = URL.parse(url.replaceAll('&amp;', '&'), base);
        const ours = at?.origin === origin || at?.origin === base.origin;
        known.set(url, at && ours ? await dataOf(at.pathname).catch(() => 'data:,') : 'data:,');
      }),
  );
  return texts.map((text) =>
    text.replace(urls, (whole, before: string, url: string, after: string) => {
      const found = known.get(url);
      return found === undefined ? whole : `${before}${found}${after}`;
    }),
  );
}

const loaded = (svg: string): Promise<HTMLImageElement> =>
  new Promise((done, fail) => {
    const image = new Image();
    image.onload = () => done(image);
    image.onerror = () => fail(new Error('The page cannot be drawn.'));
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  });

const escaped = (text: string) => text.replaceAll(']]>', ']]]]><![CDATA[>');

/**
 * What the stage shows where a picture lies, in px of CSS: its tree is drawn by this browser a
 * screen at a time, so that shares of the screen are what they are on the stage.
 */
async function drawn(
  tree: Tree,
  origin: string,
  page: string,
  place: Place,
  high: number,
): Promise<Blob> {
  const [css = ''] = await within(origin, page, [tree.css], /(url\(["']?)([^"')]+)(["']?\))/g);
  const [html = ''] = await within(origin, page, [tree.html], /(<img[^>]*? src=")([^"]+)(")/g);
  const canvas = document.createElement('canvas');
  canvas.width = place.wide;
  canvas.height = high;
  const on = canvas.getContext('2d');
  if (!on) throw new Error('The page cannot be drawn.');
  on.fillStyle = tree.ground;
  on.fillRect(0, 0, place.wide, high);
  for (let from = 0; from < high; from += tree.high) {
    const image = await loaded(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${tree.wide}" height="${tree.high}">` +
        `<foreignObject x="0" y="${-(place.top + from)}" width="${tree.wide}" height="100000">` +
        `<style xmlns="http://www.w3.org/1999/xhtml"><![CDATA[${escaped(css)}]]></style>${html}` +
        '</foreignObject></svg>',
    );
    const rows = Math.min(tree.high, high - from);
    on.save();
    on.beginPath();
    on.rect(0, from, place.wide, rows);
    on.clip();
    on.drawImage(image, -place.left, from);
    on.restore();
  }
  return new Promise((done, fail) =>
    canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('The page cannot be drawn.')))),
  );
}

/** How much the stage is like the picture of a band. */
export async function matched(
  toStage: RefObject<(message: unknown) => void>,
  origin: string,
  page: string,
  band: string,
  place: Place,
  high: number,
): Promise<MatchReply> {
  const tree = await treeOf(toStage.current, origin);
  const body = await drawn(tree, origin, page, place, high);
  return sendBytes(`/api/pages/${page}/match?band=${encodeURIComponent(band)}`, body);
}
