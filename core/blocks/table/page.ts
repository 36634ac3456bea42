import type { RichText } from '../../document/rich-text';
import type { BlockPage } from '../page';
import type { TableBody } from './form';

export const table: BlockPage<TableBody> = (body, view) => {
  const row = (tag: string, cells: RichText[]) =>
    `<tr>${cells.map((cell) => `<${tag}>${view.rich(cell)}</${tag.split(' ')[0]}>`).join('')}</tr>`;
  const head = body.header.length > 0 ? `<thead>${row('th scope="col"', body.header)}</thead>` : '';
  const rows = body.rows.map((cells) => row('td', cells));
  return `<div class="up-wide" tabindex="0" role="group"><table>${head}<tbody>${rows.join('')}</tbody></table></div>`;
};
