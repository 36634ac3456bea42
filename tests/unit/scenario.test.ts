import { describe, expect, it } from 'vitest';
import type { Check } from '../../core/checks/forms';
import { checkFormOf } from '../../core/checks/forms';
import { lintCheck } from '../../core/checks/lints';
import { goesOn, mark, saidIn, solutionOf, splitCheck } from '../../core/checks/markings';
import type { Scene, ScenarioCheck } from '../../core/checks/scenario/form';
import { scenarioOf } from '../../core/checks/scenario/from';
import { scenarioMinutes, walk } from '../../core/checks/scenario/walk';
import { blankQuiz, drawsOf, type QuizLesson } from '../../core/course/quizzes';
import { lintCourse } from '../../core/course/lint';
import { packState, unpackState } from '../../core/learning/packed';
import { progressOf, standingIn } from '../../core/learning/progress';
import { USUAL_RULES } from '../../core/learning/rules';
import { shown } from '../../core/learning/shown';
import { after, BEGINNING, isSettled, stateAfter, type LearnerEvent } from '../../core/learning/state';
import { waysOf } from '../../core/learning/ways';
import { freezeCourse } from '../../core/learning/view';
import { writeQti } from '../../core/questions/write';
import { aCourse, aLesson, aModule, anId } from '../builders';
import { EVERY_CHECK, SCENARIO, SEVERAL } from '../every-check';

const { view, secret } = splitCheck(SCENARIO, 'mixed');
/** The way by the words of what is chosen, as a learner's ids. */
function way(...texts: string[]): string[] {
  const ids: string[] = [];
  for (const text of texts) {
    const next = ids.length > 0 ? mark(secret, ids)!.feedback!.story!.next : (view as never as { first: Scene }).first;
    ids.push(next!.choices.find((choice) => choice.text === text)!.id);
  }
  return ids;
}
const [ARGUE, ASIDE, LATER] = SCENARIO.scenes[0].choices.map(({ text }) => text);
const [LET, LEAD] = SCENARIO.scenes[1].choices.map(({ text }) => text);
const codes = (check: ScenarioCheck) => lintCheck(check, 'en').map(({ code, at }) => [code, at]);
const without = (from: number, change: (scene: Scene) => Partial<Scene>): ScenarioCheck => ({
  ...SCENARIO,
  scenes: SCENARIO.scenes.map((scene, at) => (at === from ? { ...scene, ...change(scene) } : scene)),
});

describe('every way through a story', () => {
  it('is gone at once: what is reached, what ends, the best and the least, how many there are', () => {
    const found = walk(SCENARIO.scenes);
    expect(found.best).toEqual({ score: 4, choices: [anId('w aside'), anId('w lead')] });
    expect(found.least).toBe(0);
    expect(found.ways).toBe(3);
    expect([...found.again]).toEqual([anId('w argue')]);
    expect(found.reached.size).toBe(3);
    expect(found.words.fewest).toBeLessThan(found.words.most);
    expect(scenarioMinutes(SCENARIO.scenes)).toBeGreaterThan(0.4);
  });

  it('is found in a story of two hundred scenes with more ways than anybody could go', () => {
    const scenes = Array.from({ length: 200 }, (_, at): Scene => ({
      id: anId(`deep ${at}`),
      title: '',
      text: 'So it goes on.',
      choices: [0, 1, 2].map((nth) => ({
        id: anId(`deep ${at} ${nth}`),
        text: `Do ${nth}`,
        score: nth,
        follows: 'It goes on.',
        quotes: [],
        ...(at < 199 && { to: anId(`deep ${at + 1}`) }),
      })),
    }));
    const { best, least, ways, ending } = walk(scenes);
    expect(best!.score).toBe(400);
    expect(best!.choices).toHaveLength(200);
    expect([least, ways, ending.size]).toEqual([0, 1_000_000, 200]);
  });

  it('has no end where all choices lead back', () => {
    const round = without(1, ({ choices }) => ({ choices: choices.map((each) => ({ ...each, to: anId('s aside') })) }));
    expect(walk(round.scenes).ending.has(anId('s aside'))).toBe(false);
    expect(walk([{ ...SCENARIO.scenes[0], choices: [{ ...SCENARIO.scenes[0].choices[0] }] }]).best).toBeUndefined();
  });
});

