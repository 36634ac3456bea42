import type { Block } from '../../blocks/forms';
import { paragraph } from '../../blocks/text/draft';
import { idFrom } from '../../document/id';
import type { UsedSentence } from '../../unit/shown';
import type { Part } from '../parts';
import { actors } from './actors';
import { advice } from './advice';
import { answers } from './answers';
import { cases } from './cases';
import { listed } from './listed';
import { pairs } from './pairs';
import type { PartShape, SentenceRun, SentenceShape, Shaped, ShapeContext } from './shape';
import { twoLists } from './sides';
import { definedInList, definedInText } from './terms';
import { variants } from './variants';
import { worked } from './worked';

/** What whole parts can become, and what sentences that follow one another can; the first that fits is taken. */
const OF_PARTS: readonly PartShape[] = [twoLists, definedInList, pairs, variants];
const OF_SENTENCES: readonly SentenceShape[] = [definedInText, answers, worked, actors, cases, advice, listed];

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
  const found = firstRun(sentences, own, context);
  return found && around(texts, sentences, found, context, id);
}

type Run = SentenceRun & { from: number };

/** The first run of sentences with a shape that begins among the first so many. */
function firstRun(sentences: readonly UsedSentence[], among: number, context: ShapeContext): Run | undefined {
  for (let from = 0; from < among; from++) {
    for (const shape of OF_SENTENCES) {
      const run = shape(sentences, from, context);
      if (run) return { ...run, from };
    }
  }
  return undefined;
}

/** A run's block, with what stands before and behind it in its paragraphs. */
function around(
  texts: readonly Part[],
  sentences: readonly UsedSentence[],
  run: Run,
  context: ShapeContext,
  id: (name: string) => string,
): Shaped {
  const last = sentences[run.to - 1].sentence.passage;
  const parts = texts.findIndex((part) => part.items[0].passage === last) + 1;
  const end = texts.slice(0, parts).reduce((sum, part) => sum + part.items[0].sentences.length, 0);
  return {
    parts,
    blocks: [
      ...plainly(sentences.slice(0, run.from), texts[0], 'before', context, id),
      ...[run.make(id('shape'))].flat(),
      ...behind(sentences.slice(run.to, end), texts[parts - 1], 'behind', context, id),
    ],
  };
}

/** What stands behind a run in its last paragraph: it may have shapes of its own. */
function behind(
  rest: readonly UsedSentence[],
  part: Part,
  name: string,
  context: ShapeContext,
  id: (name: string) => string,
): Block[] {
  const run = firstRun(rest, rest.length, context);
  if (!run) return plainly(rest, part, name, context, id);
  return [
    ...plainly(rest.slice(0, run.from), part, name, context, id),
    ...[run.make(id(`${name} shape`))].flat(),
    ...behind(rest.slice(run.to), part, `${name} again`, context, id),
  ];
}

/** Sentences of a part as a paragraph; none where there are none. */
function plainly(
  own: readonly UsedSentence[],
  part: Part,
  name: string,
  { matter }: ShapeContext,
  id: (name: string) => string,
): Block[] {
  if (own.length === 0) return [];
  const alone = { ...part, items: [{ ...part.items[0], sentences: [...own] }] };
  return [{ ...paragraph(alone, name, false, matter), id: id(name) }];
}

export type { ShapeContext } from './shape';
