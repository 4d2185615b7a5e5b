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

export interface Snapshot {
  readonly page: PageReply;
  readonly save: SaveState;
  /** Reasons of values that were refused, by path; the value stays in its cell. */
  readonly refused: Readonly<Record<string, { readonly value: string; readonly why: string }>>;
}

/** Where a value stands, as one word. */
export const pathOf = (node: string, setting: string, band = '') => `${node}/${setting}/${band}`;

const RETRY_MS = 2000;

/**
 * One page being edited. Edits go out one after the other; until the server has acknowledged them
 * they are kept in the browser, so that nothing is lost when it cannot be reached or the tab is
 * closed. It knows no React: `subscribe` and `snapshot` are all a view needs.
 */
export class Session {
  #page: PageReply;
  #save: SaveState = { kind: 'saved' };
  #refused: Record<string, { value: string; why: string }> = {};
  #queue: EditBody[][] = [];
  #busy = false;
  #snapshot: Snapshot;
  readonly #views = new Set<() => void>();
  readonly #stages = new Set<(swap: Swap) => void>();
  readonly #store: string;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(page: PageReply) {
    this.#page = page;
    this.#store = `giostra.kept.${page.id}`;
    this.#snapshot = this.#compose();
    const kept = localStorage.getItem(this.#store);
    if (kept) {
      this.#queue = JSON.parse(kept) as EditBody[][];
      void this.#send();
    }
  }

  snapshot = () => this.#snapshot;
  subscribe = (view: () => void) => {
    this.#views.add(view);
    return () => {
      this.#views.delete(view);
    };
  };
  /** Tells a stage what to change, each time something did. */
  onSwap(stage: (swap: Swap) => void) {
    this.#stages.add(stage);
    return () => {
      this.#stages.delete(stage);
    };
  }

  /** Sends edits, or keeps them until they can be sent. */
  edit(edits: readonly EditBody[]) {
    if (edits.length === 0) return;
    for (const edit of edits) {
      if (edit.type === 'SetValue') {
        delete this.#refused[pathOf(edit.node ?? '', edit.setting ?? '', edit.band ?? '')];
      }
    }
    this.#queue.push([...edits]);
    this.#keep();
    void this.#send();
  }

  set(node: string, setting: string, band: string, value: unknown) {
    this.edit([{ type: 'SetValue', node, setting, band, value: value as EditBody['value'] }]);
  }

  undo = () => this.#step('/api/pages/{id}/undo');
  redo = () => this.#step('/api/pages/{id}/redo');

  /** After a conflict: puts our edits on top of the newer document, or lets them go. */
  resolve(mine: boolean) {
    if (this.#save.kind !== 'conflict') return;
    this.#page = this.#save.newer;
    if (!mine) this.#queue.shift();
    this.#keep();
    this.#set({ kind: 'saved' });
    void this.reload();
    void this.#send();
  }

  /** After a refusal of something that has no cell of its own. */
  dismiss() {
    this.#set({ kind: 'saved' });
    void this.#send();
  }

  async reload() {
    const page = await ask(api.GET('/api/pages/{id}', { params: { path: { id: this.#page.id } } }));
    this.#page = page;
    this.#tell();
    this.#stages.forEach((stage) => {
      stage({ css: '' });
    });
  }

  async #step(path: '/api/pages/{id}/undo' | '/api/pages/{id}/redo') {
    if (this.#busy || this.#queue.length > 0) return;
    this.#busy = true;
    try {
      this.#took(await ask(api.POST(path, { params: { path: { id: this.#page.id } } })));
      this.#set({ kind: 'saved' });
    } catch (problem) {
      if (problem instanceof Problem && problem.status === 0)
        this.#set({ kind: 'offline', kept: 0 });
    } finally {
      this.#busy = false;
    }
  }

  async #send() {
    if (this.#busy || this.#save.kind === 'conflict') return;
    this.#busy = true;
    clearTimeout(this.#timer);
    while (this.#queue.length > 0) {
      const edits = this.#queue[0] as EditBody[];
      if (this.#save.kind !== 'offline') this.#set({ kind: 'saving' });
      try {
        this.#took(
          await ask(
            api.POST('/api/pages/{id}/edits', {
              params: { path: { id: this.#page.id } },
              body: { revision: this.#page.revision, edits },
            }),
          ),
        );
        this.#queue.shift();
        this.#keep();
        this.#set({ kind: 'saved' });
      } catch (problem) {
        if (!(problem instanceof Problem)) throw problem;
        if (!this.#failed(problem, edits)) break;
      }
    }
    this.#busy = false;
  }

  /** @returns whether to go on with the next edits */
  #failed(problem: Problem, edits: EditBody[]): boolean {
    if (problem.status === 0 || problem.status >= 500) {
      this.#set({ kind: 'offline', kept: this.#queue.length });
      this.#timer = setTimeout(() => void this.#send(), RETRY_MS);
      return false;
    }
    if (problem.status === 409) {
      const newer: PageReply = {
        ...this.#page,
        revision: problem.body.revision as number,
        document: problem.body.document as PageReply['document'],
      };
      this.#set({ kind: 'conflict', edits, newer, why: problem.message });
      return false;
    }
    this.#queue.shift();
    this.#keep();
    const [only] = edits;
    if (only?.type === 'SetValue' && edits.length === 1) {
      const path = pathOf(only.node ?? '', only.setting ?? '', only.band ?? '');
      this.#refused[path] = { value: String(only.value), why: problem.message };
      this.#set({ kind: 'saved' });
    } else {
      this.#set({ kind: 'refused', edits, why: problem.message });
    }
    return true;
  }

  #took(change: ChangeReply) {
    this.#page = change.page;
    this.#tell();
    this.#stages.forEach((stage) => {
      stage(change.stage);
    });
  }

  #keep() {
    if (this.#queue.length > 0) localStorage.setItem(this.#store, JSON.stringify(this.#queue));
    else localStorage.removeItem(this.#store);
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
    for (const edit of this.#queue.flat()) {
      if (edit.type === 'SetValue' && valueAt(document, edit) !== edit.value) {
        document = withValue(document, edit);
      }
    }
    return { page: { ...this.#page, document }, save: this.#save, refused: { ...this.#refused } };
  }
}
