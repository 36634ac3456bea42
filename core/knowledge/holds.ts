import type { Source } from '../source/source';
import type { Claim } from './claim';

/** What a source holds, in figures, with what a list of sources shows of it. */
export interface Holds {
  passages: number;
  claims: Record<string, number>;
  address?: string;
  published?: string;
}

/** Counts what a source holds. */
export function holdsOf({ passages, address, published }: Source, claims: readonly Claim[]): Holds {
  const counts: Record<string, number> = {};
  for (const claim of claims) counts[claim.kind] = (counts[claim.kind] ?? 0) + 1;
  return { passages: passages.length, claims: counts, ...(address && { address }), ...(published && { published }) };
}
