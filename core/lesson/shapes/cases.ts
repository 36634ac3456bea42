import type { Block } from '../../blocks/forms';
import type { Range } from '../../language/pack';
import type { UsedSentence } from '../../unit/shown';
import { andMore, canCut, knowledgeOf, leans, ours, stretch, type SentenceShape, type ShapeContext } from './shape';

/** So many cases are seen better side by side than one after another. */
const FEWEST = 3;
/** What holds in a case is no cell when it is longer than this in words. */
const LONGEST = 60;

interface Case {
  used: UsedSentence;
  when: Range;
  then: Range;
  more: UsedSentence[];
}

/** The case a sentence is about, and what holds then; undefined when it is about none. */
function caseIn(used: UsedSentence, context: ShapeContext): Case | undefined {
  const { sentence } = used;
  const found = leans(sentence) ? undefined : knowledgeOf(used, context).pack.caseOf?.(sentence.text, sentence.tags);
  return found && canCut(used, found.when.to) && canCut(used, found.then.from)
    ? { used, ...found, more: [] }
    : undefined;
}

const wordsOf = ({ used, more }: Case): number =>
  [used, ...more].reduce((sum, { sentence }) => sum + sentence.words, 0);

/** Rules that follow one another, each for its own case, as a table of cases; what leans on one goes with it. */
export const cases: SentenceShape = (sentences, at, context) => {
  const rows: Case[] = [];
  let to = at;
  for (; to < sentences.length; to++) {
    const used = sentences[to];
    const found = caseIn(used, context);
    if (found) rows.push(found);
    else if (rows.length > 0 && leans(used.sentence)) rows.at(-1)!.more.push(used);
    else break;
  }
  if (rows.length < FEWEST || rows.some((row) => wordsOf(row) > LONGEST)) return undefined;
  return {
    to,
    make: (id): Block => ({
      id,
      kind: 'table',
      body: {
        header: context.labels ? [ours(context.labels.when), ours(context.labels.then)] : [],
        rows: rows.map(({ used, when, then, more }) => [
          stretch(used, when, id, true),
          andMore(stretch(used, then, id, true), more, id),
        ]),
      },
    }),
  };
};
