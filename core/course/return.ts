import { sameData } from '../document/canonical';
import { allLessons, type Course, type CourseNode, type Lesson, type Module, type NodeKind } from './course';
import { pageOperations } from './lesson-changes';
import type { Operation } from './operations';
import { FIELDS } from './shapes';

/**
 * The operations that bring a course back to how it once was, all but its bin: what was taken out comes in again, what
 * came since goes to the bin, the rest is moved and set. One gesture, and as such undone like any other.
 */
export function operationsTo(now: Course, then: Course): Operation[] {
  const wanted = new Set([...then.modules, ...allLessons(then)].map((node) => node.id));
  const leaving = new Set(
    [...now.modules, ...allLessons(now)].filter((node) => !wanted.has(node.id)).map((node) => node.id),
  );
  return [
    ...fieldsTo('course', now.id, now, then),
    ...listTo('objective', now.id, now.objectives, then.objectives, false),
    ...listTo('check', now.id, now.checks, then.checks, false),
    ...modulesTo(now, then),
    ...allLessons(then).flatMap((lesson) =>
      pageOperations(lesson.id, allLessons(now).find((each) => each.id === lesson.id)?.blocks ?? [], lesson.blocks),
    ),
    ...pointsTo(now, then),
    ...now.modules.flatMap((module): Operation[] =>
      leaving.has(module.id)
        ? [{ type: 'remove', id: module.id }]
        : module.lessons
            .filter((lesson) => leaving.has(lesson.id))
            .map((lesson): Operation => ({ type: 'remove', id: lesson.id })),
    ),
    ...listTo('objective', now.id, now.objectives, then.objectives, true),
    ...listTo('check', now.id, now.checks, then.checks, true),
    ...listTo('term', now.id, now.glossary, then.glossary, undefined),
    ...listTo('take', now.id, now.takes, then.takes, undefined),
    ...listTo('answer', now.id, now.answers ?? [], then.answers ?? [], undefined),
    ...listTo('medium', now.id, now.media ?? [], then.media ?? [], undefined),
  ];
}

/**
 * Modules and lessons in their places, new ones without their pages. A lesson in a module that goes is moved out of it
 * first.
 */
function modulesTo(now: Course, then: Course): Operation[] {
  const modules = new Map(now.modules.map((module) => [module.id, module]));
  const lessons = new Map(allLessons(now).map((lesson) => [lesson.id, lesson]));
  return then.modules.flatMap((module, at): Operation[] => {
    const after = at > 0 ? then.modules[at - 1].id : null;
    const known = modules.get(module.id);
    return [
      known
        ? { type: 'move', id: module.id, parent: now.id, after }
        : { type: 'insert', kind: 'module', parent: now.id, after, node: { ...module, lessons: [] } satisfies Module },
      ...(known ? fieldsTo('module', module.id, known, module) : []),
      ...module.lessons.flatMap((lesson, index): Operation[] => {
        const before = index > 0 ? module.lessons[index - 1].id : null;
        const own = lessons.get(lesson.id);
        return own
          ? [
              { type: 'move', id: lesson.id, parent: module.id, after: before },
              ...fieldsTo('lesson', lesson.id, own, lesson),
            ]
          : [
              {
                type: 'insert',
                kind: 'lesson',
                parent: module.id,
                after: before,
                node: withoutParts(lesson),
              },
            ];
      }),
    ];
  });
}

/** The points of lessons, which may have come from one lesson into another by splitting or joining. */
function pointsTo(now: Course, then: Course): Operation[] {
  const old = new Map(allLessons(now).flatMap(({ points = [] }) => points.map((point) => [point.id, point] as const)));
  const wanted = allLessons(then).flatMap(({ id, points = [] }) =>
    points.map((point, at) => ({ point, parent: id, after: points[at - 1]?.id ?? null })),
  );
  const kept = new Set(wanted.map(({ point }) => point.id));
  return [
    ...wanted.flatMap(({ point, parent, after }): Operation[] => {
      const own = old.get(point.id);
      return own
        ? [{ type: 'move', id: point.id, parent, after }, ...fieldsTo('point', point.id, own, point)]
        : [{ type: 'insert', kind: 'point', parent, after, node: point }];
    }),
    ...[...old.keys()].filter((id) => !kept.has(id)).map((id): Operation => ({ type: 'remove', id })),
  ];
}

/** A lesson before its page and its points come into it. */
function withoutParts(lesson: Lesson): Lesson {
  const bare = { ...lesson, blocks: [] };
  delete bare.points;
  return bare;
}

/**
 * One list of the course: what is missing or another comes in (`leaving` false), what is too much goes (true), or both
 * (undefined).
 */
function listTo(
  kind: NodeKind,
  parent: string,
  now: readonly CourseNode[],
  then: readonly CourseNode[],
  leaving: boolean | undefined,
): Operation[] {
  const old = new Map(now.map((node) => [node.id, node]));
  const wanted = new Set(then.map((node) => node.id));
  const coming =
    leaving === true
      ? []
      : then.flatMap((node, at): Operation[] => {
          const after = at > 0 ? then[at - 1].id : null;
          const known = old.get(node.id);
          return known
            ? [{ type: 'move', id: node.id, parent, after }, ...fieldsTo(kind, node.id, known, node)]
            : [{ type: 'insert', kind, parent, after, node }];
        });
  const going =
    leaving === false
      ? []
      : now.filter((node) => !wanted.has(node.id)).map((node): Operation => ({ type: 'remove', id: node.id }));
  return [...coming, ...going];
}

/** The fields of a node that differ. */
function fieldsTo(kind: NodeKind | 'course', id: string, now: object, then: object): Operation[] {
  return Object.keys(FIELDS[kind]).flatMap((field): Operation[] => {
    const [was, value] = [now, then].map((node) => (node as Record<string, unknown>)[field] ?? null);
    return sameData(was, value) ? [] : [{ type: 'set', id, field, value, was }];
  });
}
