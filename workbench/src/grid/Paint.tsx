import { Plus, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Tone } from '../api/client';
import { Dialog } from '../ui/Dialog';

/** For what can be none of a tone's colours: a colour of a tone, say. */
export const NO_TONE: Tone = { label: '', colours: [] };

/** A colour of the tone as the server writes it: its name, a step of it, how solid it is. */
const NAMED = /\b([a-z]+)(?:-(deeper|lighter)-(\d))?(?:\/(\d+)%)?(?![a-z0-9(-])/;
const ALL_NAMED = new RegExp(NAMED, 'g');
const ONE_NAMED = new RegExp(`^${NAMED.source}$`);

/** A colour that is so much deeper, or lighter, and so solid, as CSS has it. */
const mixed = (solid: string, step: number, percent: number) => {
  const stepped =
    step === 0
      ? solid
      : `color-mix(in oklab,${solid},${step > 0 ? '#000' : '#fff'} ${Math.abs(step) * 10}%)`;
  return percent === 100 ? stepped : `color-mix(in srgb,${stepped} ${percent}%,#0000)`;
};

const stepOf = (way: string | undefined, steps: string | undefined) =>
  way === undefined ? 0 : Number(steps) * (way === 'lighter' ? -1 : 1);

/** A value with the colours in the place of their names in a tone. */
export const toned = (value: string, tone: Tone): string =>
  value === 'around'
    ? 'currentColor'
    : value.replaceAll(
        ALL_NAMED,
        (
          word: string,
          name: string,
          way: string | undefined,
          steps: string | undefined,
          percent: string | undefined,
        ) => {
          const found = tone.colours.find((each) => each.id === name);
          return found ? mixed(found.colour, stepOf(way, steps), Number(percent ?? 100)) : word;
        },
      );

interface Stop {
  /** Which of the tone's colours it is; empty for one of its own. */
  readonly name: string;
  /** How much deeper than that it is, or lighter where it is less than nothing. */
  readonly step: number;
  /** `#rrggbb` */
  readonly solid: string;
  /** 0 to 255 */
  readonly alpha: number;
  /** percent */
  readonly at: number;
}

/** Along a line of so many degrees, or outwards from a point in percent of the box. */
type Course =
  | { readonly angle: number }
  | { readonly circle: boolean; readonly x: number; readonly y: number };

interface Paint {
  /** Nothing for one colour. */
  readonly course: Course | undefined;
  readonly stops: readonly Stop[];
}

function colour(text: string, at: number, tone: Tone): Stop {
  const [, name, way, steps, percent] = ONE_NAMED.exec(text) ?? [];
  const named = tone.colours.find((each) => each.id === name);
  const hex = /^#([0-9a-f]{6})([0-9a-f]{2})?$/.exec(named?.colour ?? text);
  const alpha = hex ? Number.parseInt(hex[2] ?? 'ff', 16) : 0;
  return {
    name: named?.id ?? '',
    step: named ? stepOf(way, steps) : 0,
    solid: `#${hex?.[1] ?? '000000'}`,
    alpha: named ? Math.round(2.55 * Number(percent ?? 100)) : alpha,
    at,
  };
}

/** A value as the server writes it: a colour, or a gradient whose colours all have a place. */
function read(text: string, tone: Tone): Paint {
  const line = /^linear-gradient\(([\d.]+)deg,(.+)\)$/.exec(text);
  const round = /^radial-gradient\((circle )?at ([\d.]+)% ([\d.]+)%,(.+)\)$/.exec(text);
  const stops = line?.[2] ?? round?.[4];
  if (stops === undefined) return { course: undefined, stops: [colour(text, 0, tone)] };
  return {
    course: line
      ? { angle: Number(line[1]) }
      : { circle: round?.[1] !== undefined, x: Number(round?.[2]), y: Number(round?.[3]) },
    stops: stops.split(',').map((stop) => {
      const [hex = '', at = '0'] = stop.split(' ');
      return colour(hex, Number.parseFloat(at), tone);
    }),
  };
}

/** A colour of the tone in the place of a stop's own; its own again is the same to see. */
const named = (name: string, stop: Stop, tone: Tone): Partial<Stop> =>
  name ? colour(name, stop.at, tone) : { name };

const hexOf = ({ name, step, solid, alpha }: Stop) => {
  if (!name) return alpha === 255 ? solid : solid + alpha.toString(16).padStart(2, '0');
  const way = step > 0 ? '-deeper-' : '-lighter-';
  const percent = Math.max(1, Math.round(alpha / 2.55));
  return `${name}${step === 0 ? '' : way + Math.abs(step)}${percent === 100 ? '' : `/${percent}%`}`;
};

const begun = (course: Course) =>
  'angle' in course
    ? `linear-gradient(${course.angle}deg`
    : `radial-gradient(${course.circle ? 'circle ' : ''}at ${course.x}% ${course.y}%`;

function written({ course, stops }: Paint): string {
  const [first] = stops;
  if (!course) return first ? hexOf(first) : '#000000';
  return `${begun(course)},${stops.map((stop) => `${hexOf(stop)} ${stop.at}%`).join(',')})`;
}

/** A colour or gradient, small, over squares that show what is clear. */
export function Swatch({ value }: { readonly value: string }) {
  return (
    <span className="swatch" aria-hidden="true">
      <span style={{ background: value }} />
    </span>
  );
}

interface Props {
  readonly label: string;
  readonly value: string;
  /** The tone that it stands in. */
  readonly tone: Tone;
  /** How many colours a gradient may have; none where it may be none. */
  readonly gradient: number;
  /** Shows a value that is not set yet. */
  onTry(value: string): void;
  onSet(value: string): void;
  onClose(): void;
}

/** Picks a colour, or the colours of a gradient, by eye. */
export function PaintDialog({ label, value, tone, gradient, onTry, onSet, onClose }: Props) {
  const [paint, setPaint] = useState(() => read(value, tone));
  const shown = useRef(written(paint));
  useEffect(() => {
    if (written(paint) === shown.current) return;
    shown.current = written(paint);
    onTry(shown.current);
  });
  const { course, stops } = paint;
  const put = (index: number, change: Partial<Stop>) =>
    setPaint({
      course,
      stops: stops.map((stop, at) => (at === index ? { ...stop, ...change } : stop)),
    });
  const plain = course === undefined;
  const line = course && 'angle' in course;
  const flat = () => setPaint({ course: undefined, stops: stops.slice(0, 1) });
  const blend = (to: Course) => {
    const [first] = stops;
    if (!first) return;
    setPaint({
      course: to,
      stops: plain
        ? [
            { ...first, at: 0 },
            { ...first, name: '', step: 0, alpha: 0, at: 100 },
          ]
        : stops,
    });
  };
  return (
    <Dialog label={label} className="paint" beside onClose={onClose}>
      <h2 className="font-serif text-xl">{label}</h2>
      <span className="swatch paint-shown" aria-hidden="true">
        <span style={{ background: toned(written(paint), tone) }} />
      </span>
      {gradient > 0 && (
        <div className="fill-tabs paint-kind" role="group" aria-label="What it is">
          <button type="button" aria-pressed={plain} onClick={flat}>
            One colour
          </button>
          <button
            type="button"
            aria-pressed={line === true}
            onClick={() => line || blend({ angle: 180 })}
          >
            Along a line
          </button>
          <button
            type="button"
            aria-pressed={line === false}
            onClick={() => line === false || blend({ circle: false, x: 50, y: 50 })}
          >
            From a point
          </button>
          {course && 'angle' in course && (
            <label className="paint-angle">
              Direction, deg
              <input
                type="number"
                min={0}
                max={360}
                className="input input-sm w-20"
                value={course.angle}
                onChange={(event) => {
                  const next = Number(event.target.value);
                  if (next >= 0 && next <= 360) setPaint({ course: { angle: next }, stops });
                }}
              />
            </label>
          )}
        </div>
      )}
      {course && 'x' in course && (
        <div className="paint-round">
          {(['x', 'y'] as const).map((axis) => (
            <label key={axis}>
              {axis === 'x' ? 'Middle from the left, %' : 'from above, %'}
              <input
                type="number"
                min={0}
                max={100}
                className="input input-sm w-18"
                value={course[axis]}
                onChange={(event) => {
                  const next = Number(event.target.value);
                  if (next >= 0 && next <= 100) {
                    setPaint({ course: { ...course, [axis]: next }, stops });
                  }
                }}
              />
            </label>
          ))}
          <label>
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={course.circle}
              onChange={(event) =>
                setPaint({ course: { ...course, circle: event.target.checked }, stops })
              }
            />
            a circle
          </label>
        </div>
      )}
      <ul className="paint-stops">
        {stops.map((stop, index) => (
          <li key={index}>
            {tone.colours.length > 0 && (
              <select
                className="select select-sm w-36"
                aria-label={plain ? 'Where it is from' : `Where colour ${index + 1} is from`}
                value={stop.name}
                onChange={(event) => put(index, named(event.target.value, stop, tone))}
              >
                <option value="">Own colour</option>
                <optgroup label={`Tone ${tone.label}`}>
                  {tone.colours.map((each) => (
                    <option key={each.id} value={each.id}>
                      {each.label}
                    </option>
                  ))}
                </optgroup>
              </select>
            )}
            <input
              type="color"
              aria-label={plain ? 'Colour' : `Colour ${index + 1}`}
              value={stop.solid}
              onChange={(event) => put(index, { name: '', step: 0, solid: event.target.value })}
            />
            {stop.name && (
              <label>
                Deeper
                <input
                  type="number"
                  min={-6}
                  max={6}
                  className="input input-sm w-16"
                  value={stop.step}
                  title="A tenth of the way to black with each; below 0 to white"
                  onChange={(event) => {
                    const next = Number(event.target.value);
                    if (Number.isInteger(next) && next >= -6 && next <= 6) {
                      put(index, { step: next });
                    }
                  }}
                />
              </label>
            )}
            <label>
              Solid, %
              <input
                type="range"
                min={0}
                max={255}
                className="range range-xs"
                value={stop.alpha}
                aria-valuetext={`${Math.round(stop.alpha / 2.55)} %`}
                onChange={(event) => put(index, { alpha: Number(event.target.value) })}
              />
              <output>{Math.round(stop.alpha / 2.55)}</output>
            </label>
            {!plain && (
              <>
                <label>
                  At, %
                  <input
                    type="number"
                    min={0}
                    max={100}
                    className="input input-sm w-18"
                    value={stop.at}
                    onChange={(event) => {
                      const next = Number(event.target.value);
                      if (next >= 0 && next <= 100) put(index, { at: next });
                    }}
                  />
                </label>
                <button
                  type="button"
                  className="tool"
                  aria-label={`Take colour ${index + 1} out`}
                  disabled={stops.length <= 2}
                  onClick={() => setPaint({ course, stops: stops.filter((_, at) => at !== index) })}
                >
                  <X size={15} aria-hidden />
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      <footer className="modal-action">
        {!plain && (
          <button
            type="button"
            className="btn btn-sm btn-ghost mr-auto"
            disabled={stops.length >= gradient}
            onClick={() => {
              const last = stops.at(-1);
              if (last) setPaint({ course, stops: [...stops, { ...last, at: 100 }] });
            }}
          >
            <Plus size={15} aria-hidden /> One more colour
          </button>
        )}
        <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-sm btn-primary"
          onClick={() => {
            onSet(written(paint));
            onClose();
          }}
        >
          Set
        </button>
      </footer>
    </Dialog>
  );
}
