import type { LessonState } from './course';

/** A course as a list of courses shows it: its path, its states, when it was last changed. Computed, never stored. */
export interface CourseRow {
  id: string;
  title: string;
  audience: string;
  /** What the asker is in it. */
  role: string;
  /** The state it is in, to post a change on. */
  revision: number;
  /** Milliseconds, UTC. */
  changedAt: number;
  /** The newest release: who may take it, and whether the course was changed since. Absent while there is none. */
  release?: { number: number; at: number; withdrawn: boolean; changed: boolean };
  /** How many people learn by it. */
  learners: number;
  /** Texts that met another's change and wait for their author to choose. */
  toChoose: number;
  /** Why it cannot be opened, in words; absent when it can. */
  broken?: string;
  minutes: number;
  checks: number;
  states: Partial<Record<LessonState, number>>;
  path: {
    title: string;
    lessons: { id: string; title: string; minutes: number; demand: number; checks: number; state: LessonState }[];
  }[];
}

/** Something that happened lately in a course. Times are milliseconds, UTC. */
export type Lately = { course: { id: string; title: string }; at: number } &
  /** `what`: the newest gestures by name; `who`: empty where nobody is known any more. */
  (
    | { kind: 'change'; who: string; what: string[] }
    | { kind: 'release'; number: number }
    /** Those who learned on one day, last first. */
    | { kind: 'learner'; who: string[] }
  );
