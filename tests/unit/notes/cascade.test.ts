import { describe, expect, it } from 'vitest';
import type { Course } from '../../../core/course/course';
import { keepRefused } from '../../../core/course/conflicts';
import { keepEarlier } from '../../../core/course/earlier';
import { applyAll, type Operation } from '../../../core/course/operations';
import { validateCourse } from '../../../core/course/validate';
import { swapped, swapsBetween } from '../../../core/document/swaps';
import { leaveNote, outlineNotes, type NoteRule } from '../../../core/notes';
import { mendOperations } from '../../../core/notes/mend';
import { noteSentence } from '../../../core/notes/words';
import { aBrief, aCourse, aLesson, aModule, anId } from '../../builders';

const IDS = { lesson: anId('fresh'), module: anId('fresh module'), objective: anId('fresh aim') };
const aim = (name: string, text: string) => ({
  id: anId(`aim ${name}`),
  verb: 'carry-out' as const,
  object: text,
  level: 'apply' as const,
  text,
  evidence: [],
});
const [parcels, keys, sorting] = [aLesson('Taking parcels in'), aLesson('Handing keys out'), aLesson('Sorting post')];
/** A post room: its porters take parcels in, hand keys out, sort post. */
const room: Course = {
  ...aCourse(),
  brief: aBrief({ promise: 'Porters take parcels in and hand keys out', audience: { who: 'Porters', knows: [] } }),
  checks: [],
  modules: [
    {
      ...aModule('Parcels', [
        { ...parcels, objectiveIds: [anId('aim parcels')] },
        { ...sorting, objectiveIds: [anId('aim sorting')] },
      ]),
      purpose: 'A porter takes in every parcel',
    },
    { ...aModule('Keys', [{ ...keys, objectiveIds: [anId('aim keys')] }]), purpose: 'Hand keys out' },
  ],
  objectives: [
    aim('parcels', 'Say when a porter refuses a parcel'),
    aim('sorting', 'Sort the post by floor'),
    aim('keys', 'Hand a key out'),
  ],
};
const made = (course: Course, operations: readonly Operation[]): Course => {
  const result = applyAll(course, operations);
  if (!result.ok) throw new Error(result.problem.code);
  expect(validateCourse(result.course)).toEqual([]);
  return result.course;
};
/** As the desk does what is typed. */
const typed = (course: Course, operation: Operation) => made(course, [operation, ...keepEarlier(course, [operation])]);
const promise = (course: Course, words: string): Operation => ({
  type: 'set',
  id: course.id,
  field: 'brief',
  value: { ...course.brief, promise: words },
  was: course.brief,
});
const purpose = (course: Course, at: number, words: string): Operation => ({
  type: 'set',
  id: course.modules[at].id,
  field: 'purpose',
  value: words,
  was: course.modules[at].purpose,
});
const of = (course: Course, rule: NoteRule) => outlineNotes(course).filter((note) => note.rule === rule);

describe('a change above', () => {
  it('marks the rows that speak as it did before, and rewords them one by one', () => {
    const next = typed(room, promise(room, 'Clerks take parcels in and hand keys out'));
    expect(next.modules).toEqual(room.modules);
    const notes = of(next, 'fits-no-longer');
    expect(notes.map(({ about }) => about)).toEqual([next.modules[0].id, parcels.id]);
    expect(notes.map(noteSentence)).toEqual([
      'It speaks of “porter”; the promise does not any more. It could say: “A clerk takes in every parcel”',
      'It speaks of “porter”; the promise does not any more. It could say: “Say when a clerk refuses a parcel”',
    ]);
    const reworded = notes.reduce((course, { mend }) => made(course, mendOperations(course, mend!, IDS)), next);
    expect(reworded.modules[0].purpose).toBe('A clerk takes in every parcel');
    expect(reworded.objectives[0].text).toBe('Say when a clerk refuses a parcel');
    expect(of(reworded, 'fits-no-longer')).toEqual([]);
  });

  it('leaves to its author what words cannot be exchanged in', () => {
    const next = typed(room, promise(room, 'Porters take parcels in'));
    const [note, ...others] = of(next, 'fits-no-longer');
    expect([note.about, note.mend]).toEqual([next.modules[1].id, { kind: 'word', field: 'objective' }]);
    expect(noteSentence(note)).toMatch(/^It speaks of “Hand”; the promise does not any more\.$/);
    expect(others.map(({ about }) => about)).toEqual([keys.id]);
    expect(of(made(next, leaveNote(next, note)), 'fits-no-longer')).toEqual(others);
  });

  it('goes from a purpose to the lessons of its module, and to no other', () => {
    const next = typed(room, purpose(room, 0, 'A porter takes in every letter'));
    expect(of(next, 'fits-no-longer').map(({ about, parameters }) => [about, parameters.to])).toEqual([
      [parcels.id, 'Taking letters in: Say when a porter refuses a letter'],
    ]);
    // What is proposed would say it.
    expect(of(next, 'above-unserved')).toEqual([]);
    const wider = typed(room, purpose(room, 0, 'A porter takes in every parcel and weighs it'));
    expect(of(wider, 'fits-no-longer')).toEqual([]);
    expect(of(wider, 'above-unserved').map(noteSentence)).toEqual([
      'The module’s purpose says “weighs” now; nothing below does.',
    ]);
  });

  it('is forgotten by nobody until it says again what it said, and keeps no half-typed words', () => {
    const begun = room.brief;
    const half = typed(room, promise(room, 'Cler take parcels in and hand keys out'));
    const whole = typed(half, {
      ...promise(half, 'Clerks take parcels in and hand keys out'),
      was: half.brief,
    } as Operation);
    expect(whole.earlier![0].was).toContain(begun.promise);
    // The desk says what stood there when typing began.
    expect(keepEarlier(half, [{ ...promise(half, 'Clerks take'), was: begun } as Operation])).toEqual([]);
    const back = typed(whole, promise(whole, begun.promise));
    expect(of(back, 'fits-no-longer')).toEqual([]);
  });

  it('loses nothing where two reword at once: what stands there stands, and no text is laid beside', () => {
    const next = typed(room, promise(room, 'Clerks take parcels in and hand keys out'));
    const [late] = keepEarlier(room, [purpose(room, 1, 'Lend keys')]);
    expect(keepRefused(next, [{ id: anId('late'), operation: late }], { at: 1, by: 'Ines' })).toEqual([]);
  });

  it('says nothing of a first wording, nor of a module that is gone', () => {
    const bare = { ...room, brief: { ...room.brief, promise: '' } };
    expect(keepEarlier(bare, [promise(bare, 'Clerks take parcels in')])).toEqual([]);
    const next = typed(room, purpose(room, 1, 'Lend keys'));
    const gone = made(next, [{ type: 'remove', id: next.modules[1].id }]);
    expect(of(gone, 'fits-no-longer')).toEqual([]);
    expect(typed(gone, promise(gone, 'Clerks take parcels in')).earlier!.map(({ field }) => field)).toEqual([
      'promise',
    ]);
  });
});

