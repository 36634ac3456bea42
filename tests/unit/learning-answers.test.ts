import { describe, expect, it } from 'vitest';
import type { Check } from '../../core/checks/forms';
import { interactionOf, isTypedKind, solutionOf, splitCheck } from '../../core/checks/markings';
import { answersIn } from '../../core/learning/answers';
import { packState, unpackState } from '../../core/learning/packed';
import { progressOf, standingIn } from '../../core/learning/progress';
import { after, BEGINNING, type LearnerEvent } from '../../core/learning/state';
import { USUAL_RULES, type Rules } from '../../core/learning/rules';
import { freezeCourse, type FrozenCourse } from '../../core/learning/view';
import { reported } from '../../player/carriers/scorm';
import { aCourse, aLesson, aModule, anId } from '../builders';
import { another, EVERY_CHECK, wrongTo } from '../every-check';

const KINDS = Object.values(EVERY_CHECK) as Check[];

/** A frozen course of so many lessons, three checks on each, the kinds in turn. */
function asking(lessons: number, change: (check: Check) => Check = (check) => check) {
  const course = aCourse();
  course.modules = [
    aModule(
      'All',
      Array.from({ length: lessons }, (_, at) => aLesson(`Lesson ${at}`)),
    ),
  ];
  course.checks = [];
  course.modules[0].lessons.forEach((lesson, at) => {
    for (const nth of [0, 1, 2]) {
      const check = change(another(KINDS[(at * 3 + nth) % KINDS.length], `check ${at} ${nth}`, lesson.id));
      course.checks.push(check);
      lesson.blocks.push({ id: anId(`place ${at} ${nth}`), kind: 'check', body: { checkId: check.id } });
    }
  });
  return freezeCourse(course, 'secret');
}

const takingOf = ({ view, keys }: FrozenCourse, rules: Rules = USUAL_RULES) => ({
  course: view,
  keys,
  rules,
  learner: 'somebody',
});

describe('the packed state of every kind', () => {
  it('gives back each response, and keeps all of 300 lessons in 4,096 characters but what is typed', () => {
    const { view, keys } = asking(300);
    const by = takingOf({ view, keys }, { ...USUAL_RULES, tries: null });
    let state = BEGINNING;
    for (const { id } of view.checks) {
      const response = solutionOf(keys[id]).response;
      state = after(state, { id, kind: 'answer', lesson: view.modules[0].lessons[0].id, check: id, response }, by);
    }
    const roomy = unpackState(view, packState(view, state, 64_000), 'somebody');
    const withoutParts = (answers: typeof state.answers) =>
      Object.entries(answers).map(([id, { response, score, state: worth, tries }]) => ({
        id,
        response,
        score,
        worth,
        tries,
      }));
    // Numbers are kept to seven digits, responses of several in the order they are shown.
    expect(withoutParts(roomy.answers)).toEqual(withoutParts(state.answers));
    const packed = packState(view, state);
    expect(packed.length).toBeLessThanOrEqual(4096);
    const tight = unpackState(view, packed, 'somebody');
    for (const { id } of view.checks) expect(tight.answers[id].score, id).toBe(1);
  });

  it('does without typed words first, and keeps what was chosen', () => {
    const { view, keys } = asking(9);
    let state = BEGINNING;
    for (const { id } of view.checks)
      state = after(
        state,
        {
          id,
          kind: 'answer',
          lesson: view.modules[0].lessons[0].id,
          check: id,
          response: solutionOf(keys[id]).response,
        },
        takingOf({ view, keys }, USUAL_RULES),
      );
    const whole = packState(view, state);
    const untyped = unpackState(view, packState(view, state, whole.length - 1), 'somebody');
    for (const check of view.checks)
      expect('response' in untyped.answers[check.id], check.kind).toBe(!isTypedKind(check));
  });
});

