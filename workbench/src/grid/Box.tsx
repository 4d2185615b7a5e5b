import {
  type CSSProperties,
  type KeyboardEvent,
  type PointerEvent,
  useEffect,
  useRef,
  useState,
} from 'react';
import { Dialog } from '../ui/Dialog';

/** What of a box a value tells apart, by the kind of its setting. */
export type BoxOf = 'sides' | 'corners' | 'ends';

const NAMES: Readonly<Record<BoxOf, readonly string[]>> = {
  sides: ['above', 'at the end', 'below', 'at the start'],
  corners: ['above the start', 'above the end', 'below the end', 'below the start'],
  ends: ['at the start', 'at the end'],
};

const PLACES: Readonly<Record<BoxOf, readonly string[]>> = {
  sides: ['above', 'end', 'below', 'start'],
  corners: ['above-start', 'above-end', 'below-end', 'below-start'],
  ends: ['start', 'end'],
};

/** How a length in the drawing is written in CSS, by its place there. */
const DRAWN: Readonly<Record<BoxOf, readonly (keyof CSSProperties)[]>> = {
  sides: [
    'borderBlockStartWidth',
    'borderInlineEndWidth',
    'borderBlockEndWidth',
    'borderInlineStartWidth',
  ],
  corners: [
    'borderStartStartRadius',
    'borderStartEndRadius',
    'borderEndEndRadius',
    'borderEndStartRadius',
  ],
  ends: ['paddingInlineStart', 'paddingInlineEnd'],
};

/** Which way a grip is drawn for more: inwards, x to the end and y down. */
const INWARDS: Readonly<Record<string, readonly [number, number]>> = {
  above: [0, 1],
  end: [-1, 0],
  below: [0, -1],
  start: [1, 0],
  'above-start': [0.5, 0.5],
  'above-end': [-0.5, 0.5],
  'below-end': [-0.5, -0.5],
  'below-start': [0.5, -0.5],
};

export const boxOf = (kind: string): BoxOf | undefined =>
  kind === 'sides' || kind === 'corners' || kind === 'ends' ? kind : undefined;

/** A value as the server writes it, as one length for each place. Source: CSS Box Model 4. */
function apart(value: string, of: BoxOf): readonly string[] {
  const [one = '0px', two = one, three = one, four = two] = value.split(' ');
  return of === 'ends' ? [one, two] : [one, two, three, four];
}

/** A value as it is read in few words: px are understood. */
export const inFewWords = (value: string): string =>
  value.includes(' ') ? value.replaceAll(/(?<=\d)px/g, '') : value;

/** A length as CSS has it: a bare number is px. */
const drawable = (length = '0') => (/^\s*[\d.]+\s*$/.test(length) ? `${length.trim()}px` : length);

/** A length changed by so many of its units, in the steps that one sees in it. */
function nudged(length: string, by: number): string {
  const found = /^\s*([\d.]+)\s*([a-z%]*)\s*$/.exec(length);
  if (!found) return length;
  const step = found[2] === 'em' || found[2] === 'rem' ? by / 10 : by;
  return `${Math.max(0, Math.round((Number(found[1]) + step) * 100) / 100)}${found[2] || 'px'}`;
}

/** A box in little that tells its sides, its corners or its ends apart. */
export function BoxSign({ of, value }: { readonly of: BoxOf; readonly value: string }) {
  const all = apart(value, of);
  const none = (at: number) => Number.parseFloat(all[at] ?? '0') === 0;
  const style: CSSProperties =
    of === 'corners'
      ? Object.fromEntries(DRAWN.corners.map((name, at) => [name, none(at) ? 0 : 6]))
      : of === 'sides'
        ? Object.fromEntries(DRAWN.sides.map((name, at) => [name, none(at) ? 0 : 2]))
        : {
            borderBlockWidth: 0,
            borderInlineStartWidth: none(0) ? 1 : 4,
            borderInlineEndWidth: none(1) ? 1 : 4,
          };
  return <span className="box-sign" style={style} aria-hidden="true" />;
}

