import { parseHTML } from 'linkedom';

const NOT_VOID = /<([a-z][a-z0-9]*)((?:\s[^<>]*?)?)\s*\/>/gi;
const VOID = new Set([
  'area',
  'base',
  'br',
  'col',
  'embed',
  'hr',
  'img',
  'input',
  'link',
  'meta',
  'source',
  'track',
  'wbr',
]);

/** Parses HTML, or XHTML with its self-closed elements, into a tree without running or loading anything. */
export function parsePage(text: string): Document {
  const opened = /^\s*(<\?xml|<!DOCTYPE[^>]*XHTML)/i.test(text)
    ? text.replace(NOT_VOID, (whole, name: string, attributes: string) =>
        VOID.has(name.toLowerCase()) ? whole : `<${name}${attributes}></${name}>`,
      )
    : text;
  const whole = /<html[\s>]/i.test(opened) ? opened : `<!doctype html><html><head></head><body>${opened}</body></html>`;
  return parseHTML(whole).document as unknown as Document;
}

/** What a page says of itself. */
export function pageAbout(page: Document): { title?: string; language?: string } {
  const title = page.querySelector('head > title')?.textContent?.replace(/\s+/g, ' ').trim();
  const language =
    page.documentElement?.getAttribute('lang') ?? page.documentElement?.getAttribute('xml:lang') ?? undefined;
  return { ...(title && { title }), ...(language && { language }) };
}

/** The part of a page that holds its text: its one `main`, `article` or marked body, else all of it. */
export function pageBody(page: Document): Element {
  for (const selector of ['main', '[role=main]', 'article']) {
    const found = page.querySelectorAll(selector);
    if (found.length === 1 && (found[0].textContent ?? '').length > 0.5 * (page.body?.textContent ?? '').length)
      return found[0];
  }
  return page.body ?? page.documentElement;
}
