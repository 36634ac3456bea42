import type { ReadBlock, ReadDocument } from '../../source/blocks';
import { pictureFrom } from '../pictures';
import { relativeTo } from '../zip';
import { decodeText } from '../text/decode';
import { pageAbout, pageBody, parsePage } from './parse';
import { walkHtml } from './walk';

/** Reads one HTML file; `bodyOf` finds the part of a page that holds its matter. */
export function readHtml(bytes: Uint8Array, bodyOf: (page: Document) => Element = pageBody): ReadDocument {
  const { text, notices } = decodeText(bytes);
  const page = parsePage(text);
  const about = pageAbout(page);
  // A page's title often carries the site's name; its one main heading does not.
  const headings = page.querySelectorAll('h1');
  const heading = headings.length === 1 ? (headings[0].textContent ?? '').replace(/\s+/g, ' ').trim() : '';
  if (heading && about.title?.includes(heading)) about.title = heading;
  const media = new Map<string, Uint8Array>();
  return { ...about, blocks: walkHtml(bodyOf(page), { picture: pictureFrom(media) }), media, notices };
}

/** A page of a folder, or a picture beside pages, with its name relative to the folder. */
export interface PageFile {
  name: string;
  bytes: Uint8Array;
}

/**
 * Reads a folder of pages as one source: in the order, and at the depth, in which its contents page (index.html, or the
 * page that links to most others) links to them. Pages it does not link to follow by name; pictures among the files
 * stand where pages show them.
 */
export function readHtmlFolder(
  files: readonly PageFile[],
  bodyOf: (page: Document) => Element = pageBody,
): ReadDocument {
  const pages = new Map(
    files
      .filter((file) => /\.x?html?$/i.test(file.name))
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .map((file) => [file.name, parsePage(decodeText(file.bytes).text)] as const),
  );
  const contents = contentsPage(pages);
  const depths = linkedPages(contents, pages);
  for (const name of pages.keys()) if (!depths.has(name)) depths.set(name, 1);
  const about = pageAbout(pages.get(contents)!);
  const blocks: ReadBlock[] = [];
  const media = new Map<string, Uint8Array>();
  const bytesOf = new Map(files.map((file) => [file.name, file.bytes]));
  for (const [name, depth] of depths) {
    const walked = walkHtml(bodyOf(pages.get(name)!), {
      place: { file: name },
      keys: `${name}#`,
      picture: pictureFrom(media, (address) => bytesOf.get(relativeTo(name, decoded(address)))),
    });
    const first = walked.find((block) => block.kind === 'heading');
    // A page's first heading lies as deep as the contents page says; its others keep their distance to it.
    const shift = first?.kind === 'heading' && name !== contents ? depth - first.level : 0;
    for (const block of walked) {
      if (block.kind !== 'heading') blocks.push(block);
      else blocks.push({ ...block, level: Math.max(name === contents ? 1 : depth, block.level + shift) });
    }
  }
  const own = blocks.findIndex((block) => block.kind === 'heading' && block.file === contents);
  const title = own >= 0 ? (blocks[own] as { text: string }).text : about.title;
  if (own >= 0) blocks.splice(own, 1);
  return { ...about, ...(title && { title }), blocks, media, notices: [] };
}

function contentsPage(pages: ReadonlyMap<string, Document>): string {
  const index = [...pages.keys()].find((name) => /^index\.x?html?$/i.test(name));
  if (index) return index;
  const ranked = [...pages].map(([name, page]) => ({ name, links: localLinks(name, page, pages).length }));
  return ranked.sort((a, b) => b.links - a.links || (a.name < b.name ? -1 : 1))[0].name;
}

function linkedPages(contents: string, pages: ReadonlyMap<string, Document>): Map<string, number> {
  const depths = new Map<string, number>([[contents, 1]]);
  for (const link of localLinks(contents, pages.get(contents)!, pages)) {
    if (!depths.has(link.name)) depths.set(link.name, link.depth);
  }
  return depths;
}

function localLinks(
  from: string,
  page: Document,
  pages: ReadonlyMap<string, Document>,
): { name: string; depth: number }[] {
  return [...page.querySelectorAll('a[href]')].flatMap((link) => {
    const href = link.getAttribute('href') ?? '';
    if (/^[a-z][a-z0-9+.-]*:/i.test(href)) return [];
    const name = relativeTo(from, decoded(/^[^#?]*/.exec(href)![0]));
    return pages.has(name) && name !== from ? [{ name, depth: depthOf(link) }] : [];
  });
}

/** How many lists a link of the contents page lies in: its place in the tree of pages. */
function depthOf(link: Element): number {
  let depth = 0;
  for (let node = link.parentElement; node; node = node.parentElement) {
    if (node.localName === 'ul' || node.localName === 'ol' || node.localName === 'dl') depth++;
  }
  return Math.max(1, depth);
}

function decoded(address: string): string {
  try {
    return decodeURIComponent(address);
  } catch {
    return address;
  }
}
