/** A point of what shows of a picture, in percent, and how many times as large as its box it is. */
export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly large: number;
}

export type Framing = readonly [Frame, Frame];

/** As large as a picture is drawn at the most; the server says the same of what is typed. */
const MOST = 4;
const NUMBER = '(\\d{1,3}(?:\\.\\d+)?)%?';
const FRAME = `${NUMBER}[\\s,]+${NUMBER}[\\s,]+${NUMBER}`;
const WRITTEN = new RegExp(`^\\s*${FRAME}\\s+to\\s+${FRAME}\\s*$`);

const within = (value: number, least: number, most: number) =>
  Math.min(most, Math.max(least, value));
const rounded = (value: number, steps: number) => Math.round(value * steps) / steps;

/** The frames that a text says; none where it says none. */
export function framesOf(text: string): Framing | undefined {
  const said = WRITTEN.exec(text)?.slice(1).map(Number);
  if (!said) return undefined;
  const [x = 50, y = 50, large = 1, toX = 50, toY = 50, toLarge = 1] = said;
  return [
    { x, y, large },
    { x: toX, y: toY, large: toLarge },
  ];
}

export function written([first, last]: Framing): string {
  const one = ({ x, y, large }: Frame) => `${x}% ${y}% ${large}`;
  return `${one(first)} to ${one(last)}`;
}

/** Where a frame lies on the picture, in percent of it. */
export function boxOf({ x, y, large }: Frame) {
  const size = 100 / large;
  return { left: (x / 100) * (100 - size), top: (y / 100) * (100 - size), size };
}

/** The frame that lies so far from the left and from above, in percent. */
export function frameAt(left: number, top: number, large: number): Frame {
  const free = 100 - 100 / large;
  const share = (at: number) => (free < 0.01 ? 50 : rounded(within((at / free) * 100, 0, 100), 10));
  return { x: share(left), y: share(top), large };
}

/** It moved by so many percent of the picture. */
export function moved(frame: Frame, right: number, down: number): Frame {
  const { left, top } = boxOf(frame);
  return frameAt(left + right, top + down, frame.large);
}

/** It so many times as large, about its middle. */
export function sized(frame: Frame, large: number): Frame {
  const next = rounded(within(large, 1, MOST), 100);
  const { left, top, size } = boxOf(frame);
  const shift = (size - 100 / next) / 2;
  return frameAt(left + shift, top + shift, next);
}
