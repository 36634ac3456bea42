import { takeLesson } from '../../core/draft/operations';
import { allLessons } from '../../core/course/course';
import { fail } from '../../core/course/problem';
import type { Operation } from '../../core/course/operations';
import type { Drafter } from '../drafting/drafter';
import { freshId, OPERATION_VERSION, type CourseDesk } from './courses';
import type { SourceDesk } from './sources';

/** Drafts a lesson in the worker and takes it into the course. A lesson that was edited meanwhile is left as it is: `changed-meanwhile`. */
export async function draftInto({ courses, sources, drafter }: { courses: CourseDesk; sources: SourceDesk; drafter: Drafter }, id: string, lessonId: string, person: string, since: number) {
  const { course } = courses.load(id);
  const before = allLessons(course).find((lesson) => lesson.id === lessonId);
  if (!before) fail('gone', undefined, lessonId);
  const drafted = await drafter.ask('lesson', { course, lessonId, sources: sources.keys(id) });
  const now = courses.load(id).course;
  if (allLessons(now).find((lesson) => lesson.id === lessonId) !== before) fail('changed-meanwhile', undefined, before.title);
  const operations: Operation[] = takeLesson(now, drafted);
  const group = freshId('g');
  const job = freshId('j');
  const posted = courses.post(id, operations.map((operation) => ({ id: freshId('x'), group, actor: { job, for: person }, version: OPERATION_VERSION, operation })), since, `draft of ${before.title}`);
  return { ...posted, operations };
}
