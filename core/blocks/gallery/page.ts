import { escape } from '../../document/html';
import { creditHtml, pictureHtml } from '../picture/page';
import type { BlockPage } from '../page';
import type { GalleryBody } from './form';

export const gallery: BlockPage<GalleryBody> = ({ pictures }, view) =>
  `<ul class="up-gallery">${pictures
    .map(
      ({ picture, alt, decorative, caption }) =>
        `<li><figure>${pictureHtml({ media: picture, alt: decorative ? '' : alt }, view)}${
          caption ? `<figcaption>${escape(caption)}</figcaption>` : ''
        }${creditHtml(picture, view)}</figure></li>`,
    )
    .join('')}</ul>`;
