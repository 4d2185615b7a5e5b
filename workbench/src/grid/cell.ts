import type { ReactNode } from 'react';

/** How a cell is edited. A picture opens something of its own through `open`. */
export type CellKind = 'line' | 'lines' | 'pick' | 'toggle' | 'own';

/** One cell: what it shows, and what may be done with it. */
export interface GridCell {
  readonly kind: CellKind;
  /** What editing starts from. */
  readonly value: string;
  readonly show: ReactNode;
  /** Accessible name of the field that edits it. */
  readonly label: string;
  readonly words?: readonly string[];
  /** What people read for a word, where that is another. */
  says?(word: string): string;
  /** Why what was typed cannot be; `value` is then what was typed. */
  readonly invalid?: string | undefined;
  readonly className?: string | undefined;
  readonly path: string;
  set?(value: string): void;
  /** Takes the value away. */
  clear?(): void;
  /** Gives up what was refused. */
  forget?(): void;
  open?(): void;
  /** Opens a way to choose by eye what else is typed; Space does it. */
  choose?(): void;
}
