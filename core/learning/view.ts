import { splitCheck, type LearnerCheck, type Secret } from '../checks/markings';
import { lessonDemand, lessonMinutes } from '../brief/sizing';
import { hostOf, mayEmbed } from '../blocks/embed/form';
import { checkIn, checksOn, formOf, mapBlockTexts, type Block } from '../blocks/forms';
import type { Check } from '../checks/forms';
import { allLessons, type Course, type CourseAbout, type Lesson } from '../course/course';
import { creditsOf } from '../course/media';
import { moduleOf } from '../course/gestures';
import { drawsOf, hasForLearners, isQuiz, poolOf, type QuizLesson } from '../course/quizzes';
import { mediaRefs } from '../document/media';
import { fail } from '../document/problem';
import { canonicalRichText, type RichText } from '../document/rich-text';
import type { Quiz } from '../quiz/form';

/** A lesson as a learner gets it. */
export interface LearnerLesson {
  id: string;
  title: string;
  minutes: number;
  demand: number;
  /** What the learner can do afterwards. */
  aims: string[];
  blocks: Block[];
  /** What it asks and how, where it is a quiz: no check stands on its page then. */
  quiz?: LearnerQuiz;
}

/** A quiz as a learner gets it: what it draws from is settled, by ids of checks. */
export interface LearnerQuiz extends Omit<Quiz, 'draw'> {
  draws: { take: number; from: string[] }[];
  /** Lessons of its module that each check is about, where the quiz tells what need not be learned. */
  about?: Record<string, string[]>;
}

/** A course as a learner gets it. */
export interface LearnerCourse {
  id: string;
  title: string;
  language: string;
  direction: 'ltr' | 'rtl';
  promise: string;
  /** How it is announced and filed; absent when nothing is said. */
  about?: CourseAbout;
  modules: { id: string; title: string; lessons: LearnerLesson[] }[];
  checks: LearnerCheck[];
  /** The sites whose pages may be shown in it, where it has such. */
  embeds?: string[];
  /** Whose its media are and what they allow, by hash, where learners are to read it. */
  credits?: Record<string, string>;
  /** Feedback forms that stand on no page, each with the lesson it was made in. */
  apart?: { lesson: string; block: Block & { kind: 'survey' } }[];
}

/** A frozen course: what may be seen, and the keys, which are kept apart from it. */
export interface FrozenCourse {
  view: LearnerCourse;
  keys: Record<string, Secret>;
}

/** The version of frozen courses: 2 since checks say their kind, 3 since a lesson can be a quiz. */
export const FROZEN_VERSION = 3;

/** A frozen course of any version, as learners are served from it. Throws `newer-document`. */
export function upgradeFrozen(document: unknown, version: number): FrozenCourse {
  if (version > FROZEN_VERSION) fail('newer-document', { version, known: FROZEN_VERSION });
  const { view, keys } = document as FrozenCourse;
  if (version >= 2) return { view, keys };
  const asChoice = <Thing extends object>(thing: Thing) => ({ kind: 'choice' as const, ...thing });
  return {
    view: { ...view, checks: view.checks.map(asChoice) },
    keys: Object.fromEntries(Object.entries(keys).map(([id, secret]) => [id, asChoice(secret)])),
  };
}

/**
 * Freezes a course as it stands: blank lessons, evidence, offers, takes, bin, brief and notes stay behind. `secret`
 * mixes the options' ids and order, so that neither tells the key; with the same secret they stay the same from release
 * to release. `grades` are the reading grades by lesson, where they are known; `embeds` the sites whose pages may be
 * shown.
 */
