import type { KeyboardEvent, MouseEvent } from 'react';

interface Props {
  readonly src: string;
  /** Two percentages. */
  readonly value: string;
  readonly label: string;
  onSet(value: string): void;
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const clamp = (percent: number) => Math.min(100, Math.max(0, Math.round(percent)));

/** The point of a picture that stays in view: pressed on the picture, or moved with the arrow keys. */
export function FocusPoint({ src, value, label, onSet }: Props) {
  const [x = '50%', y = '50%'] = value.split(' ');
  const press = (event: MouseEvent<HTMLElement>) => {
    // The keyboard presses a button too, nowhere in particular.
    if (event.detail === 0) return;
    const box = event.currentTarget.getBoundingClientRect();
    const share = (at: number, from: number, size: number) => clamp(((at - from) / size) * 100);
    onSet(
      `${share(event.clientX, box.left, box.width)}% ${share(event.clientY, box.top, box.height)}%`,
    );
  };
  const move = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const far = event.shiftKey ? 10 : 1;
    onSet(
      `${clamp(Number.parseFloat(x) + step[0] * far)}% ${clamp(Number.parseFloat(y) + step[1] * far)}%`,
    );
  };
  return (
    <button
      type="button"
      className="focus-picture"
      onClick={press}
      onKeyDown={move}
      aria-label={`${label}, at ${x} from the left and ${y} from the top`}
      title="Press where it matters; arrow keys move it"
    >
      <img src={src} alt="" />
      <span className="focus-mark" style={{ left: x, top: y }} />
    </button>
  );
}
