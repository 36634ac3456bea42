import Papa from 'papaparse';
import { fail, ProblemError, type Problem } from '../document/problem';
import { readSource } from '../reading';
import { LIMITS } from '../reading/limits';
import { decodeText } from '../reading/text/decode';
import type { Section, Source } from '../source/source';
import { outlineFromGrid } from './grid';
import { outlineFromText } from './lines';
import { outlineFromOpml } from './opml';
import { MOST_LINES, nested, type OutlineLine, type OwnOutline } from './own';

const ofText = (bytes: Uint8Array): string => decodeText(bytes).text;

/** Readers by the ending of a file's name; any other document is read for its headings and lists. */
const READERS: Record<string, (bytes: Uint8Array, moduleTitle: string) => OwnOutline | Promise<OwnOutline>> = {
  txt: (bytes, moduleTitle) => outlineFromText(ofText(bytes), moduleTitle),
  md: (bytes, moduleTitle) => outlineFromText(ofText(bytes), moduleTitle),
  csv: (bytes, moduleTitle) =>
    outlineFromGrid(
      Papa.parse<string[]>(ofText(bytes), { delimitersToGuess: [',', ';', '\t', '|'] }).data,
      moduleTitle,
    ),
  opml: (bytes, moduleTitle) => outlineFromOpml(ofText(bytes), moduleTitle),
  xlsx: async (bytes, moduleTitle) => {
    const { sheets } = (await import('../reading/xlsx')).readSheets(bytes);
    return outlineFromGrid(sheets.find(({ rows }) => rows.some((row) => row.some(Boolean)))?.rows ?? [], moduleTitle);
  },
};
READERS.markdown = READERS.md;
READERS.text = READERS.txt;

export type OutlineRead = { ok: true; outline: OwnOutline } | { ok: false; problem: Problem };

/**
 * Reads an author's outline from a file: text with levels, Markdown, CSV, XLSX or OPML; any other document is read for
 * its headings and lists. Never throws for a bad file: the problem says what is wrong with it (`no-outline`: there are
 * no lines in it).
 */
export async function readOutline(
  { name, bytes }: { name: string; bytes: Uint8Array },
  moduleTitle: string,
): Promise<OutlineRead> {
  try {
    if (bytes.length > LIMITS.fileBytes)
      fail('file-too-big', {
        megabytes: Math.ceil(bytes.length / 1048576),
        limit: LIMITS.fileBytes / 1048576,
      });
    const reader = READERS[/\.([a-z0-9]+)$/i.exec(name)?.[1].toLowerCase() ?? ''];
    const outline = reader ? await reader(bytes, moduleTitle) : fromSource(await sourceOf(name, bytes), moduleTitle);
    if (outline.modules.length === 0) fail('no-outline');
    return { ok: true, outline };
  } catch (error) {
    const problem =
      error instanceof ProblemError
        ? error.problem
        : { code: 'broken', parameters: { format: /\.([a-z0-9]+)$/i.exec(name)?.[1] ?? '' } };
    return { ok: false, problem: { ...problem, place: problem.place ?? name } };
  }
}

async function sourceOf(name: string, bytes: Uint8Array): Promise<Source> {
  const read = await readSource({ name, bytes }, 'soutline');
  if (!read.ok) throw new ProblemError(read.problem);
  return read.source;
}

/** Headings by their depth; points of lists below them. A document of lists alone is one of lines. */
function fromSource({ root, passages }: Source, moduleTitle: string): OwnOutline {
  const byId = new Map(passages.map((passage) => [passage.id, passage]));
  const lines: OutlineLine[] = [];
  const visit = (section: Section): void => {
    if (section.level > 0) lines.push({ level: section.level, text: section.title });
    for (const id of section.passages) {
      const { list, text } = byId.get(id)!;
      if (list) lines.push({ level: section.level + 1 + list.depth, text });
    }
    section.sections.forEach(visit);
  };
  visit(root);
  return nested(lines.slice(0, MOST_LINES), moduleTitle);
}
