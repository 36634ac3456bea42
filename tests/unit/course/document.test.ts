import Ajv from 'ajv/dist/2020';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BLOCKS, blockTexts, mapBlockTexts } from '../../../core/blocks/forms';
import { canonicalJson, sameData } from '../../../core/document/canonical';
import type { Course } from '../../../core/course/course';
import { ID_PATTERN, idFrom, shortHash } from '../../../core/document/id';
import {
  canonicalRichText,
  evidencedSentences,
  plainRun,
  replay,
  textOf,
  type RichText,
  type TextMark,
} from '../../../core/document/rich-text';
import { courseSchema } from '../../../core/course/schema';
import { validateCourse } from '../../../core/course/validate';
import { A_BLOCK_OF_EVERY_KIND as EVERY_KIND } from '../../blocks';
import { aCourse, aLesson, anId, aText, file, asChoice } from '../../builders';

const text = plainRun('Some words.');

type Change = (course: Course) => unknown;
const lesson = (course: Course) => course.modules[0].lessons[0];
const run =
  (marks: unknown[]): Change =>
  (course) =>
    (lesson(course).blocks[0] = {
      id: anId('r'),
      kind: 'text',
      body: { text: [{ type: 'text', text: 'x', marks: marks as TextMark[] }] },
    });

/** One table for the validator and the JSON Schema: both must say the same of every form. */
const FORMS: [string, boolean, Change][] = [
  ['the course as it is', true, () => undefined],
  [
    'every kind of block',
    true,
    (course) => lesson(course).blocks.push(...EVERY_KIND.filter((block) => block.kind !== 'check')),
  ],
  [
    'evidence',
    true,
    run([
      {
        type: 'evidence',
        attrs: {
          id: anId('e'),
          passages: [{ id: anId('p'), from: 0, to: 3, edits: [{ from: 0, to: 1, with: '' }] }],
          was: 'abcdefghij',
        },
      },
    ]),
  ],
  ['no title', false, (course) => delete (course as Partial<Course>).title],
  ['an empty title', false, (course) => (course.title = '')],
  ['an unknown property', false, (course) => Object.assign(course, { colour: 'red' })],
  ['an unknown property deep down', false, (course) => Object.assign(lesson(course).blocks[0], { html: '<b>' })],
  ['an id that is none', false, (course) => (course.modules[0].id = 'Big Id!')],
  ['an unknown kind of block', false, (course) => Object.assign(lesson(course).blocks[0], { kind: 'poem' })],
  ['a body of another kind', false, (course) => Object.assign(lesson(course).blocks[0], { kind: 'list' })],
  ['an unknown mark', false, run([{ type: 'underline' }])],
  ['a link that runs script', false, run([{ type: 'link', attrs: { href: 'javascript:alert(1)' } }])],
  [
    'evidence on nothing',
    false,
    run([{ type: 'evidence', attrs: { id: anId('e'), passages: [], was: 'abcdefghij' } }]),
  ],
  [
    'a heading of level 1',
    false,
    (course) => lesson(course).blocks.push({ id: anId('h'), kind: 'heading', body: { level: 1 as 2, text } }),
  ],
  [
    'an empty list',
    false,
    (course) => lesson(course).blocks.push({ id: anId('l'), kind: 'list', body: { ordered: false, items: [] } }),
  ],
  ['minutes below nothing', false, (course) => (lesson(course).minutesFixed = -1)],
  ['a state that does not exist', false, (course) => Object.assign(lesson(course), { state: 'done' })],
  ['a language that is none', false, (course) => (course.language = 'English')],
  ['a check with one option', false, (course) => (asChoice(course.checks[0]).options.length = 1)],
  ['a difficulty above one', false, (course) => (course.checks[0].difficulty = 1.5)],
  ['half a number of questions', false, (course) => (course.brief.size.questionsPerLesson = 1.5)],
  ['text for a list', false, (course) => Object.assign(course, { modules: 'none' })],
  ['a list for an object', false, (course) => Object.assign(course, { brief: [] })],
];

/** What a form cannot say. */
const REFERENCES: [string, string, Change][] = [
  ['the same id twice', 'id-twice', (course) => (course.modules[1].id = course.modules[0].id)],
  [
    'an objective that is not there',
    'no-such-objective',
    (course) => lesson(course).objectiveIds.push(anId('nothing')),
  ],
  [
    'a place for a check that is not there',
    'no-such-check',
    (course) => lesson(course).blocks.push({ id: anId('c'), kind: 'check', body: { checkId: anId('nothing') } }),
  ],
  ['a key that is no option', 'no-key', (course) => (asChoice(course.checks[0]).key = anId('nothing'))],
  [
    'rich text in two runs that should be one',
    'not-canonical',
    (course) =>
      lesson(course).blocks.push({ id: anId('t'), kind: 'text', body: { text: [...plainRun('a'), ...plainRun('b')] } }),
  ],
  [
    'a damaged node in the bin',
    'missing',
    (course) =>
      course.bin.push({ kind: 'lesson', parent: anId('First'), after: null, node: { id: anId('gone') } as never }),
  ],
];

