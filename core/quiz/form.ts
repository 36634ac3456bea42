import { idShape, LEVELS, type Level } from '../checks/check';
import { always, list, number, object, oneOf, type Shape } from '../document/shape';

/**
 * When learners hear what an answer was worth: at once; when they hand in; when nothing can be won by it any more
 * (passed, or no try left); never, they get the result alone.
 */
export const SHOWS = ['each', 'handed', 'end', 'never'] as const;
export type Shows = (typeof SHOWS)[number];

/** So many questions, of one objective or level where it says so; an objective that is gone has none. */
export interface Draw {
  count: number;
  objectiveId?: string;
  level?: Level;
}

/** How a quiz is taken. What may be absent is off. */
export interface Quiz {
  /** The share of its points, 0 to 1, by which it is passed. */
  pass?: number;
  /** Tries; absent: as many as one likes. */
  tries?: number;
  /** The time for a try. */
  minutes?: number;
  /** Questions and answers stand in another order for each learner and try. */
  mix?: true;
  /** Which questions a try asks; absent: all that stand on its page, in their order. */
  draw?: {
    /** `here`: of those on its page; otherwise of those in the lessons of its module, or of the course, too. */
    from: 'here' | 'module' | 'course';
    /** Taken one after another. */
    rules: Draw[];
  };
  shows: Shows;
  /** A further try asks again only what was wrong. */
  again?: true;
  /** For practice: it counts nowhere. */
  practice?: true;
  /** Its part of the course's mark, in per cent; absent: what its points make. */
  weight?: number;
  /** What is all right in it need not be learned: lessons of its module are done by that. */
  skips?: true;
}

/** What a quiz may be set to; screens say the same. */
export const LIMITS = {
  tries: { min: 1, max: 20, whole: true },
  minutes: { min: 1, max: 600, whole: true },
  count: { min: 1, max: 500, whole: true },
  weight: { min: 0, max: 100 },
  pass: { min: 0.01, max: 1 },
};

export const quizShape: Shape = object(
  { shows: oneOf(...SHOWS) },
  {
    pass: number(LIMITS.pass),
    tries: number(LIMITS.tries),
    minutes: number(LIMITS.minutes),
    mix: always,
    draw: object({
      from: oneOf('here', 'module', 'course'),
      rules: list(object({ count: number(LIMITS.count) }, { objectiveId: idShape, level: oneOf(...LEVELS) }), {
        min: 1,
      }),
    }),
    again: always,
    practice: always,
    weight: number(LIMITS.weight),
    skips: always,
  },
);

/** What a quiz is when it is new. */
export const USUAL_QUIZ: Quiz = { pass: 0.8, mix: true, shows: 'handed' };
