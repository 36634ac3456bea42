import { answersHtml, whyHtml, type CheckPage } from '../page';
import type { SortCheck } from './form';

export const sort: CheckPage<SortCheck> = (check, view) =>
  answersHtml(
    check.groups.flatMap(({ id, text }) =>
      check.items.filter(({ group }) => group === id).map((item) => ({ text: `${text}: ${item.text}`, right: true })),
    ),
  ) + whyHtml(check.quotes, check, view);
