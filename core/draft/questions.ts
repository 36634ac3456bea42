import { blockTexts } from '../blocks/forms';
import { draftQuestions, SHOWN_FROM, type QuestionMatter } from '../check';
import { otherAnswers } from '../check/other-answers';
import type { AskingForm } from '../checks/check';
import { checkText, type Check, type Option } from '../checks/forms';
import { allLessons, placedChecks, type Course, type Lesson, type Objective } from '../course/course';
import { mayBeOffered } from '../course/offers';
import { lessonsAskedBy } from '../course/quiz-offers';
import { isQuiz } from '../course/quizzes';
import { evidencedSentences, type PassageRange } from '../document/rich-text';
import type { Claim } from '../knowledge';
import { contained } from '../language/similarity';
import type { Prepared } from './from-course';
import { withObjective } from './lesson';

/** What an author wants to be asked about, beside what was drafted. */
export interface QuestionWish {
  /** A lesson, a quiz (the lessons it asks about) or a module; all lessons where it is none of them. */
  about: string;
  /** What it shall be about, in the author's words. */
  words?: string;
  form?: AskingForm;
  objective?: string;
  /** Only what stands on one of these. */
  passages?: readonly string[];
}

/** What the sources hold for a wish. */
export interface FoundQuestions {
  /** Best first, the lessons in turn. */
  offers: Check[];
  /** Questions on it that the course has already. */
  known: number;
  /** Those that were not offered because of what was refused. */
  refused: number;
}

/** Questions are good less often from here on; they are given to whoever asks for more, and marked `less-sure`. */
const MORE_FROM = 0.6;
const MOST = 60;
/** So much of what is claimed a page must show. */
const COVERED = 0.6;
/** So much of a wish's words a question has at least. */
const MEANT = 0.5;

/**
 * Questions that a course's pages could be asked about besides those it has: in other forms, on other sentences, and
 * such as are less sure to be good. From the pages as they stand, so that what is asked was taught. Never padded: what
 * the sources do not hold is not made.
 */
export function questionsFor(course: Course, wish: QuestionWish, prepared: Prepared): FoundQuestions {
  const lessons = lessonsFor(course, wish.about);
  const refused = course.checks.filter((check) => check.refused);
  // What was thrown away is not brought back by asking for more.
  const known = [
    ...course.checks,
    ...course.bin.flatMap(({ kind, node }) => (kind === 'check' ? [node as Check] : [])),
  ];
  const passages = wish.passages?.length ? new Set(wish.passages) : undefined;
  const found = lessons.map((lesson) => {
    const matter = matterOf(lesson, prepared, passages);
    if (!matter) return { kept: [], all: 0 };
    const sought = wish.words ? new Set(matter.pack.stems(wish.words)) : undefined;
    const rank = (check: Check) =>
      sought ? contained(sought, matter.pack.stems([checkText(check), saidIn(check, prepared)].join(' '))) : 1;
    const all = draftQuestions(lesson.id, matter, { from: MORE_FROM, besides: known, severally: true })
      .filter((check) => !wish.form || check.drafted?.form === wish.form)
      .filter((check) => !passages || check.evidence.some(({ id }) => passages.has(id)))
      .filter((check) => rank(check) >= MEANT)
      .map((check) => withObjective(check, objectivesOf(course, lesson)))
      .filter((check) => !wish.objective || check.objectiveId === wish.objective);
    const kept = all
      .filter((check) => mayBeOffered(check, refused))
      .map((check) => marked(check))
      .sort((a, b) => rank(b) - rank(a) || b.drafted!.score - a.drafted!.score);
    return { kept, all: all.length };
  });
  return {
    offers: inTurn(found.map(({ kept }) => kept)).slice(0, MOST),
    known: knownOn(course, lessons, wish, passages),
    refused: found.reduce((sum, { kept, all }) => sum + all - kept.length, 0),
  };
}

/**
 * Answers that could stand in place of a wrong answer of a question. None where the question or the answer is gone,
 * where it is a key, or where nothing of its lesson stands on the sources.
 */
