import { mediaRef, type MediaRef } from '../../document/media';
import { richText, textOf, type RichText } from '../../document/rich-text';
import { boolean, object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** A picture with its caption. */
export interface PictureBody {
  picture: MediaRef;
  /** What it shows, for who cannot see it. */
  alt: string;
  /** It says nothing that the words do not: who cannot see it is not told of it. */
  decorative?: boolean;
  caption: RichText;
}

const SECONDS_LOOKED = 8;

export const picture: BlockForm<PictureBody> = {
  body: object({ picture: mediaRef, alt: string({ max: 1000 }), caption: richText }, { decorative: boolean }),
  texts: (body) => [body.caption],
  mapTexts: (body, change) => ({ ...body, caption: change(body.caption) }),
  text: ({ alt, caption }) => [textOf(caption), alt].filter(Boolean).join('\n') || '\u2013',
  study: { entries: () => 1, most: 1, minutes: SECONDS_LOOKED / 60 },
  evidence: 'block',
};
