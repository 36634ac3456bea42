import type { Block } from '../../blocks/forms';
import { paragraph } from '../../blocks/text/draft';
import { idFrom } from '../../document/id';
import type { UsedSentence } from '../../unit/shown';
import type { Part } from '../parts';
import { actors } from './actors';
import { answers } from './answers';
import { cases } from './cases';
import { pairs } from './pairs';
import type { PartShape, SentenceRun, SentenceShape, Shaped, ShapeContext } from './shape';
import { twoLists } from './sides';
import { definedInList, definedInText } from './terms';

/** What whole parts can become, and what sentences that follow one another can; the first that fits is taken. */
const OF_PARTS: readonly PartShape[] = [twoLists, definedInList, pairs];
const OF_SENTENCES: readonly SentenceShape[] = [definedInText, answers, actors, cases];

/**
 * The shape that some parts of one section say more in than as they stand, beginning with the first; undefined where
 * they have none. Every sentence of theirs stands in the blocks, in order.
 */
export function shapeOf(
  parts: readonly Part[],
  context: ShapeContext,
  place: (name: string) => string,
): Shaped | undefined {
  const id = (name: string) => idFrom('b', place(name));
  for (const shape of OF_PARTS) {
    const found = shape(parts, context, id);
    if (found) return found;
  }
  return ofSentences(parts, context, id);
}

/** Paragraphs, up to the first that is set apart by its source or is none. */
function ofSentences(parts: readonly Part[], context: ShapeContext, id: (name: string) => string): Shaped | undefined {
  const plain = parts.findIndex((part) => part.kind !== 'text' || part.items[0].passage.callout !== undefined);
  const texts = plain < 0 ? parts : parts.slice(0, plain);
  const sentences = texts.flatMap((part) => part.items[0].sentences);
  // A shape begins in the first part; later ones get their turn.
  const own = texts[0]?.items[0].sentences.length ?? 0;
  for (let at = 0; at < own; at++) {
    for (const shape of OF_SENTENCES) {
      const run = shape(sentences, at, context);
      if (run) return around(texts, sentences, { ...run, from: at }, context, id);
    }
  }
  return undefined;
}

/** A run's block, with what stands before and behind it in its paragraphs. */
function around(
  texts: readonly Part[],
  sentences: readonly UsedSentence[],
  { from, to, make }: SentenceRun & { from: number },
  { matter }: ShapeContext,
  id: (name: string) => string,
): Shaped {
  const last = sentences[to - 1].sentence.passage;
  const parts = texts.findIndex((part) => part.items[0].passage === last) + 1;
  const end = texts.slice(0, parts).reduce((sum, part) => sum + part.items[0].sentences.length, 0);
  const rest = (own: readonly UsedSentence[], part: Part, name: string): Block[] =>
    own.length === 0
      ? []
      : [
          {
            ...paragraph({ ...part, items: [{ ...part.items[0], sentences: [...own] }] }, name, false, matter),
            id: id(name),
          },
        ];
  return {
    parts,
    blocks: [
      ...rest(sentences.slice(0, from), texts[0], 'before'),
      make(id('shape')),
      ...rest(sentences.slice(to, end), texts[parts - 1], 'behind'),
    ],
  };
}

export type { ShapeContext } from './shape';
