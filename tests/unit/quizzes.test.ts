import { describe, expect, it } from 'vitest';
import type { Check } from '../../core/checks/forms';
import { solutionOf } from '../../core/checks/markings';
import type { Course } from '../../core/course/course';
import { applyAll } from '../../core/course/operations';
import { placeIn } from '../../core/course/placing';
import { finalQuiz, newQuizBelow } from '../../core/course/quiz-gestures';
import { offersFor } from '../../core/course/quiz-offers';
import { asksOf, blankQuiz, coverageOf, drawsOf, isQuiz, poolOf, type QuizLesson } from '../../core/course/quizzes';
import { validateCourse } from '../../core/course/validate';
import { answersIn } from '../../core/learning/answers';
import { packState, unpackState } from '../../core/learning/packed';
import { progressOf, standingIn } from '../../core/learning/progress';
import { carriedOver, difference } from '../../core/learning/releases';
import { USUAL_RULES } from '../../core/learning/rules';
import { shownState } from '../../core/learning/shown';
import { drawn, mayBegin, type Taking } from '../../core/learning/sittings';
import { after, BEGINNING, stateAfter, type LearnerEvent } from '../../core/learning/state';
import { freezeCourse, lessonsOf } from '../../core/learning/view';
import { outlineNotes } from '../../core/notes';
import type { Quiz } from '../../core/quiz/form';
import { aCheck, aCourse, aLesson, aModule, anId } from '../builders';
import { ASKED_IN_QUIZZES, another, EVERY_CHECK, wrongTo } from '../every-check';

const QUIZ = anId('the quiz');
const place = (checkId: string) => ({ id: anId(`place of ${checkId}`), kind: 'check' as const, body: { checkId } });
const aQuiz = (quiz: Partial<Quiz> = {}, checks: readonly Check[] = []): QuizLesson => ({
  ...blankQuiz(QUIZ, 'What do you know?'),
  quiz: { shows: 'handed', ...quiz } as Quiz,
  blocks: checks.map(({ id }) => place(id)),
});
const bare: Course = { ...aCourse(), checks: [], modules: [] };

/** A course of one lesson and one quiz with some checks; each asks something of the lesson. */
function quizzing(quiz: Partial<Quiz>, checks: readonly Check[]): Taking {
  const lesson = aLesson('First one');
  const course = {
    ...bare,
    modules: [aModule('First', [lesson, aQuiz(quiz, checks)])],
    checks: checks.map((check) => ({ ...check, lessonId: lesson.id })),
  };
  expect(validateCourse(course)).toEqual([]);
  const { view, keys } = freezeCourse(course, 'secret');
  return { course: view, keys, rules: USUAL_RULES, learner: 'somebody' };
}
const choices = (count: number) =>
  Array.from({ length: count }, (_, at) => another(EVERY_CHECK.choice, `choice ${at}`, QUIZ));

let count = 0;
const event = (what: object, at = 0) =>
  ({ id: `e${count++}`, lesson: QUIZ, at, ...what }) as LearnerEvent & { at: number };
const sit = (at?: number) => event({ kind: 'sit' }, at);
const hand = (at?: number) => event({ kind: 'hand' }, at);
const answer = (check: string, response: unknown, at?: number) => event({ kind: 'answer', check, response }, at);
const right = ({ keys }: Taking, check: string) => solutionOf(keys[check]).response;
/** All wrong; of an open answer, words. */
const wrong = ({ course, keys }: Taking, check: string) =>
  wrongTo(
    course.checks.find(({ id }) => id === check)!,
    keys[check],
  ) ?? 'I do not know.';
const askedBy = (taking: Taking, ...events: LearnerEvent[]) => stateAfter(events, taking).quizzes![QUIZ].last!.asked;
/** All answers of a try, of which so many are right. */
const answers = (taking: Taking, asked: readonly string[], good: number) =>
  asked.map((check, at) => answer(check, at < good ? right(taking, check) : wrong(taking, check)));
const resultIn = (taking: Taking, events: readonly LearnerEvent[]) =>
  progressOf(taking.course, taking.rules, standingIn(taking.course, stateAfter(events, taking))).quizzes[QUIZ];

