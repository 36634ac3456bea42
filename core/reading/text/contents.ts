import { headingNumber } from '../../source/headings';
import { folded } from '../../source/inline';
import type { Chunk } from './lines';

const CONTENTS =
  /^(table of contents|contents|inhalt|inhaltsverzeichnis|table des matières|sommaire|índice|índice general|contenido|tabla de contenidos)$/i;

/** Drops contents pages: after their heading, every stretch whose lines mostly stand again later, as headings. */
export function withoutContents(chunks: readonly Chunk[]): Chunk[] {
  const left = new Map<string, number>();
  const entries = chunks.map(entriesOf);
  for (const entry of entries.flat()) left.set(entry, (left.get(entry) ?? 0) + 1);
  let inside = false;
  return chunks.filter((_, index) => {
    for (const entry of entries[index]) left.set(entry, left.get(entry)! - 1);
    if (entries[index].some((entry) => CONTENTS.test(entry)) && entries[index].length <= 2) {
      inside = true;
      return false;
    }
    if (inside) inside = entries[index].filter((entry) => left.get(entry)! > 0).length >= entries[index].length * 0.5;
    return !inside;
  });
}

/**
 * The entries of a chunk: lines, a wrapped one joined to the numbered one before, page numbers cut, numbers in one
 * form.
 */
function entriesOf(chunk: Chunk): string[] {
  const entries: string[] = [];
  // No entry of a contents page is that long.
  if (chunk.lines.some((line) => line.length > LONGEST_ENTRY)) return entries;
  const numbered = chunk.lines.some((line) => NUMBERED.test(line));
  for (const line of chunk.lines) {
    const text = folded(line.replace(/[.\s·…]{3,}\d+\s*$/, ''));
    if (entries.length === 0 || !numbered || NUMBERED.test(line)) entries.push(text);
    else entries[entries.length - 1] += ` ${text}`;
  }
  return entries.map((entry) => {
    const number = headingNumber(entry);
    return number ? `${number.number} ${number.title}` : entry;
  });
}

const LONGEST_ENTRY = 400;
const NUMBERED = /^\s*((chapter|chapitre|kapitel|capítulo|appendix)\s+)?(\d+|[A-Z])(\.\d+)*\.?\s/i;
