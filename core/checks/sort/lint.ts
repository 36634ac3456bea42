import { sameTexts, type CheckLint } from '../lint';
import type { SortCheck } from './form';

const FEWEST = 2;

export const sort: CheckLint<SortCheck> = ({ groups, items }, tools) => {
  const used = groups.filter(({ id }) => items.some(({ group }) => group === id));
  return [
    ...(used.length < groups.length
      ? [{ code: 'empty-group' as const, ...(used.length >= FEWEST && { mend: { groups: used } }) }]
      : []),
    ...sameTexts(
      items.map(({ text }) => text),
      tools,
    ).map(([, at]) => ({ code: 'alike' as const, at: items[at].id })),
  ];
};
