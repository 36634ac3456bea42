import type { Block } from '../../blocks/forms';
import type { UsedSentence } from '../../unit/shown';
import { richSentences } from '../rich';
import type { SentenceShape } from './shape';

/** So many questions with their answers are opened one by one, as who asks needs them. */
const FEWEST = 3;
/** What is asked stands in the first sentences of its paragraph. */
const FIRST = 2;
/** Among so many questions, what is said without one ("A customer wants my number.") is asked, too. */
const MOSTLY = 0.6;

/** A question mark behind words, not within an address. */
const asks = ({ sentence: { text } }: UsedSentence): boolean =>
  /[?？]["'”’»)]*$/.test(text) && !/[/@]/.test(text.split(/\s+/).at(-1)!);

/** Paragraphs that each ask and answer, as folds: the question, and behind it the answer. */
export const answers: SentenceShape = (sentences, at) => {
  const paragraphs: UsedSentence[][] = [];
  let to = at;
  while (to < sentences.length) {
    const { passage } = sentences[to].sentence;
    if (to === at && sentences[at - 1]?.sentence.passage === passage) return undefined;
    const end = sentences.findIndex((each, place) => place >= to && each.sentence.passage !== passage);
    const own = sentences.slice(to, end < 0 ? sentences.length : end);
    if (own.length < 2 || (asked(own) === 0 && paragraphs.length === 0)) break;
    paragraphs.push(own);
    to += own.length;
  }
  // What stands behind the last question is no part of the run.
  while (paragraphs.length > 0 && asked(paragraphs.at(-1)!) === 0) to -= paragraphs.pop()!.length;
  const questions = paragraphs.filter((own) => asked(own) > 0).length;
  if (questions < FEWEST || questions < paragraphs.length * MOSTLY) return undefined;
  return {
    to,
    make: (id): Block => ({
      id,
      kind: 'panels',
      body: {
        show: 'folds',
        panels: paragraphs.map((own) => {
          const cut = Math.max(1, asked(own));
          return { title: richSentences(own.slice(0, cut), id), texts: [richSentences(own.slice(cut), id)] };
        }),
      },
    }),
  };
};

/** How many sentences of a paragraph ask, with what stands before the question; none where no answer follows. */
function asked(own: readonly UsedSentence[]): number {
  const last = own.slice(0, FIRST).findLastIndex(asks) + 1;
  return last < own.length ? last : 0;
}
