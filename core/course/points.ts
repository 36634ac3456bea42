import { sameData } from '../document/canonical';
import type { Lesson, Point } from './course';
import { giveTo } from './gestures';
import type { Operation } from './operations';

/** What an author does to the points of a lesson, as operations; none where the gesture means nothing. */

/** A point typed below another (null: first); behind the last where none is named. */
export function newPointBelow(lesson: Lesson, point: Point, after?: string | null): Operation[] {
  const place = after === undefined ? (lesson.points?.at(-1)?.id ?? null) : after;
  return [{ type: 'insert', kind: 'point', parent: lesson.id, after: place, node: point }];
}

/** Points laid behind those that are there; one whose passages all stand at a point already brings nothing new. */
export function takePoints(lesson: Lesson, points: readonly Point[]): Operation[] {
  const has = new Set((lesson.points ?? []).flatMap(({ passages }) => passages));
  const ids = new Set((lesson.points ?? []).map(({ id }) => id));
  const fresh = points.filter(({ id, passages }) => !ids.has(id) && passages.some((passage) => !has.has(passage)));
  return fresh.map((node, at): Operation => ({
    type: 'insert',
    kind: 'point',
    parent: lesson.id,
    after: at > 0 ? fresh[at - 1].id : (lesson.points?.at(-1)?.id ?? null),
    node,
  }));
}

/** A point one place up or down. */
export function movePoint({ id, points = [] }: Lesson, point: string, by: -1 | 1): Operation[] {
  const at = points.findIndex((each) => each.id === point);
  if (at < 0 || !points[at + by]) return [];
  const after = points[by < 0 ? at - 2 : at + 1]?.id ?? null;
  return [{ type: 'move', id: point, parent: id, after }];
}

/**
 * Points taken out, and with them what they would have said: their passages are planned for the lesson no more, and
 * lie among what is not used.
 */
export function removePoints(lesson: Lesson, points: readonly string[]): Operation[] {
  const going = (lesson.points ?? []).filter(({ id }) => points.includes(id));
  const staying = new Set(
    (lesson.points ?? []).filter((point) => !going.includes(point)).flatMap(({ passages }) => passages),
  );
  const gone = new Set(going.flatMap(({ passages }) => passages).filter((id) => !staying.has(id)));
  const without = (field: 'plannedPassages' | 'given'): Operation[] => {
    const was = lesson[field];
    const value = (was ?? []).filter((id) => !gone.has(id));
    if (was === undefined || sameData(value, was)) return [];
    return [{ type: 'set', id: lesson.id, field, value: field === 'given' && value.length === 0 ? null : value, was }];
  };
  return [
    ...going.map(({ id }): Operation => ({ type: 'remove', id })),
    ...without('plannedPassages'),
    ...without('given'),
  ];
}

/** Passages given to a point, and to its lesson. */
export function giveToPoint(lesson: Lesson, point: Point, passages: readonly string[]): Operation[] {
  const fresh = passages.filter((id) => !point.passages.includes(id));
  return fresh.length === 0
    ? []
    : [
        {
          type: 'set',
          id: point.id,
          field: 'passages',
          value: [...point.passages, ...fresh],
          was: point.passages,
        },
        ...giveTo(lesson, fresh),
      ];
}
