import { richText, type RichText } from '../../rich-text';
import { object, oneOf } from '../../shape';
import type { BlockKind } from '../kind';

/** A heading inside a lesson; the lesson's own title is level 1. */
export interface HeadingBody {
  level: 2 | 3;
  text: RichText;
}

export const heading: BlockKind<HeadingBody> = {
  body: object({ level: oneOf(2, 3), text: richText }),
  texts: (body) => [body.text],
  mapTexts: (body, change) => ({ ...body, text: change(body.text) }),
};
