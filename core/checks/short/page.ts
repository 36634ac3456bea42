import { answersHtml, whyHtml, type CheckPage } from '../page';
import type { ShortCheck } from './form';

export const short: CheckPage<ShortCheck> = (check, view) =>
  answersHtml(check.accepted.map((text) => ({ text, right: true }))) + whyHtml(check.quotes, check, view);
