import type { EditBody } from '../api/client';

/** What is done on the server: edits as one step, or a step back or forward. */
export type Doing = readonly EditBody[] | 'undo' | 'redo';

/** What waits to be done, in order. Its key is its own: sent twice, it happens once. */
export interface Job {
  readonly key: string;
  readonly doing: Doing;
}
