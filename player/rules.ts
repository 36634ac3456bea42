import type { Rules } from '../core/learning/rules';
import { say, type Words } from '../core/words';

/** The rules of a course in sentences. */
export function sayRules(words: Words, rules: Rules): string[] {
  const share = (value: number) => Math.round(value * 100);
  return [
    say(
      words.ruleLesson[rules.lesson.kind],
      rules.lesson.kind === 'passed' ? { share: share(rules.lesson.share) } : {},
    ),
    say(
      words.ruleCourse[rules.course.kind],
      rules.course.kind === 'passed' ? { share: share(rules.course.share) } : {},
    ),
    ...(rules.order === 'forced' ? [words.ruleForced] : []),
    ...(rules.tries !== null ? [say(words.ruleTries, { tries: rules.tries })] : []),
  ];
}
