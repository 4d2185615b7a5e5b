import { createContext, type RefObject, useContext } from 'react';
import type { Catalogue, Media, PageReply, SettingReply, Sheet } from '../api/client';
import type { Other } from '../together/useTogether';
import type { Found } from './document';
import type { Key } from './keys';
import type { Session, Snapshot } from './session';

export const STEPS = ['fill', 'arrange', 'dress', 'drive', 'prove', 'ship'] as const;
export type Step = (typeof STEPS)[number];
export const stepName: Readonly<Record<Step, string>> = {
  fill: 'Fill',
  arrange: 'Arrange',
  dress: 'Dress',
  drive: 'Drive',
  prove: 'Prove',
  ship: 'Ship',
};

/** The step that a setting has its home in. */
export const stepOf = ({ home }: Pick<SettingReply, 'home'>): Step => home as Step;

/** What every part of the bench may ask of it. */
export interface Bench {
  readonly session: Session;
  readonly now: Snapshot;
  readonly page: PageReply;
  readonly catalogue: Catalogue;
  readonly media: readonly Media[];
  readonly step: Step;
  /** The node that is worked on, and the setting, when one is asked for. */
  readonly chosen: Found;
  readonly setting: string;
  /** Chooses a node; goes to another step with it, and to a setting. */
  choose(id: string, step?: Step, setting?: string): void;
  readonly width: number;
  setWidth(width: number): void;
  /** Width of a classic scrollbar on the stage, in px. */
  readonly scrollbar: number;
  setScrollbar(px: number): void;
  /** The moment that the stage takes for now, ms since 1970; the true one without. */
  readonly on: number | undefined;
  setOn(on: number | undefined): void;
  /** What the page is put to for a look at it; empty for the page as it is. */
  readonly stress: string;
  setStress(stress: string): void;
  /** Who else is on the page. */
  readonly others: readonly Other[];
  /** The steps that whoever is in may take. */
  readonly steps: readonly Step[];
  /** Says something to the script of the stage, when there is one. */
  readonly toStage: RefObject<(message: unknown) => void>;
}

/** What the page and its site are at: another one, and all that was read of them is read anew. */
export const versionOf = ({ revision, siteRevision }: PageReply) => `${revision}.${siteRevision}`;

export const BenchContext = createContext<Bench | undefined>(undefined);

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error('outside the bench');
  return bench;
}

/** Whether nodes of a type are pieces, which hold items. */
export const isPiece = (catalogue: Catalogue, type: string) =>
  catalogue.types.some((each) => each.type === type && each.piece);

/** The settings of a type of node. */
export const settingsOf = (catalogue: Catalogue, type: string): readonly SettingReply[] =>
  catalogue.types.find((each) => each.type === type)?.settings ?? [];

/** The parts of a type of node, in their order. */
export function partsOf(catalogue: Catalogue, type: string | undefined) {
  const its = catalogue.types.find((each) => each.type === type)?.parts ?? [];
  return its.flatMap((id) => catalogue.parts.filter((each) => each.id === id));
}

/** What people call a setting of a type of node, or a property of one of its parts. */
export function labelOf(catalogue: Catalogue, type: string, key: Key): string {
  const [of = '', state, property] = key.split('/');
  if (state === undefined) {
    return settingsOf(catalogue, type).find((each) => each.id === key)?.label ?? key;
  }
  const part = partsOf(catalogue, type).find((each) => each.id === of);
  const label = part?.properties.find((each) => each.id === property)?.label ?? property;
  return `${part?.label ?? of}${state === 'rest' ? '' : ` (${stateName(state)})`}, ${label?.toLowerCase()}`;
}

const states: Readonly<Record<string, string>> = {
  rest: 'At rest',
  hover: 'Hover',
  focus: 'Focus',
  pressed: 'Pressed',
  current: 'On',
  disabled: 'Disabled',
};

/** What people call a state. */
export const stateName = (state: string) => states[state] ?? state;

/** A band that the sheet has a column for. */
export type Column = Sheet['bands'][number];

/** The bands of a page as columns, narrowest first. */
export function columnsOf(page: PageReply): readonly Column[] {
  const { bands } = page.document.site;
  return bands.map((band, at) => {
    const next = bands[at + 1];
    return {
      ...band,
      lead: next === undefined,
      ...(next ? { below: next.from } : {}),
    };
  });
}

export const bandAt = (columns: readonly Column[], width: number) =>
  columns.findLast((band) => width >= band.from) ?? columns[0];

/** What is chosen: a choice made just now is in the address before it is on the screen. */
export const chosenNow = (rendered: string) =>
  new URLSearchParams(location.search).get('at') || rendered;
