/** Keyframes by property. */
export type Frames = Record<string, string[]>;

/** The curve of all that comes in: at once, and without haste at its end. */
export const CURVE = 'cubic-bezier(.16,.7,.3,1)';

/** Px that what comes in rises by; across it comes from twice as far. */
const RISE = 22;

export const move = (x: number, y: number) => `translate(${x}px,${y}px)`;

const from = (x: number, y: number, opacity: string[]) => ({
  transform: [move(x, y), move(0, 0)],
  opacity,
});

const came: Readonly<Record<string, (way: number, opacity: string[]) => Frames>> = {
  rise: (_, opacity) => from(0, RISE, opacity),
  fade: (_, opacity) => ({ opacity }),
  'from-start': (way, opacity) => from(-2 * RISE * way, 0, opacity),
  'from-end': (way, opacity) => from(2 * RISE * way, 0, opacity),
  grow: (_, opacity) => ({ transform: ['scale(.9)', 'scale(1)'], opacity }),
  unveil: () => ({ clipPath: ['inset(0 0 100% 0)', 'inset(0 0 0 0)'] }),
};

/**
 * How something comes in, as keyframes. @param way 1, or -1 where one reads from the right
 * @param seen the opacity that it has when it is there
 */
export const entering = (manner: string, way: number, seen = '1'): Frames =>
  came[manner]?.(way, ['0', seen]) ?? {};
