import { minutesFor } from '../brief/sizing';
import { saysDuty } from '../language/duties';
import { cosine, countsOf } from '../language/similarity';
import { facetsOf, facetsOfText, instructs } from '../unit/facets';
import { leans } from '../unit/relations';
import type { Unit } from '../unit/unit';
import type { DraftContext } from './context';

/** A lesson as it is fitted: its units with the words they take to be read. */
export interface Sized {
  title: string;
  units: { unit: Unit; words: number; given: boolean }[];
  /** Questions it is likely to have. */
  questions: number;
  /** The author's own lesson: it stays, whatever the size. */
  settled: boolean;
  /** Minutes that its author pinned: it keeps to them, and the others share the rest. */
  pinned?: number;
}

/** A course this much longer than asked still keeps its time. */
const TOLERANCE = 1.06;

/**
 * What has to go so that lessons take the minutes asked, by unit: of a lesson whose minutes are pinned what is light
 * beyond them; then first, in all topics, what is light (what only tells
 * of before, examples and cases), the lightest first; then whole topics, those furthest from the promise first. What
 * instructs within a topic that stays never goes, nor what the author gave: then the course is longer. What went and
 * would fit again comes back.
 */
export function fitted(
  lessons: readonly Sized[],
  minutes: number | undefined,
  context: DraftContext,
): Map<string, 'light' | 'topic'> {
  const gone = new Map<string, 'light' | 'topic'>();
  const length = (lesson: Sized) => {
    const words = lesson.units.reduce((sum, { unit, words: own }) => sum + (gone.has(unit.id) ? 0 : own), 0);
    return words === 0 ? 0 : minutesFor(words, lesson.questions);
  };
  const light = lessons
    .flatMap((lesson) => lightUnits(lesson, context).map((entry) => ({ ...entry, lesson })))
    .sort((a, b) => a.worth - b.worth || b.words - a.words || (a.unit.id < b.unit.id ? -1 : 1));
  const isAll = (lesson: Sized, unit: Unit) =>
    lesson.units.every((other) => other.unit === unit || gone.has(other.unit.id));
  for (const { unit, lesson } of light)
    if (lesson.pinned !== undefined && length(lesson) > lesson.pinned * TOLERANCE && !isAll(lesson, unit))
      gone.set(unit.id, 'light');
  if (minutes === undefined) return gone;
  const fit = lessons.filter(({ pinned }) => pinned === undefined);
  // What is pinned takes its minutes, whatever stands in it.
  const pinned = lessons.reduce((sum, lesson) => sum + (lesson.pinned ?? 0), 0);
  let total = fit.reduce((sum, lesson) => sum + length(lesson), pinned);
  const change = (lesson: Sized, act: () => void) => {
    total -= length(lesson);
    act();
    total += length(lesson);
  };
  const most = minutes * TOLERANCE;
  const open = light.filter(({ lesson }) => lesson.pinned === undefined);
  for (const { unit, lesson } of open) {
    if (total <= most) break;
    // What is all that a lesson has goes with its topic or not at all.
    if (!isAll(lesson, unit)) change(lesson, () => gone.set(unit.id, 'light'));
  }
  if (total > most) {
    for (const lesson of furthestFirst(fit, context)) {
      if (total <= most) break;
      // A long topic that would leave the course too short stays, if a shorter one can go.
      if (
        total - length(lesson) < minutes * 0.9 &&
        fit.some(
          (other) =>
            other !== lesson &&
            !other.settled &&
            length(other) > 0 &&
            length(other) < length(lesson) &&
            total - length(other) <= most,
        )
      )
        continue;
      change(lesson, () => lesson.units.forEach(({ unit }) => gone.set(unit.id, 'topic')));
    }
  }
  for (const { unit, lesson } of [...open].reverse()) {
    if (gone.get(unit.id) !== 'light') continue;
    change(lesson, () => gone.delete(unit.id));
    if (total > most) change(lesson, () => gone.set(unit.id, 'light'));
  }
  return gone;
}

/**
 * Units of a lesson that could go without a rule, limit, step, definition or warning being lost, with what they are
 * worth.
 */
