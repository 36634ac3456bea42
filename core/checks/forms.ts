import { FRAME, type Fields } from './check';
import { area, type AreaCheck } from './area/form';
import { choice, type ChoiceCheck } from './choice/form';
import type { CheckForm } from './form';
import { match, type MatchCheck } from './match/form';
import { number, type NumberCheck } from './number/form';
import { open, type OpenCheck } from './open/form';
import { order, type OrderCheck } from './order/form';
import { scenario, type ScenarioCheck } from './scenario/form';
import { several, type SeveralCheck } from './several/form';
import { short, type ShortCheck } from './short/form';
import { sort, type SortCheck } from './sort/form';
import { task, type TaskCheck } from './task/form';
import { truth, type TruthCheck } from './truth/form';

export type { Quote } from './check';
export type { ChoiceCheck } from './choice/form';
export type { Option } from './options';

/** Checks by kind: the one list of what learners can be asked. */
export interface CheckKinds {
  choice: ChoiceCheck;
  several: SeveralCheck;
  truth: TruthCheck;
  order: OrderCheck;
  match: MatchCheck;
  sort: SortCheck;
  number: NumberCheck;
  short: ShortCheck;
  open: OpenCheck;
  area: AreaCheck;
  scenario: ScenarioCheck;
  task: TaskCheck;
}

export type CheckKind = keyof CheckKinds;

/** Anything that asks the learner. */
export type Check = CheckKinds[CheckKind];

const CHECKS: { [Kind in CheckKind]: CheckForm<CheckKinds[Kind]> } = {
  choice,
  several,
  truth,
  order,
  match,
  sort,
  number,
  short,
  open,
  area,
  scenario,
  task,
};

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
export const OWN_CHECK_FIELDS: string[] = [
  ...new Set(
    CHECK_KINDS.flatMap((kind) => {
      const { required, optional } = CHECKS[kind].fields;
      return Object.keys({ ...required, ...optional });
    }),
  ),
];

/** The fields of a check that hold words of its author, with each text put through a function. */
export function rewordedFields(check: Check, change: (words: string) => string): Partial<Check> {
  const { stem, said, picture } = check;
  return {
    stem: change(stem),
    ...(picture?.alt && { picture: { ...picture, alt: change(picture.alt) } }),
    ...(said && {
      said: {
        ...(said.right && { right: change(said.right) }),
        ...(said.wrong && { wrong: change(said.wrong) }),
      },
    }),
    ...checkFormOf(check).reworded(check, change),
  };
}

/** A check's words: what is asked, and all that can be answered, the right answer marked. */
export function checkText(check: Check): string {
  return checkFormOf(check).text(check);
}