describe('a quiz in the document', () => {
  it('says how it is taken, and a lesson does not', () => {
    const course = { ...bare, modules: [aModule('First', [aQuiz()])] };
    const set = (id: string, value: unknown, was: unknown) =>
      applyAll(course, [{ type: 'set', id, field: 'quiz', value, was }]);
    expect(set(QUIZ, { shows: 'end', pass: 0.5 }, { shows: 'handed' }).ok).toBe(true);
    expect(set(QUIZ, null, { shows: 'handed' })).toMatchObject({ ok: false });
    expect(set(QUIZ, { shows: 'end', pass: 2 }, { shows: 'handed' })).toMatchObject({ ok: false });
    const without = { ...aLesson('without'), id: QUIZ, kind: 'quiz' as const };
    const said = validateCourse({ ...bare, modules: [aModule('First', [without])] });
    expect(said).toEqual([{ code: 'no-quiz', place: QUIZ }]);
    const lesson = { ...aLesson('x'), quiz: { shows: 'each' as const } };
    expect(validateCourse({ ...bare, modules: [aModule('First', [lesson])] })[0].code).toBe('not-a-quiz');
  });

  it('comes behind a lesson or at the end of a module, and one for all at the end of the course', () => {
    const course = aCourse();
    const ids = { lesson: QUIZ, module: anId('its module') };
    const titles = { lesson: 'Quiz', module: 'New module' };
    const made = (row: string | null, of = course) => {
      const done = applyAll(of, newQuizBelow(of, row, ids, titles));
      if (!done.ok) throw new Error(done.problem.code);
      return done.course.modules.map(({ lessons }) => lessons.map(({ id }) => (id === QUIZ ? 'quiz' : '-')).join(''));
    };
    expect(made(anId('First one'))).toEqual(['-quiz-', '--']);
    expect(made(anId('First'))).toEqual(['--quiz', '--']);
    expect(made(null, { ...bare })).toEqual(['quiz']);
    const done = applyAll(course, finalQuiz(course, ids, 'Final quiz'));
    const last = done.ok && done.course.modules.at(-1)!.lessons[0];
    expect(last).toMatchObject({ id: QUIZ, quiz: { draw: { from: 'course', rules: [{ count: 10 }] } } });
  });

  it('draws on its page, its module or the whole course, by objective and level', () => {
    const objectives = ['one', 'two'].map((name) => ({
      id: anId(name),
      verb: 'apply' as const,
      object: name,
      level: 'apply' as const,
      text: `Apply ${name}`,
      evidence: [],
    }));
    const [first, second] = [aLesson('First one'), aLesson('Second one')];
    const of = (name: string, lesson: string, more: Partial<Check> = {}) =>
      ({ ...aCheck(name, lesson), ...more }) as Check;
    const checks = [
      of('a', first.id, { objectiveId: anId('one'), level: 'apply' }),
      of('b', first.id, { level: 'recall' }),
      of('c', second.id, { level: 'recall' }),
      of('own', QUIZ, { level: 'decide' }),
    ];
    const with_ = (quiz: Partial<Quiz>): [Course, QuizLesson] => {
      const lesson = aQuiz(quiz, [checks[3]]);
      return [
        {
          ...bare,
          objectives,
          checks,
          modules: [
            aModule('First', [
              { ...first, objectiveIds: [anId('two')], blocks: [place(checks[0].id), place(checks[1].id)] },
              lesson,
            ]),
            aModule('Second', [{ ...second, blocks: [place(checks[2].id)] }]),
          ],
        },
        lesson,
      ];
    };
    const pool = (from: 'here' | 'module' | 'course') =>
      poolOf(...with_({ draw: { from, rules: [{ count: 1 }] } })).map(({ id }) => id);
    const ids = checks.map(({ id }) => id);
    expect(pool('here')).toEqual([ids[3]]);
    expect(pool('module')).toEqual([ids[3], ids[0], ids[1]]);
    expect(pool('course')).toEqual([ids[3], ids[0], ids[1], ids[2]]);
    const rules = [
      { count: 2, objectiveId: anId('one') },
      { count: 5, level: 'recall' as const },
      { count: 1, objectiveId: anId('gone') },
    ];
    const [course, lesson] = with_({ draw: { from: 'course', rules } });
    // A question that names no objective is about the first one of its lesson.
    expect(drawsOf(course, lesson)).toEqual([
      { take: 1, from: [ids[0]] },
      { take: 2, from: [ids[1], ids[2]] },
      { take: 0, from: [] },
    ]);
    expect(asksOf(lesson)).toBe(8);
    expect(coverageOf(course, lesson)).toEqual([
      { objectiveId: anId('two'), levels: { recall: 1, apply: 0, decide: 0 } },
      { objectiveId: anId('one'), levels: { recall: 0, apply: 1, decide: 0 } },
      { levels: { recall: 1, apply: 0, decide: 1 } },
    ]);
    expect(outlineNotes(course).filter(({ about }) => about === QUIZ)).toMatchObject([
      { rule: 'quiz-short', parameters: { asks: 3, wants: 8 } },
    ]);
  });

  it('takes offers that stand nowhere, lesson after lesson, the best first', () => {
    const [one, two] = [aLesson('First one'), aLesson('First two')];
    const offer = (name: string, lesson: string, score: number): Check => ({
      ...aCheck(name, lesson),
      stem: `What is to be done about ${name} before anybody is let in?`,
      drafted: { form: 'condition', score, reasons: [] },
    });
    const checks = [offer('aa', one.id, 0.5), offer('bb', one.id, 0.9), offer('cc', two.id, 0.1)];
    const placed = offer('placed', two.id, 1);
    const lesson = aQuiz();
    const course = {
      ...bare,
      checks: [...checks, placed],
      modules: [aModule('First', [one, { ...two, blocks: [place(placed.id)] }, lesson])],
    };
    const offered = offersFor(course, lesson, 2);
    expect(offered.map(({ id }) => id)).toEqual([checks[1].id, checks[2].id]);
    let nth = 0;
    const done = applyAll(
      course,
      placeIn(lesson, offered, (letter) => anId(`${letter}${nth++}`)),
    );
    if (!done.ok) throw new Error(done.problem.code);
    const quiz = done.course.modules[0].lessons[2];
    expect(isQuiz(quiz) && poolOf(done.course, quiz).map(({ id }) => id)).toEqual(offered.map(({ id }) => id));
    expect(offersFor(done.course, quiz as QuizLesson, 9).map(({ id }) => id)).toEqual([checks[0].id]);
  });

  it('is weighed with the others: more than there is is noted', () => {
    const heavy = (name: string) => ({ ...aQuiz({ weight: 60 }, []), id: anId(name) });
    const notes = outlineNotes({ ...bare, modules: [aModule('First', [heavy('q1'), heavy('q2')])] });
    expect(notes.filter(({ rule }) => rule === 'quiz-weights')).toMatchObject([{ parameters: { percent: 120 } }]);
  });
});

