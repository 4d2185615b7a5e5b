import type { Doing, Job } from './job';

const PREFIX = 'giostra.kept';

/** What an earlier version left has no keys yet; what is no list of jobs is not taken. */
function read(left: string): Job[] {
  try {
    const all = JSON.parse(left) as readonly (Job | Doing)[];
    return all.map((each) =>
      typeof each === 'string' || Array.isArray(each)
        ? { key: crypto.randomUUID(), doing: each as Doing }
        : (each as Job),
    );
  } catch {
    return [];
  }
}

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

  /** Where the browser has no room for them they are sent all the same, but not kept meanwhile. */
  put(jobs: readonly Job[]) {
    try {
      if (jobs.length > 0) localStorage.setItem(this.#key, JSON.stringify(jobs));
      else localStorage.removeItem(this.#key);
    } catch {
      localStorage.removeItem(this.#key);
    }
  }

  /** What tabs that are gone have left for this page, taken over. */
  async adopt(): Promise<Job[]> {
    const jobs: Job[] = [];
    for (const key of Object.keys(localStorage)) {
      if (!key.startsWith(this.#page) || key === this.#key) continue;
      await navigator.locks.request(key, { ifAvailable: true }, (lock) => {
        const left = lock && localStorage.getItem(key);
        if (!left) return;
        jobs.push(...read(left));
        localStorage.removeItem(key);
      });
    }
    return jobs;
  }
}
