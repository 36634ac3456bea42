import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import type { ReadingBody } from './form';

export const reading: BlockPage<ReadingBody> = ({ items }, view) => {
  const rows = items.map(({ title, text }) => {
    const said = text.length > 0 ? `<p>${view.rich(text)}</p>` : '';
    return `<li><p class="up-side">${view.rich(title)}</p>${said}</li>`;
  });
  return `<div class="up-reading"><p class="up-label">${escape(view.words.reading)}</p><ul>${rows.join('')}</ul></div>`;
};
