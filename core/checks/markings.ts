import { idFrom } from '../document/id';
import { choice, type ChoiceSecret, type ChoiceView } from './choice/marking';
import type { Check, CheckKind, CheckKinds } from './forms';
import type { BitReader, BitWriter, CheckMarking, Feedback, Interaction, Mark } from './marking';
import { truth, type TruthSecret } from './truth/marking';

export type { BitReader, BitWriter, Feedback, Interaction, Mark } from './marking';

/** What a learner gets of a check of each kind, and what is kept from them. */
export interface CheckViews {
  choice: ChoiceView;
  truth: object;
}
interface CheckSecrets {
  choice: ChoiceSecret;
  truth: TruthSecret;
}

/** A check as a learner gets it: no key, no feedback, no evidence. */
export type LearnerCheck = {
  [Kind in CheckKind]: { id: string; kind: Kind; stem: string } & CheckViews[Kind];
}[CheckKind];

/** What marking needs of a check; it is kept away from the learner until it may be seen. */
export type Secret = { [Kind in CheckKind]: { kind: Kind } & CheckSecrets[Kind] }[CheckKind];

type Marking = CheckMarking<Check, unknown, unknown, unknown>;

// The responses of a kind are its own matter: outside of its folder nobody looks into one.
const MARKINGS: { [Kind in CheckKind]: CheckMarking<CheckKinds[Kind], CheckViews[Kind], CheckSecrets[Kind], never> } = {
  choice: choice as CheckMarking<CheckKinds['choice'], ChoiceView, ChoiceSecret, never>,
  truth: truth as CheckMarking<CheckKinds['truth'], object, TruthSecret, never>,
};
const markingOf = ({ kind }: { kind: CheckKind }) => MARKINGS[kind] as unknown as Marking;

/** A check as a learner gets it, and what is kept from them. `mixed` settles the ids a learner sees. */
export function splitCheck(check: Check, mixed: string): { view: LearnerCheck; secret: Secret } {
  const { id, kind, stem } = check;
  const mix = (own: string) => idFrom('a', mixed, id, own);
  const marking = markingOf(check);
  return {
    view: { id, kind, stem, ...(marking.view(check, mix) as object) } as LearnerCheck,
    secret: { kind, ...(marking.secret(check, mix) as object) } as Secret,
  };
}

/** Marks a response: the one scoring of app and packages. Undefined when it is none to this check. */
export function mark(secret: Secret, response: unknown): Mark | undefined {
  const marking = markingOf(secret);
  const read = marking.read(response, secret);
  return read === undefined ? undefined : marking.mark(secret, read);
}

/** The right response and what is said to it, for when nothing can be won by knowing it. */
export function solutionOf(secret: Secret): { response: unknown; feedback?: Feedback } {
  return markingOf(secret).solution(secret);
}

/** Writes a response into a packed state, and reads it back; undefined for one that could not be kept. */
export function packResponse(view: LearnerCheck, response: unknown, bits: BitWriter): void {
  markingOf(view).pack(view, response, bits);
}
export function unpackResponse(view: LearnerCheck, bits: BitReader): unknown {
  return markingOf(view).unpack(view, bits);
}

/** A response as reports of learning platforms name it. */
export function interactionOf(view: LearnerCheck, response: unknown): Interaction | undefined {
  return markingOf(view).interaction(view, response);
}
