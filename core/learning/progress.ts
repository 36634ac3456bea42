import type { LearnerCheck } from '../checks/markings';
import type { Rules } from './rules';
import { quizzesOf, resultOf, type QuizResult } from './sittings';
import { isAnswered, isRight, own, type LearnerState } from './state';
import { checksIn, lessonsOf, type LearnerCourse, type LearnerLesson, type LearnerQuiz } from './view';

export interface LessonProgress {
  done: boolean;
  /** A quiz told that it need not be learned. */
  known?: true;
  /** Whether it may be opened. */
  open: boolean;
  /** What is still to be done for it. */
  left: ('read' | 'answer' | 'hand' | 'pass')[];
}

export interface Progress {
  lessons: Record<string, LessonProgress>;
  done: number;
  /** Minutes of the lessons that are done, and of all. */
  minutes: { done: number; of: number };
  /** Those of lessons. `waiting`: of those answered, so many are not marked yet. */
  checks: { answered: number; right: number; waiting: number; of: number };
  /** What each quiz counts, by its lesson. */
  quizzes: Record<string, QuizResult>;
  /** What the marked answers are worth, as a share of all that counts, 0 to 1; undefined where nothing does. */
  score?: number;
  completed: boolean;
  /** Nothing is left to read or to answer. */
  ended: boolean;
  /**
   * Whether the share of right answers that the rules ask for is reached, and every quiz that is to be passed is.
   * Undefined where nothing asks for that, and while quizzes not sat or answers not marked yet decide it.
   */
  passed?: boolean;
  /** Where to go on. */
  next?: string;
}

/** A learner in their author's list. Times are milliseconds UTC. */
export interface LearnerLine {
  id: string;
  name: string;
  /** Number of the release they are on. */
  release: number;
  begun_at: number;
  seen_at: number;
  progress: Omit<Progress, 'lessons' | 'next'>;
}

/** What is known of a learner where it is told how far they are; quizzes by what they count. */
export interface Standing extends Pick<LearnerState, 'read' | 'answers' | 'at'> {
  /** Those that were begun. */
  quizzes: Readonly<Record<string, QuizResult>>;
}

/** A learner's state as progress is told by it. */
export function standingIn(course: LearnerCourse, { quizzes = {}, ...state }: LearnerState): Standing {
  const results = [...quizzesOf(course)].map(([id, quiz]) => [id, resultOf(quiz, own(quizzes, id), course)]);
  return { ...state, quizzes: Object.fromEntries(results) };
}

/** What a list says of a learner's progress: all but each lesson. */
export function lineOf(progress: Progress): LearnerLine['progress'] {
  const { done, minutes, checks, quizzes, score, completed, ended, passed } = progress;
  return {
    done,
    minutes,
    checks,
    quizzes,
    completed,
    ended,
    ...(score !== undefined && { score }),
    ...(passed !== undefined && { passed }),
  };
}

/** How far a learner is by the rules: lessons done and open, minutes, score, completion. */
export function progressOf(course: LearnerCourse, rules: Rules, state: Standing): Progress {
  const all = lessonsOf(course);
  const asked = new Map(course.checks.map((check) => [check.id, check]));
  const quizzes = Object.fromEntries(
    [...quizzesOf(course)].map(([id, quiz]) => [id, own(state.quizzes, id) ?? resultOf(quiz, undefined, course)]),
  );
  const known = new Set(Object.values(quizzes).flatMap(({ knows }) => knows));
  const left = new Map(
    all.map((lesson) => [
      lesson.id,
      lesson.quiz
        ? leftOfQuiz(lesson.quiz, quizzes[lesson.id])
        : known.has(lesson.id)
          ? []
          : leftOf(lesson, asked, rules, state),
    ]),
  );
  // Who has done what a quiz could have spared them need not sit it.
  for (const { lessons } of course.modules)
    for (const { id, quiz } of lessons)
      if (quiz?.skips && lessons.every((each) => each.quiz?.skips || left.get(each.id)!.length === 0)) left.set(id, []);
  const lessons: Record<string, LessonProgress> = {};
  let open = true;
  for (const { id, quiz } of all) {
    const still = left.get(id)!;
    lessons[id] = { done: still.length === 0, ...(known.has(id) && { known: true as const }), open, left: still };
    if (rules.order === 'forced' && still.length > 0 && !quiz?.skips) open = false;
  }
  const done = all.filter((lesson) => lessons[lesson.id].done);
  const { scored, points, ...checks } = worthOf(all.filter(({ id }) => !known.has(id)).flatMap(checksIn), asked, state);
  const courseMark = markOf(course, quizzes, { scored, points });
  const sum = (list: readonly LearnerLesson[]) =>
    Math.round(list.reduce((total, lesson) => total + lesson.minutes, 0) * 10) / 10;
  const share = rules.course.kind === 'passed' && courseMark.points.of > 0 ? rules.course.share : undefined;
  const reached = share === undefined ? undefined : reaches(courseMark, share);
  const toPass = counting(course).filter(([, quiz]) => quiz.pass !== undefined);
  const verdicts = [...(share === undefined ? [] : [reached]), ...toPass.map(([id]) => quizzes[id].passed)];
  const passed = verdicts.includes(false)
    ? false
    : verdicts.length === 0 || verdicts.includes(undefined)
      ? undefined
      : true;
  const at = all.findIndex((lesson) => lesson.id === state.at);
  const here = all[at] as LearnerLesson | undefined;
  const next =
    here && !lessons[here.id].done
      ? here
      : [...all.slice(at + 1), ...all].find((lesson) => !lessons[lesson.id].done && lessons[lesson.id].open);
  return {
    lessons,
    done: done.length,
    minutes: { done: sum(done), of: sum(all) },
    checks,
    quizzes,
    ...(courseMark.points.of > 0 && { score: courseMark.scored / courseMark.points.of }),
    completed: done.length === all.length && (share === undefined || reached === true),
    ended: all.every(({ id }) => lessons[id].left.every((each) => each === 'pass')),
    ...(passed !== undefined && { passed }),
    ...((next ?? here ?? all[0]) && { next: (next ?? here ?? all[0]).id }),
  };
}

