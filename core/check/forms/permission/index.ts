import { shortHash } from '../../../document/id';
import type { Claim } from '../../../knowledge';
import {
  isPlainOrder,
  ofClaims,
  pointsOut,
  turnsAlone,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
} from '../form';

/** So many of a lesson: a statement is judged rightly by half of those who only guess. */
const MOST = { drafted: 1, asked: 6 };
/** Words of a rule that is judged as a whole. */
const [SHORTEST, LONGEST] = [6, 26];

/**
 * A statement to be judged by what the source allows or forbids: as it says, or turned into its opposite; which of the
 * two is settled by the claim's id.
 */
export const permissionQuestions: QuestionForm = (matter) =>
  ofClaims(
    (claim) => isPlainRule(claim) || (isPlainOrder(claim) && turnsAlone(claim) && (allows(claim) || forbids(claim))),
    ask,
  )(matter).slice(0, matter.generous ? MOST.asked : MOST.drafted);

/** What a rule for somebody or something else says: short, alone, without what would have to be turned, too. */
function isPlainRule({ kind, rule, text, leaning }: Claim): boolean {
  if (kind !== 'rule' || !rule?.subject || !/^(?:must|shall)(?: not)?$/i.test(rule.modal ?? '')) return false;
  if (rule.condition || rule.exception || rule.deadline || leaning) return false;
  const rest = text.replace(rule.modal!, '');
  const words = text.split(/\s+/).length;
  return (
    words >= SHORTEST &&
    words <= LONGEST &&
    text.split(rule.modal!).length === 2 &&
    /^\p{Lu}|^[/<]/u.test(text) &&
    // "One whole label must come out": one of what was told before.
    !/^(?:an?|one|two|three|some)\b/i.test(text) &&
    !pointsOut(rest) &&
    !/\b(?:not|no|none|only|any\w*|either|ever|at all|never|neither|nor|because|since|if|when|unless|except|also|both)\b|n['’]t\b|[:;`{}|]|https?:/i.test(
      rest,
    )
  );
}

const forbids = ({ rule }: Claim): boolean => rule!.negative && rule!.strength === 'must';
/** "may" that says what is allowed, not what could be or what one might want. */
const allows = ({ rule }: Claim): boolean =>
  !rule!.negative &&
  rule!.strength === 'may' &&
  /^may$/i.test(rule!.modal ?? '') &&
  !/^(?:be|want|wish|like|need|help|find|have)\b/i.test(rule!.action);

function ask(claim: Claim, { pack }: QuestionMatter): Candidate | undefined {
  const { action, modal } = claim.rule!;
  const holds = shortHash(claim.id, 4).charCodeAt(2) % 2 === 0;
  const may = allows(claim) === holds;
  const stem = isPlainRule(claim)
    ? holds
      ? claim.text
      : pack.questions?.turned?.(claim.text, modal!)
    : pack.questions?.allowed?.(action.replace(/[\s.;:,]+$/, ''), may);
  if (!stem) return undefined;
  return {
    form: 'permission',
    about: claim,
    stem,
    asks: { kind: 'truth', holds },
    level: 'recall',
    difficulty: 0.3,
    score: 0.73,
    reasons: [],
  };
}
