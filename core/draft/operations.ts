import type { Lesson, Module, Objective } from '../course/course';
import type { OutlineNodes } from '../course/gestures';
import type { OutlineProposal } from '../outline';
import type { DraftContext } from './context';
import { plannedObjectives } from './from-course';

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
