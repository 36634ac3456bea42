import { fail } from '../../document/problem';
import type { ReadBlock, ReadDocument } from '../../source/blocks';
import { pageBody, parsePage } from '../html/parse';
import { walkHtml } from '../html/walk';
import { takePicture } from '../pictures';
import { all, first, xmlOf } from '../xml';
import { relativeTo, textOf, unpack } from '../zip';

/** Reads an EPUB in the order of its spine; contents pages and indexes are left out. */
export function readEpub(bytes: Uint8Array): ReadDocument {
  const entries = unpack(bytes, (name) => !/\.(ttf|otf|woff2?|mp3|mp4|m4a|css|js)$/i.test(name));
  if (
    entries.has('META-INF/encryption.xml') &&
    /EncryptedData[\s\S]*\.x?html/i.test(textOf(entries, 'META-INF/encryption.xml') ?? '')
  )
    fail('password');
  const container = xmlOf(entries, 'META-INF/container.xml');
  const packagePart = first(container, 'rootfile')?.getAttribute('full-path');
  const book = packagePart ? xmlOf(entries, packagePart) : undefined;
  if (!packagePart || !book) fail('not-this-format', { format: 'EPUB' });
  const manifest = new Map(all(book, 'item').map((item) => [item.getAttribute('id') ?? '', item]));
  const media = new Map<string, Uint8Array>();
  const blocks: ReadBlock[] = [];
  for (const reference of all(book, 'itemref')) {
    const item = manifest.get(reference.getAttribute('idref') ?? '');
    if (!item || /\bnav\b/.test(item.getAttribute('properties') ?? '')) continue;
    const part = relativeTo(packagePart, decodeURI(item.getAttribute('href') ?? ''));
    const text = textOf(entries, part);
    if (text === undefined || !/html/i.test(item.getAttribute('media-type') ?? '')) continue;
    const page = parsePage(text);
    const body = pageBody(page);
    if (isListOfLinks(body)) continue;
    blocks.push(
      ...walkHtml(body, {
        place: { file: part },
        keys: `${part}#`,
        picture: (image) =>
          takePicture(
            media,
            entries.get(relativeTo(part, image.getAttribute('src') ?? '')),
            image.getAttribute('alt') ?? '',
          ),
      }),
    );
  }
  const title = first(book, 'dc:title')?.textContent?.trim();
  const language = first(book, 'dc:language')?.textContent?.trim();
  return { ...(title && { title }), ...(language && { language }), blocks, media, notices: [] };
}

/** A contents page or an index: nearly all its text is links. */
function isListOfLinks(body: Element): boolean {
  const length = (text: string | null) => (text ?? '').replace(/\s+/g, '').length;
  const links = [...body.querySelectorAll('a[href]')];
  const linked = links.reduce((sum, link) => sum + length(link.textContent), 0);
  return links.length >= 8 && linked > 0.75 * length(body.textContent);
}
