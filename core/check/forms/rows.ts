import type { Block } from '../../blocks/forms';
import { idFrom } from '../../document/id';
import { evidencedSentences, textOf, type RichText } from '../../document/rich-text';
import type { Labels } from '../../language/pack';
import type { Said } from './form';

type Table = Extract<Block, { kind: 'table' }>;

/** A row of a table by its first cell and one other. */
export interface Row {
  head: string;
  cell: string;
  about: Said;
}

/** How a column is asked about: by what holds in a case, who does something, what belongs to a name, or its header. */
export type Asking = 'case' | 'who' | 'name' | 'column';

/** A column of a table with what its rows say. */
export interface Column {
  how: Asking;
  /** Header of the first column and of this one. */
  heads: [string, string];
  /** Rows that say something in both cells, with where they stand. */
  rows: Row[];
}

/** The columns of a table that can be asked about, as its header or the shape it was given says. */
export function columnsOf(table: Table, { shapes }: Labels): Column[] {
  const [first, second] = table.body.header.map(textOf);
  const columns = Math.max(...table.body.rows.map((row) => row.length));
  const one = (how: Asking): Column[] => [{ how, heads: [first ?? '', second ?? ''], rows: rowsOf(table, 1) }];
  if (first === shapes.who) return one('who');
  if (columns === 2 && (first === undefined || second === shapes.then))
    return one(first === undefined ? 'name' : 'case');
  if (first === undefined) return [];
  return table.body.header.slice(1).flatMap((header, at): Column[] => {
    const column = textOf(header);
    return column ? [{ how: 'column', heads: [first, column], rows: rowsOf(table, at + 1) }] : [];
  });
}

/** The rows of a table by their first cell and one other, with where they stand; without one of the two, none. */
function rowsOf({ id, body }: Table, column: number): Row[] {
  return body.rows.flatMap((cells, at): Row[] => {
    const [head, cell]: (RichText | undefined)[] = [cells[0], cells[column]];
    const [left, right] = [textOf(head ?? []).trim(), textOf(cell ?? []).trim()];
    const ranges = evidencedSentences([...(head ?? []), ...(cell ?? [])]).flatMap(({ mark }) => mark.attrs.passages);
    if (!left || !right || ranges.length === 0) return [];
    // A cell that goes on in further sentences is asked about by its first.
    const [answer] = right.split(/(?<=[.!])\s+(?=\p{Lu})/u);
    return [
      { head: left, cell: answer, about: { id: idFrom('c', id, at, column), ranges, text: `${left}: ${right}` } },
    ];
  });
}

/** What several rows say together: where they stand, and their words. */
export function allOf(id: string, about: readonly Said[]): Said {
  const ranges = about.flatMap((each) => each.ranges);
  const known = new Set<string>();
  return {
    id,
    ranges: ranges.filter((range) => {
      const key = `${range.id}/${range.from}/${range.to}`;
      return !known.has(key) && known.add(key);
    }),
    text: about.map(({ text }) => text).join(' '),
  };
}

/** Words of a text. */
export const count = (text: string): number => text.split(/\s+/).length;
