import type { DueStep, StepState } from '../database/jobs';
import type { Problem } from '../../core/document/problem';

/** Ends a step within the transaction that writes what it made. */
export type EndStep = (state: Extract<StepState, 'done' | 'kept'>, result?: unknown) => void;

/**
 * A kind of job. A step is made first, which may take long and may be called off, and then written in one go: what it
 * made and that it is done are one transaction, so that after a crash a step is done wholly or not yet.
 */
export interface JobKind {
  /** How many steps of the kind are worked at a time. */
  places: number;
  /** Milliseconds to wait after each attempt that failed and may still pass; after the last of them it is given up. */
  waits: readonly number[];
  /**
   * Makes a step; what comes back writes it, and must call `end` inside its transaction. Throws a `ProblemError` for
   * what fails for good; anything else that is thrown may pass, and is tried again.
   */
  make(step: DueStep, signal: AbortSignal): Promise<(end: EndStep) => void>;
}

/** Thrown by a kind for what has words of its own and may pass: a service that does not answer, a full disk. */
export class Passing extends Error {
  constructor(
    readonly problem: Problem,
    cause?: unknown,
  ) {
    super(problem.code, { cause });
  }
}
