import { richText, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import { headed } from '../entry';
import type { BlockForm } from '../form';

/** Where to read on: what it is called, with a link where it has an address, and what it is good for. */
export interface ReadingBody {
  items: { title: RichText; text: RichText }[];
}

export const reading: BlockForm<ReadingBody> = {
  body: object({ items: list(object({ title: richText, text: richText }), { min: 1 }) }),
  texts: (body) => body.items.flatMap(({ title, text }) => [title, text]),
  mapTexts: (body, change) => ({
    items: body.items.map(({ title, text }) => ({ title: change(title), text: change(text) })),
  }),
  framed: true,
  entries: (body) => body.items.map(({ title, text }) => ({ lead: title, texts: text.length > 0 ? [text] : [] })),
  fromEntries: (entries) => [
    {
      items: entries
        .map(headed)
        .flatMap(({ lead, texts: [first = [], ...rest] }) => [
          { title: lead, text: first },
          ...rest.map((text) => ({ title: [], text })),
        ]),
    },
  ],
};
