import { richText, textOf, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import { headed, labelled, splitLabel, type Entry } from '../entry';
import type { BlockForm } from '../form';

/** A table; `header` is empty when it has none, else as long as every row. */
export interface TableBody {
  header: RichText[];
  rows: RichText[][];
}

/** A table of more columns than a phone has room for is shown there row by row, if its columns have names. */
export const tableClass = ({ header }: TableBody): string => (header.length > 2 ? 'up-wide up-rows' : 'up-wide');

export const table: BlockForm<TableBody> = {
  body: object({ header: list(richText), rows: list(list(richText, { min: 1 }), { min: 1 }) }),
  texts: (body) => [...body.header, ...body.rows.flat()],
  mapTexts: (body, change) => ({ header: body.header.map(change), rows: body.rows.map((row) => row.map(change)) }),
  study: { entries: (body) => body.rows.length, most: 15 },
  framed: true,
  // The name of its column goes along with each cell, so that no word is lost on the way.
  entries: ({ header, rows }) =>
    rows.map((row, at) => {
      const [lead, ...texts] = row.map((cell, column) => {
        const bare = at === 0 && rows.every((each) => each[column].length === 0);
        return header[column]?.length && (cell.length > 0 || bare) ? labelled(header[column], cell) : cell;
      });
      return { lead, texts: texts.filter((text) => text.length > 0) };
    }),
  fromEntries: (entries) => [tableOfEntries(entries)],
};

/** Rows of entries; where every cell says which column it is of, those are the header. */
function tableOfEntries(entries: readonly Entry[]): TableBody {
  const rows = entries.map(headed).map(({ lead, texts }) => [lead, ...texts]);
  const labelled = rows.map((row) => row.map(splitLabel));
  const columns = new Map<string, RichText>();
  for (const cell of labelled.flat())
    if (cell && !columns.has(textOf(cell.label))) columns.set(textOf(cell.label), cell.label);
  const ordered = labelled.every((row) => {
    const places = row.map((cell) => (cell ? [...columns.keys()].indexOf(textOf(cell.label)) : -1));
    return places.every((place, at) => place > (places[at - 1] ?? -1));
  });
  if (ordered)
    return {
      header: [...columns.values()],
      rows: labelled.map((row) =>
        [...columns.keys()].map((name) => row.find((cell) => textOf(cell!.label) === name)?.rest ?? []),
      ),
    };
  // Words that nothing heads stand beside a cell to be filled.
  const width = Math.max(2, ...rows.map((row) => row.length));
  return { header: [], rows: rows.map((row) => [...row, ...Array.from({ length: width - row.length }, () => [])]) };
}
