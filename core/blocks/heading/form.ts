import { richText, type RichText } from '../../document/rich-text';
import { object, oneOf } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';

/** A heading inside a lesson; the lesson's own title is level 1. */
export interface HeadingBody {
  level: 2 | 3;
  text: RichText;
}

export const heading: BlockForm<HeadingBody> = {
  body: object({ level: oneOf(2, 3), text: richText }),
  texts: (body) => [body.text],
  mapTexts: (body, change) => ({ ...body, text: change(body.text) }),
  evidence: 'none',
  fromEntries: (entries) => entries.flatMap(joinedTexts).map((text) => ({ level: 2, text })),
};
