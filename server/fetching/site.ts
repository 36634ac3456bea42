import { parsePage } from '../../core/reading/html/parse';
import { ProblemError } from '../../core/course/problem';
import { addressOf, FETCHING, fetchPage, type Allowed, type Fetched } from './fetch';

/** A page of a site, named by its path below the contents page. */
export interface SitePage {
  name: string;
  bytes: Uint8Array;
}

/**
 * Fetches a section of a site: a contents page and the pages it links to that lie below it, in the order of its links, to a limit.
 * A page that cannot be had is left out; `left` counts those and the ones beyond the limit.
 */
export async function fetchSite(first: Fetched, allowed: Allowed, signal?: AbortSignal): Promise<{ pages: SitePage[]; left: number }> {
  const root = new URL('.', first.address);
  const named = (address: string) => {
    const path = address.slice(root.href.length).replace(/[?#].*$/, '');
    return path === '' || path.endsWith('/') ? `${path}index.html` : path;
  };
  const pages: SitePage[] = [{ name: 'index.html', bytes: first.bytes }];
  const seen = new Set([first.address, root.href]);
  const contents = parsePage(new TextDecoder().decode(first.bytes));
  // Links are named as the pages will be, so that the contents page gives their order.
  for (const link of contents.querySelectorAll('a[href]')) {
    const target = tried(() => addressOf(link.getAttribute('href') ?? '', new URL(first.address)).href);
    if (target?.startsWith(root.href)) link.setAttribute('href', named(target));
  }
  pages[0].bytes = new TextEncoder().encode(contents.documentElement.outerHTML);
  let size = first.bytes.length;
  let left = 0;
  const original = parsePage(new TextDecoder().decode(first.bytes));
  for (const link of original.querySelectorAll('a[href]')) {
    const target = tried(() => addressOf(link.getAttribute('href') ?? '', new URL(first.address)).href);
    if (!target?.startsWith(root.href) || seen.has(target)) continue;
    seen.add(target);
    if (pages.length > FETCHING.pages || size > FETCHING.allBytes) {
      left++;
      continue;
    }
    const page = await fetchPage(target, allowed, signal).catch((error: unknown) => {
      if (error instanceof ProblemError) return undefined;
      throw error;
    });
    if (page?.ending === 'html' && page.address.startsWith(root.href)) {
      pages.push({ name: named(target), bytes: page.bytes });
      size += page.bytes.length;
    } else left++;
  }
  return { pages, left };
}

function tried<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
