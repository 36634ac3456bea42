import { mark, saidIn, solutionOf } from '../checks/markings';
import { after, BEGINNING, type Answer, type LearnerEvent } from './progress';
import type { Rules } from './rules';
import { checksIn, lessonsOf, type FrozenCourse } from './view';

/** One answer of a learner, as its author reads it. */
export interface Try extends Pick<Answer, 'score' | 'state'> {
  /** In words, a line each. */
  said: string[];
  /** Milliseconds UTC. */
  at: number;
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

/** Every answer of a learner to a released course, in the order of its lessons; `events` as they came. */
export function answersIn(
  { view, keys }: FrozenCourse,
  rules: Rules,
  events: readonly (LearnerEvent & { at: number })[],
): CheckAnswers[] {
  const tries = new Map<string, Try[]>();
  let state = BEGINNING;
  for (const event of events) {
    const before = state;
    state = after(state, event, keys, rules);
    if (event.kind !== 'answer' || state === before) continue;
    const check = view.checks.find(({ id }) => id === event.check)!;
    const marked = mark(keys[event.check], event.response)!;
    const list = tries.get(event.check) ?? [];
    tries.set(event.check, list);
    list.push({
      said: saidIn(check, keys[event.check], event.response),
      score: marked.score,
      state: marked.state,
      at: event.at,
    });
  }
  const asked = new Map(view.checks.map((check) => [check.id, check]));
  return lessonsOf(view).flatMap(({ id, title, ...lesson }) =>
    checksIn(lesson).flatMap((checkId): CheckAnswers[] => {
      const [check, made, answer] = [asked.get(checkId), tries.get(checkId), state.answers[checkId]];
      if (!check || !made) return [];
      const { response, feedback } = solutionOf(keys[checkId]);
      const { score, state: worth, said } = answer;
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
