import { answersHtml, whyHtml, type CheckPage } from '../page';
import type { OpenCheck } from './form';

export const open: CheckPage<OpenCheck> = (check, view) =>
  answersHtml([check.model, ...check.looksFor].filter(Boolean).map((text) => ({ text, right: true }))) +
  whyHtml(check.quotes, check, view);
