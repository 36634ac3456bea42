import { idFrom } from '../../../document/id';
import { evidencedSentences, textOf } from '../../../document/rich-text';
import type { LanguagePack } from '../../../language/pack';
import {
  alike,
  asOption,
  pointsOut,
  quoteOf,
  spreadOver,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
  type Said,
} from '../form';
import { allOf, columnsOf, count } from '../rows';
import { isTerm, masked } from '../term';

/** Fewer pairs are found by leaving out; more are a list to be worked off. */
const FEWEST = { shaped: 3, source: 4 };
const MOST = 6;
const LONGEST = { left: 14, right: 18, meaning: 32 };

interface Pair {
  left: string;
  right: string;
  about: Said;
}

/** What belongs together: rows of a table by two of its columns, people and their work, words and their meanings. */
export const pairQuestions: QuestionForm = (matter) =>
  matter.pack.questions?.together ? [...inTables(matter), ...inTerms(matter)] : [];

/** Of each table its first column that tells all rows apart. */
function inTables(matter: QuestionMatter): Candidate[] {
  const { pack, title } = matter;
  return matter.blocks.flatMap((block): Candidate[] => {
    if (block.kind !== 'table') return [];
    for (const { how, heads, rows } of columnsOf(block, pack.labels)) {
      const pairs = rows
        .filter(({ head, cell }) => isShort(head, LONGEST.left) && isShort(cell, LONGEST.right))
        .map(({ head, cell, about }) => ({ left: asOption(head), right: asOption(cell), about }));
      const told = toldApart(pairs, matter);
      if (told.length < (how === 'column' ? FEWEST.source : FEWEST.shaped)) continue;
      const columns = heads.every(Boolean) ? heads : undefined;
      if (!columns && how !== 'name') continue;
      return [candidateOf(told, pack.questions!.together!(title, columns), idFrom('c', block.id, 'pairs'), 0.85)];
    }
    return [];
  });
}

/** Words that a lesson sets out as such; else what it defines in passing. */
function inTerms(matter: QuestionMatter): Candidate[] {
  const { pack, title, blocks, lesson } = matter;
  const stem = pack.questions?.meanings?.(title);
  if (!stem) return [];
  const setOut = blocks.flatMap((block) =>
    block.kind === 'terms'
      ? block.body.terms.flatMap(({ term, text }, at): Pair[] => {
          const [meaning] = textOf(text)
            .trim()
            .split(/(?<=[.!;])\s/);
          const ranges = evidencedSentences(text).flatMap(({ mark }) => mark.attrs.passages);
          const about = { id: idFrom('c', block.id, at), ranges, text: `${term}: ${meaning}` };
          return ranges.length > 0 ? pairOf(term, meaning, about, pack) : [];
        })
      : [],
  );
  const inPassing = lesson
    .filter((claim) => claim.kind === 'definition' && isTerm(claim, pack))
    .flatMap((claim) => pairOf(claim.term!, claim.meaning!, claim, pack));
  const told = toldApart(setOut.length >= FEWEST.shaped ? setOut : inPassing, matter);
  return told.length >= FEWEST.shaped ? [candidateOf(told, stem, idFrom('c', told[0].about.id, 'pairs'), 0.84)] : [];
}

/** A word and what it means, where that can be said without the word. */
function pairOf(term: string, meaning: string, about: Said, pack: LanguagePack): Pair[] {
  const bare = masked(meaning, pack.stems(term), pack);
  return bare && count(bare) >= 3 && count(bare) <= LONGEST.meaning
    ? [{ left: asOption(term), right: asOption(bare), about }]
    : [];
}

/** Short, and understood alone. */
const isShort = (text: string, most: number): boolean =>
  count(text) <= most && !pointsOut(text) && !/[`{}<>|]|https?:/.test(text);

/** Pairs of which no side is there twice, and no right side is found by words of its left one. */
function toldApart(pairs: readonly Pair[], { pack }: QuestionMatter): Pair[] {
  const times = (side: 'left' | 'right', text: string) =>
    pairs.filter((pair) => pair[side].toLowerCase() === text.toLowerCase()).length;
  // Figures differ or are the same; words may say the same in other words.
  const isLike = (a: string, b: string) => !/\d/.test(a + b) && alike(a, b, pack);
  const shared = (a: string, b: string) => pack.stems(a).filter((stem) => pack.stems(b).includes(stem)).length;
  const good = pairs.filter(
    ({ left, right }) =>
      times('left', left) === 1 &&
      times('right', right) === 1 &&
      pairs.every((other) => other.left === left || !isLike(right, other.right)) &&
      pairs.every((other) => other.left === left || shared(left, right) <= shared(left, other.right)),
  );
  return spreadOver(good, MOST);
}

const candidateOf = (pairs: readonly Pair[], stem: string, id: string, score: number): Candidate => ({
  form: 'pairs',
  about: allOf(
    id,
    pairs.map(({ about }) => about),
  ),
  stem,
  asks: { kind: 'match', pairs: pairs.map(({ left, right }) => ({ left, right })) },
  quotes: pairs.map(({ about }) => quoteOf(about)),
  level: 'recall',
  difficulty: 0.4,
  score,
  reasons: [`pairs:${pairs.length}`],
});
