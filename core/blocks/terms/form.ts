import { plainRun, richText, textOf, type RichText } from '../../document/rich-text';
import { list, object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** The words of a lesson and what they mean. */
export interface TermsBody {
  terms: { term: string; text: RichText }[];
}

const LONGEST_TERM = 200;

/** A term is letters alone: words that stand on a passage by themselves would lose it. */
const isTerm = (lead: RichText = []): boolean =>
  textOf(lead).trim() !== '' &&
  textOf(lead).length <= LONGEST_TERM &&
  lead.every(({ marks = [] }) => marks.every(({ type }) => type === 'connecting'));

export const terms: BlockForm<TermsBody> = {
  body: object({
    terms: list(object({ term: string({ min: 1, max: LONGEST_TERM }), text: richText }), { min: 1 }),
  }),
  texts: (body) => body.terms.map((entry) => entry.text),
  mapTexts: (body, change) => ({ terms: body.terms.map((entry) => ({ ...entry, text: change(entry.text) })) }),
  text: (body) => body.terms.map((entry) => `${entry.term}: ${textOf(entry.text)}`).join('\n'),
  plain: (body) => body.terms.map((entry) => entry.term),
  mapPlain: (body, change) => ({ terms: body.terms.map((entry) => ({ ...entry, term: change(entry.term) })) }),
  entries: (body) => body.terms.map(({ term, text }) => ({ lead: plainRun(term), texts: [text] })),
  fromEntries: (entries) =>
    entries.every(({ lead, texts }) => isTerm(lead) && texts.length <= 1)
      ? [{ terms: entries.map(({ lead, texts }) => ({ term: textOf(lead!), text: texts[0] ?? [] })) }]
      : [],
};
