import { sameTexts, type CheckLint, type Flaw } from '../lint';
import type { TaskCheck } from './form';

/** Nothing to hold a hand-in against; criteria that say the same, or whose levels are all worth the same. */
export const task: CheckLint<TaskCheck> = ({ criteria, model }, tools) => [
  ...(criteria.length === 0 && model.trim() === '' ? [{ code: 'no-model' as const }] : []),
  ...sameTexts(
    criteria.map(({ text }) => text),
    tools,
  ).map(([, at]): Flaw => ({ code: 'alike', at: criteria[at].id })),
  ...criteria.flatMap(({ id, levels }): Flaw[] =>
    new Set(levels.map(({ points }) => points)).size === 1 ? [{ code: 'levels-same-worth', at: id }] : [],
  ),
];
