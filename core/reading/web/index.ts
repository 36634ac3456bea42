import { Readability } from '@mozilla/readability';
import type { ReadDocument } from '../../source/blocks';
import { readHtml } from '../html';
import { pageBody, parsePage } from '../html/parse';
import { decodeText } from '../text/decode';

/** Share of a page's words that cleaning must leave, or the page is taken as it stands. */
const LEAST_LEFT = 0.25;
const FURNITURE =
  'nav, header, footer, aside, [role=navigation], [role=banner], [role=contentinfo], [class*=menu], [class*=sidebar], [class*=cookie], [id*=cookie]';

/** Reads a page that was fetched: its matter without the furniture around it, its title, the day it was written. */
export function readWebPage(bytes: Uint8Array): ReadDocument {
  const page = parsePage(decodeText(bytes).text);
  const published = dayOf(page);
  return { ...readHtml(bytes, webBody), ...(published && { published }) };
}

/**
 * The part of a fetched page that holds its matter. A page that marks it (main, article) is believed; one with
 * furniture around it is cleaned; anything else is taken whole, for cleaning a clean document loses its headings.
 */
export function webBody(page: Document): Element {
  const marked = pageBody(page);
  if (marked !== page.body || !page.querySelector(FURNITURE)) return marked;
  const words = (element: { textContent: string | null } | null) => (element?.textContent ?? '').split(/\s+/).length;
  try {
    const cleaned = new Readability(parsePage(page.documentElement.outerHTML) as never, { keepClasses: true }).parse();
    const body = cleaned?.content ? parsePage(cleaned.content).body : null;
    if (body && words(body) >= LEAST_LEFT * words(page.body)) return body;
  } catch {
    // A page it cannot clean is taken as it stands.
  }
  return marked;
}

/** The day a page says it was published or changed. */
function dayOf(page: Document): string | undefined {
  const said =
    [
      'meta[property="article:modified_time"]',
      'meta[property="article:published_time"]',
      'meta[name="date"]',
      'meta[itemprop="datePublished"]',
    ]
      .map((selector) => page.querySelector(selector)?.getAttribute('content'))
      .find(Boolean) ?? page.querySelector('time[datetime]')?.getAttribute('datetime');
  return /^(\d{4}-\d\d-\d\d)/.exec(said ?? '')?.[1];
}
