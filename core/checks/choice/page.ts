import { escape } from '../../document/html';
import type { CheckPage } from '../page';
import type { ChoiceCheck } from './form';

export const choice: CheckPage<ChoiceCheck> = ({ options, key, evidence }, view) => {
  const rows = options.map(({ id, text }) =>
    id === key ? `<li class="right">${escape(text)} ✓</li>` : `<li>${escape(text)}</li>`,
  );
  const right = options.find(({ id }) => id === key)!;
  const quotes = right.feedback.quotes.map((quote) =>
    view.cited(`<p>“${escape(quote.text)}”</p>`, quote.passage ? [quote.passage] : evidence),
  );
  const why = options
    .filter((each) => each !== right)
    .flatMap(({ text, feedback }) =>
      feedback.quotes.map((quote) => `<li>${escape(text)}: “${escape(quote.text)}”</li>`),
    );
  const more = why.length > 0 ? `<ul>${why.join('')}</ul>` : '';
  return `<ul>${rows.join('')}</ul><details><summary>Why</summary>${quotes.join('')}${more}</details>`;
};
