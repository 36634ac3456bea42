import { richText, type RichText } from '../../document/rich-text';
import { boolean, list as listOf, number, object } from '../../document/shape';
import { joinedTexts, splitLead, type Entry } from '../entry';
import type { BlockForm } from '../form';

/** Bulleted or numbered items; `depth` 0 is the outermost. */
export interface ListBody {
  ordered: boolean;
  items: { depth: number; text: RichText }[];
}

export const list: BlockForm<ListBody> = {
  body: object({
    ordered: boolean,
    items: listOf(object({ depth: number({ min: 0, max: 8, whole: true }), text: richText }), { min: 1 }),
  }),
  texts: (body) => body.items.map((item) => item.text),
  mapTexts: (body, change) => ({ ...body, items: body.items.map((item) => ({ ...item, text: change(item.text) })) }),
  study: { entries: (body) => body.items.length, most: 40 },
  prose: true,
  // What stands below an item is said of it.
  entries: ({ items }) =>
    items.reduce<Entry[]>((entries, { depth, text }) => {
      if (depth === 0 || entries.length === 0) entries.push(splitLead(text));
      else entries.at(-1)!.texts.push(text);
      return entries;
    }, []),
  fromEntries: (entries) => [
    {
      ordered: false,
      items: entries.flatMap((entry) => joinedTexts(entry).map((text, at) => ({ depth: at === 0 ? 0 : 1, text }))),
    },
  ],
};
