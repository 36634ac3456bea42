import type { AnswerOf } from '~/client';
import type { Passage } from '~~/core/source/source';

/** Where a passage stands, in words: clause, page, slide, time, headings. */
export function placeWords({ locator }: Pick<Passage, 'locator'>): string {
  const { clause, page, slide, seconds, path } = locator;
  const parts = [
    clause ?? '',
    page !== undefined ? `p. ${page}` : '',
    slide !== undefined ? `slide ${slide}` : '',
    seconds !== undefined ? `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}` : '',
  ].filter(Boolean);
  return [
    ...parts,
    ...(locator.question && path.length < 2 ? [...path, `answer to “${locator.question}”`] : path.slice(-2)),
  ].join(' / ');
}

/** A passage with what stands around it, as the server gives it. */
export type PassageView = AnswerOf<'GET /api/courses/:course/passages'>[number] & { score?: number };

/** What a claim is, in words: "Rule, must not". */
export function claimWords(claim: {
  kind: string;
  rule?: { strength: string; negative: boolean };
  term?: string;
}): string {
  const kinds: Record<string, string> = {
    rule: 'Rule',
    definition: 'Term',
    step: 'Step',
    figure: 'Figure',
    warning: 'Warning',
    reason: 'Reason',
    example: 'Example',
    tip: 'Tip',
    comparison: 'Comparison',
    role: 'Role',
  };
  if (claim.rule && claim.kind === 'rule') return `Rule, ${claim.rule.strength}${claim.rule.negative ? ' not' : ''}`;
  return claim.term && claim.kind === 'definition' ? `Term: ${claim.term}` : (kinds[claim.kind] ?? claim.kind);
}
