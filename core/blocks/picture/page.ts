import { escape } from '../../document/html';
import type { MediaRef, PictureRef } from '../../document/media';
import type { BlockPage, PageView } from '../page';
import type { PictureBody } from './form';

export const picture: BlockPage<PictureBody> = ({ picture: ref, alt, decorative, caption, look }, view, evidence) => {
  const image = pictureHtml({ media: ref, alt: decorative ? '' : alt }, view);
  const under = caption.length > 0 ? `<figcaption>${view.rich(caption)}</figcaption>` : '';
  return view.cited(
    `<figure class="up-picture${look ? ` up-${look}` : ''}">${image}${under}${creditHtml(ref, view)}</figure>`,
    evidence,
  );
};

/** A picture with what it says to who cannot see it. */
export function pictureHtml({ media, alt }: { media: PictureRef; alt: string }, view: PageView): string {
  const size = `width="${media.width}" height="${media.height}"`;
  return `<img src="${escape(view.media(media))}" alt="${escape(alt)}" ${size} loading="lazy">`;
}

/** Whose a file is, where learners are to read it. */
export function creditHtml(ref: MediaRef, view: PageView): string {
  const credit = view.credit(ref);
  return credit ? `<p class="up-credit">${escape(credit)}</p>` : '';
}
