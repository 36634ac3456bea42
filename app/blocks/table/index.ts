import type { JSONContent } from '@tiptap/core';
import { Table, TableCell, TableHeader, TableRow } from '@tiptap/extension-table';
import type { TableBody } from '~~/core/blocks/table/form';
import { plainRun, type RichText } from '~~/core/document/rich-text';
import { toParagraph } from '~/editor/rich';
import { children, paragraphsOf, type BlockNode } from '../node';

export const table: BlockNode<TableBody> = {
  label: 'Table',
  nodes: ['table'],
  to: ({ header, rows }) => ({
    type: 'table',
    content: [
      ...(header.length > 0 ? [rowOf(header, 'tableHeader')] : []),
      ...rows.map((row) => rowOf(row, 'tableCell')),
    ],
  }),
  from: (node) => {
    const rows = children(node).map((row) => ({
      head: children(row).every((cell) => cell.type === 'tableHeader'),
      cells: children(row).map(cellText),
    }));
    const [first, ...rest] = rows;
    return first?.head && rest.length > 0
      ? { header: first.cells, rows: rest.map((row) => row.cells) }
      : { header: [], rows: rows.map((row) => row.cells) };
  },
  extensions: () => [
    Table.configure({ resizable: false }),
    TableRow,
    TableCell.extend({ content: 'paragraph' }),
    TableHeader.extend({ content: 'paragraph' }),
  ],
  add: [
    {
      label: 'Table',
      body: () => ({
        header: [plainRun('Case'), plainRun('What to do')],
        rows: [
          [[], []],
          [[], []],
        ],
      }),
    },
  ],
};

function rowOf(cells: readonly RichText[], type: string): JSONContent {
  return { type: 'tableRow', content: cells.map((cell) => ({ type, content: [toParagraph(cell)] })) };
}

/** The words of a cell; what was pasted in as several paragraphs is one. */
const cellText = (cell: JSONContent): RichText =>
  paragraphsOf(cell).flatMap((text, at) => [...(at > 0 ? plainRun(' ') : []), ...text]);
