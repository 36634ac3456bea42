import { h, type VNode } from 'vue';
import { rich } from '../rich';
import type { TableBody } from '../../../core/blocks/table/form';
import type { BlockPart } from '../part';

const row = (cells: VNode[]) => h('tr', cells);

export const table: BlockPart<TableBody> = ({ header, rows }) => {
  const head = () => h('thead', [row(header.map((cell) => h('th', { scope: 'col' }, [rich(cell)])))]);
  const body = h(
    'tbody',
    rows.map((cells) => row(cells.map((cell) => h('td', [rich(cell)])))),
  );
  return h('div', { class: 'up-wide', tabindex: 0, role: 'group' }, [
    h('table', header.length > 0 ? [head(), body] : [body]),
  ]);
};
