import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
export type PageReply = Schemas['PageReply'];
export type CellsReply = Schemas['CellsReply'];
export type NodeBody = Schemas['NodeBody'];
export type DocumentBody = Schemas['DocumentBody'];
export type EditBody = Schemas['EditBody'];
export type ChangeReply = Schemas['ChangeReply'];
export type Swap = Schemas['Swap'];
export type Sheet = Schemas['Sheet'];
export type Board = Schemas['Board'];
export type MatchReply = Schemas['MatchReply'];
export type PartReply = Schemas['PartReply'];
export type Tone = Schemas['ToneReply'];
export type Wardrobe = Schemas['WardrobeReply'];
export type Hanger = Schemas['HangerReply'];
export type Cell = Schemas['Cell'];
export type Plot = Schemas['Plot'];
export type Finding = Schemas['Finding'];
export type Strip = Schemas['StripReply'];
export type Proved = Schemas['ProvedReply'];
export type WayOut = Schemas['WayOutReply'];
export type Cost = Schemas['CostReply'];
export type Kept = Schemas['KeptReply'];
export type Cycle = Schemas['CycleReply'];
export type Stretch = Schemas['StretchReply'];
export type Way = Schemas['WayReply'];
export type Act = Schemas['ActBody'];
export type Calendar = Schemas['CalendarReply'];
export type SeasonsReply = Schemas['SeasonsReply'];
export type SnippetTaken = Schemas['SnippetTaken'];
export type TokensReply = Schemas['TokensReply'];
export type CategoryChange =
  paths['/api/pages/{id}/categories/edits']['get']['parameters']['query']['change'];
export type Catalogue = Schemas['CatalogueReply'];
export type SettingReply = Schemas['SettingReply'];
export type Starter = Schemas['StarterReply'];
export type Media = Schemas['Media'];
export type Intake = Schemas['IntakeReply'];
export type LeftRow = Schemas['LeftRow'];
export type Refill = Schemas['RefillReply'];
export type LibraryItem = Schemas['LibraryItem'];
export type SaidOfMedia = Schemas['Said'];
export type SpriteReply = Schemas['SpriteReply'];
export type Embed = Schemas['EmbedReply'];
export type Icon = Schemas['Icon'];
export type OwnPage = Schemas['OwnPageReply'];
export type Release = Schemas['Release'];
export type Destination = Schemas['DestinationLine'];
export type DestinationAsked = Schemas['DestinationAsked'];
export type ShelfReply = Schemas['ShelfReply'];
export type Was = Schemas['WasReply'];
export type Me = Schemas['MeReply'];
export type TokenLine = Schemas['TokenLine'];
export type PasskeyLine = Schemas['PasskeyLine'];
export type SessionLine = Schemas['SessionLine'];
export type PartLine = Schemas['PartLine'];
export type Invited = Schemas['Invited'];
export type Remark = Schemas['RemarkLine'];
export type ReviewLink = Schemas['LinkLine'];
export type Reviewed = Schemas['Reviewed'];

let form = '';

/** What tells the server that the bench asks, and no other page: no other page can read it. */
export const writes = () => ({ 'Giostra-Form': form });

/** Heard by the window when nobody is in any more, and when somebody is again. */
export const SIGNED_OUT = 'giostra:signed-out';
export const SIGNED_IN = 'giostra:signed-in';

export const api = createClient<paths>({ baseUrl: '' });
api.use({
  onRequest({ request }) {
    for (const [name, value] of Object.entries(writes())) request.headers.set(name, value);
    return request;
  },
  onResponse({ response }) {
    if (response.status === 401) dispatchEvent(new Event(SIGNED_OUT));
    // What the page knew holds no longer, perhaps since nobody is in.
    if (response.status === 403) void askedAgain();
  },
});

async function askedAgain() {
  const me = await whoIsIn().catch(() => undefined);
  if (me && !me.in) dispatchEvent(new Event(SIGNED_OUT));
}

/** Who is in, if anybody is. */
export async function whoIsIn(): Promise<Me> {
  const me = await ask(api.GET('/api/me'));
  form = me.form;
  return me;
}

/** A problem as the server tells it (RFC 9457), or what kept us from reaching it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: Readonly<Record<string, unknown>> = {},
    /** Seconds after which the same works, where the server says so; else 0. */
    readonly wait = 0,
  ) {
    super(message);
  }
}

interface Answer<T> {
  readonly data?: T;
  readonly error?: unknown;
  readonly response: Response;
}

/** The data of an answer, or a Problem. A network that is away is a Problem of status 0. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new Problem(0, 'The server cannot be reached.');
  }
  if (answer.response.ok) return answer.data as T;
  const body = (answer.error ?? {}) as Record<string, unknown>;
  throw new Problem(
    answer.response.status,
    String(body.detail ?? body.title ?? answer.response.statusText),
    body,
    Number(answer.response.headers.get('Retry-After')) || 0,
  );
}

/**
 * Sends bytes; the answer is the server's, or a Problem.
 *
 * @param called what a problem is said of
 */
export async function sendBytes<T>(path: string, body: Blob | FormData, called = ''): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(path, { method: 'POST', headers: writes(), body });
  } catch {
    throw new Problem(0, 'The server cannot be reached.');
  }
  const reply = (await answer.json().catch(() => ({}))) as Record<string, unknown>;
  if (!answer.ok) {
    if (answer.status === 401 || answer.status === 403) void askedAgain();
    const why = String(reply.detail ?? answer.statusText);
    throw new Problem(answer.status, called === '' ? why : `${called}: ${why}`);
  }
  return reply as T;
}

/** Sends a file in a form. */
export function send<T>(path: string, file: File): Promise<T> {
  const body = new FormData();
  body.append('file', file);
  return sendBytes(path, body, file.name);
}
