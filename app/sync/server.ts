import type { Course } from '~~/core/course/course';
import type { Operation } from '~~/core/course/operations';

/** What the server answers to changes, undo, going back, or being asked for news. */
export interface Answer {
  revision: number;
  accepted?: string[];
  refused?: { id: string; problem: { code: string; place?: string }; now?: unknown }[];
  /** What others did since; left out where that is more than is worth making again: the course is opened anew then. */
  missed?: Operation[];
  operations?: Operation[];
  what?: string;
  undo?: string;
  redo?: string;
}

export interface Opened {
  course: Course;
  revision: number;
  role: string;
  undo?: string;
  redo?: string;
}

/** The server's side of one course. Every call throws what went wrong as the server or the network gives it. */
export interface CourseServer {
  open(): Promise<Opened>;
  post(body: {
    since: number;
    what: string;
    changes: { id: string; group: string; operation: Operation }[];
  }): Promise<Answer>;
  changes(since: number): Promise<Answer>;
  takeBack(which: 'undo' | 'redo', since: number): Promise<Answer>;
  backTo(version: string, since: number): Promise<Answer>;
}
