import { tables } from '@joplin/turndown-plugin-gfm';
import TurndownService from 'turndown';

/**
 * Formatted text from the clipboard as Markdown: headings, lists, tables, emphasis and links stay, everything else
 * goes.
 */
export function markdownOf(html: string): string {
  const service = new TurndownService({
    headingStyle: 'atx',
    bulletListMarker: '-',
    codeBlockStyle: 'fenced',
    emDelimiter: '*',
  });
  service.use(tables);
  service.remove(['script', 'style', 'noscript', 'title', 'head', 'meta', 'link', 'button', 'form', 'iframe'] as never);
  service.addRule('noPictures', { filter: 'img', replacement: (_, node) => (node as HTMLImageElement).alt });
  // Some programs wrap all they copy into one bold element that means nothing.
  const page = new DOMParser().parseFromString(html, 'text/html');
  for (const wrapper of page.querySelectorAll('b[style*="font-weight:normal"], b[style*="font-weight: normal"]'))
    wrapper.replaceWith(...wrapper.childNodes);
  return service
    .turndown(page.body)
    .replace(/\n{3,}/g, '\n\n')
    .trim();
}
