import { answersHtml, whyHtml, wrongHtml, type CheckPage } from '../page';
import { number as form, type NumberCheck } from './form';

export const number: CheckPage<NumberCheck> = (check, view) => {
  const [, answer] = form.text(check).split('\n\u2713 ');
  const more = wrongHtml(check.known.map(({ value, feedback }) => ({ text: String(value), feedback })));
  return answersHtml([{ text: answer, right: true }]) + whyHtml(check.quotes, check, view, { more });
};
