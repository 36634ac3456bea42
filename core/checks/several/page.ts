import { answersHtml, whyHtml, wrongHtml, type CheckPage } from '../page';
import type { SeveralCheck } from './form';

export const several: CheckPage<SeveralCheck> = (check, view) => {
  const { options, keys } = check;
  const right = options.filter(({ id }) => keys.includes(id));
  const more = wrongHtml(options.filter((each) => !right.includes(each)));
  return (
    answersHtml(options.map(({ id, text }) => ({ text, right: keys.includes(id) }))) +
    whyHtml(
      right.flatMap(({ feedback }) => feedback.quotes),
      check,
      view,
      { more },
    )
  );
};
