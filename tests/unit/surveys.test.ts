import { describe, expect, it } from 'vitest';
import { answerRead, answersRead, unanswered, type SurveyAnswers } from '../../core/blocks/survey/answers';
import { BLOCKS, plainText, type Block } from '../../core/blocks/forms';
import { optionsOf, type SurveyBody, type SurveyItem } from '../../core/blocks/survey/form';
import type { Course } from '../../core/course/course';
import { applyAll } from '../../core/course/operations';
import { draftedSurvey, surveyLesson, SURVEY_MOMENTS } from '../../core/course/surveys';
import type { Problem } from '../../core/document/problem';
import {
  answerInWords,
  surveyOver,
  surveyResults,
  surveysIn,
  withBefore,
  withoutSurveys,
} from '../../core/learning/surveys';
import { freezeCourse, lessonsOf } from '../../core/learning/view';
import { A_BLOCK_OF_EVERY_KIND } from '../blocks';
import { aCourse, aLesson, aModule, anId } from '../builders';

const FORM = A_BLOCK_OF_EVERY_KIND.find(({ kind }) => kind === 'survey') as Block & { kind: 'survey' };
const { body } = FORM;
const [RATING, SCALE, CHOICE, SEVERAL, NUMBER, TEXT] = body.items as [
  SurveyItem,
  SurveyItem,
  SurveyItem,
  SurveyItem,
  SurveyItem,
  SurveyItem,
];
const one = (item: SurveyItem, at = 0) => optionsOf(item)[at].id;

describe('an answer', () => {
  it.each<[string, SurveyItem, unknown, unknown]>([
    ['of points within them', RATING, 5, 5],
    ['of points beyond them', RATING, 6, undefined],
    ['of points between two', RATING, 2.5, undefined],
    ['of a scale is one of its steps', SCALE, { ids: [one(SCALE)] }, { ids: [one(SCALE)] }],
    ['of a scale with words of one’s own', SCALE, { ids: [], other: 'x' }, undefined],
    ['of a choice is one', CHOICE, { ids: [one(CHOICE), one(CHOICE, 1)] }, undefined],
    ['of a choice in words of one’s own', CHOICE, { ids: [], other: ' The third ' }, { ids: [], other: 'The third' }],
    ['of a choice and words besides', CHOICE, { ids: [one(CHOICE)], other: 'x' }, undefined],
    [
      'of several, in their order, what is none left out',
      SEVERAL,
      { ids: ['xnobodyknows', one(SEVERAL, 1), one(SEVERAL)], other: '' },
      { ids: [one(SEVERAL), one(SEVERAL, 1)] },
    ],
    ['of a number within its range', NUMBER, 12, 12],
    ['of a number beyond it', NUMBER, 13, undefined],
    ['of a number that is none', NUMBER, Number.NaN, undefined],
    ['in words', TEXT, ' The end. ', 'The end.'],
    ['in no words', TEXT, '  ', undefined],
    ['in too many', TEXT, 'x'.repeat(2001), undefined],
    ['that is a thing of its own', TEXT, { toString: 'x' }, undefined],
  ])('%s', (_, item, given, read) => expect(answerRead(item, given)).toEqual(read));

  it('is needed where its author says so, and one is enough otherwise', () => {
    expect(answersRead(body, { [TEXT.id]: 'The end.' })).toBeUndefined();
    expect(unanswered(body, { [TEXT.id]: 'The end.' })).toEqual([RATING]);
    expect(answersRead(body, { [RATING.id]: 1, unknown: 7, constructor: 3 })).toEqual({ [RATING.id]: 1 });
    const free = { ...body, items: [TEXT] };
    expect(answersRead(free, {})).toBeUndefined();
    expect(answersRead(free, null)).toBeUndefined();
  });
});

