import type { Problem } from '../document/problem';
import type { CheckFrame, Fields } from './check';

/** What the course knows of a kind of check: its own fields, and its words. */
export interface CheckForm<Kind extends CheckFrame> {
  /** Its fields beside the frame's. */
  fields: Fields;
  /** What the form of its fields cannot say; codes, the check being the place. */
  problems?(check: Kind): Problem['code'][];
  /** A check as an older version let it in, brought into order. */
  mended?(check: Kind): Kind;
  /** It stands for itself in a lesson: no quiz asks it, and it is no item of QTI. */
  standsAlone?: true;
  /** What is asked with all that can be answered, the right answer marked, a line each. */
  text(check: Kind): string;
  /** Its own fields that hold words of its author, with each text put through a function. */
  reworded(check: Kind, change: (words: string) => string): Partial<Kind>;
}
