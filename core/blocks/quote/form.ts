import { richText, textOf, type RichText } from '../../document/rich-text';
import { list, object, string } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';

/** Somebody's words, and whose they are. */
export interface QuoteBody {
  paragraphs: RichText[];
  by?: string;
}

export const quote: BlockForm<QuoteBody> = {
  body: object({ paragraphs: list(richText, { min: 1 }) }, { by: string({ min: 1, max: 200 }) }),
  texts: (body) => body.paragraphs,
  mapTexts: (body, change) => ({ ...body, paragraphs: body.paragraphs.map(change) }),
  plain: ({ by }) => (by ? [by] : []),
  mapPlain: (body, change) => ({ ...body, ...(body.by && { by: change(body.by) }) }),
  text: ({ paragraphs, by }) => [...paragraphs.map(textOf), ...(by ? [by] : [])].filter(Boolean).join('\n'),
  prose: true,
  fromEntries: (entries) => [{ paragraphs: entries.flatMap(joinedTexts) }],
};
