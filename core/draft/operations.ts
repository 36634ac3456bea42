import { allLessons, type Course, type Lesson, type Module, type Objective } from '../course/course';
import type { OutlineNodes } from '../course/gestures';
import type { Operation } from '../course/operations';
import type { OutlineProposal } from '../outline';
import type { DraftContext } from './context';
import { plannedObjectives } from './from-course';
import type { DraftedLesson } from './lesson';

/** Turns a proposal into modules and blank lessons. */
export function outlineNodes(proposal: OutlineProposal, context: DraftContext): OutlineNodes {
  const objectives: Objective[] = [];
  const modules = proposal.modules.map((module): Module => {
    const lessons = module.lessons.map(({ id, title, unit }): Lesson => {
      const plannedPassages = unit.sections.flatMap((section) => section.passages);
      const own = plannedObjectives({ id, title, plannedPassages }, context);
      objectives.push(...own);
      return { id, title, kind: 'lesson', objectiveIds: own.map((objective) => objective.id), state: 'blank', plannedPassages, blocks: [] };
    });
    return { id: module.id, title: module.title, purpose: '', objectiveIds: lessons.flatMap((lesson) => lesson.objectiveIds.slice(0, 1)).slice(0, 4), lessons };
  });
  return { modules, objectives };
}

/**
 * The operations that take a drafted lesson into its course. Blocks that stood there go to the bin, offers that were drafted
 * for it and are not placed are exchanged, objectives the author has stay.
 */
export function takeLesson(course: Course, { lesson, objectives, checks }: DraftedLesson): Operation[] {
  const now = allLessons(course).find((each) => each.id === lesson.id);
  if (!now) return [];
  const placedElsewhere = new Set(allLessons(course).filter((each) => each.id !== lesson.id).flatMap((each) => each.blocks.flatMap((block) => (block.kind === 'check' ? [block.body.checkId] : []))));
  const old = course.checks.filter((check) => check.lessonId === lesson.id && check.drafted && !placedElsewhere.has(check.id));
  const gone = new Set(old.map((check) => check.id));
  const staying = course.checks.filter((check) => !gone.has(check.id));
  const taken = new Set(staying.map((check) => check.id));
  const known = new Set(course.objectives.map((objective) => objective.id));
  const wanted = now.objectiveIds.length > 0 ? [] : objectives.filter((objective) => !known.has(objective.id));
  const objectiveIds = now.objectiveIds.length > 0 ? now.objectiveIds : objectives.map((objective) => objective.id);
  const reachable = new Set([...known, ...wanted.map((objective) => objective.id)]);
  const fresh = checks.filter((check) => !taken.has(check.id)).map((check) => {
    const { objectiveId, ...rest } = check;
    return objectiveId && reachable.has(objectiveId) ? { ...rest, objectiveId } : rest;
  });
  const set = (field: 'objectiveIds' | 'plannedPassages' | 'state', value: unknown): Operation[] => (JSON.stringify(now[field]) === JSON.stringify(value) ? [] : [{ type: 'set', id: lesson.id, field, value, was: now[field] }]);
  return [
    ...now.blocks.map((block): Operation => ({ type: 'remove', id: block.id })),
    ...old.map((check): Operation => ({ type: 'remove', id: check.id })),
    ...wanted.map((node, at): Operation => ({ type: 'insert', kind: 'objective', parent: course.id, after: at > 0 ? wanted[at - 1].id : (course.objectives.at(-1)?.id ?? null), node })),
    ...fresh.map((node, at): Operation => ({ type: 'insert', kind: 'check', parent: course.id, after: at > 0 ? fresh[at - 1].id : (staying.at(-1)?.id ?? null), node })),
    ...lesson.blocks.map((node, at): Operation => ({ type: 'insert', kind: 'block', parent: lesson.id, after: at > 0 ? lesson.blocks[at - 1].id : null, node })),
    ...set('objectiveIds', objectiveIds),
    ...(now.plannedPassages.length > 0 ? [] : set('plannedPassages', lesson.plannedPassages)),
    ...set('state', 'drafted'),
  ];
}
