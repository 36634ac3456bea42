import type { Brief } from '../course/course';

/** A brief as somebody gives it, by what they name; `known` are terms the audience knows. */
export interface GivenBrief {
  title?: string;
  promise?: string;
  audience?: string;
  known?: string[];
  minutes?: number;
  modules?: number;
  lessons?: number;
  questions?: number;
  language?: string;
  sourcesOnly?: boolean;
}

/** Questions placed in a lesson at most, when the brief does not say. */
export const QUESTIONS_PER_LESSON = 3;

/** The brief of a course out of what was sent; `language` is used when none was asked for. */
export function briefFrom(input: GivenBrief, language: string): Brief {
  return {
    promise: input.promise ?? '',
    audience: { who: input.audience ?? '', knows: input.known ?? [] },
    size: {
      questionsPerLesson: input.questions ?? QUESTIONS_PER_LESSON,
      ...(input.minutes !== undefined && { minutes: input.minutes }),
      ...(input.modules !== undefined && { modules: input.modules }),
      ...(input.lessons !== undefined && { lessonsPerModule: input.lessons }),
    },
    language: input.language ?? language,
    sourcesOnly: input.sourcesOnly ?? false,
    outcomes: [],
  };
}
