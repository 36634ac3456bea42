import { checksOn } from '../blocks/forms';
import type { Check } from '../checks/forms';
import { sameData } from '../document/canonical';
import { allLessons, type Answer, type Course, type Lesson, type Module, type Objective } from './course';
import { removeRows } from './gestures';
import type { LeftOut } from './left-out';
import type { Operation } from './operations';

/**
 * A drafted outline as nodes of a course: blank lessons with their passages, and what their learners can do afterwards.
 */
export interface OutlineNodes {
  modules: Module[];
  objectives: Objective[];
  /** What of the sources is in none of its lessons. */
  leftOut?: LeftOut[];
  /** What its author is asked, as open slots of lessons. */
  answers?: Answer[];
  /** Checks that its pages place: those of an earlier version. */
  checks?: Check[];
}

/** A row of two outlines side by side: what is the same in both, or stands in one alone. */
export interface RowPair {
  kind: 'module' | 'lesson';
  /** The row's id in the author's outline, and in the other. */
  mine?: string;
  other?: string;
}

/**
 * The operations that take an outline into a course. A lesson or module that is there already stays as it is, words,
 * title and state, and only finds its new place; new ones come in blank; what the outline does not have goes to the
 * bin.
 */
export function takeOutline(
  course: Course,
  { modules, objectives, leftOut = [], answers = [] }: OutlineNodes,
): Operation[] {
  const here = new Set([
    ...course.modules.map((module) => module.id),
    ...allLessons(course).map((lesson) => lesson.id),
  ]);
  const wanted = new Set([
    ...modules.map((module) => module.id),
    ...modules.flatMap((module) => module.lessons.map((lesson) => lesson.id)),
  ]);
  const known = new Set(course.objectives.map((objective) => objective.id));
  const fresh = new Set(
    modules.flatMap((module) =>
      module.lessons.filter((lesson) => !here.has(lesson.id)).flatMap((lesson) => lesson.objectiveIds),
    ),
  );
  const incoming = objectives.filter((objective) => fresh.has(objective.id) && !known.has(objective.id));
  const reachable = new Set([...known, ...incoming.map((objective) => objective.id)]);
  const kept = (ids: readonly string[]) => ids.filter((id) => reachable.has(id));
  const gone = allLessons(course)
    .filter((lesson) => !wanted.has(lesson.id))
    .map((lesson) => lesson.id);
  return [
    ...incoming.map((node, at): Operation => ({
      type: 'insert',
      kind: 'objective',
      parent: course.id,
      after: at > 0 ? incoming[at - 1].id : (course.objectives.at(-1)?.id ?? null),
      node,
    })),
    ...modules.flatMap((module, at): Operation[] => {
      const after = at > 0 ? modules[at - 1].id : null;
      const place: Operation = here.has(module.id)
        ? { type: 'move', id: module.id, parent: course.id, after }
        : {
            type: 'insert',
            kind: 'module',
            parent: course.id,
            after,
            node: { ...module, objectiveIds: kept(module.objectiveIds), lessons: [] },
          };
      return [
        place,
        ...module.lessons.map((lesson, index): Operation => {
          const before = index > 0 ? module.lessons[index - 1].id : null;
          return here.has(lesson.id)
            ? { type: 'move', id: lesson.id, parent: module.id, after: before }
            : {
                type: 'insert',
                kind: 'lesson',
                parent: module.id,
                after: before,
                node: { ...lesson, objectiveIds: kept(lesson.objectiveIds) },
              };
        }),
      ];
    }),
    ...removeRows(course, [
      ...course.modules.filter((module) => !wanted.has(module.id)).map((module) => module.id),
      ...gone,
    ]),
    ...course.checks
      .filter((check) => check.drafted && gone.includes(check.lessonId))
      .map((check): Operation => ({ type: 'remove', id: check.id })),
    ...askAlso(course, answers),
    ...tellLeftOut(course, leftOut),
  ];
}

/** Open slots that are not there yet, behind those that are. */
const askAlso = (course: Course, asked: readonly Answer[]): Operation[] =>
  appended('answer', course, course.answers ?? [], asked);

/** Writes down what drafting left out of the sources. */
export function tellLeftOut(course: Course, leftOut: readonly LeftOut[]): Operation[] {
  const value = leftOut.length > 0 ? leftOut : null;
  const was = course.leftOut ?? null;
  return sameData(value, was) ? [] : [{ type: 'set', id: course.id, field: 'leftOut', value, was }];
}

