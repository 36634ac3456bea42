import { judged, mark, solutionOf, type Feedback, type Secret } from '../checks/markings';
import type { Rules } from './rules';
import {
  endOf,
  isOver,
  mayBegin,
  mixOf,
  quizzesOf,
  resultOf,
  triesLeft,
  type QuizResult,
  type QuizState,
  type Taking,
} from './sittings';
import { isRight, isSettled, own, type Answer, type LearnerState } from './state';
import type { LearnerQuiz } from './view';

type Secrets = Readonly<Record<string, Secret>>;

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

/** What may be shown of an answer; undefined for an unknown check. */
export function shown(check: string, answer: Answer, keys: Secrets, settled: boolean): Shown | undefined {
  const secret = own(keys, check);
  if (!secret) return undefined;
  const { parts, given, ...rest } = answer;
  const feedback = (given && judged(secret, given)) ?? mark(secret, answer.response)?.feedback;
  const solution = settled ? solutionOf(secret) : undefined;
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

/** All answers to the checks of lessons as they may be shown. */
export function allShown(state: LearnerState, keys: Secrets, rules: Rules): Record<string, Shown> {
  return Object.fromEntries(
    Object.entries(state.answers).flatMap(([check, answer]) => {
      const seen = shown(check, answer, keys, isSettled(answer, rules));
      return seen ? [[check, seen]] : [];
    }),
  );
}

/** An answer in a try: with what is said to it, or, while nothing may be, as it was given. */
export type SittingAnswer = { shown: Shown } | { held: unknown };

/** A quiz as its learner may see it. */
export interface ShownQuiz extends QuizResult {
  mayBegin: boolean;
  /** Tries left; absent where any number is. */
  left?: number;
  /** The try under way, or the last one. */
  last?: {
    /** Which try it is. */
    number: number;
    asked: string[];
    /** Milliseconds UTC. */
    begun: number;
    /** When its time is over; absent where it is not limited. */
    end?: number;
    handed?: number;
    /** What the order of its answers is settled by; absent where it is theirs. */
    mix?: string;
    answers: Record<string, SittingAnswer>;
  };
}

/** What a learner may be told of themselves, keys kept back that something can be won by. */
export interface ShownState {
  answers: Record<string, Shown>;
  quizzes: Record<string, ShownQuiz>;
}

/** Everything of a state as it may be shown. */
export function shownState(state: LearnerState, taking: Taking): ShownState {
  return {
    answers: allShown(state, taking.keys, taking.rules),
    quizzes: Object.fromEntries(
      Object.keys(state.quizzes ?? {}).flatMap((lesson) => {
        const quiz = shownQuiz(lesson, state, taking);
        return quiz ? [[lesson, quiz]] : [];
      }),
    ),
  };
}

/** A quiz as it may be shown; undefined for a lesson that is none. */
export function shownQuiz(lesson: string, { quizzes }: LearnerState, taking: Taking): ShownQuiz | undefined {
  const quiz = quizzesOf(taking.course).get(lesson);
  if (!quiz) return undefined;
  const state = quizzes && Object.hasOwn(quizzes, lesson) ? quizzes[lesson] : undefined;
  const left = triesLeft(quiz, state);
  return {
    ...resultOf(quiz, state, taking.course),
    mayBegin: mayBegin(quiz, state, taking.course),
    ...(left !== undefined && { left }),
    ...(state?.last && { last: shownSitting(lesson, quiz, state, taking) }),
  };
}

function shownSitting(lesson: string, quiz: LearnerQuiz, state: QuizState, taking: Taking): ShownQuiz['last'] {
  const { asked, begun, handed, answers } = state.last!;
  const [end, mix] = [endOf(quiz, state), mixOf(quiz, lesson, taking.learner, state.tries)];
  const over = isOver(quiz, state, taking.course);
  const seen = { each: true, handed: handed !== undefined, end: over, never: false }[quiz.shows];
  const answer = (check: string, given: Answer): SittingAnswer => {
    if (!seen && !given.kept) return { held: given.response };
    const settled = over || given.kept === true || (quiz.practice === true && quiz.shows === 'each');
    const all = shown(check, given, taking.keys, settled);
    return all ? { shown: all } : { held: given.response };
  };
  return {
    number: state.tries,
    asked,
    begun,
    ...(end !== undefined && { end }),
    ...(handed !== undefined && { handed }),
    ...(mix !== undefined && { mix }),
    answers: Object.fromEntries(Object.entries(answers).map(([check, given]) => [check, answer(check, given)])),
  };
}
