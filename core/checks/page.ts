import type { PageView } from '../blocks/page';
import { escape } from '../document/html';
import type { CheckFrame, Quote } from './check';
import type { Option } from './options';

/** What can be answered to a check of a kind, as HTML for its author: the right answer marked, and why it is. */
export type CheckPage<Kind extends CheckFrame> = (check: Kind, view: PageView) => string;

/** Answers as a list, the right ones marked. */
export function answersHtml(answers: readonly { text: string; right: boolean }[], ordered = false): string {
  const rows = answers.map(({ text, right }) =>
    right ? `<li class="right">${escape(text)} ✓</li>` : `<li>${escape(text)}</li>`,
  );
  return ordered ? `<ol>${rows.join('')}</ol>` : `<ul>${rows.join('')}</ul>`;
}

/** What the sources say to the right answer, with words of the author before it and more behind it, folded. */
export function whyHtml(
  quotes: readonly Quote[],
  { evidence }: Pick<CheckFrame, 'evidence'>,
  view: PageView,
  { before = '', more = '' } = {},
): string {
  const said = quotes.map((quote) =>
    view.cited(`<p>“${escape(quote.text)}”</p>`, quote.passage ? [quote.passage] : evidence),
  );
  const why = [before, ...said, more].join('');
  return why ? `<details><summary>Why</summary>${why}</details>` : '';
}

/** What is said to wrong answers, as a list. */
export function wrongHtml(answers: readonly { text: string; feedback: Option['feedback'] }[]): string {
  const said = answers.flatMap(({ text, feedback }) =>
    feedback.quotes.map((quote) => `<li>${escape(text)}: “${escape(quote.text)}”</li>`),
  );
  return said.length > 0 ? `<ul>${said.join('')}</ul>` : '';
}