describe('what a try asks', () => {
  const taking = quizzing({ mix: true, draw: { from: 'here', rules: [{ count: 4 }] } }, choices(12));
  const quiz = lessonsOf(taking.course)[1].quiz!;

  it('is drawn by learner and try: the same for the same, another for others, none twice', () => {
    const draws = Array.from({ length: 60 }, (_, at) => drawn(quiz, `learner ${at}`));
    for (const one of draws) {
      expect(one).toHaveLength(4);
      expect(new Set(one).size).toBe(4);
    }
    expect(drawn(quiz, 'learner 7')).toEqual(draws[7]);
    expect(new Set(draws.map((each) => each.join())).size).toBeGreaterThan(50);
    // Each question is drawn about as often as the others: 20 times of 60.
    for (const { id } of taking.course.checks) {
      const times = draws.filter((each) => each.includes(id)).length;
      expect(times, id).toBeGreaterThan(7);
      expect(times, id).toBeLessThan(36);
    }
  });

  it('is all of the page in its order where nothing is drawn or mixed', () => {
    const plain = quizzing({}, choices(5));
    expect(askedBy(plain, sit())).toEqual(plain.course.checks.map(({ id }) => id));
  });

  it('is another draw at the next try, and only what was wrong where it is asked so', () => {
    const first = askedBy(taking, sit());
    const second = askedBy(taking, sit(), hand(), sit());
    expect(second).not.toEqual(first);
    const again = quizzing({ again: true, pass: 1 }, choices(3));
    const [one, two, three] = askedBy(again, sit());
    const events = [sit(), ...answers(again, [one, two, three], 2), hand(), sit()];
    const state = stateAfter(events, again);
    expect(Object.keys(state.quizzes![QUIZ].last!.answers).sort()).toEqual([one, two].sort());
    // What stands cannot be answered again.
    expect(after(state, answer(one, wrong(again, one)), again)).toBe(state);
    const done = stateAfter([...events, answer(three, right(again, three)), hand()], again);
    expect(done.quizzes![QUIZ].best).toBeCloseTo(2 / 3);
    expect(resultIn(again, [...events, answer(three, right(again, three)), hand()])).toMatchObject({
      tries: 2,
      share: 1,
      passed: true,
    });
  });
});

