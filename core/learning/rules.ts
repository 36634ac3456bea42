/**
 * When a lesson counts as done: its page was read to its end; all its checks were answered; that share of them was
 * answered rightly.
 */
export type LessonRule = { kind: 'read' } | { kind: 'answered' } | { kind: 'passed'; share: number };
/**
 * When a course counts as completed: all its lessons are done; or, besides, that share of all its checks was answered
 * rightly.
 */
export type CourseRule = { kind: 'lessons' } | { kind: 'passed'; share: number };

/** How a course is taken; said to the learner before they begin. Shares are 0 to 1. */
export interface Rules {
  lesson: LessonRule;
  course: CourseRule;
  /** `forced`: a lesson opens when the one before it is done. */
  order: 'free' | 'forced';
  /** Tries at a check; null: as many as one likes. */
  tries: number | null;
}

export const USUAL_RULES: Rules = {
  lesson: { kind: 'answered' },
  course: { kind: 'passed', share: 0.8 },
  order: 'free',
  tries: 2,
};
