/** Keyframes by property. */
export type Frames = Record<string, string[]>;

/** The curve of all that comes in: at once, and without haste at its end. */
export const CURVE = 'cubic-bezier(.16,.7,.3,1)';

/** Px that what comes in rises by; across it comes from twice as far. */
const RISE = 22;

export const move = (x: number, y: number) => `translate(${x}px,${y}px)`;

const came: Readonly<Record<string, (way: number) => Frames>> = {
  rise: () => ({ transform: [move(0, RISE), move(0, 0)], opacity: ['0', '1'] }),
  fade: () => ({ opacity: ['0', '1'] }),
  'from-start': (way) => ({
    transform: [move(-2 * RISE * way, 0), move(0, 0)],
    opacity: ['0', '1'],
  }),
  'from-end': (way) => ({ transform: [move(2 * RISE * way, 0), move(0, 0)], opacity: ['0', '1'] }),
  grow: () => ({ transform: ['scale(.9)', 'scale(1)'], opacity: ['0', '1'] }),
  unveil: () => ({ clipPath: ['inset(0 0 100% 0)', 'inset(0 0 0 0)'] }),
};

/** How something comes in, as keyframes. @param way 1, or -1 where one reads from the right */
export const entering = (manner: string, way: number): Frames => came[manner]?.(way) ?? {};
