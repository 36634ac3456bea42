import type { Band } from '../../language/pack';

/** How far into a band the figure lies that is asked about: not at an end, nor in the middle each time. */
const INTO = 0.6;
/** Behind the last end, so much of it. */
const BEYOND = 1.4;

/** Bands of one unit that follow one another without a gap or an overlap that matters. */
export function isLadder(bands: readonly (Band | undefined)[]): boolean {
  return bands.every((band, at) => {
    const before = bands[at - 1];
    if (!band || band.like.unit !== bands[0]!.like.unit) return false;
    if (at === 0) return true;
    const end = before?.to;
    // "Up to 50", "51 to 250", "Above 250": the next begins where the last ends, or one step of counting on.
    return (
      end !== undefined &&
      band.from >= end &&
      band.from - end <= Math.max(1, end * 0.03) &&
      (band.to ?? Infinity) > band.from
    );
  });
}

/** A round figure inside of a band. */
export function figureIn({ from, to }: Band): number {
  const value = to === undefined ? from * BEYOND : from + (to - from) * INTO;
  for (const step of [10 ** Math.floor(Math.log10(value)), 10 ** (Math.floor(Math.log10(value)) - 1), 1]) {
    const round = Math.round(value / Math.max(step, 1)) * Math.max(step, 1);
    if (round > from && round < (to ?? Infinity)) return round;
  }
  return Math.round(value * 10) / 10;
}
