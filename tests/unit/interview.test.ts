import { describe, expect, it } from 'vitest';
import { readingOf } from '../../core/brief/asked';
import { experienceTitle, INTERVIEW, topicTitle } from '../../core/brief/interview';
import { beginPlan, planFor, PLANS, type PlanKey } from '../../core/brief/plans';
import { allLessons, emptyCourse, type Answer, type Course } from '../../core/course/course';
import { apply, applyAll } from '../../core/course/operations';
import { operationsTo } from '../../core/course/return';
import { validateCourse } from '../../core/course/validate';
import { readAnswers } from '../../core/reading/answers';
import { typedText } from '../../core/reading/answers/typed';
import { allSections } from '../../core/source/source';
import { aBrief, aCourse, anId } from '../builders';

const answer = (question: string, text: string, topic = 'Rules of thumb'): Answer => ({
  id: anId(question),
  topic,
  question,
  text,
});
const read = (...answers: Answer[]) =>
  readAnswers(answers, { id: anId('answers'), title: 'From experience', language: 'en' }, (question) =>
    readingOf(question, 'en'),
  );
const asked = (key: string) => INTERVIEW.find((each) => each.key === key)!.question;
const empty = emptyCourse(anId('empty'), 'Ladders', aBrief());
const done = (course: Course, operations: Parameters<typeof applyAll>[1]) => {
  const applied = applyAll(course, operations);
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied;
};

describe('the interview', () => {
  it('asks on every topic, each question once, with words for each language', () => {
    expect(new Set(INTERVIEW.map((each) => each.topic)).size).toBe(8);
    expect(new Set(INTERVIEW.map((each) => each.key)).size).toBe(INTERVIEW.length);
    for (const { question } of INTERVIEW) expect(question).toMatch(/[?.]$/);
    for (const { topic } of INTERVIEW)
      expect(new Set(['en', 'de', 'fr', 'es'].map((language) => topicTitle(topic, language))).size).toBe(4);
    expect(topicTitle('thumb', 'ja')).toBe(topicTitle('thumb', 'en'));
    expect(experienceTitle('de-AT')).toBe('Aus Erfahrung');
    for (const { over } of INTERVIEW) if (over) expect(new Set(Object.values(over)).size).toBe(4);
    expect(readingOf(asked('thumb-rules'), 'fr')).toEqual({ over: 'À quoi se fier', reads: 'tip' });
    expect(readingOf(asked('asked-most'), 'en')).toEqual({});
    expect(readingOf('Which words are needed? One a line: word, colon, meaning.', 'en')).toEqual({
      over: 'Which words are needed?',
    });
  });
});

