import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import type { QuoteBody } from './form';

export const quote: BlockPage<QuoteBody> = ({ paragraphs, by }, view) => {
  const words = paragraphs.map((text) => `<p>${view.rich(text)}</p>`).join('');
  const caption = by ? `<figcaption>${escape(by)}</figcaption>` : '';
  return `<figure class="up-quote"><blockquote>${words}</blockquote>${caption}</figure>`;
};
