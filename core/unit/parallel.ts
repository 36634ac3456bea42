import { contained } from '../language/similarity';
import { NEGATIVE, type Fact } from './fact';

/** A point of a list: all that one of its passages says. */
export type Point = readonly Fact[];

/** With fewer points, order says nothing. */
const LEAST = 3;
/**
 * So much of each point's stems stands in its counterpart: "tell the dentist and reception" is not "tell the dentist".
 */
const HELD = 0.75;

/**
 * Whether a list says point by point, in the same order, nothing but what another says: for each of its points the
 * index of the other's, or undefined. The order makes points of a word or two sure ("Dressing"); a single point without
 * a counterpart, with a figure of its own, or denied on one side only keeps the whole list.
 */
export function parallel(less: readonly Point[], fuller: readonly Point[]): number[] | undefined {
  if (less.length < LEAST) return undefined;
  const places: number[] = [];
  for (const point of less) {
    const place = fuller.findIndex((other, at) => at >= (places.at(-1) ?? 0) && holds(other, point));
    if (place < 0) return undefined;
    places.push(place);
  }
  return places;
}

function holds(fuller: Point, less: Point): boolean {
  const [own, other] = [stemsOf(less), stemsOf(fuller)];
  const figures = new Set(fuller.flatMap((fact) => [...fact.numbers]));
  return (
    own.size > 0 &&
    contained(own, other) >= HELD &&
    less.every((fact) => [...fact.numbers].every((number) => figures.has(number))) &&
    denied(less) === denied(fuller)
  );
}

const stemsOf = (point: Point): Set<string> => new Set(point.flatMap((fact) => [...fact.stems]));
const denied = (point: Point): boolean => point.some((fact) => NEGATIVE.test(fact.sentence.text));
