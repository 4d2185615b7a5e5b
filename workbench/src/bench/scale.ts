import { scaleLinear } from 'd3-scale';

/** Widths that screens commonly have, px. */
export const COMMON = [390, 820, 1280, 1920] as const;
/** The widths between which the tape is evenly divided, so that narrow ones are not squeezed. */
export const MARKS = [280, 480, 768, 1024, 1440, 1920, 2560] as const;
export const NARROWEST = 280;
export const WIDEST = 2560;

/** From a viewport width in px to a place on a tape so many px long; fixed, so posts stay put. */
export const tape = (length: number) =>
  scaleLinear()
    .domain(MARKS)
    .range(MARKS.map((_, i) => (length * i) / (MARKS.length - 1)))
    .clamp(true);

/** A whole width on the tape. */
export const onTape = (width: number) =>
  Math.min(WIDEST, Math.max(NARROWEST, Math.round(width) || NARROWEST));
