import type { Answer, Objective } from '../course/course';
import { openQuestion } from '../brief/plans';
import { objectiveSaid } from '../course/gestures';
import { idFrom } from '../document/id';

/** What the author is asked about a point that the sources say nothing of. */
export const pointQuestion = (point: string): string =>
  /[?？]/.test(point) ? point : `What is there to say of “${point}”?`;

/** What the author is asked about the points of their outline that the sources say nothing of: one open slot each. */
export function openAnswers({
  id,
  title,
  own,
}: {
  id: string;
  title: string;
  own?: { open: readonly string[] };
}): Answer[] {
  return (own?.open ?? []).map((point, at) => ({
    id: idFrom('a', id, at, point),
    topic: title,
    question: point === title && !/[?？]/.test(point) ? openQuestion(title) : pointQuestion(point),
    text: '',
    lesson: id,
  }));
}

/** What the author says that can be done after a lesson, as an objective. */
export const ownObjective = (lessonId: string, text: string): Objective =>
  objectiveSaid(idFrom('o', lessonId, text), text);