export function lightUnits(
  { units }: Pick<Sized, 'units'>,
  { matter }: DraftContext,
): { unit: Unit; words: number; worth: number }[] {
  const claimsOf = (unit: Unit) => unit.passages.flatMap((id) => matter.claims.get(id) ?? []);
  const keeps = (unit: Unit) =>
    unit.kind === 'procedure' ||
    unit.kind === 'question' ||
    unit.kind === 'table' ||
    unit.kind === 'terms' ||
    unit.kind === 'warning' ||
    unit.kind === 'code' ||
    claimsOf(unit).some((claim) => instructs(claim) || facetsOf(claim, matter.of(unit.passages[0]).pack).length > 0) ||
    saysWhatMatters(unit) ||
    !isBackground(unit);
  // That no rule was found is no sign that there is none ("Nobody walks across the yellow line"): only what tells of
  // before, an example or a case can go.
  const isBackground = (unit: Unit) =>
    unit.kind === 'case' ||
    unit.passages.every((id) => {
      // What has no sentences (code) tells nothing of before.
      const own = matter.of(id).sentences.get(id) ?? [];
      return own.length > 0 && own.every(({ facts }) => facts?.past || facts?.example);
    });
  // A limit, exception, emergency or duty need not be a claim that was taken apart; and who speaks words few rules as
  // rules.
  const saysWhatMatters = (unit: Unit) =>
    unit.passages.some((id) => {
      const { passages, sentences, pack } = matter.of(id);
      const spoken = passages.get(id)!.kind === 'utterance';
      return (sentences.get(id) ?? []).some(
        ({ text }) => facetsOfText(text, pack).length > 0 || saysDuty(text) || (spoken && pack.saysWhatToDo?.(text)),
      );
    });
  const needed = new Set<string>();
  // In order backwards: what a unit that stays leans on stays, too.
  for (const { unit, given } of [...units].reverse()) {
    if (given || keeps(unit) || needed.has(unit.id))
      for (const relation of unit.relations) if (leans(relation)) needed.add(relation.to);
  }
  return units
    .filter(({ unit, given }) => !given && !keeps(unit) && !needed.has(unit.id))
    .map(({ unit, words }) => {
      const kinds = new Set(claimsOf(unit).map((claim) => claim.kind));
      return {
        unit,
        words,
        worth:
          (kinds.has('reason') ? 2 : 0) +
          (kinds.has('example') || unit.kind === 'case' ? 1.5 : 0) +
          (unit.relations.length > 0 ? -0.3 : 0),
      };
    });
}

/**
 * Lessons that can go as a whole, those first that are furthest from what the author promised; without a promise, from
 * what the sources are about on the whole.
 */
function furthestFirst(lessons: readonly Sized[], { brief, matter, knowledge }: DraftContext): Sized[] {
  const stems = (text: string) => knowledge[0]?.pack.stems(text) ?? [];
  const matterOf = (lesson: Sized) => [
    ...stems(lesson.title),
    ...stems(lesson.title),
    ...lesson.units.flatMap(({ unit }) =>
      unit.passages.flatMap((id) => (matter.of(id).sentences.get(id) ?? []).flatMap((sentence) => sentence.stems)),
    ),
  ];
  const { who, wrong = '', setting = '', wants = '' } = brief.audience;
  const said = stems([brief.promise, who, wrong, setting, wants, ...brief.outcomes].join(' '));
  const promised = countsOf(said.length > 0 ? said : lessons.flatMap(matterOf));
  const rank = lessons
    .filter((lesson) => !lesson.settled && !lesson.units.some((entry) => entry.given))
    .map((lesson, at) => {
      const own = countsOf(matterOf(lesson));
      const claims = lesson.units.flatMap(({ unit }) => unit.passages.flatMap((id) => matter.claims.get(id) ?? []));
      const words = lesson.units.reduce((sum, entry) => sum + entry.words, 0);
      const emergency = claims.some((claim) =>
        facetsOf(claim, matter.of(claim.ranges[0].id).pack).includes('emergency'),
      );
      const focus = lesson.units.some(({ unit }) => unit.passages.some((id) => matter.of(id).focus?.has(id)));
      return {
        lesson,
        at,
        near:
          cosine(promised, own) * 4 +
          (claims.filter(instructs).length / Math.max(60, words)) * 6 +
          (emergency ? 2 : 0) +
          (focus ? 10 : 0),
      };
    });
  return rank.sort((a, b) => a.near - b.near || b.at - a.at).map(({ lesson }) => lesson);
}
