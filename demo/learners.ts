import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { mark, solutionOf, type Secret, type Story } from '../core/checks/markings';
import { checksIn, lessonsOf, type LearnerCourse } from '../core/learning/view';
import { USUAL_RULES } from '../core/learning/rules';
import type { openInstallation } from '../server/utils/installation';
import { idFrom } from '../core/document/id';
import { surveysIn } from '../core/learning/surveys';
import { FORM, feedbackSheets } from './survey';
import { DRILL, HANDED } from './task';

/** Volunteers of the demo, all invented: how many lessons each has done, and every which answer was wrong (0: none). */
const VOLUNTEERS = [
  { name: 'Rosa Finch', done: 26, wrong: 0 },
  { name: 'Bilal Harrow', done: 26, wrong: 3 },
  { name: 'Nuala Penn', done: 14, wrong: 6 },
  { name: 'Gus Ottley', done: 5, wrong: 4 },
  { name: 'Wren Calloway', done: 0, wrong: 0 },
];

/** What they write where an open answer is asked for. */
const WRITTEN: Record<string, string> = {
  'Rosa Finch':
    'I tell the queue that I am with them in two minutes, because then nobody feels passed over. Then I ask the borrower to come to the end of the counter with me. The telephone can wait.',
  'Bilal Harrow': 'First the telephone, because it is loudest. Then the others one after another.',
};

/** The way of who does the first that comes to mind in every scene of a story. */
function firstWay(first: Story['next'], secret: Secret): string[] {
  const way: string[] = [];
  for (let scene = first; scene && way.length < 20; scene = mark(secret, way)?.feedback?.story?.next)
    way.push(scene.choices[0].id);
  return way;
}

/** What a volunteer answers to a check: rightly at once, or wrongly as often as there are tries. */
function answersTo(view: LearnerCourse, secret: Secret, id: string, name: string, wrongly: boolean): unknown[] {
  const right = solutionOf(secret).response;
  const check = view.checks.find((each) => each.id === id);
  if (check?.kind === 'open') return [WRITTEN[name] ?? 'I would ask the desk lead.'];
  if (check?.kind === 'scenario' && name !== 'Rosa Finch') return [firstWay(check.first, secret)];
  if (!wrongly || !check) return [right];
  if (check.kind === 'choice')
    return check.options
      .map((option) => option.id)
      .filter((option) => option !== right)
      .slice(0, 2);
  // The order they are shown in is never the right one.
  if (check.kind === 'order') return [check.items.map((item) => item.id), right];
  return check.kind === 'short' ? ['in the corner', right] : [right];
}

type Installation = Pick<
  ReturnType<typeof openInstallation>,
  'releases' | 'learners' | 'handed' | 'handIns' | 'surveys' | 'folder'
>;

/** Makes the demo's course available and lets its volunteers learn by it. */
export async function addLearners(
  { releases, learners, handed, handIns, surveys, folder }: Installation,
  course: string,
  person: string,
): Promise<void> {
  const release = releases.make(
    course,
    { note: 'For the spring volunteers', access: 'link', rules: USUAL_RULES, move: false },
    person,
  );
  const { view, keys } = releases.frozen(release.id);
  const form = surveysIn(view).find(({ block }) => block.id === FORM);
  // Those of the last group, by the link.
  for (const [at, answers] of (form ? feedbackSheets(form.block.body) : []).entries())
    surveys.give(release, FORM, { id: idFrom('e', 'demo', 'sheet', at), answers, named: false }, {});
  for (const { name, done, wrong } of VOLUNTEERS) {
    const { learner } = learners.begin(course, release, { name });
    let answered = 0;
    const events = (check: string, lesson: string, key = check) => {
      answered++;
      const responses = answersTo(view, keys[check], check, name, wrong > 0 && answered % wrong === 0);
      return responses.map((response, at) => ({
        id: idFrom('e', name, key, at),
        kind: 'answer' as const,
        lesson,
        check,
        response,
        at: 0,
      }));
    };
    /** A try at a quiz: the last answer to each of its questions stands. */
    const sit = async (lesson: string) => {
      const event = (kind: 'sit' | 'hand') => ({ id: idFrom('e', name, lesson, kind), kind, lesson, at: 0 });
      const { quizzes } = await learners.take(learner, [event('sit')]);
      const asked = quizzes[lesson].last!.asked;
      await learners.take(learner, [
        ...asked.flatMap((check) => events(check, lesson, `${lesson} ${check}`).slice(0, 1)),
        event('hand'),
      ]);
    };
    for (const lesson of lessonsOf(view).slice(0, done)) {
      if (lesson.quiz) {
        await sit(lesson.id);
        continue;
      }
      // What is handed in comes below, one way for all.
      const asked = checksIn(lesson).filter((check) => check !== DRILL.id);
      const answers = asked.flatMap((check) => events(check, lesson.id));
      await learners.take(learner, [
        ...answers,
        { id: idFrom('e', name, lesson.id), kind: 'read' as const, lesson: lesson.id, at: 0 },
      ]);
    }
    const work = HANDED.find((each) => each.name === name);
    const at = lessonsOf(view).find((lesson) => checksIn(lesson).includes(DRILL.id));
    if (!work || !at) continue;
    const files = work.file ? [await handed.take(learner, pictureIn(folder), work.file, ['pictures'])] : [];
    await learners.take(learner, [
      {
        id: idFrom('e', name, 'handed'),
        kind: 'answer',
        lesson: at.id,
        check: DRILL.id,
        response: { text: work.text, files },
        at: Date.now(),
      },
    ]);
    // One is marked as it was suggested, with a word to it; the others wait.
    if (name !== 'Nuala Penn') continue;
    const { suggestion } = handIns.get(course, learner.id, DRILL.id);
    const said = 'Good and calm. Write down what she says, too: the repair team needs her words.';
    learners.mark(course, learner.id, { check: DRILL.id, score: 0, said, levels: suggestion!.levels! }, person);
  }
}

/** A picture to hand in, as a file of its own. */
function pictureIn(folder: string): string {
  const path = join(folder, 'files', 'upload.tdemopicture1');
  writeFileSync(path, readFileSync('demo/files/workshop.png'));
  return path;
}
