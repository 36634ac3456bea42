import type { Problem } from '../document/problem';
import type { RichText } from '../document/rich-text';
import type { Shape } from '../document/shape';
import type { Entry } from './entry';

/**
 * What the course knows of a kind of block: its form, the words in it, what it uses. Each kind stands in a folder of
 * its own, with one file an aspect (`form`, `page`, `draft`) and one table an aspect beside the folders, so that
 * whoever needs one gets no other.
 */
export interface BlockForm<Body> {
  body: Shape;
  /** What its form cannot say; codes, the block being the place. */
  problems?(body: Body): Problem['code'][];
  /** Whether it holds nothing for learners yet. */
  blank?(body: Body): boolean;
  /** Every rich text of the body, in reading order. */
  texts(body: Body): RichText[];
  /** The same body with every rich text put through a function. */
  mapTexts(body: Body, change: (text: RichText) => RichText): Body;
  /** Words that are read and stand outside of rich text. */
  plain?(body: Body): string[];
  /** The same body with every one of those put through a function. */
  mapPlain?(body: Body, change: (words: string) => string): Body;
  /** The words as a list shows them and a search finds them; all texts, one a line, where nothing is said. */
  text?(body: Body): string;
  /** How it is studied; reading all its words where nothing is said. */
  study?: Study<Body>;
  /** Where its evidence stands: on its sentences (where nothing is said), on the block as a whole, or nowhere. */
  evidence?: 'block' | 'none';
  /** Whether words without evidence are part of its frame, like a table's header, and not the author's own. */
  framed?: true;
  /** Whether its words are running text, by which the reading grade is told. */
  prose?: true;
  /** The check that has its place here. */
  check?(body: Body): string;
  /** What it says, thing by thing, with what heads each; its texts one by one where nothing is said. */
  entries?(body: Body): Entry[];
  /** What a block of another kind becomes as one of this: bodies, one or several, that hold all it says;
   * none where this kind cannot hold it. */
  fromEntries?(entries: readonly Entry[]): Body[];
}

/** How long something is studied. */
export interface Study<Body> {
  /** Rows, items, lines; of more than `most` only so many are read, and the rest is there to be looked up in. */
  entries(body: Body): number;
  most: number;
  /** Minutes for each entry that is read, beside its words. */
  minutes?: number;
}
