import type { Block } from '../../blocks/forms';
import type { Edit, RichText } from '../../document/rich-text';
import { canonicalRichText } from '../../document/rich-text';
import type { Knowledge, Sentence } from '../../knowledge';
import type { Labels } from '../../language/pack';
import { richRange } from '../../source/rich';
import type { UsedSentence } from '../../unit/shown';
import { richSentences } from '../rich';
import type { Matter, Part } from '../parts';

/** What shapes are made with: the matter of the page, and its words of ours, none where only sources may speak. */
export interface ShapeContext {
  matter: Matter;
  labels: Labels['shapes'] | undefined;
}

/** Several parts that say more as one block of another shape. */
export interface Shaped {
  /** How many parts went into it. */
  parts: number;
  blocks: Block[];
}

/** Looks whether the first of some parts of one section, with those behind it, has a shape; `place` makes ids. */
export type PartShape = (
  parts: readonly Part[],
  context: ShapeContext,
  place: (name: string) => string,
) => Shaped | undefined;

/** A run of sentences that says more in another shape: up to which, and the block. */
export interface SentenceRun {
  to: number;
  /** Its blocks; `id` is the main one's. */
  make(id: string): Block | Block[];
}

/** Looks whether sentences that follow one another have a shape from a place on. */
export type SentenceShape = (
  sentences: readonly UsedSentence[],
  at: number,
  context: ShapeContext,
) => SentenceRun | undefined;

export const knowledgeOf = ({ sentence }: UsedSentence, { matter }: ShapeContext): Knowledge =>
  matter.of(sentence.passage.id);

/** Whether a sentence cannot begin anything: it leans on what stands before it. */
export const leans = ({ facts }: Sentence): boolean =>
  facts?.leaning === 'points-back' || facts?.leaning === 'joins-on' || facts?.leaning === 'too-short';

/** Words of ours. */
export const ours = (text: string | undefined): RichText =>
  text ? [{ type: 'text', text, marks: [{ type: 'connecting' }] }] : [];

/**
 * A stretch of a used sentence (characters of its text) on its evidence; it begins with a capital where it is a cell of
 * its own.
 */
export function stretch(
  { sentence, edits, also }: UsedSentence,
  { from, to }: { from: number; to: number },
  id: string,
  capital = false,
): RichText {
  const { passage } = sentence;
  const [start, end] = [sentence.from + from, sentence.from + to];
  const own: Edit[] = edits.filter((edit) => edit.from >= start && edit.to <= end);
  const first = passage.text.charAt(start);
  if (capital && /\p{Ll}/u.test(first) && own.every((edit) => edit.from > start))
    own.unshift({ from: start, to: start + 1, with: first.toUpperCase() });
  let text = '';
  let at = start;
  for (const edit of own) {
    text += passage.text.slice(at, edit.from) + edit.with;
    at = edit.to;
  }
  return richRange(passage, start, end, own, text + passage.text.slice(at, end), id, also);
}

/** Whether a place of a sentence can be cut at: nothing that was changed lies across it. */
export const canCut = ({ sentence, edits }: UsedSentence, at: number): boolean =>
  edits.every((edit) => edit.to <= sentence.from + at || edit.from >= sentence.from + at);

/** A stretch and the sentences that go on behind it. */
export function andMore(first: RichText, more: readonly UsedSentence[], id: string): RichText {
  if (more.length === 0) return first;
  return canonicalRichText([...first, { type: 'text', text: ' ' }, ...richSentences(more, id)]);
}
