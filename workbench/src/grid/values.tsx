import type { SettingReply } from '../api/client';
import type { Sort } from '../media/format';
import type { CellKind } from './cell';

/** What of the library a setting names, if anything. */
export const sortOf = (setting: SettingReply): Sort | undefined =>
  setting.kind === 'picture' || setting.kind === 'clip'
    ? setting.kind
    : setting.kind === 'captionfile'
      ? 'captions'
      : setting.kind === 'sprite'
        ? 'icons'
        : undefined;

/** How a setting is edited in a cell. */
export function kindOf(setting: SettingReply): CellKind {
  if (setting.kind === 'toggle') return 'toggle';
  if (setting.kind === 'pick') return 'pick';
  if (sortOf(setting) || setting.kind === 'icon') return 'own';
  return setting.lines || setting.kind === 'rich' ? 'lines' : 'line';
}

/** A value as it is typed. */
export function typed(setting: SettingReply, value: unknown): string {
  if (setting.kind === 'toggle') return value === true ? 'on' : 'off';
  return value === null || value === undefined ? '' : String(value);
}

/** What was typed as a value to send. What it makes no sense of, the server tells with a reason. */
export function sent(setting: SettingReply, text: string): unknown {
  const trimmed = text.trim();
  if (setting.kind === 'toggle') return trimmed === 'on';
  if (
    (setting.kind === 'whole' || setting.kind === 'advance' || setting.kind === 'decimal') &&
    /^-?\d+(\.\d+)?$/.test(trimmed)
  ) {
    return Number(trimmed);
  }
  return setting.kind === 'words' || setting.kind === 'rich' ? text : trimmed;
}