describe('answers as a source', () => {
  it('stand under their topic, whatever their order, and each passage keeps its question', () => {
    const source = read(
      answer('First?', 'Check the foot of every ladder. Then the rungs.\nNever lean it on glass.'),
      answer('Stages?', '1. Open it.\n2. Lock it.', 'The stages of the work'),
      answer('Second?', 'If it sways, come down.'),
      answer('Third?', '  '),
    )!;
    expect(source.kind).toBe('interview');
    expect(
      allSections(source.root)
        .slice(1)
        .map((section) => [section.title, section.passages.length]),
    ).toEqual([
      ['Rules of thumb', 0],
      ['First?', 2],
      ['Second?', 1],
      ['The stages of the work', 0],
      ['Stages?', 2],
    ]);
    expect(source.passages.map((passage) => [passage.kind, passage.text, passage.locator.question])).toEqual([
      ['paragraph', 'Check the foot of every ladder. Then the rungs.', 'First?'],
      ['paragraph', 'Never lean it on glass.', 'First?'],
      ['paragraph', 'If it sways, come down.', 'Second?'],
      ['item', 'Open it.', 'Stages?'],
      ['item', 'Lock it.', 'Stages?'],
    ]);
    expect(new Set(source.passages.filter((passage) => passage.list).map((passage) => passage.list!.id)).size).toBe(1);
  });
  it('are transcripts where their lines begin with times, and lose who is asked', () => {
    const timed = read(
      answer(
        'Story?',
        '[0:05] Mara: We had a ladder that was short.\n[0:12] It was painted, and nobody saw it.\n[1:40] Then it broke.',
      ),
    )!;
    expect(
      timed.passages.map((passage) => [
        passage.kind,
        passage.locator.seconds,
        passage.speaker,
        passage.locator.question,
      ]),
    ).toEqual([
      ['utterance', 5, 'Mara', 'Story?'],
      ['utterance', 100, 'Mara', 'Story?'],
    ]);
    expect(
      read(answer('Asked?', 'Q: How high may it be?\nA: Four metres, not more.'))!.passages.map(
        (passage) => passage.text,
      ),
    ).toEqual(['How high may it be?', 'Four metres, not more.']);
  });
  it('keep the ids of what was not typed anew, and are nothing while nothing is answered', () => {
    const before = read(answer('First?', 'Check the foot of every ladder.'))!;
    const after = read(
      answer('Zero?', 'Wear shoes.'),
      answer('First?', 'Check the foot of every ladder.\nAnd the rungs.'),
    )!;
    expect(after.passages.map((passage) => passage.id)).toContain(before.passages[0].id);
    expect(read(answer('First?', ' \n '))).toBeUndefined();
    expect(read()).toBeUndefined();
  });
  it('are told in the language they are written in', () => {
    expect(
      read(
        answer(
          'Was?',
          'Die Leiter muss immer auf festem Boden stehen. Wer allein arbeitet, darf nicht höher als drei Meter steigen, und jemand muss den Fuß der Leiter halten.',
        ),
      )!.language,
    ).toBe('de');
  });
});

describe('typed text', () => {
  it('is a paragraph a line, unless lines were broken to a width', () => {
    expect(typedText('hold the foot of the ladder\nlook up before you climb', false)).toBe(
      'Hold the foot of the ladder.\n\nLook up before you climb.',
    );
    expect(
      typedText(
        'Hold the foot of the ladder with both of your\nhands, and look up before you climb, because a\nbroken rung is seen from below',
        false,
      ),
    ).toBe(
      'Hold the foot of the ladder with both of your hands, and look up before you climb, because a broken rung is seen from below.',
    );
  });
  it('keeps its lists, headings and lead-ins as they are', () => {
    const marked = 'Before you climb:\n- look up\n- hold on\n\n## Later\n| a | b |';
    expect(typedText(marked, false)).toBe(marked);
  });
  it('gets no capital for a name of its own spelling, and no full stop where its script has none', () => {
    expect(typedText('iPhones stay in the locker', false)).toBe('iPhones stay in the locker.');
    expect(typedText('はしごの足元を確かめます', false)).toBe('はしごの足元を確かめます');
    expect(typedText('red card!', false)).toBe('Red card!');
  });
  it('begins its sentences large, but for abbreviations', () => {
    expect(typedText('the early shift. they find clean boards, approx. ten of them', false)).toBe(
      'The early shift. They find clean boards, approx. ten of them.',
    );
  });
  it('is steps where it is the work in its order, unless a line is too long for one', () => {
    expect(typedText('open it\n\nlock both sides of it', true)).toBe('1. Open it\n\n2. Lock both sides of it.');
    expect(typedText(`Open it.\n${'word '.repeat(40)}end.`, true)).not.toContain('1.');
    expect(typedText('turn it\nwait\nturn it', true)).toBe('1. Turn it\n2. Wait\n3. Turn it');
    expect(typedText('- open it\n- lock it', true)).toBe('- open it\n- lock it');
  });
});

