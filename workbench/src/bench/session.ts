import {
  api,
  ask,
  type ChangeReply,
  type EditBody,
  type PageReply,
  Problem,
  SIGNED_IN,
  type Swap,
} from '../api/client';
import { valueAt, withNodes } from './document';
import type { Doing, Job } from './job';
import { Keep } from './keep';
import { type Key, keyOf, setting, withValue } from './keys';

/** How things stand between what is on the screen and what the server has. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'offline'; readonly kept: number }
  /** The server was reached, and says when to come back. */
  | { readonly kind: 'waiting'; readonly kept: number; readonly why: string }
  /** The server was reached, and failed at it each time. */
  | { readonly kind: 'failed'; readonly kept: number; readonly why: string }
  | {
      readonly kind: 'conflict';
      readonly edits: readonly EditBody[];
      readonly newer: PageReply;
      readonly why: string;
    }
  /** An undo or redo that others have overtaken; the page is shown as they left it. */
  | { readonly kind: 'overtaken'; readonly why: string }
  | { readonly kind: 'refused'; readonly edits: readonly EditBody[]; readonly why: string };

/** A value that was refused, as it was typed, with the reason. */
export interface Refusal {
  readonly value: string;
  readonly why: string;
}

export interface Snapshot {
  readonly page: PageReply;
  readonly save: SaveState;
  /** By path; the value stays where it was typed. */
  readonly refused: Readonly<Record<string, Refusal>>;
}

/** Where a value stands, as one word. */
export const pathOf = (node: string, key: Key, band = '') => `${node}/${key}/${band}`;

/** Between two tries to reach the server: longer each time, and never quite the same. */
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;

/** The server's own failures at one job, after which somebody is asked. */
const MOST_FAILURES = 3;

/** What gateways and a server without its database say: it was not reached. */
const AWAY = new Set([0, 401, 403, 502, 503, 504]);

/**
 * One page being edited. Jobs go out one after the other; until the server has acknowledged them
 * they are kept in the browser, so that nothing is lost when it cannot be reached or the tab is
 * closed. It knows no React: `subscribe` and `snapshot` are all a view needs.
 */
export class Session {
  #page: PageReply;
  #save: SaveState = { kind: 'saved' };
  #refused: Record<string, Refusal> = {};
  #queue: Job[] = [];
  #busy = false;
  #snapshot: Snapshot;
  readonly #views = new Set<() => void>();
  readonly #stages = new Set<(swap: Swap | 'reload') => void>();
  readonly #keep: Keep;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #retryMs = FIRST_RETRY_MS;
  #failures = 0;
  /** The revisions that others have told of, of the page and of its site. */
  #heard: readonly [number, number] = [0, 0];
  #missed = false;
  #following = false;

  constructor(page: PageReply) {
    this.#page = page;
    this.#keep = new Keep(page.id);
    this.#snapshot = this.#compose();
  }