describe('a form', () => {
  it('says all its words, which can be searched and replaced', () => {
    expect(plainText(FORM).split('\n')).toHaveLength(18);
    const shouted = BLOCKS.survey.mapPlain!(body, (words) => words.toUpperCase());
    expect(BLOCKS.survey.plain!(shouted)).toEqual(BLOCKS.survey.plain!(body).map((words) => words.toUpperCase()));
  });

  it('has ids that stand once, ranges that hold something, two options or more', () => {
    const broken = (items: object[]) => {
      const problems: Problem[] = [];
      BLOCKS.survey.body.check({ ...body, items }, '', problems);
      return [
        ...problems.map(({ code }) => code),
        ...(BLOCKS.survey.problems?.({ ...body, items } as SurveyBody) ?? []),
      ];
    };
    expect(broken([RATING, { ...RATING }])).toEqual(['id-twice']);
    expect(broken([{ ...NUMBER, min: 3, max: 1 }])).toEqual(['range-turned']);
    expect(broken([{ ...SCALE, options: optionsOf(SCALE).slice(1) }])).toEqual(['too-few']);
    expect(broken([{ ...SCALE, other: true }])).toEqual(['unknown-property']);
    expect(broken(body.items)).toEqual([]);
  });
});

describe('what was answered', () => {
  const sheets: SurveyAnswers[] = [
    { [RATING.id]: 4, [CHOICE.id]: { ids: [], other: 'Zebras' }, [NUMBER.id]: 3, [TEXT.id]: 'b' },
    { [RATING.id]: 5, [CHOICE.id]: { ids: [one(CHOICE)] }, [NUMBER.id]: 4, [TEXT.id]: 'a' },
    { [RATING.id]: 2, [SEVERAL.id]: { ids: [one(SEVERAL), one(SEVERAL, 1)], other: 'Apples' } },
  ];

  it('is counted question by question, words in an order that says nothing', () => {
    const [rating, scale, choice, several, number, text] = surveyResults(body, sheets);
    expect(rating).toMatchObject({
      answered: 3,
      median: 4,
      counts: [{ count: 0 }, { count: 1 }, {}, {}, { count: 1 }],
    });
    expect(rating.mean).toBeCloseTo(11 / 3);
    expect(scale).toMatchObject({ answered: 0, counts: [{ count: 0 }, { count: 0 }] });
    expect(choice).toMatchObject({ answered: 2, counts: [{ count: 1 }, { count: 0 }], words: ['Zebras'] });
    expect(several).toMatchObject({ answered: 1, counts: [{ count: 1 }, { count: 1 }], words: ['Apples'] });
    expect(number).toMatchObject({ answered: 2, mean: 3.5, median: 3.5 });
    expect(text).toEqual({ item: TEXT, answered: 2, words: ['a', 'b'] });
  });

  it('is said in words, sheet by sheet', () => {
    expect(body.items.map((item) => answerInWords(item, sheets[2]))).toEqual([
      '2',
      '',
      '',
      'The list; The table; Apples',
      '',
      '',
    ]);
  });

  it('stands beside what was answered before to the same question, and to no other', () => {
    const earlier = [{ title: 'Before', items: surveyResults(body, sheets.slice(0, 2)) }];
    const [rating, scale, choice, , , text] = withBefore(surveyResults(body, sheets.slice(2)), earlier);
    expect(rating.before).toMatchObject({ form: 'Before', answered: 2, mean: 4.5 });
    expect(choice.before!.counts!.map(({ count }) => count)).toEqual([1, 0]);
    // Nobody answered it before; words are read, not compared.
    expect([scale.before, text.before]).toEqual([undefined, undefined]);
    const other = { ...body, items: body.items.map((item) => ({ ...item, text: `${item.text} Now?` })) };
    expect(withBefore(surveyResults(other, sheets), earlier).some(({ before }) => before)).toBe(false);
  });

  it('holds what questions and options of older releases were answered', () => {
    const newer: SurveyBody = {
      ...body,
      items: [
        {
          ...CHOICE,
          text: 'Which one?',
          options: [...optionsOf(CHOICE).slice(1), { id: anId('c3'), text: 'New' }],
        } as SurveyItem,
      ],
    };
    const over = surveyOver([newer, body])!;
    expect(over.items.map(({ text }) => text)).toEqual([
      'Which one?',
      ...body.items.filter((item) => item !== CHOICE).map(({ text }) => text),
    ]);
    expect(surveyResults(over, sheets)[0].counts).toEqual([
      { text: 'The second', count: 0 },
      { text: 'New', count: 0 },
      { text: 'The first', count: 1 },
    ]);
    expect(surveyOver([])).toBeUndefined();
  });
});

