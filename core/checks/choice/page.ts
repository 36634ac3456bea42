import { answersHtml, whyHtml, wrongHtml, type CheckPage } from '../page';
import type { ChoiceCheck } from './form';

export const choice: CheckPage<ChoiceCheck> = (check, view) => {
  const { options, key } = check;
  const right = options.find(({ id }) => id === key)!;
  return (
    answersHtml(
      options.map(({ id, text, picture }) => ({ text, picture, right: id === key })),
      { view },
    ) + whyHtml(right.feedback.quotes, check, view, { more: wrongHtml(options.filter((each) => each !== right)) })
  );
};
