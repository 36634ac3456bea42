import Papa from 'papaparse';
import type { ReadDocument } from '../../source/blocks';
import { folded } from '../../source/inline';
import { sheetBlocks } from '../grid';
import { decodeText } from '../text/decode';

/** Rows beyond this are left out, and the author is told. */
export const MOST_ROWS = 20_000;

/**
 * Reads a table of separated values, whatever separates them: each row a passage with its headers. What looks like a
 * formula is words.
 */
export function readCsv(bytes: Uint8Array): ReadDocument {
  const { text, notices } = decodeText(bytes);
  const { data } = Papa.parse<string[]>(text, { preview: MOST_ROWS + 1, delimitersToGuess: [',', ';', '\t', '|'] });
  const grid = data.map((row) => row.map(folded));
  const kept = grid.slice(0, MOST_ROWS);
  return {
    blocks: sheetBlocks(kept, 't'),
    media: new Map(),
    notices:
      grid.length > MOST_ROWS ? [...notices, { code: 'rows-left-out', parameters: { limit: MOST_ROWS } }] : notices,
  };
}
