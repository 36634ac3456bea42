import { mark, solutionOf, type Feedback, type LearnerCheck, type Mark, type Secret } from '../checks/markings';
import type { Rules } from './rules';
import { checksIn, lessonsOf, type LearnerCourse, type LearnerLesson } from './view';

/** The last answer to a check with what it is worth, and how many there were. */
export interface Answer extends Pick<Mark, 'score' | 'state' | 'parts'> {
  /** As the check's kind has it; absent when it is no longer known. */
  response?: unknown;
  tries: number;
  /** What the person who marked it says. */
  said?: string;
}

/** How far a learner is. */
export interface LearnerState {
  /** Lessons read to their end. */
  read: string[];
  answers: Record<string, Answer>;
  /** The lesson they were at last. */
  at?: string;
}

/** Something a learner did, or was done with it; only ever added to. */
export type LearnerEvent =
  | { id: string; kind: 'read'; lesson: string }
  | { id: string; kind: 'answer'; lesson: string; check: string; response: unknown }
  /** A person's mark, 0 to 1: it holds, whatever was marked before, until there is another answer. */
  | { id: string; kind: 'mark'; lesson: string; check: string; score: number; said?: string };

/**
 * An answer as it may be shown: what is said to it, and, once nothing can be won by knowing it, the right response and
 * why it is.
 */
export interface Shown extends Answer {
  settled: boolean;
  /** Absent when it is no longer known what was answered. */
  feedback?: Feedback;
  solution?: unknown;
  why?: Feedback;
}

type Secrets = Readonly<Record<string, Secret>>;

export const BEGINNING: LearnerState = { read: [], answers: {} };

/** Whether an answer is all right, as far as is known. */
export const isRight = ({ score, state }: Pick<Answer, 'score' | 'state'>): boolean =>
  state === 'marked' && score === 1;

/** Whether a check takes no more answers: it was answered rightly, or its tries are used up. */
export function isSettled(answer: Answer | undefined, rules: Rules): boolean {
  return answer !== undefined && (isRight(answer) || (rules.tries !== null && answer.tries >= rules.tries));
}

const own = <Value>(of: Readonly<Record<string, Value>>, id: string): Value | undefined =>
  Object.hasOwn(of, id) ? of[id] : undefined;

/**
 * The state after one more event. What cannot be (an unknown check or response, an answer too many) changes nothing.
 */
export function after(state: LearnerState, event: LearnerEvent, keys: Secrets, rules: Rules): LearnerState {
  if (event.kind === 'read') {
    const read = state.read.includes(event.lesson) ? state.read : [...state.read, event.lesson];
    return { ...state, at: event.lesson, read };
  }
  const before = own(state.answers, event.check);
  const take = (answer: Answer): LearnerState => ({ ...state, answers: { ...state.answers, [event.check]: answer } });
  if (event.kind === 'mark') return before ? take(markedBy(before, event)) : state;
  const secret = own(keys, event.check);
  const marked = secret && mark(secret, event.response);
  if (!marked || isSettled(before, rules)) return state;
  const { score, state: worth, parts } = marked;
  const tries = (before?.tries ?? 0) + 1;
  return {
    ...take({ response: event.response, score, state: worth, ...(parts && { parts }), tries }),
    at: event.lesson,
  };
}

const markedBy = ({ response, tries }: Answer, { score, said }: { score: number; said?: string }): Answer => ({
  response,
  score,
  state: 'marked',
  tries,
  ...(said && { said }),
});

/** The state that events lead to, in the order they came in. */
export function stateAfter(events: readonly LearnerEvent[], keys: Secrets, rules: Rules): LearnerState {
  return events.reduce((state, event) => after(state, event, keys, rules), BEGINNING);
}

/** What may be shown of an answer; undefined for an unknown check. */
export function shown(check: string, answer: Answer, keys: Secrets, rules: Rules): Shown | undefined {
  const secret = own(keys, check);
  if (!secret) return undefined;
  const feedback = mark(secret, answer.response)?.feedback;
  const settled = isSettled(answer, rules);
  const solution = settled ? solutionOf(secret) : undefined;
  const { parts, ...rest } = answer;
  return {
    ...rest,
    // Which part is right would tell the key to who has tries left.
    ...(settled && parts && { parts }),
    settled,
    ...(feedback && { feedback }),
    ...(solution && { solution: solution.response }),
    ...(solution?.feedback && !isRight(answer) && { why: solution.feedback }),
  };
}

