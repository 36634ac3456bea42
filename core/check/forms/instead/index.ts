import { shortHash } from '../../../document/id';
import type { Claim } from '../../../knowledge';
import { ofClaims, pointsOut, type Candidate, type QuestionForm, type QuestionMatter } from '../form';

/** So many of a lesson. */
const MOST = { drafted: 1, asked: 6 };
const LONGEST = 30;

/**
 * "This, not that": the source itself says what is tempting. A statement of the one or of the other is judged; which of
 * them is settled by the claim's id.
 */
export const insteadQuestions: QuestionForm = (matter) =>
  ofClaims(isTold, ask)(matter).slice(0, matter.generous ? MOST.asked : MOST.drafted);

/** An order or rule that is understood alone. */
const isTold = ({ kind, rule, leaning, text }: Claim): boolean =>
  (kind === 'rule' || kind === 'step' || kind === 'warning') &&
  rule !== undefined &&
  !rule.negative &&
  !rule.condition &&
  !leaning &&
  text.split(/\s+/).length <= LONGEST;

function ask(claim: Claim, { pack, title }: QuestionMatter): Candidate | undefined {
  const holds = shortHash(claim.id, 4).charCodeAt(1) % 2 === 0;
  const isOrder = claim.text.toLowerCase().startsWith(claim.rule!.action.slice(0, 12).toLowerCase());
  const stem = pack.questions?.instead?.(claim.text, title, isOrder, !holds);
  if (!stem || pointsOut(stem)) return undefined;
  return {
    form: 'instead',
    about: claim,
    stem,
    asks: { kind: 'truth', holds },
    level: 'apply',
    difficulty: 0.3,
    score: 0.76,
    reasons: [],
  };
}
