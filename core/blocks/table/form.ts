import { richText, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import type { BlockForm } from '../form';

/** A table; `header` is empty when it has none, else as long as every row. */
export interface TableBody {
  header: RichText[];
  rows: RichText[][];
}

export const table: BlockForm<TableBody> = {
  body: object({ header: list(richText), rows: list(list(richText, { min: 1 }), { min: 1 }) }),
  texts: (body) => [...body.header, ...body.rows.flat()],
  mapTexts: (body, change) => ({ header: body.header.map(change), rows: body.rows.map((row) => row.map(change)) }),
  study: { entries: (body) => body.rows.length, most: 15 },
  framed: true,
};
