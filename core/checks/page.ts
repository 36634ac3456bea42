import type { PageView } from '../blocks/page';
import { pictureHtml } from '../blocks/picture/page';
import { escape } from '../document/html';
import type { CheckFrame, CheckPicture, Quote } from './check';
import type { Option } from './options';

/** What can be answered to a check of a kind, as HTML for its author: the right answer marked, and why it is. */
export type CheckPage<Kind extends CheckFrame> = (check: Kind, view: PageView) => string;

/** Answers as a list, the right ones marked; with their pictures where there is a view to show them by. */
export function answersHtml(
  answers: readonly { text: string; picture?: CheckPicture; right: boolean }[],
  { ordered = false, view }: { ordered?: boolean; view?: PageView } = {},
): string {
  const rows = answers.map(({ text, picture, right }) => {
    const said = `${picture && view ? pictureHtml(picture, view) : ''}${escape(text)}`;
    return right ? `<li class="right">${said} ✓</li>` : `<li>${said}</li>`;
  });
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

/** Answers of which several are right, with what is said to each. */
export function severalHtml(
  check: Pick<CheckFrame, 'evidence'> & { options: readonly Option[]; keys: readonly string[] },
  view: PageView,
): string {
  const { options, keys } = check;
  const right = options.filter(({ id }) => keys.includes(id));
  const more = wrongHtml(options.filter((each) => !right.includes(each)));
  return (
    answersHtml(
      options.map(({ id, text, picture }) => ({ text, picture, right: keys.includes(id) })),
      { view },
    ) +
    whyHtml(
      right.flatMap(({ feedback }) => feedback.quotes),
      check,
      view,
      { more },
    )
  );
}
