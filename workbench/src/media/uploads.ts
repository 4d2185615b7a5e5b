import { type Media, Problem, writes } from '../api/client';

/** A file on its way to the site. */
export interface Upload {
  readonly id: number;
  readonly name: string;
  readonly bytes: number;
  readonly sent: number;
  readonly state: 'waits' | 'goes' | 'done' | 'failed' | 'cancelled';
  readonly why: string;
}

/** More at once would only share the line. */
const AT_ONCE = 2;

/**
 * Files that are sent to a site, some at a time, each with its progress and a way to stop it. It
 * knows no React: `subscribe` and `snapshot` are all a view needs.
 */
export class Uploads {
  #all: readonly Upload[] = [];
  readonly #files = new Map<number, File>();
  readonly #going = new Map<number, XMLHttpRequest>();
  readonly #views = new Set<() => void>();
  readonly #done: (media: Media) => void;
  #next = 1;

  constructor(
    readonly siteId: string,
    done: (media: Media) => void,
  ) {
    this.#done = done;
  }

  snapshot = () => this.#all;
  subscribe = (view: () => void) => {
    this.#views.add(view);
    return () => {
      this.#views.delete(view);
    };
  };

  add(files: Iterable<File>) {
    for (const file of files) {
      const id = this.#next++;
      this.#files.set(id, file);
      const { name, size } = file;
      this.#all = [...this.#all, { id, name, bytes: size, sent: 0, state: 'waits', why: '' }];
    }
    this.#tell();
    this.#go();
  }

  cancel(id: number) {
    this.#going.get(id)?.abort();
    this.#set(id, { state: 'cancelled' });
    this.#going.delete(id);
    this.#go();
  }

  /** Forgets those that are over. */
  clear() {
    this.#all = this.#all.filter(({ state }) => state === 'waits' || state === 'goes');
    this.#tell();
  }

  #go() {
    for (const { id, state } of this.#all) {
      if (this.#going.size >= AT_ONCE) return;
      if (state === 'waits') this.#send(id);
    }
  }

  #send(id: number) {
    const file = this.#files.get(id);
    if (!file) return;
    const request = new XMLHttpRequest();
    this.#going.set(id, request);
    this.#set(id, { state: 'goes' });
    request.upload.onprogress = ({ loaded }) => this.#set(id, { sent: loaded });
    const over = (change: Partial<Upload>) => {
      if (!this.#going.delete(id)) return;
      this.#set(id, change);
      this.#go();
    };
    request.onload = () => {
      const reply = read(request.responseText);
      if (request.status < 300) {
        over({ state: 'done', sent: file.size });
        this.#done(reply as unknown as Media);
      } else {
        const why = new Problem(request.status, String(reply.detail ?? request.statusText)).message;
        over({ state: 'failed', why });
      }
    };
    request.onerror = () => over({ state: 'failed', why: 'The server cannot be reached.' });
    request.open('POST', `/api/sites/${this.siteId}/media`);
    for (const [name, value] of Object.entries(writes())) request.setRequestHeader(name, value);
    const body = new FormData();
    body.append('file', file);
    request.send(body);
  }

  #set(id: number, change: Partial<Upload>) {
    this.#all = this.#all.map((each) => (each.id === id ? { ...each, ...change } : each));
    this.#tell();
  }

  #tell() {
    this.#views.forEach((view) => {
      view();
    });
  }
}

function read(text: string): Record<string, unknown> {
  try {
    return JSON.parse(text) as Record<string, unknown>;
  } catch {
    return {};
  }
}
