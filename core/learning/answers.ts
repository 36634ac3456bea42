import { mark, saidIn, solutionOf } from '../checks/markings';
import {
  minutesOf,
  quizzesOf,
  resultOf,
  worthOfSitting,
  type QuizResult,
  type QuizState,
  type Taking,
} from './sittings';
import { after, BEGINNING, own, type Answer, type LearnerEvent, type LearnerState } from './state';
import { asksIn, lessonsOf } from './view';

/** One answer of a learner, as its author reads it. */
export interface Try extends Pick<Answer, 'score' | 'state'> {
  /** In words, a line each. */
  said: string[];
  /** Milliseconds UTC. */
  at: number;
  /** In a quiz: in which try at the quiz. */
  sitting?: number;
}

/** All answers of a learner to one check. */
export interface CheckAnswers {
  check: string;
  lesson: { id: string; title: string };
  stem: string;
  /** The right answer, or a good one, in words. */
  right: string[];
  /** What a good answer names, where a person marks it. */
  looksFor: string[];
  /** It was handed in, and is marked by its criteria. */
  handedIn?: true;
  /** The first one first, wrong ones too. */
  tries: Try[];
  /** What the last one counts for now; with what the person who marked it says. */
  counts: Pick<Answer, 'score' | 'state' | 'said'>;
}

/** One try, as its author reads it. */
export interface Sat {
  begun: number;
  handed?: number;
  share?: number;
  /** Something of it came in so many minutes after its time was over, by the server's own clock. */
  late?: number;
}

/** A learner's tries at a quiz, as its author reads them. Times are milliseconds UTC. */
export interface QuizAnswers extends QuizResult {
  lesson: { id: string; title: string };
  /** The first one first; `share` once it was handed in. */
  sittings: Sat[];
  granted?: QuizState['granted'];
  /** Whether its tries and its time are limited: only then more can be granted. */
  limited: { tries: boolean; minutes: boolean };
}

/** All that a learner answered. */
export interface LearnerAnswers {
  checks: CheckAnswers[];
  quizzes: QuizAnswers[];
}

/** `received`: when it came in, where somebody noted it; a learner's clock may say anything. */
type Timed = LearnerEvent & { at: number; received?: number };
const MINUTE = 60_000;
/** Minutes that something may be on its way without being called late. */
const ON_ITS_WAY = 1;
const keyOf = (lesson: string, check: string): string => `${lesson}/${check}`;

/** Every answer of a learner to a released course, in the order of its lessons; `events` as they came. */
export function answersIn(taking: Taking, events: readonly Timed[]): LearnerAnswers {
  const { course, keys } = taking;
  const asked = new Map(course.checks.map((check) => [check.id, check]));
  const tries = new Map<string, Try[]>();
  const sittings = new Map<string, Sat[]>();
  /** When the begin of each try came in. */
  const came = new Map<string, number>();
  let state = BEGINNING;
  for (const event of events) {
    const before = state;
    state = after(state, event, taking);
    if (state === before) continue;
    const quiz = own(state.quizzes ?? {}, event.lesson);
    const quizSeen = quizzesOf(course).get(event.lesson);
    if (event.kind === 'sit' && event.received !== undefined)
      came.set(keyOf(event.lesson, String(quiz?.tries)), event.received);
    if (quiz?.last) {
      const list = sittings.get(event.lesson) ?? [];
      const { begun, handed } = quiz.last;
      const worth = worthOfSitting(quiz.last, course);
      const late = lateBy(event, came.get(keyOf(event.lesson, String(quiz.tries))), minutesOf(quizSeen!, quiz));
      const was = list[quiz.tries - 1] as Sat | undefined;
      list[quiz.tries - 1] = {
        ...was,
        begun,
        ...(late !== undefined && { late: Math.max(late, was?.late ?? 0) }),
        ...(handed !== undefined && { handed, share: worth.of > 0 ? worth.scored / worth.of : 0 }),
      };
      sittings.set(event.lesson, list);
    }
    if (event.kind !== 'answer') continue;
    const key = keyOf(event.lesson, event.check);
    // Until a try at a quiz is handed in its answers may be changed, or taken back: the last one is it.
    const others = (tries.get(key) ?? []).filter(({ sitting }) => sitting === undefined || sitting !== quiz?.tries);
    if (event.response === null) {
      if (others.length > 0) tries.set(key, others);
      else tries.delete(key);
      continue;
    }
    const marked = mark(keys[event.check], event.response)!;
    const made: Try = {
      said: saidIn(asked.get(event.check)!, keys[event.check], event.response),
      score: marked.score,
      state: marked.state,
      at: event.at,
      ...(quiz && { sitting: quiz.tries }),
    };
    // A story is one try from its first step to its end.
    const whole = others.at(-1)?.state === 'going' ? others.slice(0, -1) : others;
    tries.set(key, [...whole, made]);
  }
  return {
    checks: checksOf(taking, state, tries),
    quizzes: lessonsOf(course).flatMap(({ id, title, quiz }) => {
      const granted = state.quizzes?.[id]?.granted;
      return quiz
        ? {
            lesson: { id, title },
            ...resultOf(quizzesOf(course).get(id)!, own(state.quizzes ?? {}, id), course),
            sittings: sittings.get(id) ?? [],
            ...(granted && { granted }),
            limited: { tries: quiz.tries !== undefined, minutes: quiz.minutes !== undefined },
          }
        : [];
    }),
  };
}

/** Minutes by which something came in after the time of its try; undefined where it did not. */
function lateBy(event: Timed, begun: number | undefined, minutes: number | undefined): number | undefined {
  if (begun === undefined || minutes === undefined || event.received === undefined) return undefined;
  if (event.kind !== 'answer' && event.kind !== 'hand') return undefined;
  const over = (event.received - begun) / MINUTE - minutes;
  return over > ON_ITS_WAY ? Math.ceil(over) : undefined;
}

function checksOf({ course, keys }: Taking, state: LearnerState, tries: ReadonlyMap<string, Try[]>): CheckAnswers[] {
  const asked = new Map(course.checks.map((check) => [check.id, check]));
  return lessonsOf(course).flatMap(({ id, title, ...lesson }) =>
    asksIn(lesson).flatMap((checkId): CheckAnswers[] => {
      const [check, made] = [asked.get(checkId), tries.get(keyOf(id, checkId))];
      const answers = lesson.quiz ? (own(state.quizzes ?? {}, id)?.last?.answers ?? {}) : state.answers;
      if (!check || !made) return [];
      const { response, feedback } = solutionOf(keys[checkId]);
      // What the last try at a quiz did not ask counts as it was answered before.
      const { score, state: worth, said } = own(answers, checkId) ?? { ...made.at(-1)!, said: undefined };
      return [
        {
          check: checkId,
          lesson: { id, title },
          stem: check.stem,
          right: saidIn(check, keys[checkId], response),
          looksFor: feedback?.points ?? [],
          ...(check.kind === 'task' && { handedIn: true as const }),
          tries: made,
          counts: { score, state: worth, ...(said && { said }) },
        },
      ];
    }),
  );
}
