import { useEffect, useRef, useState } from 'react';
import { Curve } from '../ui/Curve';
import { Dialog } from '../ui/Dialog';

/** Paces that are ready, in words of their own. */
const READY: readonly (readonly [string, string])[] = [
  ['ease', 'softly'],
  ['linear', 'evenly'],
  ['ease-in', 'slow at first'],
  ['ease-out', 'slow at last'],
  ['ease-in-out', 'slow at both ends'],
  ['cubic-bezier(0.3,1.4,0.6,1)', 'past the end and back'],
  ['spring(0.4)', 'swings until it rests'],
  ['steps(4,jump-end)', 'in four jumps'],
];

interface Props {
  readonly label: string;
  readonly value: string;
  readonly allowed: string;
  onTry(value: string): void;
  onSet(value: string): void;
  onClose(): void;
}

/** Chooses how something speeds up and slows down: one that is ready, or a curve that one bends. */
export function PaceDialog({ label, value, allowed, onTry, onSet, onClose }: Props) {
  const [pace, setPace] = useState(value);
  const runner = useRef<HTMLElement>(null);
  const shown = useRef(value);
  useEffect(() => {
    if (pace !== shown.current) onTry(pace);
    shown.current = pace;
    if (matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    // What the browser has no word for, as a spring, is seen on the stage only.
    const easing = CSS.supports('transition-timing-function', pace) ? pace : 'linear';
    const run = runner.current?.animate(
      { insetInlineStart: ['0%', 'calc(100% - 14px)'] },
      { duration: 900, easing, fill: 'forwards' },
    );
    return () => run?.cancel();
  });
  return (
    <Dialog label={label} className="box-dialog" beside onClose={onClose}>
      <form method="dialog" onSubmit={() => onSet(pace)}>
        <h2 className="font-serif text-xl">{label}</h2>
        <div className="pace-plan">
          <Curve easing={pace} onSet={setPace} />
          <fieldset className="pace-ready">
            <legend className="sr-only">Ready paces</legend>
            {READY.map(([each, said]) => (
              <label key={each}>
                <input
                  type="radio"
                  name="pace"
                  className="radio radio-xs"
                  checked={pace === each}
                  onChange={() => setPace(each)}
                />
                {said}
              </label>
            ))}
          </fieldset>
        </div>
        <span className="pace-track" aria-hidden="true">
          <i ref={runner} />
        </span>
        <input
          className="input input-sm w-full"
          aria-label={`${label}, as CSS writes it`}
          data-first=""
          value={pace}
          onChange={(event) => setPace(event.target.value)}
        />
        <p className="faint text-sm">{allowed.charAt(0).toUpperCase() + allowed.slice(1)}.</p>
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