describe('points and what must be answered', () => {
  const { view, keys } = asking(1, (check) => ({
    ...check,
    ...(check.kind === 'choice' && { points: 3 }),
    ...(check.kind === 'truth' && { required: true }),
  }));
  const [choice, several, truth] = view.checks;
  const answer = (check: string, response: unknown): LearnerEvent => ({
    id: check,
    kind: 'answer',
    lesson: view.modules[0].lessons[0].id,
    check,
    response,
  });

  it('weigh in the score', () => {
    const right = after(BEGINNING, answer(choice.id, solutionOf(keys[choice.id]).response), takingOf({ view, keys }));
    expect(progressOf(view, USUAL_RULES, standingIn(view, right)).score).toBeCloseTo(3 / 5);
    const other = after(BEGINNING, answer(several.id, solutionOf(keys[several.id]).response), takingOf({ view, keys }));
    expect(progressOf(view, USUAL_RULES, standingIn(view, other)).score).toBeCloseTo(1 / 5);
  });

  it('hold a lesson that is done by reading until they are answered', () => {
    const rules = { ...USUAL_RULES, lesson: { kind: 'read' as const } };
    const [lesson] = view.modules[0].lessons;
    const read = after(BEGINNING, { id: 'r', kind: 'read', lesson: lesson.id }, takingOf({ view, keys }, rules));
    expect(progressOf(view, rules, standingIn(view, read)).lessons[lesson.id]).toMatchObject({
      done: false,
      left: ['answer'],
    });
    const both = after(read, answer(truth.id, false), takingOf({ view, keys }, rules));
    expect(progressOf(view, rules, standingIn(view, both)).lessons[lesson.id].done).toBe(true);
  });
});

describe('what an author reads of a learner', () => {
  it('is every try, the first wrong one too, what is right, and what counts', () => {
    const frozen = asking(3);
    const { view, keys } = frozen;
    const events = view.checks.flatMap((check): (LearnerEvent & { at: number })[] => {
      const lesson = view.modules[0].lessons.find(({ blocks }) =>
        blocks.some((block) => block.kind === 'check' && block.body.checkId === check.id),
      )!.id;
      const wrong = wrongTo(check, keys[check.id]);
      return [wrong, solutionOf(keys[check.id]).response]
        .filter((response) => response !== undefined)
        .map((response, at) => ({ id: `${check.id}${at}`, kind: 'answer', lesson, check: check.id, response, at }));
    });
    const answers = answersIn(takingOf(frozen), events).checks;
    expect(answers.map(({ check }) => check)).toEqual(view.checks.map(({ id }) => id));
    for (const each of answers) {
      const { kind } = view.checks.find(({ id }) => id === each.check)!;
      expect(each.tries, kind).toHaveLength(kind === 'open' ? 1 : 2);
      expect(
        each.tries.every(({ said }) => said.length > 0 && said.every(Boolean)),
        kind,
      ).toBe(true);
      if (kind !== 'open') expect([each.tries[0].score, each.tries[1].score], kind).toEqual([0, 1]);
      expect(each.right.length, kind).toBeGreaterThan(0);
      expect(each.counts.score).toBe(1);
    }
    // What came when it was settled is no answer any more.
    const late = [...events, { ...events[0], id: 'late', at: 9 }];
    expect(answersIn(takingOf(frozen), late).checks).toEqual(answers);
  });
});

describe('what platforms are told', () => {
  const told = (edition: '1.2' | '2004', kind: keyof typeof EVERY_CHECK) => {
    const { view, secret } = splitCheck(EVERY_CHECK[kind], 'mixed');
    return reported(edition, interactionOf(view, solutionOf(secret).response)!);
  };

  it('of several, pairs and orders, by letters, as each edition joins them', () => {
    expect(told('1.2', 'several').said).toMatch(/^[a-d],[a-d]$/);
    expect(told('2004', 'several').said).toMatch(/^[a-d]\[,\][a-d]$/);
    expect(told('1.2', 'match').said).toMatch(/^a\.[a-c],b\.[a-c]$/);
    expect(told('2004', 'sort').said).toMatch(/^[a-c]\[\.\][ab](?:\[,\][a-c]\[\.\][ab]){2}$/);
    expect(told('2004', 'order')).toEqual({
      type: 'sequencing',
      said: expect.stringMatching(/^[a-d](?:\[,\][a-d]){3}$/),
    });
  });

  it('of what is typed, within what a field holds', () => {
    expect(told('1.2', 'number')).toEqual({ type: 'numeric', said: '1.5' });
    expect(told('1.2', 'open').type).toBe('fill-in');
    expect(told('2004', 'open').type).toBe('long-fill-in');
    expect(told('1.2', 'truth').said).toBe('t');
    const long = { type: 'long-fill-in' as const, response: ['x'.repeat(5000)] };
    expect([reported('1.2', long).said.length, reported('2004', long).said.length]).toEqual([255, 4000]);
  });
});
