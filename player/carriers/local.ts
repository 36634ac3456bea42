import type { Secret } from '../../core/checks/markings';
import {
  after,
  allShown,
  BEGINNING,
  type Answer,
  type LearnerEvent,
  type LearnerState,
} from '../../core/learning/progress';
import type { Rules } from '../../core/learning/rules';
import type { Carrier } from './carrier';

/** Where a state is kept between two visits. */
export interface Store {
  load(): LearnerState;
  save(state: LearnerState, event?: LearnerEvent): void;
}

/** Marks on the spot, as packages do: they carry their keys. */
export function localCarrier(keys: Readonly<Record<string, Secret>>, rules: Rules, store: Store): Carrier {
  const listeners: (() => void)[] = [];
  let state = store.load();
  function take(next: LearnerState, event?: LearnerEvent) {
    state = next;
    store.save(state, event);
    for (const listener of listeners) listener();
  }
  const make = (event: LearnerEvent) => take(after(state, event, keys, rules), event);
  return {
    state: () => ({
      read: state.read,
      answers: allShown(state, keys, rules),
      waiting: {},
      ...(state.at && { at: state.at }),
    }),
    lost: () => false,
    subscribe: (listener) => void listeners.push(listener),
    visit: (lesson) => {
      if (state.at !== lesson) take({ ...state, at: lesson });
    },
    read: (lesson) => make({ id: '', kind: 'read', lesson }),
    answer: (lesson, check, response) => make({ id: '', kind: 'answer', lesson, check, response }),
  };
}

/**
 * Keeps the state in this browser, under the course and its release. Where that is forbidden, it lasts as long as the
 * page.
 */
export function browserStore(name: string): Store {
  return {
    load() {
      try {
        const kept = JSON.parse(localStorage.getItem(name) ?? 'null') as LearnerState | null;
        return kept && Array.isArray(kept.read) && typeof kept.answers === 'object' ? upToDate(kept) : BEGINNING;
      } catch {
        return BEGINNING;
      }
    },
    save(state) {
      try {
        localStorage.setItem(name, JSON.stringify(state));
      } catch {
        // Private windows may forbid it; the course works all the same.
      }
    },
  };
}

/** A state as it was kept before checks had kinds, in today's form. */
function upToDate(kept: LearnerState): LearnerState {
  type Kept = Answer | { option: string; right: boolean; tries: number };
  const answers = Object.entries<Kept>(kept.answers).map(([check, answer]): [string, Answer] => [
    check,
    'right' in answer
      ? { response: answer.option, score: answer.right ? 1 : 0, state: 'marked', tries: answer.tries }
      : answer,
  ]);
  return { ...kept, answers: Object.fromEntries(answers) };
}

/** Keeps nothing. */
export const noStore: Store = { load: () => BEGINNING, save: () => undefined };