describe('a story as it is written', () => {
  it('refuses choices that lead nowhere, and ids that stand twice', () => {
    const { problems } = checkFormOf(SCENARIO);
    expect(problems!(without(2, () => ({ id: anId('another') })))).toEqual(['no-such-scene']);
    expect(problems!(without(2, () => ({ id: anId('w argue') })))).toContain('id-twice');
  });

  it('says what is wrong where it is: at the scene, at the choice', () => {
    expect(codes(SCENARIO).filter(([code]) => code !== 'no-evidence')).toEqual([]);
    const silent = without(1, ({ choices }) => ({
      text: ' ',
      choices: [{ ...choices[0], follows: '', score: 2 }, choices[1]],
    }));
    expect(codes(silent)).toEqual(
      expect.arrayContaining([
        ['no-scene', anId('s aside')],
        ['all-same-worth', anId('s aside')],
        ['nothing-follows', anId('w let')],
      ]),
    );
    const cut = without(0, ({ choices }) => ({ choices: [{ ...choices[2], score: 1 }] }));
    expect(codes(cut)).toEqual(
      expect.arrayContaining([
        ['no-choice', anId('s desk')],
        ['not-reached', anId('s aside')],
        ['not-reached', anId('s end')],
      ]),
    );
    const earning = without(0, ({ choices }) => ({
      choices: choices.map((each, at) => (at === 0 ? { ...each, score: 1 } : each)),
    }));
    expect(codes(earning)).toContainEqual(['earns-again', anId('w argue')]);
  });

  it('is asked by no quiz, which its author is told, and is no item of QTI', () => {
    const block = { id: anId('b story'), kind: 'check' as const, body: { checkId: SCENARIO.id } };
    const quiz: QuizLesson = { ...blankQuiz(anId('quiz'), 'Quiz'), blocks: [block] };
    const course = { ...aCourse(), checks: [SCENARIO], modules: [aModule('One', [quiz])] };
    expect(drawsOf(course, quiz)).toEqual([{ take: 0, from: [] }]);
    expect(
      lintCourse(course)
        .get(SCENARIO.id)!
        .map(({ code }) => code),
    ).toContain('in-quiz');
    expect([...writeQti(course, '3.0').keys()].filter((name) => name.startsWith('items/'))).toEqual([]);
  });
});

describe('a scenario that begins with a question', () => {
  let count = 0;
  const made = scenarioOf({ ...SEVERAL, evidence: [] }, 'The workshop', (letter) => anId(`made ${letter}${count++}`))!;

  it('has its answers as choices, with what is said to them and where it says so', () => {
    expect(checkFormOf(made).problems!(made)).toEqual([]);
    expect([made.stem, made.scenes[0].text]).toEqual(['The workshop', SEVERAL.stem]);
    expect(made.scenes[0].choices.map(({ text, score }) => [text, score])).toEqual(
      SEVERAL.options.map(({ id, text }) => [text, SEVERAL.keys.includes(id) ? 2 : 0]),
    );
    expect(made.scenes[0].choices[2].follows).toBe('Your toes need cover.');
  });

  it('ends with what is right, and is decided again after what is not', () => {
    const { best, again } = walk(made.scenes);
    expect(best!.score).toBe(2);
    expect(again.size).toBe(2);
    expect(scenarioOf(EVERY_CHECK.truth, 'The workshop', anId)).toBeUndefined();
  });
});

describe('a story as it is taken', () => {
  it('goes on scene by scene, and tells nothing of what comes', () => {
    expect(JSON.stringify(view)).not.toMatch(/score|follows|Aside|He can pay|desk lead|"to"/);
    const first = mark(secret, way(ARGUE))!;
    expect(first.state).toBe('going');
    expect(first.feedback!.story!.steps.map(({ follows }) => follows)).toEqual(['He shouts.']);
    // A point to decide again from.
    expect(first.feedback!.story!.next!.text).toBe(SCENARIO.scenes[0].text);
    expect(JSON.stringify(first)).not.toMatch(/desk lead|worth|"score":[^0]/);
  });

  it('is worth its share of the best way, each choice once, and looks back when it is over', () => {
    const best = mark(secret, way(ASIDE, LEAD))!;
    expect(best).toMatchObject({ score: 1, state: 'marked', feedback: { code: 'right', story: { points: 4, of: 4 } } });
    expect(best.feedback!.quotes).toEqual(['Take the borrower aside.']);
    expect(best.feedback!.story!.debrief).toBe(SCENARIO.debrief);
    expect(mark(secret, way(ARGUE, ARGUE, ASIDE, LEAD))!.score).toBe(0.75);
    const worse = mark(secret, way(ASIDE, LET))!;
    expect(worse.score).toBe(0.5);
    expect(worse.feedback!.story!.steps.map(({ worth }) => worth)).toEqual(['best', 'off', undefined]);
    expect(mark(secret, way(LATER))!.score).toBe(0);
    expect(saidIn(view, secret, way(ASIDE, LET))).toEqual([`At the desk: ${ASIDE}`, `Aside: ${LET}`, 'The end']);
    expect(mark(secret, solutionOf(secret).response)!.score).toBe(1);
  });

  it('cannot jump, nor go on behind its end', () => {
    const [aside, lead] = way(ASIDE, LEAD);
    for (const none of [[lead], [aside, aside], [aside, lead, lead]]) expect(mark(secret, none)).toBeUndefined();
    expect(goesOn(secret, way(ASIDE), way(ASIDE, LET))).toBe(true);
    expect(goesOn(secret, way(ASIDE), way(ARGUE))).toBe(false);
    expect(goesOn(secret, way(ASIDE), way(ASIDE))).toBe(false);
  });
});