describe('the document', () => {
  const schema = new Ajv({ strict: false }).compile(JSON.parse(courseSchema()) as object);

  it.each(FORMS)('with %s is good: %s, for validator and schema', (_, good, change) => {
    const course = structuredClone(aCourse());
    change(course);
    expect(validateCourse(course).length === 0).toBe(good);
    expect(schema(course)).toBe(good);
  });

  it.each(REFERENCES)('with %s is refused as %s', (_, code, change) => {
    const course = structuredClone(aCourse());
    change(course);
    expect(validateCourse(course).map((problem) => problem.code)).toContain(code);
  });

  it('says the same in docs/course.schema.json', () => {
    expect(new TextDecoder().decode(file('docs/course.schema.json'))).toBe(courseSchema());
  });

  it.each([null, 7, 'course', [], {}])('is not %s', (value) => expect(validateCourse(value).length).toBeGreaterThan(0));
});

describe('block kinds', () => {
  it.each(EVERY_KIND.map((block) => [block.kind, block] as const))('%s: texts are found and put back', (_, block) => {
    expect(mapBlockTexts(block, (rich) => rich)).toEqual(block);
    const loud = mapBlockTexts(block, (rich) => plainRun(textOf(rich).toUpperCase()));
    expect(blockTexts(loud).map(textOf)).toEqual(blockTexts(block).map((rich) => textOf(rich).toUpperCase()));
  });

  it('all stand in this test', () =>
    expect([...new Set(EVERY_KIND.map((block) => block.kind))].sort()).toEqual(Object.keys(BLOCKS).sort()));
});

const aMark: fc.Arbitrary<TextMark> = fc.oneof(
  fc.constantFrom<TextMark>({ type: 'strong' }, { type: 'emphasis' }, { type: 'code' }, { type: 'connecting' }),
  fc.constant<TextMark>({ type: 'link', attrs: { href: 'https://example.org/' } }),
  fc.integer({ min: 0, max: 3 }).map((number): TextMark => ({
    type: 'evidence',
    attrs: { was: 'abcdefghij', passages: [{ to: 4, from: number, id: anId(`p${number}`) }], id: anId(`e${number}`) },
  })),
);
const aRichText: fc.Arbitrary<RichText> = fc.array(
  fc.record({
    type: fc.constant('text' as const),
    text: fc.string({ maxLength: 6 }),
    marks: fc.array(aMark, { maxLength: 4 }),
  }),
  { maxLength: 8 },
);

describe('rich text', () => {
  it('has one form, which keeps the letters', () => {
    fc.assert(
      fc.property(aRichText, (rich) => {
        const once = canonicalRichText(rich);
        expect(canonicalRichText(once)).toEqual(once);
        expect(textOf(once)).toBe(textOf(rich));
      }),
    );
  });

  it('finds sentences with evidence over several runs', () => {
    const evidence: TextMark = {
      type: 'evidence',
      attrs: { id: anId('e'), passages: [{ id: anId('p'), from: 0, to: 9 }], was: 'abcdefghij' },
    };
    const rich: RichText = [
      { type: 'text', text: 'Stay ', marks: [evidence] },
      { type: 'text', text: 'here', marks: [evidence, { type: 'strong' }] },
      ...plainRun(' own'),
    ];
    expect(evidencedSentences(rich).map((sentence) => sentence.text)).toEqual(['Stay here']);
  });

  const passage = (id: string) => (id === anId('p') ? 'Wait (see 3) for the lead.' : undefined);
  it.each([
    ['a range', [{ id: anId('p'), from: 0, to: 4 }], 'Wait'],
    [
      'a range with a dropped reference',
      [{ id: anId('p'), from: 0, to: 26, edits: [{ from: 4, to: 12, with: '' }] }],
      'Wait for the lead.',
    ],
    [
      'two ranges',
      [
        { id: anId('p'), from: 0, to: 4 },
        { id: anId('p'), from: 13, to: 16 },
      ],
      'Wait for',
    ],
    ['a passage that is gone', [{ id: anId('q'), from: 0, to: 4 }], undefined],
    ['a range past the end', [{ id: anId('p'), from: 0, to: 99 }], undefined],
    [
      'changes in the wrong order',
      [
        {
          id: anId('p'),
          from: 0,
          to: 26,
          edits: [
            { from: 9, to: 10, with: '' },
            { from: 1, to: 2, with: '' },
          ],
        },
      ],
      undefined,
    ],
  ])('replays %s', (_, ranges, words) => expect(replay(ranges, passage)).toBe(words));
});

describe('ids and canonical JSON', () => {
  it('are the same for the same parts, and valid', () => {
    fc.assert(
      fc.property(fc.array(fc.string()), (parts) => {
        const id = idFrom('l', ...parts);
        expect(id).toMatch(ID_PATTERN);
        expect(idFrom('l', ...parts)).toBe(id);
      }),
    );
    // The base-32 letters of the text's SHA-256, as any other tool gives them.
    expect(shortHash('Uplift', 10)).toBe('eebs4qrx5l');
  });

  it('tell parts apart wherever the cut lies', () => expect(idFrom('l', 'ab', 'c')).not.toBe(idFrom('l', 'a', 'bc')));

  it('do not depend on the order of keys', () => {
    expect(canonicalJson({ b: [{ d: 1, c: undefined }], a: null })).toBe('{"a":null,"b":[{"d":1}]}');
    expect(sameData({ a: 1, b: 2 }, { b: 2, a: 1 })).toBe(true);
    expect(sameData([1, 2], [2, 1])).toBe(false);
  });

  it('keep a lesson equal to itself', () =>
    expect(sameData(aLesson('x', [aText('t', 'w')]), aLesson('x', [aText('t', 'w')]))).toBe(true));
});
