import { formOf, mapBlockTexts, type Block } from '../blocks/forms';
import { textOf, type RichText } from '../document/rich-text';
import type { Change } from '../language/change';
import type { LanguagePack } from '../language/pack';
import { applyChanges } from '../document/reworded';
import { TOWARDS, type Aim } from './aims';
import { refusalOf, type Refusal } from './guard';

export { AIMS, type Aim } from './aims';

/** What a block could be changed to: the block, and each sentence that would read otherwise. */
export interface Proposal {
  block: string;
  becomes: Block;
  changes: { was: string; now: string }[];
  /** Sentences that could be changed, and would say something else then. */
  kept: { text: string; why: Refusal }[];
}

/**
 * Proposals for blocks towards an aim: exact ranges of sentences changed by named, safe changes, each held against what
 * the sentence says. Blocks for which nothing safe can be done have none. `undefined` where the language has no such
 * changes.
 */
export function proposals(blocks: readonly Block[], aim: Aim, pack: LanguagePack): Proposal[] | undefined {
  if (!pack.rewriting || !pack.facts) return undefined;
  return blocks.flatMap((block): Proposal[] => {
    // Headings, code and what stands on pictures are names and things, no sentences.
    if (block.kind === 'heading' || formOf(block).evidence !== undefined) return [];
    const changes: Proposal['changes'] = [];
    const kept: Proposal['kept'] = [];
    const becomes = mapBlockTexts(block, (text) => {
      const made = changesIn(text, aim, pack);
      changes.push(...made.changed);
      kept.push(...made.kept);
      return made.changed.length > 0 ? applyChanges(text, made.changes) : text;
    });
    return changes.length > 0 || kept.length > 0 ? [{ block: block.id, becomes, changes, kept }] : [];
  });
}

/** Longer than this in characters, it is no sentence of a person, and nothing is looked for in it. */
const LONGEST = 1500;

function changesIn(
  rich: RichText,
  aim: Aim,
  pack: LanguagePack,
): { changes: Change[]; changed: Proposal['changes']; kept: Proposal['kept'] } {
  const text = textOf(rich);
  const closed = closedRanges(rich, text);
  const [changes, changed, kept] = [[] as Change[], [] as Proposal['changes'], [] as Proposal['kept']];
  for (const { from, to } of pack.sentences(text)) {
    const sentence = text.slice(from, to);
    if (sentence.length > LONGEST) continue;
    const facts = pack.facts!(sentence, pack.tags?.(sentence) ?? []);
    const own = withoutOverlaps(TOWARDS[aim].flatMap((kind) => pack.rewriting![kind](sentence, facts))).filter(
      (change) => closed.every((range) => change.to + from <= range.from || change.from + from >= range.to),
    );
    if (own.length === 0) continue;
    const now = made(sentence, own);
    const why = refusalOf(sentence, now, own, pack);
    if (why) kept.push({ text: sentence, why });
    else {
      changed.push({ was: sentence, now });
      changes.push(...own.map((change) => ({ ...change, from: change.from + from, to: change.to + from })));
    }
  }
  return { changes, changed, kept };
}

const made = (text: string, changes: readonly Change[]): string => {
  let at = 0;
  let words = '';
  for (const change of changes) {
    words += text.slice(at, change.from) + change.with;
    at = change.to;
  }
  return words + text.slice(at);
};

/** In order, the first of two that meet. */
function withoutOverlaps(changes: readonly Change[]): Change[] {
  const kept: Change[] = [];
  for (const change of changes)
    if (kept.every((other) => change.to <= other.from || change.from >= other.to)) kept.push(change);
  return kept.sort((a, b) => a.from - b.from);
}

/**
 * What is not touched: code, words of ours, words of somebody else in quotation marks,
 * and the places where two runs meet.
 */
function closedRanges(rich: RichText, text: string): { from: number; to: number }[] {
  const ranges = [...text.matchAll(/["“«][^"“”«»]*["”»]/g)].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
  }));
  let at = 0;
  for (const run of rich) {
    const end = at + run.text.length;
    if (run.marks?.some(({ type }) => type === 'code' || type === 'connecting')) ranges.push({ from: at, to: end });
    // A change lies within one run.
    if (at > 0) ranges.push({ from: at, to: at });
    at = end;
  }
  return ranges;
}
