import { shortHash } from '../../../core/document/id';
import { parsePage } from '../../../core/reading/html/parse';
import { ProblemError } from '../../../core/document/problem';
import { addressOf, FETCHING, type Fetched } from './fetch';
import type { PageService } from './index';

/** A page of a site, named by its path below the contents page. */
export interface SitePage {
  name: string;
  bytes: Uint8Array;
}

/**
 * Fetches a section of a site: a contents page and the pages it links to that lie below it, in the order of its links,
 * to limits of pages, bytes and time. A page that cannot be had is left out; `left` counts those and the ones beyond
 * the limits.
 */
export async function fetchSite(
  first: Fetched,
  web: PageService,
  signal?: AbortSignal,
): Promise<{ pages: SitePage[]; left: number }> {
  const root = new URL('.', first.address);
  const late = AbortSignal.timeout(FETCHING.siteSeconds * 1000);
  const ended = AbortSignal.any([late, ...(signal ? [signal] : [])]);
  const named = pageNames(root.href, first.address);
  const pages: SitePage[] = [{ name: named(first.address), bytes: first.bytes }];
  const seen = new Set([first.address, root.href]);
  const contents = parsePage(new TextDecoder().decode(first.bytes));
  const links = [...contents.querySelectorAll('a[href]')].flatMap((link) => {
    const target = tried(() => addressOf(link.getAttribute('href') ?? '', new URL(first.address)).href);
    return target?.startsWith(root.href) ? [{ link, target }] : [];
  });
  // Links are named as the pages will be, so that the contents page gives their order.
  for (const { link, target } of links) link.setAttribute('href', encodeURI(named(target)));
  pages[0].bytes = new TextEncoder().encode(contents.documentElement.outerHTML);
  let size = first.bytes.length;
  let left = 0;
  for (const { target } of links) {
    if (seen.has(target)) continue;
    seen.add(target);
    if (pages.length > FETCHING.pages || size > FETCHING.allBytes || late.aborted) {
      left++;
      continue;
    }
    const page = await web.fetch(target, ended).catch((error: unknown) => {
      // Out of time: what came until then is used, the rest is counted.
      if (error instanceof ProblemError || late.aborted) return undefined;
      throw error;
    });
    if (page?.ending === 'html' && page.address.startsWith(root.href)) {
      pages.push({ name: named(target), bytes: page.bytes });
      size += page.bytes.length;
    } else left++;
  }
  return { pages, left };
}

/** Bytes that a part of a name may have; file systems take 255. */
const PART = 100;

/**
 * Names for the pages below an address: its path, as any file system takes it (no part too long, none that is a folder
 * and a page at once), and no name twice. The contents page is the index.
 */
function pageNames(root: string, contents: string): (address: string) => string {
  const names = new Map([
    [contents, 'index.html'],
    [root, 'index.html'],
  ]);
  const taken = new Set(['index.html']);
  return (address) => {
    const known = names.get(address);
    if (known) return known;
    const path = address.slice(root.length).replace(/[?#].*$/, '');
    const parts = (path === '' || path.endsWith('/') ? `${path}index.html` : path)
      .split('/')
      .filter((part) => part !== '' && part !== '.' && part !== '..')
      .map(shortPart);
    const page = parts.pop() ?? 'index.html';
    // Folders end as no page does.
    const folders = parts.map((part) => `${part.replace(/\.x?html?$/i, '')}_`);
    const whole = [...folders, /\.x?html?$/i.test(page) ? page : `${page}.html`].join('/');
    let name = whole;
    for (let times = 2; taken.has(name.toLowerCase()); times++) name = whole.replace(/(\.x?html?)$/i, `-${times}$1`);
    taken.add(name.toLowerCase());
    names.set(address, name);
    return name;
  };
}

function shortPart(part: string): string {
  const safe = part.replace(/[^\w.~-]+/g, '_');
  return safe.length <= PART
    ? safe
    : `${safe.slice(0, PART - 14)}-${shortHash(part, 8)}${/\.x?html?$/i.exec(safe)?.[0] ?? ''}`;
}

function tried<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
