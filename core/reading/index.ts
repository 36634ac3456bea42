import { ProblemError, type Problem } from '../document/problem';
import { assemble } from '../source/assemble';
import type { ReadDocument } from '../source/blocks';
import type { Source } from '../source/source';
import { readHtml, readHtmlFolder, type PageFile } from './html';
import { detectLanguage, languageTag } from './language';
import { LIMITS } from './limits';
import type { ReadOptions } from './options';
import { sniff, type FileKind } from './sniff';
import { readText } from './text';
import { readTimed } from './timed';
import { readWebPage, webBody } from './web';

export { LIMITS } from './limits';

/** A file as given, or a folder of HTML pages; fetched from an address, or not. */
export type Given = ({ name: string; bytes: Uint8Array } | { name: string; pages: PageFile[] }) & {
  /** Where it was fetched from: pages of the web are cleaned of what is not their matter. */
  address?: string;
};

export type ReadResult = { ok: true; source: Source; media: Map<string, Uint8Array> } | { ok: false; problem: Problem };

type Reader = (bytes: Uint8Array, options: ReadOptions) => ReadDocument | Promise<ReadDocument>;

/** One reader per format. Those with large libraries are loaded when first used. */
const READERS: Record<FileKind, Reader> = {
  docx: async (bytes) => (await import('./docx')).readDocx(bytes),
  pdf: async (bytes, options) => (await import('./pdf')).readPdf(bytes, options),
  pptx: async (bytes) => (await import('./pptx')).readPptx(bytes),
  epub: async (bytes) => (await import('./epub')).readEpub(bytes),
  markdown: async (bytes) => (await import('./markdown')).readMarkdown(bytes),
  html: (bytes) => readHtml(bytes),
  text: readText,
  vtt: (bytes) => readTimed(bytes),
  srt: (bytes) => readTimed(bytes),
  odt: async (bytes) => (await import('./odf')).readOdf(bytes),
  odp: async (bytes) => (await import('./odf')).readOdf(bytes),
  ods: async (bytes) => (await import('./odf')).readOdf(bytes),
  rtf: async (bytes) => (await import('./rtf')).readRtf(bytes),
  xlsx: async (bytes) => (await import('./xlsx')).readXlsx(bytes),
  csv: async (bytes) => (await import('./csv')).readCsv(bytes),
};

/**
 * Reads a file (or folder of pages) into a source. `id` is the source's id for life. Never throws for a bad file:
 * the problem says what is wrong with it.
 */
export async function readSource(given: Given, id: string, options: ReadOptions = {}): Promise<ReadResult> {
  try {
    const { kind, document } = await read(given, options);
    const language = settledLanguage(document);
    const source = assemble({ ...document, language }, { id, kind, title: titleFromName(given.name), language });
    if (source.passages.length === 0) return { ok: false, problem: { code: 'no-text', place: given.name } };
    const origin = {
      ...(given.address && { address: given.address }),
      ...(document.published && { published: document.published }),
    };
    return { ok: true, source: { ...source, ...origin }, media: document.media };
  } catch (error) {
    if (error instanceof ProblemError)
      return { ok: false, problem: { ...error.problem, place: error.problem.place ?? given.name } };
    return {
      ok: false,
      problem: { code: 'broken', parameters: { format: given.name.split('.').pop() ?? '' }, place: given.name },
    };
  }
}

async function read(given: Given, options: ReadOptions): Promise<{ kind: FileKind; document: ReadDocument }> {
  if ('pages' in given) {
    if (given.pages.length === 0) throw new ProblemError({ code: 'no-pages' });
    return { kind: 'html', document: readHtmlFolder(given.pages, given.address ? webBody : undefined) };
  }
  if (given.bytes.length > LIMITS.fileBytes) {
    throw new ProblemError({
      code: 'file-too-big',
      parameters: { megabytes: Math.ceil(given.bytes.length / 1048576), limit: LIMITS.fileBytes / 1048576 },
    });
  }
  const kind = sniff(given.name, given.bytes);
  return {
    kind,
    document: await (kind === 'html' && given.address ? readWebPage(given.bytes) : READERS[kind](given.bytes, options)),
  };
}

/**
 * What the text is written in; what the document says of itself counts when it agrees, or the text is too short to
 * tell.
 */
function settledLanguage(document: ReadDocument): string {
  const said = languageTag(document.language);
  const found = detectLanguage(document.blocks);
  return said && (found === 'und' || said.split('-')[0] === found) ? said : found;
}

function titleFromName(name: string): string {
  const base = name.replace(/\/+$/, '').split('/').pop() ?? name;
  return (
    base
      .replace(/\.[a-z0-9]+$/i, '')
      .replace(/[_-]+/g, ' ')
      .trim() || base
  );
}
