import { FRAME, type Fields } from './check';
import { choice, type ChoiceCheck } from './choice/form';
import type { CheckForm } from './form';
import { truth, type TruthCheck } from './truth/form';

export type { Quote } from './check';
export type { ChoiceCheck, Option } from './choice/form';

/** Checks by kind: the one list of what learners can be asked. */
export interface CheckKinds {
  choice: ChoiceCheck;
  truth: TruthCheck;
}

export type CheckKind = keyof CheckKinds;

/** Anything that asks the learner. */
export type Check = CheckKinds[CheckKind];

const CHECKS: { [Kind in CheckKind]: CheckForm<CheckKinds[Kind]> } = { choice, truth };

export const CHECK_KINDS = Object.keys(CHECKS) as CheckKind[];

/** What is known of a check's kind, whatever the kind. */
export function checkFormOf(check: Pick<Check, 'kind'>): CheckForm<Check> {
  return CHECKS[check.kind] as unknown as CheckForm<Check>;
}

/** All fields of checks of a kind, the frame's among them. */
export function checkFields(kind: CheckKind): Required<Fields> {
  const { required, optional } = CHECKS[kind].fields;
  return { required: { ...FRAME.required, ...required }, optional: { ...FRAME.optional, ...optional } };
}

/** Names of the fields that only some kind of check has. */
export const OWN_CHECK_FIELDS: string[] = CHECK_KINDS.flatMap((kind) => {
  const { required, optional } = CHECKS[kind].fields;
  return Object.keys({ ...required, ...optional });
});

/** A check's words: what is asked, and all that can be answered, the right answer marked. */
export function checkText(check: Check): string {
  return checkFormOf(check).text(check);
}
