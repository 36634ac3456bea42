import { lintCheck, type Flaw } from '../checks/lints';
import { checkFormOf, type Check } from '../checks/forms';
import { blockTexts, checkIn, checksOn } from '../blocks/forms';
import { evidencedSentences } from '../document/rich-text';
import { allLessons, type Course } from './course';
import { isQuiz } from './quizzes';

/** So many answers in one place, or so many statements of one kind, are a pattern that is found out. */
const PATTERN = 5;
const SHARE = 0.8;

/**
 * What is wrong with the questions of a course, by the check's id: each by itself, and those of them together that are
 * asked twice, before they are taught, or always answered alike. Offers are held against the others, too, but only what
 * stands in a lesson can come too early.
 */
export function lintCourse(course: Course): Map<string, Flaw[]> {
  const flaws = new Map(course.checks.map((check) => [check.id, [...lintedOnce(check, course.language)]]));
  const add = (id: string, flaw: Flaw) => flaws.get(id)?.push(flaw);
  const stems = new Map<string, string>();
  for (const { id, stem, refused } of course.checks) {
    if (refused) continue;
    const key = stem
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim();
    const first = stems.get(key);
    if (first) add(id, { code: 'same-question', with: first });
    else stems.set(key, id);
  }
  for (const lesson of allLessons(course).filter(isQuiz))
    for (const id of checksOn(lesson)) {
      const check = course.checks.find((each) => each.id === id);
      if (check && checkFormOf(check).standsAlone) add(id, { code: 'in-quiz' });
    }
  const placed = placesOf(course);
  for (const { id, early } of placed) if (early) add(id, { code: 'not-taught' });
  const byId = new Map(course.checks.map((check) => [check.id, check]));
  for (const group of alikeAnswered(placed.flatMap(({ id }) => byId.get(id) ?? [])))
    for (const { id } of group) add(id, { code: 'pattern' });
  return flaws;
}

/** Flaws of questions by themselves: a question that was not changed is not looked through again. */
const linted = new WeakMap<Check, { language: string; flaws: Flaw[] }>();

function lintedOnce(check: Check, language: string): Flaw[] {
  const known = linted.get(check);
  if (known?.language === language) return known.flaws;
  const flaws = lintCheck(check, language);
  linted.set(check, { language, flaws });
  return flaws;
}

/** The checks of a course in the order they are met; `early`: nothing they stand on was on a page before. */
function placesOf(course: Course): { id: string; early: boolean }[] {
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  const taught = new Set<string>();
  // A first test asks before anything is taught: that is what it is for.
  const lessons = allLessons(course).filter(({ quiz }) => !quiz?.skips);
  return lessons.flatMap(({ blocks }) =>
    blocks.flatMap((block) => {
      const id = checkIn(block);
      if (id === undefined) {
        for (const { id: passage } of block.evidence ?? []) taught.add(passage);
        for (const text of blockTexts(block))
          for (const { mark } of evidencedSentences(text))
            for (const { id: passage } of mark.attrs.passages) taught.add(passage);
        return [];
      }
      const evidence = checks.get(id)?.evidence ?? [];
      return [{ id, early: evidence.length > 0 && !evidence.some((range) => taught.has(range.id)) }];
    }),
  );
}

/** Statements that are nearly all true, or all false; answers that nearly all stand in one place. */
function alikeAnswered(checks: readonly Check[]): Check[][] {
  const answered = (check: Check): string | undefined => {
    if (check.kind === 'truth') return `truth ${check.answer}`;
    // Others are mixed anew for learners.
    return check.kind === 'choice' && check.fixed
      ? `fixed ${check.options.findIndex(({ id }) => id === check.key)}`
      : undefined;
  };
  const kinds = new Map<string, Check[]>();
  for (const check of checks) {
    const key = answered(check);
    if (key) kinds.set(key, [...(kinds.get(key) ?? []), check]);
  }
  return [...kinds].flatMap(([key, group]) => {
    const all = checks.filter((check) => answered(check)?.split(' ')[0] === key.split(' ')[0]).length;
    return group.length >= PATTERN && group.length >= all * SHARE ? [group] : [];
  });
}
