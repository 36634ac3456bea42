import type { BriefOffers } from '../../core/brief/verdict';
import type { Block } from '../../core/blocks/forms';
import type { Standing } from '../../core/check/standing';
import type { Option } from '../../core/checks/forms';
import type { Course } from '../../core/course/course';
import type { OutlineNodes } from '../../core/course/taking';
import type { LeftOut } from '../../core/course/left-out';
import type { Account } from '../../core/review/account';
import type { ModuleOffers } from '../../core/draft/module-offers';
import type { ReadingOffer } from '../../core/draft/reading';
import type { PointOffers } from '../../core/draft/points';
import type { RowTake } from '../../core/draft/takes';
import type { FoundQuestions, QuestionWish } from '../../core/draft/questions';
import type { UnusedPassage } from '../../core/draft/unused';
import type { DraftedLesson, OutlineBy } from '../../core/draft';
import type { Claim } from '../../core/knowledge';
import type { Comparison } from '../../core/knowledge/comparing';
import type { Contradiction } from '../../core/knowledge/contradictions';
import type { TopicView } from '../../core/knowledge/topics';
import type { LeftOutLine } from '../../core/review/left-out';
import type { Stands } from '../../core/review/stands';
import type { Aim, Proposal } from '../../core/rewrite';
import type { Source } from '../../core/source/source';

/** A source version by its keys: workers read it from the database themselves. */
export interface SourceKey {
  id: string;
  version: string;
}

/** What the drafting worker can be asked. */
export interface Tasks {
  understand: { given: { source: Source }; made: { claims: Claim[] } };
  outline: {
    given: { course: Course; sources: SourceKey[] } & OutlineBy;
    made: {
      nodes: OutlineNodes;
      leftOut: LeftOutLine[];
      /** What each lesson stands on, by its id. */
      stands: Record<string, Stands>;
      notices: { code: string; parameters?: Record<string, string | number> }[];
      minutes: Record<string, number>;
      full: number;
    };
  };
  /** The course is read from the database as it stood at `revision`, which is pinned there. */
  lesson: {
    given: { courseId: string; revision: number; lessonId: string; sources: SourceKey[] };
    made: DraftedLesson;
  };
  /** What drafting a course as it stood at a revision leaves out. */
  leftOut: { given: { courseId: string; revision: number; sources: SourceKey[] }; made: LeftOut[] };
  offers: { given: { course: Course; sources: SourceKey[] }; made: BriefOffers };
  moduleOffers: {
    given: { course: Course; moduleId: string; sources: SourceKey[] };
    made: ModuleOffers | undefined;
  };
  points: { given: { course: Course; lessonId: string; sources: SourceKey[] }; made: PointOffers | undefined };
  rowTakes: { given: { course: Course; row: string; sources: SourceKey[] }; made: RowTake[] | undefined };
  account: { given: { course: Course; sources: SourceKey[] }; made: Account };
  unused: {
    given: { course: Course; lessonId: string; sources: SourceKey[] };
    /** `with`: how many passages stand or fall with it, where it is more than itself. */
    made: (UnusedPassage & { with?: number })[];
  };
  /** Passages as parts of a page; `whole`: with all that stands or falls with them. */
  pulled: {
    given: { course: Course; passages: string[]; place: string; whole: boolean; sources: SourceKey[] };
    made: Block[];
  };
  /** Questions on the pages as they stand, besides those there are. */
  questions: { given: { course: Course; wish: QuestionWish; sources: SourceKey[] }; made: FoundQuestions };
  /** Sentences that a question could stand on. */
  standing: { given: { course: Course; check: string; sources: SourceKey[] }; made: Standing[] };
  /** Answers in place of a wrong one. */
  answers: { given: { course: Course; check: string; option: string; sources: SourceKey[] }; made: Option[] };
  reading: { given: { course: Course; lessonId: string; sources: SourceKey[] }; made: ReadingOffer[] };
  rewrite: { given: { blocks: Block[]; aim: Aim; language: string }; made: Proposal[] | undefined };
  contradictions: {
    given: { course: Pick<Course, 'corrections' | 'supporting'>; sources: SourceKey[] };
    made: Contradiction[];
  };
  topics: { given: { course: Course; sources: SourceKey[]; field: string[] }; made: TopicView };
  compare: { given: { course: Course; sources: [SourceKey, SourceKey] }; made: Comparison };
  figures: {
    given: { course: Course; sources: SourceKey[] };
    made: Record<string, { grade?: number; planned: number; hard?: string[] }>;
  };
}
