import { mark, saidIn, solutionOf } from '../checks/markings';
import { quizzesOf, resultOf, worthOfSitting, type QuizResult, type QuizState, type Taking } from './sittings';
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
  /** The first one first, wrong ones too. */
  tries: Try[];
  /** What the last one counts for now; with what the person who marked it says. */
  counts: Pick<Answer, 'score' | 'state' | 'said'>;
}

/** A learner's tries at a quiz, as its author reads them. Times are milliseconds UTC. */
export interface QuizAnswers extends QuizResult {
  lesson: { id: string; title: string };
  /** The first one first; `share` once it was handed in. */
  sittings: { begun: number; handed?: number; share?: number }[];
  granted?: QuizState['granted'];
  /** Whether its tries and its time are limited: only then more can be granted. */
  limited: { tries: boolean; minutes: boolean };
}

/** All that a learner answered. */
export interface LearnerAnswers {
  checks: CheckAnswers[];
  quizzes: QuizAnswers[];
}

type Timed = LearnerEvent & { at: number };
const keyOf = (lesson: string, check: string): string => `${lesson}/${check}`;

/** Every answer of a learner to a released course, in the order of its lessons; `events` as they came. */
export function answersIn(taking: Taking, events: readonly Timed[]): LearnerAnswers {
  const { course, keys } = taking;
  const asked = new Map(course.checks.map((check) => [check.id, check]));
  const tries = new Map<string, Try[]>();
  const sittings = new Map<string, QuizAnswers['sittings']>();
  let state = BEGINNING;
  for (const event of events) {
    const before = state;
    state = after(state, event, taking);
    if (state === before) continue;
    const quiz = own(state.quizzes ?? {}, event.lesson);
    if (quiz?.last) {
      const list = sittings.get(event.lesson) ?? [];
      const { begun, handed } = quiz.last;
      const worth = worthOfSitting(quiz.last, course);
      list[quiz.tries - 1] = {
        begun,
        ...(handed !== undefined && { handed, share: worth.of > 0 ? worth.scored / worth.of : 0 }),
      };
      sittings.set(event.lesson, list);
    }
    if (event.kind !== 'answer') continue;
    const marked = mark(keys[event.check], event.response)!;
    const key = keyOf(event.lesson, event.check);
    const made: Try = {
      said: saidIn(asked.get(event.check)!, keys[event.check], event.response),
      score: marked.score,
      state: marked.state,
      at: event.at,
      ...(quiz && { sitting: quiz.tries }),
    };
    // Until a try at a quiz is handed in its answers may be changed: the last one is it.
    const others = (tries.get(key) ?? []).filter(({ sitting }) => sitting === undefined || sitting !== made.sitting);
    tries.set(key, [...others, made]);
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
          tries: made,
          counts: { score, state: worth, ...(said && { said }) },
        },
      ];
    }),
  );
}
