import Papa from 'papaparse';
import type { EditBody, Media, NodeBody, SettingReply } from '../api/client';
import { newId } from '../bench/document';
import { sent } from '../grid/values';

export interface Field {
  readonly setting: SettingReply;
  readonly label: string;
}

export interface Pasted {
  readonly edits: readonly EditBody[];
  /** What came of it, in words. */
  readonly says: string;
}

/**
 * Rows copied from a spreadsheet as edits: from one cell on to the right and down, with new items
 * where the table ends. A first row that names the columns says where the others go.
 */
export function pasted(
  text: string,
  piece: NodeBody,
  fields: readonly Field[],
  media: readonly Media[],
  at: { readonly row: number; readonly column: number },
): Pasted {
  const delimiter = text.includes('\t') ? '\t' : '\u0000';
  const lines = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter }).data;
  const names = fields.map((field) => field.label.toLowerCase());
  const first = lines[0] ?? [];
  const headed =
    first.length > 1 && first.every((each) => names.includes(each.trim().toLowerCase()));
  const columns = headed
    ? first.map((each) => names.indexOf(each.trim().toLowerCase()))
    : first.map((_, index) => at.column + index);
  const rows = headed ? lines.slice(1) : lines;
  const items = piece.children ?? [];
  const edits: EditBody[] = [];
  const left: string[] = [];
  let added = 0;

  rows.forEach((cells, line) => {
    const item = items[at.row + line];
    const values: Record<string, unknown> = {};
    cells.forEach((cell, index) => {
      const field = fields[columns[index] ?? -1];
      if (!field) {
        if (cell.trim() !== '') left.push(cell);
        return;
      }
      if (field.setting.kind === 'picture') {
        const found = media.find((each) => each.id === cell.trim() || each.name === cell.trim());
        if (found) values[field.setting.id] = found.id;
        else if (cell.trim() !== '') left.push(cell);
      } else values[field.setting.id] = sent(field.setting, cell);
    });
    if (item) {
      for (const [setting, value] of Object.entries(values)) {
        edits.push({
          type: 'SetValue',
          node: item.id,
          setting,
          band: '',
          value: value as EditBody['value'],
        });
      }
    } else {
      const content = { id: newId('item'), type: 'item', values } as NodeBody;
      edits.push({ type: 'AddNode', parent: piece.id, index: items.length + added, content });
      added += 1;
    }
  });
  const kept = rows.length - added;
  const parts = [
    ...(kept > 0 ? [`${kept} ${kept === 1 ? 'row' : 'rows'} filled`] : []),
    ...(added > 0 ? [`${added} ${added === 1 ? 'item' : 'items'} added`] : []),
    ...(left.length > 0
      ? [`left out, since they fit no column: ${left.map((each) => `“${each}”`).join(', ')}`]
      : []),
  ];
  return { edits, says: `Pasted: ${parts.join('; ')}.` };
}
