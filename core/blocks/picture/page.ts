import { escape } from '../../document/html';
import type { MediaRef } from '../../document/media';
import type { BlockPage, PageView } from '../page';
import type { PictureBody } from './form';

export const picture: BlockPage<PictureBody> = ({ picture: ref, alt, decorative, caption }, view, evidence) => {
  const image = pictureHtml({ media: ref, alt: decorative ? '' : alt }, view);
  const under = caption.length > 0 ? `<figcaption>${view.rich(caption)}</figcaption>` : '';
  return view.cited(`<figure class="up-picture">${image}${under}</figure>`, evidence);
};

/** A picture with what it says to who cannot see it. */
export function pictureHtml({ media, alt }: { media: MediaRef; alt: string }, view: PageView): string {
  const size = `width="${media.width}" height="${media.height}"`;
  return `<img src="${escape(view.media(media))}" alt="${escape(alt)}" ${size} loading="lazy">`;
}
