import { OWN_CHECK_FIELDS } from '../checks/forms';
import { sameData } from '../document/canonical';
import { allLessons, type Course } from './course';
import type { Operation } from './operations';
import type { PassageRange } from '../document/rich-text';

/** A passage that a newer version of its source words differently. */
export interface Reworded {
  id: string;
  before: string;
  after: string;
  afterId: string;
}

/**
 * What in a course stands on reworded passages follows them where its own words stand there still, letter by letter;
 * what was planned from them is planned from what they became. What stands on words that are gone stays, and is stale.
 */
export function followReworded(course: Course, reworded: readonly Reworded[]): Operation[] {
  if (reworded.length === 0) return [];
  const byId = new Map(reworded.map((each) => [each.id, each]));
  const moved = <Value>(value: Value): Value => mapRanges(value, (range) => followed(range, byId)) as Value;
  const set = (id: string, field: string, was: unknown): Operation[] => {
    const value = moved(was);
    return sameData(value, was) ? [] : [{ type: 'set', id, field, value, was }];
  };
  return [
    ...course.objectives.flatMap((each) => set(each.id, 'evidence', each.evidence)),
    ...course.glossary.flatMap((each) => set(each.id, 'evidence', each.evidence)),
    ...course.checks.flatMap((each) => [
      ...set(each.id, 'evidence', each.evidence),
      ...OWN_CHECK_FIELDS.flatMap((field) => set(each.id, field, (each as unknown as Record<string, unknown>)[field])),
    ]),
    ...allLessons(course).flatMap((lesson) => {
      const follow = (id: string, field: string, was: readonly string[]): Operation[] => {
        const value = was.map((each) => byId.get(each)?.afterId ?? each);
        return sameData(value, was) ? [] : [{ type: 'set', id, field, value, was }];
      };
      return [
        ...follow(lesson.id, 'plannedPassages', lesson.plannedPassages),
        ...(lesson.given ? follow(lesson.id, 'given', lesson.given) : []),
        ...(lesson.points ?? []).flatMap((point) => follow(point.id, 'passages', point.passages)),
        ...lesson.blocks.flatMap((block) => [
          ...set(block.id, 'body', block.body),
          ...(block.evidence ? set(block.id, 'evidence', block.evidence) : []),
        ]),
      ];
    }),
  ];
}

/** A range where its words stand now; as it was when they do not. */
function followed(range: PassageRange, byId: ReadonlyMap<string, Reworded>): PassageRange {
  const passage = byId.get(range.id);
  const words = passage?.before.slice(range.from, range.to);
  const from = passage && words ? passage.after.indexOf(words) : -1;
  if (!passage || from < 0) return range;
  const by = from - range.from;
  return {
    ...range,
    id: passage.afterId,
    from,
    to: range.to + by,
    ...(range.edits && { edits: range.edits.map((edit) => ({ ...edit, from: edit.from + by, to: edit.to + by })) }),
  };
}

/** A value with every range of a passage in it changed. */
function mapRanges(value: unknown, change: (range: PassageRange) => PassageRange): unknown {
  if (Array.isArray(value)) return value.map((each) => mapRanges(each, change));
  if (value === null || typeof value !== 'object') return value;
  const { id, from, to } = value as Partial<PassageRange>;
  if (typeof id === 'string' && typeof from === 'number' && typeof to === 'number')
    return change(value as PassageRange);
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, mapRanges(each, change)]));
}
