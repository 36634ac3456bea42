import { richText, type RichText } from '../../document/rich-text';
import { object } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';

/** One paragraph. */
export interface TextBody {
  text: RichText;
}

export const text: BlockForm<TextBody> = {
  body: object({ text: richText }),
  texts: (body) => [body.text],
  mapTexts: (body, change) => ({ text: change(body.text) }),
  prose: true,
  fromEntries: (entries) => entries.flatMap(joinedTexts).map((text) => ({ text })),
};
