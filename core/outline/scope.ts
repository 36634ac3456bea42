import type { Knowledge } from '../knowledge';

/** A section's own passages, as a part of a lesson. */
export interface ScopeSection {
  id: string;
  title: string;
  /** Titles above it, outermost first. */
  path: string[];
  passages: string[];
}

/** Neighbouring sections that together make one lesson's matter. */
export interface Scope {
  title: string;
  sourceId: string;
  sections: ScopeSection[];
  words: number;
  /** What its claims are worth. */
  weight: number;
}

/** Passages that the outline leaves out, and why. */
export interface Dropped {
  passages: string[];
  /**
   * known: the audience knows it; size: no room; supporting: a source that only adds has no place to add it; outline:
   * the author's own outline has no lesson about it.
   */
  reason: 'known' | 'size' | 'supporting' | 'outline';
}

/** All passages of a scope, in teaching order. */
export const passagesOf = (scope: Pick<Scope, 'sections'>): string[] =>
  scope.sections.flatMap((section) => section.passages);

const WORTH: Record<string, number> = {
  rule: 3,
  definition: 3,
  step: 3,
  warning: 3,
  figure: 2,
  comparison: 2,
  tip: 2,
  reason: 1.5,
  example: 1.5,
  role: 1.5,
};

/** What the course is about above all is worth this much more, a passage. */
const FOCUS = 100;

/** The worth of a source's passages by their claims and what the author put in focus. */
export function passageWeights(knowledge: Knowledge): Map<string, number> {
  const weights = new Map<string, number>([...(knowledge.focus ?? [])].map((id) => [id, FOCUS]));
  for (const claim of knowledge.claims) {
    for (const range of claim.ranges)
      weights.set(range.id, (weights.get(range.id) ?? 0) + WORTH[claim.kind] / claim.ranges.length);
  }
  return weights;
}
