import type { Course } from '../../course/course';

/**
 * Fields whose value is the id of something, and lists of such. Everything else is words, and never taken for an id.
 */
const ID_FIELDS = new Set([
  'id',
  'parent',
  'after',
  'of',
  'lesson',
  'lessonId',
  'checkId',
  'objectiveId',
  'sourceId',
  'ofSource',
  'place',
]);
const ID_LISTS = new Set(['objectiveIds', 'plannedPassages', 'given', 'supporting', 'passages', 'lessons', 'value']);

/**
 * A course under another id, that stands on sources under other ids: `ids` leads from the old ones to the new ones.
 * Words and keys stay as they are.
 */
export function withIds(course: Course, ids: ReadonlyMap<string, string>): Course {
  const to = (value: unknown): unknown => (typeof value === 'string' ? (ids.get(value) ?? value) : value);
  const mapped = (value: unknown, field?: string): unknown => {
    if (Array.isArray(value))
      return value.map((each) => (typeof each === 'string' && field && ID_LISTS.has(field) ? to(each) : mapped(each)));
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, mapped(each, key)]));
    return field && ID_FIELDS.has(field) ? to(value) : value;
  };
  return mapped(course) as Course;
}