/** Quizzes that count: those for practice and those that tell what is known already do not. */
const counting = (course: LearnerCourse) =>
  [...quizzesOf(course)].filter(([, { practice, skips }]) => !practice && !skips);

/** What is still to be done for a quiz. */
function leftOfQuiz({ practice, skips }: LearnerQuiz, { share, passed }: QuizResult): LessonProgress['left'] {
  if (share === undefined) return ['hand'];
  return passed === false && !practice && !skips ? ['pass'] : [];
}

type Counted = Pick<Worth, 'scored' | 'points'>;

/**
 * What counts to the course's mark: quizzes with a weight count that many hundredths of it; the rest is shared by
 * points among the checks of lessons and the other quizzes.
 */
function markOf(course: LearnerCourse, results: Readonly<Record<string, QuizResult>>, lessons: Counted): Counted {
  const counted = counting(course);
  const points = new Map(course.checks.map((check) => [check.id, check.points ?? 1]));
  const part = (id: string, of: number): Counted => {
    const { share = 0, waiting } = results[id];
    return { scored: share * of, points: { of, waiting: waiting * of } };
  };
  const byPoints = counted.flatMap(([id, { weight, draws }]) =>
    weight === undefined
      ? [
          part(
            id,
            draws.reduce((sum, draw) => sum + worthOfDraw(draw, points), 0),
          ),
        ]
      : [],
  );
  const weighted = counted.flatMap(([id, { weight }]) => (weight === undefined ? [] : [part(id, weight / 100)]));
  const rest = added([lessons, ...byPoints]);
  if (weighted.length === 0) return rest;
  const heavy = added(weighted);
  const left = Math.max(0, 1 - heavy.points.of);
  return rest.points.of === 0 ? heavy : added([heavy, scaled(rest, left / rest.points.of)]);
}

/** Points of a draw: of those it takes, on average. */
function worthOfDraw({ take, from }: { take: number; from: readonly string[] }, points: ReadonlyMap<string, number>) {
  const all = from.reduce((sum, id) => sum + (points.get(id) ?? 1), 0);
  return from.length === 0 ? 0 : (all * take) / from.length;
}

const scaled = ({ scored, points }: Counted, by: number): Counted => ({
  scored: scored * by,
  points: { of: points.of * by, waiting: points.waiting * by },
});
const added = (parts: readonly Counted[]): Counted =>
  parts.reduce((sum, { scored, points }) => ({
    scored: sum.scored + scored,
    points: { of: sum.points.of + points.of, waiting: sum.points.waiting + points.waiting },
  }));

/**
 * What the answers to some checks are worth; `scored` are the points had by those that are marked, `points` those that
 * can be had, and those that wait for a mark.
 */
type Worth = Progress['checks'] & { scored: number; points: { of: number; waiting: number } };
type Asked = ReadonlyMap<string, LearnerCheck>;

function worthOf(ids: readonly string[], asked: Asked, { answers }: Pick<LearnerState, 'answers'>): Worth {
  const worth: Worth = { answered: 0, right: 0, waiting: 0, of: ids.length, scored: 0, points: { of: 0, waiting: 0 } };
  for (const id of ids) {
    const points = asked.get(id)?.points ?? 1;
    worth.points.of += points;
    const answer = own(answers, id);
    if (!isAnswered(answer)) continue;
    worth.answered++;
    if (isRight(answer)) worth.right++;
    if (answer.state === 'marked') worth.scored += answer.score * points;
    else {
      worth.waiting++;
      worth.points.waiting += points;
    }
  }
  return worth;
}

/** Whether a share of what can be had is reached; undefined while answers that are not marked yet decide it. */
function reaches({ points, scored }: Pick<Worth, 'points' | 'scored'>, share: number): boolean | undefined {
  const asked = points.of * share - 1e-9;
  if (scored >= asked) return true;
  return scored + points.waiting >= asked ? undefined : false;
}

function leftOf(lesson: LearnerLesson, asked: Asked, rules: Rules, state: Standing): LessonProgress['left'] {
  const ids = checksIn(lesson);
  const worth = worthOf(ids, asked, state);
  const left: LessonProgress['left'] = state.read.includes(lesson.id) ? [] : ['read'];
  if (rules.lesson.kind === 'read') {
    const isMissing = ids.some((id) => asked.get(id)?.required && !isAnswered(own(state.answers, id)));
    return isMissing ? [...left, 'answer'] : left;
  }
  if (worth.answered < worth.of) left.push('answer');
  // Who waits for a mark has done what they can.
  else if (rules.lesson.kind === 'passed' && reaches(worth, rules.lesson.share) === false) left.push('pass');
  return left;
}