interface Props {
  readonly label: string;
  readonly of: BoxOf;
  readonly value: string;
  readonly allowed: string;
  /** Where the page is read from. */
  readonly direction: 'ltr' | 'rtl';
  /** Why what is drawn cannot be. */
  readonly refused?: string;
  /** Shows a value that is not set yet. */
  onTry(value: string): void;
  onSet(value: string): void;
  onClose(): void;
}

/** Sets the sides, corners or ends of a box one by one, or all alike, on a drawing of it. */
export function BoxDialog({
  label,
  of,
  value,
  allowed,
  direction,
  refused,
  onTry,
  onSet,
  onClose,
}: Props) {
  const [all, setAll] = useState(() => apart(value, of));
  const [alike, setAlike] = useState(() => new Set(all).size === 1);
  const whole = (alike ? all.slice(0, 1) : all).map((each) => each.trim() || '0').join(' ');
  const shown = useRef(whole);
  useEffect(() => {
    if (whole === shown.current) return;
    shown.current = whole;
    onTry(whole);
  });
  const put = (at: number, length: string) =>
    setAll((now) => now.map((each, index) => (alike || index === at ? length : each)));
  const key = (at: number) => (event: KeyboardEvent<HTMLInputElement>) => {
    const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (!by) return;
    event.preventDefault();
    put(at, nudged(event.currentTarget.value, by * (event.shiftKey ? 10 : 1)));
  };
  function drag(at: number, place: string, event: PointerEvent<HTMLElement>) {
    const [x = 0, y = 0] = INWARDS[place] ?? [];
    const from = all[at] ?? '0px';
    const start = [event.clientX, event.clientY];
    const grip = event.currentTarget;
    grip.setPointerCapture(event.pointerId);
    grip.onpointermove = (now) => {
      const along = (now.clientX - (start[0] ?? 0)) * (direction === 'rtl' ? -x : x);
      put(at, nudged(from, Math.round((along + (now.clientY - (start[1] ?? 0)) * y) / 2)));
    };
    grip.onlostpointercapture = () => {
      grip.onpointermove = null;
    };
  }
  const drawn = Object.fromEntries(
    DRAWN[of].map((name, at) => [name, `min(44px, ${drawable(all[at])})`]),
  );
  return (
    <Dialog label={label} className="box-dialog" beside onClose={onClose}>
      <form method="dialog" onSubmit={() => onSet(whole)}>
        <h2 className="font-serif text-xl">{label}</h2>
        <div className={`box-plan box-plan-${of}`} dir={direction}>
          <div className={`box-drawn box-drawn-${of}`} style={drawn} aria-hidden="true">
            {of === 'ends' && <span />}
          </div>
          {PLACES[of].map((place, at) => (
            <span key={place} className="box-place" style={{ gridArea: place }}>
              <i
                className={`box-grip box-grip-${place}`}
                aria-hidden="true"
                onPointerDown={(event) => drag(at, place, event)}
              />
              <input
                className="input input-sm"
                aria-label={`${label}, ${NAMES[of][at]}`}
                data-first={at === 0 ? '' : undefined}
                value={all[at]}
                onChange={(event) => put(at, event.target.value)}
                onKeyDown={key(at)}
                onFocus={(event) => event.currentTarget.select()}
              />
            </span>
          ))}
        </div>
        <label className="box-alike">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={alike}
            onChange={(event) => {
              setAlike(event.target.checked);
              if (event.target.checked) setAll(all.map(() => all[0] ?? '0px'));
            }}
          />
          All alike
        </label>
        {refused && <p className="text-error text-sm">{refused}</p>}
        <p className="faint text-sm">
          {allowed.charAt(0).toUpperCase() + allowed.slice(1)}. Up and Down change by one, with
          Shift by ten; a grip is drawn inwards for more.
        </p>
        <footer className="modal-action">
          <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-sm btn-primary">
            Set
          </button>
        </footer>
      </form>
    </Dialog>
  );
}
