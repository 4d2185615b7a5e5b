type Host = typeof globalThis & Window;

/**
 * How high a piece will be in a room so wide: straight between points, which are written as
 * "320 540;480 510", px.
 */
export function heightAt(points: string, wide: number): number | undefined {
  const all = points
    .split(';')
    .map((point) => point.trim().split(/\s+/).map(Number))
    .filter(([at, high]) => at !== undefined && high !== undefined && at >= 0 && high >= 0);
  const after = all.findIndex(([at = 0]) => at >= wide);
  const next = all[after < 0 ? all.length - 1 : after];
  const last = all[Math.max(0, (after < 0 ? all.length : after) - 1)];
  if (!next || !last) return undefined;
  const [from = 0, low = 0] = last;
  const [to = 0, high = 0] = next;
  return to === from
    ? high
    : low + ((high - low) * Math.min(Math.max(wide - from, 0), to - from)) / (to - from);
}

/** Keeps the room that a piece will take, so that nothing below it moves when it comes. */
export function reserved(element: HTMLElement, host: Host) {
  element.style.display = 'block';
  const high = heightAt(element.getAttribute('heights') ?? '', element.clientWidth);
  if (high !== undefined && host.CSS.supports('min-height', `${high}px`)) {
    element.style.minHeight = `${high}px`;
  }
}
