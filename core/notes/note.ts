import type { Course, Lesson, Module } from '../course/course';

/**
 * Something found about a course, with what would mend it: the one form of a note, for the outline, checks and review
 * alike. It is worded at the edge, by its rule and parameters.
 */
export interface Note {
  rule: NoteRule;
  /** The node it is about: a module, a lesson, an objective, or the course itself. */
  about: string;
  /** decide: something is wrong or missing; look: worth a look. */
  weight: 'decide' | 'look';
  parameters: Record<string, string | number>;
  /** The words it saw: when they change, a note that was left comes again. */
  print: string;
  mend?: Mend;
}

export type NoteRule =
  | 'no-objective'
  | 'idle-objective'
  | 'empty'
  | 'too-long'
  | 'same-ground'
  | 'term-later'
  | 'outcome-unserved'
  | 'promise-unserved'
  | 'description-unserved'
  | 'left-out'
  | 'fits-no-longer'
  | 'above-unserved'
  | 'asked-open'
  | 'action-open'
  | 'slot-open'
  | 'form-empty'
  | 'picture-silent'
  | 'clip-silent'
  | 'quiz-short'
  | 'quiz-weights';

/** What mends a note with one key. */
export type Mend =
  /** The author words it: the field is opened. */
  | { kind: 'word'; field: 'objective' | 'title' }
  | { kind: 'split'; lesson: string }
  | { kind: 'merge'; into: string; lesson: string }
  | { kind: 'move'; lesson: string; before: string }
  | { kind: 'remove'; id: string }
  /** A lesson for it at the end, of a module or of the course. */
  | { kind: 'lesson'; title: string; module?: string }
  /** Other words for a row. */
  | { kind: 'reword'; row: string; title?: string; says?: string }
  /** Another room, where it can be mended. */
  | { kind: 'open'; room: 'holds' | 'brief' };

/** A course as rules look at it. */
export interface NoteMatter {
  course: Course;
  /** Lessons to learn from in order, with their modules. */
  lessons: readonly { lesson: Lesson; module: Module }[];
  /** Minutes of a lesson, by its id. */
  minutes: (lesson: string) => number;
  /** The words of an objective, by its id. */
  objective: (id: string | undefined) => string;
}
