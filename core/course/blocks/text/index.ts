import { richText, type RichText } from '../../rich-text';
import { object } from '../../shape';
import type { BlockKind } from '../kind';

/** One paragraph. */
export interface TextBody {
  text: RichText;
}

export const text: BlockKind<TextBody> = {
  body: object({ text: richText }),
  texts: (body) => [body.text],
  mapTexts: (body, change) => ({ text: change(body.text) }),
};
