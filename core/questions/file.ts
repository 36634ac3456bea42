import { fail } from '../document/problem';
import type { Bringing, BroughtQuestions } from './given';
import { looksLikeQti, readQti } from './qti';
import { readTable, readWorkbook } from './table';
import { readText } from './text';

/**
 * Questions out of a file: QTI 2.x or 3 (a package or an item), CSV, XLSX, or plain text. `language` is that of
 * figures. Throws `not-this-format` for a zip that is neither, `broken` for what cannot be read.
 */
export function readQuestions(name: string, bytes: Uint8Array, bringing: Bringing, language: string): BroughtQuestions {
  const media = new Map<string, Uint8Array>();
  if (/\.xlsx$/i.test(name)) return { ...readWorkbook(bytes, bringing, language), media };
  if (/\.(csv|tsv)$/i.test(name)) return { ...readTable(bytes, bringing, language), media };
  if (looksLikeQti(bytes)) {
    const given = readQti(name, bytes, bringing);
    return given.checks.length + given.left.length > 0 ? given : fail('not-this-format', { format: 'QTI' });
  }
  return { ...readText(new TextDecoder().decode(bytes), bringing, language), media };
}
