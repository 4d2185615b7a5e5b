import type { NodeBody } from '../api/client';

/** Where something is put in: among whose children, and at which place. */
export interface Gap {
  readonly parent: NodeBody;
  readonly index: number;
}
