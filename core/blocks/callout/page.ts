import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import type { CalloutBody } from './form';

export const callout: BlockPage<CalloutBody> = (body, view) => {
  const paragraphs = body.paragraphs.map((text) => `<p>${view.rich(text)}</p>`);
  const label = `<p class="up-label">${escape(view.words.callout[body.tone])}</p>`;
  return `<div class="up-callout up-${body.tone}" role="note">${label}${paragraphs.join('')}</div>`;
};
