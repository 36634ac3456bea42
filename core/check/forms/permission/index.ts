import { shortHash } from '../../../document/id';
import type { Claim } from '../../../knowledge';
import { isPlainOrder, ofClaims, turnsAlone, type Candidate, type QuestionForm, type QuestionMatter } from '../form';

/** So many of a lesson: a statement is judged by half of those who only guess. */
const MOST = 2;

/**
 * A statement to be judged by what the source allows or forbids: as it says, or turned into its opposite; which of the
 * two is settled by the claim's id.
 */
export const permissionQuestions: QuestionForm = (matter) =>
  ofClaims(
    (claim) => isPlainOrder(claim) && turnsAlone(claim) && (allows(claim) || forbids(claim)),
    ask,
  )(matter).slice(0, MOST);

const forbids = ({ rule }: Claim): boolean => rule!.negative && rule!.strength === 'must';
/** "may" that says what is allowed, not what could be or what one might want. */
const allows = ({ rule }: Claim): boolean =>
  !rule!.negative &&
  rule!.strength === 'may' &&
  /^may$/i.test(rule!.modal ?? '') &&
  !/^(?:be|want|wish|like|need|help|find|have)\b/i.test(rule!.action);

function ask(claim: Claim, { pack }: QuestionMatter): Candidate | undefined {
  const { action } = claim.rule!;
  const holds = shortHash(claim.id, 4).charCodeAt(2) % 2 === 0;
  const may = allows(claim) === holds;
  const stem = pack.questions?.allowed?.(action.replace(/[\s.;:,]+$/, ''), may);
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
