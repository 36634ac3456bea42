import { canonicalRichText, type RichText, type TextRun } from '../document/rich-text';
import { richRange } from '../source/rich';
import { edited, type UsedSentence } from '../unit/shown';

/**
 * Used sentences as rich text, a space between them, each under its own evidence mark. `place` makes the marks' ids.
 */
export function richSentences(sentences: readonly UsedSentence[], place: string): RichText {
  return canonicalRichText(
    sentences.flatMap((used, index) => [
      ...(index > 0 ? [{ type: 'text', text: ' ' } as TextRun] : []),
      ...richSentence(used, place),
    ]),
  );
}

/** One sentence of a passage with its letters' marks and its evidence. */
export function richSentence(used: UsedSentence, place: string): RichText {
  const { sentence, edits, also } = used;
  return richRange(sentence.passage, sentence.from, sentence.to, edits, edited(used), place, also);
}
