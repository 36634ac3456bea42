import { allLessons, type Course, type Lesson, type Module, type Objective } from './course';
import type { Operation } from './operations';

/**
 * What an author does to an outline, as operations. Every function gives an empty list where the gesture means nothing.
 */

export function blankLesson(id: string, title: string): Lesson {
  return { id, title, kind: 'lesson', objectiveIds: [], state: 'blank', plannedPassages: [], blocks: [] };
}

export function blankModule(id: string, title: string, lessons: Lesson[] = []): Module {
  return { id, title, purpose: '', objectiveIds: [], lessons };
}

/** The module a lesson stands in. */
export function moduleOf(course: Course, lessonId: string): Module | undefined {
  return course.modules.find((module) => module.lessons.some((lesson) => lesson.id === lessonId));
}

/**
 * A new lesson below a row: behind a lesson, or first in a module. In a course without modules a module comes with it.
 */
export function newLessonBelow(
  course: Course,
  row: string | null,
  ids: { lesson: string; module: string },
  titles: { lesson: string; module: string },
): Operation[] {
  const lesson = blankLesson(ids.lesson, titles.lesson);
  const module =
    course.modules.find((each) => each.id === row) ?? (row ? moduleOf(course, row) : course.modules.at(-1));
  if (!module)
    return [
      {
        type: 'insert',
        kind: 'module',
        parent: course.id,
        after: null,
        node: blankModule(ids.module, titles.module, [lesson]),
      },
    ];
  const after = module.lessons.some((each) => each.id === row)
    ? row
    : row === null
      ? (module.lessons.at(-1)?.id ?? null)
      : null;
  return [{ type: 'insert', kind: 'lesson', parent: module.id, after, node: lesson }];
}

/** A new lesson below a row with passages that were given to it: what no lesson uses yet. */
export function newLessonWith(
  course: Course,
  row: string | null,
  ids: { lesson: string; module: string },
  { title, passages }: { title: string; passages: readonly string[] },
): Operation[] {
  const [first] = newLessonBelow(course, row, ids, { lesson: title, module: title });
  const given = (lesson: Lesson): Lesson => ({ ...lesson, given: [...passages] });
  if (!first || first.type !== 'insert' || passages.length === 0) return [];
  const node =
    first.kind === 'module'
      ? { ...(first.node as Module), lessons: (first.node as Module).lessons.map(given) }
      : given(first.node as Lesson);
  return [{ ...first, node }];
}

/** A new module behind the one a row belongs to. */
export function newModuleBelow(course: Course, row: string | null, id: string, title: string): Operation[] {
  const at =
    course.modules.find((each) => each.id === row) ??
    (row ? moduleOf(course, row) : undefined) ??
    course.modules.at(-1);
  return [{ type: 'insert', kind: 'module', parent: course.id, after: at?.id ?? null, node: blankModule(id, title) }];
}

/**
 * Outdent: a lesson begins a module of its title, and takes the lessons behind it along. Nothing of the lesson is lost:
 * it is the module's first.
 */
export function beginModuleAt(course: Course, lessonId: string, id: string): Operation[] {
  const module = moduleOf(course, lessonId);
  const at = module?.lessons.findIndex((lesson) => lesson.id === lessonId) ?? -1;
  if (!module || at <= 0) return [];
  const moved = module.lessons.slice(at);
  return [
    { type: 'insert', kind: 'module', parent: course.id, after: module.id, node: blankModule(id, moved[0].title) },
    ...moved.map((lesson, index): Operation => ({
      type: 'move',
      id: lesson.id,
      parent: id,
      after: index === 0 ? null : moved[index - 1].id,
    })),
  ];
}

/**
 * Indent: a module's lessons join the module before it; one without lessons becomes a lesson there, under the id given.
 */
export function joinModuleBefore(course: Course, moduleId: string, id: string): Operation[] {
  const at = course.modules.findIndex((module) => module.id === moduleId);
  if (at <= 0) return [];
  const [before, module] = [course.modules[at - 1], course.modules[at]];
  const last = before.lessons.at(-1)?.id ?? null;
  const removed: Operation = { type: 'remove', id: moduleId };
  if (module.lessons.length === 0)
    return [
      removed,
      { type: 'insert', kind: 'lesson', parent: before.id, after: last, node: blankLesson(id, module.title) },
    ];
  return [
    ...module.lessons.map((lesson, index): Operation => ({
      type: 'move',
      id: lesson.id,
      parent: before.id,
      after: index === 0 ? last : module.lessons[index - 1].id,
    })),
    removed,
  ];
}

