import type { Check, Option } from '../course/checks';

/** What is said to an answer: why it is right or not as a code, what the source says, or the author's own words. */
export interface Feedback {
  code: Option['feedback']['code'];
  quotes: string[];
  text?: string;
}

/** What marking needs of a check; it is kept away from the learner until it may be seen. */
export interface Marking {
  key: string;
  feedback: Record<string, Feedback>;
}

/** The marking of a check, its options under the ids a learner sees. */
export function markingOf(check: Check, optionId: (id: string) => string): Marking {
  return {
    key: optionId(check.key),
    feedback: Object.fromEntries(check.options.map(({ id, feedback }) => [optionId(id), { code: feedback.code, quotes: feedback.quotes.map((quote) => quote.text), ...(feedback.text && { text: feedback.text }) }])),
  };
}

/** Marks an answer: the one scoring of app and packages. Undefined when the check has no such option. */
export function mark(marking: Marking, option: string): { right: boolean; feedback: Feedback } | undefined {
  const feedback = Object.hasOwn(marking.feedback, option) ? marking.feedback[option] : undefined;
  return feedback && { right: option === marking.key, feedback };
}
