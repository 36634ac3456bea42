import { h, type VNode } from 'vue';
import { textOf } from '../../../core/document/rich-text';
import { tableClass, type TableBody } from '../../../core/blocks/table/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

const row = (cells: VNode[]) => h('tr', cells);

export const table: BlockPart<TableBody> = (body) => {
  const { header, rows } = body;
  const head = () => h('thead', [row(header.map((cell) => h('th', { scope: 'col' }, [rich(cell)])))]);
  const inside = h(
    'tbody',
    rows.map((cells) =>
      row(cells.map((cell, at) => h('td', header[at] ? { 'data-label': textOf(header[at]) } : {}, [rich(cell)]))),
    ),
  );
  return h('div', { class: tableClass(body), tabindex: 0, role: 'group' }, [
    h('table', header.length > 0 ? [head(), inside] : [inside]),
  ]);
};
