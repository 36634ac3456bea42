import type { LessonState } from '~~/core/course/course';

/** Lesson states in the order of the work, with their words. */
export const STATES: { state: LessonState; label: string }[] = [
  { state: 'blank', label: 'Blank' },
  { state: 'drafted', label: 'Drafted' },
  { state: 'in-work', label: 'In work' },
  { state: 'for-review', label: 'For review' },
  { state: 'approved', label: 'Approved' },
];

export function stateLabel(state: LessonState): string {
  return STATES.find((each) => each.state === state)!.label;
}

/** Kinds of claims in words, one and several. */
export const CLAIMS: Record<string, [one: string, several: string]> = {
  rule: ['rule', 'rules'],
  definition: ['term', 'terms'],
  step: ['step', 'steps'],
  figure: ['figure', 'figures'],
  warning: ['warning', 'warnings'],
  reason: ['reason', 'reasons'],
  example: ['example', 'examples'],
  tip: ['tip', 'tips'],
  comparison: ['comparison', 'comparisons'],
  role: ['role', 'roles'],
};

/** "4 rules", "1 term". */
export function counted(count: number, [one, several]: readonly [string, string]): string {
  return `${count} ${count === 1 ? one : several}`;
}
