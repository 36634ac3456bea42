import { readingOf } from '../../core/brief/asked';
import { experienceTitle } from '../../core/brief/interview';
import { sameData } from '../../core/document/canonical';
import { allLessons, type Course } from '../../core/course/course';
import type { Change, Operation } from '../../core/course/operations';
import { fail } from '../../core/document/problem';
import { readAnswers } from '../../core/reading/answers';
import type { Source } from '../../core/source/source';
import { readAnswersInChild } from '../reading';
import { OPERATION_VERSION, type CourseDesk } from './courses';
import { freshId } from '../ids';
import { interviewId, type SourceDesk } from './sources';

/** What became of the answers: whether the course's source holds them as they are, and what was understood of each. */
export interface AnswersView {
  fresh: boolean;
  source?: string;
  /** By question: passages and claims of each kind. */
  understood: Record<string, { passages: number; claims: Record<string, number> }>;
}

/**
 * Characters of answers that are read at once; more are read in a process of its own, so that a pasted book holds
 * nobody up.
 */
const READ_HERE = 20_000;

/** What authors answer, made into a source of their course. */
export function interviewDesk(courses: CourseDesk, sources: SourceDesk) {
  /**
   * What the answers of a course are as a source, made once for each state of them. Long ones are read in a process of
   * their own.
   */
  const known = new WeakMap<object, Promise<Source | undefined>>();
  function made(course: Course): Promise<Source | undefined> {
    const { answers = [], language } = course;
    const found = known.get(answers);
    if (found) return found;
    const given = { answers, title: experienceTitle(language), language };
    const long = answers.reduce((sum, answer) => sum + answer.text.length, 0) > READ_HERE;
    const source = long
      ? readAnswersInChild(interviewId(course.id), given)
      : Promise.resolve(
          readAnswers(answers, { id: interviewId(course.id), ...given }, (question) => readingOf(question, language)),
        );
    known.set(answers, source);
    source.catch(() => known.delete(answers));
    return source;
  }

  async function view(courseId: string): Promise<AnswersView> {
    const { course } = courses.load(courseId);
    const held = sources.inCourse(courseId, interviewId(courseId));
    const now = await made(course);
    const understood: AnswersView['understood'] = {};
    const questions = new Map(held?.source.passages.map((passage) => [passage.id, passage.locator.question ?? '']));
    const of = (question: string) => (understood[question] ??= { passages: 0, claims: {} });
    for (const question of questions.values()) of(question).passages++;
    for (const claim of held?.claims ?? []) {
      const { claims } = of(questions.get(claim.ranges[0].id) ?? '');
      claims[claim.kind] = (claims[claim.kind] ?? 0) + 1;
    }
    return { fresh: now?.version === held?.source.version, ...(held && { source: held.source.id }), understood };
  }

  return {
    view,
    /**
     * Makes the answers the course's source, and gives lessons the passages of their slots. Throws `nothing-answered`.
     */
    async bring(courseId: string, person: string): Promise<AnswersView> {
      const source = (await made(courses.load(courseId).course)) ?? fail('nothing-answered');
      const before = sources.inCourse(courseId, source.id)?.source.passages.map((passage) => passage.id) ?? [];
      await sources.keepAnswers(courseId, source, person);
      const { course, revision } = courses.load(courseId);
      const operations = slotsFilled(course, source, before);
      if (operations.length > 0) {
        const group = freshId('g');
        courses.post(
          courseId,
          operations.map((operation): Change => ({
            id: freshId('x'),
            group,
            actor: { person },
            version: OPERATION_VERSION,
            operation,
          })),
          revision,
          'answers given to their lessons',
        );
      }
      return view(courseId);
    },
  };
}

/**
 * Each lesson with slots gets the passages that answer them, beside what it had of other sources. `before`: passages of
 * earlier answers.
 */
function slotsFilled(course: Course, source: Source, before: readonly string[]): Operation[] {
  const own = new Set([...before, ...source.passages.map((passage) => passage.id)]);
  const slots = new Map(
    (course.answers ?? []).flatMap(({ lesson, question }) => (lesson ? [[question, lesson] as const] : [])),
  );
  const byLesson = new Map<string, string[]>([...slots.values()].map((lesson) => [lesson, []]));
  for (const { id, locator } of source.passages) byLesson.get(slots.get(locator.question ?? '') ?? '')?.push(id);
  return allLessons(course).flatMap((lesson): Operation[] => {
    const filled = byLesson.get(lesson.id);
    const value = [...lesson.plannedPassages.filter((id) => !own.has(id)), ...(filled ?? [])];
    return !filled || sameData(value, lesson.plannedPassages)
      ? []
      : [{ type: 'set', id: lesson.id, field: 'plannedPassages', value, was: lesson.plannedPassages }];
  });
}

export type InterviewDesk = ReturnType<typeof interviewDesk>;