/**
 * The operations that pull rows of another outline into a course, each behind the row it stands behind there (`pairs`:
 * both outlines, in order). A lesson whose module is pulled too goes into that, one of a module that is not goes into
 * the one above it. With `place`, an own row, all go behind that. Objectives, checks and open slots come with them.
 */
export function pullRows(
  course: Course,
  other: OutlineNodes,
  pairs: readonly RowPair[],
  wanted: ReadonlySet<string>,
  place?: string,
): Operation[] {
  const modules = new Map(other.modules.map((module) => [module.id, module]));
  const lessons = new Map(
    other.modules.flatMap((module) => module.lessons.map((lesson) => [lesson.id, { lesson, module }])),
  );
  const rows: Operation[] = [];
  const pulled: Lesson[] = [];
  let module = course.modules[0]?.id;
  let after: string | null = null;
  let lastModule: string | null = null;
  const pointed = course.modules.find(({ id, lessons: own }) => id === place || own.some((each) => each.id === place));
  if (pointed) [module, lastModule, after] = [pointed.id, pointed.id, pointed.id === place ? null : place!];
  const begin = (node: Module) => {
    rows.push({
      type: 'insert',
      kind: 'module',
      parent: course.id,
      after: lastModule,
      node: { ...node, objectiveIds: node.objectiveIds.filter(reachable), lessons: [] },
    });
    [module, lastModule, after] = [node.id, node.id, null];
  };
  const reachable = reachableIn(course, other, wanted);
  for (const pair of pairs) {
    const own = pair.mine;
    if (pair.kind === 'module') {
      if (own !== undefined) [module, lastModule, after] = pointed ? [module, lastModule, after] : [own, own, null];
      else if (wanted.has(pair.other!)) begin(modules.get(pair.other!)!);
      continue;
    }
    if (own !== undefined) after = pointed ? after : own;
    else if (wanted.has(pair.other!)) {
      const { lesson, module: home } = lessons.get(pair.other!)!;
      if (module === undefined) begin(home);
      const node = { ...lesson, objectiveIds: lesson.objectiveIds.filter(reachable) };
      rows.push({ type: 'insert', kind: 'lesson', parent: module!, after, node });
      pulled.push(lesson);
      after = lesson.id;
    }
  }
  const ids = new Set(pulled.map(({ id }) => id));
  return [
    ...appended(
      'objective',
      course,
      course.objectives,
      other.objectives.filter(({ id }) => reachable(id)),
    ),
    ...appended('check', course, course.checks, checksFor(pulled, other)),
    ...rows,
    ...askAlso(
      course,
      (other.answers ?? []).filter(({ lesson }) => lesson !== undefined && ids.has(lesson)),
    ),
  ];
}

/** Whether an objective is there, or comes with what is pulled. */
function reachableIn(course: Course, other: OutlineNodes, wanted: ReadonlySet<string>): (id: string) => boolean {
  const known = new Set(course.objectives.map(({ id }) => id));
  const held = new Set(other.objectives.map(({ id }) => id));
  const coming = other.modules.flatMap((module) => [
    ...(wanted.has(module.id) ? module.objectiveIds : []),
    ...module.lessons.filter(({ id }) => wanted.has(id)).flatMap(({ objectiveIds }) => objectiveIds),
  ]);
  const all = new Set([...known, ...coming.filter((id) => held.has(id))]);
  return (id) => all.has(id);
}

function checksFor(lessons: readonly Lesson[], { checks = [] }: OutlineNodes): Check[] {
  const placed = new Set(lessons.flatMap(checksOn));
  return checks.filter(({ id }) => placed.has(id));
}

/** Nodes that a list of the course does not have yet, behind its last. */
function appended<Node extends Objective | Check | Answer>(
  kind: 'objective' | 'check' | 'answer',
  { id }: Course,
  list: readonly Node[],
  nodes: readonly Node[],
): Operation[] {
  const here = new Set(list.map((each) => each.id));
  const fresh = nodes.filter((node) => !here.has(node.id));
  return fresh.map((node, at): Operation => ({
    type: 'insert',
    kind,
    parent: id,
    after: at > 0 ? fresh[at - 1].id : (list.at(-1)?.id ?? null),
    node,
  }));
}
