import { judged, saidIn, type HandedIn, type JudgedCriterion } from '../checks/markings';
import type { Taking } from './sittings';
import { own, type Answer, type LearnerEvent, type LearnerState } from './state';
import { checksIn, lessonsOf } from './view';

/** A hand-in as whoever marks finds it in a list. */
export interface HandIn {
  check: string;
  lesson: { id: string; title: string };
  stem: string;
  /** When it was handed in, milliseconds UTC, and how often before. */
  at: number;
  tries: number;
  state: Answer['state'];
  score: number;
  /** Marked, but by no person. */
  suggested?: true;
  /** The suggested marks are not sure. */
  doubt?: true;
  /** It was kept as long as it was to be: its marks are left. */
  gone?: true;
}

/** A hand-in with all that is marked of it. */
export interface WholeHandIn extends HandIn {
  text: string;
  files: HandedIn['files'];
  said?: string;
  judged: JudgedCriterion[];
  /** By criterion, as they were given. */
  levels: Record<string, string>;
  notes: Record<string, string>;
  /** What was handed in before, the newest first. */
  before: { at: number; lines: string[] }[];
}

type Timed = LearnerEvent & { at: number };

/** Every hand-in of a learner, in the order of the lessons; `events` as they came. */
export function handInsIn(taking: Taking, state: LearnerState, events: readonly Timed[]): HandIn[] {
  const { course, keys } = taking;
  const asked = new Map(course.checks.map((check) => [check.id, check]));
  return lessonsOf(course).flatMap(({ id, title, ...lesson }) =>
    checksIn(lesson).flatMap((check): HandIn[] => {
      const [view, answer] = [asked.get(check), own(state.answers, check)];
      if (view?.kind !== 'task' || !answer || own(keys, check)?.kind !== 'task') return [];
      const at = events.findLast((event) => event.kind === 'answer' && event.check === check)?.at ?? 0;
      const { tries, score, given } = answer;
      return [
        {
          check,
          lesson: { id, title },
          stem: view.stem,
          at,
          tries,
          state: answer.state,
          score,
          ...(given?.suggested && { suggested: true as const }),
          ...(given?.suggested && given.doubt?.length && { doubt: true as const }),
          ...((answer.response as HandedIn | undefined)?.gone && { gone: true as const }),
        },
      ];
    }),
  );
}

/** One hand-in with everything of it; undefined where there is none. */
export function wholeHandIn(
  check: string,
  taking: Taking,
  state: LearnerState,
  events: readonly Timed[],
): WholeHandIn | undefined {
  const line = handInsIn(taking, state, events).find((each) => each.check === check);
  const [answer, secret] = [own(state.answers, check), own(taking.keys, check)];
  const view = taking.course.checks.find(({ id }) => id === check);
  if (!line || !answer || !secret || !view) return undefined;
  const { text, files } = answer.response as HandedIn;
  const earlier = events.filter((event) => event.kind === 'answer' && event.check === check).slice(0, -1);
  return {
    ...line,
    text,
    files,
    ...(answer.said && { said: answer.said }),
    judged: (answer.given && judged(secret, answer.given)?.criteria) ?? [],
    levels: answer.given?.levels ?? {},
    notes: answer.given?.notes ?? {},
    before: earlier
      .map((event) => ({ at: event.at, lines: saidIn(view, secret, (event as { response?: unknown }).response) }))
      .reverse(),
  };
}
