import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import type { PictureBody } from './form';

export const picture: BlockPage<PictureBody> = ({ picture: ref, alt, decorative, caption }, view, evidence) => {
  const words = escape(decorative ? '' : alt);
  const size = `width="${ref.width}" height="${ref.height}"`;
  const image = `<img src="${escape(view.media(ref))}" alt="${words}" ${size} loading="lazy">`;
  const under = caption.length > 0 ? `<figcaption>${view.rich(caption)}</figcaption>` : '';
  return view.cited(`<figure class="up-picture">${image}${under}</figure>`, evidence);
};
