import type { Shown, ShownQuiz } from '../../core/learning/shown';

/** What the player shows of a learner. */
export interface PlayerState {
  read: string[];
  answers: Record<string, Shown>;
  /** By lesson; those that were begun. */
  quizzes: Record<string, ShownQuiz>;
  /** Responses that were given and are kept, but could not be sent yet, by `waitingKey`. */
  waiting: Record<string, unknown>;
  /** Quizzes of which a try was begun or handed in that is not confirmed yet. */
  pending: string[];
  at?: string;
}

/** What waits is kept by where it was answered: a check can stand in a lesson and be asked in a quiz. */
export const waitingKey = (lesson: string, check: string): string => `${lesson}/${check}`;

/** Carries what a learner does to where it is kept and marked: this browser, a learning platform, our server. */
export interface Carrier {
  state(): PlayerState;
  /** True while what is done cannot be sent. */
  lost(): boolean;
  /** Hears of every change of state. */
  subscribe(listener: () => void): void;
  visit(lesson: string): void;
  read(lesson: string): void;
  answer(lesson: string, check: string, response: unknown): void;
  /** Begins a try at a quiz. */
  sit(lesson: string): void;
  /** Hands a try in. */
  hand(lesson: string): void;
}

/** A name by chance: of an event, so that the same one sent twice counts once, or of whoever has none. */
export function chanceName(): string {
  return (
    'e' +
    Array.from(
      crypto.getRandomValues(new Uint8Array(12)),
      (byte) => 'abcdefghijklmnopqrstuvwxyz234567'[byte & 31],
    ).join('')
  );
}
