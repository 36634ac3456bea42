import { richText, textOf, type RichText } from '../../document/rich-text';
import { list, object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** The words of a lesson and what they mean. */
export interface TermsBody {
  terms: { term: string; text: RichText }[];
}

export const terms: BlockForm<TermsBody> = {
  body: object({ terms: list(object({ term: string({ min: 1, max: 200 }), text: richText }), { min: 1 }) }),
  texts: (body) => body.terms.map((entry) => entry.text),
  mapTexts: (body, change) => ({ terms: body.terms.map((entry) => ({ ...entry, text: change(entry.text) })) }),
  text: (body) => body.terms.map((entry) => `${entry.term}: ${textOf(entry.text)}`).join('\n'),
  plain: (body) => body.terms.map((entry) => entry.term),
};
