/**
 * Anything that can go wrong, as data. Core never words it: `code` and `parameters` are turned into a
 * sentence at the edge (command line, screen), which also knows the reader's language.
 */
export interface Problem {
  code: string;
  parameters?: Record<string, string | number>;
  /** Where: a path in a document, a page, an entry of an archive. */
  place?: string;
}

/**
 * Carries a problem out of deep code to the one place that turns it into a result. `cause` is what was caught, where a
 * problem stands for an error of something else: for the log, never for the person.
 */
export class ProblemError extends Error {
  constructor(
    readonly problem: Problem,
    cause?: unknown,
  ) {
    super(problem.code, cause === undefined ? undefined : { cause });
  }
}

/** Throws a problem; for use where an expression is wanted. */
export function fail(code: string, parameters?: Problem['parameters'], place?: string, cause?: unknown): never {
  throw new ProblemError({ code, ...(parameters && { parameters }), ...(place && { place }) }, cause);
}

/** A result that is either a value or a problem. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };
