import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import type { TermsBody } from './form';

export const terms: BlockPage<TermsBody> = (body, view) => {
  const entries = body.terms.map(
    (entry) => `<div><dt>${escape(entry.term)}</dt><dd>${view.rich(entry.text)}</dd></div>`,
  );
  return `<dl class="up-terms">${entries.join('')}</dl>`;
};
