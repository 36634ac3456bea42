import { describe, expect, it } from 'vitest';
import type { Block } from '../../../core/blocks/forms';
import type { SurveyItem } from '../../../core/blocks/survey/form';
import { plainRun } from '../../../core/document/rich-text';
import { allLessons, type Course, type Lesson } from '../../../core/course/course';
import { applyAll, type Operation } from '../../../core/course/operations';
import { validateCourse } from '../../../core/course/validate';
import { leaveNote, outlineNotes, type Note, type NoteRule } from '../../../core/notes';
import { mendOperations } from '../../../core/notes/mend';
import { mendWords, noteSentence } from '../../../core/notes/words';
import { aBrief, aCourse, aLesson, aModule, anId, aText } from '../../builders';

const IDS = { lesson: anId('fresh'), module: anId('fresh module'), objective: anId('fresh aim') };
const aim = (name: string) => ({
  id: anId(`aim ${name}`),
  verb: 'carry-out' as const,
  object: name,
  level: 'apply' as const,
  text: name,
  evidence: [],
});
/** A lesson that says not what it is for. */
const aimless = aLesson('Keys');
/** A course of such lessons, each with an aim, in one module. */
function course(lessons: Lesson[], changes: Partial<Course> = {}): Course {
  const aimed = lessons.map((lesson) =>
    lesson === aimless ? lesson : { ...lesson, objectiveIds: [anId(`aim ${lesson.title}`)] },
  );
  return {
    ...aCourse(),
    modules: [aModule('Whole', aimed)],
    objectives: aimed.flatMap(({ title }) =>
      aimed.some((each) => each.objectiveIds[0] === anId(`aim ${title}`)) ? [aim(title)] : [],
    ),
    checks: [],
    ...changes,
  };
}
const made = (before: Course, operations: readonly Operation[]): Course => {
  const result = applyAll(before, operations);
  if (!result.ok) throw new Error(result.problem.code);
  expect(validateCourse(result.course)).toEqual([]);
  const undone = applyAll(result.course, result.inverses);
  expect(undone.ok && undone.course).toEqual(before);
  return result.course;
};
const of = (notes: ReturnType<typeof outlineNotes>, rule: NoteRule) => notes.filter((note) => note.rule === rule);
const titles = (at: Course) => allLessons(at).map(({ title }) => title);

