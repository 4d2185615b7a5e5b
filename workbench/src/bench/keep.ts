import type { Job } from './session';

const PREFIX = 'giostra.kept';

/**
 * Keeps in the browser what the server has not got yet: a list for each tab. A tab holds a lock of
 * its own for as long as it lives, so another one knows whose list was left behind.
 */
export class Keep {
  readonly #page: string;
  readonly #key: string;

  constructor(page: string) {
    this.#page = `${PREFIX}.${page}.`;
    this.#key = this.#page + crypto.randomUUID();
    void navigator.locks.request(this.#key, () => new Promise(() => {}));
  }

  put(jobs: readonly Job[]) {
    if (jobs.length > 0) localStorage.setItem(this.#key, JSON.stringify(jobs));
    else localStorage.removeItem(this.#key);
  }

  /** What tabs that are gone have left for this page, taken over. */
  async adopt(): Promise<Job[]> {
    const jobs: Job[] = [];
    for (const key of Object.keys(localStorage)) {
      if (!key.startsWith(this.#page) || key === this.#key) continue;
      await navigator.locks.request(key, { ifAvailable: true }, (lock) => {
        const left = lock && localStorage.getItem(key);
        if (!left) return;
        jobs.push(...(JSON.parse(left) as Job[]));
        localStorage.removeItem(key);
      });
    }
    return jobs;
  }
}
