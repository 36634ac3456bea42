import type { Piece } from './piece';

/**
 * Chooses pieces up to a number of words, heaviest first, each with what it needs to be followed; the order stays
 * the source's. Neighbours of what was chosen gain a little, so that paragraphs rather than splinters result.
 * Returns the indexes in order.
 */
export function selectPieces(pieces: readonly Piece[], words: number): number[] {
  const chosen = new Set<number>();
  let used = 0;
  const closure = pieces.map((_, index) => chainOf(pieces, index));
  const open = new Set(pieces.keys());
  for (const [index, chain] of closure.entries()) if (!chain) open.delete(index);
  while (open.size > 0) {
    let best = -1;
    let bestScore = -Infinity;
    for (const index of open) {
      const score = scoreOf(pieces, index, chosen);
      if (score > bestScore || (score === bestScore && index < best)) {
        best = index;
        bestScore = score;
      }
    }
    open.delete(best);
    const missing = closure[best]!.filter((index) => !chosen.has(index));
    const cost = missing.reduce((sum, index) => sum + pieces[index].words, 0);
    // A large piece may pass the mark a little; otherwise a smaller one is looked for.
    if (used + cost > words + Math.min(25, words * 0.06) && chosen.size > 0) continue;
    for (const index of missing) {
      chosen.add(index);
      open.delete(index);
    }
    used += cost;
    if (used >= words) break;
  }
  return [...chosen].sort((a, b) => a - b);
}

/** What needs more than this is not worth its company. */
const LONGEST_CHAIN = 12;

/** A piece with all it needs, itself last; undefined when something of that is not to be had. */
function chainOf(pieces: readonly Piece[], index: number): number[] | undefined {
  const chain: number[] = [];
  for (let at: number | undefined = index; at !== undefined; at = pieces[at].needs) {
    if (at < 0 || chain.length > LONGEST_CHAIN) return undefined;
    chain.unshift(at);
  }
  return chain;
}

/** The words of pieces from a weight on, together with all they need. */
export function wordsWithNeeds(pieces: readonly Piece[], weight: number): number {
  const wanted = new Set(pieces.flatMap((piece, index) => (piece.weight >= weight ? chainOf(pieces, index) ?? [] : [])));
  return [...wanted].reduce((sum, index) => sum + pieces[index].words, 0);
}

function scoreOf(pieces: readonly Piece[], index: number, chosen: ReadonlySet<number>): number {
  const { weight, section, words } = pieces[index];
  const beside = (other: number) => chosen.has(other) && pieces[other].section === section ? 0.3 : 0;
  return weight + beside(index - 1) + beside(index + 1) - Math.max(0, words - 120) / 100;
}
