import { shownState } from '../../core/learning/shown';
import type { Taking } from '../../core/learning/sittings';
import { after, BEGINNING, type Answer, type LearnerEvent, type LearnerState } from '../../core/learning/state';
import { chanceName, type Carrier } from './carrier';

/** Where a state is kept between two visits. */
export interface Store {
  load(): LearnerState;
  /** Whose it is: the same from visit to visit, and another for another; asked for once it is loaded. */
  learner(): string;
  save(state: LearnerState, event?: LearnerEvent): void;
}

/** Marks on the spot, as packages do: they carry their keys. */
export function localCarrier(course: Omit<Taking, 'learner'>, store: Store): Carrier {
  const listeners: (() => void)[] = [];
  let state = store.load();
  const taking = { ...course, learner: store.learner() };
  function take(next: LearnerState, event?: LearnerEvent) {
    state = next;
    store.save(state, event);
    for (const listener of listeners) listener();
  }
  const make = (event: LearnerEvent) => take(after(state, event, taking), event);
  const now = () => ({ id: '', at: Date.now() });
  return {
    state: () => ({
      read: state.read,
      ...shownState(state, taking),
      waiting: {},
      pending: [],
      ...(state.at && { at: state.at }),
    }),
    lost: () => false,
    subscribe: (listener) => void listeners.push(listener),
    visit: (lesson) => {
      if (state.at !== lesson) take({ ...state, at: lesson });
    },
    read: (lesson) => make({ ...now(), kind: 'read', lesson }),
    answer: (lesson, check, response) => make({ ...now(), kind: 'answer', lesson, check, response }),
    sit: (lesson) => make({ ...now(), kind: 'sit', lesson }),
    hand: (lesson) => make({ ...now(), kind: 'hand', lesson }),
  };
}

/** What a browser keeps: a state, and a name by chance for whose it is. */
type Kept = LearnerState & { learner?: string };

/**
 * Keeps the state in this browser, under the course and its release. Where that is forbidden, it lasts as long as the
 * page.
 */
export function browserStore(name: string): Store {
  let learner = chanceName();
  return {
    load() {
      try {
        const kept = JSON.parse(localStorage.getItem(name) ?? 'null') as Kept | null;
        if (!kept || !Array.isArray(kept.read) || typeof kept.answers !== 'object') return BEGINNING;
        const { learner: known, ...state } = kept;
        if (known) learner = known;
        return upToDate(state);
      } catch {
        return BEGINNING;
      }
    },
    learner: () => learner,
    save(state) {
      try {
        localStorage.setItem(name, JSON.stringify({ ...state, learner } satisfies Kept));
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
export const noStore: Store = { load: () => BEGINNING, learner: () => '', save: () => undefined };
