import { CircleSlash, X } from 'lucide-react';
import { type ReactNode, useEffect, useState } from 'react';
import type { Cell, NodeBody, Plot, SettingReply, Sheet } from '../api/client';
import { bandAt, useBench } from '../bench/context';
import { nameOf } from '../bench/document';
import { type Key, ownOf } from '../bench/keys';
import { tape } from '../bench/scale';
import { pathOf } from '../bench/session';
import { PicturePicker } from '../fill/PicturePicker';
import type { GridCell } from '../grid/cell';
import { Grid, type Place } from '../grid/Grid';
import { NO_TONE, PaintDialog, Swatch, toned } from '../grid/Paint';
import { kindOf, sent, sortOf, typed } from '../grid/values';
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

const shapes: Readonly<Record<string, string>> = {
  here: 'set here',
  wider: 'from a wider band',
  look: 'from the look',
  site: 'from the site',
};

/** The shape that says where a value comes from. */
export function OriginMark({ shape }: { readonly shape: string }) {
  return <span className={`origin origin-${shape}`} title={shapes[shape]} aria-hidden="true" />;
}

/** What is being chosen by eye. */
interface Chosen {
  readonly setting: SettingReply;
  readonly label: string;
  readonly value: string;
  set(value: string): void;
}

interface Props {
  readonly sheet: Sheet;
  readonly node: NodeBody;
  readonly length: number;
  readonly suggested: Plot['suggested'] | undefined;
  readonly foot: ReactNode;
}

/** Settings down, bands across, each column under its band. */
export function SheetGrid({ sheet, node, length, suggested, foot }: Props) {
  const { session, now, width, setting, choose, media, catalogue } = useBench();
  const [chosen, setChosen] = useState<Chosen>();
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

  function cellOf(
    key: Key,
    setting: SettingReply,
    label: string,
    cell: Cell,
    column: number,
  ): GridCell {
    const path = pathOf(node.id, key, cell.band);
    const refused = now.refused[path];
    const own = ownOf(node, key, cell.band);
    const shown = own ?? cell.value;
    const kind = kindOf(setting);
    const name = sheet.bands[column]?.name ?? '';
    const count = suggested?.find((each) => each.setting === key && each.band === cell.band);
    const text = typed(setting, shown);
    const painted = ['paint', 'under', 'hue'].includes(setting.kind);
    const sort = sortOf(setting);
    const set = (value: string) => session.set(node.id, key, cell.band, sent(setting, value));
    const open = () => setChosen({ setting, label: `${setting.label}, ${name}`, value: text, set });
    const said = sort ? (media.find((each) => each.id === text)?.name ?? (text || 'none')) : text;
    return {
      kind,
      path,
      label: `${label}, ${name}`,
      value: refused?.value ?? text,
      words: setting.words,
      invalid: refused?.why,
      className: `${column === bandColumn ? 'cell-band' : ''} ${cell.shape === 'here' ? 'cell-own' : 'cell-lent'}`,
      show: (
        <>
          <OriginMark shape={own === undefined ? cell.shape : 'here'} />
          {painted && (
            // The keyboard has Space for it.
            <button
              type="button"
              tabIndex={-1}
              className="swatch-button"
              aria-label={`Choose: ${setting.label}, ${name}`}
              onClick={(event) => {
                event.stopPropagation();
                open();
              }}
            >
              <Swatch value={toned(text, sheet.tone)} />
            </button>
          )}
          <span
            className={`min-w-0 truncate ${refused ? 'text-error' : cell.note ? 'line-through' : ''}`}
            title={said}
          >
            {refused?.value ?? said}
          </span>
          <span className="sr-only">
            , {cell.from}
            {cell.note ? `. No effect: ${cell.note.message}` : ''}
            {refused ? `. Refused: ${refused.why}` : ''}
          </span>
          {cell.note && <CircleSlash size={13} className="text-warning" aria-hidden />}
          {count && count.count !== count.now && <b className="suggested">→ {count.count}</b>}
        </>
      ),
      set,
      ...(painted ? { choose: open } : {}),
      ...(sort ? { open } : {}),
      clear: () => {
        if (refused) session.forget(path);
        else if (own !== undefined) session.set(node.id, key, cell.band, null);
      },
      ...(refused ? { forget: () => session.forget(path) } : {}),
    };
  }

  const rows = sheet.rows.map((row) => ({
    id: row.setting,
    head: row.label,
    cells: row.cells.map((cell, column) => cellOf(row.setting, row.of, row.label, cell, column)),
  }));
  const row = sheet.rows[Math.min(at.row, sheet.rows.length - 1)];
  const cell = row?.cells[at.column];
  const refused = cell && row && now.refused[pathOf(node.id, row.setting, cell.band)];
  const cause = sheet.rows.find((each) => each.setting === cell?.note?.cause);
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
                {sheet.bands.length > 1 && index > 0 && <RemoveBand band={each} />}
              </span>
            )),
          ]}
          rows={rows}
          at={at}
          onAt={setAt}
        />
      </div>
      <footer className="foot">
        <p className="min-w-0 flex-1 truncate" aria-live="polite">
          {refused ? (
            <span className="text-error">
              {refused.why}{' '}
              <button
                type="button"
                className="link"
                onClick={() =>
                  row && cell && session.forget(pathOf(node.id, row.setting, cell.band))
                }
              >
                <X size={12} className="inline" aria-hidden /> take it back
              </button>
            </span>
          ) : cell?.note ? (
            <span className="text-warning">
              No effect: {cell.note.message}{' '}
              {cause && (
                <button
                  type="button"
                  className="link"
                  onClick={() => choose(node.id, 'arrange', cause.setting)}
                >
                  Go to {cause.label}
                </button>
              )}
            </span>
          ) : (
            cell &&
            row && (
              <>
                <OriginMark shape={cell.shape} /> <b>{row.label}</b> {cell.from}
                {cell.losers.length > 0 && (
                  <span className="faint">; without it {cell.losers[0]}</span>
                )}
                <span className="faint"> · {row.allowed}</span>
              </>
            )
          )}
        </p>
        <CutBand />
        {foot}
      </footer>
      {chosen &&
        (chosen.setting.kind === 'picture' ? (
          <PicturePicker
            value={chosen.value}
            label={chosen.label}
            onPick={chosen.set}
            onClose={() => setChosen(undefined)}
          />
        ) : (
          <PaintDialog
            value={chosen.value}
            label={chosen.label}
            tone={chosen.setting.kind === 'hue' ? NO_TONE : sheet.tone}
            gradient={chosen.setting.kind === 'under' ? catalogue.limits.gradientColours : 0}
            onSet={chosen.set}
            onClose={() => setChosen(undefined)}
          />
        ))}
    </>
  );
}

const range = (band: Sheet['bands'][number]) =>
  band.below == null
    ? `from ${band.from}`
    : band.from === 0
      ? `below ${band.below}`
      : `${band.from} to ${band.below}`;
