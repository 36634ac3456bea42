import { richText, type RichText } from '../../rich-text';
import { boolean, list as listOf, number, object } from '../../shape';
import type { BlockKind } from '../kind';

/** Bulleted or numbered items; `depth` 0 is the outermost. */
export interface ListBody {
  ordered: boolean;
  items: { depth: number; text: RichText }[];
}

export const list: BlockKind<ListBody> = {
  body: object({ ordered: boolean, items: listOf(object({ depth: number({ min: 0, max: 8, whole: true }), text: richText }), { min: 1 }) }),
  texts: (body) => body.items.map((item) => item.text),
  mapTexts: (body, change) => ({ ...body, items: body.items.map((item) => ({ ...item, text: change(item.text) })) }),
};
