import { getDocumentProxy } from 'unpdf';
import { fail, ProblemError } from '../../document/problem';
import type { ReadDocument } from '../../source/blocks';
import { folded } from '../../source/inline';
import { LIMITS } from '../limits';
import type { ReadOptions } from '../options';
import { bodySize, splitFootnotes, withoutFurniture } from './furniture';
import { findHeadings, type OutlineEntry } from './headings';
import { linesOf, type Font, type Line, type TextItem } from './lines';
import { blocksOf } from './paragraphs';

type Pdf = Awaited<ReturnType<typeof getDocumentProxy>>;
type PdfPage = Awaited<ReturnType<Pdf['getPage']>>;

/** Pages whose drawing is looked at to learn which fonts are bold; it costs more than their text. */
const FONT_PAGES = 8;

/**
 * Reads a PDF by the positions of its text. Throws `password`, `broken`, `scanned` (pictures of pages, no text),
 * `too-many-pages`. `byLooks`: headings by size and weight alone, as in a document without an outline of its own.
 */
export async function readPdf(
  bytes: Uint8Array,
  { byLooks = false, wordsIn }: ReadOptions & { byLooks?: boolean } = {},
): Promise<ReadDocument> {
  const pdf = await opened(bytes);
  if (pdf.numPages > LIMITS.pages) fail('too-many-pages', { pages: pdf.numPages, limit: LIMITS.pages });
  const fonts = new Map<string, Font>();
  const pages: Line[][] = [];
  let looked = 0;
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pageAt(pdf, number);
    if (!page) continue;
    const content = await page.getTextContent();
    const items = content.items.filter((item) => 'str' in item) as TextItem[];
    const unknown = items.some((item) => item.str.trim() && !fonts.has(item.fontName));
    if (unknown) {
      const bold = looked < FONT_PAGES ? await boldFonts(page, items) : new Set<string>();
      looked++;
      for (const { fontName } of items) {
        if (!fonts.has(fontName))
          fonts.set(fontName, { mono: content.styles[fontName]?.fontFamily === 'monospace', bold: bold.has(fontName) });
      }
    }
    pages.push(linesOf(items, number, fonts));
    page.cleanup();
  }
  const letters = pages.flat().reduce((sum, line) => sum + line.text.length, 0);
  if (letters === 0 || (pages.length >= 3 && letters < 20 * pages.length)) fail('scanned', { pages: pdf.numPages });
  const outline = byLooks ? [] : await outlineOf(pdf);
  const about = await aboutOf(pdf);
  const body = bodySize(pages.flat());
  const { pages: flows, footnotes } = splitFootnotes(withoutFurniture(pages));
  const lines = withoutTitlePage(flows, outline, body).flat();
  const headings = findHeadings(lines, body, outline);
  const notices = await permissionNotices(pdf);
  const title = about.title ?? largestOfFirstPage(pages[0] ?? [], body);
  await pdf.destroy?.();
  return {
    ...(title && { title }),
    ...(about.language && { language: about.language }),
    blocks: blocksOf(lines, headings, footnotes, wordsIn),
    media: new Map(),
    notices,
  };
}

async function opened(bytes: Uint8Array): Promise<Pdf> {
  try {
    return await getDocumentProxy(bytes.slice(), {
      verbosity: 0,
      isEvalSupported: false,
      disableFontFace: true,
      useSystemFonts: false,
    } as never);
  } catch (error) {
    const name = (error as Error).name;
    return fail(name === 'PasswordException' ? 'password' : 'broken', { format: 'PDF' }, undefined, error);
  }
}

async function pageAt(pdf: Pdf, number: number): Promise<PdfPage | undefined> {
  try {
    return await pdf.getPage(number);
  } catch (error) {
    if (number === 1) return fail('broken', { format: 'PDF' }, undefined, error);
    return undefined;
  }
}

async function boldFonts(page: PdfPage, items: readonly TextItem[]): Promise<Set<string>> {
  const bold = new Set<string>();
  try {
    await page.getOperatorList();
    for (const name of new Set(items.map((item) => item.fontName))) {
      const font = page.commonObjs.has(name)
        ? (page.commonObjs.get(name) as { name?: string; bold?: boolean; black?: boolean })
        : undefined;
      if (font && (font.bold || font.black || /bold|black|heavy|semibold/i.test(font.name ?? ''))) bold.add(name);
    }
  } catch (error) {
    if (error instanceof ProblemError) throw error;
  }
  return bold;
}

/** The outline a PDF carries, in order. */
export async function pdfOutline(bytes: Uint8Array): Promise<OutlineEntry[]> {
  const pdf = await opened(bytes);
  const outline = await outlineOf(pdf);
  await pdf.destroy?.();
  return outline;
}

async function outlineOf(pdf: Pdf): Promise<OutlineEntry[]> {
  const entries: OutlineEntry[] = [];
  const visit = async (nodes: Awaited<ReturnType<Pdf['getOutline']>> | undefined, level: number): Promise<void> => {
    for (const node of nodes ?? []) {
      if (entries.length >= 5_000 || level > 8) return;
      const page = await pageOf(pdf, node.dest);
      if (page !== undefined) entries.push({ title: folded(node.title), level, page });
      await visit(node.items, level + 1);
    }
  };
  try {
    await visit(await pdf.getOutline(), 1);
  } catch {
    return [];
  }
  return entries;
}

async function pageOf(pdf: Pdf, dest: string | unknown[] | null): Promise<number | undefined> {
  try {
    const target = typeof dest === 'string' ? await pdf.getDestination(dest) : dest;
    if (!Array.isArray(target) || !target[0]) return undefined;
    return typeof target[0] === 'number' ? target[0] + 1 : (await pdf.getPageIndex(target[0] as never)) + 1;
  } catch {
    return undefined;
  }
}

async function aboutOf(pdf: Pdf): Promise<{ title?: string; language?: string }> {
  try {
    const { info } = (await pdf.getMetadata()) as { info: { Title?: string; Language?: string } };
    const title = folded(info.Title ?? '');
    // Programs that print to PDF put file names and their own name there.
    const usable =
      title.length > 3 && !/\.(docx?|pdf|odt|tex|indd|pptx?)$|^(untitled|microsoft word|document\d*)/i.test(title);
    return { ...(usable && { title }), ...(info.Language && { language: info.Language }) };
  } catch {
    return {};
  }
}

async function permissionNotices(pdf: Pdf): Promise<{ code: string }[]> {
  const COPY = 0x10;
  try {
    const allowed = await pdf.getPermissions();
    return allowed && !allowed.includes(COPY) ? [{ code: 'copying-not-allowed' }] : [];
  } catch {
    return [];
  }
}

/** The cover: everything before the first heading of the outline, when it is little text on the first pages. */
function withoutTitlePage(pages: readonly Line[][], outline: readonly OutlineEntry[], body: number): Line[][] {
  const starts = outline[0]?.page ?? 0;
  return pages.map((lines, index) => {
    const number = lines[0]?.page ?? index + 1;
    const cover =
      index === 0 &&
      (starts > 1 || lines.filter((line) => line.size > body * 1.12).length > lines.length * 0.3) &&
      pages.length > 3;
    return cover && number === 1 ? [] : [...lines];
  });
}

function largestOfFirstPage(lines: readonly Line[], body: number): string | undefined {
  const size = Math.max(0, ...lines.map((line) => line.size));
  const text = folded(
    lines
      .filter((line) => line.size === size)
      .map((line) => line.text)
      .join(' '),
  );
  return size > body * 1.3 && text.length <= 160 && text.length > 2 ? text : undefined;
}
