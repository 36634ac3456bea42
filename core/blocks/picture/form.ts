import { pictureRef, type PictureRef } from '../../document/media';
import { richText, textOf, type RichText } from '../../document/rich-text';
import { boolean, object, oneOf, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** A picture with its caption. */
export interface PictureBody {
  picture: PictureRef;
  /** What it shows, for who cannot see it. */
  alt: string;
  /** It says nothing that the words do not: who cannot see it is not told of it. */
  decorative?: boolean;
  caption: RichText;
  /** As a banner: as wide as the page, cut to a strip, its caption laid upon it. */
  look?: 'banner';
}

/** Seconds that a picture is looked at. */
export const SECONDS_LOOKED = 8;

export const altShape = string({ max: 1000 });

export const picture: BlockForm<PictureBody> = {
  body: object(
    { picture: pictureRef, alt: altShape, caption: richText },
    { decorative: boolean, look: oneOf('banner') },
  ),
  texts: (body) => [body.caption],
  mapTexts: (body, change) => ({ ...body, caption: change(body.caption) }),
  text: ({ alt, caption }) => [textOf(caption), alt].filter(Boolean).join('\n') || '\u2013',
  study: { entries: () => 1, most: 1, minutes: SECONDS_LOOKED / 60 },
  evidence: 'block',
};
