import { describe, expect, it } from 'vitest';
import { draftContext, draftCourse } from '../../../core/draft';
import { outlineFromText } from '../../../core/own/lines';
import { proposeOwn } from '../../../core/outline/own';
import { validateCourse } from '../../../core/course/validate';
import { allLessons } from '../../../core/course/course';
import type { Knowledge } from '../../../core/knowledge';
import { aBrief, knowing } from '../../builders';

const SOURCE = `# The hall book

## Words we use

A day badge is a badge that is given back in the evening. A host is the person who is visited.

## Badges at the door

You must hand out a badge before a guest goes in. A lost badge must be reported to the desk within one hour, because somebody else may use it.

## Parcels

A parcel must be weighed. If a parcel is heavier than 20 kg, you must call the porter. A wet parcel is put on the tray.

## The boiler room

Nobody goes into the boiler room alone. The pressure must be read at six in the morning.
`;
const OWN = `Arriving
  Terms
  Badges (3 min)
    Lost badges
    Photographs on badges
  Weighing heavy parcels
    Objective: Decide when to call the porter
Leaving
  Umbrellas
`;

describe('an own outline held against the sources', () => {
  const propose = (knowledge: Knowledge[]) => {
    const { sources, terms } = draftContext(aBrief(), knowledge);
    return proposeOwn(outlineFromText(OWN, 'All'), aBrief(), sources, terms, 'The hall');
  };

  it('keeps its lessons in their order, each with the sections about it, and says what is about none', async () => {
    const knowledge = await knowing(SOURCE);
    const { modules, dropped } = propose([knowledge]);
    const words = (ids: readonly string[]) => ids.map((id) => knowledge.passages.get(id)!.text).join(' ');
    expect(
      modules.map((module) => [
        module.title,
        ...module.lessons.map(({ title, scope }) => [title, scope.sections.map((section) => section.title).join()]),
      ]),
    ).toEqual([
      ['Arriving', ['Terms', 'Words we use'], ['Badges', 'Badges at the door'], ['Weighing heavy parcels', 'Parcels']],
      ['Leaving', ['Umbrellas', '']],
    ]);
    expect(dropped.map((each) => [each.reason, words(each.passages).slice(0, 30)])).toEqual([
      ['outline', 'Nobody goes into the boiler ro'],
    ]);
    const [, badges] = modules[0].lessons;
    expect(badges.own).toEqual({ minutes: 3, open: ['Photographs on badges'] });
    expect(modules[1].lessons[0].own?.open).toEqual(['Umbrellas']);
  });

  it('is drafted whole: own objectives, open slots, lessons without matter blank, what is left out listed', async () => {
    const { course } = draftCourse(
      aBrief({ size: { minutes: 1, questionsPerLesson: 1 } }),
      [await knowing(SOURCE)],
      'The hall',
      undefined,
      { own: outlineFromText(OWN, 'All') },
    );
    expect(validateCourse(course)).toEqual([]);
    const lessons = allLessons(course);
    expect(lessons.map(({ title, state }) => [title, state])).toEqual([
      ['Terms', 'drafted'],
      ['Badges', 'drafted'],
      ['Weighing heavy parcels', 'drafted'],
      ['Umbrellas', 'blank'],
    ]);
    const aims = new Map(course.objectives.map(({ id, text }) => [id, text]));
    expect(aims.get(lessons[2].objectiveIds[0])).toBe('Decide when to call the porter');
    expect(lessons[1].minutesFixed).toBe(3);
    expect(course.answers?.map(({ question, lesson }) => [question, lesson])).toEqual([
      ['What is there to say of “Photographs on badges”?', lessons[1].id],
      ['What is to be taught under “Umbrellas”?', lessons[3].id],
    ]);
    expect(course.leftOut?.some(({ reason }) => reason === 'outline')).toBe(true);
  });

  it('without sources is what it says, each lesson with a question', () => {
    const { modules, dropped } = propose([]);
    expect(modules.map(({ lessons }) => lessons.length)).toEqual([3, 1]);
    expect(modules[0].lessons[1].own?.open).toEqual(['Lost badges', 'Photographs on badges']);
    expect(dropped).toEqual([]);
  });
});
