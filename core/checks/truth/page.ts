import { escape } from '../../document/html';
import type { CheckPage } from '../page';
import type { TruthCheck } from './form';

export const truth: CheckPage<TruthCheck> = ({ answer, quotes, why, evidence }, view) => {
  const { isTrue, isFalse } = view.words;
  const row = (value: boolean, words: string) =>
    value === answer ? `<li class="right">${escape(words)} ✓</li>` : `<li>${escape(words)}</li>`;
  const said = quotes.map(({ text, passage }) =>
    view.cited(`<p>“${escape(text)}”</p>`, passage ? [passage] : evidence),
  );
  const own = why ? `<p>${escape(why)}</p>` : '';
  return `<ul>${row(true, isTrue)}${row(false, isFalse)}</ul><details><summary>Why</summary>${own}${said.join('')}</details>`;
};
