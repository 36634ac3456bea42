import { minutesFor } from '../brief/sizing';
import type { OutlineProposal, ProposedLesson } from '../outline';
import { passagesOf } from '../outline/scope';
import { partsOf, type Part } from '../lesson/parts';
import { SHOWN_FROM } from '../check';
import type { DraftContext } from './context';
import { byPoints } from './lesson-scope';
import { fitted, type Sized } from './size';

/** A lesson ready to be drafted: the parts of its page. */
export interface LessonPlan {
  lesson: ProposedLesson;
  parts: Part[];
  words: number;
  /** Questions to place at most. */
  questions: number;
  /** Those that are likely to be found. */
  checks: number;
  /** Minutes it will take, with the questions that are likely to be found. */
  minutes: number;
}

export interface CoursePlan {
  modules: { id: string; title: string; purpose?: string; lessons: LessonPlan[] }[];
  /** Units that found no room: light ones of lessons that stand, and those of whole lessons that went. */
  without: ReadonlyMap<string, 'light' | 'topic'>;
  /** `full`: with everything that can be taught. */
  minutes: { asked?: number; planned: number; full: number };
  usableWords: number;
}

/**
 * Fits an outline's matter into the minutes asked: a target to fill, then a limit. Without minutes everything is
 * taught. `aim` is the minutes to plan for, when a first draft came out longer or shorter than asked. `settled`: the
 * lessons are the author's already, and none is left out.
 */
export function planCourse(
  proposal: OutlineProposal,
  context: DraftContext,
  { aim = context.brief.size.minutes, settled = false }: { aim?: number; settled?: boolean } = {},
): CoursePlan {
  const { minutes: asked, questionsPerLesson: questions, checkEvery } = context.brief.size;
  /** The checks that a lesson of so many words places at most. */
  const most = (words: number) =>
    checkEvery === undefined
      ? questions
      : Math.min(questions, Math.max(1, Math.round(minutesFor(words, 0) / checkEvery)));
  const open = proposal.modules.map((module) => ({
    ...module,
    lessons: module.lessons.map((proposed): Sized & { lesson: ProposedLesson; parts: Part[] } => {
      const lesson = { ...proposed, scope: byPoints(proposed.scope, proposed.points, context.matter) };
      const parts = partsOf(lesson.scope, context.matter);
      // What points were agreed on is the author's: it is weighed no more.
      const given = new Set([...(lesson.given ?? []), ...(lesson.points ?? []).flatMap(({ passages }) => passages)]);
      return {
        lesson,
        parts,
        questions: Math.min(most(parts.reduce((sum, part) => sum + part.words, 0)), expectedQuestions(lesson, context)),
        title: lesson.title,
        units: unitsIn(parts, given, context),
        settled: settled || lesson.own !== undefined,
        ...(pinnedOf(lesson) !== undefined && { pinned: pinnedOf(lesson) }),
      };
    }),
  }));
  const all = open.flatMap((module) => module.lessons);
  const without = fitted(all, aim, context);
  const matter = stillSaid(context.matter, without);
  const modules = open
    .map((module) => ({
      ...module,
      lessons: module.lessons.flatMap((entry): LessonPlan[] => {
        const parts =
          matter === context.matter
            ? entry.parts.filter((part) => !without.has(part.unit))
            : partsOf(entry.lesson.scope, matter, new Set(without.keys()));
        const words = parts.reduce((sum, part) => sum + part.words, 0);
        // A lesson of the author's own outline stays, whatever the sources hold.
        return parts.length === 0 && !entry.lesson.own
          ? []
          : [
              {
                lesson: entry.lesson,
                parts,
                words,
                questions: most(words),
                checks: Math.min(entry.questions, most(words)),
                minutes: entry.pinned ?? minutesFor(words, Math.min(entry.questions, most(words))),
              },
            ];
      }),
    }))
    .filter((module) => module.lessons.length > 0);
  const planned = modules.flatMap((module) => module.lessons).reduce((sum, lesson) => sum + lesson.minutes, 0);
  const full = all.reduce(
    (sum, entry) =>
      sum +
      minutesFor(
        entry.parts.reduce((words, part) => words + part.words, 0),
        entry.questions,
      ),
    0,
  );
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return {
    modules,
    without,
    minutes: { ...(asked !== undefined && { asked }), planned: tenth(planned), full: tenth(full) },
    usableWords: all.reduce((sum, entry) => sum + entry.parts.reduce((words, part) => words + part.words, 0), 0),
  };
}

/** Minutes that a lesson's author pinned. */
const pinnedOf = ({ pinned, own }: ProposedLesson): number | undefined => pinned ?? own?.minutes;

/** What was left to another place to say is said where it stands, when that place finds no room. */
function stillSaid(matter: DraftContext['matter'], without: ReadonlyMap<string, unknown>): DraftContext['matter'] {
  const said = new Map([...matter.said].filter(([, fuller]) => !without.has(matter.unitOf(fuller.split('/')[0]).id)));
  return said.size === matter.said.size ? matter : { ...matter, said };
}

/** The units of a lesson's parts, with what they would take. What the author gave is never weighed. */
export function unitsIn(parts: readonly Part[], given: ReadonlySet<string>, { matter }: DraftContext): Sized['units'] {
  const found = new Map<string, Sized['units'][number]>();
  for (const part of parts) {
    const unit = matter.unitOf(part.items[0].passage.id);
    const entry = found.get(unit.id) ?? { unit, words: 0, given: false };
    entry.words += part.words;
    entry.given ||= part.items.some((item) => given.has(item.passage.id));
    found.set(unit.id, entry);
  }
  return [...found.values()];
}

/**
 * A guess at how many questions a lesson will place, for its minutes: conditional rules, definitions and limits it has.
 */
function expectedQuestions(lesson: ProposedLesson, { matter }: DraftContext): number {
  const claims = passagesOf(lesson.scope).flatMap((id) => matter.claims.get(id) ?? []);
  const askable = claims.filter(
    (claim) =>
      !claim.leaning &&
      ((claim.kind === 'rule' && claim.rule?.person && claim.rule.condition) ||
        claim.kind === 'definition' ||
        claim.kind === 'figure'),
  ).length;
  return Math.round(askable * (1 - SHOWN_FROM / 1.5));
}
