import { contained } from '../language/similarity';
import type { Fact } from './fact';

/** A point of a list: all that one of its passages says. */
export type Point = readonly Fact[];

/**
 * So many points of a list, and this share of them, find their counterpart by their words, the others by their place between those;
 * and so much of what these say, on the mean, stands in their counterparts: "check the till, the lights, the doors" is not "close the till, ...".
 */
const MATCHED = { least: 3, share: 0.6, said: 0.6 };

/**
 * Whether a list says point by point, in the same order, what another says: for each of its points the index of the other's, or
 * undefined. "Before anything sterile", third of five, is "before a clean procedure", third of five, when its neighbours are the same.
 */
export function parallel(less: readonly Point[], fuller: readonly Point[]): number[] | undefined {
  const [own, others] = [telling(less), telling(fuller)];
  const found: (number | undefined)[] = [];
  for (let at = 0, from = 0; at < less.length; at++) {
    const index = others.findIndex((other, place) => place >= from && own[at].some((stem) => other.includes(stem)) && figuresIn(less[at], fuller[place]));
    found.push(index < 0 ? undefined : index);
    if (index >= 0) from = index;
  }
  const said = found.reduce<number>((sum, place, at) => sum + (place === undefined ? 0 : contained(stemsOf(less[at]), stemsOf(fuller[place]))), 0);
  const matched = found.filter((each) => each !== undefined).length;
  if (matched < Math.max(MATCHED.least, less.length * MATCHED.share) || said < matched * MATCHED.said) return undefined;
  return placed(found, fuller.length, (at, place) => figuresIn(less[at], fuller[place]));
}

/** Points without a counterpart get the one that lies between those of their neighbours; undefined where more or fewer lie there. */
function placed(found: readonly (number | undefined)[], length: number, holds: (at: number, place: number) => boolean): number[] | undefined {
  const result: number[] = [];
  for (let at = 0; at < found.length; at++) {
    const known = found[at];
    if (known !== undefined) {
      result.push(known);
      continue;
    }
    const after = found.findIndex((each, index) => index > at && each !== undefined);
    const [open, room] = after < 0 ? [found.length - at, length - 1 - (result.at(-1) ?? -1)] : [after - at, found[after]! - (result.at(-1) ?? -1) - 1];
    const place = (result.at(-1) ?? -1) + 1;
    if (open !== room || !holds(at, place)) return undefined;
    result.push(place);
  }
  return result;
}

/** The stems of each point that mark it: what most points of a list share tells none of them. */
function telling(points: readonly Point[]): string[][] {
  const stems = points.map(stemsOf);
  return stems.map((own) => [...own].filter((stem) => stems.filter((other) => other.has(stem)).length <= points.length / 2));
}

const stemsOf = (point: Point): Set<string> => new Set(point.flatMap((fact) => [...fact.stems]));

/** Whether all figures of a point stand in the other. */
function figuresIn(less: Point, fuller: Point): boolean {
  const has = new Set(fuller.flatMap((fact) => [...fact.numbers]));
  return less.every((fact) => [...fact.numbers].every((number) => has.has(number)));
}
