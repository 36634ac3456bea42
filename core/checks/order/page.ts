import { answersHtml, whyHtml, type CheckPage } from '../page';
import type { OrderCheck } from './form';

export const order: CheckPage<OrderCheck> = (check, view) =>
  answersHtml(
    check.items.map(({ text }) => ({ text, right: true })),
    { ordered: true },
  ) + whyHtml(check.quotes, check, view);
