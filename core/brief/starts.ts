import type { Brief } from '../course/course';

type Size = Brief['size'];

/** Starting points of a brief's sizes by what the course is used for. Ours, from what lasts at work; none is a rule. */
export const BRIEF_STARTS = {
  reminder: { label: 'A reminder between two tasks', minutes: 8, questionsPerLesson: 1, checkEvery: 3 },
  first: { label: 'A first course for people new to it', minutes: 30, questionsPerLesson: 2, checkEvery: 3 },
  proof: { label: 'Rules that must be kept, with proof', minutes: 45, questionsPerLesson: 4, checkEvery: 2 },
  whole: { label: 'Everything the sources hold', minutes: undefined, questionsPerLesson: 3, checkEvery: undefined },
} as const;

export type BriefStart = keyof typeof BRIEF_STARTS;

/** A brief's sizes begun from a use: minutes and checks are filled, counts that the author fixed stay. */
export function startedFrom({ modules, lessonsPerModule, wordsPerLesson }: Size, start: BriefStart): Size {
  const { minutes, questionsPerLesson, checkEvery } = BRIEF_STARTS[start];
  return {
    questionsPerLesson,
    ...(minutes !== undefined && { minutes }),
    ...(checkEvery !== undefined && { checkEvery }),
    ...(modules !== undefined && { modules }),
    ...(lessonsPerModule !== undefined && { lessonsPerModule }),
    ...(wordsPerLesson !== undefined && { wordsPerLesson }),
  };
}