describe('a try', () => {
  it('takes answers until it is handed in, the last one of each', () => {
    const taking = quizzing({ pass: 0.5, tries: 2 }, choices(2));
    const [one, two] = askedBy(taking, sit());
    const open = [sit(), answer(one, wrong(taking, one)), answer(one, right(taking, one))];
    expect(resultIn(taking, open)).toMatchObject({ tries: 0, open: true });
    expect(resultIn(taking, open).share).toBeUndefined();
    const handed = [...open, hand(), answer(two, right(taking, two))];
    expect(resultIn(taking, handed)).toMatchObject({ tries: 1, share: 0.5, passed: true, open: false });
    // Before it is begun nothing is taken.
    expect(after(BEGINNING, answer(one, right(taking, one)), taking)).toBe(BEGINNING);
    expect(after(BEGINNING, hand(), taking)).toBe(BEGINNING);
  });

  it('gives back an answer that is taken back, and counts it nowhere', () => {
    const taking = quizzing({ shows: 'handed' }, choices(2));
    const [one, two] = askedBy(taking, sit());
    const events = [sit(1), answer(one, right(taking, one), 2), answer(two, right(taking, two), 3)];
    const back = [...events, answer(one, null, 4)];
    expect(Object.keys(stateAfter(back, taking).quizzes![QUIZ].last!.answers)).toEqual([two]);
    expect(resultIn(taking, [...back, hand(5)])).toMatchObject({ share: 0.5 });
    expect(answersIn(taking, [...back, hand(5)]).checks.map(({ check }) => check)).toEqual([two]);
    // What was said to at once stands.
    const each = quizzing({ shows: 'each' }, choices(1));
    const [only] = askedBy(each, sit());
    const said = stateAfter([sit(), answer(only, right(each, only))], each);
    expect(after(said, answer(only, null), each)).toBe(said);
  });

  it('counts the best, ends when it is passed or none is left, and more can be granted', () => {
    const taking = quizzing({ pass: 1, tries: 2 }, choices(2));
    const asked = askedBy(taking, sit());
    const two = [sit(), ...answers(taking, asked, 1), hand(), sit(), ...answers(taking, asked, 0), hand()];
    expect(resultIn(taking, two)).toMatchObject({ tries: 2, share: 0.5, passed: false });
    const ended = stateAfter(two, taking);
    expect(after(ended, sit(), taking).quizzes).toEqual(ended.quizzes);
    const more = stateAfter([...two, event({ kind: 'grant', tries: 1 }), sit()], taking);
    expect(more.quizzes![QUIZ]).toMatchObject({ tries: 3, best: 0.5 });
    const passed = stateAfter([sit(), ...answers(taking, asked, 2), hand()], taking);
    expect(mayBegin(lessonsOf(taking.course)[1].quiz!, passed.quizzes![QUIZ], taking.course)).toBe(false);
  });

  it('ends with its time: late answers are not taken, what was on its way is', () => {
    const taking = quizzing({ minutes: 10, tries: 1 }, choices(2));
    const minute = 60_000;
    const [one, two] = askedBy(taking, sit());
    const begun = stateAfter([sit(1000), answer(one, right(taking, one), 5 * minute)], taking);
    expect(after(begun, answer(two, right(taking, two), 11 * minute + 1000), taking)).toBe(begun);
    expect(after(begun, answer(two, right(taking, two), 10 * minute + 6000), taking)).not.toBe(begun);
    const longer = after(begun, event({ kind: 'grant', minutes: 5 }), taking);
    expect(after(longer, answer(two, right(taking, two), 11 * minute), taking)).not.toBe(longer);
    expect(after(begun, hand(90 * minute), taking).quizzes![QUIZ].last!.handed).toBe(10 * minute + 1000);
  });

  it('that ran out while its learner was away is over when the next one begins', () => {
    const taking = quizzing({ minutes: 1, tries: 2 }, choices(2));
    const [one] = askedBy(taking, sit());
    const state = stateAfter([sit(0), answer(one, right(taking, one), 10), sit(600_000)], taking);
    expect(state.quizzes![QUIZ]).toMatchObject({ tries: 2, best: 0.5 });
  });

  it('waits for a mark that counts, and goes on when it is given', () => {
    const taking = quizzing({ pass: 0.6, tries: 3 }, [
      another({ ...EVERY_CHECK.open, by: 'person' }, 'opened', QUIZ),
      ...choices(1),
    ]);
    const [open, choice] = taking.course.checks.map(({ id }) => id);
    const events = [sit(), answer(open, 'Words of mine'), answer(choice, right(taking, choice)), hand()];
    expect(resultIn(taking, events)).toMatchObject({ share: 0.5, waiting: 0.5, unmarked: 1 });
    expect(resultIn(taking, events).passed).toBeUndefined();
    const waiting = stateAfter(events, taking);
    expect(after(waiting, sit(), taking).quizzes).toEqual(waiting.quizzes);
    const mark = event({ kind: 'mark', check: open, score: 0.8, said: 'Nearly.' });
    expect(resultIn(taking, [...events, mark])).toMatchObject({ share: 0.9, passed: true, unmarked: 0 });
    // Also where an earlier try was as good as this one can be: the mark is for this one.
    const twice = quizzing({ tries: 3 }, [another({ ...EVERY_CHECK.open, by: 'person' }, 'opened', QUIZ)]);
    const [only] = twice.course.checks.map(({ id }) => id);
    const first = [sit(), answer(only, 'One'), hand(), event({ kind: 'mark', check: only, score: 1 })];
    const second = stateAfter([...first, sit(), answer(only, 'Two'), hand()], twice);
    expect(after(second, sit(), twice).quizzes).toEqual(second.quizzes);
  });
});

