import type { Lesson, Module, Objective } from '../course/course';
import type { LeftOut } from '../course/left-out';
import type { OutlineNodes } from '../course/taking';
import type { OutlineProposal } from '../outline';
import { openAnswers, ownObjective } from '../own/open';
import { passagesOf } from '../outline/scope';
import { kindOf, type DraftContext } from './context';
import { plannedObjectives } from './from-course';
import { purposeOf } from './index';
import type { CoursePlan } from './plan';

/** Turns a proposal into modules and blank lessons, each with the passages of units that the plan has room for. */
export function outlineNodes(
  proposal: OutlineProposal,
  { without }: Pick<CoursePlan, 'without'>,
  context: DraftContext,
  leftOut: LeftOut[],
): OutlineNodes {
  const objectives: Objective[] = [];
  const modules = proposal.modules.map((module): Module => {
    const lessons = module.lessons.map(({ id, title, scope, own: said, points }): Lesson => {
      const plannedPassages = passagesOf(scope).filter((passage) => !without.has(context.matter.unitOf(passage).id));
      const own = said?.objective
        ? [ownObjective(id, said.objective)]
        : plannedObjectives({ id, title, plannedPassages }, context);
      objectives.push(...own);
      return {
        id,
        title,
        kind: 'lesson',
        objectiveIds: own.map((objective) => objective.id),
        state: 'blank',
        ...(said?.kind ? { lessonKind: said.kind } : kindOf(plannedPassages, context)),
        ...(said?.minutes !== undefined && { minutesFixed: said.minutes }),
        plannedPassages,
        ...(points?.length && { points: [...points] }),
        blocks: [],
      };
    });
    const objectiveIds = lessons.flatMap((lesson) => lesson.objectiveIds.slice(0, 1)).slice(0, 4);
    return {
      id: module.id,
      title: module.title,
      purpose: module.purpose ?? purposeOf(objectiveIds, objectives, context),
      objectiveIds,
      lessons,
    };
  });
  const answers = proposal.modules.flatMap((module) => module.lessons.flatMap(openAnswers));
  return { modules, objectives, leftOut, ...(answers.length > 0 && { answers }) };
}
