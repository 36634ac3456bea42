import type { Edit } from '../course/rich-text';
import type { Sentence } from '../knowledge';
import type { Passage } from '../source/source';

/** A sentence as it may stand in a lesson, with the changes made to it (characters of its passage). */
export interface UsedSentence {
  sentence: Sentence;
  edits: Edit[];
}

/** The smallest part of a unit's matter that is taken or left whole. */
export interface Piece {
  kind: 'sentence' | 'list' | 'steps' | 'table' | 'code' | 'terms';
  /** Index of the unit's section. */
  section: number;
  /** What introduces it; shown before it. */
  lead?: UsedSentence;
  /** A sentence, or the sentences of each item. */
  items: { passage: Passage; sentences: UsedSentence[] }[];
  words: number;
  weight: number;
  /** The author put some of it in focus. */
  focus?: boolean;
  /** Begins with what the heading over it says. */
  headed?: boolean;
  /** Index of the piece without which this one cannot be followed; -1: something that is not to be had. */
  needs?: number;
}
