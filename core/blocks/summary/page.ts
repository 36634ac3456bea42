import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import type { SummaryBody } from './form';

export const summary: BlockPage<SummaryBody> = (body, view) => {
  const points = body.points.map((point) => `<li>${view.rich(point)}</li>`);
  return `<div class="up-summary"><p class="up-label">${escape(view.words.summary)}</p><ul>${points.join('')}</ul></div>`;
};