describe('what a learner is told', () => {
  const all = ASKED_IN_QUIZZES.map((check) => another(check, `of ${check.kind}`, QUIZ));
  const told = (quiz: Partial<Quiz>, events: (taking: Taking) => LearnerEvent[]) => {
    const taking = quizzing(quiz, all);
    return shownState(stateAfter(events(taking), taking), taking).quizzes[QUIZ].last!.answers;
  };
  const said = (of: Taking) => answers(of, askedBy(of, sit()), 0);
  const TRY = (of: Taking) => [sit(), ...said(of)];
  const DONE = (of: Taking) => [...TRY(of), hand()];

  it.each(['handed', 'end', 'never'] as const)('is nothing of any kind before it may be: shown %s', (shows) => {
    const open = told({ shows, tries: 2, pass: 0.9 }, TRY);
    expect(Object.keys(open).sort()).toEqual(all.map(({ id }) => id).sort());
    for (const each of Object.values(open)) expect(Object.keys(each)).toEqual(['held']);
    if (shows === 'handed') return;
    for (const each of Object.values(told({ shows, tries: 2, pass: 0.9 }, DONE)))
      expect(Object.keys(each)).toEqual(['held']);
  });

  it('is what answers were worth when it is handed in, and what is right when no try is left', () => {
    for (const each of Object.values(told({ shows: 'handed', tries: 2, pass: 0.9 }, DONE)))
      expect('shown' in each && each.shown.solution).toBe(undefined);
    const last = Object.values(told({ shows: 'end', tries: 1, pass: 0.9 }, DONE));
    expect(last.every((each) => 'shown' in each && each.shown.settled)).toBe(true);
    const never = Object.values(told({ shows: 'never', tries: 1 }, DONE));
    expect(never.every((each) => 'held' in each)).toBe(true);
  });

  it('is what each was worth at once, and then it stands', () => {
    const taking = quizzing({ shows: 'each', tries: 2, pass: 0.9 }, choices(2));
    const [one] = askedBy(taking, sit());
    const state = stateAfter([sit(), answer(one, wrong(taking, one))], taking);
    const shown = shownState(state, taking).quizzes[QUIZ].last!.answers[one];
    expect(shown).toMatchObject({ shown: { score: 0, settled: false } });
    expect(after(state, answer(one, right(taking, one)), taking)).toBe(state);
    const practice = quizzing({ shows: 'each', practice: true }, choices(1));
    const [only] = askedBy(practice, sit());
    const known = shownState(stateAfter([sit(), answer(only, wrong(practice, only))], practice), practice);
    expect(known.quizzes[QUIZ].last!.answers[only]).toMatchObject({ shown: { solution: right(practice, only) } });
  });

  it('is nothing of a quiz that asks nothing: nobody could hand it in', () => {
    const told = (quiz: QuizLesson) =>
      lessonsOf(freezeCourse({ ...bare, modules: [aModule('First', [aLesson('x'), quiz])] }, 'secret').view);
    expect(told(aQuiz())).toHaveLength(1);
    const words = { ...aQuiz(), blocks: aLesson('y').blocks };
    expect(told(words)).toHaveLength(1);
  });

  it('holds no key in what the course sends', () => {
    const { course } = quizzing({ draw: { from: 'here', rules: [{ count: 2 }] } }, all);
    const wire = JSON.stringify(course);
    for (const word of ['"key"', '"feedback"', '"answer"', 'Your toes need cover']) expect(wire).not.toContain(word);
  });
});

