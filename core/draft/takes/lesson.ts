import { minutesFor } from '../../brief/sizing';
import type { Course, Lesson } from '../../course/course';
import { sameData } from '../../document/canonical';
import { contained } from '../../language/similarity';
import { otherTitles } from '../../outline/titling';
import type { DraftContext } from '../context';
import { plannedObjectives } from '../from-course';
import { unitsIn, type LessonPlan } from '../plan';
import { lightUnits } from '../size';
import { placedIn, rankedPassages } from '../unused';
import type { RowOffer } from './offer';

/** A passage fits when it scores so much of the best one, and has so much of the lesson's title. */
const FITTING = { score: 0.5, title: 0.5 };
const MOST_ADDED = 3;
/** A scope that differs by less of its words is no other scope. */
const DIFFERS = 0.1;
const MOST_TITLES = 3;

/** Other titles, aims and cuts of a lesson's matter. */
export function takesOfLesson(course: Course, lesson: Lesson, planned: LessonPlan, context: DraftContext): RowOffer[] {
  const knowledge = context.matter.of(planned.parts[0].items[0].passage.id);
  const titles = [planned.lesson.scope.title, ...otherTitles(planned.lesson.scope, course.title, knowledge)].filter(
    (title) => title !== lesson.title,
  );
  const [first] = lesson.objectiveIds;
  const said = new Set(lesson.objectiveIds.map((id) => course.objectives.find((each) => each.id === id)?.text));
  const steps = planned.parts.some(({ kind }) => kind === 'steps');
  const aims = [
    ...plannedObjectives(lesson, context).map(({ text }) => text),
    knowledge.pack.objectives?.fromTitle(lesson.title, steps ? 'steps' : 'rules')?.text ?? '',
  ].filter((text) => text !== '' && !said.has(text));
  return [
    ...titles.slice(0, MOST_TITLES).map((value): RowOffer => ({
      of: lesson.id,
      field: 'title',
      value,
      says: { kind: 'title' },
    })),
    ...(first ? aims : []).map((value): RowOffer => ({ of: first, field: 'text', value, says: { kind: 'objective' } })),
    ...scopesFor(course, lesson, planned, context),
  ];
}

/** Other cuts of a lesson's matter: less, more, one source alone, and another order. */
function scopesFor(course: Course, lesson: Lesson, planned: LessonPlan, context: DraftContext): RowOffer[] {
  const { matter, knowledge } = context;
  const units = unitsIn(planned.parts, new Set(lesson.given), context);
  // What was given is its author's, and stays with every cut.
  const passages = lesson.plannedPassages.filter((id) => matter.of(id));
  const words = units.reduce((sum, each) => sum + each.words, 0);
  const scope = (value: string[], size: number, says: RowOffer['says']): RowOffer[] =>
    value.length === 0 || sameData(value, lesson.plannedPassages)
      ? []
      : [
          {
            of: lesson.id,
            field: 'plannedPassages',
            value,
            says: { ...says, minutes: Math.round(minutesFor(size, planned.checks) * 10) / 10 },
          },
        ];
  const without = (gone: (id: string) => boolean, kind: 'narrow' | 'source', title?: string): RowOffer[] => {
    const left = units.filter(({ unit, given }) => given || !gone(unit.id));
    const size = left.reduce((sum, each) => sum + each.words, 0);
    if (size === 0 || words - size < words * DIFFERS) return [];
    const value = passages.filter((id) => !gone(matter.unitOf(id).id));
    return scope(value, size, { kind, passages: passages.length - value.length, ...(title && { title }) });
  };
  const light = new Set(lightUnits({ units }, context).map(({ unit }) => unit.id));
  const bySource = new Map<string, number>();
  for (const { unit, words: own } of units) bySource.set(unit.sourceId, (bySource.get(unit.sourceId) ?? 0) + own);
  const [most] = [...bySource].sort((a, b) => b[1] - a[1]);
  const ofMost = new Set(units.filter(({ unit }) => unit.sourceId === most[0]).map(({ unit }) => unit.id));
  const added = unusedUnits(course, lesson, context);
  const size = added.reduce((sum, unit) => sum + unit.words, 0);
  const place = new Map(
    knowledge.flatMap(({ source }) => source.passages.map(({ id }) => id)).map((id, at) => [id, at]),
  );
  return [
    ...without((id) => light.has(id), 'narrow'),
    ...(size >= words * DIFFERS
      ? scope([...passages, ...added.flatMap((unit) => unit.passages)], words + size, {
          kind: 'wide',
          passages: added.reduce((sum, unit) => sum + unit.passages.length, 0),
        })
      : []),
    ...(bySource.size > 1 ? without((id) => !ofMost.has(id), 'source', titleOf(most[0], knowledge)) : []),
    ...scope(
      [...passages].sort((a, b) => place.get(a)! - place.get(b)!),
      words,
      { kind: 'in-sources-order' },
    ),
  ];
}

const titleOf = (source: string, knowledge: DraftContext['knowledge']): string =>
  knowledge.find((each) => each.source.id === source)!.source.title;

/** Units that nothing uses and that are about a lesson. */
function unusedUnits(course: Course, lesson: Lesson, { knowledge, matter }: DraftContext) {
  const used = placedIn(course);
  const stems = knowledge[0].pack.stems(lesson.title);
  const says = (id: string) =>
    (matter.of(id).sentences.get(id) ?? [])
      .flatMap((sentence) => sentence.stems)
      .concat(knowledge[0].pack.stems(matter.of(id).passages.get(id)!.locator.path.at(-1) ?? ''));
  const planned = lesson.plannedPassages.flatMap((id) => (matter.of(id) ? says(id) : []));
  const found = rankedPassages([...stems, ...stems, ...planned], knowledge, used);
  const units = found
    .filter(({ score }) => score >= found[0].score * FITTING.score)
    .filter(({ id }) => contained(stems, says(id)) >= FITTING.title)
    .map(({ id }) => matter.unitOf(id))
    .filter((unit) => !unit.noise && unit.passages.every((id) => !used.has(id)));
  return [...new Set(units)].slice(0, MOST_ADDED);
}
