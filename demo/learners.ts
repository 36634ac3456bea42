import { solutionOf, type Secret } from '../core/checks/markings';
import { checksIn, lessonsOf, type LearnerCourse } from '../core/learning/view';
import { USUAL_RULES } from '../core/learning/rules';
import type { openInstallation } from '../server/utils/installation';
import { idFrom } from '../core/document/id';

/** Volunteers of the demo, all invented: how many lessons each has done, and every which answer was wrong (0: none). */
const VOLUNTEERS = [
  { name: 'Rosa Finch', done: 22, wrong: 0 },
  { name: 'Bilal Harrow', done: 22, wrong: 3 },
  { name: 'Nuala Penn', done: 14, wrong: 6 },
  { name: 'Gus Ottley', done: 5, wrong: 4 },
  { name: 'Wren Calloway', done: 0, wrong: 0 },
];

/** What a volunteer answers to a check: rightly at once, or wrongly as often as there are tries. */
function answersTo(view: LearnerCourse, secret: Secret, id: string, wrongly: boolean): unknown[] {
  const right = solutionOf(secret).response;
  const check = view.checks.find((each) => each.id === id);
  if (!wrongly || check?.kind !== 'choice') return [right];
  return check.options
    .map((option) => option.id)
    .filter((option) => option !== right)
    .slice(0, 2);
}

/** Makes the demo's course available and lets its volunteers learn by it. */
export async function addLearners(
  { releases, learners }: Pick<ReturnType<typeof openInstallation>, 'releases' | 'learners'>,
  course: string,
  person: string,
): Promise<void> {
  const release = releases.make(
    course,
    { note: 'For the spring volunteers', access: 'link', rules: USUAL_RULES, move: false },
    person,
  );
  const { view, keys } = releases.frozen(release.id);
  for (const { name, done, wrong } of VOLUNTEERS) {
    const { learner } = learners.begin(course, release, { name });
    let answered = 0;
    for (const lesson of lessonsOf(view).slice(0, done)) {
      const answers = checksIn(lesson).flatMap((check) => {
        answered++;
        const responses = answersTo(view, keys[check], check, wrong > 0 && answered % wrong === 0);
        return responses.map((response, at) => ({
          id: idFrom('e', name, check, at),
          kind: 'answer' as const,
          lesson: lesson.id,
          check,
          response,
          at: 0,
        }));
      });
      await learners.take(learner, [
        ...answers,
        { id: idFrom('e', name, lesson.id), kind: 'read' as const, lesson: lesson.id, at: 0 },
      ]);
    }
  }
}