describe('a learner in a story', () => {
  const lesson = {
    ...aLesson('Late'),
    blocks: [{ id: anId('b story'), kind: 'check' as const, body: { checkId: SCENARIO.id } }],
  };
  const { view: course, keys } = freezeCourse(
    { ...aCourse(), checks: [SCENARIO], modules: [aModule('One', [lesson])] },
    'mixed',
  );
  const rules = { ...USUAL_RULES, tries: 1 };
  const taking = { course, keys, rules, learner: 'somebody' };
  const answered = (...texts: string[]): LearnerEvent => ({
    id: texts.join(),
    lesson: lesson.id,
    kind: 'answer',
    check: SCENARIO.id,
    response: way(...texts),
  });
  const answerOf = (...events: LearnerEvent[]) => stateAfter(events, taking).answers[SCENARIO.id];

  it('has not answered before it ends, and uses one try for all of its steps', () => {
    const begun = stateAfter([answered(ASIDE)], taking);
    expect(begun.answers[SCENARIO.id]).toMatchObject({ state: 'going', tries: 1 });
    expect(isSettled(begun.answers[SCENARIO.id], rules)).toBe(false);
    expect(progressOf(course, rules, standingIn(course, begun)).checks).toMatchObject({ answered: 0, of: 1 });
    expect(answerOf(answered(ASIDE), answered(ASIDE, LEAD))).toMatchObject({ state: 'marked', score: 1, tries: 1 });
  });

  it('cannot take back a step, also not from another window', () => {
    const begun = stateAfter([answered(ASIDE)], taking);
    expect(after(begun, answered(LATER), taking)).toBe(begun);
    expect(answerOf(answered(ASIDE), answered(ASIDE, LET), answered(ASIDE, LEAD))).toMatchObject({ score: 0.5 });
  });

  it('comes back to where they were after hundreds of steps, too', () => {
    const rounds = [...way(ARGUE), ...Array.from({ length: 400 }, () => way(ARGUE)[0])];
    const long: LearnerEvent = { id: 'long', lesson: lesson.id, kind: 'answer', check: SCENARIO.id, response: rounds };
    const state = stateAfter([long], taking);
    expect(state.answers[SCENARIO.id].state).toBe('going');
    const back = unpackState(course, packState(course, state), 'somebody');
    expect(back.answers[SCENARIO.id].response).toEqual(rounds);
  });

  it('begins anew with a try of its own, and sees where they were after a while', () => {
    const twice = { ...taking, rules: { ...rules, tries: 2 } };
    const state = stateAfter([answered(LATER), answered(ASIDE)], twice);
    expect(state.answers[SCENARIO.id]).toMatchObject({ state: 'going', tries: 2 });
    const told = shown(SCENARIO.id, state.answers[SCENARIO.id], keys, false)!;
    expect(told.feedback!.story!.next!.text).toBe('He can pay most of it.');
    const back = unpackState(course, packState(course, state), 'somebody');
    expect(back.answers[SCENARIO.id]).toEqual(state.answers[SCENARIO.id]);
    expect(BEGINNING.answers).toEqual({});
  });

  it('is counted with all others: who was in it, who came to an end, and who chose what', () => {
    const twice = { ...taking, rules: { ...rules, tries: 2 } };
    const states = [
      [answered(ASIDE), answered(ASIDE, LEAD)],
      [answered(LATER), answered(ASIDE)],
      [answered(ARGUE), answered(ARGUE, ARGUE), answered(ARGUE, ARGUE, LATER)],
      [],
    ].map((events) => ({ state: stateAfter(events, twice), keys }));
    expect(waysOf(SCENARIO.id, states)).toEqual({
      learners: 3,
      ended: 2,
      chosen: { [anId('w aside')]: 2, [anId('w lead')]: 1, [anId('w argue')]: 1, [anId('w later')]: 1 },
    });
    expect(waysOf(anId('nothing'), states)).toEqual({ learners: 0, ended: 0, chosen: {} });
  });

  it('is one question among others for who looks at results', () => {
    const check: Check = SEVERAL;
    expect(checkFormOf(check).standsAlone).toBeUndefined();
    expect(checkFormOf(SCENARIO).standsAlone).toBe(true);
  });
});
