import {
  api,
  ask,
  type ChangeReply,
  type EditBody,
  type PageReply,
  Problem,
  type Swap,
} from '../api/client';
import { valueAt, withValue } from './document';
import { Keep } from './keep';

/** How things stand between what is on the screen and what the server has. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'offline'; readonly kept: number }
  | {
      readonly kind: 'conflict';
      readonly edits: readonly EditBody[];
      readonly newer: PageReply;
      readonly why: string;
    }
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

/** What waits to be done on the server, in order. */
export type Job = readonly EditBody[] | 'undo' | 'redo';

/** Where a value stands, as one word. */
export const pathOf = (node: string, setting: string, band = '') => `${node}/${setting}/${band}`;

const RETRY_MS = 2000;

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
    return () => clearTimeout(this.#timer);
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
      if (edit.type === 'SetValue') {
        delete this.#refused[pathOf(edit.node ?? '', edit.setting ?? '', edit.band ?? '')];
      }
    }
    this.#add(edits);
  }

  set(node: string, setting: string, band: string, value: unknown) {
    this.edit([{ type: 'SetValue', node, setting, band, value: value as EditBody['value'] }]);
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

  undo = () => this.#add('undo');
  redo = () => this.#add('redo');

  /** After a conflict: puts our edits on top of the newer document, or lets them go. */
  resolve(mine: boolean) {
    if (this.#save.kind !== 'conflict') return;
    this.#page = this.#save.newer;
    if (!mine) this.#queue.shift();
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
    if (this.#busy || this.#save.kind === 'conflict') return;
    this.#busy = true;
    clearTimeout(this.#timer);
    for (let job = this.#queue[0]; job !== undefined; job = this.#queue[0]) {
      if (this.#save.kind === 'saved') this.#set({ kind: 'saving' });
      try {
        const change = await this.#post(job);
        this.#queue.shift();
        this.#took(change);
        // The stage may share our thread: it goes first.
        await new Promise((next) => setTimeout(next));
        if (this.#save.kind !== 'refused') this.#save = { kind: 'saved' };
        this.#kept();
      } catch (problem) {
        if (!(problem instanceof Problem)) throw problem;
        if (!this.#failed(problem, job)) break;
      }
    }
    this.#busy = false;
  }

  #post(job: Job): Promise<ChangeReply> {
    const params = { path: { id: this.#page.id } };
    if (job === 'undo') return ask(api.POST('/api/pages/{id}/undo', { params }));
    if (job === 'redo') return ask(api.POST('/api/pages/{id}/redo', { params }));
    const body = { revision: this.#page.revision, edits: [...job] };
    return ask(api.POST('/api/pages/{id}/edits', { params, body }));
  }

  /** @returns whether to go on with the next job */
  #failed(problem: Problem, job: Job): boolean {
    if (problem.status === 0 || problem.status >= 500) {
      this.#set({ kind: 'offline', kept: this.#queue.length });
      this.#timer = setTimeout(() => void this.#send(), RETRY_MS);
      return false;
    }
    if (problem.status === 409 && job !== 'undo' && job !== 'redo') {
      const newer: PageReply = {
        ...this.#page,
        revision: problem.body.revision as number,
        document: problem.body.document as PageReply['document'],
      };
      this.#set({ kind: 'conflict', edits: job, newer, why: problem.message });
      return false;
    }
    this.#queue.shift();
    const edits = job === 'undo' || job === 'redo' ? [] : job;
    const [only] = edits;
    if (only?.type === 'SetValue' && edits.length === 1) {
      const path = pathOf(only.node ?? '', only.setting ?? '', only.band ?? '');
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
    this.#page = change.page;
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
    for (const job of this.#queue) {
      if (job === 'undo' || job === 'redo') continue;
      for (const edit of job) {
        if (edit.type === 'SetValue' && valueAt(document, edit) !== edit.value) {
          document = withValue(document, edit);
        }
      }
    }
    return { page: { ...this.#page, document }, save: this.#save, refused: { ...this.#refused } };
  }
}
