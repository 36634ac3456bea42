import { shortHash } from '../../../document/id';
import { secondsIn } from '../../../language/time-units';
import { WRONG_SOUGHT } from '../form';

/** Figures that people settle on for a length of time, by the seconds of its unit. */
const TIMES: ReadonlyMap<number | undefined, readonly number[]> = new Map([
  [1, [5, 10, 15, 20, 30, 45, 60, 90]],
  [60, [2, 3, 5, 10, 15, 20, 30, 45, 60, 90, 120]],
  [3600, [2, 4, 6, 8, 12, 24, 36, 48, 72, 96]],
  [86_400, [2, 3, 5, 7, 10, 14, 21, 28, 30, 60, 90, 120, 180, 365]],
  [604_800, [2, 3, 4, 6, 8, 12, 16, 26, 52]],
  [2_628_000, [2, 3, 6, 9, 12, 18, 24, 36, 48]],
  [31_536_000, [2, 3, 5, 7, 10, 15, 20, 30, 50]],
]);
/** Of anything else, within a power of ten; of the small ones too. */
const ROUND = [10, 12, 15, 20, 25, 30, 40, 50, 60, 75, 80, 90];
const SMALL = [2, 3, 5, 8, 10, 15];
/** As many times as large or as small, a made figure lies apart from the right one: at least and at most. */
const APART = { least: 1.2, most: 4 };
/** Up to here the neighbours by one are as good as any. */
const FEW = 4;

/**
 * Figures around the right one, those first that are to be shown: how many of them lie below it is settled by the
 * claim's id, so that its place tells nothing. Others of the unit in the sources come first, then such as people settle
 * on. `written`: the right one with its unit.
 */
export function wrongFigures(value: number, inSources: readonly number[], id: string, written: string): number[] {
  const known = inSources.filter((other) => other !== value && far(other, value) <= Math.log(5));
  const made =
    value <= FEW
      ? [value - 2, value - 1, value + 1, value + 2, value + 3, value * 2]
      : settledNear(value, secondsIn(written.split(/\s+/).at(-1)!));
  const good = (other: number) =>
    other > 0 &&
    other !== value &&
    (Number.isInteger(other) || (!Number.isInteger(value) && Number.isInteger(other * 2)));
  const all = [...nearest(known, value), ...made].filter(good);
  const [below, above] = [all.filter((other) => other < value), all.filter((other) => other > value)].map(unique);
  const wanted = shortHash(id, 4).charCodeAt(3) % 4;
  const low = below.slice(0, wanted);
  const high = above.slice(0, 3 - low.length);
  return [...low, ...high, ...below.slice(low.length), ...above.slice(high.length)].slice(0, WRONG_SOUGHT);
}

/** What might as well have been settled on, nearest first by how many times it differs. */
function settledNear(value: number, seconds: number | undefined): number[] {
  const scale = 10 ** (Math.floor(Math.log10(value)) - 1);
  const figures =
    TIMES.get(seconds) ??
    (value < 10 ? SMALL : [scale / 10, scale, scale * 10].flatMap((each) => ROUND.map((one) => one * each)));
  return nearest(
    figures.filter((other) => far(other, value) >= Math.log(APART.least) && far(other, value) <= Math.log(APART.most)),
    value,
  );
}

const far = (other: number, value: number): number => Math.abs(Math.log(other / value));
const nearest = (figures: readonly number[], value: number): number[] =>
  figures.toSorted((one, other) => far(one, value) - far(other, value) || one - other);
const unique = (values: readonly number[]): number[] => [...new Set(values)];