describe('what a quiz counts', () => {
  const lesson = aLesson('First one');
  /** A lesson with two checks, and a quiz with two others. */
  function counting(quiz: Partial<Quiz>, rules = USUAL_RULES): Taking & { lesson: string[]; quiz: string[] } {
    const checks = ['l1', 'l2', 'q1', 'q2'].map((name) => another(EVERY_CHECK.choice, name, lesson.id));
    const [own, asked] = [checks.slice(0, 2), checks.slice(2)];
    const course = {
      ...bare,
      checks,
      modules: [
        aModule('First', [
          { ...lesson, blocks: [...lesson.blocks, ...own.map(({ id }) => place(id))] },
          aQuiz(quiz, asked),
        ]),
      ],
    };
    const { view, keys } = freezeCourse(course, 'secret');
    const ids = (list: Check[]) => list.map(({ id }) => id);
    return { course: view, keys, rules, learner: 'somebody', lesson: ids(own), quiz: ids(asked) };
  }
  const inLesson = (taking: Taking, check: string, isRight: boolean) =>
    ({ ...answer(check, isRight ? right(taking, check) : wrong(taking, check)), lesson: lesson.id }) as LearnerEvent;
  const progress = (taking: Taking, events: readonly LearnerEvent[]) =>
    progressOf(taking.course, taking.rules, standingIn(taking.course, stateAfter(events, taking)));
  const work = (taking: ReturnType<typeof counting>, good: number) => [
    ...taking.lesson.map((id) => inLesson(taking, id, true)),
    sit(),
    ...answers(taking, taking.quiz, good),
    hand(),
  ];

  it('is its points, or so many per cent of the mark; practice counts nothing', () => {
    const byPoints = counting({});
    expect(progress(byPoints, work(byPoints, 1)).score).toBeCloseTo(0.75);
    const weighty = counting({ weight: 80 });
    expect(progress(weighty, work(weighty, 1)).score).toBeCloseTo(0.2 + 0.8 * 0.5);
    const practice = counting({ practice: true });
    expect(progress(practice, work(practice, 0)).score).toBe(1);
    const whole = counting({ weight: 100 });
    expect(progress(whole, work(whole, 1)).score).toBeCloseTo(0.5);
  });

  it('keeps the course open until it is handed in and passed', () => {
    const taking = counting({ pass: 0.6, tries: 2 }, { ...USUAL_RULES, course: { kind: 'lessons' } });
    const read = { ...event({ kind: 'read' }), lesson: lesson.id } as LearnerEvent;
    const before = progress(taking, [read, ...work(taking, 0).slice(0, 2)]);
    expect(before.lessons[QUIZ]).toMatchObject({ done: false, left: ['hand'] });
    expect(before).toMatchObject({ ended: false, completed: false });
    expect(before.passed).toBeUndefined();
    const failed = progress(taking, [read, ...work(taking, 1)]);
    expect(failed).toMatchObject({ completed: false, passed: false, ended: true });
    expect(failed.lessons[QUIZ].left).toEqual(['pass']);
    expect(progress(taking, [read, ...work(taking, 2)])).toMatchObject({ completed: true, passed: true });
  });

  it('spares what is known already: lessons it asked about whose answers were all right', () => {
    const taking = counting({ skips: true }, { ...USUAL_RULES, order: 'forced' });
    const known = progress(taking, [sit(), ...answers(taking, taking.quiz, 2), hand()]);
    expect(known.lessons[lesson.id]).toMatchObject({ done: true, known: true });
    expect(known).toMatchObject({ completed: true, checks: { of: 0 } });
    const not = progress(taking, [sit(), ...answers(taking, taking.quiz, 1), hand()]);
    expect(not.lessons[lesson.id].known).toBeUndefined();
    expect(not.completed).toBe(false);
    // What was known stays known, whatever a further try is worth, and while it is under way.
    const more = [sit(), ...answers(taking, taking.quiz, 2), hand(), sit()];
    expect(progress(taking, more).lessons[lesson.id].known).toBe(true);
    expect(progress(taking, [...more, hand()]).lessons[lesson.id].known).toBe(true);
    const packed = packState(taking.course, stateAfter(more, taking), 12);
    const again = unpackState(taking.course, packed, taking.learner);
    expect(standingIn(taking.course, again).quizzes[QUIZ].knows).toEqual([lesson.id]);
    // Who learns it all the same need not sit it.
    const read = { ...event({ kind: 'read' }), lesson: lesson.id } as LearnerEvent;
    const learned = progress(taking, [read, ...taking.lesson.map((id) => inLesson(taking, id, true))]);
    expect(learned).toMatchObject({ completed: true });
  });

  it('is read by its author try by try, with what stood when each was handed in', () => {
    const taking = counting({ tries: 2, pass: 1 });
    const [one] = taking.quiz;
    const events = [
      inLesson(taking, taking.lesson[0], false) as LearnerEvent & { at: number },
      sit(1000),
      answer(one, wrong(taking, one), 2000),
      answer(one, right(taking, one), 3000),
      hand(4000),
      sit(5000),
      answer(one, wrong(taking, one), 6000),
    ];
    const { checks, quizzes } = answersIn(taking, events);
    expect(quizzes).toMatchObject([
      { lesson: { id: QUIZ }, sittings: [{ begun: 1000, handed: 4000, share: 0.5 }, { begun: 5000 }] },
    ]);
    expect(quizzes[0].limited).toEqual({ tries: true, minutes: false });
    const tries = checks.find(({ check }) => check === one)!.tries;
    expect(tries.map(({ sitting, score }) => [sitting, score])).toEqual([
      [1, 1],
      [2, 0],
    ]);
  });

  it('goes along to a newer release where it stayed as it was, and not where it was changed', () => {
    const [before, same, other] = [counting({ tries: 2 }), counting({ tries: 2 }), counting({ tries: 3 })];
    const events = work(before, 2);
    const kept = (to: Taking) => carriedOver(events, difference(before.course, to.course)).map(({ kind }) => kind);
    expect(kept(same)).toEqual(events.map(({ kind }) => kind));
    expect(kept(other).filter((kind) => kind === 'sit' || kind === 'hand')).toEqual([]);
  });
});