describe('the slots of a plan', () => {
  it('say what their answers are', () => {
    const slots = Object.keys(PLANS)
      .flatMap((key) => planFor(key as PlanKey, 'closing the kitchen', 'en'))
      .flatMap((module) => module.lessons)
      .flatMap((lesson) => lesson.slots);
    expect(new Set(slots.map((slot) => readingOf(slot, 'en').reads))).toEqual(
      new Set([undefined, 'steps', 'terms', 'experience']),
    );
    expect(
      readingOf('What are the steps of closing the kitchen, from the first to the last? A numbered list.', 'en'),
    ).toEqual({ over: 'What are the steps of closing the kitchen, from the first to the last?', reads: 'steps' });
  });
  it('give steps and terms, whatever they are typed like', () => {
    const words =
      'Which words does somebody need for bread, and what does each mean? One a line: word, colon, meaning.';
    const source = read(
      answer(words, 'pre-proof: the last rise but one\nBiga – a stiff dough of the day before\nno entry at all'),
      answer('What are the steps of bread, from the first to the last? A numbered list.', 'fold it\nbake it'),
    )!;
    expect(source.passages.map(({ kind, term, text }) => [kind, term, text])).toEqual([
      ['definition', 'Pre-proof', 'the last rise but one.'],
      ['definition', 'Biga', 'a stiff dough of the day before.'],
      ['paragraph', undefined, 'No entry at all.'],
      ['item', undefined, 'Fold it'],
      ['item', undefined, 'Bake it'],
    ]);
  });
});

describe('a question and its answer in the course', () => {
  it('come, are typed and go like any part; a course without them is as one that never had any', () => {
    const node = answer('Own?', '');
    const came = apply(empty, { type: 'insert', kind: 'answer', parent: empty.id, after: null, node });
    if (!came.ok) throw new Error(came.problem.code);
    const typed = done(came.course, [{ type: 'set', id: node.id, field: 'text', value: 'Mine.', was: '' }]);
    expect(validateCourse(typed.course)).toEqual([]);
    expect(typed.course.answers).toEqual([{ ...node, text: 'Mine.' }]);
    expect(done(typed.course, typed.inverses).course).toEqual(came.course);
    expect(done(came.course, [came.inverse]).course).toEqual(empty);
    const gone = done(typed.course, [{ type: 'remove', id: node.id }]).course;
    expect(gone.bin[0]).toMatchObject({ kind: 'answer', node: { text: 'Mine.' } });
    expect(gone).not.toHaveProperty('answers');
    expect(done(empty, operationsTo(empty, typed.course)).course.answers).toEqual(typed.course.answers);
  });
});

describe('a course plan', () => {
  it.each(Object.keys(PLANS) as PlanKey[])(
    '%s gives blank lessons with questions on the topic, and is taken back whole',
    (key) => {
      const operations = beginPlan(empty, planFor(key, 'handing out a ladder', 'en'), 'seed');
      const { course, inverses } = done(empty, operations);
      expect(validateCourse(course)).toEqual([]);
      expect(course.modules).toHaveLength(3);
      expect(
        allLessons(course).every(
          (lesson) => lesson.state === 'blank' && course.answers!.some((slot) => slot.lesson === lesson.id),
        ),
      ).toBe(true);
      expect(course.answers!.every((slot) => slot.text === '' && !slot.question.includes('{'))).toBe(true);
      expect(course.answers!.filter((slot) => slot.question.includes('handing out a ladder')).length).toBeGreaterThan(
        course.answers!.length / 2,
      );
      expect(done(course, inverses).course).toEqual(empty);
      // A second time beside the first.
      expect(allLessons(done(course, beginPlan(course, planFor(key, 'ladders', 'en'), 'other')).course)).toHaveLength(
        2 * allLessons(course).length,
      );
    },
  );
  it('speaks the language of the course', () => {
    expect(planFor('task', 'x', 'de')[1].lessons.map((lesson) => lesson.title)).toContain('Schritt für Schritt');
    expect(planFor('task', 'x', 'sv')).toEqual(planFor('task', 'x', 'en'));
  });
  it('goes behind what is there', () => {
    const course = aCourse();
    expect(
      done(course, beginPlan(course, planFor('rules', 'fees', 'en'), 'seed'))
        .course.modules.map((module) => module.title)
        .slice(0, 2),
    ).toEqual(['First', 'Second']);
  });
});
