import { sameData } from '../document/canonical';
import { allLessons, type Course, type Module, type Take } from './course';
import { blankModule, placeLessons } from './gestures';
import { letStand, takeText } from './conflicts';
import type { Operation } from './operations';

/** Lessons of neighbouring modules in an order and grouping of their own; lessons by id. */
export interface Arrangement {
  modules: { id: string; title: string; lessons: string[] }[];
}

/** A take that holds another arrangement of its module's lessons, and of those it is joined with. */
export type ArrangementTake = Take & { field: 'arrangement'; value: Arrangement };
export const isArrangement = (take: Take): take is ArrangementTake => take.field === 'arrangement';

/** The modules of a course that an arrangement is about: those it names, and those its lessons stand in now. */
function touchedBy(course: Course, { modules }: Arrangement): Module[] {
  const [ids, lessons] = [modules.map(({ id }) => id), modules.flatMap((module) => module.lessons)];
  return course.modules.filter(
    (module) => ids.includes(module.id) || module.lessons.some(({ id }) => lessons.includes(id)),
  );
}

/** How the lessons that an arrangement is about stand now. */
export function standingArrangement(course: Course, arrangement: Arrangement): Arrangement {
  return {
    modules: touchedBy(course, arrangement).map(({ id, title, lessons }) => ({
      id,
      title,
      lessons: lessons.map((lesson) => lesson.id),
    })),
  };
}

/**
 * The operations that arrange lessons. Modules that are named stand one behind the other; new ones are made, or come
 * back from the bin. A lesson that is not named stays in its module, or goes to the last that is named; modules left
 * without lessons go. None where all stands so.
 */
export function arrange(course: Course, arrangement: Arrangement): Operation[] {
  const known = new Set(allLessons(course).map(({ id }) => id));
  const here = new Map(course.modules.map((module) => [module.id, module]));
  const touched = touchedBy(course, arrangement);
  const wanted = arrangement.modules.map((module) => ({
    ...module,
    lessons: module.lessons.filter((id) => known.has(id)),
  }));
  if (wanted.length === 0 || touched.length === 0) return [];
  const named = new Set(wanted.flatMap(({ lessons }) => lessons));
  for (const module of touched) {
    const home = wanted.find(({ id }) => id === module.id) ?? wanted.at(-1)!;
    home.lessons.push(...module.lessons.map(({ id }) => id).filter((id) => !named.has(id)));
  }
  const ids = course.modules.map(({ id }) => id);
  let before: string | null = ids[ids.indexOf(touched[0].id) - 1] ?? null;
  const places = wanted.flatMap(({ id, title }): Operation[] => {
    const after = before;
    before = id;
    if (here.has(id))
      return (ids[ids.indexOf(id) - 1] ?? null) === after ? [] : [{ type: 'move', id, parent: course.id, after }];
    const binned = course.bin.find(({ kind, node }) => kind === 'module' && node.id === id)?.node as Module | undefined;
    const node = binned ? { ...binned, objectiveIds: [], lessons: [] } : blankModule(id, title);
    return [{ type: 'insert', kind: 'module', parent: course.id, after, node }];
  });
  const moves = wanted.flatMap(({ id, lessons }) =>
    sameData(
      here.get(id)?.lessons.map((lesson) => lesson.id),
      lessons,
    )
      ? []
      : placeLessons(lessons, id, null),
  );
  const gone = touched.filter(({ id }) => !wanted.some((module) => module.id === id));
  return [...places, ...moves, ...gone.map(({ id }): Operation => ({ type: 'remove', id }))];
}

/** Other takes of a row of the outline: of its title, of what its learner can do, of its matter, of its lessons. */
export function takesOfRow(course: Course, row: string): Take[] {
  const lesson = allLessons(course).find(({ id }) => id === row);
  const [objective] = lesson?.objectiveIds ?? [];
  return course.takes.filter(
    ({ of, field }) =>
      (of === row && (field === 'title' || field === 'plannedPassages' || field === 'arrangement')) ||
      (of === objective && field === 'text'),
  );
}

/** A take of a row changes places with what stands: what stood is kept in its stead, without the name it had. */
export function takeRow(course: Course, take: Take): Operation[] {
  const unnamed: Operation[] =
    take.name === undefined ? [] : [{ type: 'set', id: take.id, field: 'name', value: null, was: take.name }];
  if (!isArrangement(take)) {
    const swap = takeText(course, take);
    return swap.some((operation) => operation.type === 'remove' && operation.id === take.id)
      ? swap
      : [...swap, ...unnamed];
  }
  const operations = arrange(course, take.value);
  if (operations.length === 0) return [{ type: 'remove', id: take.id, bin: null }];
  const now = standingArrangement(course, take.value);
  return [
    ...operations,
    { type: 'set', id: take.id, field: 'value', value: now, was: take.value },
    ...letStand(take),
    ...unnamed,
  ];
}

/** Lays takes beside what stands; those that lie there, or in the bin, are not laid there again. */
export function layTakes(course: Course, takes: readonly Take[]): Operation[] {
  const gone = new Set([...course.takes.map(({ id }) => id), ...course.bin.map(({ node }) => node.id)]);
  const fresh = takes.filter(
    ({ id, of, field, value }) =>
      !gone.has(id) &&
      !course.takes.some((take) => take.of === of && take.field === field && sameData(take.value, value)),
  );
  return fresh.map((node, at): Operation => ({
    type: 'insert',
    kind: 'take',
    parent: course.id,
    after: at > 0 ? fresh[at - 1].id : (course.takes.at(-1)?.id ?? null),
    node,
  }));
}
