import type { Block } from '../../blocks/forms';
import type { UsedSentence } from '../../unit/shown';
import { richSentence } from '../rich';
import { knowledgeOf, leans, ours, type SentenceShape, type ShapeContext } from './shape';

/** So much is to be done, and so much not to be done, that the two are seen better beside each other. */
const FEWEST = 2;
const LONGEST = 30;

/** Whether a sentence is an order to do something (false) or not to do it (true); undefined where it is none. */
function forbids(used: UsedSentence, context: ShapeContext): boolean | undefined {
  const { facts, words } = used.sentence;
  if (leans(used.sentence) || facts?.pointsWithin || !facts?.imperative || !facts.rule || words > LONGEST)
    return undefined;
  return facts.rule.negative || (knowledgeOf(used, context).pack.denies?.(used.sentence.text.slice(0, 12)) ?? false);
}

/**
 * Orders of one paragraph that follow one another, some to do and some not to do something, as two sides. Each keeps
 * its order; what is said in between, and what leans on another, ends them.
 */
export const advice: SentenceShape = (sentences, at, context) => {
  const { labels, matter } = context;
  const { passage } = sentences[at].sentence;
  if (!labels || matter.unitOf(passage.id).kind === 'warning') return undefined;
  const sides: [UsedSentence[], UsedSentence[]] = [[], []];
  let to = at;
  for (; to < sentences.length && sentences[to].sentence.passage === passage; to++) {
    const not = forbids(sentences[to], context);
    if (not === undefined) break;
    sides[Number(not)].push(sentences[to]);
  }
  const [dos, donts] = sides;
  // What leans on the last of them would lose it.
  const next = sentences[to];
  if (next?.sentence.passage === passage && leans(next.sentence)) return undefined;
  if (dos.length < FEWEST || donts.length < FEWEST) return undefined;
  return {
    to,
    make: (id): Block => ({
      id,
      kind: 'sides',
      body: {
        left: { title: ours(labels.do), items: dos.map((used) => richSentence(used, id)) },
        right: { title: ours(labels.dont), items: donts.map((used) => richSentence(used, id)) },
      },
    }),
  };
};
