import type { Service } from '../service';

/** A letter to one person, in plain text. */
export interface Letter {
  to: { name: string; address: string };
  subject: string;
  text: string;
}

/**
 * Mail. `send` is over once the letter was taken over by whoever brings it on, and gives the id under which it may come
 * back. Throws a `ProblemError` where it was refused for good, `Passing` where it may go later.
 */
export interface MailService extends Service {
  send(letter: Letter, signal?: AbortSignal): Promise<string>;
}
