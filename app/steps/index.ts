import { shelfOf } from '~~/core/course/media';
import { allLessons, placedChecks, type Course } from '~~/core/course/course';

/** What a step counts, beside the course itself. */
export interface Counted {
  course: Course;
  sources: number;
}

interface Place {
  /** Its page below the course's address. */
  path: string;
  label: string;
  /** How much is in it; nothing is shown for none. */
  count?(counted: Counted): number;
}

/** A page within a step, shown while one is there. */
export interface StepPart extends Place {
  /** A key of its own, where it is gone to often. */
  key?: string;
}

/** A step of the work. */
export interface Step extends Place {
  key: string;
  /** Who may open it: everybody with a part in the course, those who mark, or its authors alone. */
  right: 'reader' | 'marker' | 'author';
  parts?: readonly StepPart[];
  /** Stands apart from the work itself. */
  apart?: boolean;
}

/**
 * The steps of the work in their order. The list of steps, the keys and the command bar read them; a new step is a line
 * here and its page.
 */
export const STEPS: readonly Step[] = [
  { path: 'brief', label: 'Brief', key: 'Alt+1', right: 'reader' },
  {
    path: 'sources',
    label: 'Sources',
    key: 'Alt+2',
    right: 'reader',
    count: ({ sources }) => sources,
    parts: [
      {
        path: 'sources/interview',
        label: 'What I know',
        count: ({ course }) => course.answers?.filter((answer) => answer.text.trim() === '').length ?? 0,
      },
      { path: 'sources/topics', label: 'Topics' },
      { path: 'sources/compare', label: 'Side by side' },
    ],
  },
  {
    path: 'outline',
    label: 'Outline',
    key: 'Alt+3',
    right: 'reader',
    count: ({ course }) => allLessons(course).length,
    parts: [{ path: 'holds', label: 'What it holds', key: 'Alt+H' }],
  },
  {
    path: 'lessons',
    label: 'Lessons',
    key: 'Alt+4',
    right: 'reader',
    count: ({ course }) => allLessons(course).filter((lesson) => lesson.blocks.length > 0).length,
  },
  {
    path: 'checks',
    label: 'Checks',
    key: 'Alt+5',
    right: 'reader',
    count: ({ course }) => placedChecks(course).length,
  },
  {
    path: 'media',
    label: 'Media',
    key: 'Alt+0',
    right: 'reader',
    count: ({ course }) => shelfOf(course).length,
    parts: [{ path: 'media/offers', label: 'To put in' }],
  },
  { path: 'release', label: 'Release', key: 'Alt+6', right: 'reader' },
  {
    path: 'results',
    label: 'Results',
    key: 'Alt+7',
    right: 'marker',
    parts: [
      { path: 'results/marking', label: 'Hand-ins' },
      { path: 'results/feedback', label: 'Feedback' },
    ],
  },
  { path: 'bin', label: 'Bin', key: 'Alt+8', right: 'reader', count: ({ course }) => course.bin.length, apart: true },
  { path: 'people', label: 'People', key: 'Alt+9', right: 'author' },
];

/** Whether somebody with this part in the course may open a step. */
export const mayOpen = ({ right }: Step, role: string): boolean =>
  right === 'reader' || role === 'author' || role === right;
