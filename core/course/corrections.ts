import type { Correction, Course } from './course';
import { idFrom, shortHash } from '../document/id';
import type { Operation } from './operations';

/** Two corrections of one place that cannot both be: the later one takes the place of the earlier. */
const USE = new Set<Correction['kind']>(['leave-out', 'furniture', 'focus']);

/**
 * The hash by which a correction remembers the words of a claim: it holds for the same words wherever they are read
 * again.
 */
export const claimHash = (claim: { text: string }): string => shortHash(claim.text, 16);

/** Corrects how a source is read or used. What it contradicts at the same place goes. */
export function correct(course: Course, correction: Omit<Correction, 'id'>): Operation[] {
  const made: Correction = {
    id: idFrom('k', correction.kind, correction.place, correction.claim ?? '', correction.words ?? ''),
    ...correction,
  };
  const against = (other: Correction) =>
    other.id === made.id || (other.place === made.place && USE.has(made.kind) && USE.has(other.kind));
  return set(course, 'corrections', [...(course.corrections ?? []).filter((each) => !against(each)), made]);
}

/** Makes some passages what the course is about above all, in place of what was so before. */
export function focusOn(course: Course, passages: readonly { id: string; sourceId: string }[]): Operation[] {
  const places = new Set(passages.map((passage) => passage.id));
  const others = (course.corrections ?? []).filter(
    (each) => each.kind !== 'focus' && !(USE.has(each.kind) && places.has(each.place)),
  );
  return set(course, 'corrections', [
    ...others,
    ...passages.map(({ id, sourceId }): Correction => ({
      id: idFrom('k', 'focus', id, '', ''),
      kind: 'focus',
      sourceId,
      place: id,
    })),
  ]);
}

/** Corrections of how a source is read, which hold for any course; the others say how one course uses it. */
const OF_READING = new Set<Correction['kind']>(['furniture', 'no-heading', 'heading', 'not']);

/**
 * What another course corrected in the reading of a source, and this one says nothing of: neither the same nor anything
 * else at that place.
 */
export function correctedElsewhere(course: Course, other: Course, sourceId: string): Correction[] {
  const own = (course.corrections ?? []).filter((each) => each.sourceId === sourceId);
  return (other.corrections ?? []).filter(
    (each) =>
      each.sourceId === sourceId &&
      OF_READING.has(each.kind) &&
      !own.some(
        (mine) => mine.id === each.id || (mine.place === each.place && each.kind !== 'not' && mine.kind !== 'not'),
      ),
  );
}

/** Takes over corrections that another course made. */
export function takeOver(course: Course, corrections: readonly Correction[]): Operation[] {
  const known = new Set((course.corrections ?? []).map((each) => each.id));
  return set(course, 'corrections', [
    ...(course.corrections ?? []),
    ...corrections.filter((each) => !known.has(each.id)),
  ]);
}

/** Takes a correction back. */
export function uncorrect(course: Course, id: string): Operation[] {
  return set(
    course,
    'corrections',
    (course.corrections ?? []).filter((each) => each.id !== id),
  );
}

/** Says whether a source leads or only supports. */
export function setStanding(course: Course, sourceId: string, supports: boolean): Operation[] {
  const others = (course.supporting ?? []).filter((id) => id !== sourceId);
  return set(course, 'supporting', supports ? [...others, sourceId] : others);
}

function set(course: Course, field: 'corrections' | 'supporting', value: readonly unknown[]): Operation[] {
  return [{ type: 'set', id: course.id, field, value: value.length > 0 ? value : null, was: course[field] ?? null }];
}
