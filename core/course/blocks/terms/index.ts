import { richText, type RichText } from '../../rich-text';
import { list, object, string } from '../../shape';
import type { BlockKind } from '../kind';

/** The words of a lesson and what they mean. */
export interface TermsBody {
  terms: { term: string; text: RichText }[];
}

export const terms: BlockKind<TermsBody> = {
  body: object({ terms: list(object({ term: string({ min: 1, max: 200 }), text: richText }), { min: 1 }) }),
  texts: (body) => body.terms.map((entry) => entry.text),
  mapTexts: (body, change) => ({ terms: body.terms.map((entry) => ({ ...entry, text: change(entry.text) })) }),
};
