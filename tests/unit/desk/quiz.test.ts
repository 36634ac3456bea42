import { describe, expect, it } from 'vitest';
import { solutionOf } from '../../../core/checks/markings';
import { blankQuiz, type QuizLesson } from '../../../core/course/quizzes';
import { USUAL_RULES } from '../../../core/learning/rules';
import { lessonsOf } from '../../../core/learning/view';
import type { Quiz } from '../../../core/quiz/form';
import { learnerDesk } from '../../../server/desk/learners';
import { NOTHING_HANDED } from '../../data';
import { newsDesk } from '../../../server/desk/news';
import { releaseDesk } from '../../../server/desk/releases';
import { aCheck, anId } from '../../builders';
import { aChange, aDesk, INES } from '../../data';

const QUIZ = anId('the quiz');
const MINUTE = 60_000;
let serial = 0;
const event = (kind: 'sit' | 'hand', at: number) => ({ id: anId(`quiz event ${serial++}`), kind, lesson: QUIZ, at });
const answer = (check: string, response: unknown, at: number) => ({
  id: anId(`quiz event ${serial++}`),
  kind: 'answer' as const,
  lesson: QUIZ,
  check,
  response,
  at,
});

/** A desk with a released course whose quiz asks three questions. */
function quizzing(quiz: Partial<Quiz>) {
  const desk = aDesk();
  const checks = ['one', 'two', 'three'].map((name) => aCheck(`asked ${name}`, QUIZ));
  const node: QuizLesson = {
    ...blankQuiz(QUIZ, 'What do you know?'),
    quiz: { shows: 'end', pass: 1, tries: 1, ...quiz },
    blocks: checks.map(({ id }) => ({ id: anId(`place ${id}`), kind: 'check', body: { checkId: id } })),
  };
  const posted = desk.desk.post(
    desk.id,
    [
      ...checks.map((check) => aChange({ type: 'insert', kind: 'check', parent: desk.id, after: null, node: check })),
      aChange({ type: 'insert', kind: 'lesson', parent: anId('First'), after: null, node }),
    ],
    0,
  );
  expect(posted.refused).toEqual([]);
  const now = () => desk.clock.at;
  const news = newsDesk();
  const releases = releaseDesk(desk.db, desk.desk, now);
  const learners = learnerDesk(desk.db, releases, news, now, NOTHING_HANDED);
  const release = releases.make(desk.id, { note: '', access: 'link', rules: USUAL_RULES, move: false }, INES);
  const { view, keys } = releases.frozen(release.id);
  const { learner } = learners.begin(desk.id, release, { name: 'Ada' });
  const right = (check: string) => solutionOf(keys[check]).response;
  const again = () => learnerDesk(desk.db, releases, news, now, NOTHING_HANDED).told(learner).quizzes[QUIZ];
  return { ...desk, learners, learner, right, again, asked: checks.map(({ id }) => id), view };
}

describe('a quiz on our server', () => {
  it('is sat, its answers kept and not told, handed in, and the same after the server was started anew', async () => {
    const { learners, learner, asked, right, again, view } = quizzing({});
    expect(lessonsOf(view)[0].quiz).toMatchObject({ pass: 1 });
    const [one, two] = asked;
    const begun = await learners.take(learner, [event('sit', 1)]);
    expect(begun.quizzes[QUIZ].last!.asked.toSorted()).toEqual(asked.toSorted());
    const told = await learners.take(learner, [answer(one, right(one), 2), answer(two, right(two), 3)]);
    expect(told.answers).toEqual({});
    expect(told.quizzes[QUIZ].last!.answers).toEqual({ [one]: { held: right(one) }, [two]: { held: right(two) } });
    expect(again()).toEqual(told.quizzes[QUIZ]);
    const handed = await learners.take(learner, [event('hand', 4)]);
    expect(handed.quizzes[QUIZ]).toMatchObject({ tries: 1, passed: false, mayBegin: false, left: 0 });
    expect(again()).toEqual(handed.quizzes[QUIZ]);
    // What comes too late, or twice, is named and changes nothing.
    const late = await learners.take(learner, [answer(asked[2], right(asked[2]), 5)]);
    expect(late.refused).toMatchObject([{ code: 'too-late' }]);
    expect(again()).toEqual(handed.quizzes[QUIZ]);
    const [line] = learners.lines(learner.course_id);
    expect(line.progress.quizzes[QUIZ]).toMatchObject({ tries: 1, passed: false });
  });

  it('is granted another try, or more time, only where it limits them', async () => {
    const { learners, learner, asked, right, id } = quizzing({ tries: 1 });
    await learners.take(learner, [event('sit', 1), event('hand', 2)]);
    expect(() => learners.grant(id, learner.id, { lesson: QUIZ, minutes: 5 })).toThrow('nothing-to-grant');
    expect(() => learners.grant(id, learner.id, { lesson: anId('First one'), tries: 1 })).toThrow('nothing-to-grant');
    learners.grant(id, learner.id, { lesson: QUIZ, tries: 1 });
    expect(learners.told(learner).quizzes[QUIZ]).toMatchObject({ mayBegin: true, left: 1 });
    await learners.take(learner, [
      event('sit', 3),
      ...asked.map((check) => answer(check, right(check), 4)),
      event('hand', 5),
    ]);
    const { quizzes, checks } = learners.answers(id, learner.id);
    expect(quizzes).toMatchObject([{ passed: true, granted: { tries: 1 }, sittings: [{ share: 0 }, { share: 1 }] }]);
    expect(checks.every(({ tries }) => tries.length === 1 && tries[0].sitting === 2)).toBe(true);
  });

  it('ends by its time, which can be made longer', async () => {
    const { learners, learner, asked, right, id } = quizzing({ minutes: 10 });
    await learners.take(learner, [event('sit', 0)]);
    const late = answer(asked[0], right(asked[0]), 11 * MINUTE);
    expect((await learners.take(learner, [late])).refused).toMatchObject([{ code: 'too-late' }]);
    learners.grant(id, learner.id, { lesson: QUIZ, minutes: 5 });
    const told = await learners.take(learner, [answer(asked[0], right(asked[0]), 12 * MINUTE)]);
    expect(told.refused).toBeUndefined();
    expect(told.quizzes[QUIZ].last!.end).toBe(15 * MINUTE);
  });

  it('believes no clock that goes ahead, and says what came in after its time', async () => {
    const { learners, learner, asked, right, id, clock } = quizzing({ minutes: 10 });
    const begun = clock.at;
    const { quizzes } = await learners.take(learner, [event('sit', begun + 600 * MINUTE)]);
    expect(quizzes[QUIZ].last!.begun).toBe(begun);
    // By its own clock in time, by ours a quarter of an hour too late: taken, since it may have been cut off.
    clock.at = begun + 25 * MINUTE;
    await learners.take(learner, [
      answer(asked[0], right(asked[0]), begun + MINUTE),
      event('hand', begun + 2 * MINUTE),
    ]);
    expect(learners.answers(id, learner.id).quizzes[0].sittings).toMatchObject([{ late: 15 }]);
  });

  it('takes no event of a quiz for a lesson that is none', async () => {
    const { learners, learner } = quizzing({});
    const odd = await learners.take(learner, [{ ...event('sit', 1), lesson: anId('First one') }]);
    expect(odd.refused).toMatchObject([{ code: 'gone' }]);
  });
});
