import type { RichText, TextMark } from '../../document/rich-text';
import { escape } from '../../document/html';

/** What the page does with a sentence that has a source, given its words as HTML. */
export type Cite = (html: string, mark: Extract<TextMark, { type: 'evidence' }>) => string;

/** Rich text as HTML; runs of one sentence are cited together. */
export function richHtml(rich: RichText, cite: Cite): string {
  let html = '';
  for (let at = 0; at < rich.length;) {
    const evidence = evidenceOf(rich[at].marks);
    let inner = '';
    let end = at;
    while (end < rich.length && evidenceOf(rich[end].marks)?.attrs.id === evidence?.attrs.id)
      inner += runHtml(rich[end].text, rich[end++].marks ?? []);
    html += evidence ? cite(inner, evidence) : inner;
    at = end;
  }
  return html;
}

function runHtml(text: string, marks: readonly TextMark[]): string {
  return [...marks].reverse().reduce((inner, mark) => {
    switch (mark.type) {
      case 'strong':
        return `<strong>${inner}</strong>`;
      case 'emphasis':
        return `<em>${inner}</em>`;
      case 'code':
        return `<code>${inner}</code>`;
      case 'link':
        return `<a href="${escape(mark.attrs.href)}">${inner}</a>`;
      case 'connecting':
        return `<span class="connecting">${inner}</span>`;
      default:
        return inner;
    }
  }, escape(text));
}

function evidenceOf(marks: readonly TextMark[] | undefined): Extract<TextMark, { type: 'evidence' }> | undefined {
  return marks?.find((mark): mark is Extract<TextMark, { type: 'evidence' }> => mark.type === 'evidence');
}
