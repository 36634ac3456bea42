import type { Block } from '../../blocks/forms';
import type { Opener, Range } from '../../language/pack';
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
  /** Cases of one sort stand in one table. */
  sort: string;
  tells: 'time' | 'case' | 'name';
  more: UsedSentence[];
}

/** The case a sentence is about, and what holds then; undefined when it is about none. */
function caseIn(used: UsedSentence, context: ShapeContext): Case | undefined {
  const { sentence } = used;
  const { text, tags, facts } = sentence;
  if (leans(sentence) || facts?.past) return undefined;
  const { pack } = knowledgeOf(used, context);
  const clause = pack.caseOf?.(text, tags);
  const opener = clause ? undefined : openerIn(used, context);
  const found = clause
    ? { ...clause, sort: 'clause', tells: 'case' as const }
    : opener && { when: opener.lead, then: opener.rest, sort: opener.sort, tells: opener.tells };
  return found && canCut(used, found.when.to) && canCut(used, found.then.from)
    ? { used, ...found, more: [] }
    : undefined;
}

/** Where a sentence begins by a place or a matter and does not say what to do, it begins no case ("In general, …"). */
function openerIn(used: UsedSentence, context: ShapeContext): Opener | undefined {
  const { text, tags, facts } = used.sentence;
  const found = knowledgeOf(used, context).pack.openerOf?.(text, tags, facts?.quantities ?? []);
  return found?.by === 'phrase' && found.tells === 'case' && !facts?.rule ? undefined : found;
}

const wordsOf = ({ used, more }: Case): number =>
  [used, ...more].reduce((sum, { sentence }) => sum + sentence.words, 0);

/**
 * Rules that follow one another, each for its own case, time or band, as a table of them; what leans on one goes with
 * it.
 */
export const cases: SentenceShape = (sentences, at, context) => {
  const rows: Case[] = [];
  let to = at;
  for (; to < sentences.length; to++) {
    const used = sentences[to];
    const found = caseIn(used, context);
    if (found && (rows.length === 0 || rows[0].sort === found.sort)) rows.push(found);
    else if (!found && rows.length > 0 && leans(used.sentence)) rows.at(-1)!.more.push(used);
    else break;
  }
  if (rows.length < FEWEST || rows.some((row) => wordsOf(row) > LONGEST)) return undefined;
  return {
    to,
    make: (id): Block => ({
      id,
      kind: 'table',
      body: { header: headOf(rows[0], context), rows: rows.map((row) => cellsOf(row, id)) },
    }),
  };
};

/** What the columns are called; names and what they mean need no heads. */
function headOf({ tells }: Case, { labels }: ShapeContext) {
  return labels && tells !== 'name' ? [ours(labels[tells === 'time' ? 'time' : 'when']), ours(labels.then)] : [];
}

const cellsOf = ({ used, when, then, more }: Case, id: string) => [
  stretch(used, when, id, true),
  andMore(stretch(used, then, id, true), more, id),
];
