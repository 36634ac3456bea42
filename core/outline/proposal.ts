import type { LessonKind, Point } from '../course/course';
import { passagesOf, type Dropped, type Scope } from './scope';

/** A lesson as the outline proposes it: its matter, not yet its text. */
export interface ProposedLesson {
  id: string;
  title: string;
  /** Other titles, best first. */
  otherTitles: string[];
  scope: Scope;
  /** Minutes that its author pinned. */
  pinned?: number;
  /** Passages that the author gave it: used as given, whatever the size. */
  given?: readonly string[];
  /** What it says, point by point, where its author settled that. */
  points?: readonly Point[];
  /**
   * Of a lesson of the author's own outline, or of a plan: what is said of it there, and the points or questions that
   * the sources say nothing of.
   */
  own?: { objective?: string; minutes?: number; kind?: LessonKind; open: readonly string[] };
}

export interface ProposedModule {
  id: string;
  title: string;
  /** What it is for, where the author says so. */
  purpose?: string;
  lessons: ProposedLesson[];
}

/** All lessons of an outline with their passages. */
export function lessonsOf({ modules }: Pick<OutlineProposal, 'modules'>): { id: string; passages: string[] }[] {
  return modules.flatMap((module) =>
    module.lessons.map((lesson) => ({ id: lesson.id, passages: passagesOf(lesson.scope) })),
  );
}

/** A drafted outline: a proposal, until it is taken. */
export interface OutlineProposal {
  title: string;
  language: string;
  modules: ProposedModule[];
  dropped: Dropped[];
  /** What the author should know: fewer modules than asked, parts of a language that is not understood ... */
  notices: { code: string; parameters?: Record<string, string | number> }[];
}
