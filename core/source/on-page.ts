import type { Block } from '../blocks/forms';
import type { RichText } from '../document/rich-text';
import { cellRanges } from './cells';
import type { Passage } from './source';
import { richRange } from './rich';

/**
 * Rows of one table of a source as a table, each cell on its evidence; none of its header where that does not fit the
 * cells. `id` is the block's.
 */
export function tableOf(rows: readonly Passage[], id: string): Block {
  const [{ table }] = rows;
  const header =
    table!.header.length === table!.cells.length
      ? table!.header.map((cell): RichText => (cell ? [{ type: 'text', text: cell }] : []))
      : [];
  return { id, kind: 'table', body: { header, rows: rows.map((passage) => cellsOf(passage, id)) } };
}

/**
 * A passage that an author wants on a page, as a block on its evidence: code as code, a row as a table of its own,
 * anything else as a paragraph.
 */
export function passageBlock(passage: Passage, id: string): Block {
  if (passage.kind === 'code')
    return {
      id,
      kind: 'code',
      body: { code: passage.text },
      evidence: [{ id: passage.id, from: 0, to: passage.text.length }],
    };
  if (passage.table) return tableOf([passage], id);
  return { id, kind: 'text', body: { text: richRange(passage, 0, passage.text.length, [], passage.text, id) } };
}

function cellsOf(passage: Passage, place: string): RichText[] {
  return cellRanges(passage).map(({ from, to }) =>
    from === to ? [] : richRange(passage, from, to, [], passage.text.slice(from, to), `${place}/${from}`),
  );
}
