import { escape } from '../../document/html';
import { answersHtml, whyHtml, type CheckPage } from '../page';
import type { TruthCheck } from './form';

export const truth: CheckPage<TruthCheck> = (check, view) => {
  const { isTrue, isFalse } = view.words;
  const { answer, quotes, why } = check;
  const rows = [
    { text: isTrue, right: answer },
    { text: isFalse, right: !answer },
  ];
  return answersHtml(rows) + whyHtml(quotes, check, view, { before: why ? `<p>${escape(why)}</p>` : '' });
};
