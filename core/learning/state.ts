import { goesOn, mark, type GivenMark, type Mark } from '../checks/markings';
import type { Rules } from './rules';
import { afterIn, quizzesOf, type QuizState, type Taking } from './sittings';

/** The last answer to a check with what it is worth, and how many there were. */
export interface Answer extends Pick<Mark, 'score' | 'state' | 'parts'> {
  /** As the check's kind has it; absent when it is no longer known. */
  response?: unknown;
  tries: number;
  /** What the person who marked it says. */
  said?: string;
  /** How its parts were marked, where it was marked by parts. */
  given?: GivenMark;
  /** It was right in a try before, and is not asked again. */
  kept?: true;
}

/** How far a learner is. */
export interface LearnerState {
  /** Lessons read to their end. */
  read: string[];
  answers: Record<string, Answer>;
  /** By lesson; absent where no quiz was begun. */
  quizzes?: Record<string, QuizState>;
  /** The lesson they were at last. */
  at?: string;
}

/** Something a learner did, or was done with it; only ever added to. `at`: milliseconds UTC, where it is known. */
export type LearnerEvent = { id: string; lesson: string; at?: number } & (
  | { kind: 'read' }
  /** In a quiz a response of null takes an answer back. */
  | { kind: 'answer'; check: string; response: unknown }
  /**
   * A mark, 0 to 1, a person's or one that was suggested: it holds, whatever was marked before, until there is another
   * answer. `by` is who gave it, where that is known.
   */
  | { kind: 'mark'; check: string; score: number; said?: string; given?: GivenMark; by?: string }
  /** A try at a quiz is begun, and handed in. */
  | { kind: 'sit' }
  | { kind: 'hand' }
  /** A person grants a learner more minutes for each try at a quiz, or more tries. */
  | { kind: 'grant'; minutes?: number; tries?: number }
);

export const BEGINNING: LearnerState = { read: [], answers: {} };

/** Whether an answer is all right, as far as is known. */
export const isRight = ({ score, state }: Pick<Answer, 'score' | 'state'>): boolean =>
  state === 'marked' && score === 1;

/** Whether there is a whole answer: a story that is under way is none yet. */
export const isAnswered = (answer: Answer | undefined): answer is Answer =>
  answer !== undefined && answer.state !== 'going';

/** Whether a check takes no more answers: it was answered rightly, or its tries are used up. */
export function isSettled(answer: Answer | undefined, rules: Rules): boolean {
  return isAnswered(answer) && (isRight(answer) || (rules.tries !== null && answer.tries >= rules.tries));
}

/** What a record holds by itself under a name; its prototype's things are none. */
export const own = <Value>(of: Readonly<Record<string, Value>>, id: string): Value | undefined =>
  Object.hasOwn(of, id) ? of[id] : undefined;

/**
 * The state after one more event. What cannot be (an unknown check or response, an answer too many) changes nothing.
 */
export function after(state: LearnerState, event: LearnerEvent, taking: Taking): LearnerState {
  if (event.kind === 'read') {
    const read = state.read.includes(event.lesson) ? state.read : [...state.read, event.lesson];
    return { ...state, at: event.lesson, read };
  }
  const quiz = quizzesOf(taking.course).get(event.lesson);
  if (quiz) {
    const before = own(state.quizzes ?? {}, event.lesson);
    const next = afterIn(before, event, quiz, taking);
    const at = event.kind === 'mark' || event.kind === 'grant' ? state.at : event.lesson;
    return next === before
      ? state
      : { ...state, quizzes: { ...state.quizzes, [event.lesson]: next! }, ...(at !== undefined && { at }) };
  }
  if (event.kind !== 'answer' && event.kind !== 'mark') return state;
  const before = own(state.answers, event.check);
  const take = (answer: Answer): LearnerState => ({ ...state, answers: { ...state.answers, [event.check]: answer } });
  if (event.kind === 'mark') return before ? take(markedBy(before, event)) : state;
  const secret = own(taking.keys, event.check);
  const marked = secret && mark(secret, event.response);
  if (!marked || isSettled(before, taking.rules)) return state;
  const isUnderWay = before?.state === 'going';
  // Who is in a story goes on from where they are: a way is not gone back on.
  if (isUnderWay && before.response !== undefined && !goesOn(secret, before.response, event.response)) return state;
  const { score, state: worth, parts } = marked;
  const tries = (before?.tries ?? 0) + (isUnderWay ? 0 : 1);
  return {
    ...take({ response: event.response, score, state: worth, ...(parts && { parts }), tries }),
    at: event.lesson,
  };
}

const markedBy = (
  { response, tries }: Answer,
  { score, said, given }: Pick<LearnerEvent & { kind: 'mark' }, 'score' | 'said' | 'given'>,
): Answer => ({
  response,
  score,
  state: 'marked',
  tries,
  ...(said && { said }),
  ...(given && { given }),
});

/** The state that events lead to, in the order they came in. */
export function stateAfter(events: readonly LearnerEvent[], taking: Taking): LearnerState {
  return events.reduce((state, event) => after(state, event, taking), BEGINNING);
}