describe('the packed state of quizzes', () => {
  const all = ASKED_IN_QUIZZES.map((check) => another(check, `of ${check.kind}`, QUIZ));
  const settings: Partial<Quiz> = { tries: 3, pass: 0.9, minutes: 30, mix: true };

  it('gives back a try under way with its answers and its time, and one handed in with what it was worth', () => {
    for (const extra of [{}, { again: true as const }]) {
      const taking = quizzing({ ...settings, ...extra }, all);
      const asked = askedBy(taking, sit());
      const under = stateAfter([sit(1_800_000_000_000), ...answers(taking, asked.slice(2), 3)], taking);
      expect(unpackState(taking.course, packState(taking.course, under), taking.learner)).toMatchObject({
        quizzes: { [QUIZ]: { tries: 1, last: { ...under.quizzes![QUIZ].last!, answers: {} } } },
      });
      const handed = stateAfter([sit(), ...answers(taking, asked, 5), hand(), sit(), hand()], taking);
      const back = unpackState(taking.course, packState(taking.course, handed), taking.learner);
      const result = (state: typeof handed) => standingIn(taking.course, state).quizzes[QUIZ];
      expect(result(back)).toMatchObject({ tries: 2, passed: result(handed).passed });
      expect(Math.abs(result(back).share! - result(handed).share!)).toBeLessThan(0.011);
    }
  });

  it('keeps what a quiz counts when all else has to go', () => {
    const taking = quizzing(settings, all);
    const state = stateAfter([sit(), ...answers(taking, askedBy(taking, sit()), 6), hand()], taking);
    const least = packState(taking.course, state, 8);
    expect(least.length).toBeLessThanOrEqual(8);
    const back = standingIn(taking.course, unpackState(taking.course, least, taking.learner)).quizzes[QUIZ];
    expect(back).toMatchObject({ tries: 1, open: false });
    expect(Math.abs(back.share! - standingIn(taking.course, state).quizzes[QUIZ].share!)).toBeLessThan(0.011);
  });
});
