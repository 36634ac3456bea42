import type { LessonState } from './course';

/** A course as a list of courses shows it: its path, its states, when it was last changed. Computed, never stored. */
export interface CourseRow {
  id: string;
  title: string;
  audience: string;
  /** What the asker is in it. */
  role: string;
  /** Milliseconds, UTC. */
  changedAt: number;
  /** Why it cannot be opened, in words; absent when it can. */
  broken?: string;
  minutes: number;
  checks: number;
  states: Partial<Record<LessonState, number>>;
  path: { title: string; lessons: { id: string; title: string; minutes: number; demand: number; checks: number; state: LessonState }[] }[];
}
