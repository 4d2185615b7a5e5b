import { type ReactNode, useEffect, useState } from 'react';
import type { NodeBody, Plot, Sheet } from '../api/client';
import { bandAt, settingsOf, stepOf, useBench } from '../bench/context';
import { nameOf } from '../bench/document';
import { tape } from '../bench/scale';
import { Grid, type Place } from '../grid/Grid';
import { NO_TONE } from '../grid/Paint';
import { SheetFoot, useSheetCells } from '../grid/useSheetCells';
import { CutBand, RemoveBand } from './BandTools';

/** Width of the names of the settings, and the least width of a column, in px. */
const NAMES = 148;
const LEAST = 96;

/** Where columns stand: under their bands, or pushed on where those are too narrow to read. */
function places(edges: readonly number[], length: number): number[] {
  const at = edges.map((edge, index) => (index === 0 ? NAMES : edge));
  for (let i = 1; i < at.length; i++) at[i] = Math.max(at[i] ?? 0, (at[i - 1] ?? 0) + LEAST);
  for (let i = at.length - 1, end = length; i >= 0; i--) {
    at[i] = Math.min(at[i] ?? 0, end - LEAST);
    end = at[i] ?? 0;
  }
  return at;
}

interface Props {
  readonly sheet: Sheet;
  readonly node: NodeBody;
  readonly length: number;
  readonly suggested: Plot['suggested'] | undefined;
  readonly foot: ReactNode;
  /** Whether bands can be cut and taken away here. */
  readonly cut?: boolean;
}

/** Settings down, bands across, each column under its band. */
export function SheetGrid({ sheet, node, length, suggested, foot, cut = true }: Props) {
  const { width, setting, choose, catalogue } = useBench();
  const { cellOf, dialog } = useSheetCells(node, NO_TONE);
  const band = bandAt(sheet.bands, width);
  const [at, setAt] = useState<Place>({
    row: 0,
    column: Math.max(
      0,
      sheet.bands.findIndex((each) => each.id === band?.id),
    ),
  });
  useEffect(() => {
    const row = sheet.rows.findIndex((each) => each.setting === setting);
    if (row >= 0) setAt((now) => ({ ...now, row }));
  }, [setting, sheet.rows]);
  const bandColumn = sheet.bands.findIndex((each) => each.id === band?.id);
  useEffect(() => {
    if (bandColumn >= 0) setAt((now) => ({ ...now, column: bandColumn }));
  }, [bandColumn]);

  const edges = sheet.bands.map((each) => tape(length)(each.from));
  const at0 = places(edges, length);
  const widths = at0.map((place, index) => (at0[index + 1] ?? length) - place);
  const template = `${NAMES}px ${widths.map((each) => `${each}px`).join(' ')}`;

  const rows = sheet.rows.map((row) => ({
    id: row.setting,
    head: row.label,
    cells: row.cells.map((cell, column) => {
      const count = suggested?.find(
        (each) => each.setting === row.setting && each.band === cell.band,
      );
      return cellOf({
        key: row.setting,
        setting: row.of,
        label: row.label,
        where: sheet.bands[column]?.name ?? '',
        cell,
        className: column === bandColumn ? 'cell-band' : '',
        after: count && count.count !== count.now && <b className="suggested">→ {count.count}</b>,
      });
    }),
  }));
  const row = sheet.rows[Math.min(at.row, sheet.rows.length - 1)];
  const cell = row?.cells[at.column];
  // What to look at may have its home in another step.
  const cause = settingsOf(catalogue, node.type).find((each) => each.id === cell?.note?.cause);
  return (
    <>
      <div className="sheet-scroll">
        <Grid
          label={`${nameOf(node)}, by band`}
          template={template}
          heads={[
            <span key="names">Sheet</span>,
            ...sheet.bands.map((each, index) => (
              <span key={each.id} className="band-head">
                <b>{each.name}</b>
                <span className="faint">{range(each)}</span>
                {each.lead && <span className="faint">lead</span>}
                {cut && sheet.bands.length > 1 && index > 0 && <RemoveBand band={each} />}
              </span>
            )),
          ]}
          rows={rows}
          at={at}
          onAt={setAt}
        />
      </div>
      <SheetFoot
        node={node}
        value={cell && row && { key: row.setting, setting: row.of, label: row.label, cell }}
        cause={
          cause && {
            label: cause.label,
            go: () => choose(node.id, stepOf(cause), cause.id),
          }
        }
      >
        {cut && <CutBand />}
        {foot}
      </SheetFoot>
      {dialog}
    </>
  );
}

const range = (band: Sheet['bands'][number]) =>
  band.below == null
    ? `from ${band.from}`
    : band.from === 0
      ? `below ${band.below}`
      : `${band.from} to ${band.below}`;
