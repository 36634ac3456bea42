import type { Block } from '../../blocks/forms';
import type { Range } from '../../language/pack';
import type { UsedSentence } from '../../unit/shown';
import { andMore, canCut, knowledgeOf, leans, ours, stretch, type SentenceShape, type ShapeContext } from './shape';

/** So many people with work of their own are a table; of some of them it must be sure that they are people. */
const FEWEST = 3;
const SURE = 2;
const LONGEST = 90;

interface Row {
  key: string;
  used: UsedSentence;
  who: Range;
  rest: Range;
  sure: boolean;
  more: UsedSentence[];
}

/**
 * Who a sentence says does something, and what; `begins`: it is the first of its paragraph. Undefined where it is
 * about nobody, or tells a story.
 */
function actorIn(used: UsedSentence, begins: boolean, context: ShapeContext): Row | undefined {
  const { sentence } = used;
  const { facts, text, tags } = sentence;
  // Within a paragraph, what points at something points at what stands before it.
  if (leans(sentence) || (!begins && facts?.pointsWithin) || facts?.past || facts?.firstPerson) return undefined;
  const { pack } = knowledgeOf(used, context);
  const found = pack.actorOf?.(text, tags);
  if (!found || !canCut(used, found.who.to) || !canCut(used, found.rest.from)) return undefined;
  return { ...found, key: pack.stems(text.slice(found.who.from, found.who.to)).join(' '), used, more: [] };
}

/**
 * What several people do, told person by person, as a table of who does what: a paragraph each, or a sentence each in
 * one paragraph. What is said further of somebody stays beside them.
 */
export const actors: SentenceShape = (sentences, at, context) => {
  for (const byParagraph of [true, false]) {
    const { rows, to } = rowsFrom(sentences, at, byParagraph, context);
    const people = new Set(rows.map(({ key }) => key)).size;
    if (people < FEWEST || rows.filter(({ sure }) => sure).length < SURE || rows.some(isLong)) continue;
    return { to, make: (id) => tableOf(rows, id, context) };
  }
  return undefined;
};

const isLong = ({ used, more }: Row): boolean =>
  [used, ...more].reduce((sum, { sentence }) => sum + sentence.words, 0) > LONGEST;

function rowsFrom(
  sentences: readonly UsedSentence[],
  at: number,
  byParagraph: boolean,
  context: ShapeContext,
): { rows: Row[]; to: number } {
  const rows: Row[] = [];
  let to = at;
  for (; to < sentences.length; to++) {
    const used = sentences[to];
    const last = rows.at(-1);
    const begins = used.sentence.passage !== sentences[to - 1]?.sentence.passage || to === at;
    // Sentence by sentence it is one paragraph that tells who does what.
    if (begins && !byParagraph && to > at) break;
    const row = actorIn(used, begins, context);
    if (last && row?.key === last.key && !begins) last.more.push(used);
    else if (row && (begins || !byParagraph)) rows.push(row);
    else if (last && !begins && (byParagraph || leans(used.sentence))) last.more.push(used);
    else break;
  }
  // A paragraph that is begun is taken whole, or not at all.
  if (to < sentences.length && sentences[to].sentence.passage === sentences[to - 1]?.sentence.passage && byParagraph)
    return { rows: [], to: at };
  return { rows, to };
}

function tableOf(rows: readonly Row[], id: string, { labels }: ShapeContext): Block {
  return {
    id,
    kind: 'table',
    body: {
      header: labels ? [ours(labels.who), ours(labels.does)] : [],
      rows: rows.map(({ used, who, rest, more }) => [
        stretch(used, who, id, true),
        andMore(stretch(used, rest, id), more, id),
      ]),
    },
  };
}
