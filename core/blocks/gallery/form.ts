import { ID_PATTERN } from '../../document/id';
import { pictureRef, type PictureRef } from '../../document/media';
import { always, list, object, oneOf, string } from '../../document/shape';
import type { BlockForm } from '../form';
import { altShape, SECONDS_LOOKED } from '../picture/form';

/** Several pictures, side by side or leafed through one by one. */
export interface GalleryBody {
  pictures: GalleryPicture[];
  show: 'grid' | 'slides';
}

export interface GalleryPicture {
  id: string;
  picture: PictureRef;
  /** What it shows, for who cannot see it. */
  alt: string;
  decorative?: true;
  caption: string;
}

const id = string({ pattern: ID_PATTERN });
const caption = string({ max: 1000 });

export const gallery: BlockForm<GalleryBody> = {
  body: object({
    pictures: list(object({ id, picture: pictureRef, alt: altShape, caption }, { decorative: always })),
    show: oneOf('grid', 'slides'),
  }),
  blank: ({ pictures }) => pictures.length === 0,
  texts: () => [],
  mapTexts: (body) => body,
  plain: ({ pictures }) => pictures.map((each) => each.caption),
  mapPlain: (body, change) => ({
    ...body,
    pictures: body.pictures.map((each) => ({ ...each, caption: change(each.caption) })),
  }),
  text: ({ pictures }) => pictures.map(({ caption: words, alt }) => words || alt || '\u2013').join('\n') || '\u2013',
  study: { entries: ({ pictures }) => pictures.length, most: 30, minutes: SECONDS_LOOKED / 60 },
  evidence: 'none',
};
