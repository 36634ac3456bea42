import type { LessonKind, LessonState, PointDoes } from '~~/core/course/course';

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

/** What a lesson is for, in words, with its sign. */
export const LESSON_KIND_WORDS: Record<LessonKind, { label: string; says: string; icon: string }> = {
  idea: { label: 'Idea', says: 'explains what something is', icon: 'i-lucide-lightbulb' },
  procedure: { label: 'Procedure', says: 'shows how something is done', icon: 'i-lucide-footprints' },
  decision: { label: 'Decision', says: 'says what to do in which case', icon: 'i-lucide-signpost' },
  comparison: { label: 'Comparison', says: 'tells things apart', icon: 'i-lucide-scale' },
  practice: { label: 'Practice', says: 'lets the learner do it', icon: 'i-lucide-pencil-ruler' },
  orientation: { label: 'Orientation', says: 'says where one is and what comes', icon: 'i-lucide-compass' },
};

/** What is done at a point of a lesson, in words; what it says where its passages have nothing for that. */
export const POINT_WORDS: Record<PointDoes, { label: string; says: string; lacks: string }> = {
  explain: { label: 'explain', says: 'says how it is', lacks: '' },
  show: { label: 'show', says: 'steps, a table or an example', lacks: 'no steps, table or example to show' },
  weigh: { label: 'weigh', says: 'cases held against each other', lacks: 'no cases to weigh' },
  try: { label: 'try', says: 'a check right behind it', lacks: 'no question found for it yet' },
};

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