/** All answers as they may be shown. */
export function allShown(state: LearnerState, keys: Secrets, rules: Rules): Record<string, Shown> {
  return Object.fromEntries(
    Object.entries(state.answers).flatMap(([check, answer]) => {
      const seen = shown(check, answer, keys, rules);
      return seen ? [[check, seen]] : [];
    }),
  );
}

export interface LessonProgress {
  done: boolean;
  /** Whether it may be opened. */
  open: boolean;
  /** What is still to be done for it. */
  left: ('read' | 'answer' | 'pass')[];
}

export interface Progress {
  lessons: Record<string, LessonProgress>;
  done: number;
  /** Minutes of the lessons that are done, and of all. */
  minutes: { done: number; of: number };
  /** `waiting`: of those answered, so many are not marked yet. */
  checks: { answered: number; right: number; waiting: number; of: number };
  /** What the marked answers are worth, as a share of all checks, 0 to 1; undefined where there are none. */
  score?: number;
  completed: boolean;
  /** Undefined where the rules ask for no share of right answers, and while answers not marked yet decide it. */
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

/** How far a learner is by the rules: lessons done and open, minutes, score, completion. */
export function progressOf(course: LearnerCourse, rules: Rules, state: LearnerState): Progress {
  const all = lessonsOf(course);
  const asked = new Map(course.checks.map((check) => [check.id, check]));
  const lessons: Record<string, LessonProgress> = {};
  let open = true;
  for (const lesson of all) {
    const left = leftOf(lesson, asked, rules, state);
    lessons[lesson.id] = { done: left.length === 0, open, left };
    if (rules.order === 'forced' && left.length > 0) open = false;
  }
  const done = all.filter((lesson) => lessons[lesson.id].done);
  const { scored, points, ...checks } = worthOf(all.flatMap(checksIn), asked, state);
  const sum = (list: readonly LearnerLesson[]) =>
    Math.round(list.reduce((total, lesson) => total + lesson.minutes, 0) * 10) / 10;
  const share = rules.course.kind === 'passed' && points.of > 0 ? rules.course.share : undefined;
  const passed = share === undefined ? undefined : reaches({ scored, points }, share);
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
    ...(points.of > 0 && { score: scored / points.of }),
    completed: done.length === all.length && (share === undefined || passed === true),
    ...(passed !== undefined && { passed }),
    ...((next ?? here ?? all[0]) && { next: (next ?? here ?? all[0]).id }),
  };
}

/**
 * What the answers to some checks are worth; `scored` are the points had by those that are marked, `points` those that
 * can be had, and those that wait for a mark.
 */
type Worth = Progress['checks'] & { scored: number; points: { of: number; waiting: number } };
type Asked = ReadonlyMap<string, LearnerCheck>;

function worthOf(ids: readonly string[], asked: Asked, { answers }: LearnerState): Worth {
  const worth: Worth = { answered: 0, right: 0, waiting: 0, of: ids.length, scored: 0, points: { of: 0, waiting: 0 } };
  for (const id of ids) {
    const points = asked.get(id)?.points ?? 1;
    worth.points.of += points;
    const answer = own(answers, id);
    if (!answer) continue;
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

function leftOf(lesson: LearnerLesson, asked: Asked, rules: Rules, state: LearnerState): LessonProgress['left'] {
  const ids = checksIn(lesson);
  const worth = worthOf(ids, asked, state);
  const left: LessonProgress['left'] = state.read.includes(lesson.id) ? [] : ['read'];
  if (rules.lesson.kind === 'read') {
    const isMissing = ids.some((id) => asked.get(id)?.required && !own(state.answers, id));
    return isMissing ? [...left, 'answer'] : left;
  }
  if (worth.answered < worth.of) left.push('answer');
  // Who waits for a mark has done what they can.
  else if (rules.lesson.kind === 'passed' && reaches(worth, rules.lesson.share) === false) left.push('pass');
  return left;
}