/** A course with a form on a page of its own, and one on a page with words. */
function withForms(changes: Partial<SurveyBody> = {}): Course {
  const form = (name: string): Block => ({ ...FORM, id: anId(name), body: { ...body, ...changes } });
  const words = aLesson('Words');
  return {
    ...aCourse(),
    modules: [
      aModule('One', [
        { ...words, blocks: [...words.blocks, form('beside')] },
        { ...aLesson('Alone'), blocks: [form('alone')] },
      ]),
    ],
    checks: [],
  };
}
const titles = (course: Parameters<typeof lessonsOf>[0]) => lessonsOf(course).map(({ title }) => title);

describe('for learners', () => {
  it('forms stand on their pages, and apart from them where only their link leads to them', () => {
    const { view } = freezeCourse(withForms(), 'x');
    expect(titles(view)).toEqual(['Words', 'Alone']);
    expect(surveysIn(view).map(({ block }) => block.id)).toEqual([anId('beside'), anId('alone')]);
    const apart = freezeCourse(withForms({ apart: true }), 'x').view;
    expect(titles(apart)).toEqual(['Words']);
    expect(apart.modules[0].lessons[0].blocks.some(({ kind }) => kind === 'survey')).toBe(false);
    expect(surveysIn(apart).map(({ block, lesson }) => [block.id, lesson])).toEqual([
      [anId('beside'), anId('Words')],
      [anId('alone'), anId('Alone')],
    ]);
  });

  it('one that asks nothing is none, and a package has none at all', () => {
    expect(titles(freezeCourse(withForms({ items: [] }), 'x').view)).toEqual(['Words']);
    const packed = withoutSurveys(freezeCourse(withForms(), 'x').view);
    expect(titles(packed)).toEqual(['Words']);
    expect(surveysIn(packed)).toEqual([]);
    expect('apart' in withoutSurveys(freezeCourse(withForms({ apart: true }), 'x').view)).toBe(false);
  });
});

describe('a drafted form', () => {
  const ids = () => {
    let count = 0;
    return { lesson: anId('form'), block: anId('block'), id: () => anId(`a${count++}`) };
  };
  it.each(SURVEY_MOMENTS)('%s: taken by the course, of several kinds, never whether it was liked', (moment) => {
    const course = withForms();
    const made = applyAll(course, surveyLesson(course, moment, ids(), anId('Words')));
    expect(made.ok).toBe(true);
    if (!made.ok) return;
    const lessons = made.course.modules[0].lessons.map(({ title }) => title);
    expect(lessons.indexOf(lessons.find((title) => title !== 'Words' && title !== 'Alone')!)).toBe(
      { before: 0, between: 1, end: 2 }[moment],
    );
    const { items } = draftedSurvey(course, moment, ids().id);
    expect(new Set(items.map(({ kind }) => kind)).size).toBeGreaterThan(1);
    expect(items.map(({ text }) => text).join(' ')).not.toMatch(/\b(like|enjoy)/i);
  });

  it('asks the same of the aims before and after, in the language of the course', () => {
    const course = {
      ...withForms(),
      language: 'de',
      objectives: [{ id: anId('aim'), text: 'Einen Schaden aufnehmen.' }],
    } as Course;
    course.modules[0].lessons[0].objectiveIds = [anId('aim')];
    const asked = (moment: 'before' | 'end') => draftedSurvey(course, moment, ids().id).items.map(({ text }) => text);
    const sure = 'Wie sicher sind Sie heute, dass Sie das können: Einen Schaden aufnehmen?';
    expect(asked('before')[0]).toBe(sure);
    expect(asked('end')[0]).toBe(sure);
    expect(surveyLesson({ ...course, modules: [] }, 'end', ids())).toEqual([]);
  });
});
