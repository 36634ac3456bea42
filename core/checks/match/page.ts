import { answersHtml, whyHtml, type CheckPage } from '../page';
import type { MatchCheck } from './form';

export const match: CheckPage<MatchCheck> = (check, view) =>
  answersHtml([
    ...check.pairs.map(({ left, right }) => ({ text: `${left} → ${right}`, right: true })),
    ...check.others.map(({ text }) => ({ text, right: false })),
  ]) + whyHtml(check.quotes, check, view);
