import type { Block } from '../../blocks/forms';
import { richSentence, richSentences } from '../rich';
import { leans, ours, type SentenceShape } from './shape';

/** An example that is reckoned through has so many sentences, and figures in so many of them. */
const FEWEST = { sentences: 5, figures: 3 };

/**
 * A paragraph that goes through an example with its figures: what is given, step by step, what comes out. Its first
 * sentence says the case, its last the result.
 */
export const worked: SentenceShape = (sentences, at, { labels }) => {
  const { sentence } = sentences[at];
  if (!labels || !sentence.facts?.example || sentence.index > 0) return undefined;
  const { passage } = sentence;
  const end = sentences.findIndex((each, place) => place > at && each.sentence.passage !== passage);
  const to = end < 0 ? sentences.length : end;
  const own = sentences.slice(at, to);
  const figures = own.filter((each) => (each.sentence.facts?.quantities.length ?? 0) > 0).length;
  if (own.length < FEWEST.sentences || figures < FEWEST.figures) return undefined;
  // What leans on the result goes with it.
  const last = own.findLastIndex((each) => !leans(each.sentence) || each.sentence.facts!.quantities.length > 0);
  const result = Math.max(2, last);
  return {
    to,
    make: (id): Block => ({
      id,
      kind: 'worked',
      body: {
        given: { title: ours(labels.given), items: [richSentence(own[0], id)] },
        working: { title: ours(labels.working), items: own.slice(1, result).map((used) => richSentence(used, id)) },
        result: { title: ours(labels.result), items: [richSentences(own.slice(result), id)] },
      },
    }),
  };
};