describe('a module’s own brief', () => {
  const asking = (brief: Course['modules'][number]['brief']) => ({
    ...room,
    modules: [{ ...room.modules[0], brief }, room.modules[1]],
  });

  it('is held against its lessons: questions people ask, actions that matter', () => {
    const course = asking({
      asked: ['When does a porter refuse a parcel?', 'Who pays the duty on foreign parcels?'],
      actions: ['Sort the post by floor', 'Weigh every heavy parcel'],
    });
    const notes = outlineNotes(course).filter(({ about }) => about === course.modules[0].id);
    expect(notes.map(noteSentence)).toEqual([
      'Nothing in it answers “Who pays the duty on foreign parcels?”, which people ask.',
      'No lesson in it leads to “Weigh every heavy parcel”.',
    ]);
    const mended = notes.reduce(
      (at, { mend }, place) =>
        made(at, mendOperations(at, mend!, { ...IDS, lesson: anId(`l${place}`), objective: anId(`o${place}`) })),
      course as Course,
    );
    expect(mended.modules[0].lessons.map(({ title, objectiveIds }) => [title, objectiveIds.length]).slice(2)).toEqual([
      ['Who pays the duty on foreign parcels?', 0],
      ['Weigh every heavy parcel', 1],
    ]);
    expect(of(mended, 'asked-open')).toEqual([]);
  });

  it('waits with questions until its lessons are drafted', () => {
    const course = asking({ asked: ['Who pays the duty on foreign parcels?'] });
    const [first, ...rest] = course.modules[0].lessons;
    const blank = { ...first, blocks: [], plannedPassages: [anId('p')] };
    const modules = [{ ...course.modules[0], lessons: [blank, ...rest] }, course.modules[1]];
    expect(of({ ...course, modules }, 'asked-open')).toEqual([]);
  });
});

describe('words exchanged', () => {
  it.each([
    ['Volunteers lend tools', 'Managers lend tools', 'Each volunteer keeps a list', 'Each manager keeps a list'],
    ['A guest signs in', 'An employee signs in', 'Greet a guest', 'Greet an employee'],
    ['Care for batteries well', 'Care for chargers well', 'Store the battery dry', 'Store the charger dry'],
    ['Staff open a till now or later', 'Staff open a counter now and later', 'Keys or till', 'Keys or counter'],
    ['Porters hand keys out', 'Front-desk clerks hand keys out', 'Porters ask', 'Front-desk clerks ask'],
    ['Return tools to Fernhollow', 'Return tools to Quillmoor', 'Come to Fernhollow', 'Come to Quillmoor'],
  ])('“%s” → “%s”: “%s” becomes “%s”', (before, after, text, next) =>
    expect(swapped(text, swapsBetween(before, after))).toBe(next),
  );

  it('are none where all was written anew, or where the text has none of them', () => {
    expect(swapsBetween('Volunteers lend tools', 'The shop sells bread every morning')).toEqual([]);
    expect(swapped('Sort the post', swapsBetween('Volunteers lend tools', 'Managers lend tools'))).toBeUndefined();
  });
});