export function answersFor(course: Course, checkId: string, optionId: string, prepared: Prepared): Option[] {
  const check = course.checks.find(({ id }) => id === checkId);
  if (check?.kind !== 'choice' && check?.kind !== 'several') return [];
  const option = check.options.find(({ id }) => id === optionId);
  const lesson = allLessons(course).find(({ id }) => id === check.lessonId);
  const isKey = check.kind === 'choice' ? check.key === optionId : check.keys.includes(optionId);
  const matter = lesson && matterOf(lesson, prepared);
  return option && matter && !isKey ? otherAnswers(check, option, matter, matter.lesson) : [];
}

function lessonsFor(course: Course, about: string): Lesson[] {
  const all = allLessons(course);
  const module = course.modules.find(({ id }) => id === about);
  const lesson = all.find(({ id }) => id === about);
  const asked =
    lesson && isQuiz(lesson) ? lessonsAskedBy(course, lesson) : lesson ? [lesson] : (module?.lessons ?? all);
  return asked.filter((each) => !isQuiz(each));
}

/**
 * What questions on a page are made of, as the page stands now; undefined where nothing of it stands on the sources, or
 * nothing can be asked in its language.
 */
function matterOf(
  { title, blocks }: Lesson,
  { context }: Prepared,
  passages?: ReadonlySet<string>,
): QuestionMatter | undefined {
  const stands = blocks.map((block) => ({
    block,
    ranges: blockTexts(block)
      .flatMap(evidencedSentences)
      .flatMap(({ mark }) => mark.attrs.passages)
      .filter(({ id }) => context.matter.of(id) !== undefined),
  }));
  const wanted = passages ? stands.filter(({ ranges }) => ranges.some(({ id }) => passages.has(id))) : stands;
  const taught = new Map<string, PassageRange[]>();
  for (const range of wanted.flatMap(({ ranges }) => ranges))
    if (!passages || passages.has(range.id)) taught.set(range.id, [...(taught.get(range.id) ?? []), range]);
  const [first] = taught.keys();
  const pack = first === undefined ? undefined : context.matter.of(first).pack;
  const course = pack && context.pools.get(pack.code);
  if (!course) return undefined;
  const claims = new Map<string, Claim>();
  for (const [id, ranges] of taught)
    for (const claim of context.matter.claims.get(id) ?? []) {
      const own = claim.ranges.filter((range) => range.id === id);
      if (own.every((each) => ranges.some((range) => covers(range, each)))) claims.set(claim.id, claim);
    }
  return {
    pack,
    title,
    blocks: wanted.map(({ block }) => block),
    lesson: [...claims.values()],
    course,
    who: context.brief.audience.who,
    generous: true,
  };
}

/** Whether a page that shows one range says what stands in another: a term's meaning stands apart from the term. */
const covers = (shown: PassageRange, said: PassageRange): boolean =>
  Math.min(shown.to, said.to) - Math.max(shown.from, said.from) >= (said.to - said.from) * COVERED;

const objectivesOf = (course: Course, lesson: Lesson): Objective[] =>
  lesson.objectiveIds.flatMap((id) => course.objectives.find((each) => each.id === id) ?? []);

/** The words of the sources that a question stands on. */
const saidIn = ({ evidence }: Check, { context }: Prepared): string =>
  evidence.map(({ id, from, to }) => context.matter.of(id)?.passages.get(id)?.text.slice(from, to) ?? '').join(' ');

function marked(check: Check): Check {
  const { drafted } = check;
  return drafted && drafted.score < SHOWN_FROM
    ? { ...check, drafted: { ...drafted, reasons: [...drafted.reasons, 'less-sure'] } }
    : check;
}

/** The first of each list, then the second of each. */
function inTurn<Item>(lists: readonly Item[][]): Item[] {
  const rounds = Math.max(0, ...lists.map(({ length }) => length));
  return Array.from({ length: rounds }, (_, at) => lists.flatMap((list) => list[at] ?? [])).flat();
}

/** How many questions the course has for a wish already, offered or placed. */
function knownOn(
  course: Course,
  lessons: readonly Lesson[],
  { form, objective }: QuestionWish,
  passages: ReadonlySet<string> | undefined,
): number {
  const own = new Set(lessons.map(({ id }) => id));
  const placed = new Set(placedChecks(course).map(({ id }) => id));
  return course.checks.filter(
    (check) =>
      own.has(check.lessonId) &&
      (placed.has(check.id) || !check.refused) &&
      (!form || check.drafted?.form === form) &&
      (!objective || check.objectiveId === objective) &&
      (!passages || check.evidence.some(({ id }) => passages.has(id))),
  ).length;
}
