import type { AnswerOf } from '~/client';
import type { Holds } from '~~/core/knowledge/holds';
import { CLAIMS, counted } from '~/words/states';

/** Kinds of sources in words. */
const KINDS: Record<string, string> = {
  docx: 'Document',
  pdf: 'PDF',
  pptx: 'Slides',
  epub: 'Book',
  html: 'Page',
  markdown: 'Notes',
  text: 'Text',
  vtt: 'Talk',
  srt: 'Talk',
  odt: 'Document',
  rtf: 'Document',
  odp: 'Slides',
  xlsx: 'Tables',
  ods: 'Tables',
  csv: 'Tables',
  interview: 'Answers',
};

export const sourceKind = (kind: string): string => KINDS[kind] ?? kind;

/** What a source holds most of: "12 rules, 4 terms". */
export function holdsWords({ claims }: Holds, most = 4): string {
  return (
    Object.entries(claims)
      .filter(([, count]) => count > 0)
      .sort((a, b) => b[1] - a[1])
      .slice(0, most)
      .map(([kind, count]) => counted(count, CLAIMS[kind]!))
      .join(', ') || 'nothing understood yet in this language'
  );
}

/** A source of the shelf, as the server lists it. */
export type ShelfSource = AnswerOf<'GET /api/shelf'>[number];

/** What one may do with a source of somebody else's. */
export const MAY: Record<ShelfSource['may'], string> = {
  own: '',
  change: 'shared with you, to use and change',
  use: 'shared with you, to use',
  read: 'to read, in the course that uses it',
};

/** What of a lesson stands on words that are not in their source any more. */
export const staleWords = ({ sentences, checks }: { sentences: number; checks: number }): string =>
  `${[sentences ? counted(sentences, ['sentence', 'sentences']) : '', checks ? counted(checks, ['question', 'questions']) : ''].filter(Boolean).join(' and ')} on words that the source has changed`;

/** A day as people write it; UTC in, the reader's zone out. */
export const dayWords = (at: number): string =>
  new Date(at).toLocaleDateString([], { day: 'numeric', month: 'short', year: 'numeric' });
