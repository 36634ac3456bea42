import mammoth from 'mammoth';
import { fail, ProblemError } from '../../document/problem';
import type { ReadDocument } from '../../source/blocks';
import { parsePage } from '../html/parse';
import { walkHtml } from '../html/walk';
import { takePicture } from '../pictures';
import { repack, textOf, unpack } from '../zip';

const STYLES = [
  "p[style-name='Title'] => h1.title:fresh",
  "p[style-name='Subtitle'] => p:fresh",
  "p[style-name='Quote'] => blockquote > p:fresh",
  "p[style-name='Intense Quote'] => blockquote > p:fresh",
  "p[style-name='Block Text'] => blockquote > p:fresh",
  "p[style-name='Source Code'] => pre:separator('\\n')",
  "p[style-name='HTML Preformatted'] => pre:separator('\\n')",
  "p[style-name='Code'] => pre:separator('\\n')",
  "r[style-name='Verbatim Char'] => code",
  "r[style-name='HTML Code'] => code",
  "r[style-name='Source Text'] => code",
  "p[style-name='Caption'] => figcaption:fresh",
  "p[style-name='Table Caption'] => figcaption:fresh",
  "p[style-name='Image Caption'] => figcaption:fresh",
  "p[style-name='TOC Heading'] => nav:fresh",
  "p[style-name^='toc '] => nav:fresh",
  "p[style-name^='TOC '] => nav:fresh",
  "p[style-name='List Heading'] => dl > dt:fresh",
  "p[style-name='List Contents'] => dl > dd:fresh",
  "p[style-name='Table Heading'] => p.th:fresh",
  "p[style-name='Definition Term'] => p.term:fresh",
];

/**
 * Program text, as one word processor calls it; a text file opened in it is set so as a whole, and then it says
 * nothing.
 */
const PREFORMATTED = "p[style-name='Preformatted Text'] => pre:separator('\\n')";
/** From this share of a document's letters on. */
const WHOLE = 0.6;

/**
 * Reads a Word document: headings, lists with their depth, tables, notes, code and pictures; final text of tracked
 * changes.
 */
export async function readDocx(bytes: Uint8Array): Promise<ReadDocument> {
  const entries = unpack(bytes, (name) => !/\.(bin|vml|emf|wmf)$/i.test(name));
  if (!entries.has('word/document.xml') && ![...entries.keys()].some((name) => /^word\/document\d*\.xml$/.test(name)))
    fail('not-this-format', { format: 'DOCX' });
  for (const name of entries.keys()) if (/\.(xml|rels)$/i.test(name)) textOf(entries, name);
  const media = new Map<string, Uint8Array>();
  const pictures = new Map<string, NonNullable<ReturnType<typeof takePicture>>>();
  const zip = repack(entries);
  const take = async (image: Image) => {
    const data = await image.readAsArrayBuffer();
    const picture = takePicture(media, new Uint8Array(data), image.altText ?? '');
    if (!picture) return { src: '' };
    pictures.set(picture.picture.hash, picture);
    return { src: picture.picture.hash };
  };
  const set = parsePage(await converted(zip, take, [...STYLES, PREFORMATTED]));
  const page =
    letters(set.querySelectorAll('pre')) > letters([set.body]) * WHOLE
      ? parsePage(await converted(zip, take, STYLES))
      : set;
  const titles = page.querySelectorAll('h1.title');
  const title = titles.length === 1 ? (titles[0].textContent ?? '').trim() : undefined;
  if (title) titles[0].remove();
  const blocks = walkHtml(page.body, { picture: (image) => pictures.get(image.getAttribute('src') ?? '') });
  const about = properties(textOf(entries, 'docProps/core.xml'));
  return { ...(title || about.title ? { title: title || about.title } : {}), blocks, media, notices: [] };
}

const letters = (elements: Iterable<Element>): number =>
  [...elements].reduce((sum, element) => sum + (element.textContent ?? '').length, 0);

type Image = { readAsArrayBuffer(): Promise<ArrayBuffer>; altText?: string };

async function converted(
  zip: Uint8Array,
  image: (image: Image) => Promise<{ src: string }>,
  styleMap: readonly string[],
): Promise<string> {
  const buffer = zip.buffer.slice(zip.byteOffset, zip.byteOffset + zip.byteLength);
  try {
    // Node's build of the library takes a Buffer, the browser's an ArrayBuffer; both keys serve both.
    const input = { arrayBuffer: buffer, buffer: globalThis.Buffer?.from(buffer) } as unknown as { buffer: Buffer };
    const result = await mammoth.convertToHtml(input, {
      styleMap,
      convertImage: mammoth.images.imgElement(image as never),
      externalFileAccess: false,
    } as never);
    return result.value;
  } catch (error) {
    if (error instanceof ProblemError) throw error;
    return fail('broken', { format: 'DOCX' }, undefined, error);
  }
}

function properties(xml: string | undefined): { title?: string } {
  const title = /<dc:title>([^<]+)<\/dc:title>/.exec(xml ?? '')?.[1].trim();
  return title ? { title: title.replace(/&amp;/g, '&').replace(/&lt;/g, '<').replace(/&gt;/g, '>') } : {};
}