export function freezeCourse(
  course: Course,
  secret: string,
  grades: Readonly<Record<string, number | undefined>> = {},
  embeds: readonly string[] = [],
): FrozenCourse {
  const byId = new Map(course.checks.map((check) => [check.id, check]));
  const placed = new Map<string, Check>();
  const place = (check: Check | undefined, placed: Map<string, Check>): boolean => {
    if (!check || placed.has(check.id)) return false;
    placed.set(check.id, check);
    return true;
  };
  const inQuizzes = new Map<string, Check>();
  const apart: NonNullable<LearnerCourse['apart']> = [];
  const modules = course.modules
    .map((module) => ({
      id: module.id,
      title: module.title,
      lessons: module.lessons
        .filter((lesson) => hasForLearners(course, lesson))
        .map((lesson): LearnerLesson => ({
          id: lesson.id,
          title: lesson.title,
          minutes: lessonMinutes(lesson),
          demand: lessonDemand(lesson, course, grades[lesson.id]),
          aims: aimsOf(course, lesson),
          blocks: lesson.blocks.flatMap((block) => {
            // What holds nothing yet is none.
            if (formOf(block).blank?.(block.body)) return [];
            if (block.kind === 'survey') {
              if (!block.body.apart) return [bare(block)];
              apart.push({ lesson: lesson.id, block: bare(block) as (typeof apart)[number]['block'] });
              return [];
            }
            const id = checkIn(block);
            if (id === undefined) return [bare(block)];
            // A check stands where it is placed first; the same one again would be answered already.
            return !isQuiz(lesson) && place(byId.get(id), placed) ? [block] : [];
          }),
          ...(isQuiz(lesson) && { quiz: quizSeen(course, lesson, (check) => void place(check, inQuizzes)) }),
        }))
        // Without forms that stand apart, or ask nothing, a page may have nothing left.
        .filter(({ quiz, blocks }) => quiz !== undefined || blocks.length > 0),
    }))
    .filter((module) => module.lessons.length > 0);
  const shown = modules
    .flatMap((module) => module.lessons.flatMap((lesson) => lesson.blocks))
    .flatMap((block) =>
      block.kind === 'embed' && mayEmbed(block.body.address, embeds) ? hostOf(block.body.address) : [],
    );
  const seen = new Set(mediaRefs(modules).map(({ hash }) => hash));
  const credits = Object.fromEntries(Object.entries(creditsOf(course)).filter(([hash]) => seen.has(hash)));
  const split = [...new Map([...placed, ...inQuizzes]).values()].map((check) => splitCheck(check, secret));
  return {
    view: {
      id: course.id,
      title: course.title,
      language: course.language,
      direction: course.direction,
      promise: course.about?.description ?? course.brief.promise,
      ...(course.about && { about: course.about }),
      modules,
      checks: split.map(({ view }) => view),
      ...(shown.length > 0 && { embeds: [...new Set(shown)] }),
      ...(apart.length > 0 && { apart }),
      ...(Object.keys(credits).length > 0 && { credits }),
    },
    keys: Object.fromEntries(split.map(({ view, secret: key }) => [view.id, key])),
  };
}

/** All lessons of a learner's course in order. */
export function lessonsOf(course: LearnerCourse): LearnerLesson[] {
  return course.modules.flatMap((module) => module.lessons);
}

/** Ids of the checks on a lesson's page, in order. */
export function checksIn(lesson: Pick<LearnerLesson, 'blocks'>): string[] {
  return checksOn(lesson);
}

/** Ids of all checks a lesson asks: on its page, or as a quiz. */
export function asksIn(lesson: Pick<LearnerLesson, 'blocks' | 'quiz'>): string[] {
  return lesson.quiz ? [...new Set(lesson.quiz.draws.flatMap(({ from }) => from))] : checksIn(lesson);
}

/** What keeps a course from being made available: nothing in it that could be taken. */
export function isEmptyForLearners(course: Course): boolean {
  return !allLessons(course).some((lesson) => hasForLearners(course, lesson));
}

/** A quiz with its draws settled; each of its checks is handed to `take`. */
function quizSeen(course: Course, lesson: QuizLesson, take: (check: Check) => void): LearnerQuiz {
  const pool = poolOf(course, lesson);
  pool.forEach(take);
  const rest: Omit<Quiz, 'draw'> & { draw?: Quiz['draw'] } = { ...lesson.quiz };
  delete rest.draw;
  const others = moduleOf(course, lesson.id)?.lessons.filter(({ kind }) => kind === 'lesson') ?? [];
  const isAbout = ({ id, objectiveIds }: Lesson, check: Check) =>
    check.lessonId === id || (check.objectiveId !== undefined && objectiveIds.includes(check.objectiveId));
  return {
    ...rest,
    draws: drawsOf(course, lesson),
    ...(rest.skips && {
      about: Object.fromEntries(
        pool.map((check) => [check.id, others.filter((each) => isAbout(each, check)).map(({ id }) => id)]),
      ),
    }),
  };
}

function aimsOf(course: Course, lesson: Lesson): string[] {
  return lesson.objectiveIds.flatMap((id) => course.objectives.find((each) => each.id === id)?.text ?? []);
}

/** A block without what is for the author only. */
function bare({ id, kind, body, paired }: Block): Block {
  return mapBlockTexts({ id, kind, body, ...(paired && { paired }) } as Block, withoutMarks);
}

function withoutMarks(text: RichText): RichText {
  return canonicalRichText(
    text.map((run) => {
      const marks = (run.marks ?? []).filter((mark) => mark.type !== 'evidence' && mark.type !== 'connecting');
      return { type: 'text', text: run.text, ...(marks.length > 0 && { marks }) };
    }),
  );
}
