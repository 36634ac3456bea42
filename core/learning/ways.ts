import type { Secret } from '../checks/markings';
import { own, type LearnerState } from './state';

/** The ways that learners took through a story: how many were in it, came to its end, and chose what. */
export interface Ways {
  learners: number;
  ended: number;
  /** By the author's own ids of choices. */
  chosen: Record<string, number>;
}

/**
 * The ways of learners through a scenario, each by the last one they took; `taking` are their states, each with the
 * keys of the release it is of. Whose way is no longer known is not counted.
 */
export function waysOf(
  check: string,
  taking: Iterable<{ state: LearnerState; keys: Readonly<Record<string, Secret>> }>,
): Ways {
  const ways: Ways = { learners: 0, ended: 0, chosen: {} };
  for (const { state, keys } of taking) {
    const answer = own(state.answers, check);
    const secret = own(keys, check);
    if (secret?.kind !== 'scenario' || !Array.isArray(answer?.response)) continue;
    ways.learners++;
    if (answer.state === 'marked') ways.ended++;
    // Who came by a choice twice chose it: once is what is counted.
    for (const id of new Set(answer.response as string[])) {
      const choice = own(secret.choices, id)?.own;
      if (choice) ways.chosen[choice] = (ways.chosen[choice] ?? 0) + 1;
    }
  }
  return ways;
}
