import { richText, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import type { BlockForm } from '../form';

/** Figures that matter, set large: the figure with its unit, and what it is of. */
export interface FiguresBody {
  figures: { value: RichText; text: RichText }[];
}

export const figures: BlockForm<FiguresBody> = {
  body: object({ figures: list(object({ value: richText, text: richText }), { min: 1 }) }),
  texts: (body) => body.figures.flatMap(({ value, text }) => [value, text]),
  mapTexts: (body, change) => ({
    figures: body.figures.map(({ value, text }) => ({ value: change(value), text: change(text) })),
  }),
  framed: true,
  entries: (body) => body.figures.map(({ value, text }) => ({ lead: value, texts: [text] })),
  fromEntries: (entries) => [
    {
      figures: entries.flatMap(({ lead = [], texts: [first = [], ...rest] }) => [
        { value: lead, text: first },
        ...rest.map((text) => ({ value: [], text })),
      ]),
    },
  ],
};