/** Rows moved by one place, up or down, across borders of modules. Rows of one kind, in order. */
export function moveRows(course: Course, rows: readonly string[], by: -1 | 1): Operation[] {
  const modules = course.modules.filter((module) => rows.includes(module.id)).map((module) => module.id);
  if (modules.length > 0)
    return moveWithin(
      course.modules.map((module) => module.id),
      modules,
      by,
      course.id,
    );
  const lessons = allLessons(course)
    .filter((lesson) => rows.includes(lesson.id))
    .map((lesson) => lesson.id);
  if (lessons.length === 0) return [];
  const home = moduleOf(course, by < 0 ? lessons[0] : lessons.at(-1)!)!;
  const ids = home.lessons.map((lesson) => lesson.id);
  const edge = by < 0 ? ids.indexOf(lessons[0]) : ids.length - 1 - ids.indexOf(lessons.at(-1)!);
  const together = lessons.every((id) => ids.includes(id));
  if (together && edge > 0) return moveWithin(ids, lessons, by, home.id);
  const neighbour = course.modules[course.modules.indexOf(home) + by];
  if (!neighbour) return [];
  return placeLessons(lessons, neighbour.id, by < 0 ? (neighbour.lessons.at(-1)?.id ?? null) : null);
}

/** Lessons put below a module, behind a lesson of it (null: first), in the order given. */
export function placeLessons(lessons: readonly string[], module: string, after: string | null): Operation[] {
  return lessons.map((id, index): Operation => ({
    type: 'move',
    id,
    parent: module,
    after: index === 0 ? after : lessons[index - 1],
  }));
}

function moveWithin(ids: readonly string[], rows: readonly string[], by: -1 | 1, parent: string): Operation[] {
  const rest = ids.filter((id) => !rows.includes(id));
  const first = ids.indexOf(rows[0]);
  const at = Math.max(0, Math.min(rest.length, ids.slice(0, first).filter((id) => !rows.includes(id)).length + by));
  if (rest.slice(0, at).concat(rows, rest.slice(at)).join() === ids.join()) return [];
  return rows.map((id, index): Operation => ({
    type: 'move',
    id,
    parent,
    after: index === 0 ? (rest[at - 1] ?? null) : rows[index - 1],
  }));
}

/** Rows taken out into the bin; a lesson of a module that goes as a whole is not taken out twice. */
export function removeRows(course: Course, rows: readonly string[]): Operation[] {
  return rows
    .filter(
      (id) =>
        course.modules.some((module) => module.id === id) ||
        !course.modules.some((module) => rows.includes(module.id) && module.lessons.some((lesson) => lesson.id === id)),
    )
    .filter((id) => course.modules.some((module) => module.id === id) || moduleOf(course, id))
    .map((id): Operation => ({ type: 'remove', id }));
}

/** What its author says can be done afterwards, as an objective; it stands on no passage. */
export const objectiveSaid = (id: string, text: string): Objective => ({
  id,
  verb: 'carry-out',
  object: text,
  level: 'apply',
  text,
  evidence: [],
});

/**
 * What a lesson's learner can do afterwards, in the author's words: its first objective is set, or one is made. Empty
 * words take it away. `was` is what stood there when its author began to type, where that is known.
 */
export function wordObjective(course: Course, lesson: Lesson, text: string, id: string, was?: string): Operation[] {
  const [first] = lesson.objectiveIds;
  const now = course.objectives.find((objective) => objective.id === first);
  const said = text.trim();
  if (now && said)
    return now.text === said ? [] : [{ type: 'set', id: now.id, field: 'text', value: said, was: was ?? now.text }];
  if (now)
    return [
      {
        type: 'set',
        id: lesson.id,
        field: 'objectiveIds',
        value: lesson.objectiveIds.slice(1),
        was: lesson.objectiveIds,
      },
    ];
  if (!said) return [];
  const node = objectiveSaid(id, said);
  return [
    { type: 'insert', kind: 'objective', parent: course.id, after: course.objectives.at(-1)?.id ?? null, node },
    {
      type: 'set',
      id: lesson.id,
      field: 'objectiveIds',
      value: [...lesson.objectiveIds, id],
      was: lesson.objectiveIds,
    },
  ];
}

/** One value for a field of several lessons; those that have it already make no difference. */
export function setOfLessons<Field extends 'state' | 'lessonKind' | 'minutesFixed'>(
  lessons: readonly Lesson[],
  field: Field,
  value: Lesson[Field],
): Operation[] {
  return lessons
    .filter((lesson) => lesson[field] !== value)
    .map((lesson) => ({ type: 'set', id: lesson.id, field, value: value ?? null, was: lesson[field] ?? null }));
}

/**
 * Gives passages to a lesson: they are drafted with it as they are, whatever the size. Those it has already make no
 * difference.
 */
export function giveTo(lesson: Lesson, passages: readonly string[]): Operation[] {
  const has = new Set([...lesson.plannedPassages, ...(lesson.given ?? [])]);
  const fresh = [...new Set(passages)].filter((id) => !has.has(id));
  return fresh.length === 0
    ? []
    : [
        {
          type: 'set',
          id: lesson.id,
          field: 'given',
          value: [...(lesson.given ?? []), ...fresh],
          was: lesson.given ?? null,
        },
      ];
}

/** Takes passages back that were given to a lesson; what was planned for it stays. */
export function takeBack(lesson: Lesson, passages: readonly string[]): Operation[] {
  const { given = [] } = lesson;
  const rest = given.filter((id) => !passages.includes(id));
  return rest.length === given.length
    ? []
    : [{ type: 'set', id: lesson.id, field: 'given', value: rest.length > 0 ? rest : null, was: given }];
}
