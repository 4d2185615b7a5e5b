import { CircleSlash, MoveHorizontal, Spline, X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import type { Cell, NodeBody, SettingReply, Tone } from '../api/client';
import { useBench } from '../bench/context';
import { type Key, ownOf, setting as setEdit } from '../bench/keys';
import { pathOf } from '../bench/session';
import { familySaid } from '../dress/families';
import { useTrial } from '../dress/useTrial';
import { PicturePicker } from '../fill/PicturePicker';
import { BoxDialog, BoxSign, boxOf, inFewWords } from './Box';
import type { GridCell } from './cell';
import { PaceDialog } from './Pace';
import { NO_TONE, PaintDialog, Swatch, toned } from './Paint';
import { kindOf, sent, sortOf, typed } from './values';

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

/** A value of a node in a band, as it stands in a cell of a grid. */
export interface Valued {
  readonly key: Key;
  readonly setting: SettingReply;
  /** What people read of it: name, and where it holds. */
  readonly label: string;
  readonly where: string;
  readonly cell: Cell;
  readonly className?: string;
  /** What follows the value. */
  readonly after?: ReactNode;
}

/** What is being chosen by eye. */
interface Chosen {
  readonly setting: SettingReply;
  readonly label: string;
  readonly value: string;
  /** Shows it on the stage, without setting it. */
  trySet(value: string): void;
  set(value: string): void;
}

/** A colour that is none, as the server writes it. */
const CLEAR = '#00000000';

/** Kinds of values that a colour is one of. */
export const PAINTED = ['paint', 'under', 'hue'];

/** Cells whose values a node sets, and the dialogs that choose them by eye. */
export function useSheetCells(node: NodeBody, tone: Tone) {
  const { page, session, now, media, catalogue } = useBench();
  const [chosen, setChosen] = useState<Chosen>();
  const trial = useTrial();
  const close = () => {
    trial.leave();
    setChosen(undefined);
  };

  function cellOf({ key, setting, label, where, cell, className, after }: Valued): GridCell {
    const path = pathOf(node.id, key, cell.band);
    const refused = now.refused[path];
    const own = ownOf(node, key, cell.band);
    const text = typed(setting, own ?? cell.value);
    const painted = PAINTED.includes(setting.kind);
    const box = boxOf(setting.kind);
    const pace = setting.kind === 'pace';
    const sort = sortOf(setting);
    const set = (value: string) => session.set(node.id, key, cell.band, sent(setting, value));
    const open = () =>
      setChosen({
        setting,
        label: `${setting.label}, ${where}`,
        value: text,
        trySet: (value) => trial.follow([setEdit(node.id, key, cell.band, sent(setting, value))]),
        set: (value) => {
          trial.keep();
          set(value);
        },
      });
    const said = sort
      ? (media.find((each) => each.id === text)?.name ?? (text || 'none'))
      : text === CLEAR
        ? 'none'
        : box
          ? inFewWords(text)
          : (familySaid(page.document, media, setting, text) ?? `${text} (not made yet)`);
    return {
      kind: kindOf(setting),
      path,
      label: `${label}, ${where}`,
      value: refused?.value ?? text,
      words: setting.words.filter(
        (word) => word === text || familySaid(page.document, media, setting, word) !== undefined,
      ),
      says: (word) => familySaid(page.document, media, setting, word) ?? `${word} (not made yet)`,
      invalid: refused?.why,
      className: `${className ?? ''} ${cell.shape === 'here' ? 'cell-own' : 'cell-lent'}`,
      show: (
        <>
          <OriginMark shape={own === undefined ? cell.shape : 'here'} />
          {(painted || box || pace) && (
            // The keyboard has Space for it.
            <button
              type="button"
              tabIndex={-1}
              className="swatch-button"
              aria-label={`Choose: ${setting.label}, ${where}`}
              onClick={(event) => {
                event.stopPropagation();
                open();
              }}
            >
              {box ? (
                <BoxSign of={box} value={text} />
              ) : pace ? (
                <Spline size={14} aria-hidden />
              ) : (
                <Swatch value={toned(text, tone)} />
              )}
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
            {cell.jump ? `. It jumps: ${cell.jump.message}` : ''}
            {refused ? `. Refused: ${refused.why}` : ''}
          </span>
          {cell.note && <CircleSlash size={13} className="text-warning" aria-hidden />}
          {cell.jump && <MoveHorizontal size={14} className="text-warning" aria-hidden />}
          {after}
        </>
      ),
      set,
      ...(painted || box || pace ? { choose: open } : {}),
      ...(sort ? { open } : {}),
      clear: () => {
        if (refused) session.forget(path);
        else if (own !== undefined) session.set(node.id, key, cell.band, null);
      },
      ...(refused ? { forget: () => session.forget(path) } : {}),
    };
  }

  const box = chosen && boxOf(chosen.setting.kind);
  const dialog =
    chosen &&
    (chosen.setting.kind === 'picture' ? (
      <PicturePicker
        value={chosen.value}
        label={chosen.label}
        onPick={chosen.set}
        onClose={close}
      />
    ) : box ? (
      <BoxDialog
        // One that is still closing takes neither the values nor the end of the next.
        key={chosen.label}
        of={box}
        value={chosen.value}
        label={chosen.label}
        allowed={chosen.setting.allowed}
        refused={trial.error}
        onTry={chosen.trySet}
        direction={page.document.page.values.direction === 'rtl' ? 'rtl' : 'ltr'}
        onSet={chosen.set}
        onClose={close}
      />
    ) : chosen.setting.kind === 'pace' ? (
      <PaceDialog
        key={chosen.label}
        value={chosen.value}
        label={chosen.label}
        allowed={chosen.setting.allowed}
        onTry={chosen.trySet}
        onSet={chosen.set}
        onClose={close}
      />
    ) : (
      <PaintDialog
        key={chosen.label}
        value={chosen.value}
        label={chosen.label}
        tone={chosen.setting.kind === 'hue' ? NO_TONE : tone}
        gradient={chosen.setting.kind === 'under' ? catalogue.limits.gradientColours : 0}
        onTry={chosen.trySet}
        onSet={chosen.set}
        onClose={close}
      />
    ));
  return { cellOf, dialog };
}

interface FootProps {
  readonly node: NodeBody;
  readonly value: Omit<Valued, 'where'> | undefined;
  /** What to look at instead, by its key, where a value is without effect. */
  readonly cause?: { readonly label: string; go(): void } | undefined;
  readonly children?: ReactNode;
  readonly more?: ReactNode;
}

/** What holds of the chosen cell, from where, and what would hold without it. */
export function SheetFoot({ node, value, cause, children, more }: FootProps) {
  const { session, now } = useBench();
  const path = value && pathOf(node.id, value.key, value.cell.band);
  const refused = path === undefined ? undefined : now.refused[path];
  const cell = value?.cell;
  return (
    <footer className="foot">
      <p className="min-w-0 flex-1 truncate" aria-live="polite">
        {refused && path !== undefined ? (
          <span className="text-error">
            {refused.why}{' '}
            <button type="button" className="link" onClick={() => session.forget(path)}>
              <X size={12} className="inline" aria-hidden /> take it back
            </button>
          </span>
        ) : cell?.note ? (
          <span className="text-warning">
            No effect: {cell.note.message}{' '}
            {cause && (
              <button type="button" className="link" onClick={cause.go}>
                Go to {cause.label}
              </button>
            )}
          </span>
        ) : cell?.jump ? (
          <span className="text-warning" title={cell.jump.message}>
            {cell.jump.message}
          </span>
        ) : (
          cell && (
            <>
              <OriginMark shape={cell.shape} /> <b>{value.label}</b> {cell.from}
              {cell.losers.length > 0 && (
                <span className="faint">; without it {cell.losers[0]}</span>
              )}
              {more}
              <span className="faint"> · {value.setting.allowed}</span>
            </>
          )
        )}
      </p>
      {cell?.jump && (
        <button
          type="button"
          className="link flex-none"
          onClick={() => cell.jump && session.edit(cell.jump.asAtRest)}
        >
          As at rest
        </button>
      )}
      {children}
    </footer>
  );
}