describe('notes on an outline', () => {
  it('find nothing in an outline that is good', () =>
    expect(outlineNotes(course([aLesson('Greeting guests'), aLesson('Handing out badges')]))).toEqual([]));

  it('miss objectives, and objectives without a lesson', () => {
    const at = course([aLesson('Greeting guests', undefined), aimless]);
    const bad = { ...at, objectives: [...at.objectives, aim('Left behind')] };
    expect(of(outlineNotes(bad), 'no-objective').map(({ about }) => about)).toEqual([anId('Keys')]);
    const [idle] = of(outlineNotes(bad), 'idle-objective');
    expect(noteSentence(idle)).toBe('No lesson leads to “Left behind”.');
    expect(mendOperations(bad, idle.mend!, IDS)).toEqual([{ type: 'remove', id: anId('aim Left behind') }]);
  });

  it('list the places that wait for what holds locally, until something stands there', () => {
    const slot = (text: string): Block => ({
      id: anId('slot'),
      kind: 'slot',
      body: { asks: 'Whom to ring', text: plainRun(text) },
    });
    const open = (text: string) => course([{ ...aLesson('Ringing'), blocks: [slot(text)] }]);
    const [note] = of(outlineNotes(open('')), 'slot-open');
    expect(noteSentence(note)).toBe('A place on its page is still open: “Whom to ring”');
    expect(of(outlineNotes(open('Extension 900')), 'slot-open')).toEqual([]);
  });

  it('name a feedback form that asks nothing, and ask no aim of a lesson that holds a form alone', () => {
    const form = (items: SurveyItem[]): Block => ({
      id: anId('form'),
      kind: 'survey',
      body: { title: 'How it went', intro: '', named: false, items },
    });
    const asking = (items: SurveyItem[]) => outlineNotes(course([{ ...aLesson('Feedback'), blocks: [form(items)] }]));
    const [note, ...more] = of(asking([]), 'form-empty');
    expect(more).toEqual([]);
    expect(noteSentence(note)).toBe('The feedback form “How it went” asks nothing yet; learners do not get it.');
    const whole = asking([{ id: anId('i'), kind: 'text', text: 'What was missing?' }]);
    expect(whole.filter(({ about }) => about === anId('Feedback'))).toEqual([]);
  });

  it('ask for words for what some cannot see or hear, and rest once they are there', () => {
    const picture = (more: object): Block => ({
      id: anId('pic'),
      kind: 'picture',
      body: {
        picture: { hash: 'ab'.repeat(32), type: 'image/png', width: 4, height: 3 },
        alt: '',
        caption: [],
        ...more,
      },
    });
    const clip = (more: object): Block => ({
      id: anId('clip'),
      kind: 'clip',
      body: {
        clip: { hash: 'ac'.repeat(32), type: 'audio/wav', seconds: 9 },
        title: '',
        caption: '',
        cues: [],
        ...more,
      },
    });
    const notes = (...blocks: Block[]) => outlineNotes(course([{ ...aLesson('Shown'), blocks }]));
    const sentences = (found: Note[]) => found.filter(({ rule }) => rule.endsWith('-silent')).map(noteSentence);
    expect(sentences(notes(picture({}), clip({})))).toEqual([
      'A picture on its page does not say what it shows, for who cannot see it.',
      'What is said in a recording on its page cannot be read: it has no captions.',
    ]);
    expect(sentences(notes(picture({ alt: 'A shed' }), clip({ wordless: true })))).toEqual([]);
    expect(sentences(notes(picture({ decorative: true }), clip({ cues: [{ from: 0, to: 1, text: 'Yes' }] })))).toEqual(
      [],
    );
  });

  it('see what is empty and what is long among its neighbours', () => {
    const at = course([aLesson('Greeting guests'), aLesson('Parcels'), aLesson('Keys'), aLesson('Nothing', [])]);
    const whole = { ...at, modules: [...at.modules, aModule('Empty', [])] };
    const notes = outlineNotes(whole, (id) => (id === anId('Parcels') ? 14 : 3));
    expect(of(notes, 'empty').map(({ about }) => about)).toEqual([anId('Empty'), anId('Nothing')]);
    const [long] = of(notes, 'too-long');
    expect([long.about, noteSentence(long)]).toEqual([anId('Parcels'), '14 minutes, where the others take about 3.']);
    const split = made(whole, mendOperations(whole, long.mend!, IDS));
    expect(titles(split)).toEqual(['Greeting guests', 'Parcels', 'Parcels (2)', 'Keys', 'Nothing']);
    expect(allLessons(split).map(({ blocks }) => blocks.length)).toEqual([2, 1, 1, 2, 0]);
  });

  it('see the same ground twice, and join the two', () => {
    const first = { ...aLesson('Lending a drill'), plannedPassages: [anId('p1'), anId('p2'), anId('p3')] };
    const second = { ...aLesson('Drills'), plannedPassages: [anId('p3'), anId('p2')] };
    const at = course([first, second, aLesson('Lending a drill!')]);
    const notes = of(outlineNotes(at), 'same-ground');
    expect(notes.map(({ about, parameters }) => [about, parameters.passages])).toEqual([
      [second.id, 2],
      [anId('Lending a drill!'), 0],
    ]);
    const joined = made(at, mendOperations(at, notes[0].mend!, IDS));
    const [kept] = allLessons(joined);
    expect(titles(joined)).toEqual(['Lending a drill', 'Lending a drill!']);
    expect([kept.blocks.length, kept.plannedPassages, kept.objectiveIds.length]).toEqual([
      4,
      [anId('p1'), anId('p2'), anId('p3')],
      2,
    ]);
  });

  it('take parts of one thing, whose titles say so, for no repeat', () => {
    const at = course([
      aLesson('The machine does not start and says'),
      aLesson('The machine does not start and says: “no paper in tray two”'),
      aLesson('The machine does not start and says: “cover open”'),
      aLesson('The machine does not start and says: “cover open!”'),
    ]);
    expect(of(outlineNotes(at), 'same-ground').map(({ about }) => about)).toEqual([
      anId('The machine does not start and says: “cover open!”'),
    ]);
  });

  it('see a term used before it is explained, as a whole word, and move its lesson there', () => {
    const at = course(
      [
        aLesson('Arriving', [aText('b1', 'Nobody passes the airlocks.')]),
        aLesson('Going in', [aText('b2', 'Wait in the Airlock until it is green.')]),
        { ...aLesson('Words'), plannedPassages: [anId('p9')] },
      ],
      {
        glossary: [
          {
            id: anId('g'),
            term: 'airlock',
            text: 'a room with two doors',
            evidence: [{ id: anId('p9'), from: 0, to: 9 }],
          },
        ],
      },
    );
    const [note] = of(outlineNotes(at), 'term-later');
    expect(note.about).toBe(anId('Going in'));
    const moved = made(at, mendOperations(at, note.mend!, IDS));
    expect(titles(moved)).toEqual(['Arriving', 'Words', 'Going in']);
    expect(of(outlineNotes(moved), 'term-later')).toEqual([]);
    const [term] = at.glossary;
    expect(of(outlineNotes({ ...at, glossary: [{ ...term, everyday: true }] }), 'term-later')).toEqual([]);
  });

  it('see what is promised and served by nothing, and give it a lesson', () => {
    const brief = aBrief({
      promise: 'Every parcel reaches its owner on the day it came',
      outcomes: ['Fewer parcels are lost', 'Nobody waits longer than two minutes at the counter'],
    });
    const at = course([aLesson('Parcels come in'), aLesson('A lost parcel and its owner')], { brief });
    const notes = outlineNotes(at);
    expect(of(notes, 'promise-unserved')).toEqual([]);
    const [note, ...others] = of(notes, 'outcome-unserved');
    expect(others).toEqual([]);
    expect(note.parameters.outcome).toContain('two minutes');
    const more = made(at, mendOperations(at, note.mend!, IDS));
    expect(titles(more).at(-1)).toBe('Nobody waits longer than two minutes at the counter');
    expect(of(outlineNotes(more), 'outcome-unserved')).toEqual([]);
    expect(outlineNotes({ ...at, modules: [] })).toEqual(
      expect.not.arrayContaining([expect.objectContaining({ rule: 'outcome-unserved' })]),
    );
  });

  it('count what of the sources is in no lesson, without what is noise and what was brought back', () => {
    const leftOut = (['size', 'legal', 'outline', 'light'] as const).map((reason, at) => ({
      reason,
      passages: [{ id: anId(`p${at}`), from: 0, to: 5 }],
    }));
    const at = course([{ ...aLesson('Parcels'), given: [anId('p3')] }], { leftOut });
    const [note] = of(outlineNotes(at), 'left-out');
    expect(noteSentence(note)).toBe('2 parts of the sources’ matter are in no lesson.');
  });

  it('stay away once left, until the words they saw change', () => {
    const at = course([aimless]);
    const [note] = outlineNotes(at);
    const left = made(at, leaveNote(at, note));
    expect(outlineNotes(left)).toEqual([]);
    const renamed = made(left, [{ type: 'set', id: anId('Keys'), field: 'title', value: 'Spare keys', was: 'Keys' }]);
    const [again] = outlineNotes(renamed);
    expect(again.rule).toBe('no-objective');
    // Left again, it is kept once.
    expect(made(renamed, leaveNote(renamed, again)).notesLeft).toHaveLength(1);
  });

  it('each have words for what they say and what mends them', () => {
    for (const mend of [
      { kind: 'word', field: 'objective' },
      { kind: 'split', lesson: 'a' },
      { kind: 'merge', into: 'a', lesson: 'b' },
      { kind: 'move', lesson: 'a', before: 'b' },
      { kind: 'remove', id: 'a' },
      { kind: 'lesson', title: 'a' },
      { kind: 'open', room: 'holds' },
    ] as const)
      expect(mendWords(mend)).toMatch(/^[A-Z][a-z ]+$/);
  });
});
