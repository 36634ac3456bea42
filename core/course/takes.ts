import type { Block } from '../blocks/forms';
import { sameData } from '../document/canonical';
import type { Check } from '../checks/forms';
import { checksOn, formOf } from '../blocks/forms';
import { allLessons, type Course, type Lesson, type Objective, type Take, type TakeMade } from './course';
import type { Operation } from './operations';
import type { Problem } from '../document/problem';

/** A whole page for a lesson, with what belongs to it: a draft, or what stood there before. */
export interface LessonPage {
  lesson: Lesson;
  objectives: Objective[];
  checks: Check[];
}

/** A take that holds a lesson's page; other takes hold one field of one part. */
export type PageTake = Take & { field: 'page'; value: LessonPage };

export function isPage(take: Take): take is PageTake {
  return take.field === 'page';
}

/** The pages kept beside a lesson, oldest first. */
export function pagesBeside(course: Course, lessonId: string): PageTake[] {
  return course.takes.filter((take): take is PageTake => take.of === lessonId && isPage(take));
}

/** Texts kept beside the parts of a lesson, with the part each would replace. */
export function textsBeside(course: Course, lesson: Lesson): { take: Take; block: Block }[] {
  const blocks = new Map(lesson.blocks.map((block) => [block.id, block]));
  return course.takes.flatMap((take) => {
    const block = take.field === 'body' ? blocks.get(take.of) : undefined;
    return block && fits(block, take.value) ? [{ take, block }] : [];
  });
}

/** Whether a block could hold a body: it is of its kind. */
function fits(block: Block, body: unknown): boolean {
  const problems: Problem[] = [];
  formOf(block).body.check(body, '', problems);
  return problems.length === 0;
}

/** Who lays something beside, and when. */
export type Maker = Pick<TakeMade, 'at' | 'by'>;

/** Whether an author worked on a lesson's page, so that a draft must not take its place: it is laid beside it. */
export function isWorkedOn({ state, blocks }: Pick<Lesson, 'state' | 'blocks'>): boolean {
  return blocks.length > 0 && state !== 'blank' && state !== 'drafted';
}

/**
 * Lays a page beside its lesson, which stays as it is. Nothing when the same lies there already, or stands on the page.
 */
export function keepBeside(course: Course, page: LessonPage, id: string, maker: Maker): Operation[] {
  const now = allLessons(course).find((lesson) => lesson.id === page.lesson.id);
  return now && !sameData(now.blocks, page.lesson.blocks)
    ? laidBeside(course, page, id, { ...maker, why: 'draft' })
    : [];
}

/**
 * Puts a page in the place of its lesson's. What stood there is kept beside it under the id given; questions drafted
 * for it that stand nowhere else go with it; objectives the author has stay.
 */
export function takePage(
  course: Course,
  { lesson, objectives, checks }: LessonPage,
  id: string,
  maker: Maker,
): Operation[] {
  const now = allLessons(course).find((each) => each.id === lesson.id);
  if (!now) return [];
  const elsewhere = new Set(
    allLessons(course)
      .filter((each) => each.id !== lesson.id)
      .flatMap(placedIn),
  );
  const old = course.checks.filter(
    (check) => check.lessonId === lesson.id && check.drafted && !check.refused && !elsewhere.has(check.id),
  );
  const gone = new Set(old.map((check) => check.id));
  const staying = course.checks.filter((check) => !gone.has(check.id));
  const taken = new Set(staying.map((check) => check.id));
  const known = new Set(course.objectives.map((objective) => objective.id));
  const wanted = now.objectiveIds.length > 0 ? [] : objectives.filter((objective) => !known.has(objective.id));
  const objectiveIds = now.objectiveIds.length > 0 ? now.objectiveIds : objectives.map((objective) => objective.id);
  const reachable = new Set([...known, ...wanted.map((objective) => objective.id)]);
  const fresh = checks
    .filter((check) => !taken.has(check.id))
    .map((check) => {
      const { objectiveId, ...rest } = check;
      return objectiveId && reachable.has(objectiveId) ? { ...rest, objectiveId } : rest;
    });
  const set = (field: 'objectiveIds' | 'plannedPassages' | 'state', value: unknown): Operation[] =>
    sameData(now[field], value) ? [] : [{ type: 'set', id: lesson.id, field, value, was: now[field] }];
  // What stood there is kept whole, so its parts need not lie in the bin one by one.
  const kept =
    now.blocks.length > 0 && !sameData(now.blocks, lesson.blocks)
      ? laidBeside(course, { lesson: now, objectives: [], checks: old }, id, { ...maker, why: 'replaced' })
      : [];
  return [
    ...kept,
    ...now.blocks.map((block): Operation => ({ type: 'remove', id: block.id, bin: null })),
    ...old.map((check): Operation => ({ type: 'remove', id: check.id, bin: null })),
    ...wanted.map((node, at): Operation => ({
      type: 'insert',
      kind: 'objective',
      parent: course.id,
      after: at > 0 ? wanted[at - 1].id : (course.objectives.at(-1)?.id ?? null),
      node,
    })),
    ...fresh.map((node, at): Operation => ({
      type: 'insert',
      kind: 'check',
      parent: course.id,
      after: at > 0 ? fresh[at - 1].id : (staying.at(-1)?.id ?? null),
      node,
    })),
    ...lesson.blocks.map((node, at): Operation => ({
      type: 'insert',
      kind: 'block',
      parent: lesson.id,
      after: at > 0 ? lesson.blocks[at - 1].id : null,
      node,
    })),
    ...set('objectiveIds', objectiveIds),
    ...(now.plannedPassages.length > 0 ? [] : set('plannedPassages', lesson.plannedPassages)),
    ...set('state', lesson.state === 'blank' ? 'drafted' : lesson.state),
  ];
}

/** A kept page changes places with the one that stands: it is taken, and lies beside the lesson no more. */
export function swapPage(course: Course, take: PageTake, id: string, maker: Maker): Operation[] {
  return [
    { type: 'remove', id: take.id, bin: null },
    ...takePage({ ...course, takes: course.takes.filter((each) => each.id !== take.id) }, take.value, id, maker),
  ];
}

/** Throws a take away: into the bin, like everything that is deleted. */
export function dropTake(id: string): Operation[] {
  return [{ type: 'remove', id }];
}

/** A kept text changes places with the one that stands. */
export function swapText({ take, block }: { take: Take; block: Block }): Operation[] {
  return [
    { type: 'set', id: block.id, field: 'body', value: take.value, was: block.body },
    { type: 'set', id: take.id, field: 'value', value: block.body, was: take.value },
  ];
}

function laidBeside(course: Course, page: LessonPage, id: string, made: TakeMade): Operation[] {
  if (pagesBeside(course, page.lesson.id).some((take) => sameData(take.value.lesson.blocks, page.lesson.blocks)))
    return [];
  return [
    {
      type: 'insert',
      kind: 'take',
      parent: course.id,
      after: course.takes.at(-1)?.id ?? null,
      node: { id, of: page.lesson.id, field: 'page', value: page, made },
    },
  ];
}

function placedIn(lesson: Lesson): string[] {
  return checksOn(lesson);
}
