import { idFrom } from '../course/id';
import type { PassageRange } from '../course/rich-text';
import { byStem, overlap, stemWeights, weighed } from '../language/similarity';
import type { Claim } from './claim';
import type { Knowledge } from './index';

/** One side of a contradiction: what is said, and where. */
export interface Side {
  sourceId: string;
  ranges: PassageRange[];
  text: string;
}

/** Two places that say nearly the same with another figure, or one forbids what the other asks or allows. */
export interface Contradiction {
  id: string;
  kind: 'figure' | 'polarity';
  /** In the order of the sources. */
  sides: [Side, Side];
  /** How alike the two are otherwise, 0 to 1. */
  likeness: number;
}

/** How alike two sentences must be, beside their figures: across sources, and within one, which seldom contradicts itself. */
const LIKE = { across: 0.62, within: 0.8 };
/** A word that stands on one side only and is this telling (its weight against the sentence's) speaks of another case. */
const OWN_SHARE = 0.3;
/** Stems in more claims than this find no partner. */
const COMMON = 80;

interface Candidate {
  at: number;
  claim: Claim;
  stems: Set<string>;
  /** Values by the stem of the word behind the number. */
  numbers: Map<string, number>;
  weight: number;
}

/**
 * Contradictions within and between sources of one language: rules and figures that are alike in all but a number of the same
 * thing, and rules for the same person, action and condition of which one forbids. They are found to be looked at: whether two
 * cases differ in a way no word tells, only the author knows. Surest first.
 */
export function contradictionsIn(knowledge: readonly Knowledge[]): Contradiction[] {
  const found: Contradiction[] = [];
  for (const code of new Set(knowledge.map((each) => each.pack.code))) {
    const same = knowledge.filter((each) => each.pack.code === code && each.pack.numbers);
    const candidates = candidatesOf(same);
    const weights = stemWeights(candidates);
    for (const candidate of candidates) candidate.weight = weighed(candidate.stems, weights);
    const sharing = byStem(candidates);
    for (const candidate of candidates) {
      const partners = new Set([...candidate.stems].flatMap((stem) => (sharing.get(stem)!.length <= COMMON ? sharing.get(stem)! : [])).filter((other) => other.at > candidate.at));
      for (const other of partners) {
        const contradiction = compared(candidate, other, weights);
        if (contradiction) found.push(contradiction);
      }
    }
  }
  return found.sort((a, b) => b.likeness - a.likeness || (a.id < b.id ? -1 : 1));
}

/** Sentences that claim a rule or a figure and can be understood alone, each once. */
function candidatesOf(knowledge: readonly Knowledge[]): Candidate[] {
  const seen = new Set<string>();
  return knowledge.flatMap(({ claims, pack }) => claims.flatMap((claim) => {
    const place = JSON.stringify(claim.ranges);
    if ((claim.kind !== 'rule' && claim.kind !== 'figure') || claim.leaning || seen.has(place)) return [];
    seen.add(place);
    const found = pack.numbers!(claim.text);
    const bare = found.reduceRight((text, { from, to }) => `${text.slice(0, from)} ${text.slice(to)}`, claim.text);
    const numbers = new Map(found.map(({ value, to }) => [pack.stems(claim.text.slice(to).split(/[.,;:]/)[0])[0] ?? '', value] as const).filter(([unit]) => unit));
    // How strongly it is said is compared apart.
    return [{ claim, stems: new Set(pack.stems(claim.rule?.modal ? bare.replace(claim.rule.modal, ' ') : bare)), numbers }];
  })).map((candidate, at) => ({ ...candidate, at, weight: 0 })).filter((candidate) => candidate.stems.size >= 4);
}

function compared(a: Candidate, b: Candidate, weights: ReadonlyMap<string, number>): Contradiction | undefined {
  const shared = weighed([...a.stems].filter((stem) => b.stems.has(stem)), weights);
  const likeness = shared / (a.weight + b.weight - shared);
  const polarity = polarityDiffers(a.claim, b.claim);
  if (likeness < (a.claim.sourceId === b.claim.sourceId ? LIKE.within : LIKE.across) || (!polarity && !numberDiffers(a, b))) return undefined;
  // "Hand tools" against "power tools": a word of weight on each side that the other has not tells two cases apart.
  if ([[a, b], [b, a]].every(([one, other]) => weighed([...one.stems].filter((stem) => !other.stems.has(stem)), weights) > OWN_SHARE * one.weight * 0.5)) return undefined;
  const sides = [a.claim, b.claim].map(({ sourceId, ranges, text }): Side => ({ sourceId, ranges, text })) as [Side, Side];
  return { id: idFrom('d', ...sides.flatMap((side) => side.ranges.map((range) => `${range.id}/${range.from}`))), kind: polarity ? 'polarity' : 'figure', sides, likeness: Math.round(likeness * 100) / 100 };
}

/** A number of the same thing with another value; and no number that tells the two apart otherwise. */
function numberDiffers(a: Candidate, b: Candidate): boolean {
  const units = [...a.numbers.keys()].filter((unit) => b.numbers.has(unit));
  return units.some((unit) => a.numbers.get(unit) !== b.numbers.get(unit));
}

/** Rules alike in actor, action and condition, of which one forbids what the other asks or allows. */
function polarityDiffers(a: Claim, b: Claim): boolean {
  if (!a.rule || !b.rule || a.rule.negative === b.rule.negative) return false;
  const words = (text: string | undefined) => (text ?? '').toLowerCase().split(/[^\p{L}\p{N}]+/u).filter(Boolean);
  const alike = (x: string | undefined, y: string | undefined, least: number) => (!x && !y) || (x !== undefined && y !== undefined && overlap(words(x), words(y)) >= least);
  return alike(a.rule.action, b.rule.action, 0.75) && alike(a.rule.condition?.text, b.rule.condition?.text, 0.6) && alike(a.rule.subject, b.rule.subject, 0.5);
}
