import type { Shown } from '../../core/learning/progress';

/** What the player shows of a learner. */
export interface PlayerState {
  read: string[];
  answers: Record<string, Shown>;
  /** Responses that were given and are kept, but could not be sent yet. */
  waiting: Record<string, unknown>;
  at?: string;
}

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
}
