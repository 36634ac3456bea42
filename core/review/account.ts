import { courseMinutes, PACE } from '../brief/sizing';
import { allLessons, type Course } from '../course/course';
import { offersOf } from '../course/offers';
import type { LeftOut, MissingReason, SaidKind } from '../course/left-out';
import { usesOf, type Use } from '../course/uses';
import type { Knowledge } from '../knowledge';
import { leftOutLines, saidKinds, type LeftOutLine } from './left-out';
import { isHarmless } from '../course/left-out-words';

/** What a course holds of its sources, to be read by its author. */
export interface Account {
  minutes: {
    asked?: number;
    got: number;
    /** How long what is left out for want of room would take. */
    more: number;
  };
  /** `taught`: words of the source that stand on a page. */
  sources: { id: string; title: string; words: number; taught: number }[];
  /** How much of what the sources claim is taught, by what it is; noise and repeats are not counted. */
  coverage: Coverage;
  /** What is not in the course; `lesson`: the one whose topic it belongs to. */
  leftOut: (LeftOutLine & { lesson?: string })[];
  /** What would fill time that is left: questions that are offered and not placed. */
  couldFill: { questions: number; minutes: number };
}

type Missing = Omit<LeftOut, 'reason'> & { reason: MissingReason };

export type Coverage = Partial<Record<SaidKind, { taught: number; of: number }>>;

/** Accounts for a course as it stands. `leftOut`: what drafting left out, where the course does not say. */
export function accountOf(
  course: Course,
  knowledge: readonly Knowledge[],
  drafted: readonly LeftOut[] = course.leftOut ?? [],
): Account {
  const uses = usesOf(course);
  const leftOut = asOfNow(course, drafted);
  const lines = leftOutLines(leftOut, uses, knowledge);
  const home = homesOf(course, knowledge);
  const { minutes: asked } = course.brief.size;
  const offered = offersOf(course).length;
  const missed = lines.filter((line) => !isHarmless(line.reason));
  return {
    minutes: {
      ...(asked !== undefined && { asked }),
      got: courseMinutes(course),
      more: Math.round(missed.reduce((sum, line) => sum + line.words, 0) / PACE.wordsPerMinute),
    },
    sources: knowledge.map(({ source, sentences }) => ({
      id: source.id,
      title: source.title,
      words: source.words,
      taught: source.passages.reduce(
        (sum, { id }) =>
          sum +
          (sentences.get(id) ?? []).reduce(
            (own, sentence) => own + (isTaught(uses, id, sentence) ? sentence.words : 0),
            0,
          ),
        0,
      ),
    })),
    coverage: coverageOf(knowledge, leftOut, uses),
    leftOut: lines.map((line) => {
      const lesson = home(line.passages[0].id);
      return { ...line, ...(lesson && { lesson }) };
    }),
    couldFill: { questions: offered, minutes: Math.round(offered * PACE.minutesPerCheck * 10) / 10 },
  };
}

/**
 * What was left to another place to say is missing once every lesson is drafted and no evidence covers it: that place
 * is gone.
 */
function asOfNow(course: Course, leftOut: readonly LeftOut[]): Missing[] {
  const drafted = allLessons(course).every(({ kind, blocks }) => kind === 'quiz' || blocks.length > 0);
  return leftOut.map((each): Missing => (drafted && each.reason === 'repeated' ? { ...each, reason: 'lapsed' } : each));
}

const isTaught = (
  uses: ReadonlyMap<string, readonly Use[]>,
  id: string,
  { from, to }: { from: number; to: number },
): boolean => (uses.get(id) ?? []).some((use) => use.check === undefined && use.from < to && use.to > from);

function coverageOf(
  knowledge: readonly Knowledge[],
  leftOut: readonly Missing[],
  uses: ReadonlyMap<string, readonly Use[]>,
): Coverage {
  const counts: Coverage = {};
  const uncounted = new Set(
    leftOut
      .filter(({ reason }) => isHarmless(reason))
      .flatMap(({ passages }) => passages.map((range) => `${range.id}/${range.from}`)),
  );
  for (const { claims, pack } of knowledge) {
    for (const claim of claims) {
      const taught = claim.ranges.every((range) => isTaught(uses, range.id, range));
      if (!taught && claim.ranges.some((range) => uncounted.has(`${range.id}/${range.from}`))) continue;
      for (const kind of saidKinds(claim, pack)) {
        const count = (counts[kind] ??= { taught: 0, of: 0 });
        count.of++;
        if (taught) count.taught++;
      }
    }
  }
  return counts;
}

/** For a passage the lesson that has most of what stands under the same heading. */
function homesOf(course: Course, knowledge: readonly Knowledge[]): (passage: string) => string | undefined {
  const places = new Map(
    knowledge.flatMap(({ source }) =>
      source.passages.map((passage) => [passage.id, `${source.id}/${passage.locator.path.join('/')}`] as const),
    ),
  );
  const counts = new Map<string, Map<string, number>>();
  for (const lesson of allLessons(course)) {
    for (const id of [...lesson.plannedPassages, ...(lesson.given ?? [])]) {
      const place = places.get(id);
      if (!place) continue;
      const own = counts.get(place) ?? new Map<string, number>();
      counts.set(place, own.set(lesson.id, (own.get(lesson.id) ?? 0) + 1));
    }
  }
  return (passage) =>
    [...(counts.get(places.get(passage) ?? '') ?? [])].reduce<[string, number] | undefined>(
      (best, each) => (best && best[1] >= each[1] ? best : each),
      undefined,
    )?.[0];
}
