import { textOf, type RichText } from '../../document/rich-text';
import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import { tableClass, type TableBody } from './form';

export const table: BlockPage<TableBody> = (body, view) => {
  const { header, rows } = body;
  const cell = (text: RichText, at: number) =>
    `<td${header[at] ? ` data-label="${escape(textOf(header[at]))}"` : ''}>${view.rich(text)}</td>`;
  const head = header.map((text) => `<th scope="col">${view.rich(text)}</th>`).join('');
  const inside = rows.map((cells) => `<tr>${cells.map(cell).join('')}</tr>`).join('');
  const above = head ? `<thead><tr>${head}</tr></thead>` : '';
  return `<div class="${tableClass(body)}" tabindex="0" role="group"><table>${above}<tbody>${inside}</tbody></table></div>`;
};
