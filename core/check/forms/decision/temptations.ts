import type { Claim } from '../../../knowledge';
import { alike, turnsAlone, type QuestionMatter } from '../form';

const LONGEST = 16;
/** Rules so near to a case in the sources are about it, whatever their words. */
const NEAR = 2;

/**
 * What a lesson says must never be done, as something that could be done in a case: it is wrong in every case, so it
 * can stand beside any answer. The nearest to the case first; none that has nothing to do with it: `place` is where it
 * stands in the sources and, where that is known, among what the lesson says; its words, of which others share so many.
 */
export function temptationsAt(
  place: { id: string; stems: readonly string[]; at?: number; shares: number },
  { lesson, pack }: QuestionMatter,
): Claim[] {
  const own = new Set(place.stems);
  return lesson
    .map((claim, at) => ({ claim, far: place.at === undefined ? at : Math.abs(at - place.at) }))
    .filter(({ claim, far }) => {
      const isNear = claim.ranges[0].id === place.id || (place.at !== undefined && far <= NEAR);
      const shared = () => new Set(pack.stems(claim.rule!.action).filter((stem) => own.has(stem))).size;
      return canBeDone(claim) && (isNear || shared() >= place.shares);
    })
    .sort((a, b) => a.far - b.far)
    .map(({ claim }) => claim);
}

/** Something forbidden without a condition, which said the other way round is a deed that is understood here. */
function canBeDone(claim: Claim): boolean {
  const { rule, leaning, kind } = claim;
  if (!rule?.negative || rule.condition || rule.exception || rule.strength === 'may') return false;
  if ((kind !== 'rule' && kind !== 'warning') || (leaning && leaning !== 'points-within')) return false;
  if (rule.subject !== undefined && !/^you$/i.test(rule.subject)) return false;
  const words = rule.action.split(/\s+/).length;
  return (
    words >= 2 &&
    words <= LONGEST &&
    turnsAlone(claim) &&
    /^[a-z]/i.test(rule.action) &&
    !/\b(?:this|these|those|such|here|there|above|below|I|me|my|us|our)\b|[;:`{}<>|]|https?:/i.test(rule.action)
  );
}

/** Those that differ from one another and from what is said already. */
export function distinct(others: readonly Claim[], from: readonly string[], { pack }: QuestionMatter): Claim[] {
  const taken: Claim[] = [];
  for (const other of others) {
    const said = [...from, ...taken.map(({ rule }) => rule!.action)];
    if (said.every((each) => !alike(each, other.rule!.action, pack))) taken.push(other);
  }
  return taken;
}