  /** Takes up what an earlier tab could not send. @returns lets go */
  start() {
    void this.#keep.adopt().then((jobs) => {
      if (jobs.length > 0) this.#add(...jobs);
    });
    const back = () => this.#soon(0);
    addEventListener('online', back);
    addEventListener(SIGNED_IN, back);
    return () => {
      removeEventListener('online', back);
      removeEventListener(SIGNED_IN, back);
      clearTimeout(this.#timer);
    };
  }

  snapshot = () => this.#snapshot;
  subscribe = (view: () => void) => {
    this.#views.add(view);
    return () => {
      this.#views.delete(view);
    };
  };
  /** Tells a stage what to change, each time something did. */
  onSwap(stage: (swap: Swap | 'reload') => void) {
    this.#stages.add(stage);
    return () => {
      this.#stages.delete(stage);
    };
  }

  /** Sends edits as one step of undo, or keeps them until they can be sent. */
  edit(edits: readonly EditBody[]) {
    if (edits.length === 0) return;
    for (const edit of edits) {
      const key = keyOf(edit);
      if (key) delete this.#refused[pathOf(edit.node ?? '', key, edit.band ?? '')];
    }
    this.#do(edits);
  }

  set(node: string, key: Key, band: string, value: unknown) {
    this.edit([setting(node, key, band, value)]);
  }

  /** Waits until the server has all that was done; throws where it cannot be told now. */
  async settled() {
    while (this.#save.kind === 'saving') {
      await new Promise<void>((next) => {
        const done = this.subscribe(() => {
          done();
          next();
        });
      });
    }
    if (this.#queue.length > 0) throw new Problem(0, 'What was done before is not saved yet.');
  }

  /** Forgets a refused value, and shows again what stood there. */
  forget(path: string) {
    delete this.#refused[path];
    this.#tell();
  }

  /** Takes the page as the server has it, after something else than an edit of ours changed it. */
  async refresh() {
    const page = await ask(api.GET('/api/pages/{id}', { params: { path: { id: this.#page.id } } }));
    this.#page = page;
    this.#show('reload');
    this.#tell();
  }

  /** Others have brought the page so far. */
  heard(revision: number, siteRevision: number) {
    this.#heard = [Math.max(revision, this.#heard[0]), Math.max(siteRevision, this.#heard[1])];
    this.#followSoon();
  }

  /** Takes over what others have changed since; not before what was done here is acknowledged. */
  catchUp() {
    this.#missed = true;
    this.#followSoon();
  }

  #followSoon() {
    if (!this.#busy && this.#queue.length === 0) void this.#follow();
  }

  /** Whether there may be something that is not here: what is heard of may be what was done here. */
  #behind() {
    const { revision, siteRevision } = this.#page;
    return this.#missed || this.#heard[0] > revision || this.#heard[1] > siteRevision;
  }

  async #follow() {
    if (this.#save.kind === 'conflict' || this.#following) return;
    this.#following = true;
    try {
      while (this.#behind() && this.#queue.length === 0) {
        this.#missed = false;
        const had = this.#has();
        const params = { path: { id: this.#page.id }, query: { has: had } };
        const change = await ask(api.GET('/api/pages/{id}/changes', { params }));
        // An edit of ours that was answered meanwhile has brought all of it along.
        if (this.#has() !== had || this.#queue.length > 0) continue;
        if (`${change.page.revision}.${change.page.siteRevision}` === had) {
          // What was heard of is of a page that is another since.
          this.#heard = [0, 0];
          continue;
        }
        this.#took(change);
        this.#tell();
      }
    } catch {
      // Whoever cannot be reached now is asked again when something else is heard.
      this.#missed = true;
    } finally {
      this.#following = false;
    }
  }

  #has = () => `${this.#page.revision}.${this.#page.siteRevision}`;

  undo = () => this.#do('undo');
  redo = () => this.#do('redo');

  #do(doing: Doing) {
    this.#add({ key: crypto.randomUUID(), doing });
  }

  /** After the server failed at the first job: once more, or without it. */
  again(without: boolean) {
    if (this.#save.kind !== 'failed') return;
    if (without) this.#queue.shift();
    this.#failures = 0;
    this.#save = { kind: this.#queue.length > 0 ? 'saving' : 'saved' };
    this.#kept();
    void this.#send();
  }

  /** After a conflict: puts our edits on top of the newer document, or lets them go. */
  resolve(mine: boolean) {
    if (this.#save.kind !== 'conflict') return;
    this.#page = this.#save.newer;
    const [job, ...rest] = this.#queue;
    // On the newer document it is another change than the one that was sent.
    if (job && mine) this.#queue = [{ ...job, key: crypto.randomUUID() }, ...rest];
    else this.#queue.shift();
    this.#set({ kind: 'saved' });
    this.#kept();
    this.#show('reload');
    void this.#send();
  }

  /** After a refusal of something that has no cell of its own. */
  dismiss() {
    this.#set({ kind: 'saved' });
  }

  #add(...jobs: Job[]) {
    this.#queue.push(...jobs);
    if (this.#save.kind === 'saved') this.#save = { kind: 'saving' };
    this.#kept();
    void this.#send();
  }

  async #send() {
    if (this.#busy || this.#save.kind === 'conflict' || this.#save.kind === 'failed') return;
    this.#busy = true;
    clearTimeout(this.#timer);
    try {
      for (let job = this.#queue[0]; job !== undefined; job = this.#queue[0]) {
        if (this.#save.kind === 'saved') this.#set({ kind: 'saving' });
        if (!(await this.#try(job))) break;
      }
    } finally {
      this.#busy = false;
    }
    if (this.#behind()) this.#followSoon();
  }

  /** @returns whether to go on with the next job */
  async #try(job: Job): Promise<boolean> {
    let change: ChangeReply;
    try {
      change = await this.#post(job);
    } catch (problem) {
      // Whatever is thrown that is no answer of the server's is a failure like any other.
      return this.#failed(
        problem instanceof Problem ? problem : new Problem(500, String(problem)),
        job,
      );
    }
    this.#queue.shift();
    this.#retryMs = FIRST_RETRY_MS;
    this.#failures = 0;
    this.#took(change);
    // The stage may share our thread: it goes first.
    await new Promise((next) => setTimeout(next));
    if (this.#save.kind !== 'refused' && this.#save.kind !== 'overtaken') {
      this.#save = { kind: 'saved' };
    }
    this.#kept();
    return true;
  }

  #post({ key, doing }: Job): Promise<ChangeReply> {
    const { id, revision, siteRevision } = this.#page;
    // What we have need not be sent to us again.
    const params = { path: { id }, query: { has: this.#has() } };
    if (doing === 'undo') return ask(api.POST('/api/pages/{id}/undo', { params, body: { key } }));
    if (doing === 'redo') return ask(api.POST('/api/pages/{id}/redo', { params, body: { key } }));
    const body = { revision, siteRevision, key, edits: [...doing] };
    return ask(api.POST('/api/pages/{id}/edits', { params, body }));
  }

  #soon(ms: number) {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), ms);
  }

  /** @returns whether to go on with the next job */
  #failed(problem: Problem, job: Job): boolean {
    if (AWAY.has(problem.status) && problem.body.needs !== 'role') {
      const kept = this.#queue.length;
      this.#set(
        problem.wait > 0
          ? { kind: 'waiting', kept, why: problem.message }
          : { kind: 'offline', kept },
      );
      // Many who were told the same time do not all come at it.
      this.#soon(Math.max(this.#retryMs, problem.wait * 1000) * (0.75 + Math.random() / 2));
      this.#retryMs = Math.min(this.#retryMs * 2, LONGEST_RETRY_MS);
      return false;
    }
    if (problem.status >= 500) {
      // It may be this very job that the server fails at: it is not tried for ever.
      if (++this.#failures < MOST_FAILURES) this.#soon(this.#retryMs * this.#failures);
      else this.#set({ kind: 'failed', kept: this.#queue.length, why: problem.message });
      return false;
    }
    const { doing } = job;
    if (problem.status === 409) {
      const newer: PageReply = {
        ...this.#page,
        revision: problem.body.revision as number,
        siteRevision: problem.body.siteRevision as number,
        document: problem.body.document as PageReply['document'],
      };
      if (doing !== 'undo' && doing !== 'redo') {
        this.#set({ kind: 'conflict', edits: doing, newer, why: problem.message });
        return false;
      }
      this.#queue.shift();
      this.#page = newer;
      this.#show('reload');
      this.#set({ kind: 'overtaken', why: problem.message });
      this.#kept();
      return true;
    }
    this.#queue.shift();
    const edits = doing === 'undo' || doing === 'redo' ? [] : doing;
    const [only] = edits;
    const key = only && keyOf(only);
    if (only && key && edits.length === 1) {
      const path = pathOf(only.node ?? '', key, only.band ?? '');
      this.#refused[path] = { value: String(only.value), why: problem.message };
      this.#set({ kind: 'saved' });
    } else if (edits.length > 0) {
      this.#set({ kind: 'refused', edits, why: problem.message });
    } else {
      this.#set({ kind: 'saved' });
    }
    this.#kept();
    return true;
  }

  #took(change: ChangeReply) {
    const { nodes, document, ...head } = change.page;
    const had = this.#page.document;
    this.#page = { ...head, document: document ?? withNodes(had, nodes ?? []) };
    this.#show(change.stage);
  }

  #show(swap: Swap | 'reload') {
    this.#stages.forEach((stage) => {
      stage(swap);
    });
  }

  #kept() {
    this.#keep.put(this.#queue);
    this.#tell();
  }

  #set(save: SaveState) {
    this.#save = save;
    this.#tell();
  }

  #tell() {
    this.#snapshot = this.#compose();
    this.#views.forEach((view) => {
      view();
    });
  }

  /** What is on its way is shown as if it had arrived. */
  #compose(): Snapshot {
    let document = this.#page.document;
    for (const { doing } of this.#queue) {
      if (doing === 'undo' || doing === 'redo') continue;
      for (const edit of doing) {
        if (keyOf(edit) && valueAt(document, edit) !== edit.value) {
          document = withValue(document, edit);
        }
      }
    }
    return { page: { ...this.#page, document }, save: this.#save, refused: { ...this.#refused } };
  }
}
