import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
export type PageReply = Schemas['PageReply'];
export type NodeBody = Schemas['NodeBody'];
export type DocumentBody = Schemas['DocumentBody'];
export type EditBody = Schemas['EditBody'];
export type ChangeReply = Schemas['ChangeReply'];
export type Swap = Schemas['Swap'];
export type Sheet = Schemas['Sheet'];
export type SheetRow = Schemas['Row'];
export type Cell = Schemas['Cell'];
export type Plot = Schemas['Plot'];
export type Finding = Schemas['Finding'];
export type Kept = Schemas['KeptReply'];
export type CategoryChange =
  paths['/api/pages/{id}/categories/edits']['get']['parameters']['query']['change'];
export type Catalogue = Schemas['CatalogueReply'];
export type SettingReply = Schemas['SettingReply'];
export type Starter = Schemas['StarterReply'];
export type Media = Schemas['Media'];
export type Icon = Schemas['Icon'];
export type Release = Schemas['Release'];
export type ShelfReply = Schemas['ShelfReply'];

export const api = createClient<paths>({ baseUrl: '' });

/** A problem as the server tells it (RFC 9457), or what kept us from reaching it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: Readonly<Record<string, unknown>> = {},
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
  );
}
